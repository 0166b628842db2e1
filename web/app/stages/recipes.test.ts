import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  BED_MATERIAL_IDS,
  blankPlan,
  checkPlan,
  compute,
  liftsOf,
  MATERIALS,
  newBed,
  newPad,
  type Plan,
} from '@cimiento/core';
import { readJob } from '@cimiento/formats';
import fc from 'fast-check';
import { original, produce } from 'immer';
import { describe, expect, it } from 'vitest';
import { removeElement } from '../state/removeElement.ts';
import { makeDesk } from '../state/store.ts';
import * as beds from './base/beds.ts';
import { newWall } from './dig/oldWall.ts';
import { addLayer, addLog, moveBoundary, removeLayer, removeSoil, setLayerSoil } from './ground/logs.ts';
import { placeAt } from './ground/placing.ts';
import * as floors from './levels/floors.ts';
import { castEarlier, joinPours, movePour } from './pour/pours.ts';

const start = () => blankPlan('x', 'metric');
const edit = (plan: Plan, recipe: (draft: Plan) => void) => produce(plan, recipe);

describe('edits of logs', () => {
  it('build three logs from nothing that the core accepts', () => {
    const plan = edit(start(), (d) => {
      addLog(d, [12, 0]);
      addLayer(d, 1);
      setLayerSoil(d, 1, 1, { kind: 'softClay' });
      addLog(d, [4, 9]);
      setLayerSoil(d, 2, 0, { kind: 'madeGround' });
      addLayer(d, 2);
    });
    expect(checkPlan(plan)).toEqual([]);
    expect(plan.ground.logs.map((log) => log.name)).toEqual(['TP1', 'TP2', 'TP3']);
  });
  it('put soils in the order the logs have them', () => {
    const plan = edit(start(), (d) => {
      // Clay over topsoil in the one log there is: the list follows it.
      d.ground.logs[0]!.layers = [{ soil: 'topsoil', top: 0, note: '' }];
      addLayer(d, 0);
      setLayerSoil(d, 0, 0, { id: 'subsoil' });
      setLayerSoil(d, 0, 1, { id: 'topsoil' });
    });
    expect(plan.ground.soils.map((soil) => soil.id)).toEqual(['subsoil', 'topsoil']);
    expect(checkPlan(plan)).toEqual([]);
  });
  it('hold a dragged boundary between its neighbours, wherever it is dragged', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 9, noNaN: true }), (depth) => {
        const plan = edit(start(), (d) => moveBoundary(d, 0, 1, depth));
        expect(checkPlan(plan)).toEqual([]);
      }),
    );
  });
  it('take a soil or a layer away and leave every log whole', () => {
    const plan = edit(start(), (d) => {
      d.levels.bearing = { soil: 'topsoil', embedment: 0.1 };
      removeSoil(d, 'topsoil');
    });
    expect(plan.ground.logs[0]!.layers).toEqual([{ soil: 'subsoil', top: 0, note: '' }]);
    expect(plan.levels.bearing).toBeNull();
    const one = edit(start(), (d) => {
      removeLayer(d, 0, 0);
      removeLayer(d, 0, 0);
    });
    expect(one.ground.logs[0]!.layers).toHaveLength(1);
    expect(checkPlan(one)).toEqual([]);
  });
});

describe('edits of floors', () => {
  const withFloor = () =>
    edit(start(), (d) => {
      floors.addFloor(d, 'Ground', 'Slab');
      floors.addLayer(d, 'floor-1', 'insulation', 'Board');
      floors.addLayer(d, 'floor-1', 'block', 'Blocks');
      floors.addLayer(d, 'floor-1', 'sand', 'Sand');
    });
  const names = (plan: Plan) => plan.levels.floors[0]!.layers.map((layer) => layer.name);
  it('keep courses under what is laid once', () => {
    expect(names(withFloor())).toEqual(['Slab', 'Board', 'Sand', 'Blocks']);
    expect(names(edit(withFloor(), (d) => floors.moveLayer(d, 'floor-1', 0, 9)))).toEqual([
      'Board',
      'Sand',
      'Slab',
      'Blocks',
    ]);
    expect(names(edit(withFloor(), (d) => floors.moveLayer(d, 'floor-1', 3, 0)))).toEqual(names(withFloor()));
    expect(checkPlan(withFloor())).toEqual([]);
  });
  it('give a layer the thickness its material comes in, and snap a dragged one to it', () => {
    const plan = edit(withFloor(), (d) => floors.setMaterial(d, 'floor-1', 1, 'membrane', 'Foil'));
    expect(plan.levels.floors[0]!.layers[1]!.thickness).toBe(MATERIALS.membrane.thicknesses[0]);
    expect(floors.snapThickness('slab', 0.1041)).toBe(0.1);
    expect(floors.snapThickness('slab', 0.133)).toBeCloseTo(0.135, 9);
    expect(floors.snapThickness('other', -1)).toBe(0.005);
  });
  it('take a floor away from what stood under it', () => {
    const plan = edit(withFloor(), (d) => {
      floors.removeFloor(d, 'floor-1');
    });
    expect(plan.levels.floors).toEqual([]);
  });
});

describe('placing on the plan', () => {
  const level = () => 99.1234;
  it('puts a log, a spot, a hazard’s point or a fence where it was pressed', () => {
    const plan = edit(start(), (d) => {
      d.ground.surface = {
        kind: 'spots',
        points: [
          [0, 0, 1],
          [9, 0, 1],
          [0, 9, 1],
        ],
        breaklines: [],
      };
      d.ground.hazards = [
        {
          id: 'h',
          name: 'pipe',
          kind: 'service',
          points: [[0, 0]],
          keepOff: 1,
          depth: null,
          level: null,
          projection: null,
          crossing: null,
        },
      ];
    });
    const store = makeDesk(plan, 1);
    const { look } = store.getState();
    placeAt(store, [1, 1], level);
    expect(store.getState().plan).toBe(plan);
    look({ placing: { what: 'log' } });
    placeAt(store, [3.456, 7], level);
    expect(store.getState().plan.ground.logs.at(-1)!.at).toEqual([3.46, 7]);
    expect(store.getState().view).toMatchObject({ placing: null, log: 'log-2', lower: { ground: 'pit' } });
    look({ placing: { what: 'spot' } });
    placeAt(store, [2, 2], level);
    const { surface } = store.getState().plan.ground;
    expect(surface.kind === 'spots' && surface.points.at(-1)).toEqual([2, 2, 99.123]);
    look({ placing: { what: 'hazard', id: 'h' } });
    placeAt(store, [5, 0], level);
    placeAt(store, [5, 5], level);
    expect(store.getState().plan.ground.hazards[0]!.points).toHaveLength(3);
    look({ placing: { what: 'fence', from: null } });
    placeAt(store, [0, 1], level);
    placeAt(store, [6, 1], level);
    expect(store.getState().view.fence).toEqual([
      [0, 1],
      [6, 1],
    ]);
    // The hazard's two presses are one undo.
    store.getState().undo();
    expect(store.getState().plan.ground.hazards[0]!.points).toHaveLength(1);
  });
});

describe('edits of beds, pours and elements', () => {
  const demo = (name: string): Plan => {
    const read = readJob(readFileSync(join(import.meta.dirname, `../../../demo/${name}.json`), 'utf8'));
    if (!read.ok) throw new Error(`No demo ${name}.`);
    return read.plan;
  };
  const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];
  /** Every edit a panel makes, at some place of a plan. */
  const edits: readonly ((d: Plan, n: number) => void)[] = [
    (d, n) => beds.addBed(d, pick(d.elements, n)?.id ?? null),
    (d, n) => beds.removeBed(d, pick(d.beds, n)?.id ?? ''),
    (d, n) => beds.addLayer(d, pick(d.beds, n)?.id ?? '', pick(BED_MATERIAL_IDS, n)!),
    (d, n) => beds.moveLayer(d, pick(d.beds, n)?.id ?? '', n % 3, n % 2 === 0 ? 1 : -1),
    (d, n) => beds.setMaterial(d, pick(d.beds, n)?.id ?? '', n % 2, pick(BED_MATERIAL_IDS, n)!),
    (d, n) => beds.setThickness(d, pick(d.beds, n)?.id ?? '', n % 2, (n % 60) / 40 - 0.2),
    (d, n) => beds.putOn(d, pick(d.elements, n)?.id ?? '', pick(d.beds, n)?.id ?? null),
    (d, n) => beds.putAllOn(d, pick(d.beds, n)?.id ?? d.beds[0]?.id ?? null),
    (d, n) => beds.thicken(d, pick(d.elements, n)?.id ?? '', (n % 9) / 10, 'stone'),
    (d, n) => {
      const to = pick(['', 'new', d.pour.together[0]?.id ?? 'new'], n)!;
      const element = pick(d.elements, n);
      if (element) movePour(d, element.id, to, 'Pour');
    },
    (d, n) => {
      const { pours } = compute(original(d)!);
      const [one, next] = [pours[n % (pours.length || 1)], pours[(n % (pours.length || 1)) + 1]];
      if (one && next) joinPours(d, one, next, 'Pour');
    },
    (d, n) => {
      const { pours } = compute(original(d)!);
      d.pour.order = castEarlier(pours, n % (pours.length || 1), n % 2 === 0 ? 1 : -1);
    },
    (d, n) => removeElement(d, pick(d.elements, n)?.id ?? ''),
  ];
  it('leave a plan the core accepts, whatever is pressed in whatever order', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('chapel-porch', 'seed-store', 'cheese-vault'),
        fc.array(fc.tuple(fc.nat(edits.length - 1), fc.nat(1000)), { maxLength: 25 }),
        (name, presses) => {
          let plan = demo(name);
          for (const [which, n] of presses) {
            plan = edit(plan, (d) => edits[which]!(d, n));
            expect(checkPlan(plan).filter((problem) => problem.code !== 'layerUnderStone')).toEqual([]);
          }
        },
      ),
      { numRuns: 200 },
    );
  });
  it('change who is cast first, each thing once, whatever else of it is cast later', () => {
    const plan = edit(demo('footbridge'), (d) => {
      for (const element of d.elements) if (element.rising) element.rising.rise = 0.3;
      d.pour.together = [{ id: 'a', name: 'A', elements: ['A1'] }];
    });
    const { pours } = compute(plan);
    // A by itself, the other pad, then every rise of both.
    expect(pours.length).toBeGreaterThan(6);
    const swapped = edit(plan, (d) => {
      d.pour.order = castEarlier(pours, 0, 1);
    });
    expect(swapped.pour.order).toEqual(['A2', 'A1']);
    expect(
      compute(swapped)
        .pours.slice(0, 2)
        .map(({ elements }) => elements),
    ).toEqual([['A2'], ['A1']]);
  });
  it('take an element out of all that speaks of it', () => {
    const plan = edit(demo('chapel-porch'), (d) => {
      d.pour.together = [{ id: 'm', name: 'Monday', elements: ['P2'] }];
      d.dig.order = ['P2', 'P1'];
      d.levels.instructions = [
        { id: 'w', level: 48, width: null, who: 'Eng.', when: '', why: '', elements: ['P2'] },
        { id: 'v', level: null, width: 1, who: 'Eng.', when: '', why: '', elements: ['P2', 'P1'] },
      ];
      removeElement(d, 'P2');
    });
    expect(checkPlan(plan)).toEqual([]);
    expect(plan.pour.together).toEqual([]);
    expect(plan.dig.order).toEqual(['P1']);
    // A word for nobody would be for all.
    expect(plan.levels.instructions.map((word) => [word.id, word.elements])).toEqual([['v', ['P1']]]);
    expect(plan.ground.obstructions[0]!.element).toBeNull();
  });
});

describe('a bed that is taken', () => {
  const thick = (topSize: number | null, by: number) => {
    const plan = blankPlan('x', 'metric');
    const bed = newBed(plan, 'pitGravel');
    const element = { ...newPad(plan, [0, 0]), id: 'P', bed: bed.id };
    bed.layers[0] = { ...bed.layers[0]!, topSize };
    const base = { ...plan, beds: [bed], elements: [element] };
    return produce(base, (d) => beds.thicken(d, 'P', by, 'stone')).beds[0]!.layers[0]!;
  };
  it('has stones that fit its lifts: 520 mm in 173 take 40 mm, or 600 mm where 50 mm was typed', () => {
    expect(thick(null, 0.32)).toMatchObject({ thickness: 0.52, topSize: 0.04 });
    expect(thick(0.05, 0.32)).toMatchObject({ topSize: 0.05 });
    expect(thick(0.05, 0.32).thickness).toBeCloseTo(0.6, 9);
    fc.assert(
      fc.property(
        fc.constantFrom(null, 0.02, 0.031, 0.04, 0.05),
        fc.double({ min: 0.005, max: 2, noNaN: true }),
        (topSize, by) => {
          const layer = thick(topSize, by);
          expect(layer.thickness).toBeGreaterThanOrEqual(0.2 + by - 1e-9);
          expect(liftsOf(layer)!.stoneTooLarge).toBe(false);
        },
      ),
    );
  });
});

describe('the old wall of an underpinned run', () => {
  it('begins half a metre over what is dug now, and never over the ground', () => {
    expect(newWall('metric', { underside: 98, groundLow: 100 })).toMatchObject({
      underside: 98.5,
      inside: 98.9,
    });
    for (const groundLow of [98.1, 98.4, 98.7, 99, 97]) {
      const { underside, inside } = newWall('metric', { underside: 98, groundLow });
      expect(underside).toBeLessThanOrEqual(Math.max(98, (98 + groundLow) / 2));
      expect(inside).toBeLessThanOrEqual(Math.max(98, groundLow));
      expect(inside).toBeGreaterThanOrEqual(underside);
    }
  });
});
