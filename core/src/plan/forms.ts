/** Elements by how they lie in plan. Apart from their schemas: the desk asks, and needs no schema. */
import type { Element, Strip, Underpin } from './elements.ts';
import { type ElementKind, FORMS, type Form } from './kinds.ts';

/** Elements of one form: what has an axis, what has an outline. */
type OfForm<F extends Form> = Extract<
  Element,
  { kind: { [K in ElementKind]: (typeof FORMS)[K] extends F ? K : never }[ElementKind] }
>;
export type RunElement = OfForm<'run'>;
export type OutlinedElement = OfForm<'outline'>;
export const isRun = (element: Element): element is RunElement => FORMS[element.kind] === 'run';
export const isOutlined = (element: Element): element is OutlinedElement => FORMS[element.kind] === 'outline';

/** A trench that holds pipe and stone to a fall. */
export const isDrain = (element: Element): element is Strip =>
  element.kind === 'strip' && element.use === 'drain';

/** How far boards against frost lie out past a slab's edge, m; 0 where none do. */
export const apronOf = (element: Element): number =>
  element.kind === 'raft' && element.boards?.zone === 'apron' ? element.boards.width : 0;

/** The old wall a run goes under; null when it is no such run, or nobody knows the wall. */
export const oldWallOf = (element: Element): Underpin['old'] =>
  element.kind === 'underpin' ? element.old : null;
