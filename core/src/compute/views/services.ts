/** Pipes and cables of a known level in a cut: end-on where they cross it, lengthways where they run with it. */
import { clipLine, edges } from '../../geometry/index.ts';
import type { Hazard, Plan } from '../../plan/schema.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { Section } from './section.ts';

export interface ServiceCut {
  readonly hazard: Hazard;
  readonly how: NonNullable<Hazard['crossing']>['how'];
  /** Of its middle, and its outer diameter, m. */
  readonly level: number;
  readonly size: number;
  /** What is left out for it, across; null: nothing more than itself. */
  readonly opening: number | null;
  /** From where to where along the cut, m; one place where it is met end-on. */
  readonly s0: number;
  readonly s1: number;
}

/**
 * The services to be drawn in a cut through an element: those that cross its line, and of those that run with it
 * the stretches over what is cast of the element.
 */
export function servicesAlong(plan: Plan, takeoff: Takeoff, section: Section, index: number): ServiceCut[] {
  const { x, y, dx, dy, half } = section;
  const footings = (takeoff.elements[index]?.footings ?? []).map((piece) => edges(piece.plan));
  return plan.ground.hazards.flatMap((hazard): ServiceCut[] => {
    const { crossing } = hazard;
    if (hazard.kind !== 'service' || !crossing || crossing.level === null || crossing.how === 'divert')
      return [];
    const { how, level, size } = crossing;
    const own = { hazard, how, level, size, opening: how === 'keep' ? null : crossing.opening };
    return hazard.points.slice(1).flatMap((q, i): ServiceCut[] => {
      const p = hazard.points[i]!;
      const [along, across] = [p, q].map(([e, n]) => [
        (e - x) * dx + (n - y) * dy,
        (e - x) * dy - (n - y) * dx,
      ]) as [[number, number], [number, number]];
      const [s0, a0] = along;
      const [s1, a1] = across;
      if (Math.abs(s1 - s0) < Math.abs(a1 - a0)) {
        if (a0 > 0 === a1 > 0) return [];
        const s = s0 + ((s1 - s0) * a0) / (a0 - a1);
        return Math.abs(s) > half ? [] : [{ ...own, s0: s, s1: s }];
      }
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
      const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
      if (!footings.some((walls) => clipLine(p[0], p[1], ux, uy, [0, long], walls))) return [];
      const [from, to] = [Math.max(-half, Math.min(s0, s1)), Math.min(half, Math.max(s0, s1))];
      return to > from ? [{ ...own, s0: from, s1: to }] : [];
    });
  });
}
