/** Lines of a working, their inputs and the parts of a figure, in few words. */

import { assumedAt } from '../plan/assumed.ts';
import type { Plan } from '../plan/schema.ts';
import {
  type FigurePart,
  type Origin,
  type SubLine,
  type Working,
  type WorkingInput,
  weakest,
} from '../results/index.ts';
import type { Job } from '../takeoff/index.ts';
import type { Kind } from '../units/index.ts';
import { RULES, type RuleId, worked } from './rules.ts';

/** What a row of the table of figures makes of a job. */
export interface Made {
  readonly value: number;
  readonly known?: boolean;
  /** One of them gives the figure; none when there is nothing of it. */
  readonly workings: readonly Working[];
  readonly sub: SubLine;
  readonly parts?: readonly FigurePart[];
}

export interface FigureRow {
  readonly kind: Kind;
  /** What it is of: soil, what is placed, water. */
  readonly tone: 'earth' | 'placed' | 'water';
  readonly make: (job: Job) => Made;
}

export const input = (
  name: string,
  value: number,
  kind: Kind,
  origin: Origin = 'computed',
  source?: string,
): WorkingInput => ({ name, value, kind, origin, ...(source !== undefined && { source }) });

/** An input that is told and not reckoned with. */
export const beside = (...of: Parameters<typeof input>): WorkingInput => ({ ...input(...of), beside: true });

/** A value of the plan that somebody typed, unless it is one nobody has said. */
export const saidIn = (plan: Plan, path: string): Origin =>
  assumedAt(plan, path) === null ? 'typed' : 'assumed';

/** A value that is still what its field starts with: nobody has to have typed it. */
export const startedOr = (value: number, start: number): Origin =>
  Math.abs(value - start) < 1e-9 ? 'typical' : 'typed';

interface Extra {
  readonly source?: string;
  readonly label?: string | undefined;
}
const only = ({ source, label }: Extra) => ({
  ...(source !== undefined && { source }),
  ...(label !== undefined && { label }),
});

/** A line worked out of its inputs by a rule. */
export const line = (
  step: string,
  rule: RuleId,
  kind: Kind,
  inputs: readonly WorkingInput[],
  extra: Extra = {},
): Working => ({
  step,
  formula: RULES[rule].formula,
  rule,
  value: worked(rule, inputs),
  kind,
  inputs,
  ...only(extra),
});

/** A line whose value is read off the dug solid, or found by a search; the inputs tell what it goes by. */
export const read = (
  step: string,
  formula: string,
  value: number,
  kind: Kind,
  inputs: readonly WorkingInput[] = [],
  extra: Extra = {},
): Working => ({
  step,
  formula,
  rule: null,
  value,
  kind,
  inputs: inputs.map((one) => ({ ...one, beside: true as const })),
  ...only(extra),
});

/** The value of a line as an input of another. */
export const of = ({ step, label, value, kind }: Working): WorkingInput => ({
  name: step,
  value,
  kind,
  origin: 'computed',
  line: true,
  ...(label !== undefined && { label }),
});

/** The line that gives a figure: one alone, or the sum of several; none of none. */
export function given(step: string, terms: readonly Working[]): readonly Working[] {
  const [first, ...others] = terms;
  if (!first) return [];
  if (others.length === 0) return [{ ...first, gives: true }];
  return [...terms, { ...line(step, 'sum', first.kind, terms.map(of)), gives: true }];
}

/** What the lines of a figure say it is; null where none gives it. */
const givenBy = (workings: readonly Working[]): number | null =>
  workings.find(({ gives }) => gives)?.value ?? null;

/** Whether a figure and the line that gives it are one; nothing is given by no line. */
export const addsUp = (value: number, workings: readonly Working[]): boolean =>
  Math.abs((givenBy(workings) ?? 0) - value) <= 1e-9 * Math.max(1, Math.abs(value));

/** The weakest of what led to the line that gives a figure, line by line back. */
export function originOf(workings: readonly Working[]): Origin {
  const seen = new Set<Working>();
  const back = (working: Working): Origin[] => {
    if (seen.has(working)) return [];
    seen.add(working);
    return working.inputs.flatMap(({ line: led, name, label, origin }) => {
      if (!led) return [origin];
      const from = workings.find((one) => one.step === name && one.label === label);
      return from ? back(from) : [];
    });
  };
  return weakest(workings.filter(({ gives }) => gives).flatMap(back));
}

export const part = (
  section: string,
  item: string,
  quantity: string,
  value: number,
  kind: Kind,
  label?: string,
): FigurePart => ({ section, item, quantity, value, kind, ...(label !== undefined && { label }) });

export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
