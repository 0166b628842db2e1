/**
 * How far ground water is drawn down around a hole that is held, and how long that takes: steady
 * Dupuit–Thiem flow with Sichardt's reach, the specific yield of the soil (Johnson 1967, USGS WSP 1662-D).
 *
 * Not covered: what lies between (walls, streams), the time the cone itself takes to spread.
 */
import type { SoilKind } from '../catalogue/soils.ts';
import { type DrawnHole, influence, SICHARDT_LINE, trenchShare } from './inflow.ts';

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
export interface DewateredPit extends DrawnHole {
  /** H and h, m over the tight base. */
  readonly head: number;
  readonly held: number;
}

/** A hole as a pit, and as a long trench, each with how much of it counts. */
interface Way {
  readonly method: 'pit' | 'trench';
  readonly share: number;
  readonly reach: number;
}
const waysOf = ({ head, held, length, width }: DewateredPit, k: number): Way[] => {
  if (head <= held || k <= 0) return [];
  const share = trenchShare(length, width);
  const ways: Way[] = [
    { method: 'pit', share: 1 - share, reach: influence(head - held, k) },
    { method: 'trench', share, reach: influence(head - held, k, SICHARDT_LINE) },
  ];
  return ways.filter((way) => way.share > 0);
};

/** What the square of the water's height has lost at a distance from the edge, m². */
const lostBy = ({ radius, head, held }: DewateredPit, { method, reach }: Way, distance: number): number => {
  if (distance >= reach) return 0;
  const all = head * head - held * held;
  if (distance <= 0) return all;
  // Along a trench's side it falls with the distance, about a pit with its logarithm.
  return method === 'trench'
    ? all * (1 - distance / reach)
    : (all * Math.log((reach + radius) / (radius + distance))) / Math.log((reach + radius) / radius);
};
const lostSquare = (hole: DewateredPit, k: number, distance: number): number =>
  waysOf(hole, k).reduce((sum, way) => sum + way.share * lostBy(hole, way, distance), 0);

/**
 * Fall of the ground water at a place, m. Of several holes what each takes from the square of its height is
 * added up.
 * @param holes each with the distance of the place from its edge, m, and its permeability, m/s
 */
export function fallAt(
  holes: readonly { readonly hole: DewateredPit; readonly k: number; readonly distance: number }[],
): number {
  const head = Math.max(0, ...holes.map(({ hole }) => hole.head));
  const lost = holes.reduce((sum, { hole, k, distance }) => sum + lostSquare(hole, k, distance), 0);
  return head - Math.sqrt(Math.max(0, head * head - lost));
}

/** Slices the cone is added up in. */
const SLICES = 400;

/** Ground between the water as it stood and as it is held, m³: over the hole itself and about it. */
export const drainedGround = (hole: DewateredPit, k: number): number =>
  waysOf(hole, k).reduce((sum, way) => sum + way.share * drainedBy(hole, way), 0);

function drainedBy(hole: DewateredPit, way: Way): number {
  const { head, held } = hole;
  const [radius, length] = way.method === 'trench' ? [hole.width / 2, hole.length] : [hole.radius, 0];
  const fall = (distance: number) => head - Math.sqrt(Math.max(0, head * head - lostBy(hole, way, distance)));
  // Slices thin at the edge, where it falls fastest.
  const at = (i: number) => way.reach * (i / SLICES) ** 2;
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
  hole: DewateredPit,
  k: number,
  yields: number,
  pump: number,
  inflow: number,
): number | null {
  const stored = yields * drainedGround(hole, k);
  if (stored <= 0) return 0;
  return pump > inflow ? stored / (pump - inflow) / 3600 : null;
}
