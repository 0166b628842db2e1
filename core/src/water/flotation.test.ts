import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxFloats, floating } from './flotation.ts';

describe('a box in ground water', () => {
  it('of 5 × 3 m and 340 kN: 1.22 with 1.90 over its underside, 1.05 with 2.20, and 16.1 kN short of 1.1', () => {
    // 9.81·15·1.9 = 279.6 kN; 9.81·15·2.2 = 323.7; 1.1·323.7 − 340 = 16.1.
    expect(floating(340_000, 15, 1.9, 3).safety).toBeCloseTo(1.216, 3);
    const more = floating(340_000, 15, 2.2, 3);
    expect(more.safety).toBeCloseTo(1.05, 2);
    expect(more.ballast / 1000).toBeCloseTo(16.1, 1);
    expect(more.floatsAt).toBeCloseTo(340 / (9.81 * 15), 9);
  });
  it('is not lifted by water that does not reach it, nor by more than its own height', () => {
    expect(floating(1000, 1, -0.2, 2)).toMatchObject({ safety: null, ballast: 0 });
    expect(floating(1000, 1, 5, 2).safety).toBe(floating(1000, 1, 2, 2).safety);
  });
  it('gets heavier from state to state, and safer once its walls stand', () => {
    const metres = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        metres(2, 40),
        metres(0.3, 0.9),
        metres(0.15, 0.5),
        metres(0.5, 3),
        metres(0, 2),
        (outer, share, base, water, cover) => {
          const states = boxFloats({ outer, inner: outer * share, base, height: 3, roof: 0.2, cover }, water);
          states.slice(1).forEach((one, i) => {
            expect(one.weight).toBeGreaterThanOrEqual(states[i]!.weight);
          });
          // The lid only adds weight where water does not come so high.
          if (water <= 2.8) expect(states[2]!.safety!).toBeGreaterThan(states[1]!.safety!);
          for (const { safety, ballast } of states) expect(ballast > 1e-6).toBe(safety! < 1.1 - 1e-12);
        },
      ),
    );
  });
  it('weighs the water exactly where it floats, and what is asked of it where it is safe to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        fc.double({ min: 0.15, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (share, base, cover) => {
          const box = { outer: 20, inner: 20 * share, base, height: 3, roof: 0.2, cover };
          boxFloats(box, 3 + cover).forEach(({ floatsAt, safeTo, state }, i) => {
            const tall = { base, walls: 2.8, roof: 3, covered: 3 + cover }[state];
            const safety = (water: number) => boxFloats(box, water)[i]!.safety!;
            if (floatsAt !== null) expect(safety(floatsAt)).toBeCloseTo(1, 9);
            else expect(safety(tall)).toBeGreaterThan(1);
            if (safeTo <= tall) expect(safety(safeTo)).toBeCloseTo(1.1, 9);
            else expect(safety(tall)).toBeGreaterThan(1.1);
          });
        },
      ),
    );
  });
  it('of 7.2 × 3.8 × 2.9 under a metre of soil, water at the ground: 0.99, and the other form agrees at 1', () => {
    const box = { outer: 7.2 * 3.8, inner: 6.8 * 3.4, base: 0.2, height: 2.9, roof: 0.2, cover: 1 };
    const at = (cover: number, water = box.height + cover) => boxFloats({ ...box, cover }, water).at(-1)!;
    // Concrete 5.472 + 4.24·2.5 + 5.472 = 21.544 m³, 50 628 kg; soil full of water 27.36 × 1996 = 54 617;
    // uplift 27.36 × 3.9 × 1000 = 106 704: 0.986.
    expect(at(1).safety).toBeCloseTo(0.986, 3);
    // 1.4 m: (50 628 + 76 461)/117 648; 2.6 m: (50 628 + 142 000)/150 480.
    expect(at(1.4).safety).toBeCloseTo(1.08, 2);
    expect(at(2.6).safety).toBeCloseTo(1.28, 2);
    // Its own weight and the soil's under water, 9.81·(50 628 + 27.36·996), over what it displaces itself.
    const buoyant = (cover: number, water: number) => {
      const wet = Math.min(cover, Math.max(0, water - box.height));
      const soil = 1600 * (cover - wet) + 996.226 * wet;
      return (50_628.4 + 27.36 * soil) / (27.36 * 1000 * Math.min(water, box.height));
    };
    expect(buoyant(1, 3.9)).toBeCloseTo(0.9816, 4);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        (cover, over) => {
          const water = Math.min(over, box.height + cover);
          const { safety } = at(cover, water);
          const other = buoyant(cover, water);
          if (Math.abs(other - 1) > 1e-5) expect(safety! > 1).toBe(other > 1);
        },
      ),
    );
  });
  it('floats just at the level it says, and at none where it says none', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.1, max: 0.6, noNaN: true }),
        (cover, wall) => {
          const outer = 7.2 * 3.8;
          const inner = (7.2 - 2 * wall) * (3.8 - 2 * wall);
          const box = { outer, inner, base: 0.2, height: 2.9, roof: 0.2, cover };
          const { floatsAt } = boxFloats(box, 1).at(-1)!;
          const safety = (water: number) => boxFloats(box, water).at(-1)!.safety!;
          if (floatsAt === null) expect(safety(box.height + cover)).toBeGreaterThanOrEqual(1 - 1e-9);
          else expect(safety(floatsAt)).toBeCloseTo(1, 9);
        },
      ),
    );
  });
});
