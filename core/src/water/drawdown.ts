/**
 * How far ground water is drawn down around a hole that is held, and how long that takes: steady
 * Dupuit–Thiem flow with Sichardt's reach, the specific yield of the soil (Johnson 1967, USGS WSP 1662-D).
 *
 * Not covered: what lies between (walls, streams), the time the cone itself takes to spread.
 */
import type { SoilKind } from '../catalogue/soils.ts';
import { influence, SICHARDT_LINE } from './inflow.ts';

/** Water a soil lets go when it drains, of its volume. Of topsoil, made ground and rock: assumed. */
const YIELDS: Record<SoilKind, number> = {
  topsoil: 0.08,
  madeGround: 0.1,
  softClay: 0.02,
  stiffClay: 0.02,
  gravellyClay: 0.07,
  silt: 0.08,
  sandySilt: 0.08,
  siltySand: 0.21,
  sand: 0.26,
  gravel: 0.23,
  rock: 0.02,
};
export const yieldOf = (soil: SoilKind): number => YIELDS[soil];

/** A hole that is held, as the ground about it sees it. */
export interface Held {
  readonly method: 'pit' | 'trench';
  /** m: of the equivalent well, or half a trench's width. */
  readonly radius: number;
  /** Of a trench, m; 0 of a pit. */
  readonly length: number;
  /** H and h, m over the tight base. */
  readonly head: number;
  readonly held: number;
}

const reachFor = ({ method, head, held }: Held, k: number): number =>
  influence(head - held, k, method === 'trench' ? SICHARDT_LINE : undefined);

/** What the square of the water's height has lost at a distance from the edge, m². */
function lostSquare(hole: Held, k: number, distance: number): number {
  const { method, radius, head, held } = hole;
  if (head <= held || k <= 0) return 0;
  const reach = reachFor(hole, k);
  if (distance >= reach) return 0;
  const all = head * head - held * held;
  if (distance <= 0) return all;
  // Along a trench's side it falls with the distance, about a pit with its logarithm.
  return method === 'trench'
    ? all * (1 - distance / reach)
    : (all * Math.log((reach + radius) / (radius + distance))) / Math.log((reach + radius) / radius);
}

/**
 * Fall of the ground water at a place, m. Of several holes what each takes from the square of its height is
 * added up.
 * @param holes each with the distance of the place from its edge, m, and its permeability, m/s
 */
export function fallAt(
  holes: readonly { readonly hole: Held; readonly k: number; readonly distance: number }[],
): number {
  const head = Math.max(0, ...holes.map(({ hole }) => hole.head));
  const lost = holes.reduce((sum, { hole, k, distance }) => sum + lostSquare(hole, k, distance), 0);
  return head - Math.sqrt(Math.max(0, head * head - lost));
}

/** Slices the cone is added up in. */
const SLICES = 400;

/** Ground between the water as it stood and as it is held, m³: over the hole itself and about it. */
export function drainedGround(hole: Held, k: number): number {
  const { radius, length, head, held } = hole;
  if (head <= held || k <= 0) return 0;
  const reach = reachFor(hole, k);
  const fall = (distance: number) =>
    head - Math.sqrt(Math.max(0, head * head - lostSquare(hole, k, distance)));
  // Slices thin at the edge, where it falls fastest.
  const at = (i: number) => reach * (i / SLICES) ** 2;
  let sum = (Math.PI * radius * radius + 2 * radius * length) * (head - held);
  for (let i = 0; i < SLICES; i++) {
    const [from, to] = [at(i), at(i + 1)];
    const middle = (from + to) / 2;
    sum += (2 * Math.PI * (radius + middle) + 2 * length) * fall(middle) * (to - from);
  }
  return sum;
}

/**
 * Hours a pump takes to draw the ground down before it is dug: what is stored in it, over what the pump
 * takes beyond the steady inflow. Null: it never gets there.
 * @param pump and @param inflow m³/s
 */
export function hoursToDraw(
  hole: Held,
  k: number,
  yields: number,
  pump: number,
  inflow: number,
): number | null {
  const stored = yields * drainedGround(hole, k);
  if (stored <= 0) return 0;
  return pump > inflow ? stored / (pump - inflow) / 3600 : null;
}
