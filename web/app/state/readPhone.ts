/** Reads a job a browser has kept, by this version of the program or an earlier one. */
import { currentPlan, type HoleView, type Plan, type SiteRecord, upgradedRecord } from '@cimiento/core';

/** A job as it was last seen. */
export interface PhoneJob {
  readonly id: string;
  readonly plan: Plan;
  readonly revision: number;
  readonly records: readonly SiteRecord[];
  /** Up to which its records go. */
  readonly last: number;
  /** When the server had it so, ms since 1970. */
  readonly asOf: number;
  /** When somebody looked at it last. */
  readonly looked: number;
  /** What was worked out of it, to be shown before it is worked out anew; of another program it is nothing. */
  readonly view: { readonly program: string; readonly view: HoleView } | null;
}

/** @returns null when it is of a program to come */
export function whole(job: PhoneJob): PhoneJob | null {
  const plan = currentPlan(job.plan);
  return plan && { ...job, plan, records: job.records.map((one) => upgradedRecord(one) as SiteRecord) };
}
