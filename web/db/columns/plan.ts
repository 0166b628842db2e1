/**
 * A plan document as jsonb. Rows keep the version they were saved in; what is read is brought to
 * the current one, so that old jobs and old revisions open like new.
 */
import { currentPlan, type Plan } from '@cimiento/core';
import { customType } from 'drizzle-orm/pg-core';

/** A plan as it was kept, brought to the current version. @throws of a version nobody knows */
export function currentOf(stored: unknown): Plan {
  const plan = currentPlan(stored);
  if (!plan) throw new Error('A stored plan is of a version this program does not read.');
  return plan;
}

export const planColumn = customType<{ data: Plan; driverData: unknown }>({
  dataType: () => 'jsonb',
  toDriver: (plan) => JSON.stringify(plan),
  fromDriver: currentOf,
});
