/** The plan file: a plan as JSON, SI, versioned. See docs/plan-file.md. */
import type { Plan, Problem } from '@cimiento/core';
import { type Validated, validatePlan } from '@cimiento/core/validate';

/** Far above any real job; stops a runaway upload before it is parsed. */
export const LONGEST_PLAN = 4_000_000;

export type Read =
  | Validated
  | { readonly ok: false; readonly unreadable: true; readonly problems: readonly Problem[] };

/** Reads a plan file's text. Text that is not JSON at all is told apart from a plan with problems. */
export function readPlan(text: string): Read {
  if (text.length > LONGEST_PLAN)
    return {
      ok: false,
      unreadable: true,
      problems: [{ code: 'tooLong', path: '', value: text.length, max: LONGEST_PLAN }],
    };
  let document: unknown;
  try {
    document = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return { ok: false, unreadable: true, problems: [{ code: 'notJson', path: '' }] };
  }
  return validatePlan(document);
}

/** Writes a plan file: two-space JSON with a final newline, every number at full precision. */
export const writePlan = (plan: Plan): string => `${JSON.stringify(plan, null, 2)}\n`;
