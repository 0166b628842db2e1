import { blankPlan } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { makeDesk } from '../../state/store.ts';
import { placeAt } from '../ground/placing.ts';
import { parseSizes } from './sizes.ts';

describe('sizes as people write them', () => {
  it.each([
    ['7.2 x 3.8', 'length', 'metric', 'en', [7.2, 3.8]],
    ['7,2 x 3,8', 'length', 'metric', 'es', [7.2, 3.8]],
    ['900 por 600', 'size', 'metric', 'es', [0.9, 0.6]],
    ['900×600', 'size', 'metric', 'en', [0.9, 0.6]],
    ['1 m by 80 cm', 'size', 'metric', 'en', [1, 0.8]],
    ['900', 'size', 'metric', 'en', [0.9, 0.9]],
  ] as const)('%s', (text, kind, system, lang, sizes) => {
    const read = parseSizes(text, kind, system, lang)!;
    expect(read[0]).toBeCloseTo(sizes[0], 9);
    expect(read[1]).toBeCloseTo(sizes[1], 9);
  });
  it('in feet and inches are the same shape', () => {
    const read = parseSizes(`24' x 12' 6"`, 'length', 'imperial', 'en')!;
    expect(read[0]).toBeCloseTo(7.3152, 9);
    expect(read[1]).toBeCloseTo(3.81, 9);
  });
  it.each(['', 'x', '7 x', '7 x 3 x 2', '0 x 4', '-3 x 4', '5000 x 4', 'seven'])(
    '%s is not two sizes',
    (text) => {
      expect(parseSizes(text, 'length', 'metric', 'en')).toBeNull();
    },
  );
});

describe('pressing on the plan', () => {
  const desk = () => makeDesk(blankPlan('x', 'metric'), 1);
  const level = () => 100;
  it('puts a gate and stops; the next has the next name', () => {
    const store = desk();
    for (const x of [3.333, 7]) {
      store.getState().look({ placing: { what: 'gate' } });
      placeAt(store, [x, 2], level);
      expect(store.getState().view.placing).toBeNull();
    }
    expect(store.getState().plan.site.gates.map((gate) => [gate.name, gate.at])).toEqual([
      ['G1', [3.33, 2]],
      ['G2', [7, 2]],
    ]);
  });
  it('draws the plot corner by corner in one step of undo', () => {
    const store = desk();
    store.getState().look({ placing: { what: 'boundary' } });
    for (const at of [
      [0, 0],
      [9, 0],
      [9, 9],
    ] as const)
      placeAt(store, at, level);
    expect(store.getState().plan.site.boundary).toHaveLength(3);
    store.getState().undo();
    expect(store.getState().plan.site.boundary).toEqual([]);
  });
  it('adds corners to an area and points to a way', () => {
    const store = desk();
    store.getState().edit((d) => {
      d.site.areas = [
        {
          id: 'a',
          name: 'A',
          use: 'spoil',
          points: [
            [0, 0],
            [1, 0],
            [1, 1],
          ],
        },
      ];
      d.site.paths = [
        {
          id: 'p',
          name: 'P',
          width: 2,
          points: [
            [0, 0],
            [1, 0],
          ],
        },
      ];
    });
    store.getState().look({ placing: { what: 'area', id: 'a' } });
    placeAt(store, [0, 2], level);
    store.getState().look({ placing: { what: 'path', id: 'p' } });
    placeAt(store, [5, 0], level);
    const { site } = store.getState().plan;
    expect(site.areas[0]!.points.at(-1)).toEqual([0, 2]);
    expect(site.paths[0]!.points.at(-1)).toEqual([5, 0]);
  });
});
