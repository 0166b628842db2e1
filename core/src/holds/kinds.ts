/**
 * Which work needs whose eyes before it is covered: one row a kind. What a look needs first is worked out of the
 * plan and the records; who lifts it is the row's, or the job's specification where that says otherwise.
 */
import { bayKey, FEELS } from '../log/index.ts';
import { mayCover } from '../placement/index.ts';
import { layerValues } from '../plan/beds.ts';
import type { HeldWork, HoldKind, Role } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { boxElementOf, traitsOf, underpinOf } from '../plan/variants.ts';
import { castKeyOf } from '../pour/index.ts';
import { shapeOf } from '../setout/index.ts';
import { type ElementTakeoff, floatsOf, type Job } from '../takeoff/index.ts';
import { type BoxFloat, FLOAT_SAFE } from '../water/index.ts';
import { shotsWanted } from './shots.ts';
import type { Need } from './visits.ts';

export type HeldJob = Pick<Job, 'plan' | 'facts' | 'elements' | 'asDug' | 'pours'>;

interface HoldRow {
  readonly before: HeldWork;
  readonly role: Role;
  /** Nobody but who it names lets it go: what an engineer owns. */
  readonly strict?: boolean;
  /** Of the job as a whole. */
  readonly ofJob?: boolean;
  readonly applies: (info: ElementTakeoff, job: HeldJob) => boolean;
  readonly needs: (info: ElementTakeoff | null, job: HeldJob) => readonly Need[];
  /** Whether a line of its list is asked for at all; without: all of them are. */
  readonly asks?: (item: string, info: ElementTakeoff, job: HeldJob) => boolean;
}

const need = (code: Need['code'], have: number, of: number): Need => ({ code, have, of, met: have >= of });
const none = () => [];
const built = ({ live, element }: ElementTakeoff) => live && shapeOf(element).founded;
/** Walls of a box: rooms below ground. */
const boxed = (info: ElementTakeoff) => built(info) && boxElementOf(info.element) !== null;
const hasLean = ({ layers }: ElementTakeoff) => layers.some(({ layer }) => layerValues(layer).cast);

function bottomNeeds(info: ElementTakeoff | null, { facts, asDug }: HeldJob): Need[] {
  if (!info) return [];
  const shots = (asDug.get(info.id)?.shots ?? []).filter(({ level }) => level !== null);
  const wanted = shotsWanted(info).length;
  const good = shots.filter(({ verdict }) => verdict?.word === 'good').length;
  const sure = shots.filter(({ doubted }) => !doubted).length;
  const found = facts.bottom.get(info.id);
  const fit = found !== undefined && found.feel === FEELS[0] && found.wet !== 'water' && !found.frozen;
  return [
    need('shotAll', Math.min(shots.length, wanted), wanted),
    need('shotGood', good, shots.length),
    need('shotSure', sure, shots.length),
    need('bottomFound', fit ? 1 : 0, 1),
  ];
}

const lifts = ({ safety }: BoxFloat) => safety !== null && safety < FLOAT_SAFE;

/** A box as far as it was cast by the log holds itself down at the highest water. Filled over it is when somebody says so. */
function heldDown(plan: Plan, info: ElementTakeoff, { poured }: HeldJob['facts']): boolean {
  const states = floatsOf(plan, info)?.states ?? [];
  const reached = {
    base: poured.has(castKeyOf(info.id, 'first', 1)),
    walls: poured.has(castKeyOf(info.id, 'walls', 1)),
    roof: poured.has(castKeyOf(info.id, 'roof', 1)),
    covered: false,
  };
  const now = states.filter(({ state }) => reached[state]).at(-1);
  return now !== undefined && !lifts(now);
}

/** In the order the work is done. Bays and lifts are seen by whoever the plan's own parts name. */
export const HOLDS: Readonly<Record<HoldKind, HoldRow>> = {
  setout: {
    before: 'dig',
    role: 'lead',
    ofJob: true,
    applies: built,
    needs: (_info, { facts }) => [need('taped', Math.min(1, facts.taped.length), 1)],
  },
  bottom: {
    before: 'cover',
    role: 'inspector',
    applies: (info) => built(info) && !traitsOf(info.element).inBays,
    needs: bottomNeeds,
  },
  lift: {
    before: 'cover',
    role: 'competent',
    applies: ({ cards }) => cards.some(({ wanted }) => wanted > 0),
    needs: (info) => {
      const cards = info?.cards ?? [];
      const tested = cards.filter(({ wanted }) => wanted > 0);
      return [
        need(
          'tests',
          tested.filter(({ state }) => state === 'passed' || mayCover(state)).length,
          tested.length,
        ),
        need('liftsReleased', cards.filter(({ state }) => mayCover(state)).length, cards.length),
      ];
    },
  },
  lean: { before: 'pour', role: 'lead', applies: (info) => built(info) && hasLean(info), needs: none },
  forms: {
    before: 'pour',
    role: 'inspector',
    applies: ({ live, concrete }) => live && concrete > 0,
    needs: none,
  },
  pour: { before: 'pour', role: 'lead', ofJob: true, applies: ({ concrete }) => concrete > 0, needs: none },
  leak: {
    before: 'backfill',
    role: 'engineer',
    strict: true,
    applies: boxed,
    needs: none,
  },
  proofing: {
    before: 'backfill',
    role: 'inspector',
    applies: (info, { plan }) =>
      boxed(info) || (built(info) && info.element.rising !== null && plan.backfill.damp !== 'none'),
    needs: none,
  },
  backfill: {
    before: 'backfill',
    role: 'engineer',
    strict: true,
    applies: (info) => built(info) && (boxElementOf(info.element) !== null || info.element.rising !== null),
    needs: none,
    // A wall filled level on both sides leans on nothing.
    asks: (item, info, { plan }) =>
      item !== 'propped' || boxed(info) || plan.backfill.oneSided.some(({ element }) => element === info.id),
  },
  pump: {
    before: 'pumpOff',
    role: 'engineer',
    strict: true,
    applies: (info, { plan }) => built(info) && (floatsOf(plan, info)?.states.some(lifts) ?? false),
    needs: (info, { plan, facts }) =>
      info ? [need('heldDown', heldDown(plan, info, facts) ? 1 : 0, 1)] : [],
  },
  posts: {
    before: 'postsOut',
    role: 'engineer',
    strict: true,
    applies: ({ live, element }) => live && (underpinOf(element)?.posts.length ?? 0) > 0,
    needs: (info, { facts }) => {
      const all = info?.bays?.count ?? 0;
      const out = Array.from({ length: all }, (_, i) => facts.bay.get(bayKey(info!.id, i + 1)));
      return [need('baysReleased', out.filter((one) => one?.state === 'released').length, all)];
    },
  },
  bay: {
    before: 'pour',
    role: 'engineer',
    strict: true,
    applies: (info) => info.live && traitsOf(info.element).inBays,
    needs: none,
  },
};
