/** A figure and how it came about, line by line. */
import type { Kind } from '../units/index.ts';

/**
 * How a value came about, best first: seen or weighed on the job, typed by someone, typical for its
 * kind, put there and not yet settled. Computed: it is no better than what it is worked out from.
 */
const ORIGINS = ['computed', 'measured', 'typed', 'typical', 'assumed'] as const;
export type Origin = (typeof ORIGINS)[number];

/** The weakest of some origins. */
export const weakest = (origins: readonly Origin[]): Origin =>
  origins.reduce<Origin>((p, q) => (ORIGINS.indexOf(q) > ORIGINS.indexOf(p) ? q : p), 'computed');

/** Where a value comes from that stands in no published work: each has words of its own. */
export const UNPUBLISHED = ['practice', 'maker', 'quarry', 'specification', 'trialStrip'] as const;
export type Unpublished = (typeof UNPUBLISHED)[number];

export interface WorkingInput {
  /** Message key of its name; `label` instead for a name the person gave. */
  readonly name: string;
  readonly label?: string;
  readonly value: number;
  readonly kind: Kind;
  readonly origin: Origin;
  /** Published work or table the value or formula comes from, untranslated; or one that is not published. */
  readonly source?: string;
  /** It is the value of another line: its name is that line's step. */
  readonly line?: true;
  /** It is told beside the others and not reckoned with. */
  readonly beside?: true;
}

/** One line of a working: formula in symbols, what went in, what came out. */
export interface Working {
  readonly step: string;
  readonly label?: string;
  readonly formula: string;
  /** How its value comes of its inputs; null: read off the dug solid or found by a search, its inputs tell by what. */
  readonly rule: string | null;
  /** Its value is the figure's. */
  readonly gives?: true;
  readonly inputs: readonly WorkingInput[];
  readonly value: number;
  readonly kind: Kind;
  readonly source?: string;
}

/** A part of a figure, for tables and files: what it is, of what, which quantity of it. */
export interface FigurePart {
  readonly section: string;
  /** Id or code; `label` the name a person gave it. */
  readonly item: string;
  readonly label?: string;
  readonly quantity: string;
  readonly value: number;
  readonly kind: Kind;
}

/** How finely a value of a line is told: as its kind asks, bare of its unit, or roughly. */
export type Told = 'whole' | 'bare' | 'rough';

/** The line under a figure: a message and what goes into it. */
export interface SubLine {
  readonly key: string;
  readonly values: Readonly<Record<string, readonly [value: number, kind: Kind, told?: Told]>>;
}

/** @typeParam Id of the table of figures */
export interface Figure<Id extends string = string> {
  readonly id: Id;
  readonly value: number;
  readonly kind: Kind;
  /** False: nobody knows enough to say; the value is then nought and not to be shown. */
  readonly known: boolean;
  /** The weakest of what went into it: how far the figure can be trusted. */
  readonly origin: Origin;
  readonly sub: SubLine;
  readonly parts: readonly FigurePart[];
  readonly workings: readonly Working[];
}
