/**
 * Pumps as a crew hires them, by the flow each moves at a head: typical of the size, the maker's own curve
 * beats it. A bucket is one: a person, 10 L, three a minute, up to 2 m (typical).
 */
export const PUMP_IDS = ['electric50', 'petrol50', 'petrol80', 'diesel100', 'bucket'] as const;
export type PumpId = (typeof PUMP_IDS)[number];

export interface CurvePoint {
  /** m³/s and m. */
  readonly flow: number;
  readonly head: number;
}

export interface Pump {
  readonly curve: readonly CurvePoint[];
  /** It stands at the edge and sucks: its lift is limited by the air. */
  readonly sucks: boolean;
  /** Hose it comes with, m across. */
  readonly hose: number;
  /** kW, or litres of fuel an hour; of a person neither. */
  readonly uses: { readonly of: 'power' | 'fuel'; readonly rate: number } | null;
  /** Heard at night, dB(A) at 7 m, typical. */
  readonly noise: number;
}

const curve = (...points: readonly (readonly [litres: number, head: number])[]): CurvePoint[] =>
  points.map(([litres, head]) => ({ flow: litres / 1000, head }));

/** How far off their noise is told, m. */
export const NOISE_AT = 7;

export const PUMPS: Record<PumpId, Pump> = {
  electric50: {
    curve: curve([0, 11], [1.5, 9.5], [3, 7], [4, 4], [4.7, 0]),
    sucks: false,
    hose: 0.05,
    uses: { of: 'power', rate: 0.75 },
    noise: 45,
  },
  petrol50: {
    curve: curve([0, 26], [4, 22], [8, 13], [10.5, 0]),
    sucks: true,
    hose: 0.05,
    uses: { of: 'fuel', rate: 1.2 },
    noise: 76,
  },
  petrol80: {
    curve: curve([0, 28], [8, 22], [14, 13], [18, 0]),
    sucks: true,
    hose: 0.08,
    uses: { of: 'fuel', rate: 1.8 },
    noise: 79,
  },
  diesel100: {
    curve: curve([0, 30], [15, 25], [25, 15], [33, 0]),
    sucks: true,
    hose: 0.1,
    uses: { of: 'fuel', rate: 3 },
    noise: 72,
  },
  bucket: { curve: curve([0.5, 2], [0.5, 0]), sucks: false, hose: 0, uses: null, noise: 0 },
};
