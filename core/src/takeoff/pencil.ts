/** Which answers about an element stand on something nobody has said. */
import { isAssumed } from '../plan/assumed.ts';
import type { Plan } from '../plan/schema.ts';
import type { ElementTakeoff } from './element.ts';

export interface Pencilled {
  readonly depth: boolean;
  readonly width: boolean;
  readonly sides: boolean;
}

/** What of an element's depth, width and sides is only assumed. */
export function pencilledOf(plan: Plan, info: ElementTakeoff): Pencilled {
  const { element, decision } = info;
  const assumed = (pointer: string) => isAssumed(plan, pointer);
  const ground = assumed('/ground/logs/0');
  const rule = decision?.governs ?? null;
  const size = assumed(`/elements/${info.index}`);
  const own = 'slope' in element && element.slope !== null;
  return {
    // An engineer's word and a drawn level stand whatever the ground.
    depth:
      (rule === 'cover' && assumed('/levels/cover')) ||
      (ground && rule !== 'instruction' && rule !== 'drawn' && rule !== 'outfall'),
    width:
      size ||
      (assumed('/dig/room') && 'room' in element && element.room === null) ||
      (assumed('/dig/buckets') && 'bucket' in element && element.bucket === null),
    sides: ground && info.support === 'slope' && !own,
  };
}
