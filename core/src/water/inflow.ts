/**
 * First estimate of the water to hold: steady, fully penetrating, unconfined flow (Dupuit–Thiem)
 * to an equivalent well or to a long trench, with Sichardt's radius of influence, and what lies between.
 *
 * Not covered: rain, leakage from below, rivers, walls, time to draw down.
 */

/** Sichardt's C: 3000 for radial flow, the middle of 1500–2000 for flow to a line. */
const SICHARDT_RADIAL = 3000;
export const SICHARDT_LINE = 1750;

/** Sichardt's radius of influence, m, from the edge of the dig: R0 = C·s·√k. */
export const influence = (drawdown: number, k: number, c = SICHARDT_RADIAL): number =>
  c * drawdown * Math.sqrt(k);

/** Radius of the well a rectangular pit acts like: √(A/π) when compact, (a+b)/π when a/b > 1.5. */
export function equivalentRadius(a: number, b: number): number {
  const [long, short] = a >= b ? [a, b] : [b, a];
  return long / short > 1.5 ? (long + short) / Math.PI : Math.sqrt((long * short) / Math.PI);
}

/**
 * Flow to a pit: Q = πk(H²−h²)/ln(R/re), R = R0 + re measured from the well's axis, m³/s.
 * @param k m/s; @param head H, m above the tight base; @param held h, level held inside, m
 * @param reaching drawdown the radius of influence is taken for, m; the actual one by default
 */
export function pitInflow(
  k: number,
  head: number,
  held: number,
  radius: number,
  reaching = head - held,
): number {
  if (head <= held || k <= 0) return 0;
  const reach = influence(reaching, k) + radius;
  return (Math.PI * k * (head * head - held * held)) / Math.log(reach / radius);
}

/** Flow to a long trench: its ends as a well, its sides as a line. m³/s. As `pitInflow`. */
export function trenchInflow(
  k: number,
  head: number,
  held: number,
  length: number,
  width: number,
  reaching = head - held,
): number {
  if (head <= held || k <= 0) return 0;
  const radius = width / 2;
  const heads = head * head - held * held;
  const reach = influence(reaching, k) + radius;
  return (
    (Math.PI * k * heads) / Math.log(reach / radius) +
    (k * length * heads) / influence(reaching, k, SICHARDT_LINE)
  );
}

/** Less than this, m³/s, is bailed and not pumped: 18 L an hour, a bucket or two; assumed. */
const TRICKLE = 5e-6;
/** Whether even the most that may run in is a trickle: no pump, no well is offered for it. */
export const trickles = (inflow: readonly [low: number, likely: number, high: number]): boolean =>
  inflow[2] < TRICKLE;

/** Times as long as wide: up to the first a hole draws water as a pit, from the second on as a long trench. */
const PIT_TO = 5;
const TRENCH_FROM = 10;

/** How far a run that is open at both ends has become a trench: 0 as a pit, 1 as a trench. */
export const trenchShare = (length: number, width: number): number =>
  width > 0 ? Math.min(1, Math.max(0, (length / width - PIT_TO) / (TRENCH_FROM - PIT_TO))) : 0;

/** A hole as the ground water meets it. */
export interface DrawnHole {
  /** m, of the well a pit of its plan acts like. */
  readonly radius: number;
  /** m, of a run; the length is 0 of a pit. */
  readonly length: number;
  readonly width: number;
}

/**
 * Flow to a hole, m³/s: as a pit, as a long trench, or between the two. A trench lets in no less than a pit of
 * its plan does: where the reach is longer than the trench, its line formula leaves out what comes to its ends.
 */
export function holeInflow(
  k: number,
  head: number,
  held: number,
  { radius, length, width }: DrawnHole,
  reaching = head - held,
): number {
  const pit = pitInflow(k, head, held, radius, reaching);
  const share = trenchShare(length, width);
  if (share === 0) return pit;
  const trench = trenchInflow(k, head, held, length, width, reaching);
  return pit + share * Math.max(0, trench - pit);
}
