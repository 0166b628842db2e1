/** The one door for plans from outside: migrate, check the shape (Ajv), then the sense. */

import { Ajv2020, type ErrorObject } from 'ajv/dist/2020.js';
import {
  faultOf,
  MOST_RECORDS,
  RECORD_KIND_IDS,
  recordKindOf,
  type SiteRecord,
  upgradedRecord,
} from '../log/index.ts';
import { RECORD_SCHEMAS } from '../log/schema.ts';
import { ELEMENT_KINDS } from '../plan/kinds.ts';
import { CLOCK, PLAN_FORMAT, PLAN_VERSION } from '../plan/limits.ts';
import { migrate } from '../plan/migrate.ts';
import { type Plan, PlanSchema } from '../plan/schema.ts';
import { WHOLE_TEXT, wholeText } from '../plan/text.ts';
import type { Problem, ProblemCode } from '../results/index.ts';
import { isDay } from '../time/index.ts';
import { checkPlan } from './check.ts';

const MOST_PROBLEMS = 50;
const ajv = new Ajv2020({
  allErrors: true,
  strict: true,
  strictTypes: false,
  strictTuples: false,
  verbose: true,
});
const valid = ajv.compile<Plan>(PlanSchema);

export type Validated =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly problems: readonly Problem[] };

const CODES: Record<string, ProblemCode> = {
  type: 'type',
  required: 'missing',
  additionalProperties: 'unknownField',
  minimum: 'range',
  maximum: 'range',
  enum: 'choice',
  const: 'choice',
  pattern: 'id',
  minLength: 'blank',
  maxLength: 'tooLong',
  minItems: 'tooFew',
  maxItems: 'tooMany',
};

/**
 * A union reports the errors of every branch. Keep those of the branch meant: for elements by
 * their kind; for "something or null" the something, unless nothing of it matched.
 */
function meant(errors: readonly ErrorObject[], document: Record<string, unknown>): ErrorObject[] {
  const elements = Array.isArray(document.elements) ? document.elements : [];
  return errors.filter((error) => {
    if (error.keyword === 'anyOf') return false;
    if (error.keyword === 'type' && error.params.type === 'null')
      return !errors.some(
        (other) =>
          other !== error && other.keyword !== 'anyOf' && other.instancePath.startsWith(error.instancePath),
      );
    const branch = /elements\/items\/anyOf\/(\d)/.exec(error.schemaPath);
    if (!branch) return true;
    const element: unknown = elements[Number(error.instancePath.split('/')[2])];
    const kind =
      typeof element === 'object' && element !== null && 'kind' in element ? element.kind : undefined;
    // An unknown kind is told as a strip's: the first branch.
    return branch[1] === String(Math.max(0, (ELEMENT_KINDS as readonly unknown[]).indexOf(kind)));
  });
}

/** What it means to miss a pattern; any other is an id's. */
const PATTERNS: Record<string, ProblemCode> = { [CLOCK]: 'clock', [WHOLE_TEXT]: 'text' };

const codeOf = (error: ErrorObject): ProblemCode =>
  PATTERNS[String(error.params.pattern)] ?? CODES[error.keyword] ?? 'shape';

function toProblem(error: ErrorObject, under = ''): Problem {
  const field = error.params.missingProperty ?? error.params.additionalProperty;
  const path =
    under +
    (field === undefined ? error.instancePath : `${error.instancePath}/${String(field).slice(0, 40)}`);
  const value: unknown = error.data;
  const finite = typeof value !== 'number' || Number.isFinite(value);
  const schema = error.parentSchema as { minimum?: number; maximum?: number } | undefined;
  return {
    code: finite ? codeOf(error) : 'notFinite',
    path,
    ...(typeof value === 'number' ? { value: finite ? value : String(value) } : {}),
    ...(typeof value === 'string' ? { value: wholeText(value, 60) } : {}),
    ...(schema?.minimum !== undefined && { min: Number(schema.minimum.toPrecision(6)) }),
    ...(schema?.maximum !== undefined && { max: Number(schema.maximum.toPrecision(6)) }),
  };
}

/**
 * Whether a document has the shape of a plan, of any version; whether its figures make sense is not
 * asked. For what was kept earlier, when other limits held.
 */
export function validateShape(document: unknown): Validated {
  const migrated = migrate(document, PLAN_VERSION, PLAN_FORMAT);
  if (!migrated.ok) return { ok: false, problems: [migrated.problem] };
  const plan: unknown = migrated.document;
  if (valid(plan)) return { ok: true, plan };
  const problems = meant(valid.errors ?? [], migrated.document).map((error) => toProblem(error));
  return { ok: false, problems: problems.slice(0, MOST_PROBLEMS) };
}

/**
 * Reads a plan of any version.
 * @param document parsed JSON, from anywhere
 * @returns the plan at the current version, or every problem with its path and limits
 */
export function validatePlan(document: unknown): Validated {
  const shape = validateShape(document);
  if (!shape.ok) return shape;
  const problems = checkPlan(shape.plan);
  return problems.length > 0 ? { ok: false, problems: problems.slice(0, MOST_PROBLEMS) } : shape;
}

const validRecord = Object.fromEntries(
  RECORD_KIND_IDS.map((kind) => [kind, ajv.compile<SiteRecord>(RECORD_SCHEMAS[kind])]),
);

/** Moments anybody can have seen something at: the first stands for "nobody knows". */
const EARLIEST = 0;
const LATEST = Date.UTC(2200);

export type ValidatedRecords =
  | { readonly ok: true; readonly records: readonly SiteRecord[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** The day somewhere may be ahead of the clock in UTC by so much, ms. */
const AHEAD = 14 * 3600_000;
/** What is wrong with the day a record is of: there is none such, or it had not begun anywhere when it was made. */
function dayFault(day: string, made: string): 'noSuchDay' | 'futureDay' | null {
  if (!isDay(day)) return 'noSuchDay';
  return Date.parse(`${day}T00:00:00Z`) - AHEAD > Date.parse(made) ? 'futureDay' : null;
}

/** What contradicts itself within a record beyond its limits. */
function faultsOf({ kind, at: made, value, placement, corrects }: SiteRecord): Problem[] {
  if (value === null) return corrects === null ? [{ code: 'missing', path: '/value' }] : [];
  if (recordKindOf(kind).onPlacement && placement === null) return [{ code: 'missing', path: '/placement' }];
  const named = 'day' in value ? value.day : null;
  const wrongDay = named === null ? null : dayFault(named, made);
  if (named !== null && wrongDay) return [{ code: wrongDay, path: '/value/day', value: named }];
  const found = faultOf(kind, value);
  if (!found) return [];
  const { at, ...problem } = found;
  return [{ ...problem, path: `/value${at}` }];
}

/**
 * Reads records from anywhere: each of a known kind, within its limits, under an id of its own.
 * @param under pointer of the list, for the problems
 */
export function validateRecords(list: unknown, under = '/records'): ValidatedRecords {
  if (!Array.isArray(list)) return { ok: false, problems: [{ code: 'type', path: under }] };
  if (list.length > MOST_RECORDS)
    return {
      ok: false,
      problems: [{ code: 'tooMany', path: under, value: list.length, max: MOST_RECORDS, kind: 'count' }],
    };
  const problems: Problem[] = [];
  const seen = new Set<string>();
  const records: SiteRecord[] = [];
  list.forEach((given: unknown, i) => {
    if (problems.length >= MOST_PROBLEMS) return;
    const path = `${under}/${i}`;
    const record = upgradedRecord(given);
    const kind = typeof record === 'object' && record !== null && 'kind' in record ? record.kind : undefined;
    const check =
      typeof kind === 'string' && Object.hasOwn(validRecord, kind) ? validRecord[kind] : undefined;
    if (!check) {
      const said = typeof kind === 'string' ? { value: wholeText(kind, 40) } : {};
      problems.push({ code: 'choice', path: `${path}/kind`, ...said });
      return;
    }
    if (!check(record)) {
      const real = (check.errors ?? []).filter(
        (error) => error.keyword !== 'anyOf' && error.params.type !== 'null',
      );
      problems.push(...real.map((error) => toProblem(error, path)));
      return;
    }
    const at = Date.parse(record.at);
    if (!(at >= EARLIEST && at < LATEST)) problems.push({ code: 'notADate', path: `${path}/at` });
    else if (seen.has(record.id))
      problems.push({ code: 'duplicateId', path: `${path}/id`, value: record.id });
    else {
      const { placement = null, after = null, revision = null } = record;
      const whole = { ...record, placement, after, revision } as SiteRecord;
      problems.push(...faultsOf(whole).map((problem) => ({ ...problem, path: path + problem.path })));
      records.push(whole);
    }
    seen.add(record.id);
  });
  return problems.length > 0
    ? { ok: false, problems: problems.slice(0, MOST_PROBLEMS) }
    : { ok: true, records };
}
