/**
 * What nobody has said yet. A new job stands on a soil and a cover that are only assumed; they are
 * listed by pointer, and leave the list when someone changes them or says they are right.
 */
import { sameValue } from './diff.ts';
import type { Plan } from './schema.ts';

export const isAssumed = (plan: Plan, pointer: string): boolean => plan.assumed.includes(pointer);

/** The assumption a value of the plan is, or lies in: its pointer; null when somebody has said it. */
export const assumedAt = (plan: Pick<Plan, 'assumed'>, path: string): string | null =>
  plan.assumed.find((pointer) => path === pointer || path.startsWith(`${pointer}/`)) ?? null;

const at = (document: unknown, pointer: string): unknown =>
  pointer
    .split('/')
    .slice(1)
    .reduce<unknown>(
      (value, key) =>
        typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined,
      document,
    );

/**
 * What is still assumed after an edit: what the edit changed is somebody's word now.
 */
export const settled = (before: Plan, after: Plan): readonly string[] =>
  after.assumed.filter((pointer) => sameValue(at(before, pointer), at(after, pointer)));
