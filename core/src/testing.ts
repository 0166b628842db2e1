/** Plans for tests: small, level, and with nothing left to chance. Not part of the core's door. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { env } from 'node:process';
import type { SoilKind } from './catalogue/soils.ts';
import type { Takeoff } from './compute/index.ts';
import { type RuleId, worked } from './figures/rules.ts';
import type { RecordKindId, RecordValue, SiteRecord } from './log/index.ts';
import { blankPlan, newBox, newLayer, newLog, newPad, newRaft, newRamp, newStrip } from './plan/blank.ts';
import type { BoxElement, Element, Pad, Raft, Ramp, Strip } from './plan/elements.ts';
import { isRun } from './plan/forms.ts';
import { currentPlan } from './plan/migrate.ts';
import type { BedLayer, Plan, SoilEntry } from './plan/schema.ts';
import { proofsOf } from './proofs/index.ts';

/**
 * How many cases a long drawn test draws: all, or few, an eighth, where everything is checked while someone
 * waits (`DRAWN=few`). The same ones come first either way.
 */
export const drawnCases = (all: number, few = Math.ceil(all / 8)): number =>
  env.DRAWN === 'few' ? few : all;

/** A level metric job whose one rule is a frost depth; base and blinding off. */
export function plainPlan(change: (plan: Plan) => void = () => {}): Plan {
  const plan = blankPlan('Test', 'metric');
  plan.ground.frost.local = 0.9;
  plan.levels.cover = null;
  change(plan);
  return plan;
}

export const strip = (points: Strip['points'], more: Partial<Strip> = {}): Strip => ({
  ...newStrip(blankPlan('x', 'metric'), points),
  ...more,
});
export const pad = (x: number, y: number, length: number, width: number, more: Partial<Pad> = {}): Pad => ({
  ...newPad(blankPlan('x', 'metric'), [x, y], length, width),
  ...more,
});

/** A layer of stone from face to face, its values typed. */
export const stone = (thickness: number, more: Partial<BedLayer> = {}): BedLayer => ({
  ...newLayer('crushed', [], 'metric'),
  name: 'stone',
  thickness,
  density: 2000,
  looseFactor: 1.2,
  topSize: 0.02,
  ...more,
});
export const lean = (thickness: number, projection: number): BedLayer => ({
  ...newLayer('lean', [], 'metric'),
  thickness,
  projection,
});
/** Puts every element there is on one bed of these layers, from formation up; on none without layers. */
export function bedded(plan: Plan, ...layers: BedLayer[]): void {
  const own = layers.map((layer, i) => ({ ...layer, id: `layer-${i + 1}` }));
  plan.beds = own.length > 0 ? [{ id: 'bed-1', name: 'B1', layers: own, onOldBase: false, cloth: null }] : [];
  for (const element of plan.elements) element.bed = own.length > 0 ? 'bed-1' : null;
}

type Places = readonly (readonly [number, number])[];
export const tank = (outline: Places, more: Partial<BoxElement> = {}): BoxElement => ({
  ...newBox(blankPlan('x', 'metric'), [...outline]),
  ...more,
});
export const raft = (outline: Places, more: Partial<Raft> = {}): Raft => ({
  ...newRaft(blankPlan('x', 'metric'), [...outline]),
  ...more,
});
export const ramp = (serves: string, at: Ramp['at'], angle: number, more: Partial<Ramp> = {}): Ramp => ({
  ...newRamp(blankPlan('x', 'metric'), serves, at, angle),
  ...more,
});

/** Bottoms told to lie so low, m, by element. */
export const foundLow = (lows: Readonly<Record<string, number>>): SiteRecord[] =>
  Object.entries(lows).map(([element, low]) =>
    logged('shot', { on: 'formation', from: { by: 'said', low } }, { element }),
  );

/** Elements with ids and names of their own. */
export const named = (...elements: Element[]): Element[] =>
  elements.map((element, i) => ({ ...element, id: `E${i + 1}`, name: `E${i + 1}` }));

/** The first element, which is a strip. */
export const firstStrip = (plan: Plan): Strip => plan.elements[0] as Strip;

export const DEMOS = [
  'honey-house',
  'bell-frame',
  'drying-barn',
  'cheese-vault',
  'seed-store',
  'chapel-porch',
  'reading-room',
  'footbridge',
] as const;
export type DemoName = (typeof DEMOS)[number];
export function demo(name: DemoName): Plan {
  const file = join(import.meta.dirname, `../../demo/${name}.json`);
  const document = JSON.parse(readFileSync(file, 'utf8')) as { readonly plan?: unknown };
  // A demo on which something was logged is a job file.
  return currentPlan(document.plan ?? document)!;
}

/**
 * A plan that no longer changes: the Honey house as version 7 shipped it, whose figures many tests hold.
 * The demo of that name goes on.
 */
export const honeyHouse = (): Plan => versioned('v7-honey-house');

/** A plan as an earlier version shipped it, brought up to date. */
function versioned(name: string): Plan {
  const file = join(import.meta.dirname, `plan/versions/${name}.json`);
  return currentPlan(JSON.parse(readFileSync(file, 'utf8')))!;
}

/** One log for the whole site: soils by kind and the depth of their tops. */
export function soilsDown(
  plan: Plan,
  ...soils: readonly [id: string, kind: SoilKind, top: number, values?: SoilEntry['values']][]
): void {
  plan.ground.soils = soils.map(([id, kind, , values]) => ({
    id,
    name: '',
    kind,
    values: values ?? {},
    hand: null,
  }));
  plan.ground.logs = [
    {
      ...newLog('log-1', 'TP1', [0, 0], plan.ground.knownTo),
      layers: soils.map(([soil, , top]) => ({ soil, top, note: '' })),
    },
  ];
}

/** Puts the surface on a slope through its level at the origin. */
export function tilt(plan: Plan, gradeEast: number, gradeNorth = 0): void {
  plan.ground.surface = { kind: 'plane', level: 100, gradeEast, gradeNorth };
}

/** An engineer's word on the level, for everything. */
/** Two straight trenches side by side in one soil, begun on Monday 2 November 2026. */
export const twoTrenches = (soil: SoilKind, change: (plan: Plan) => void = () => {}): Plan =>
  plainPlan((plan) => {
    plan.dig.slope = 0;
    soilsDown(plan, ['s', soil, 0]);
    plan.elements = named(
      strip([
        [0, 0],
        [10, 0],
      ]),
      strip([
        [0, 8],
        [10, 8],
      ]),
    );
    instruct(plan, 98.8);
    plan.days.start = '2026-11-02';
    change(plan);
  });

export function instruct(plan: Plan, level: number, who = 'x'): void {
  plan.levels.instructions = [{ id: 'w', level, width: null, who, when: '', why: '', elements: [] }];
}

const SUMS = 1e-6;

/**
 * What of a takeoff does not add up: soils, elements and causes to the whole dig, what is kept and
 * what leaves likewise; and, when its plan is given, whatever a proof of its own route says otherwise.
 */
export function unbalanced(takeoff: Takeoff, plan?: Plan): string[] {
  const dug = takeoff.figures.dig.value;
  const { spoil } = takeoff;
  const add = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);
  const broken = add(takeoff.broken.displaced);
  const all = dug + takeoff.strips.bank;
  const sums = {
    // What is broken out stands in the place of soil.
    strata: [add(spoil.strata.map((stratum) => stratum.bank)) + broken, all],
    elements: [add(takeoff.elements.map((element) => element.volume)), dug],
    causes: [add(Object.values(takeoff.overdig)), dug],
    soil: [spoil.keptBank + spoil.keptTopsoil + spoil.hauledBank + broken, all],
  } as const;
  return [
    ...Object.entries(sums)
      .filter(([, [sum, total]]) => Math.abs(sum - total) > SUMS * Math.max(1e-3, total))
      .map(([what, [sum, total]]) => `${what}: ${sum} of ${total}`),
    ...(plan ? proofsOf(plan, takeoff) : [])
      .filter((check) => !check.ok)
      .map(({ code, expected, found, within }) => `${code}: ${found} for ${expected} ± ${within}`),
  ];
}

/**
 * What of a takeoff's workings does not add up: a figure no line gives, or that line otherwise; a term that is
 * not the value of the line it names; a value that is not a number.
 */
export function unworked({ figures }: Pick<Takeoff, 'figures'>): string[] {
  const near = (one: number, other: number) =>
    Math.abs(one - other) <= 1e-9 * Math.max(1, Math.abs(one), Math.abs(other));
  return Object.values(figures).flatMap(({ id, value, workings }) => {
    const giving = workings.filter(({ gives }) => gives);
    const out: string[] = [];
    if (giving.length > 1 || (value !== 0 && giving.length === 0))
      out.push(`${id}: ${giving.length} lines give it`);
    for (const line of giving)
      if (!near(line.value, value)) out.push(`${id}: ${line.step} gives ${line.value} for ${value}`);
    for (const { step, rule, value: own, inputs } of workings) {
      if (!Number.isFinite(own)) out.push(`${id}: ${step} is ${own}`);
      if (rule !== null && !near(worked(rule as RuleId, inputs), own))
        out.push(`${id}: ${step} is not ${rule}`);
      for (const { line, name, label, value: term } of inputs)
        if (
          line &&
          !workings.some((one) => one.step === name && one.label === label && near(one.value, term))
        )
          out.push(`${id}: ${step} takes ${name} ${label ?? ''} for ${term}`);
    }
    return out;
  });
}

/** A record of the log, an hour after the one before. */
export function logged<K extends RecordKindId>(
  kind: K,
  value: RecordValue<K> | null,
  more: Partial<SiteRecord> = {},
): SiteRecord {
  count++;
  return {
    id: `r${count}`,
    kind,
    at: new Date(Date.UTC(2026, 0, 1, count)).toISOString(),
    by: 'Ana',
    element: null,
    placement: null,
    place: null,
    corrects: null,
    after: null,
    revision: null,
    value,
    ...more,
  } as SiteRecord;
}
let count = 0;

export { seeded } from './random/index.ts';

type PlaceOf = readonly [number, number];

/** A plan with every place put through a map that keeps lengths. */
export function placed(
  plan: Plan,
  map: (p: PlaceOf) => [number, number],
  turn: number,
  mirrored: boolean,
): Plan {
  const out = structuredClone(plan) as Plan;
  const sign = mirrored ? -1 : 1;
  const angle = (degrees: number) => (sign * degrees + (turn * 180) / Math.PI) % 360;
  const { surface } = out.ground;
  if (surface.kind === 'spots')
    surface.points = surface.points.map(([x, y, z]) => [...map([x, y]), z] as [number, number, number]);
  else {
    const [ox, oy] = map([0, 0]);
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const [e, n] = [surface.gradeEast, sign * surface.gradeNorth];
    surface.gradeEast = e * cos - n * sin;
    surface.gradeNorth = e * sin + n * cos;
    surface.level -= surface.gradeEast * ox + surface.gradeNorth * oy;
  }
  const list = (points: readonly PlaceOf[]) => points.map(map);
  for (const log of out.ground.logs) log.at = map(log.at as PlaceOf);
  for (const hazard of out.ground.hazards) hazard.points = list(hazard.points as PlaceOf[]);
  for (const area of out.site.areas) area.points = list(area.points as PlaceOf[]);
  for (const ditch of out.water.ditches) ditch.points = list(ditch.points as PlaceOf[]);
  for (const spot of out.ground.softSpots) spot.points = list(spot.points as PlaceOf[]);
  for (const element of out.elements) {
    if (isRun(element)) element.points = list(element.points as PlaceOf[]);
    else if (element.kind === 'pad' || element.kind === 'ramp') {
      element.at = map(element.at as PlaceOf);
      element.angle = angle(element.angle);
    } else {
      if (element.kind === 'raft' && element.crossfall)
        element.crossfall = { ...element.crossfall, toward: angle(element.crossfall.toward) };
      // Mirrored it runs the other way round; the corners stay the same ones.
      element.outline = list(element.outline as PlaceOf[]);
    }
  }
  return out;
}

/** Every number a crew would act on. */
export function told(takeoff: Takeoff): Record<string, number> {
  const out: Record<string, number> = {};
  for (const [id, figure] of Object.entries(takeoff.figures)) out[id] = figure.value;
  for (const [cause, value] of Object.entries(takeoff.overdig)) out[`overdig ${cause}`] = value;
  takeoff.inflow.forEach((value, i) => {
    out[`inflow ${i}`] = value * 1000;
  });
  takeoff.elements.forEach((e) => {
    Object.assign(out, {
      [`${e.id} formation`]: e.formation,
      [`${e.id} depth`]: e.depth,
      [`${e.id} volume`]: e.volume,
      [`${e.id} stone`]: e.stone,
      [`${e.id} concrete`]: e.concrete,
      [`${e.id} bottom`]: e.bottomArea,
    });
  });
  for (const s of takeoff.spoil.strata) out[`soil ${s.soil.layer.id}`] = s.bank;
  Object.assign(out, {
    bottom: takeoff.areas.bottom,
    opening: takeoff.areas.opening,
    trim: takeoff.handTrim.volume,
    homeless: takeoff.work.layDown.homeless,
    rehandled: takeoff.work.layDown.rehandled,
    lean: takeoff.lean.volume,
  });
  return out;
}

export function unlike(p: Record<string, number>, q: Record<string, number>): string[] {
  return Object.entries(p).flatMap(([key, value]) => {
    const other = q[key]!;
    return Math.abs(value - other) <= 1e-6 * Math.max(1, Math.abs(value)) ? [] : [`${key} ${value} ${other}`];
  });
}

/** One value of every kind of record that tells of a day. */
export const DAY_VALUES = {
  worked: { day: '2026-10-14', who: 'x', hours: 8, at: '' },
  hauled: { day: '2026-10-14', truck: 't', loads: 3, volume: 24, ticket: '' },
  delivered: {
    day: '2026-10-14',
    of: 'concrete',
    ordered: 7,
    came: 7,
    left: 0.4,
    due: '07:30',
    arrived: '08:10',
    ticket: '',
  },
  heap: { day: '2026-10-14', a: 8, b: 4.4, height: 1.4, angle: 37 },
  arrived: {
    day: '2026-10-14',
    truck: 't',
    due: null,
    came: '11:00',
    bucketfuls: 8,
    bucket: 0.3,
    room: 2,
    note: '',
  },
  pumped: { day: '2026-10-14', hours: 3, level: null },
  weather: { day: '2026-10-14', rain: 0.012, low: 3, high: 11, note: '' },
  stopped: { day: '2026-10-14', cause: 'rock', hours: 6, price: 62, note: '' },
  fell: { day: '2026-10-14', length: 3, height: 1.5, back: 0.6, note: '' },
  photo: { text: 'the key', width: 1600, height: 1200, size: 210_000 },
  noticed: { day: '2026-10-14', what: 'nearMiss', text: 'a stone fell' },
  handover: {
    day: '2026-10-14',
    from: 'x',
    to: 'y',
    done: 'dug',
    open: '',
    keepOff: '',
    fromFinger: '',
    toFinger: '',
  },
} as const satisfies { readonly [K in RecordKindId]?: RecordValue<K> };
