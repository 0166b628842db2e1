import { describe, expect, it } from 'vitest';
import { bedded, demo, firstStrip, honeyHouse, named, pad, plainPlan, stone, strip } from '../testing.ts';
import { validatePlan } from '../validation/validate.ts';
import { blankPlan, newPad, newStrip } from './blank.ts';
import { applyChanges, mergePlans, planChanges, sameValue } from './diff.ts';
import type { Strip } from './elements.ts';
import { FIELDS, outOfRange } from './fields.ts';
import { migrate } from './migrate.ts';
import { nextName } from './names.ts';
import type { Plan } from './schema.ts';

/** Honey house as parsed JSON with one place set to anything, or removed when `value` is undefined. */
function broken(path: string, value: unknown): unknown {
  const document: unknown = JSON.parse(JSON.stringify(honeyHouse()));
  const keys = path.split('/').slice(1);
  const last = keys.pop() ?? '';
  const place = keys.reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], document) as Record<
    string,
    unknown
  >;
  if (value === undefined) delete place[last];
  else place[last] = value;
  return document;
}
const problemsOf = (document: unknown) => {
  const result = validatePlan(document);
  return result.ok ? [] : result.problems.map((p) => `${p.code} ${p.path}`);
};

describe('the door for plans', () => {
  it('lets the demos and blank plans in, unchanged', () => {
    for (const plan of [
      demo('honey-house'),
      demo('bell-frame'),
      demo('drying-barn'),
      blankPlan('A', 'metric'),
      blankPlan('B', 'imperial'),
    ]) {
      const result = validatePlan(JSON.parse(JSON.stringify(plan)));
      expect(result).toEqual({ ok: true, plan });
    }
  });

  it.each<[name: string, path: string, value: unknown, problem: string, at?: string]>([
    ['a missing field', '/levels/string', undefined, 'missing'],
    ['an unknown field', '/extra', 1, 'unknownField'],
    ['a wrong type', '/elements/0/width', '600', 'type'],
    ['a number past its limits', '/elements/5/length', 500, 'range'],
    ['a negative size', '/beds/0/layers/0/thickness', -0.3, 'range'],
    ['a bed without layers', '/beds/0/layers', [], 'tooFew'],
    ['a bed of 200 layers', '/beds/0/layers', Array.from({ length: 200 }, () => stone(0.1)), 'tooMany'],
    ['NaN', '/levels/string', Number.NaN, 'notFinite'],
    ['1e309', '/levels/string', JSON.parse('1e309'), 'notFinite'],
    ['an unknown soil kind', '/ground/soils/0/kind', 'cheese', 'choice'],
    ['a blank name', '/name', '', 'blank'],
    ['huge text', '/note', 'x'.repeat(5000), 'tooLong'],
    ['a point of three numbers', '/elements/0/points/0', [0, 0, 0], 'tooMany'],
    [
      'too many elements',
      '/elements',
      Array.from({ length: 500 }, (_, i) => ({ ...pad(0, 0, 1, 1), id: `P${i}` })),
      'tooMany',
    ],
    ['an id with markup', '/elements/0/id', '<b>', 'id'],
    ['an element of no kind', '/elements/0/kind', 'hole', 'choice'],
    ['another format', '/format', 'other', 'notAPlan'],
    ['a newer version', '/version', 99, 'versionTooNew'],
    ['version nought', '/version', 0, 'version'],
    ['a half-given climate', '/ground/frost/climate/days', undefined, 'missing'],
    ['a log that starts below the surface', '/ground/logs/0/layers/0/top', 0.2, 'soilsStart'],
  ])('names %s', (_name, path, value, code) => {
    expect(problemsOf(broken(path, value))).toContain(`${code} ${path}`);
  });

  it.each([null, 4, 'plan', [], {}, { format: 'cimiento-plan' }])('refuses %j', (document) => {
    expect(validatePlan(document).ok).toBe(false);
  });

  it('is not taken in by hostile JSON', () => {
    const text = JSON.stringify(honeyHouse()).replace('"name":', '"__proto__":{"polluted":1},"name":');
    expect(problemsOf(JSON.parse(text))).toEqual(['unknownField /__proto__']);
    expect(({} as { polluted?: number }).polluted).toBeUndefined();
  });

  it('says the limits with the problem', () => {
    const result = validatePlan(broken('/elements/0/width', 900));
    expect(result.ok ? [] : result.problems[0]).toMatchObject({ value: 900, min: 0.1, max: 30 });
  });
});

describe('migration', () => {
  const steps = {
    1: (d: Record<string, unknown>) => ({ ...d, height: d.depth, depth: undefined }),
    2: (d: Record<string, unknown>) => ({ ...d, added: true }),
  };
  it('walks every step from the version found', () => {
    expect(migrate({ format: 'f', version: 1, depth: 3 }, 3, 'f', steps)).toMatchObject({
      ok: true,
      from: 1,
      document: { version: 3, height: 3, added: true },
    });
    expect(migrate({ format: 'f', version: 2 }, 3, 'f', steps)).toMatchObject({
      ok: true,
      document: { added: true },
    });
  });
  it('leaves a current document as it is, and never skips a missing step', () => {
    const document = { format: 'f', version: 3 };
    expect(migrate(document, 3, 'f', steps)).toMatchObject({ ok: true, document });
    expect(migrate({ format: 'f', version: 1 }, 3, 'f', { 2: steps[2] })).toMatchObject({ ok: false });
  });
});

describe('ranges', () => {
  it('stop what is not a number, at both limits, and allow the limits', () => {
    expect(outOfRange(FIELDS['/elements/*/width'], Number.NaN)).toBe('notFinite');
    for (const field of Object.values(FIELDS)) {
      const { min, max } = field;
      expect(outOfRange(field, min)).toBeNull();
      expect(outOfRange(field, max)).toBeNull();
      expect(outOfRange(field, max * 1.01 + 1)).toBe('range');
    }
  });
});

describe('differences', () => {
  const base = plainPlan((p) => {
    p.elements = named(
      strip([
        [0, 0],
        [5, 0],
      ]),
      pad(8, 0, 1, 1),
    );
  });
  const edit = (change: (p: Plan) => void) => {
    const copy = structuredClone(base);
    change(copy);
    return copy;
  };

  it('name each value by the id of the thing it belongs to', () => {
    const after = edit((p) => {
      p.elements[1]!.thickness = 0.5;
      p.ground.frost.local = 1.2;
    });
    expect(planChanges(base, after)).toEqual([
      { path: '/ground/frost/local', from: 0.9, to: 1.2 },
      { path: '/elements/E2/thickness', from: 0.3, to: 0.5 },
    ]);
    expect(planChanges(base, base)).toEqual([]);
  });

  it('do not see the order of keys, only values', () => {
    const shuffled = Object.fromEntries(Object.entries(structuredClone(base)).reverse()) as Plan;
    expect(sameValue(shuffled, base)).toBe(true);
    expect(planChanges(shuffled, base)).toEqual([]);
    expect([
      sameValue([1, 2], [2, 1]),
      sameValue({ a: 1 }, { b: 1 }),
      sameValue(null, {}),
      sameValue([], {}),
    ]).toEqual([false, false, false, false]);
  });

  it('put on the plan they came from give the plan they led to', () => {
    const after = edit((p) => {
      p.elements.shift();
      p.elements.push({ ...newPad(p, [1, 1]), id: 'N', name: 'N' });
      bedded(p, stone(0.2));
      p.dig.buckets = [0.3];
      p.ground.soils[0]!.values.swell = 0.3;
    });
    expect(applyChanges(base, planChanges(base, after))).toEqual(after);
    const back = applyChanges(after, planChanges(after, base));
    expect(planChanges(back, base)).toEqual([]);
  });

  it('of two people merge when they do not touch the same value', () => {
    const theirs = edit((p) => {
      firstStrip(p).width = 0.8;
    });
    const mine = edit((p) => {
      p.levels.string = 101;
      p.elements.push({
        ...newStrip(p, [
          [0, 0],
          [0, 3],
        ]),
        id: 'M',
      });
    });
    const { merged, collisions } = mergePlans(base, theirs, mine);
    expect(collisions).toEqual([]);
    expect(merged.elements.map((e) => [e.id, 'width' in e && e.width])).toEqual([
      ['E1', 0.8],
      ['E2', 1],
      ['M', 0.6],
    ]);
    expect(merged.levels.string).toBe(101);
  });

  it('of two people on one value are listed, and theirs stands until someone chooses', () => {
    const theirs = edit((p) => {
      p.ground.frost.local = 1.1;
    });
    const mine = edit((p) => {
      p.ground.frost.local = 1.3;
      p.levels.string = 101;
    });
    const { merged, collisions } = mergePlans(base, theirs, mine);
    expect(collisions).toEqual([{ path: '/ground/frost/local', base: 0.9, theirs: 1.1, mine: 1.3 }]);
    expect(merged.ground.frost.local).toBe(1.1);
    expect(merged.levels.string).toBe(101);
    // Both the same is no collision.
    expect(mergePlans(base, mine, mine).collisions).toEqual([]);
  });

  it('of what the other removed collide with an edit inside it', () => {
    const theirs = edit((p) => {
      p.elements.pop();
    });
    const mine = edit((p) => {
      (p.elements[1] as Strip).width = 2;
    });
    const { merged, collisions } = mergePlans(base, theirs, mine);
    expect(collisions).toHaveLength(1);
    expect(merged.elements).toHaveLength(1);
  });
});

describe('names', () => {
  it('take the next free number', () => {
    expect(nextName('T', ['T1', 'T3'])).toBe('T2');
    expect(nextName('T', [])).toBe('T1');
  });
});
