/** What the day board shows of a plan. */
import { compute, type Plan, type SiteRecord } from '@cimiento/core';
import type { JobSummary } from '../../db/schema.ts';

export function summaryOf(plan: Plan, records: readonly SiteRecord[] = []): JobSummary {
  const takeoff = compute(plan, records);
  return {
    dig: takeoff.figures.dig.value,
    elements: plan.elements.length,
    holds: [
      ...(takeoff.problems.length > 0 ? ['problems'] : []),
      ...takeoff.cautions.filter((caution) => caution.weight === 'stop').map((caution) => caution.code),
    ],
  };
}
