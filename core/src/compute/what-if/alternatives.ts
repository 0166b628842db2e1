/** Slope back, bench or shore: the same dig three ways, side by side. */

import { COMMON_SWELL } from '../../catalogue/soils.ts';
import { shoredFaces } from '../../dig/index.ts';
import { outsideOf } from '../../geometry/index.ts';
import { groundModel } from '../../ground/index.ts';
import type { Support } from '../../plan/kinds.ts';
import type { Plan } from '../../plan/schema.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Difference, whatIf } from './what-if.ts';

export interface Alternative {
  readonly support: Support;
  /** Slope it is dug at, H:V; 0 upright. */
  readonly slope: number;
  /** Bank m³ of the whole job, and loads. */
  readonly dig: number;
  readonly loads: number;
  /** Against the plan as it stands. */
  readonly change: Difference;
  /** Face to hold up, m² and m along its foot; 0 unless shored. */
  readonly face: number;
  readonly faceLength: number;
  /** Difference in money with the shoring in it; null when no price is known. */
  readonly cost: number | null;
  /** m² of its opening outside the plot, and what else it runs into by name. */
  readonly outside: number;
  readonly hits: readonly string[];
  /** Its sides are as flat as the rules ask, or held. */
  readonly within: boolean;
  /** Hours of hand work on its bottom: people in it. */
  readonly people: number;
}

/**
 * One element dug three ways, the rest of the job as it is. Elements of its group go with it. What is dug in
 * bays under a wall is dug one way only.
 * @param takeoff of the plan as it stands
 */
export function alternatives(plan: Plan, takeoff: Takeoff, index: number): Alternative[] {
  const info = takeoff.elements[index];
  const own = plan.elements[index];
  if (!info?.live || !own || info.bays) return [];
  const together = new Set(
    plan.elements.filter((e) => e === own || (own.group !== '' && e.group === own.group)).map((e) => e.id),
  );
  const model = groundModel(plan);
  const ask = whatIf(plan, takeoff);
  return (['slope', 'bench', 'shore'] as const).map((support): Alternative => {
    const slope = support === 'slope' ? info.rule.steepest : 0;
    const changed: Plan = {
      ...plan,
      elements: plan.elements.map((e) =>
        together.has(e.id) ? { ...e, support, slope: support === 'slope' ? slope : e.slope } : e,
      ),
    };
    const { takeoff: other, change } = ask(changed);
    const members = plan.elements.flatMap((e, i) => (together.has(e.id) ? [i] : []));
    const openings = members.flatMap((i) => other.elements[i]!.openings);
    const faces =
      support === 'shore'
        ? shoredFaces(other.solid, model.surface, (part) => members.includes(part.owner))
        : { area: 0, length: 0 };
    const shoring = plan.prices.shoring;
    const clashes = other.clashes.filter((clash) => together.has(clash.element));
    const named = clashes.map(
      (clash) => plan.ground.hazards.find((hazard) => hazard.id === clash.hazard)?.name ?? clash.hazard,
    );
    const laid = other.work.layDown.areas
      .filter((entry) => entry.overlaps.some((o) => o.element !== null && together.has(o.element)))
      .map((entry) => entry.name);
    const trimmed = members.reduce(
      (sum, i) => sum + other.elements[i]!.trim * other.elements[i]!.bottomArea,
      0,
    );
    const { bench } = plan.dig;
    return {
      support,
      slope,
      dig: other.figures.dig.value,
      loads: other.mixed.reduce((sum, { loads }) => sum + loads, 0),
      change,
      face: faces.area,
      faceLength: faces.length,
      cost:
        support === 'shore'
          ? shoring === null
            ? null
            : (change.cost ?? 0) + shoring * faces.area
          : change.cost,
      outside: outsideOf(plan.site.boundary, openings),
      hits: [...new Set([...named, ...laid])],
      within:
        support === 'slope' || support === 'shore' || bench.width / bench.height >= info.rule.steepest - 1e-9,
      people: (trimmed * (1 + COMMON_SWELL)) / takeoff.work.hand.rate,
    };
  });
}
