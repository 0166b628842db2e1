/**
 * What is done on a job, as the plan itself says: strip, set out, dig in its order, trim, the bottom seen, the bed, lean
 * concrete, forms and steel, seen, each pour, its cure, forms off, proofing, filling again; a run under an old wall pass by pass.
 * Each has a quantity, a rate with where that comes from, who does it, and what it comes after; hours are quantity over rate and
 * people. What somebody typed of a task beats all of it; what was logged takes off what is done.
 *
 * Rates are of the table and typical (`core/rates`); a machine digs at what was worked out of it, or taken from the log.
 */
import { standsIn } from '../backfill/index.ts';
import { compactorChoices } from '../base/index.ts';
import { gapBetween, perimeter } from '../geometry/index.ts';
import { type HeldJob, type Hold, isOpen } from '../holds/index.ts';
import { gathered } from '../log/fold.ts';
import { layerValues } from '../plan/beds.ts';
import type { HoldKind } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { boxElementOf, outlinedOf, traitsOf, underpinOf } from '../plan/variants.ts';
import { type Cast, castWhen, coldDays, curedAt, type Pour } from '../pour/index.ts';
import { type RateId, rateOf } from '../rates/index.ts';
import type { Origin } from '../results/index.ts';
import { setoutPoints, sizesOf } from '../setout/index.ts';
import { digsWith, type ElementTakeoff, type Job } from '../takeoff/index.ts';
import { HOUR_MS } from '../time/durations.ts';
import type { Kind } from '../units/index.ts';
import { type BayNow, isPast } from './bays.ts';
import { outOf } from './out.ts';

const TASK_KINDS = [
  'setout',
  'strip',
  'dig',
  'haul',
  'trim',
  'seen',
  'bed',
  'lean',
  'forms',
  'looked',
  'pour',
  'cure',
  'pack',
  'released',
  'formsoff',
  'proof',
  'fill',
] as const;
export type TaskKind = (typeof TASK_KINDS)[number];

/** Who or what is at a task; a look and a cure take nobody. */
export type Resource = 'machine' | 'crew' | 'trucks' | null;

export interface Task {
  /** Its kind, and what it is of: `dig/T1`, `pour/footings`, `dig/U1.2`. */
  readonly id: string;
  readonly kind: TaskKind;
  readonly element: string | null;
  /** Of a pass under an old wall: which. */
  readonly pass: number | null;
  readonly pour: string | null;
  /** How much of what; null of a wait. */
  readonly quantity: number | null;
  readonly unit: Kind | null;
  /** So much of it an hour, and where that comes from; null: its hours are typed, or it is a wait. */
  readonly rate: number | null;
  readonly from: Origin;
  readonly people: number;
  /** Hours of work in all, and hours as they pass after it. */
  readonly work: number;
  readonly passes: number;
  readonly resource: Resource;
  readonly after: readonly string[];
  /** Not before this day, as somebody typed. */
  readonly pin: string | null;
  /** Share of it that is done by the log, 0…1. */
  readonly done: number;
  /** Of what the machine does: the share of it that lies in a crust so deep, and its output there over that unfrozen. */
  readonly crust: ((depth: number) => number) | null;
}

/** A job as tasks are made of it. */
export type Tasked = HeldJob & Pick<Job, 'work' | 'strips' | 'loads'>;

/** What is filled again at an element, m³, and the share of it that is laid. */
export interface ToFill {
  readonly volume: number;
  readonly done: number;
}

/** A task before what was typed of it is looked at. */
interface Plain extends Omit<Task, 'rate' | 'from' | 'people' | 'work' | 'pin' | 'after' | 'crust'> {
  readonly crust?: Task['crust'];
  readonly after: readonly (string | null)[];
  /** Of a rate of the table; or its hours as they were worked out elsewhere. */
  readonly by:
    | { readonly rate: RateId; readonly each: 'person' | 'all' }
    | { readonly hours: number; readonly from: Origin };
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const NONE = 1e-6;

/** m round what is cast of an element. */
function roundOf({ element }: ElementTakeoff): number {
  const outlined = outlinedOf(element);
  const { along, across } = sizesOf(element);
  return outlined ? perimeter(outlined.outline) : 2 * (along + across);
}

/** m² of formed faces of what is cast first of an element: its footing, its base, its slab. */
const footArea = (info: ElementTakeoff): number =>
  info.element.method === 'formed' ? roundOf(info) * info.element.thickness : 0;

/** m² of formed faces of what is cast later of an element: both faces of walls, the edge and underside of a roof. */
function castArea(info: ElementTakeoff, { stage, bottom, top }: Cast): number {
  const { along } = sizesOf(info.element);
  switch (stage) {
    case 'walls':
      return 2 * roundOf(info) * (top - bottom);
    case 'roof':
      return roundOf(info) * (top - bottom) + info.bottomArea;
    case 'rise':
    case 'beam':
      return 2 * along * (top - bottom);
    default:
      return 0;
  }
}

/** m² of formed faces of a pour. @param own what of the job is cast in it */
const pourArea = (own: readonly ElementTakeoff[], { casts }: Pour): number =>
  sum(
    own.map((info) =>
      sum(
        casts.map((cast) =>
          cast.element !== info.id ? 0 : cast.stage === 'first' ? footArea(info) : castArea(info, cast),
        ),
      ),
    ),
  );

/** Hours of one person at the compacted layers of a bed. */
const tampHours = ({ layers, length, width }: ElementTakeoff, { compactors }: Plan): number =>
  sum(
    layers.map(({ layer, area }) =>
      layer.compactor === null || area <= 0
        ? 0
        : (compactorChoices(
            layer,
            area / Math.max(0.2, width.dug),
            Math.max(0.2, width.dug),
            compactors,
          ).find((one) => one.compactor === layer.compactor)?.hours ?? 0) * (length > 0 ? 1 : 0),
    ),
  );

/** What of the dig is logged, m³ bank, by the order it is dug in: the first are done first. */
function dugShares(order: readonly ElementTakeoff[], logged: number): Map<string, number> {
  let left = logged;
  return new Map(
    order.map(({ id, volume }) => {
      const own = Math.min(left, volume);
      left -= own;
      return [id, volume > NONE ? own / volume : 0] as const;
    }),
  );
}

interface Asked {
  readonly plan: Plan;
  readonly job: Tasked;
  /** By `holdKeyOf`; and those before backfill, by element. */
  readonly holds: ReadonlyMap<string, Hold>;
  readonly backfill: ReadonlyMap<string, readonly Hold[]>;
  readonly poursOf: ReadonlyMap<string, readonly Pour[]>;
  /** Those dug by the machine, in their order. */
  readonly dug: readonly ElementTakeoff[];
  readonly shares: ReadonlyMap<string, number>;
  /** Truckloads that leave with each element, whole; they add up to the job's. */
  readonly loads: ReadonlyMap<string, number>;
  readonly bays: readonly BayNow[];
  /** When it is asked, ms since 1970. */
  readonly now: number;
  /** Days too cold to cure. */
  readonly cold: ReadonlySet<string>;
  /** Share of what the machine digs that lies in a crust so deep. */
  readonly crust: (depth: number) => number;
}

const holdKeyOf = (kind: HoldKind, id: string): string => `${kind} ${id}`;

/** A look somebody is asked for: it takes nobody, and so many working hours of notice. */
function look(
  { plan, holds }: Asked,
  kind: 'seen' | 'looked',
  hold: HoldKind,
  { id }: ElementTakeoff,
  after: readonly (string | null)[],
  pass: number | null = null,
): Plain[] {
  const asked = holds.get(holdKeyOf(hold, id));
  if (!asked) return [];
  return [
    {
      id: pass === null ? `${kind}/${id}` : `${kind}/${id}.${pass}`,
      kind,
      element: id,
      pass,
      pour: null,
      quantity: null,
      unit: null,
      passes: 0,
      resource: null,
      after,
      done: isOpen(asked) ? 0 : 1,
      by: { hours: plan.days.notice, from: 'typed' },
    },
  ];
}

/** Something of it was laid, shot or cast: it is dug. */
function isDug({ job, poursOf }: Asked, { id, cards }: ElementTakeoff): boolean {
  return (
    job.asDug.has(id) ||
    job.facts.bottom.has(id) ||
    cards.some((card) => card.laid !== null) ||
    (poursOf.get(id) ?? []).some((pour) => pour.cast)
  );
}

/** A hole dug, by machine or hand, and what of it leaves. */
function digTasks(asked: Asked, info: ElementTakeoff, before: string | null): Plain[] {
  const { plan, job, shares, dug, loads, crust } = asked;
  const { id, volume } = info;
  const machine = digsWith(plan, job.work);
  const byHand = job.work.hand.elements.find((one) => one.id === id);
  const total = sum(dug.map((one) => one.volume));
  const done = isDug(asked, info) ? 1 : (shares.get(id) ?? 0);
  const base = { element: id, pass: null, pour: null, passes: 0, done };
  const away = loads.get(id) ?? 0;
  const out: Plain[] = [
    {
      ...base,
      id: `dig/${id}`,
      kind: 'dig',
      quantity: volume,
      unit: 'volume',
      resource: byHand ? 'crew' : 'machine',
      after: ['setout', 'strip', before],
      by: byHand
        ? { hours: byHand.hours / plan.days.people, from: job.work.hand.from }
        : { hours: machine && total > 0 ? (machine.thawed * volume) / total : 0, from: 'typical' },
      ...(!byHand && { crust }),
    },
  ];
  if (away > 0)
    out.push({
      ...base,
      id: `haul/${id}`,
      kind: 'haul',
      quantity: away,
      unit: 'count',
      resource: 'trucks',
      after: [`dig/${id}`],
      by: { hours: (away * plan.spoil.trip) / 60 / Math.max(1, plan.spoil.fleet), from: 'typed' },
    });
  return out;
}

/** What is done at one element before it is cast; a run under an old wall pass by pass. */
function elementTasks(asked: Asked, info: ElementTakeoff, before: string | null): Plain[] {
  const { plan } = asked;
  const { id, element, bottomArea, trim, makeUp, stone, concrete, layers } = info;
  if (traitsOf(element).inBays) return passTasks(asked, info, before);
  const begun = isDug(asked, info);
  const cast = (asked.poursOf.get(id) ?? []).some((pour) => pour.cast);
  const base = { kind: 'dig' as TaskKind, element: id, pass: null, pour: null, passes: 0 };
  const out = digTasks(asked, info, before);
  const trimmed = trim * bottomArea;
  if (trimmed > NONE)
    out.push({
      ...base,
      id: `trim/${id}`,
      kind: 'trim',
      quantity: trimmed,
      unit: 'volume',
      resource: 'crew',
      after: [`dig/${id}`],
      done: begun ? 1 : 0,
      by: { rate: 'digByHand', each: 'person' },
    });
  out.push(...look(asked, 'seen', 'bottom', info, [`trim/${id}`, `dig/${id}`]));
  const laid = [`seen/${id}`, `trim/${id}`, `dig/${id}`];
  const cards = info.cards.length;
  if (stone + makeUp > NONE)
    out.push({
      ...base,
      id: `bed/${id}`,
      kind: 'bed',
      quantity: stone,
      unit: 'volume',
      resource: 'crew',
      after: laid,
      done: cast ? 1 : cards > 0 ? info.cards.filter((card) => card.laid !== null).length / cards : 0,
      by: {
        hours: stone / rateOf('stoneLaid', null, null).rate + tampHours(info, plan),
        from: 'typical',
      },
    });
  const lean = sum(layers.map(({ layer, volume }) => (layerValues(layer).cast ? volume : 0)));
  if (lean > NONE)
    out.push({
      ...base,
      id: `lean/${id}`,
      kind: 'lean',
      quantity: lean,
      unit: 'volume',
      resource: 'crew',
      after: [`bed/${id}`, ...laid],
      done: cast ? 1 : 0,
      by: { rate: 'leanLaid', each: 'person' },
    });
  const formed = concrete > 0 ? footArea(info) : 0;
  if (formed > NONE)
    out.push({
      ...base,
      id: `forms/${id}`,
      kind: 'forms',
      quantity: formed,
      unit: 'area',
      resource: 'crew',
      after: [`lean/${id}`, `bed/${id}`, ...laid],
      done: cast ? 1 : 0,
      by: { rate: 'formed', each: 'person' },
    });
  if (concrete > 0)
    out.push(...look(asked, 'looked', 'forms', info, [`forms/${id}`, `lean/${id}`, `bed/${id}`, ...laid]));
  return out;
}

/**
 * A run under an old wall, pass after pass: dig, seen, formed, then cast, cured, packed, let go; the next waits until the
 * last is. Whoever lets it go is called while it cures, so he comes when it is packed.
 */
function passTasks(asked: Asked, info: ElementTakeoff, before: string | null): Plain[] {
  const { plan, job, bays: all } = asked;
  const { bays, id, element } = info;
  if (!bays) return [];
  const hours = job.work.hand.elements.find((one) => one.id === id)?.hours;
  const way = underpinOf(element)?.out ?? null;
  const wide = sizesOf(element).across;
  return bays.passes.flatMap((own, i): Plain[] => {
    const pass = i + 1;
    const dug = (bays.each.soil + bays.each.access) * own.length;
    const share = (state: BayNow['state']) =>
      own.filter((bay) =>
        all.some((one) => one.element === id && one.bay === bay && isPast(one.state, state)),
      ).length / Math.max(1, own.length);
    const carried = way === null ? 0 : outOf(way, dug).hours;
    const byHand = hours
      ? (hours * own.length) / bays.count / plan.days.people
      : dug / rateOf('digByHand', null, null).rate / plan.days.people;
    const faces = element.method === 'formed' && wide > 0 ? (bays.each.concrete / wide) * own.length : 0;
    const base = { element: id, pass, pour: null, passes: 0, resource: 'crew' as Resource };
    const cast = `cure/${id}.${pass}`;
    const out: Plain[] = [
      {
        ...base,
        id: `dig/${id}.${pass}`,
        kind: 'dig',
        quantity: dug,
        unit: 'volume',
        after: pass === 1 ? ['setout', before] : [`released/${id}.${pass - 1}`],
        done: share('open'),
        by: { hours: Math.max(byHand, carried), from: hours ? job.work.hand.from : 'typical' },
      },
      ...look(asked, 'seen', 'bay', info, [`dig/${id}.${pass}`], pass).map((one) => ({
        ...one,
        done: share('seen'),
      })),
    ];
    if (faces > NONE)
      out.push({
        ...base,
        id: `forms/${id}.${pass}`,
        kind: 'forms',
        quantity: faces,
        unit: 'area',
        after: [`seen/${id}.${pass}`, `dig/${id}.${pass}`],
        done: share('poured'),
        by: { rate: 'formed', each: 'person' },
      });
    out.push({
      ...base,
      id: `pack/${id}.${pass}`,
      kind: 'pack',
      quantity: bays.each.pack * own.length,
      unit: 'volume',
      after: [cast],
      done: share('packed'),
      by: { rate: 'dryPacked', each: 'person' },
    });
    // By no clock: he was called for the day.
    out.push({
      ...base,
      id: `released/${id}.${pass}`,
      kind: 'released',
      quantity: null,
      unit: null,
      resource: null,
      after: [`pack/${id}.${pass}`, cast],
      done: share('released'),
      by: { hours: 0, from: 'typed' },
    });
    return out;
  });
}

/** A pass under an old wall cures by itself: the next waits for it. */
function cureOf({ id, casts }: Pour): string {
  const pass = casts.find(({ stage }) => stage === 'pass');
  return pass ? `cure/${pass.element}.${pass.number}` : `cure/${id}`;
}

/** How long a pour takes: mixed by hand by its people, at the rate somebody typed it is placed at, else as is typical of a whole pour. */
function castAt({ pour: { hand, placing }, days }: Plan, { mixed, wanted }: Pour): Plain['by'] {
  if (mixed) return { hours: (wanted * hand.hours) / days.people, from: 'typed' };
  return placing.rate === null
    ? { rate: 'poured', each: 'all' }
    : { hours: wanted / placing.rate, from: 'typed' };
}

/** Each pour, what it cures, and forms taken off. */
function pourTasks({ plan, job, now, cold }: Asked, pour: Pour, known: ReadonlySet<string>): Plain[] {
  const own = job.elements.filter(({ id }) => pour.elements.includes(id));
  const passes = pour.casts.filter(({ stage }) => stage === 'pass');
  const ready = own.flatMap(({ id, element }) =>
    traitsOf(element).inBays
      ? passes.flatMap((cast) =>
          cast.element === id
            ? [`forms/${id}.${cast.number}`, `seen/${id}.${cast.number}`, `dig/${id}.${cast.number}`]
            : [],
        )
      : [`looked/${id}`, `forms/${id}`, `lean/${id}`, `bed/${id}`, `seen/${id}`, `trim/${id}`, `dig/${id}`],
  );
  // What stands under it is cast and can be stood on.
  const under = job.pours
    .filter((other) => other.turn < pour.turn && other.elements.some((id) => pour.elements.includes(id)))
    .map((other) => `pour/${other.id}`);
  const base = { element: null, pass: null, pour: pour.id, done: pour.cast ? 1 : 0 };
  const bay = passes.length > 0;
  const cure = bay ? plan.days.bayCure : plan.backfill.cureDays;
  const when = castWhen(
    pour.casts.map(({ key }) => key),
    job.facts.poured,
  );
  const left = (days: number) =>
    when === null ? days * 24 : (curedAt(when, days, cold, plan.water.zone) - now) / HOUR_MS;
  return [
    {
      ...base,
      id: `pour/${pour.id}`,
      kind: 'pour',
      quantity: pour.wanted,
      unit: 'volume',
      passes: 0,
      resource: 'crew',
      after: [`forms/${pour.id}`, ...ready.filter((id) => known.has(id)), ...under],
      by: castAt(plan, pour),
    },
    {
      ...base,
      id: cureOf(pour),
      kind: 'cure',
      quantity: null,
      unit: null,
      passes: Math.max(0, left(cure)),
      resource: null,
      after: [`pour/${pour.id}`],
      done: when !== null && left(cure) <= 0 ? 1 : 0,
      by: { hours: 0, from: 'typed' },
    },
    ...formTasks(plan, pour, own, left, [...under, ...ready.filter((id) => known.has(id))]),
  ];
}

/** Forms of what is cast on something of its own element, and forms taken off again. @param left hours until so many days it cures have passed */
function formTasks(
  { days }: Plan,
  pour: Pour,
  own: readonly ElementTakeoff[],
  left: (days: number) => number,
  before: readonly string[],
): Plain[] {
  const base = { element: null, pass: null, pour: pour.id, passes: 0 };
  const walls = sum(
    own.map((info) => sum(pour.casts.map((cast) => (cast.element === info.id ? castArea(info, cast) : 0)))),
  );
  const formed = pourArea(own, pour);
  const out: Plain[] = [];
  if (walls > NONE)
    out.push({
      ...base,
      id: `forms/${pour.id}`,
      kind: 'forms',
      quantity: walls,
      unit: 'area',
      resource: 'crew',
      after: before,
      done: pour.cast ? 1 : 0,
      by: { rate: 'formed', each: 'person' },
    });
  // What is cast against the earth under an old wall has none to take off.
  if (formed <= NONE || pour.casts.some(({ stage }) => stage === 'pass')) return out;
  out.push(
    {
      ...base,
      id: `formsoff/${pour.id}`,
      kind: 'formsoff',
      quantity: formed,
      unit: 'area',
      resource: 'crew',
      after: [`stay/${pour.id}`],
      done: 0,
      by: { rate: 'formsOff', each: 'person' },
    },
    {
      ...base,
      id: `stay/${pour.id}`,
      kind: 'cure',
      quantity: null,
      unit: null,
      passes: Math.max(0, left(days.formsStay)),
      resource: null,
      after: [`pour/${pour.id}`],
      done: pour.cast && left(days.formsStay) <= 0 ? 1 : 0,
      by: { hours: 0, from: 'typed' },
    },
  );
  return out;
}

/** Proofing, and filling again once it is cured, seen and let. */
function fillTasks(
  { plan, poursOf, backfill }: Asked,
  info: ElementTakeoff,
  { volume, done }: ToFill,
): Plain[] {
  const { id, element } = info;
  const pours = poursOf.get(id) ?? [];
  const base = { element: id, pass: null, pour: null, passes: 0, done: 0 };
  const cured = pours.flatMap((pour) => [cureOf(pour), `formsoff/${pour.id}`]);
  const asked = backfill.get(id) ?? [];
  const out: Plain[] = [];
  if (volume <= NONE) return out;
  if (standsIn(element) && (plan.backfill.damp !== 'none' || boxElementOf(element) !== null))
    out.push({
      ...base,
      id: `proof/${id}`,
      kind: 'proof',
      quantity:
        sum(
          pours.map((pour) =>
            sum(pour.casts.map((cast) => (cast.element === id ? castArea(info, cast) : 0))),
          ),
        ) / 2,
      unit: 'area',
      resource: 'crew',
      after: pours.map((pour) => `formsoff/${pour.id}`),
      done: done > 0 ? 1 : 0,
      by: { rate: 'proofed', each: 'person' },
    });
  // Time makes it ready to be asked for; who lets it go comes by notice.
  if (asked.length > 0)
    out.push({
      ...base,
      id: `let/${id}`,
      kind: 'looked',
      quantity: null,
      unit: null,
      resource: null,
      after: [...cured, `proof/${id}`],
      done: asked.some(isOpen) ? 0 : 1,
      by: { hours: plan.days.notice, from: 'typed' },
    });
  out.push({
    ...base,
    id: `fill/${id}`,
    kind: 'fill',
    quantity: volume,
    unit: 'volume',
    resource: 'crew',
    after: [`let/${id}`, ...cured, `proof/${id}`, `dig/${id}`],
    done,
    by: { rate: 'filledBack', each: 'all' },
  });
  return out;
}

/** What tasks are made of beside the job. */
interface TasksAsked {
  /** Ids in the order they are dug; those left out follow as they were drawn. */
  readonly order: readonly string[];
  /** What is filled again, by id of element. */
  readonly fills: ReadonlyMap<string, ToFill>;
  readonly bays: readonly BayNow[];
  /** When it is asked, ms since 1970: what cures since it was cast is so much farther. */
  readonly now: number;
  /** Share of what the machine digs that lies in a crust so deep. */
  readonly crust: (depth: number) => number;
}

/** Tasks of a job. */
export function tasksOf(
  plan: Plan,
  job: Tasked,
  holds: readonly Hold[],
  { order, fills, bays, now, crust }: TasksAsked,
): Task[] {
  const live = job.elements.filter((info) => info.live);
  const rank = new Map(order.map((id, i) => [id, i]));
  const dug = live
    .filter(({ element }) => !element.hand && !traitsOf(element).inBays)
    .toSorted((p, q) => (rank.get(p.id) ?? 1e6 + p.index) - (rank.get(q.id) ?? 1e6 + q.index));
  const logged = sum([...job.facts.dug.values()].flat().map(({ volume }) => volume));
  const poursOf = new Map<string, Pour[]>();
  for (const pour of job.pours)
    for (const id of pour.elements) {
      const own = poursOf.get(id);
      if (own) own.push(pour);
      else poursOf.set(id, [pour]);
    }
  const asked: Asked = {
    plan,
    job,
    holds: new Map(
      holds.flatMap((hold) =>
        hold.element === null || hold.kind === 'own'
          ? []
          : [[holdKeyOf(hold.kind, hold.element), hold] as const],
      ),
    ),
    backfill: gathered(
      null,
      holds,
      ({ before, element }) => (before === 'backfill' ? element : null),
      (hold) => hold,
    ),
    poursOf,
    dug,
    shares: dugShares(dug, logged),
    loads: loadsBy(live, sum(job.loads.slice(0, 1).map(({ loads }) => loads))),
    bays,
    now,
    cold: coldDays(plan, job.facts.weather),
    crust,
  };
  const plain: Plain[] = [];
  const base = { element: null, pass: null, pour: null, passes: 0 };
  if (live.length > 0)
    plain.push({
      ...base,
      id: 'setout',
      kind: 'setout',
      quantity: setoutPoints(plan).length,
      unit: 'count',
      resource: 'crew',
      after: [],
      done: job.facts.taped.length > 0 ? 1 : 0,
      by: { rate: 'setOut', each: 'all' },
    });
  if (job.strips.bank > NONE)
    plain.push({
      ...base,
      id: 'strip',
      kind: 'strip',
      quantity: job.strips.bank,
      unit: 'volume',
      resource: 'machine',
      after: ['setout'],
      done: logged > 0 ? 1 : 0,
      by: { rate: 'stripped', each: 'all' },
      crust: stripCrust(job),
    });
  const machineOrder = new Map(dug.map(({ id }, i) => [id, i > 0 ? `dig/${dug[i - 1]!.id}` : null]));
  for (const info of live) plain.push(...elementTasks(asked, info, machineOrder.get(info.id) ?? null));
  const known = new Set(plain.map(({ id }) => id));
  for (const pour of job.pours) plain.push(...pourTasks(asked, pour, known));
  for (const info of live)
    plain.push(...fillTasks(asked, info, fills.get(info.id) ?? { volume: 0, done: 0 }));
  const inner = innerDigs(live);
  const waiting = plain.map((task) =>
    task.kind === 'dig' && task.pass === null && task.element !== null
      ? { ...task, after: [...task.after, ...(inner.get(task.element) ?? [])] }
      : task,
  );
  return typed(plan, begun(waiting));
}

/** Truckloads shared out by what is dug of each, so that they add up: one that is begun is of whoever begins it. */
function loadsBy(live: readonly ElementTakeoff[], loads: number): Map<string, number> {
  const total = sum(live.map(({ volume }) => volume));
  let [dug, sent] = [0, 0];
  return new Map(
    live.map(({ id, volume }) => {
      dug += volume;
      const until = total > NONE ? Math.ceil((dug / total) * loads - 1e-9) : 0;
      const own = until - sent;
      sent = until;
      return [id, own] as const;
    }),
  );
}

/** Share of what is stripped that lies in a crust so deep: of each its own thickness, m³ over m². */
const stripCrust =
  ({ strips }: Tasked) =>
  (depth: number): number =>
    strips.bank <= NONE
      ? 0
      : sum(strips.items.map(({ bank, area }) => Math.min(bank, area * depth))) / strips.bank;

/**
 * Digs that would take the ground from beside a wall that is being underpinned wait until its last pass is let go: those
 * deeper than the old wall's underside and no farther from it than they are deeper (1:1, assumed).
 */
function innerDigs(live: readonly ElementTakeoff[]): Map<string, string[]> {
  const out = new Map<string, string[]>();
  for (const run of live) {
    const old = underpinOf(run.element)?.old;
    if (!old || !run.bays) continue;
    const last = `released/${run.id}.${run.bays.passes.length}`;
    for (const own of live) {
      const deeper = old.underside - own.dug;
      if (own.id === run.id || own.bays || deeper <= NONE) continue;
      const near = run.bottoms.some((p) => own.bottoms.some((q) => gapBetween(p, q) < deeper));
      if (near) out.set(own.id, [...(out.get(own.id) ?? []), last]);
    }
  }
  return out;
}

/** What comes before something that was begun is done, whether anybody logged it or not. */
function begun(plain: readonly Plain[]): Plain[] {
  const byId = new Map(plain.map((task) => [task.id, task]));
  const done = new Set<string>();
  const back = (task: Plain): void => {
    for (const id of task.after) {
      const before = id === null ? undefined : byId.get(id);
      // What the machine was at before is no need of it: it may have been passed over.
      if (!before || done.has(before.id) || (task.kind === 'dig' && before.kind === 'dig')) continue;
      // How far a pass is, its bays say one by one.
      if (before.pass !== null) continue;
      done.add(before.id);
      back(before);
    }
  };
  for (const task of plain) if (task.done > 0) back(task);
  return plain.map((task) => (done.has(task.id) ? { ...task, done: 1 } : task));
}

/** What was typed of tasks, over what the plan says; what is not there is waited for by nobody. */
function typed({ days }: Plan, plain: readonly Plain[]): Task[] {
  const ids = new Set(plain.map(({ id }) => id));
  const said = new Map(days.own.map((own) => [own.task, own]));
  return plain.map(({ by, after, ...task }): Task => {
    const own = said.get(task.id);
    const people = own?.people ?? days.people;
    const taken = 'rate' in by ? rateOf(by.rate, null, own?.rate ?? null) : null;
    const rate = taken
      ? taken.rate * ('rate' in by && by.each === 'person' ? people : 1)
      : (own?.rate ?? null);
    const worked =
      own?.hours ??
      (rate !== null && task.quantity !== null
        ? task.quantity / rate
        : 'hours' in by
          ? by.hours * (own?.people ? days.people / own.people : 1)
          : 0);
    const from =
      own?.hours != null || own?.rate != null
        ? 'typed'
        : (taken?.from ?? ('hours' in by ? by.from : 'typical'));
    return {
      ...task,
      rate,
      from,
      people,
      work: worked,
      pin: own?.pin ?? null,
      crust: task.crust ?? null,
      after: [...new Set([...after, ...(own?.after ?? [])])].filter(
        (id): id is string => id !== null && id !== task.id && ids.has(id),
      ),
    };
  });
}
