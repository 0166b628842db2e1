/**
 * What a pump moves: where its curve meets the head it works against, static lift and loss in the hose
 * (Hazen–Williams, C 140 for smooth hose, a tenth more for fittings, typical).
 */
import { type CurvePoint, PUMPS, type PumpId } from '../catalogue/pumps.ts';

export interface Hose {
  /** m across and m long. */
  readonly diameter: number;
  readonly length: number;
}

/** A hose discharges so far over the ground, m: typical. */
export const OVER_GROUND = 0.5;

const SMOOTH = 140;
const FITTINGS = 1.1;
/** m of lift the air allows at sea level, and what is lost of it for every m up: typical. */
const SUCTION = 7.5;
const SUCTION_LOST = 1.2 / 1000;

/** Loss in a hose at a flow, m: 10.67·L·Q^1.852/(C^1.852·d^4.8704). */
export function hoseLoss(flow: number, { diameter, length }: Hose): number {
  if (flow <= 0 || length <= 0 || diameter <= 0) return 0;
  return (FITTINGS * 10.67 * length * flow ** 1.852) / (SMOOTH ** 1.852 * diameter ** 4.8704);
}

/** Head of a curve at a flow, m; past its last point it falls on as between the last two, never below 0. */
function headAt(curve: readonly CurvePoint[], flow: number): number {
  const first = curve[0]!;
  if (flow <= first.flow) return first.head;
  for (let i = 1; i < curve.length; i++) {
    const [p, q] = [curve[i - 1]!, curve[i]!];
    if (flow <= q.flow)
      return q.flow > p.flow ? p.head + ((q.head - p.head) * (flow - p.flow)) / (q.flow - p.flow) : q.head;
  }
  return 0;
}

/**
 * Flow of a pump that lifts so high, m³/s; 0 when it cannot.
 * @param curve flows that rise and heads that fall, two points at least
 */
export function pumpFlow(curve: readonly CurvePoint[], lift: number, hose: Hose): number {
  const first = curve[0]!;
  if (lift > first.head) return 0;
  let [low, high] = [0, curve.at(-1)!.flow];
  const over = (flow: number) => headAt(curve, flow) - Math.max(0, lift) - hoseLoss(flow, hose);
  if (over(high) >= 0) return high;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (over(middle) >= 0) low = middle;
    else high = middle;
  }
  return low;
}

/** Highest a pump at the edge sucks, m, at so many m over the sea. */
export const suctionLimit = (altitude: number): number => Math.max(0, SUCTION - SUCTION_LOST * altitude);

/** Where a pump stands and discharges. */
export interface PumpSet {
  readonly kind: PumpId;
  /** The maker's; of fewer than two points: typical of its kind. */
  readonly curve: readonly CurvePoint[];
  readonly hose: Hose;
  /** Levels, m: its edge, and where its hose discharges. */
  readonly edge: number;
  readonly outlet: number;
  /** m over the sea. */
  readonly altitude: number;
}

/** The curve a pump goes by: the maker's, or what is typical of its kind. */
export const curveOf = ({ kind, curve }: Pick<PumpSet, 'kind' | 'curve'>): readonly CurvePoint[] =>
  curve.length > 1 ? curve : PUMPS[kind].curve;

/** A suction hose lies so far on the ground and in the water besides what hangs down, m: typical. */
const SUCTION_LIES = 3;
const GRAVITY = 9.81;

/**
 * The most that is sucked up so high, m³/s: what the air still presses beyond the lift is used up by the
 * hose and by setting the water going. Falls to nothing as the lift comes to the limit.
 */
export function suckedUp(lift: number, diameter: number, altitude: number): number {
  const spare = suctionLimit(altitude) - lift;
  if (spare <= 0 || diameter <= 0) return 0;
  const hose = { diameter, length: Math.max(0, lift) + SUCTION_LIES };
  const used = (flow: number) =>
    hoseLoss(flow, hose) + (flow / ((Math.PI / 4) * diameter ** 2)) ** 2 / (2 * GRAVITY);
  // Without a hose it would be thrown up so fast: more than any flow that is asked for.
  let [low, high] = [0, (Math.PI / 4) * diameter ** 2 * Math.sqrt(2 * GRAVITY * spare)];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (used(middle) <= spare) low = middle;
    else high = middle;
  }
  return low;
}

/** m³/s one pump takes from a level; less and less where the air hardly lets it suck so high. */
export function flowFrom(set: PumpSet, level: number): number {
  const { kind, hose, edge, outlet, altitude } = set;
  const flow = pumpFlow(curveOf(set), outlet - level, hose);
  return PUMPS[kind].sucks ? Math.min(flow, suckedUp(edge - level, hose.diameter, altitude)) : flow;
}

/** A curve that rises, or whose flows do not: where; null when it is one. */
export function curveFault(curve: readonly CurvePoint[]): number | null {
  const at = curve.findIndex(
    (point, i) =>
      i > 0 && (point.head > curve[i - 1]!.head + 1e-9 || point.flow < curve[i - 1]!.flow - 1e-12),
  );
  return at < 0 ? null : at;
}
