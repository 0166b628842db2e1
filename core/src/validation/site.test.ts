import { describe, expect, it } from 'vitest';
import { newBox, newRaft, newRamp } from '../plan/blank.ts';
import { FIELDS } from '../plan/fields.ts';
import type { Plan } from '../plan/schema.ts';
import { named, plainPlan, raft, ramp, strip, tank } from '../testing.ts';
import { checkPlan } from './check.ts';
import { validatePlan } from './validate.ts';

const problems = (change: (plan: Plan) => void) => checkPlan(plainPlan(change)).map((p) => [p.code, p.path]);
const square = [
  [0, 0],
  [4, 0],
  [4, 4],
  [0, 4],
] as [number, number][];
const bow = [
  [0, 0],
  [4, 4],
  [4, 0],
  [0, 4],
] as [number, number][];

describe('what the site and the plant can have wrong', () => {
  const cases: readonly (readonly [string, (p: Plan) => void, string, string])[] = [
    [
      'a plot of two corners',
      (p: Plan) => void p.site.boundary.push([0, 0], [1, 0]),
      'outlineFlat',
      '/site/boundary',
    ],
    [
      'a plot that crosses itself',
      (p: Plan) => void p.site.boundary.push(...bow),
      'outlineCrosses',
      '/site/boundary',
    ],
    [
      'an area of no size',
      (p: Plan) =>
        void p.site.areas.push({
          id: 'a',
          name: 'A',
          use: 'spoil',
          points: [
            [0, 0],
            [1, 0],
            [2, 0],
          ],
        }),
      'outlineFlat',
      '/site/areas/0/points',
    ],
    [
      'two areas of one id',
      (p: Plan) =>
        void p.site.areas.push(
          { id: 'a', name: 'A', use: 'spoil', points: square },
          { id: 'a', name: 'B', use: 'spoil', points: square },
        ),
      'duplicateId',
      '/site/areas/1/id',
    ],
    [
      'a machine nobody has',
      (p: Plan) => {
        p.dig.machine = 'crane';
      },
      'unknownMachine',
      '/dig/machine',
    ],
    [
      'two reaches at one depth',
      (p: Plan) => {
        p.dig.machines[0]!.reach = [
          { depth: 1, reach: 4 },
          { depth: 1, reach: 5 },
        ];
      },
      'reachDoubled',
      '/dig/machines/0/reach/1/depth',
    ],
    [
      'a keyway wider than its footing',
      (p: Plan) => {
        p.elements = named(
          strip(
            [
              [0, 0],
              [5, 0],
            ],
            { width: 0.5, key: { width: 0.7, depth: 0.2 } },
          ),
        );
      },
      'keyWider',
      '/elements/0/key/width',
    ],
    [
      'a ramp down to a ramp',
      (p: Plan) => {
        p.elements = named(tank(square), ramp('E2', [4, 2], 0));
      },
      'unknownElement',
      '/elements/1/serves',
    ],
  ];
  it.each(cases)('%s', (_, change, code, path) => {
    expect(problems(change)).toContainEqual([code, path]);
  });

  it('numbers past their limits are named with their path', () => {
    const found = checkPlan(
      plainPlan((p) => {
        p.setout.tension = 0;
        p.dig.bench.height = 99;
        p.dig.machines[0]!.bucket = Number.NaN;
        p.site.gates = [{ id: 'g', name: 'G', at: [9e9, 0], width: 3 }];
        p.elements = named(
          raft(square, { edge: { depth: 9, width: 0.3 } }),
          ramp('E1', [4, 2], 0, { grade: 0 }),
        );
      }),
    );
    expect(found.map((p) => p.path)).toEqual([
      '/setout/tension',
      '/site/gates/0/at/0',
      '/dig/bench/height',
      '/dig/machines/0/bucket',
      '/elements/0/edge/depth',
      '/elements/1/grade',
    ]);
    expect(found[2]).toMatchObject({ code: 'range', max: FIELDS['/dig/bench/height'].max });
    expect(found[3]).toMatchObject({ code: 'notFinite', value: 'NaN' });
  });

  it('new shapes are let in by the door, in both systems', () => {
    for (const system of ['metric', 'imperial'] as const) {
      const plan = plainPlan((p) => {
        p.system = system;
        const box = newBox(p, square);
        p.elements = [box];
        p.elements = [
          box,
          newRaft(
            p,
            square.map(([x, y]) => [x + 20, y] as const),
          ),
          newRamp(p, box.id, [4, 2], 0),
        ];
      });
      const read = validatePlan(JSON.parse(JSON.stringify(plan)));
      expect(read.ok ? [] : read.problems).toEqual([]);
      expect(plan.elements.map((e) => e.id)).toEqual(['B1', 'R1', 'A1']);
    }
  });

  it('a shape of no known kind, or with too few corners, is refused with its path', () => {
    const plan = JSON.parse(JSON.stringify(plainPlan((p) => void p.elements.push(tank(square)))));
    plan.elements[0].outline = [
      [0, 0],
      [1, 0],
    ];
    const few = validatePlan(plan);
    expect(few.ok ? [] : few.problems.map((p) => [p.code, p.path])).toContainEqual([
      'tooFew',
      '/elements/0/outline',
    ]);
    plan.elements[0] = { kind: 'moat', id: 'x' };
    expect(validatePlan(plan).ok).toBe(false);
  });
});
