/**
 * First estimate of the water to hold: steady, fully penetrating, unconfined flow (Dupuit–Thiem)
 * to an equivalent well or to a long trench, with Sichardt's radius of influence.
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
