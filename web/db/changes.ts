/** What changed from one plan to the next, as the log keeps it. */
import { type Plan, planChanges } from '@cimiento/core';
import type { Change } from './schema.ts';

/** Longer lists, as a survey, are only counted: the plan has them. */
const MOST_LISTED = 60;
const MOST_CHANGES = 200;

function brief(value: unknown): unknown {
  if (value === undefined) return null;
  return Array.isArray(value) && value.length > MOST_LISTED ? { entries: value.length } : value;
}

export const changesBetween = (before: Plan, after: Plan): Change[] =>
  planChanges(before, after)
    .slice(0, MOST_CHANGES)
    .map(({ path, from, to }) => ({ path, from: brief(from), to: brief(to) }));
