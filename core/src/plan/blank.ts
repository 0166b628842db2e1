/** A blank plan and new elements, with typical starting figures a person then replaces. */

import { typicalMachine } from '../dig/machines.ts';
import type { System } from '../units/index.ts';
import { INCH } from '../units/index.ts';
import { PLAN_FORMAT, PLAN_VERSION } from './ranges.ts';
import type { GroundLog, Pad, PitBox, Plan, Raft, Ramp, Strip } from './schema.ts';

/** The next free id or name of the form T1, T2, … */
export function nextName(prefix: string, taken: readonly string[]): string {
  let n = 1;
  while (taken.includes(`${prefix}${n}`)) n++;
  return `${prefix}${n}`;
}

/** A log with nothing on it yet but its place. */
export const newLog = (
  id: string,
  name: string,
  at: readonly [number, number],
  bottom: number,
): GroundLog => ({
  id,
  name,
  at,
  layers: [],
  bottom,
  strike: null,
  standing: null,
  perched: false,
  note: '',
});

/** A plan with ground and levels but nothing dug yet. Frost is left open: nobody may guess it. */
export function blankPlan(name: string, system: System): Plan {
  const metric = system === 'metric';
  const size = (mm: number, inches: number) => (metric ? mm / 1000 : inches * INCH);
  return {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name,
    place: '',
    note: '',
    assumed: ['/ground/logs/0', '/levels/cover'],
    system,
    ruleSet: metric ? 'cautious' : 'us',
    ownRules: {
      protectFrom: 1.2,
      a: 0.75,
      b: 1,
      c: 1.5,
      engineerDepth: 6.1,
      setback: 0.61,
      ladderDepth: 1.22,
      ladderTravel: 7.6,
    },
    datum: { name: '', level: 100, east: 0, north: 0 },
    ground: {
      surface: { kind: 'plane', level: 100, gradeEast: 0, gradeNorth: 0 },
      soils: [
        { id: 'topsoil', name: '', kind: 'topsoil', values: {}, hand: null },
        { id: 'subsoil', name: '', kind: 'stiffClay', values: {}, hand: null },
      ],
      logs: [
        {
          ...newLog('log-1', 'TP1', [0, 0], 4),
          layers: [
            { soil: 'topsoil', top: 0, note: '' },
            { soil: 'subsoil', top: size(250, 10), note: '' },
          ],
        },
      ],
      base: 4,
      water: null,
      waterHigh: null,
      hazards: [],
      frost: { local: null, climate: null, cover: [], margin: size(100, 4), frozen: null },
    },
    levels: {
      string: 100.5,
      floors: [],
      bearing: null,
      cover: size(450, 18),
      steps: { height: null, lap: null, tread: null },
      influence: 1,
      instructions: [],
      shallow: null,
    },
    setout: {
      offset: size(1000, 36),
      tension: 100,
      weight: 0.002,
      tolerance: size(5, 0.25),
      temperature: null,
      measured: [],
    },
    site: { boundary: [], gates: [], areas: [], paths: [] },
    dig: {
      corners: 'mitred',
      side: 1,
      room: size(300, 12),
      support: 'slope',
      bench: { height: size(1200, 48), width: size(1200, 48) },
      shore: size(100, 4),
      machines: [typicalMachine('machine-1', 8)],
      machine: 'machine-1',
      order: [],
      buckets: metric ? [0.45, 0.6, 0.9] : [18 * INCH, 24 * INCH, 36 * INCH],
      cramped: false,
      day: { start: '07:30', hours: 8 },
      handTrim: null,
    },
    spoil: {
      topsoil: 'keep',
      keepForBackfill: true,
      spread: 0.1,
      trucks: [
        {
          id: 'tipper',
          name: metric ? '8 m³' : '10 yd³',
          body: metric ? 8 : 7.645548,
          payload: 13000,
          side: size(2400, 96),
        },
      ],
      trip: 40,
      fleet: 1,
    },
    base: null,
    pour: {
      blinding: null,
      irregularity: null,
      waste: 0.05,
      step: metric ? 0.5 : 0.3822774,
      truck: 6,
      makeUp: 'concrete',
    },
    prices: { currency: '', dig: null, load: null, stone: null, lean: null, concrete: null, shoring: null },
    elements: [],
  };
}

const common = (plan: Plan, id: string) => ({
  id,
  name: id,
  group: '',
  thickness: plan.system === 'metric' ? 0.3 : 12 * INCH,
  method: 'formed' as const,
  floor: null,
  stem: 0,
  side: null,
  room: null,
  bucket: null,
  low: 0,
  trim: null,
  level: null,
  support: null,
});

const names = (plan: Plan) => plan.elements.flatMap((element) => [element.id, element.name]);

export function newStrip(plan: Plan, points: Strip['points'], closed = false): Strip {
  const id = nextName('T', names(plan));
  return {
    kind: 'strip',
    ...common(plan, id),
    points,
    closed,
    width: plan.system === 'metric' ? 0.6 : 24 * INCH,
    stepped: false,
    use: 'footing',
    fall: 0,
    bay: 1.2,
    key: null,
  };
}

export function newPad(plan: Plan, at: Pad['at'], length?: number, width?: number): Pad {
  const id = nextName('P', names(plan));
  const size = plan.system === 'metric' ? 1 : 48 * INCH;
  return { kind: 'pad', ...common(plan, id), at, length: length ?? size, width: width ?? size, angle: 0 };
}

export function newRaft(plan: Plan, outline: Raft['outline']): Raft {
  const id = nextName('R', names(plan));
  const metric = plan.system === 'metric';
  return {
    kind: 'raft',
    ...common(plan, id),
    thickness: metric ? 0.2 : 8 * INCH,
    outline,
    edge: { depth: metric ? 0.25 : 10 * INCH, width: metric ? 0.4 : 16 * INCH },
  };
}

export function newPit(plan: Plan, outline: PitBox['outline']): PitBox {
  const id = nextName('B', names(plan));
  const metric = plan.system === 'metric';
  return {
    kind: 'pit',
    ...common(plan, id),
    room: metric ? 0.6 : 24 * INCH,
    outline,
    wall: metric ? 0.2 : 8 * INCH,
    height: metric ? 2.4 : 96 * INCH,
    roof: 0,
  };
}

/** A ramp down to an element; its foot is on the element's edge. */
export function newRamp(plan: Plan, serves: string, at: Ramp['at'], angle: number): Ramp {
  const id = nextName('A', names(plan));
  return {
    kind: 'ramp',
    ...common(plan, id),
    at,
    angle,
    width: plan.system === 'metric' ? 3 : 10 * 12 * INCH,
    grade: 0.2,
    serves,
  };
}
