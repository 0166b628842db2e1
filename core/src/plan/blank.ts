/** A blank plan and new elements, with typical starting figures a person then replaces. */
import type { System } from '../units/index.ts';
import { INCH } from '../units/index.ts';
import { PLAN_FORMAT, PLAN_VERSION } from './ranges.ts';
import type { GroundLog, Pad, Plan, Strip } from './schema.ts';

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
    system,
    ruleSet: metric ? 'cautious' : 'us',
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
    dig: {
      corners: 'mitred',
      side: 1,
      room: size(300, 12),
      machine: '',
      buckets: metric ? [0.45, 0.6, 0.9] : [18 * INCH, 24 * INCH, 36 * INCH],
      handTrim: null,
    },
    spoil: {
      topsoil: 'keep',
      keepForBackfill: true,
      trucks: [
        { id: 'tipper', name: metric ? '8 m³' : '10 yd³', body: metric ? 8 : 7.645548, payload: 13000 },
      ],
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
    prices: { currency: '', dig: null, load: null, stone: null, lean: null, concrete: null },
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
  };
}

export function newPad(plan: Plan, at: Pad['at'], length?: number, width?: number): Pad {
  const id = nextName('P', names(plan));
  const size = plan.system === 'metric' ? 1 : 48 * INCH;
  return { kind: 'pad', ...common(plan, id), at, length: length ?? size, width: width ?? size, angle: 0 };
}
