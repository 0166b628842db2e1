/**
 * What an element is for, finer than the kind its schema has: a strip carries a wall in concrete or on stone, or
 * drains; a slab is founded by the rules or by its floor; a run goes under a known old wall, or one nobody knows.
 * Tables of the stages have a row for each.
 */
import type { Element, ElementOf, Raft, Strip, Underpin } from './elements.ts';
import { isOutlined, isRun, type OutlinedElement, type RunElement } from './forms.ts';
import type { ElementKind } from './kinds.ts';

interface Finer {
  readonly footing: Strip;
  readonly stoneFooting: Strip;
  readonly drain: Strip;
  readonly slab: Raft;
  readonly floorSlab: Raft;
  readonly kerb: Strip;
  readonly apron: Raft;
  readonly underWall: Underpin & { readonly old: NonNullable<Underpin['old']> };
}
/** Kinds that are finer than their schema. The others are what their kind says. */
type Parted = 'strip' | 'raft';
/** The element of each. */
export type VariantElements = Finer & Omit<ElementOf, Parted>;
export type Variant = keyof VariantElements;

const STRIPS = {
  footing: 'footing',
  stone: 'stoneFooting',
  drain: 'drain',
  kerb: 'kerb',
} as const satisfies Record<Strip['use'], Variant>;
const SLABS = { depth: 'slab', floor: 'floorSlab', ground: 'apron' } as const satisfies Record<
  Raft['founding'],
  Variant
>;

const VARIANTS: { readonly [K in ElementKind]?: (element: ElementOf[K]) => Variant } & {
  readonly [K in Parted]: (element: ElementOf[K]) => Variant;
} = {
  strip: ({ use }) => STRIPS[use],
  raft: ({ founding }) => SLABS[founding],
  underpin: ({ old }) => (old ? 'underWall' : 'underpin'),
};

/** What an element is for. */
export const variantOf = (element: Element): Variant =>
  // A row takes elements of its own kind only; which one that is the compiler cannot follow.
  (VARIANTS[element.kind] as ((element: Element) => Variant) | undefined)?.(element) ??
  (element.kind as Exclude<ElementKind, Parted>);

/** What several stages ask of a variant. */
interface Traits {
  /** Its level is its floor's, not that of the rules for footings. */
  readonly byFloor: boolean;
  /** It lies in the ground as thick as it is, whatever frost and rules for footings ask. */
  readonly onGround: boolean;
  /** It carries water away. */
  readonly drains: boolean;
  /** It carries on stone: a drain may lead into it, a plinth keeps its wall off the splash. */
  readonly onStone: boolean;
  /** Its bottom falls along its axis. */
  readonly falls: boolean;
  /** It is dug and cast in bays under a wall that stands; or would be, if the wall were known. */
  readonly inBays: boolean;
  readonly wallUnknown: boolean;
}

const plain: Traits = {
  byFloor: false,
  onGround: false,
  drains: false,
  onStone: false,
  falls: false,
  inBays: false,
  wallUnknown: false,
};

/** Of those that have any. */
const TRAITS: Readonly<Partial<Record<Variant, Traits>>> = {
  stoneFooting: { ...plain, onStone: true, falls: true },
  drain: { ...plain, drains: true, falls: true },
  floorSlab: { ...plain, byFloor: true },
  kerb: { ...plain, onGround: true },
  apron: { ...plain, onGround: true },
  underpin: { ...plain, wallUnknown: true },
  underWall: { ...plain, inBays: true },
};
export const traitsOf = (element: Element): Traits => TRAITS[variantOf(element)] ?? plain;

/** A field some kinds have; null of those that have not. */
const field =
  <N extends string>(name: N) =>
  (element: Element): Field<N> =>
    ((element as unknown as Record<string, unknown>)[name] ?? null) as Field<N>;
type Field<N extends string> =
  | (Element extends infer E ? (E extends { readonly [K in N]: infer V } ? V : never) : never)
  | null;

/** A keyway under its base, the outline it lies within, an edge turned down, boards against frost, the fall of its top, a pipe in its stone. */
export const keyOf = field('key');
export const outlineOf = field('outline');
export const widthOf = field('width');
export const edgeOf = field('edge');
export const boardsOf = field('boards');
export const crossfallOf = field('crossfall');
export const pipeOf = field('pipe');
/** The old wall it goes under; null too while nobody knows it. */
export const oldWallOf = field('old');
export const wrappedOf = field('wrapped');
/** Where a drain discharges; and what is typed of it, of any strip. */
export const typedOutfallOf = field('outfall');
export const outfallOf = (element: Element): Strip['outfall'] =>
  traitsOf(element).drains ? typedOutfallOf(element) : null;
/** The bed it stands on is another's: a ramp's, of what it serves. */
export const servesOf = field('serves');

/** An element along an axis, and one within an outline, as what it is; null of what is no such. */
export const runOf = (element: Element): RunElement | null => (isRun(element) ? element : null);
export const outlinedOf = (element: Element): OutlinedElement | null =>
  isOutlined(element) ? element : null;
/** Elements of one variant, as what they are. */
export const floorSlabOf = (element: Element): Raft | null => of('floorSlab', element);
export const boxElementOf = (element: Element): ElementOf['box'] | null => of('box', element);
export const padOf = (element: Element): ElementOf['pad'] | null => of('pad', element);
export const slabOf = (element: Element): Raft | null =>
  of('slab', element) ?? of('floorSlab', element) ?? of('apron', element);
export const drainOf = (element: Element): Strip | null => of('drain', element);
export const stoneFootingOf = (element: Element): Strip | null => of('stoneFooting', element);
export const underWallOf = (element: Element): VariantElements['underWall'] | null =>
  of('underWall', element);

const of = <V extends Variant>(variant: V, element: Element): VariantElements[V] | null =>
  variantOf(element) === variant ? (element as VariantElements[V]) : null;

/** A run under an old wall, whether that wall is known yet or not. */
export const underpinOf = (element: Element): Underpin | null =>
  element.kind === 'underpin' ? element : null;

/** How far boards against frost lie out past a slab's edge, m; 0 where none do. */
export function apronOf(element: Element): number {
  const boards = boardsOf(element);
  return boards?.zone === 'apron' ? boards.width : 0;
}
