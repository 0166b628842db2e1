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
import { perimeter } from '../geometry/index.ts';
import { type HeldJob, type Hold, isOpen } from '../holds/index.ts';
import { layerValues } from '../plan/beds.ts';
import type { HoldKind } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { boxElementOf, outlinedOf, traitsOf } from '../plan/variants.ts';
import type { Pour } from '../pour/index.ts';
import { type RateId, rateOf } from '../rates/index.ts';
import type { Origin } from '../results/index.ts';
import { setoutPoints, sizesOf } from '../setout/index.ts';
import type { ElementTakeoff, Job } from '../takeoff/index.ts';
import type { Kind } from '../units/index.ts';

const TASK_KINDS = [
  'setout',
  'strip',
  'dig',
  'trim',
  'seen',
  'bed',
  'lean',
  'forms',
  'looked',
  'pour',
  'cure',
  'formsoff',
  'proof',
  'fill',
] as const;
export type TaskKind = (typeof TASK_KINDS)[number];

/** Who or what is at a task; a look and a cure take nobody. */
export type Resource = 'machine' | 'crew' | null;

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
}

/** A job as tasks are made of it. */
export type Tasked = HeldJob & Pick<Job, 'work' | 'strips'>;

/** What is filled again at an element, m³, and the share of it that is laid. */
export interface ToFill {
  readonly volume: number;
  readonly done: number;
}

/** A task before what was typed of it is looked at. */
interface Plain extends Omit<Task, 'rate' | 'from' | 'people' | 'work' | 'pin' | 'after'> {
  readonly after: readonly (string | null)[];
  /** Of a rate of the table; or its hours as they were worked out elsewhere. */
  readonly by:
    | { readonly rate: RateId; readonly each: 'person' | 'all' }
    | { readonly hours: number; readonly from: Origin };
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const NONE = 1e-6;

/** m² of formed faces of a footing, a wall or a box. */
function formedArea({ element, rising }: ElementTakeoff): number {
  if (element.method !== 'formed') return 0;
  const outlined = outlinedOf(element);
  const { along, across } = sizesOf(element);
  const round = outlined ? perimeter(outlined.outline) : 2 * (along + across);
  const box = boxElementOf(element);
  const foot = round * (box ? box.height * 2 : element.thickness);
  const wall =
    rising && rising.top !== null && element.rising?.made === 'cast'
      ? 2 * along * (rising.top - rising.bottom)
      : 0;
  return foot + wall;
}

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
  readonly holds: readonly Hold[];
  /** Those dug by the machine, in their order. */
  readonly dug: readonly ElementTakeoff[];
  readonly shares: ReadonlyMap<string, number>;
}

const holdAt = (holds: readonly Hold[], kind: HoldKind, id: string) =>
  holds.find((hold) => hold.kind === kind && hold.element === id);

/** A look somebody is asked for: it takes nobody, and so many working hours of notice. */
function look(
  { plan, holds }: Asked,
  kind: 'seen' | 'looked',
  hold: HoldKind,
  { id }: ElementTakeoff,
  after: readonly (string | null)[],
  pass: number | null = null,
): Plain[] {
  const asked = holdAt(holds, hold, id);
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

/** What is done at one element before it is cast; a run under an old wall pass by pass. */
function elementTasks(asked: Asked, info: ElementTakeoff, before: string | null): Plain[] {
  const { plan, job, shares, dug } = asked;
  const { id, element, bottomArea, trim, makeUp, stone, concrete, layers } = info;
  const machine = job.work.machines.find((one) => one.machine === plan.dig.machine) ?? job.work.machines[0];
  const byHand = job.work.hand.elements.find((one) => one.id === id);
  const total = sum(dug.map(({ volume }) => volume));
  const begun =
    job.asDug.has(id) || job.facts.bottom.has(id) || info.cards.some((card) => card.laid !== null);
  const cast = job.pours.some((pour) => pour.cast && pour.elements.includes(id));
  const base = { kind: 'dig' as TaskKind, element: id, pass: null, pour: null, passes: 0 };
  const out: Plain[] = [
    {
      ...base,
      id: `dig/${id}`,
      quantity: info.volume,
      unit: 'volume',
      resource: byHand ? 'crew' : 'machine',
      after: ['setout', 'strip', before],
      done: begun || cast ? 1 : (shares.get(id) ?? 0),
      by: byHand
        ? { hours: byHand.hours / plan.days.people, from: job.work.hand.from }
        : { hours: machine && total > 0 ? (machine.hours * info.volume) / total : 0, from: 'typical' },
    },
  ];
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
      done: begun || cast ? 1 : 0,
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
  const formed = concrete > 0 ? formedArea(info) : 0;
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
  if (!traitsOf(element).inBays) return out;
  return passTasks(asked, info, before);
}

/** A run under an old wall: dig, seen, pour, cure, pass after pass; the next waits until the last is packed. */
function passTasks(asked: Asked, info: ElementTakeoff, before: string | null): Plain[] {
  const { plan, job } = asked;
  const { bays, id } = info;
  if (!bays) return [];
  const hours = job.work.hand.elements.find((one) => one.id === id)?.hours;
  return bays.passes.flatMap((own, i): Plain[] => {
    const pass = i + 1;
    const dug = (bays.each.soil + bays.each.access) * own.length;
    const last = pass === 1 ? ['setout', before] : [`cure/${id}.${pass - 1}`];
    const poured = job.pours.some(
      (pour) =>
        pour.cast &&
        pour.casts.some((cast) => cast.element === id && cast.stage === 'pass' && cast.number === pass),
    );
    const base = { element: id, pass, pour: null, passes: 0 };
    return [
      {
        ...base,
        id: `dig/${id}.${pass}`,
        kind: 'dig',
        quantity: dug,
        unit: 'volume',
        resource: 'crew',
        after: last,
        done: poured ? 1 : 0,
        by: hours
          ? { hours: (hours * own.length) / bays.count / plan.days.people, from: job.work.hand.from }
          : { rate: 'digByHand', each: 'person' },
      },
      ...look(asked, 'seen', 'bay', info, [`dig/${id}.${pass}`], pass).map((one) => ({
        ...one,
        done: poured ? 1 : 0,
      })),
    ];
  });
}

/** A pass under an old wall cures by itself: the next waits for it. */
function cureOf({ id, casts }: Pour): string {
  const pass = casts.find(({ stage }) => stage === 'pass');
  return pass ? `cure/${pass.element}.${pass.number}` : `cure/${id}`;
}

/** Each pour, what it cures, and forms taken off. */
function pourTasks({ plan, job }: Asked, pour: Pour, known: ReadonlySet<string>): Plain[] {
  const own = job.elements.filter(({ id }) => pour.elements.includes(id));
  const passes = pour.casts.filter(({ stage }) => stage === 'pass');
  const ready = own.flatMap(({ id, element }) =>
    traitsOf(element).inBays
      ? passes.flatMap((cast) =>
          cast.element === id ? [`seen/${id}.${cast.number}`, `dig/${id}.${cast.number}`] : [],
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
  const formed = sum(own.map(formedArea));
  const out: Plain[] = [
    {
      ...base,
      id: `pour/${pour.id}`,
      kind: 'pour',
      quantity: pour.wanted,
      unit: 'volume',
      passes: 0,
      resource: 'crew',
      after: [...ready.filter((id) => known.has(id)), ...under],
      by: { rate: 'poured', each: 'all' },
    },
    {
      ...base,
      id: cureOf(pour),
      kind: 'cure',
      quantity: null,
      unit: null,
      passes: cure * 24,
      resource: null,
      after: [`pour/${pour.id}`],
      done: 0,
      by: { hours: 0, from: 'typed' },
    },
  ];
  if (formed > NONE && !bay) {
    out.push({
      ...base,
      id: `formsoff/${pour.id}`,
      kind: 'formsoff',
      quantity: formed,
      unit: 'area',
      passes: 0,
      resource: 'crew',
      after: [`stay/${pour.id}`],
      done: 0,
      by: { rate: 'formsOff', each: 'person' },
    });
    out.push({
      ...base,
      id: `stay/${pour.id}`,
      kind: 'cure',
      quantity: null,
      unit: null,
      passes: plan.days.formsStay * 24,
      resource: null,
      after: [`pour/${pour.id}`],
      done: 0,
      by: { hours: 0, from: 'typed' },
    });
  }
  return out;
}

/** Proofing, and filling again once it is cured, seen and let. */
function fillTasks({ plan, job, holds }: Asked, info: ElementTakeoff, { volume, done }: ToFill): Plain[] {
  const { id, element } = info;
  const pours = job.pours.filter(({ elements }) => elements.includes(id));
  const base = { element: id, pass: null, pour: null, passes: 0, done: 0 };
  const cured = pours.flatMap((pour) => [cureOf(pour), `formsoff/${pour.id}`]);
  const asked = holds.filter((hold) => hold.before === 'backfill' && hold.element === id);
  const out: Plain[] = [];
  if (volume <= NONE) return out;
  if (standsIn(element) && (plan.backfill.damp !== 'none' || boxElementOf(element) !== null))
    out.push({
      ...base,
      id: `proof/${id}`,
      kind: 'proof',
      quantity: formedArea(info) / 2,
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

/**
 * Tasks of a job.
 * @param order ids in the order they are dug; those left out follow as they were drawn
 * @param fills what is filled again, by id of element
 */
export function tasksOf(
  plan: Plan,
  job: Tasked,
  holds: readonly Hold[],
  order: readonly string[],
  fills: ReadonlyMap<string, ToFill>,
): Task[] {
  const live = job.elements.filter((info) => info.live);
  const rank = new Map(order.map((id, i) => [id, i]));
  const dug = live
    .filter(({ element }) => !element.hand && !traitsOf(element).inBays)
    .toSorted((p, q) => (rank.get(p.id) ?? 1e6 + p.index) - (rank.get(q.id) ?? 1e6 + q.index));
  const logged = sum([...job.facts.dug.values()].flat().map(({ volume }) => volume));
  const asked: Asked = { plan, job, holds, dug, shares: dugShares(dug, logged) };
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
    });
  const machineOrder = new Map(dug.map(({ id }, i) => [id, i > 0 ? `dig/${dug[i - 1]!.id}` : null]));
  for (const info of live) plain.push(...elementTasks(asked, info, machineOrder.get(info.id) ?? null));
  const known = new Set(plain.map(({ id }) => id));
  for (const pour of job.pours) plain.push(...pourTasks(asked, pour, known));
  for (const info of live)
    plain.push(...fillTasks(asked, info, fills.get(info.id) ?? { volume: 0, done: 0 }));
  return typed(plan, begun(plain));
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
      after: [...new Set([...after, ...(own?.after ?? [])])].filter(
        (id): id is string => id !== null && id !== task.id && ids.has(id),
      ),
    };
  });
}
