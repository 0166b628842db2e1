/**
 * What is looked to before a pour: each line answered by the job's own state where that says it, else asked of
 * whoever stands there and ticked on the phone.
 */
import { area } from '../geometry/index.ts';
import { FEELS } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import type { Pour } from '../pour/index.ts';
import type { ElementTakeoff } from '../takeoff/index.ts';
import { surfaceRuns } from '../takeoff/index.ts';
import { heldPours } from './holds.ts';
import type { HeldJob } from './kinds.ts';
import { shotsWanted } from './shots.ts';
import { type Hold, isOpen } from './visits.ts';

/** In the order they are looked to. */
export type ReadyCode =
  | 'seen'
  | 'joint'
  | 'firm'
  | 'level'
  | 'dry'
  | 'damp'
  | 'forms'
  | 'steel'
  | 'fitting'
  | 'looks'
  | 'access'
  | 'washOut'
  | 'weather'
  | 'vibrators'
  | 'light';

/** The job says yes, or no; it cannot say, and somebody ticks it; somebody did. */
export type ReadyState = 'yes' | 'no' | 'ask' | 'ticked';

export interface ReadyLine {
  readonly code: ReadyCode;
  /** What a tick of it is called: its code, or the id of what is set in. */
  readonly key: string;
  readonly state: ReadyState;
  /** Elements it is not so of. */
  readonly elements: readonly string[];
  /** Litres, barrels, millimetres, counts: what its words say. */
  readonly values: Readonly<Record<string, number>>;
}

export interface PourReady {
  readonly pour: Pour;
  readonly lines: readonly ReadyLine[];
  /** Nothing says no and nothing waits to be looked to. */
  readonly free: boolean;
}

/** Water in a barrel, L: typical. */
const BARREL = 200;

/** Plan area of what is cast on a bottom, m². */
const coverOf = ({ concreteArea, footings }: ElementTakeoff): number =>
  concreteArea ?? footings.reduce((sum, { plan }) => sum + area(plan), 0);

/** m² of bottoms dampened, litres for them at so many metres of water, and barrels. */
export function dampening(
  square: number,
  depth: number,
): { readonly litres: number; readonly barrels: number } {
  const litres = square * depth * 1000;
  return { litres, barrels: Math.ceil(litres / BARREL - 1e-9) };
}

/** What a line is made with: its answer where the job gives one, and what more is said of it. */
type Line = (
  code: ReadyCode,
  says: 'yes' | 'no' | null,
  more?: {
    readonly key?: string;
    readonly of?: readonly string[];
    readonly values?: Readonly<Record<string, number>>;
  },
) => ReadyLine;

/** No where some are known not to be so, asked where of some nobody knows, else yes. */
const answer = (line: Line, code: ReadyCode, wrong: readonly string[], unknown: readonly string[] = []) =>
  line(code, wrong.length > 0 ? 'no' : unknown.length > 0 ? null : 'yes', {
    of: wrong.length > 0 ? wrong : unknown,
  });

const idsOf = (of: readonly ElementTakeoff[], is: (info: ElementTakeoff) => boolean) =>
  of.filter(is).map(({ id }) => id);

/** Elements of which a look of some kinds is still open. */
const openAt = (open: readonly Hold[], kinds: readonly string[]): string[] => [
  ...new Set(
    open.flatMap(({ kind, element }) => (kinds.includes(kind) && element !== null ? [element] : [])),
  ),
];

/** Of the bottoms that are cast on. */
function bottomLines(
  { plan, facts, asDug }: HeldJob,
  bottoms: readonly ElementTakeoff[],
  open: readonly Hold[],
  line: Line,
): ReadyLine[] {
  if (bottoms.length === 0) return [];
  const found = ({ id }: ElementTakeoff) => facts.bottom.get(id);
  const shots = ({ id }: ElementTakeoff) =>
    (asDug.get(id)?.shots ?? []).filter(({ level }) => level !== null);
  const unseen = openAt(open, ['bottom']);
  const unknown = idsOf(bottoms, (one) => found(one) === undefined);
  const soft = idsOf(bottoms, (one) => {
    const as = found(one);
    return as !== undefined && (as.feel !== FEELS[0] || as.frozen);
  });
  const off = idsOf(bottoms, (one) => shots(one).some(({ verdict }) => verdict?.word !== 'good'));
  const unshot = idsOf(bottoms, (one) => shots(one).length < shotsWanted(one).length);
  const wet = idsOf(bottoms, (one) => ['water', 'seeping'].includes(found(one)?.wet ?? ''));
  const square = bottoms.reduce((sum, one) => sum + coverOf(one), 0);
  const { dampen } = plan.pour;
  return [
    answer(
      line,
      'seen',
      idsOf(bottoms, ({ id }) => unseen.includes(id)),
    ),
    answer(line, 'firm', soft, unknown),
    answer(line, 'level', off, unshot),
    answer(line, 'dry', wet, unknown),
    line('damp', null, dampen === null ? {} : { values: { ...dampening(square, dampen) } }),
  ];
}

/** Of forms, steel, what is set in, and looks at other work. */
function workLines(
  { plan }: HeldJob,
  own: readonly ElementTakeoff[],
  open: readonly Hold[],
  line: Line,
): ReadyLine[] {
  const ids = own.map(({ id }) => id);
  const others = open.filter(({ kind }) => kind !== 'bottom' && kind !== 'forms');
  return [
    ...(own.some(({ element }) => element.method === 'formed')
      ? [answer(line, 'forms', openAt(open, ['forms']))]
      : []),
    line('steel', null, {
      values: { count: plan.pour.steel.filter(({ element }) => ids.includes(element)).length },
    }),
    ...plan.pour.fittings.flatMap(({ id, element }) =>
      ids.includes(element) ? [line('fitting', null, { key: id, of: [element] })] : [],
    ),
    line('looks', others.length > 0 ? 'no' : 'yes', {
      of: [...new Set(others.flatMap(({ element }) => element ?? []))],
      values: { count: others.length },
    }),
  ];
}

/** Where wash-out runs to: how much of it is drawn, and the elements whose holes it reaches. */
interface WashOut {
  readonly drawn: number;
  readonly into: readonly string[];
}
function washOutOf({ plan, elements }: HeldJob): WashOut {
  const wash = plan.water.surface.filter(({ kind }) => kind === 'washOut').map(({ id }) => id);
  if (wash.length === 0) return { drawn: 0, into: [] };
  const into = surfaceRuns(plan, elements).flatMap(({ id, element }) =>
    wash.includes(id) && element !== null ? [element] : [],
  );
  return { drawn: wash.length, into };
}

/** Of the site and the day. */
function dayLines({ water, pour }: Plan, { drawn, into }: WashOut, line: Line): ReadyLine[] {
  const { storm } = water;
  const { heads } = pour;
  return [
    line('access', null),
    line('washOut', into.length > 0 ? 'no' : drawn > 0 ? 'yes' : null, { of: into }),
    line('weather', null, storm ? { values: { rain: storm.depth } } : {}),
    line('vibrators', heads === null ? null : heads >= 2 ? 'yes' : 'no', { values: { count: heads ?? 0 } }),
    line('light', null),
  ];
}

/** Lines of one pour. @param holds what of the job is still to be seen before it */
function linesOf(job: HeldJob, pour: Pour, holds: readonly Hold[], wash: WashOut): ReadyLine[] {
  const done = new Set(job.facts.readied.get(pour.id)?.done ?? []);
  const line: Line = (code, says, { key = code, of = [], values = {} } = {}) => ({
    code,
    key,
    state: says ?? (done.has(key) ? 'ticked' : 'ask'),
    elements: of,
    values,
  });
  const own = job.elements.filter(({ id }) => pour.elements.includes(id));
  const onBottom = new Set(
    pour.casts.flatMap(({ stage, element }) => (stage === 'first' || stage === 'pass' ? [element] : [])),
  );
  const bottoms = own.filter(({ id }) => onBottom.has(id));
  const onCast = pour.casts.some(({ stage }) => stage !== 'first' && stage !== 'pass');
  const open = holds.filter(isOpen);
  const [seen, ...rest] = bottomLines(job, bottoms, open, line);
  return [
    ...(seen ? [seen] : []),
    ...(onCast ? [line('joint', pour.waits.length > 0 ? 'no' : null, { of: pour.waits })] : []),
    ...rest,
    ...workLines(job, own, open, line),
    ...dayLines(job.plan, wash, line),
  ];
}

/** Every pour with what is looked to before it. @param holds of the job */
export function readyFor(job: HeldJob, holds: readonly Hold[]): readonly PourReady[] {
  // It runs to where it runs whatever is cast.
  const wash = washOutOf(job);
  return heldPours(job.pours, holds).map(({ pour, holds: own }) => {
    const lines = linesOf(job, pour, own, wash);
    return {
      pour,
      lines,
      free: lines.every(({ state }) => state === 'yes' || state === 'ticked'),
    };
  });
}
