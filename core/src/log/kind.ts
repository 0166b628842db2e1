/** What makes a kind of record: its value, what contradicts itself in it, what it amounts to and how it is said. */
import type { Static, TSchema } from 'typebox';
import type { Range } from '../plan/fields.ts';
import type { ProblemCode } from '../results/index.ts';
import type { Kind } from '../units/index.ts';
import type { Fold } from './fold.ts';

/** What stands in a sentence; the interface turns it into words. */
export type Part<K extends string = string> =
  | { readonly quantity: number | null; readonly kind: Kind; readonly decimals?: number }
  /** A thing of the plan, by its id. */
  | { readonly machine: string }
  | { readonly truck: string }
  | { readonly hazard: string }
  | { readonly layer: string; readonly bed: string }
  /** The placement the record hangs on. */
  | { readonly placement: true }
  /** A word of the interface. */
  | { readonly word: K }
  /** A day, or a day and a time, as it was typed. */
  | { readonly day: string }
  /** As it was typed, or a count. */
  | string
  | number;

/** A sentence of the interface with its parts, or a part that stands for itself. */
export type Said<K extends string = string> =
  | { readonly sentence: K; readonly parts: Readonly<Record<string, Part<K>>> }
  | Part<K>;

/** What contradicts itself in a value beyond its limits. */
export interface Fault {
  readonly code: ProblemCode;
  /** JSON pointer under the value. */
  readonly at: string;
  readonly value?: number;
  /** The least it could be, and what both are. */
  readonly min?: number;
  readonly kind?: Kind;
}

/** A kind's value as it comes from outside: its schema, and what contradicts itself in it beyond that. */
export interface Checked<S extends TSchema> {
  readonly schema: S;
  readonly fault: (value: Static<S>) => Fault | null;
}

/*#__NO_SIDE_EFFECTS__*/
export const checked = <S extends TSchema>(
  schema: S,
  fault: Checked<S>['fault'] = () => null,
): Checked<S> => ({ schema, fault });

/** Kinds of which one tells about another by coming before or after it: levels taken; looks at the work; changes ordered. */
export const BOOKS = ['levels', 'looks', 'changes'] as const;
export type Book = (typeof BOOKS)[number];

/** What is known and said of a kind of record. A part that is missing does not compile. */
export interface RecordKind<V, F, K extends string, P extends boolean, M> {
  /** Numbers it holds that are typed, by name: what may be typed. */
  readonly measures: M;
  /** Hangs on a placement: what was laid, cast or filled. */
  readonly onPlacement: P;
  readonly fold: Fold<V, F>;
  /** Said one after the other; what is empty is left out. */
  readonly said: (value: V) => readonly Said<K>[];
}

/** Takes a kind as its file says it, with its value's type and the words it uses. */
export const recordKind =
  <C extends { readonly schema: TSchema }>() =>
  <
    F,
    const K extends string,
    const P extends boolean,
    const M extends Readonly<Record<string, Range>>,
    const B extends { readonly book?: Book },
  >(
    // Stands in a book of several kinds whose order tells something, or in none.
    kind: RecordKind<Static<C['schema']>, F, K, P, M> & B,
  ): RecordKind<Static<C['schema']>, F, K, P, M> & B =>
    kind;
