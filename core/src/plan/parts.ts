/** What schemas of plan and records are made of. */
import Type, { type TSchema } from 'typebox';
import { FIELDS, type FieldId, type Range } from './fields.ts';
import { WHOLE_TEXT } from './text.ts';

/** A number within a range, its ends met with a hair to spare. */
export const within = ({ min, max }: Range) => {
  const slack = 1e-9 * Math.max(1, Math.abs(max));
  return Type.Number({ minimum: min - slack, maximum: max + slack });
};
export const num = (id: FieldId) => within(FIELDS[id]);
export const text = (most: number) => Type.String({ maxLength: most, pattern: WHOLE_TEXT });
export const name = Type.String({ minLength: 1, maxLength: 80, pattern: WHOLE_TEXT });
export const id = Type.String({ pattern: '^[A-Za-z0-9_-]{1,40}$' });
export const oneOf = <const T extends readonly string[]>(values: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...values] });
export const object = <T extends Record<string, TSchema>>(fields: T) =>
  Type.Object(fields, { additionalProperties: false });
export const orNull = <T extends TSchema>(schema: T) => Type.Union([schema, Type.Null()]);

export const Point = Type.Unsafe<readonly [number, number]>({
  type: 'array',
  prefixItems: [num('/elements/*/at/0'), num('/elements/*/at/1')],
  minItems: 2,
  maxItems: 2,
});
