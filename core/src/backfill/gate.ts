/**
 * What filling waits for. Time only makes a wall ready to be asked for; each stop names who lifts it, and nobody
 * else does. Nothing here says that a wall bears its fill.
 */
import { type HeldJob, type Hold, isOpen } from '../holds/index.ts';
import { holdKey } from '../log/index.ts';
import type { Role } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { castKeyOf, castWhen, coldDays, curedAt } from '../pour/index.ts';
import type { ElementTakeoff } from '../takeoff/element.ts';
import { dayOf } from '../time/index.ts';
import { standsIn } from './sides.ts';

/** What stands in the way of a lift. */
export interface FillStop {
  /**
   * Nothing logged as cast; it cures; a look is open; what it lies on is not released; the other side is too low; a wall
   * filled on one side alone reaches the height the engineer gave.
   */
  readonly code: 'notCast' | 'cure' | 'hold' | 'below' | 'sides' | 'oneSided';
  /** Who lifts it; null: the work itself does. */
  readonly role: Role | null;
  /** A day, until which it stands at least; null: no clock lifts it. */
  readonly until: string | null;
  /** Of an open look. */
  readonly hold: Hold | null;
  /** m: how far apart the sides would stand, or how high the wall is filled; and what is allowed. */
  readonly value: number | null;
  readonly most: number | null;
}

export const stop = (code: FillStop['code'], more: Partial<FillStop> = {}): FillStop => ({
  code,
  role: null,
  until: null,
  hold: null,
  value: null,
  most: null,
  ...more,
});

/** Floor or props hold a wall, as somebody ticked: its sides need no longer be level. */
export const propped = ({ facts }: Pick<HeldJob, 'facts'>, id: string): boolean =>
  facts.ticked.get(holdKey('backfill', id))?.done.includes('propped') ?? false;

/** The engineer's word that a wall is filled on one side; null: none. */
export const oneSidedOf = ({ backfill }: Pick<Plan, 'backfill'>, id: string) =>
  backfill.oneSided.find(({ element }) => element === id) ?? null;

/**
 * What an element's fill waits for before any of it.
 * @param today the day it is asked, 2026-10-14
 */
export function gateOf(
  job: HeldJob,
  holds: readonly Hold[],
  info: ElementTakeoff,
  today: string,
): readonly FillStop[] {
  const out: FillStop[] = [];
  if (info.concrete > 0) {
    const keys = info.casts.map(({ stage, number }) => castKeyOf(info.id, stage, number));
    const cast = castWhen(keys, job.facts.poured);
    if (cast === null) out.push(stop('notCast', { role: 'lead' }));
    else if (standsIn(info.element)) {
      const { backfill, water } = job.plan;
      const cold = coldDays(job.plan, job.facts.weather);
      const until = dayOf(curedAt(cast, backfill.cureDays, cold, water.zone), water.zone);
      if (until > today) out.push(stop('cure', { until }));
    }
  }
  for (const hold of holds)
    if (hold.before === 'backfill' && isOpen(hold) && (hold.element === info.id || hold.element === null))
      out.push(stop('hold', { role: hold.role, hold }));
  return out;
}
