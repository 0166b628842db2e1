/** Proofs read a dig as it is, however thin and far apart, and what one contradicts is told nowhere. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { Takeoff } from '../compute/pipeline/takeoff.ts';
import { rectangle, unionArea } from '../geometry/index.ts';
import { demo, honeyHouse, named, plainPlan, soilsDown, stone, strip, unbalanced } from '../testing.ts';
import { proofsOf, proved } from './index.ts';
import { placesIn } from './places.ts';

describe('the places a dig is read at', () => {
  it('stand together for the ground their pieces cover, once, whichever way they lie and overlap', () => {
    const size = fc.double({ min: 0.4, max: 30, noNaN: true });
    const at = fc.double({ min: -20, max: 20, noNaN: true });
    const turned = fc.double({ min: 0, max: 6.28, noNaN: true });
    const drawn = fc.record({ x: at, y: at, length: size, width: size, turned });
    fc.assert(
      fc.property(fc.array(drawn, { minLength: 1, maxLength: 6 }), (list) => {
        const pieces = list.map(({ x, y, length, width, turned }) => rectangle(x, y, length, width, turned));
        let found = 0;
        for (const place of placesIn(pieces, 20_000)) found += place.area;
        // The same ground cut up exactly.
        const exact = unionArea(pieces);
        expect(Math.abs(found - exact)).toBeLessThan(0.01 * exact);
      }),
      { numRuns: 40 },
    );
  });
  it('prove two thin trenches at far ends of a site, askew, to a hundredth', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['a', 'stiffClay', 0], ['b', 'sand', 0.6]);
      p.dig.slope = 0;
      p.elements = named(
        strip([
          [-180, -170],
          [-160, -153],
        ]),
        strip([
          [170, 180],
          [190, 171],
        ]),
      );
    });
    const checks = proofsOf(plan, compute(plan));
    for (const { expected, found } of checks)
      expect(Math.abs(found - expected)).toBeLessThan(0.01 * Math.max(1, expected));
  });
});

describe('a takeoff whose proofs were asked for', () => {
  it('is as it was where they hold', () => {
    const plan = demo('chapel-porch');
    const takeoff = compute(plan);
    expect(proved(plan, takeoff)).toBe(takeoff);
  });
  it('does not tell what one of them contradicts, and says what each way comes to', () => {
    const plan = honeyHouse();
    const takeoff = compute(plan);
    const { dig } = takeoff.figures;
    const wrong: Takeoff = {
      ...takeoff,
      figures: { ...takeoff.figures, dig: { ...dig, value: 1.1 * dig.value } },
    };
    const { figures, cautions } = proved(plan, wrong);
    for (const id of ['dig', 'spoil', 'keep', 'haul'] as const)
      expect(figures[id]).toMatchObject({ known: false, value: 0, sub: { key: 'tally.stopped' } });
    expect(figures.concrete).toBe(takeoff.figures.concrete);
    expect(cautions[0]).toMatchObject({ code: 'unproved', weight: 'stop' });
    expect(cautions[0]!.values!.expected![0]).toBeCloseTo(1.1 * dig.value, 6);
    expect(Math.abs(cautions[0]!.values!.found![0] / dig.value - 1)).toBeLessThan(0.01);
  });
  it('stops what hangs on a load too few, and on stone that is not there', () => {
    const plan = demo('cheese-vault');
    const takeoff = compute(plan);
    const [first, ...others] = takeoff.loads;
    const few = proved(plan, { ...takeoff, loads: [{ ...first!, loads: first!.loads - 1 }, ...others] });
    expect(Object.values(few.figures).flatMap(({ id, known }) => (known ? [] : [id]))).toEqual(['haul']);
    const stoned = plainPlan((p) => {
      p.elements = named(
        strip([
          [0, 0],
          [9, 0],
        ]),
      );
      p.beds = [{ id: 'b', name: 'B', layers: [{ ...stone(0.3), id: 'l' }], onOldBase: false, cloth: null }];
      p.elements[0]!.bed = 'b';
    });
    const laid = compute(stoned);
    expect(unbalanced(laid, stoned)).toEqual([]);
    const more = {
      ...laid,
      elements: laid.elements.map((e) => ({ ...e, stone: 1.2 * e.stone })),
    };
    expect(proved(stoned, more).figures.stone.known).toBe(false);
  });
  it('stops at once a figure that its own lines do not give', () => {
    const { figures } = compute(honeyHouse());
    for (const { known, workings, value } of Object.values(figures)) {
      expect(known).toBe(true);
      expect(workings.find(({ gives }) => gives)?.value ?? 0).toBeCloseTo(value, 9);
    }
  });
});
