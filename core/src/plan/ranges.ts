/**
 * What each number of a plan may be: its kind and its limits in SI. One table serves the schema,
 * the fields of the desk and the messages. Limits are wide: they stop slips of a unit or a sign,
 * not unusual jobs.
 */
import type { Kind } from '../units/index.ts';

export interface Range {
  readonly kind: Kind;
  readonly min: number;
  readonly max: number;
}
export const PLAN_FORMAT = 'cimiento-plan';
export const PLAN_VERSION = 5;

/** How many of each a plan holds. */
export const MOST_ELEMENTS = 400;
export const MOST_LOGS = 60;
export const MOST_FLEET = 8;
/** A time of day as it is written. */
export const CLOCK = '^([01][0-9]|2[0-3]):[0-5][0-9]$';
/** Spot levels a plan keeps; an import of more is thinned to those that matter. */
export const MOST_SPOTS = 20_000;

const range = (kind: Kind, min: number, max: number): Range => ({ kind, min, max });

export const RANGES = {
  'datum.level': range('level', -500, 9000),
  'datum.east': range('length', -1e7, 1e7),
  'datum.north': range('length', -1e7, 1e7),
  'ground.surface.level': range('level', -500, 9000),
  'ground.surface.gradeEast': range('gradient', -0.5, 0.5),
  'ground.surface.gradeNorth': range('gradient', -0.5, 0.5),
  'ground.soils.density': range('density', 300, 3200),
  'ground.soils.swell': range('percent', 0, 1),
  'ground.soils.shrink': range('percent', -0.6, 0.5),
  'ground.soils.repose': range('angle', 10, 60),
  'ground.soils.permeability': range('permeability', 1e-13, 1),
  'ground.soils.dryDensity': range('density', 200, 3000),
  'ground.soils.moisture': range('percent', 0, 3),
  'ground.soils.finer': range('percent', 0, 1),
  'ground.soils.plasticity': range('number', 0, 200),
  'ground.soils.hand.penetrometer': range('pressure', 0, 1_000_000),
  'ground.logs.layers.top': range('length', 0, 60),
  'ground.logs.bottom': range('length', 0.1, 100),
  'ground.logs.strike': range('length', 0, 100),
  'ground.logs.standing': range('length', -5, 100),
  'ground.hazards.keepOff': range('length', 0, 50),
  'ground.hazards.depth': range('length', 0, 20),
  'ground.hazards.level': range('level', -500, 9000),
  'ground.hazards.projection': range('size', 0, 3),
  'ground.base': range('length', 0.1, 100),
  'ground.water': range('level', -500, 9000),
  'ground.waterHigh': range('level', -500, 9000),
  'ground.frost.local': range('length', 0, 5),
  'ground.frost.margin': range('size', 0, 1),
  'ground.frost.climate.index': range('degreeDays', 0, 6000),
  'ground.frost.climate.days': range('days', 1, 330),
  'ground.frost.climate.mean': range('temperature', 0, 30),
  'ground.frost.climate.nFactor': range('number', 0.1, 1.2),
  'ground.frost.cover.thickness': range('size', 0.005, 3),
  'ground.frost.cover.conductivity': range('number', 0.015, 5),
  'ground.frost.frozen.depth': range('length', 0, 5),
  'levels.string': range('level', -500, 9000),
  'levels.floors.level': range('level', -500, 9000),
  'levels.floors.layers.thickness': range('size', 0.0001, 3),
  'levels.floors.layers.joint': range('size', 0, 0.05),
  'levels.bearing.embedment': range('size', 0, 5),
  'levels.cover': range('size', 0, 5),
  'levels.steps.height': range('size', 0.05, 2),
  'levels.steps.lap': range('size', 0, 5),
  'levels.steps.tread': range('size', 0.3, 20),
  'levels.influence': range('number', 0.2, 2),
  'levels.instructions.level': range('level', -500, 9000),
  'levels.instructions.width': range('size', 0.1, 30),
  'levels.shallow.length': range('length', 0.5, 200),
  'levels.shallow.width': range('length', 0.5, 200),
  'levels.shallow.slab': range('size', 0.05, 1),
  'levels.shallow.edge': range('size', 0.05, 2),
  'levels.shallow.edgeWidth': range('size', 0.1, 3),
  'levels.shallow.distance': range('length', 0, 500),
  'levels.shallow.level': range('level', -500, 9000),
  'levels.shallow.fall': range('gradient', 0.001, 0.2),
  'ownRules.protectFrom': range('length', 0, 10),
  'ownRules.a': range('slope', 0, 5),
  'ownRules.b': range('slope', 0, 5),
  'ownRules.c': range('slope', 0, 5),
  'ownRules.engineerDepth': range('length', 0.5, 20),
  'ownRules.setback': range('length', 0, 10),
  'ownRules.ladderDepth': range('length', 0, 10),
  'ownRules.ladderTravel': range('length', 1, 60),
  'setout.offset': range('length', 0.2, 10),
  'setout.tension': range('force', 5, 500),
  'setout.weight': range('lineMass', 0.0001, 0.1),
  'setout.tolerance': range('size', 0.001, 0.1),
  'setout.temperature': range('temperature', -40, 60),
  'setout.measured.distance': range('taped', 0.01, 5000),
  'site.gates.width': range('length', 0.5, 50),
  'site.paths.width': range('length', 0.3, 30),
  'dig.bench.height': range('size', 0.2, 3),
  'dig.bench.width': range('size', 0.2, 6),
  'dig.shore': range('size', 0, 0.6),
  'dig.machines.depth': range('length', -5, 15),
  'dig.machines.reach': range('length', 0.5, 25),
  'dig.machines.dumpHeight': range('length', 0.5, 12),
  'dig.machines.width': range('length', 0.5, 5),
  'dig.machines.bucket': range('volume', 0.01, 6),
  'dig.machines.cycle': range('number', 5, 120),
  'dig.machines.efficiency': range('percent', 0.2, 1),
  'dig.machines.volume': range('volume', 0.1, 5000),
  'dig.machines.hours': range('hours', 0.1, 100),
  'dig.room': range('size', 0, 3),
  'dig.side': range('slope', 0, 5),
  'dig.handTrim': range('size', 0, 0.5),
  'dig.day.hours': range('hours', 1, 24),
  'dig.buckets': range('size', 0.15, 3),
  'spoil.spread': range('percent', 0, 0.5),
  'spoil.trucks.body': range('volume', 0.1, 60),
  'spoil.trucks.payload': range('mass', 100, 80000),
  'spoil.trucks.side': range('length', 0.2, 5),
  'spoil.trip': range('number', 1, 600),
  'base.thickness': range('size', 0.02, 5),
  'base.density': range('density', 1000, 2800),
  'base.looseFactor': range('number', 1, 2),
  'base.topSize': range('size', 0.002, 0.3),
  'base.maxLift': range('size', 0.05, 1),
  'pour.blinding.thickness': range('size', 0.02, 0.5),
  'pour.blinding.projection': range('size', 0, 1),
  'pour.irregularity': range('size', 0, 0.1),
  'pour.waste': range('percent', 0, 0.5),
  'pour.step': range('volume', 0.05, 5),
  'pour.truck': range('volume', 0.2, 15),
  'prices.dig': range('price', 0, 1e6),
  'prices.load': range('price', 0, 1e6),
  'prices.stone': range('price', 0, 1e6),
  'prices.lean': range('price', 0, 1e6),
  'prices.concrete': range('price', 0, 1e6),
  'prices.shoring': range('price', 0, 1e6),
  'elements.coordinate': range('length', -2000, 2000),
  'elements.width': range('size', 0.1, 30),
  'elements.length': range('size', 0.1, 60),
  'elements.thickness': range('size', 0.05, 10),
  'elements.stem': range('size', 0, 5),
  'elements.angle': range('angle', -360, 360),
  'elements.trim': range('size', 0, 0.5),
  'elements.low': range('size', 0, 3),
  'elements.level': range('level', -500, 9000),
  'elements.fall': range('gradient', -0.3, 0.3),
  'elements.bay': range('size', 0.3, 3),
  'elements.key.width': range('size', 0.05, 5),
  'elements.key.depth': range('size', 0.05, 3),
  'elements.edge.depth': range('size', 0.05, 3),
  'elements.edge.width': range('size', 0.05, 5),
  'elements.wall': range('size', 0, 2),
  'elements.height': range('size', 0.1, 12),
  'elements.roof': range('size', 0, 2),
  'elements.grade': range('gradient', 0.02, 1),
} as const satisfies Record<string, Range>;

export type RangeKey = keyof typeof RANGES;

/** Null when the value may stand; otherwise which limit it breaks. NaN and ±Infinity never stand. */
export function outOfRange(key: RangeKey, value: number): 'notFinite' | 'range' | null {
  if (!Number.isFinite(value)) return 'notFinite';
  const { min, max } = RANGES[key];
  // A hair of tolerance: limits typed in feet do not land on the metric number exactly.
  const slack = 1e-9 * Math.max(1, Math.abs(max));
  return value < min - slack || value > max + slack ? 'range' : null;
}
