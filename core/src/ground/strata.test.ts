import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { newLog } from '../plan/blank.ts';
import type { Plan } from '../plan/schema.ts';
import { named, pad, plainPlan, strip, tilt, unbalanced } from '../testing.ts';
import { fence, postAt } from './fence.ts';
import { depthsIn, groundModel } from './strata.ts';
import { soilOrder } from './strata-order.ts';

const soil = (id: string, kind: Plan['ground']['soils'][number]['kind']) => ({
  id,
  name: '',
  kind,
  values: {},
  hand: null,
});
const log = (
  id: string,
  at: readonly [number, number],
  layers: readonly [soil: string, top: number][],
  bottom: number,
  more: Partial<Plan['ground']['logs'][number]> = {},
) => ({
  ...newLog(id, id, at, bottom),
  layers: layers.map(([s, top]) => ({ soil: s, top, note: '' })),
  ...more,
});

/** Two logs 10 m apart: sand pinches out to the east. */
const two = (change: (plan: Plan) => void = () => {}) =>
  plainPlan((p) => {
    p.ground.soils = [soil('top', 'topsoil'), soil('sand', 'sand'), soil('clay', 'stiffClay')];
    p.ground.logs = [
      log(
        'A',
        [0, 0],
        [
          ['top', 0],
          ['sand', 0.3],
          ['clay', 1.5],
        ],
        3,
      ),
      log(
        'B',
        [10, 0],
        [
          ['top', 0],
          ['clay', 0.5],
        ],
        3,
      ),
    ];
    change(p);
  });

describe('strata between logs', () => {
  it('are at each log what the log says', () => {
    const model = groundModel(two());
    expect(model.column(0, 0).map((l) => [l.soil.layer.id, l.top])).toEqual([
      ['top', 0],
      ['sand', expect.closeTo(0.3, 9)],
      ['clay', expect.closeTo(1.5, 9)],
    ]);
    expect(model.column(10, 0).map((l) => [l.soil.layer.id, l.top])).toEqual([
      ['top', 0],
      ['clay', expect.closeTo(0.5, 9)],
    ]);
  });

  it('by inverse distance squared: a quarter of the way weighs 9 to 1', () => {
    // Clay at 98.5 and 99.5; at x = 2.5 the weights are 1/6.25 and 1/56.25: (9·98.5 + 99.5)/10.
    const levels = groundModel(two()).tops(2.5, 0);
    expect(levels[2]).toBeCloseTo((9 * 98.5 + 99.5) / 10, 9);
    // The base of topsoil follows the ground: depths 0.3 and 0.5.
    expect(100 - levels[1]!).toBeCloseTo((9 * 0.3 + 0.5) / 10, 9);
  });

  it('keep boundaries in order, and a pinched-out soil has no thickness where it is absent', () => {
    const model = groundModel(two());
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 40, noNaN: true }),
        fc.double({ min: -20, max: 20, noNaN: true }),
        (x, y) => {
          const tops = model.tops(x, y);
          for (let k = 1; k < tops.length; k++) expect(tops[k]!).toBeLessThanOrEqual(tops[k - 1]! + 1e-12);
        },
      ),
    );
    const [, sand, clay] = model.tops(10, 0);
    expect(sand! - clay!).toBeCloseTo(0, 9);
  });

  it('with one log are parallel to the surface', () => {
    const plan = two((p) => {
      p.ground.logs.pop();
      tilt(p, -0.1);
    });
    const model = groundModel(plan);
    expect(model.varies).toBe(false);
    for (const x of [-5, 0, 12]) expect(model.level(x, 3) - model.tops(x, 3)[2]!).toBeCloseTo(1.5, 9);
  });

  it('a log that stops short says only that the rest lies deeper', () => {
    const plan = two((p) => {
      p.ground.logs[1] = log(
        'B',
        [10, 0],
        [
          ['top', 0],
          ['sand', 0.5],
        ],
        2.2,
      );
    });
    expect(depthsIn(plan.ground.logs[1]!, plan.ground.soils)).toEqual([0, 0.5, null]);
    // Clay is at 1.5 in A; at B it is no higher than where the log ended.
    expect(100 - groundModel(plan).tops(10, 0)[2]!).toBeCloseTo(2.2, 9);
  });

  it('give volumes that add up, near those of a fine grid read straight from the columns', () => {
    const plan = two((p) => {
      p.dig.slope = 0;
      p.elements = named(
        strip([
          [0, 0],
          [10, 0],
        ]),
        pad(4, 3, 3, 2, { angle: 30 }),
      );
    });
    const takeoff = compute(plan);
    expect(unbalanced(takeoff)).toEqual([]);
    const model = groundModel(plan);
    const slow = [0, 0, 0];
    const step = 0.02;
    const cells = takeoff.solid.cuts.flatMap((cut) => cut.cells);
    for (const cell of cells) {
      const xs = cell.area.filter((_, i) => i % 2 === 0);
      const ys = cell.area.filter((_, i) => i % 2 === 1);
      for (let x = Math.min(...xs) + step / 2; x < Math.max(...xs); x += step)
        for (let y = Math.min(...ys) + step / 2; y < Math.max(...ys); y += step) {
          let inside = true;
          for (let i = 0; i < cell.area.length; i += 2) {
            const j = (i + 2) % cell.area.length;
            const turn =
              (cell.area[j]! - cell.area[i]!) * (y - cell.area[i + 1]!) -
              (cell.area[j + 1]! - cell.area[i + 1]!) * (x - cell.area[i]!);
            if (turn < 0) inside = false;
          }
          if (!inside) continue;
          const floor = cell.level.a * x + cell.level.b * y + cell.level.c;
          const depth = model.level(x, y) - floor;
          for (const layer of model.column(x, y))
            slow[layer.soil.index]! +=
              Math.max(0, Math.min(depth, layer.bottom) - Math.min(depth, layer.top)) * step * step;
        }
    }
    takeoff.spoil.strata.forEach((s, k) => {
      expect(Math.abs(s.bank - slow[k]!)).toBeLessThan(0.003 * takeoff.figures.dig.value);
    });
  }, 30_000);

  it('give the same volumes wherever the job lies', () => {
    const there = (east: number, north: number) =>
      two((p) => {
        for (const one of p.ground.logs) one.at = [one.at[0] + east, one.at[1] + north];
        p.elements = named(
          strip([
            [east, north],
            [east + 10, north],
          ]),
          pad(east + 4, north + 3, 3, 2, { angle: 30 }),
        );
      });
    const here = compute(there(0, 0)).spoil.strata;
    compute(there(1371.3, -842.7)).spoil.strata.forEach((s, k) => {
      expect(s.bank).toBeCloseTo(here[k]!.bank, 8);
    });
    expect(here.every((s) => s.bank > 0.1)).toBe(true);
  });
});

describe('water', () => {
  it('is a surface through standing levels, without those that hang', () => {
    const plan = two((p) => {
      p.ground.logs[0]!.standing = 1;
      p.ground.logs[1]!.standing = 2;
    });
    const model = groundModel(plan);
    expect(model.waterFrom).toBe('logs');
    expect(model.water(0, 0)).toBeCloseTo(99, 9);
    expect(model.water(5, 0)).toBeCloseTo(98.5, 9);
    plan.ground.logs[0]!.perched = true;
    expect(groundModel(plan).water(0, 0)).toBeCloseTo(98, 9);
  });
  it('is what was typed where no log measured it, and never below the high of the year', () => {
    const plan = two((p) => {
      p.ground.water = 98.2;
    });
    expect(groundModel(plan).water(3, 3)).toBe(98.2);
    plan.ground.waterHigh = 98.9;
    expect(groundModel(plan).water(3, 3)).toBe(98.9);
    expect(groundModel(plan).waterFrom).toBe('high');
    plan.ground.water = null;
    expect(groundModel(plan).water(3, 3)).toBe(98.9);
  });
  it('hanging over clay lowers the sides where a dig cuts it', () => {
    const dug = (perched: boolean) =>
      compute(
        two((p) => {
          p.ground.logs = [
            log(
              'A',
              [0, 0],
              [
                ['top', 0],
                ['clay', 0.3],
              ],
              3,
              { standing: 0.4, perched },
            ),
          ];
          p.ground.soils = [soil('top', 'topsoil'), soil('clay', 'stiffClay')];
          p.ground.soils[0]!.kind = 'stiffClay';
          p.elements = named(pad(0, 0, 1, 1));
        }),
      ).elements[0]!;
    expect(dug(true)).toMatchObject({ perched: true, wet: false });
    expect(dug(true).rule.slopeClass).toBe('C');
    expect(dug(false)).toMatchObject({ perched: false, wet: true });
  });
});

describe('a fence', () => {
  it('has a post at every break of the surface and reads like the model between', () => {
    const plan = two((p) => {
      p.ground.surface = {
        kind: 'spots',
        points: [
          [-2, -5, 100],
          [5, -5, 101],
          [12, -5, 100],
          [-2, 5, 100],
          [5, 5, 101],
          [12, 5, 100],
        ],
        breaklines: [],
      };
    });
    const model = groundModel(plan);
    const posts = fence(model, [0, 1], [10, 1], 5);
    expect(posts[0]!.s).toBe(0);
    expect(posts.at(-1)!.s).toBeCloseTo(10, 9);
    expect(posts.some((post) => Math.abs(post.s - 5) < 1e-6 && Math.abs(post.ground - 101) < 1e-6)).toBe(
      true,
    );
    for (const s of [0.7, 3.3, 6.1, 9.9]) expect(postAt(posts, s)!.ground).toBeCloseTo(model.level(s, 1), 6);
    expect(fence(model, [1, 1], [1, 1], 1)).toEqual([]);
    expect(postAt([], 1)).toBeNull();
  });
});

describe('the order of soils', () => {
  it('is the one all logs keep to', () => {
    const soils = [soil('a', 'topsoil'), soil('b', 'sand'), soil('c', 'silt')];
    const logs = [
      log(
        '1',
        [0, 0],
        [
          ['a', 0],
          ['c', 1],
          ['b', 2],
        ],
        3,
      ),
    ];
    expect(soilOrder(soils, logs)!.map((s) => s.id)).toEqual(['a', 'c', 'b']);
    expect(soilOrder(soils, [])!.map((s) => s.id)).toEqual(['a', 'b', 'c']);
    const against = log(
      '2',
      [5, 0],
      [
        ['b', 0],
        ['c', 1],
      ],
      3,
    );
    expect(soilOrder(soils, [...logs, against])).toBeNull();
  });
});

describe('bad logs are named, and nothing is dug from them', () => {
  const codes = (change: (p: Plan) => void) =>
    compute(two(change)).problems.map((p) => `${p.code} ${p.path}`);
  it.each<[string, (p: Plan) => void, string]>([
    [
      'one that starts below the surface',
      (p) => {
        p.ground.logs[0]!.layers[0]!.top = 0.1;
      },
      'soilsStart /ground/logs/0/layers/0/top',
    ],
    [
      'layers that overlap',
      (p) => {
        p.ground.logs[0]!.layers[2]!.top = 0.2;
      },
      'soilsOrder /ground/logs/0/layers/2/top',
    ],
    [
      'layers against the order',
      (p) => {
        p.ground.logs[1]!.layers = [
          { soil: 'clay', top: 0, note: '' },
          { soil: 'sand', top: 1, note: '' },
        ];
      },
      'soilSequence /ground/logs/1/layers/1/soil',
    ],
    [
      'one that ends above its last soil',
      (p) => {
        p.ground.logs[0]!.bottom = 1;
      },
      'logBottom /ground/logs/0/bottom',
    ],
    [
      'two in one place',
      (p) => {
        p.ground.logs[1]!.at = [0, 0];
      },
      'logsTogether /ground/logs/1/at/0',
    ],
    [
      'a soil nobody knows',
      (p) => {
        p.ground.logs[1]!.layers[1]!.soil = 'x';
      },
      'unknownSoil /ground/logs/1/layers/1/soil',
    ],
    [
      'one far outside the plan',
      (p) => {
        p.ground.logs[1]!.at = [400, 0];
        p.elements = named(pad(0, 0, 1, 1));
      },
      'logFar /ground/logs/1/at/0',
    ],
    [
      'duplicate spots',
      (p) => {
        p.ground.surface = {
          kind: 'spots',
          points: [
            [0, 0, 1],
            [1, 0, 1],
            [0, 1, 1],
            [1, 0, 2],
          ],
          breaklines: [],
        };
      },
      'duplicateSpot /ground/surface/points/3',
    ],
    [
      'spots on one line',
      (p) => {
        p.ground.surface = {
          kind: 'spots',
          points: [
            [0, 0, 1],
            [1, 0, 1],
            [2, 0, 1],
          ],
          breaklines: [],
        };
      },
      'collinear /ground/surface/points',
    ],
    [
      'breaklines that cross',
      (p) => {
        p.ground.surface = {
          kind: 'spots',
          points: [
            [0, 0, 1],
            [4, 0, 1],
            [4, 4, 1],
            [0, 4, 1],
          ],
          breaklines: [
            [0, 2],
            [1, 3],
          ],
        };
      },
      'breaklinesCross /ground/surface/breaklines/1',
    ],
  ])('%s', (_name, change, expected) => {
    expect(codes(change)).toContain(expected);
  });
});
