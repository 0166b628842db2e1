/** The table of fields against the schema, the blank plan and the plan that holds everything. */
import { describe, expect, it } from 'vitest';
import { demo } from '../testing.ts';
import { rangeProblems } from '../validation/check.ts';
import { blankPlan } from './blank.ts';
import { FIELDS, fieldOf, isField, outOfRange, patternOf, startOf } from './fields.ts';
import { numbersOf } from './numbers.ts';
import { readNumber, writeNumber } from './path.ts';
import { PlanSchema } from './schema.ts';
import { WORDINGS } from './wordings.ts';

interface Schema {
  readonly type?: string;
  readonly anyOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
  readonly prefixItems?: readonly Schema[];
  readonly const?: unknown;
  readonly minimum?: number;
  readonly maximum?: number;
}

/** Every leaf of a schema with its pattern. */
function leaves(schema: Schema, path = ''): [string, Schema][] {
  if (schema.anyOf) return schema.anyOf.flatMap((one) => leaves(one, path));
  if (schema.properties)
    return Object.entries(schema.properties).flatMap(([key, value]) => leaves(value, `${path}/${key}`));
  if (schema.prefixItems) return schema.prefixItems.flatMap((one, i) => leaves(one, `${path}/${i}`));
  if (schema.items) return leaves(schema.items, `${path}/*`);
  return [[path, schema]];
}
const all = leaves(PlanSchema as Schema);
const isNumber = ({ type, const: fixed }: Schema) =>
  (type === 'number' || type === 'integer') && fixed === undefined;
/** Positions in a list of the survey's own points: no quantity. */
const POSITIONS = '/ground/surface/breaklines/*/*';

describe('the table of fields', () => {
  it('has every number of the schema with the same limits, and no other', () => {
    const numbers = all.filter(([path, schema]) => isNumber(schema) && path !== POSITIONS);
    expect(new Set(numbers.map(([path]) => path))).toEqual(new Set(Object.keys(FIELDS)));
    for (const [path, { minimum, maximum }] of numbers) {
      const { min, max } = FIELDS[fieldOf(path)];
      expect([path, Math.abs(minimum! - min) < 1e-6 * Math.max(1, Math.abs(max))]).toEqual([path, true]);
      expect([path, Math.abs(maximum! - max) < 1e-6 * Math.max(1, Math.abs(max))]).toEqual([path, true]);
    }
  });

  it('has words for the rest of it, itself or for what holds it', () => {
    // An id is never shown; what a file is, and which kind of thing, never changes.
    const silent = /\/(id|format|version)$|^\/(elements\/\*|ground\/surface)\/kind$/;
    const rest = all
      .filter(
        ([path, schema]) => !isNumber(schema) && !silent.test(path) && path !== POSITIONS && !isField(path),
      )
      .map(([path]) => path)
      .filter((path) => {
        for (let at = path; at !== ''; at = at.slice(0, at.lastIndexOf('/')))
          if (Object.hasOwn(WORDINGS, at)) return false;
        return true;
      });
    expect(rest).toEqual([]);
    const known = new Set(
      all.flatMap(([path]) => path.split('/').map((_, i, keys) => keys.slice(0, i + 1).join('/'))),
    );
    expect(Object.keys(WORDINGS).filter((path) => !known.has(path))).toEqual([]);
  });

  it('starts a new job within its own limits, in both systems, at the same size to a tenth or so', () => {
    for (const [id, field] of Object.entries(FIELDS)) {
      if (!('start' in field)) continue;
      const [metric, imperial] = (['metric', 'imperial'] as const).map((system) =>
        startOf(fieldOf(id), system),
      );
      expect([id, outOfRange(field, metric!), outOfRange(field, imperial!)]).toEqual([id, null, null]);
      // A job’s own datum is a round figure in its own units.
      if (field.kind === 'level') continue;
      expect(Math.abs(metric! - imperial!)).toBeLessThanOrEqual(0.3 * Math.abs(metric!));
    }
    for (const system of ['metric', 'imperial'] as const) {
      const plan = blankPlan('x', system);
      for (const [path, id, value] of numbersOf(plan))
        if ('start' in FIELDS[id] && !path.startsWith('/ground/logs/0/layers'))
          expect([path, value]).toEqual([path, startOf(id, system)]);
    }
  });

  it('names a pointer by its lists, and a coordinate by which it is', () => {
    expect(patternOf('/ground/surface/points/12/2')).toBe('/ground/surface/points/*/2');
    expect(patternOf('/elements/3/points/0/1')).toBe('/elements/*/points/*/1');
    expect(patternOf('/dig/buckets/2')).toBe('/dig/buckets/*');
    expect(patternOf('/elements/3')).toBe('/elements/*');
    expect(() => fieldOf('/name')).toThrow('No field is known for /name.');
  });
});

describe('the range check', () => {
  it('looks at every number of the demos: each pushed past its limits is found at its own pointer', () => {
    for (const name of ['honey-house', 'bell-frame', 'cheese-vault'] as const) {
      const whole = demo(name);
      const pointers = numbersOf(whole).map(([path]) => path);
      expect(pointers.length).toBeGreaterThan(80);
      const seen = new Set<string>();
      for (const pointer of pointers) {
        // One of each field is enough: a survey has hundreds alike.
        const id = fieldOf(pointer);
        if (seen.has(id)) continue;
        seen.add(id);
        for (const wrong of [FIELDS[id].max * 2 + 1, FIELDS[id].min - 1 - Math.abs(FIELDS[id].min)]) {
          const plan = structuredClone(whole);
          writeNumber(plan, pointer, wrong);
          expect(readNumber(plan, pointer)).toBe(wrong);
          expect([pointer, rangeProblems(plan).map((p) => p.path)]).toEqual([pointer, [pointer]]);
        }
      }
    }
  });
});
