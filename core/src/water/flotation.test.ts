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
});
