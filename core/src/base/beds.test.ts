import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { Bed, Plan } from '../plan/schema.ts';
import { bedded, honeyHouse, lean, named, pad, plainPlan, stone, strip } from '../testing.ts';
import { validatePlan } from '../validation/validate.ts';

const bed = (id: string, layers: Bed['layers'], more: Partial<Bed> = {}): Bed => ({
  id,
  name: id,
  layers: layers.map((layer, i) => ({ ...layer, id: `layer-${i + 1}` })),
  onOldBase: false,
  cloth: null,
  ...more,
});

/** Two pads of 2 × 2 m side by side, without room, each on a bed of its own. */
const pads = (change: (p: Plan) => void = () => {}) =>
  compute(
    plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0;
      p.dig.buckets = [0.3];
      p.beds = [
        bed('thick', [stone(0.25), stone(0.1, { material: 'sand', purpose: 'damp' })]),
        bed('thin', [stone(0.12)]),
      ];
      p.elements = named(pad(0, 0, 2, 2, { bed: 'thick' }), pad(6, 0, 2, 2, { bed: 'thin' }));
      change(p);
    }),
  );

describe('beds of their own', () => {
  const takeoff = pads();
  const [first, second] = takeoff.elements;
  it('put formations 230 mm apart under one underside', () => {
    expect(first!.underside).toBeCloseTo(second!.underside, 12);
    expect(second!.formation - first!.formation).toBeCloseTo(0.23, 12);
  });
  it('of 2 × 2 m take 4 m² by each thickness: 1.00 and 0.40 m³', () => {
    expect(first!.layers.map((layer) => layer.volume)).toEqual([
      expect.closeTo(1, 9),
      expect.closeTo(0.4, 9),
    ]);
    expect(second!.layers[0]!.volume).toBeCloseTo(0.48, 9);
    expect(takeoff.stone.volume).toBeCloseTo(1.88, 9);
  });
  it('stack from the formation to the underside', () => {
    for (const { layers, formation, underside } of takeoff.elements) {
      expect(layers[0]!.bottom).toBeCloseTo(formation, 12);
      expect(layers.at(-1)!.top).toBeCloseTo(underside, 12);
      layers.slice(1).forEach((layer, i) => {
        expect(layer.bottom).toBe(layers[i]!.top);
      });
    }
  });
  it('weigh what their own material does, typed before typical', () => {
    const masses = pads((p) => {
      p.beds[0]!.layers[1]!.density = null;
    }).beds[0]!.layers.map((layer) => layer.mass);
    expect(masses).toEqual([expect.closeTo(2000, 6), expect.closeTo(0.4 * 1700, 6)]);
  });
  it('nobody stands on have nothing, and an element without one stands on the ground', () => {
    const bare = pads((p) => {
      p.elements[0]!.bed = null;
    });
    expect(bare.beds[0]!).toMatchObject({ elements: [], cloth: 0 });
    expect(bare.beds[0]!.layers.map((layer) => layer.volume)).toEqual([0, 0]);
    expect(bare.elements[0]!.formation).toBe(bare.elements[0]!.underside);
  });
  it('lie one over the other, each past the footing as far as it says', () => {
    const takeoff = pads((p) => {
      p.dig.room = 0.5;
      p.beds = [bed('thick', [stone(0.2), stone(0.1, { projection: 0.3 }), lean(0.05, 0.1)])];
      p.elements = named(pad(0, 0, 2, 2, { bed: 'thick' }));
    });
    expect(takeoff.elements[0]!.layers.map((layer) => layer.volume)).toEqual([
      expect.closeTo(3 * 3 * 0.2, 9),
      expect.closeTo(2.6 * 2.6 * 0.1, 9),
      expect.closeTo(2.2 * 2.2 * 0.05, 9),
    ]);
    // 20 mm for the uneven stone under the lean concrete, none under the stone.
    expect(takeoff.lean.volume).toBeCloseTo(2.2 * 2.2 * 0.07, 9);
  });
  it('order cloth for the bottom, one lap round it, the sides when it goes round, and waste', () => {
    const cloth = (around: boolean) =>
      pads((p) => {
        p.beds[0]!.cloth = { around, lap: 0.3, waste: 0.05 };
      }).beds[0]!.cloth;
    expect(cloth(false)).toBeCloseTo((4 + 8 * 0.3) * 1.05, 9);
    expect(cloth(true)).toBeCloseTo((4 + 8 * (0.3 + 0.35)) * 1.05, 9);
  });
});

describe('stone of a bed', () => {
  it('adds up over elements, beds and the whole job, whatever is drawn', () => {
    const layer = fc.record({
      material: fc.constantFrom('crushed' as const, 'sand' as const, 'lean' as const),
      thickness: fc.double({ min: 0.03, max: 0.4, noNaN: true }),
      projection: fc.constantFrom(null, 0, 0.1, 0.5),
    });
    fc.assert(
      fc.property(
        fc.array(fc.array(layer, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 3 }),
        fc.array(fc.integer({ min: -1, max: 2 }), { minLength: 3, maxLength: 3 }),
        fc.constantFrom(0, 0.5, 1),
        (beds, chosen, slope) => {
          const takeoff = compute(
            plainPlan((p) => {
              p.dig.slope = slope;
              p.beds = beds.map((layers, i) =>
                bed(
                  `b${i}`,
                  layers.map((own) => stone(own.thickness, own)),
                ),
              );
              const on = (i: number) => p.beds[chosen[i]!]?.id ?? null;
              p.elements = named(
                strip(
                  [
                    [0, 0],
                    [8, 0],
                  ],
                  { bed: on(0) },
                ),
                strip(
                  [
                    [4, -3],
                    [4, 3],
                  ],
                  { bed: on(1) },
                ),
                pad(12, 0, 1.5, 1, { bed: on(2) }),
              );
            }),
          );
          expect(takeoff.problems).toEqual([]);
          const of = (cast: boolean) =>
            takeoff.beds
              .flatMap((one) => one.layers)
              .filter((one) => (one.layer.material === 'lean') === cast)
              .reduce((sum, one) => sum + one.volume, 0);
          expect(of(false)).toBeCloseTo(takeoff.stone.volume, 8);
          expect(of(true)).toBeLessThanOrEqual(takeoff.lean.volume + 1e-9);
          for (const element of takeoff.elements) {
            const own = element.layers.reduce((sum, one) => sum + one.layer.thickness, 0);
            expect(element.underside - element.formation).toBeCloseTo(own, 9);
            for (const one of element.layers) expect(one.volume).toBeGreaterThanOrEqual(0);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a bed that cannot be', () => {
  const problems = (change: (p: Plan) => void) => {
    const plan = honeyHouse();
    change(plan);
    const read = validatePlan(JSON.parse(JSON.stringify(plan)));
    return read.ok ? [] : read.problems.map(({ code, path, value, min }) => ({ code, path, value, min }));
  };
  it('is named at its field', () => {
    expect(problems(() => {})).toEqual([]);
    expect(
      problems((p) => {
        bedded(p, stone(0.05, { topSize: 0.08 }));
      }),
    ).toEqual([{ code: 'layerUnderStone', path: '/beds/0/layers/0/thickness', value: 0.05, min: 0.08 }]);
    expect(
      problems((p) => {
        p.elements[0]!.bed = 'gone';
      }),
    ).toEqual([{ code: 'unknownBed', path: '/elements/0/bed', value: 'gone', min: undefined }]);
    expect(
      problems((p) => {
        p.beds.push(structuredClone(p.beds[0]!));
      }).map(({ code, path }) => [code, path]),
    ).toEqual([['duplicateId', '/beds/1/id']]);
  });
});
