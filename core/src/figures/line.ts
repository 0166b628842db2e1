/** Lines of a working, their inputs and the parts of a figure, in few words. */

import { assumedAt, isAssumed } from '../plan/assumed.ts';
import type { Plan } from '../plan/schema.ts';
import {
  type Figure,
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

/** What of a job the amounts that are compared are read from; a takeoff has it too. */
export type Amounts = Pick<Job, 'mixed' | 'stone' | 'lean' | 'concrete' | 'walls'> & {
  readonly figures: { readonly dig: { readonly value: number } };
};

/** An amount two plans are compared by. */
export interface ComparedRow {
  readonly id: string;
  readonly kind: Kind;
  readonly amount: (of: Amounts) => number;
  /** Price of it, and of how much of it; null: it has none of its own. */
  readonly price: Exclude<keyof Plan['prices'], 'currency'> | null;
  readonly per: number;
  /** Less than this is not told. */
  readonly least: number;
}

export interface FigureRow {
  readonly kind: Kind;
  /** What it is of: soil, what is placed, water. */
  readonly tone: 'earth' | 'placed' | 'water';
  readonly make: (job: Job) => Made;
  /** What of it, or of what goes with it, two plans are compared by. */
  readonly compared?: readonly ComparedRow[];
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

/** A volume as a crew checks it: over how much in plan, and how thick on the whole. */
export const spread = (area: number, volume: number): WorkingInput[] =>
  area > 0 ? [input('planArea', area, 'area'), input('meanThickness', volume / area, 'size')] : [];

/** The value of a line as an input of another. */
export const of = ({ step, label, value, kind }: Working): WorkingInput => ({
  name: step,
  value,
  kind,
  origin: 'computed',
  line: true,
  ...(label !== undefined && { label }),
});

/**
 * Lines of which some are the terms of a figure, with the one that gives it: a term alone, or the sum of
 * several after them all; none of none.
 */
export function given(
  step: string,
  terms: readonly Working[],
  lines: readonly Working[] = terms,
): readonly Working[] {
  const [first, ...others] = terms;
  if (!first) return lines;
  if (others.length === 0) return lines.map((one) => (one === first ? { ...one, gives: true } : one));
  return [...lines, { ...line(step, 'sum', first.kind, terms.map(of)), gives: true }];
}

/** Whether a figure and the line that gives it are one; nothing is given by no line. */
export function addsUp({ value, workings }: Pick<Figure, 'value' | 'workings'>): boolean {
  const given = workings.find(({ gives }) => gives)?.value ?? 0;
  return Math.abs(given - value) <= 1e-9 * Math.max(1, Math.abs(value));
}

/** A figure that its own lines or a proof contradict: it is not told, and says so. */
export const untold = <Id extends string>(figure: Figure<Id>): Figure<Id> => ({
  ...figure,
  value: 0,
  known: false,
  sub: { key: 'tally.stopped', values: {} },
});

/** How much of a soil there is stands on the logs. */
export const logged = ({ plan }: Job): Origin => (isAssumed(plan, '/ground/logs/0') ? 'assumed' : 'computed');

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
