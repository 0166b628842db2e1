/**
 * Kinds of quantity. A kind says which SI unit the core holds and which unit a bare number
 * takes, on entry and on paper, in each of the two systems.
 */
import {
  CUBIC_FOOT,
  CUBIC_YARD,
  FOOT,
  INCH,
  POUND,
  POUND_FORCE,
  POUND_PER_CUBIC_FOOT,
  SHORT_TON,
  TON_PER_SQUARE_FOOT,
  US_GALLON,
} from './factors.ts';

export type System = 'metric' | 'imperial';
export type Kind =
  | 'size'
  | 'length'
  | 'limit'
  | 'taped'
  | 'grain'
  | 'level'
  | 'area'
  | 'volume'
  | 'mass'
  | 'weighing'
  | 'flow'
  | 'water'
  | 'permeability'
  | 'density'
  | 'temperature'
  | 'degreeDays'
  | 'slope'
  | 'gradient'
  | 'percent'
  | 'angle'
  | 'days'
  | 'count'
  | 'speed'
  | 'pressure'
  | 'force'
  | 'capacity'
  | 'lineMass'
  | 'load'
  | 'hours'
  | 'price'
  | 'volumePrice'
  | 'massPrice'
  | 'areaPrice'
  | 'number';

/** How one unit of a kind converts and prints. SI = value × factor + offset. */
export interface Unit {
  readonly symbol: string;
  readonly factor: number;
  readonly offset?: number;
  /** Decimals printed: no more than anyone can measure. */
  readonly decimals: number;
  /** Printed as feet, inches and quarters rather than as a decimal. */
  readonly feetInches?: boolean;
}

const same = (symbol: string, factor: number, decimals: number): Record<System, Unit> => ({
  metric: { symbol, factor, decimals },
  imperial: { symbol, factor, decimals },
});

/** For each kind, the unit a bare number takes and figures are printed in. */
export const KINDS: Record<Kind, Record<System, Unit>> = {
  size: {
    metric: { symbol: 'mm', factor: 0.001, decimals: 0 },
    imperial: { symbol: 'in', factor: INCH, decimals: 3, feetInches: true },
  },
  length: {
    metric: { symbol: 'm', factor: 1, decimals: 2 },
    imperial: { symbol: 'ft', factor: FOOT, decimals: 3, feetInches: true },
  },
  // A length a rule asks, in the unit the rule was written in: 5 ft, 1.20 m.
  limit: {
    metric: { symbol: 'm', factor: 1, decimals: 2 },
    imperial: { symbol: 'ft', factor: FOOT, decimals: 3, feetInches: true },
  },
  // A length read off a tape: to the millimetre.
  taped: {
    metric: { symbol: 'm', factor: 1, decimals: 3 },
    imperial: { symbol: 'ft', factor: FOOT, decimals: 3, feetInches: true },
  },
  // Of grains and openings: sieves are told in millimetres everywhere.
  grain: same('mm', 0.001, 3),
  level: {
    metric: { symbol: 'm', factor: 1, decimals: 3 },
    imperial: { symbol: 'ft', factor: FOOT, decimals: 3, feetInches: true },
  },
  area: {
    metric: { symbol: 'm²', factor: 1, decimals: 1 },
    imperial: { symbol: 'ft²', factor: FOOT * FOOT, decimals: 0 },
  },
  volume: {
    metric: { symbol: 'm³', factor: 1, decimals: 1 },
    imperial: { symbol: 'yd³', factor: CUBIC_YARD, decimals: 1 },
  },
  // Of water a crew in feet speaks in gallons.
  water: {
    metric: { symbol: 'm³', factor: 1, decimals: 1 },
    imperial: { symbol: 'gal', factor: US_GALLON, decimals: 0 },
  },
  mass: {
    metric: { symbol: 't', factor: 1000, decimals: 1 },
    imperial: { symbol: 'ton', factor: SHORT_TON, decimals: 1 },
  },
  // On a balance: to the gram.
  weighing: {
    metric: { symbol: 'kg', factor: 1, decimals: 3 },
    imperial: { symbol: 'lb', factor: POUND, decimals: 3 },
  },
  flow: {
    metric: { symbol: 'L/s', factor: 1e-3, decimals: 2 },
    imperial: { symbol: 'gpm', factor: US_GALLON / 60, decimals: 1 },
  },
  permeability: same('m/s', 1, 9),
  density: {
    metric: { symbol: 'kg/m³', factor: 1, decimals: 0 },
    imperial: { symbol: 'pcf', factor: POUND_PER_CUBIC_FOOT, decimals: 1 },
  },
  temperature: {
    metric: { symbol: '°C', factor: 1, decimals: 1 },
    imperial: { symbol: '°F', factor: 5 / 9, offset: -160 / 9, decimals: 1 },
  },
  degreeDays: {
    metric: { symbol: '°C·d', factor: 1, decimals: 0 },
    imperial: { symbol: '°F·d', factor: 5 / 9, decimals: 0 },
  },
  slope: same('', 1, 2),
  gradient: same('', 1, 4),
  percent: same('%', 0.01, 1),
  angle: same('°', 1, 1),
  days: same('d', 1, 0),
  count: same('', 1, 0),
  speed: {
    metric: { symbol: 'm/min', factor: 1 / 60, decimals: 0 },
    imperial: { symbol: 'ft/min', factor: FOOT / 60, decimals: 0 },
  },
  pressure: {
    metric: { symbol: 'kPa', factor: 1000, decimals: 0 },
    imperial: { symbol: 'tsf', factor: TON_PER_SQUARE_FOOT, decimals: 2 },
  },
  force: {
    metric: { symbol: 'N', factor: 1, decimals: 0 },
    imperial: { symbol: 'lbf', factor: POUND_FORCE, decimals: 1 },
  },
  /** What a bag or a bucket holds: litres, cubic feet. */
  capacity: {
    metric: { symbol: 'L', factor: 0.001, decimals: 0 },
    imperial: { symbol: 'ft³', factor: CUBIC_FOOT, decimals: 2 },
  },
  /** What a structure weighs, or is lifted with: kilonewtons, kips. */
  load: {
    metric: { symbol: 'kN', factor: 1000, decimals: 1 },
    imperial: { symbol: 'kip', factor: 1000 * POUND_FORCE, decimals: 1 },
  },
  lineMass: {
    metric: { symbol: 'g/m', factor: 0.001, decimals: 1 },
    imperial: { symbol: 'lb/ft', factor: POUND / FOOT, decimals: 4 },
  },
  hours: same('h', 1, 1),
  price: same('', 1, 2),
  // By what it is counted in here: a figure by the m³ and one by the yd³ are not the same figure.
  volumePrice: {
    metric: { symbol: '/m³', factor: 1, decimals: 2 },
    imperial: { symbol: '/yd³', factor: 1 / CUBIC_YARD, decimals: 2 },
  },
  massPrice: {
    metric: { symbol: '/t', factor: 1, decimals: 2 },
    imperial: { symbol: '/ton', factor: 1000 / SHORT_TON, decimals: 2 },
  },
  areaPrice: {
    metric: { symbol: '/m²', factor: 1, decimals: 2 },
    imperial: { symbol: '/ft²', factor: 1 / (FOOT * FOOT), decimals: 2 },
  },
  number: same('', 1, 2),
};

/** Units a person may write after a number, by kind. Keys are lower case. */
const LENGTHS: Record<string, number> = {
  mm: 0.001,
  cm: 0.01,
  m: 1,
  km: 1000,
  in: INCH,
  inch: INCH,
  inches: INCH,
  pulg: INCH,
  '"': INCH,
  ft: FOOT,
  feet: FOOT,
  foot: FOOT,
  pie: FOOT,
  pies: FOOT,
  "'": FOOT,
  yd: 0.9144,
};

export const WRITTEN: Partial<Record<Kind, Record<string, number>>> = {
  size: LENGTHS,
  length: LENGTHS,
  taped: LENGTHS,
  level: LENGTHS,
  area: { m2: 1, ft2: FOOT * FOOT, sf: FOOT * FOOT, yd2: 0.83612736 },
  volume: {
    m3: 1,
    l: 1e-3,
    yd3: CUBIC_YARD,
    cy: CUBIC_YARD,
    yd: CUBIC_YARD,
    ft3: 0.028316846592,
    cf: 0.028316846592,
    gal: US_GALLON,
  },
  water: { m3: 1, l: 1e-3, gal: US_GALLON, yd3: CUBIC_YARD, ft3: 0.028316846592 },
  mass: { kg: 1, t: 1000, lb: POUND, lbs: POUND, ton: SHORT_TON, tons: SHORT_TON, tn: SHORT_TON },
  grain: { mm: 0.001, µm: 1e-6, um: 1e-6, in: INCH },
  weighing: { g: 0.001, kg: 1, lb: POUND, lbs: POUND },
  flow: {
    'l/s': 1e-3,
    'l/min': 1e-3 / 60,
    'm3/h': 1 / 3600,
    'm3/s': 1,
    gpm: US_GALLON / 60,
    'gal/min': US_GALLON / 60,
  },
  permeability: { 'm/s': 1, 'cm/s': 0.01, 'm/d': 1 / 86400, 'ft/d': FOOT / 86400 },
  density: { 'kg/m3': 1, 't/m3': 1000, 'g/cm3': 1000, pcf: POUND_PER_CUBIC_FOOT },
  degreeDays: { c·d: 1, f·d: 5 / 9, cd: 1, fd: 5 / 9 },
  percent: { '%': 0.01 },
  angle: { deg: 1, '°': 1 },
  pressure: {
    pa: 1,
    kpa: 1000,
    'kg/cm2': 98066.5,
    tsf: TON_PER_SQUARE_FOOT,
    psf: TON_PER_SQUARE_FOOT / 2000,
    psi: 6894.757293168,
  },
  force: { n: 1, kn: 1000, kgf: 9.80665, lbf: POUND_FORCE, lb: POUND_FORCE },
  capacity: { l: 0.001, m3: 1, ft3: CUBIC_FOOT, cf: CUBIC_FOOT },
  load: { kn: 1000, n: 1, kip: 1000 * POUND_FORCE, lbf: POUND_FORCE },
  lineMass: { 'g/m': 0.001, 'kg/m': 1, 'lb/ft': POUND / FOOT },
  hours: { h: 1, min: 1 / 60 },
  days: { d: 1, day: 1, days: 1, dia: 1, dias: 1 },
  speed: { 'm/min': 1 / 60, 'm/s': 1, 'km/h': 1 / 3.6, 'ft/min': FOOT / 60 },
};
