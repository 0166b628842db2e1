/** Plan and job files: JSON, SI, versioned. See docs/plan-file.md. */
import { type Plan, type Problem, recordsBefore, type SiteRecord } from '@cimiento/core';
import { type Validated, validatePlan, validateRecords } from '@cimiento/core/validate';

/** Far above any real job; stops a runaway upload before it is parsed. */
export const LONGEST_PLAN = 4_000_000;

export const JOB_FORMAT = 'cimiento-job';
const JOB_VERSION = 1;

type Unreadable = { readonly ok: false; readonly unreadable: true; readonly problems: readonly Problem[] };
export type Read = Validated | Unreadable;
export type ReadJob =
  | { readonly ok: true; readonly plan: Plan; readonly records: readonly SiteRecord[] }
  | { readonly ok: false; readonly problems: readonly Problem[] }
  | Unreadable;

const unreadable = (problem: Problem): Unreadable => ({ ok: false, unreadable: true, problems: [problem] });

/** JSON of a text; text that is none, or far too much of it, is told apart from what has problems. */
function parsed(text: string): { readonly document: unknown } | Unreadable {
  if (text.length > LONGEST_PLAN)
    return unreadable({ code: 'tooLong', path: '', value: text.length, max: LONGEST_PLAN });
  try {
    return { document: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown };
  } catch {
    return unreadable({ code: 'notJson', path: '' });
  }
}

/** Reads a plan file's text; of a job file its plan. */
export function readPlan(text: string): Read {
  const read = readJob(text);
  return read.ok ? { ok: true, plan: read.plan } : read;
}

/**
 * Reads a job: a plan with its records, or a plan alone. What an old plan held of what was done on
 * the job comes out as records.
 */
export function readJob(text: string): ReadJob {
  const read = parsed(text);
  if ('ok' in read) return read;
  const { document } = read;
  const job =
    typeof document === 'object' &&
    document !== null &&
    'format' in document &&
    document.format === JOB_FORMAT
      ? (document as Record<string, unknown>)
      : null;
  if (job && job.version !== JOB_VERSION)
    return {
      ok: false,
      problems: [{ code: 'versionTooNew', path: '/version', value: String(job.version), max: JOB_VERSION }],
    };
  const given: unknown = job ? job.plan : document;
  const plan = validatePlan(given);
  if (!plan.ok) return plan;
  const records = validateRecords(job ? (job.records ?? []) : []);
  if (!records.ok) return records;
  const before = validateRecords(recordsBefore(given));
  return {
    ok: true,
    plan: plan.plan,
    // What was logged before and is out of bounds today is left out, not the whole file.
    records: [...(before.ok ? before.records : []), ...records.records],
  };
}

/** Writes a plan file: two-space JSON with a final newline, every number at full precision. */
export const writePlan = (plan: Plan): string => `${JSON.stringify(plan, null, 2)}\n`;

/** Writes a job file; of a job on which nothing was logged a plan file. */
export const writeJob = (plan: Plan, records: readonly SiteRecord[]): string =>
  records.length === 0
    ? writePlan(plan)
    : `${JSON.stringify({ format: JOB_FORMAT, version: JOB_VERSION, plan, records }, null, 2)}\n`;
