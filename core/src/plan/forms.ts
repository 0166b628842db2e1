/** Elements by how they lie in plan. Apart from their schemas: the desk asks, and needs no schema. */
import type { Element } from './elements.ts';
import { type ElementKind, FORMS, type Form } from './kinds.ts';

/** Elements of one form: what has an axis, what has an outline. */
export type ElementOfForm<F extends Form> = Extract<
  Element,
  { kind: { [K in ElementKind]: (typeof FORMS)[K] extends F ? K : never }[ElementKind] }
>;
export type RunElement = ElementOfForm<'run'>;
export type OutlinedElement = ElementOfForm<'outline'>;
export const isRun = (element: Element): element is RunElement => FORMS[element.kind] === 'run';
export const isOutlined = (element: Element): element is OutlinedElement => FORMS[element.kind] === 'outline';
