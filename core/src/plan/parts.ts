/** What schemas of plan and records are made of. */

import type { TSchema } from 'typebox';
import * as Type from 'typebox';
import { FIELDS, type FieldId, type Range } from './fields.ts';
import { WHOLE_TEXT } from './text.ts';

// Marked as free of side effects: what is only computed, and never let in from outside, ships without schemas.

/*#__NO_SIDE_EFFECTS__*/
export const between = (minimum: number, maximum: number) => Type.Number({ minimum, maximum });
/** A number within a range, its ends met with a hair to spare. */
/*#__NO_SIDE_EFFECTS__*/
export const within = ({ min, max }: Range) => {
  const slack = 1e-9 * Math.max(1, Math.abs(max));
  return between(min - slack, max + slack);
};
/*#__NO_SIDE_EFFECTS__*/
export const num = (id: FieldId) => within(FIELDS[id]);
/*#__NO_SIDE_EFFECTS__*/
export const text = (most: number) => Type.String({ maxLength: most, pattern: WHOLE_TEXT });
/** Something said: not left blank. */
export const said = /*#__PURE__*/ Type.String({ minLength: 1, maxLength: 400, pattern: WHOLE_TEXT });
export const name = /*#__PURE__*/ Type.String({ minLength: 1, maxLength: 80, pattern: WHOLE_TEXT });
export const id = /*#__PURE__*/ Type.String({ pattern: '^[A-Za-z0-9_-]{1,40}$' });
/** What of an element is cast at once: its id, and what of it where that is not the first. */
export const castKey = /*#__PURE__*/ Type.String({
  pattern: '^[A-Za-z0-9_-]{1,40}([.][a-z]{1,20}([.][0-9]{1,4})?)?$',
});
/*#__NO_SIDE_EFFECTS__*/
export const oneOf = <const T extends readonly string[]>(values: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...values] });
/*#__NO_SIDE_EFFECTS__*/
export const object = <T extends Record<string, TSchema>>(fields: T) =>
  Type.Object(fields, { additionalProperties: false });
/*#__NO_SIDE_EFFECTS__*/
export const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

/*#__NO_SIDE_EFFECTS__*/
export const bool = () => Type.Boolean();
/*#__NO_SIDE_EFFECTS__*/
export const optional = <T extends TSchema>(schema: T) => Type.Optional(schema);
/*#__NO_SIDE_EFFECTS__*/
export const literal = <const T extends string>(value: T) => Type.Literal(value);
/** One of several shapes. */
/*#__NO_SIDE_EFFECTS__*/
export const oneOfSchemas = <const T extends TSchema[]>(schemas: readonly [...T]) =>
  Type.Union([...schemas] as [...T]);
/** A list of between so many. */
/*#__NO_SIDE_EFFECTS__*/
export const listOf = <T extends TSchema>(items: T, minItems: number, maxItems: number) =>
  Type.Array(items, { minItems, maxItems });

export const Point = /*#__PURE__*/ Type.Unsafe<readonly [number, number]>({
  type: 'array',
  prefixItems: [num('/elements/*/at/0'), num('/elements/*/at/1')],
  minItems: 2,
  maxItems: 2,
});
