/** Lines of a working, their inputs and the parts of a figure, in few words. */
import type { FigurePart, Origin, SubLine, Working, WorkingInput } from '../findings/index.ts';
import type { Job } from '../takeoff/index.ts';
import type { Kind } from '../units/index.ts';

/** What a row of the table of figures makes of a job. */
export interface Made {
  readonly value: number;
  readonly known?: boolean;
  readonly workings: readonly Working[];
  readonly sub: SubLine;
  readonly parts?: readonly FigurePart[];
  /** What it stands on beside the inputs of its workings. */
  readonly also?: readonly Origin[];
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

export const line = (
  step: string,
  formula: string,
  value: number,
  kind: Kind,
  inputs: readonly WorkingInput[] = [],
  extra: { readonly source?: string; readonly label?: string } = {},
): Working => ({ step, formula, value, kind, inputs, ...extra });

export const part = (
  section: string,
  item: string,
  quantity: string,
  value: number,
  kind: Kind,
  label?: string,
): FigurePart => ({ section, item, quantity, value, kind, ...(label !== undefined && { label }) });

export const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
