/** Drawdown, wellpoints, uplift, settling and instruments, each by another route. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DewateredPit, drainedGround, fallAt, hoursToDraw, yieldOf } from './drawdown.ts';
import { equivalentRadius, influence, pitInflow, trenchInflow } from './inflow.ts';
import { instrumentFault } from './instruments.ts';
import { settlingArea, sinks } from './settling.ts';
import { HEAVE_SAFE, heave, piping, saturated } from './uplift.ts';
import { pointTakes, wellpoints } from './wellpoints.ts';

const PIT: DewateredPit = { radius: equivalentRadius(12, 8), length: 0, width: 8, head: 4, held: 1.2 };
const K = 5e-5;
const drawnPit = fc
  .record({
    radius: fc.double({ min: 0.5, max: 12, noNaN: true }),
    head: fc.double({ min: 1, max: 8, noNaN: true }),
    share: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
    k: fc.double({ min: 1e-7, max: 1e-3, noNaN: true }),
  })
  .map(({ radius, head, share, k }) => ({
    hole: { radius, length: 0, width: 0, head, held: head * share },
    k,
  }));

describe('drawdown around a hole', () => {
  it('is the whole at its edge, nothing at Sichardt’s reach, and falls between', () => {
    fc.assert(
      fc.property(drawnPit, fc.double({ min: 0, max: 1, noNaN: true }), ({ hole, k }, share) => {
        const fall = (distance: number) => fallAt([{ hole, k, distance }]);
        const reach = influence(hole.head - hole.held, k);
        expect(fall(0)).toBeCloseTo(hole.head - hole.held, 9);
        expect(fall(reach)).toBeCloseTo(0, 9);
        expect(fall(share * reach)).toBeLessThanOrEqual(fall((share * reach) / 2) + 1e-12);
      }),
    );
  });

  it('carries the same flow through every ring: 2πr·k·h·dh/dr is what seeps in', () => {
    fc.assert(
      fc.property(drawnPit, fc.double({ min: 0.1, max: 0.9, noNaN: true }), ({ hole, k }, share) => {
        const reach = influence(hole.head - hole.held, k);
        const at = share * reach;
        const height = (distance: number) => hole.head - fallAt([{ hole, k, distance }]);
        const d = reach * 1e-5;
        const gradient = (height(at + d) - height(at - d)) / (2 * d);
        const through = 2 * Math.PI * (hole.radius + at) * k * height(at) * gradient;
        const flow = pitInflow(k, hole.head, hole.held, hole.radius);
        expect(Math.abs(through - flow)).toBeLessThan(1e-3 * flow);
      }),
    );
  });

  it('to the side of a trench carries what its sides let in', () => {
    const trench: DewateredPit = {
      radius: equivalentRadius(30, 1.2),
      length: 30,
      width: 1.2,
      head: 3,
      held: 1,
    };
    const sides = trenchInflow(1e-4, 3, 1, 30, 1.2) - pitInflow(1e-4, 3, 1, 0.6);
    const height = (distance: number) => 3 - fallAt([{ hole: trench, k: 1e-4, distance }]);
    const gradient = (height(10.001) - height(9.999)) / 0.002;
    // k·h·dh/dx over its length, from either side.
    expect(2 * 30 * 1e-4 * height(10) * gradient).toBeCloseTo(sides, 6);
  });

  it('of two holes is more than of either and less than their sum', () => {
    const one = { hole: PIT, k: K, distance: 10 };
    const other = { hole: PIT, k: K, distance: 25 };
    const [a, b, both] = [fallAt([one]), fallAt([other]), fallAt([one, other])];
    expect(both).toBeGreaterThan(Math.max(a, b));
    expect(both).toBeGreaterThanOrEqual(a + b - 0.2);
    expect(fallAt([])).toBe(0);
  });

  it('drains the ground that columns of a grid say it drains', () => {
    const reach = influence(2.8, K) + PIT.radius;
    const step = 0.25;
    let sum = 0;
    for (let x = -reach; x < reach; x += step)
      for (let y = -reach; y < reach; y += step) {
        const away = Math.hypot(x + step / 2, y + step / 2);
        if (away < reach)
          sum += step * step * fallAt([{ hole: PIT, k: K, distance: Math.max(0, away - PIT.radius) }]);
      }
    expect(Math.abs(drainedGround(PIT, K) - sum)).toBeLessThan(0.005 * sum);
  });

  it('takes its stored water over what the pump has to spare, and never without any', () => {
    const stored = yieldOf('sand') * drainedGround(PIT, K);
    // 2 L/s against 0.93: stored over 1.07 L/s.
    const flow = pitInflow(K, 4, 1.2, PIT.radius);
    expect(hoursToDraw(PIT, K, yieldOf('sand'), 2e-3, flow)! * 3600 * (2e-3 - flow)).toBeCloseTo(stored, 6);
    expect(hoursToDraw(PIT, K, yieldOf('sand'), flow, flow)).toBeNull();
    expect(hoursToDraw({ ...PIT, held: 4 }, K, 0.2, 1e-3, 0)).toBe(0);
  });
});

describe('wellpoints', () => {
  it('are as many as take the flow, no farther apart than 3 m', () => {
    // A screen 0.15 m across and 1 m long at √1e-4/15 m/s: 0.314 L/s.
    expect(pointTakes(1e-4) * 1000).toBeCloseTo(0.31416, 4);
    expect(wellpoints(3e-3, 1e-4, 40, 3, 0)).toMatchObject({ count: 14, stages: 1, tooClose: false });
    expect(wellpoints(5e-3, 1e-4, 40, 3, 0).count).toBe(16);
    expect(wellpoints(2e-2, 1e-4, 40, 3, 0).tooClose).toBe(true);
  });
  it('suck less high up, and want a second stage sooner', () => {
    expect(wellpoints(1e-3, 1e-4, 40, 5.4, 0).stages).toBe(1);
    // 7.5 − 1.2·2 − 1 = 4.1 m at 2000 m.
    expect(wellpoints(1e-3, 1e-4, 40, 5.4, 2000)).toMatchObject({ stages: 2, most: 4.1 });
  });
});

describe('water from below', () => {
  it('lifts a bottom lighter than its pressure: 2 m of clay at 2000 kg/m³ over 3 m of water', () => {
    expect(heave(4000, 96, 99)).toMatchObject({ safety: 4 / 3 });
    const { relieveTo } = heave(2000, 96, 99)!;
    expect(heave(2000, 96, relieveTo)!.safety).toBeCloseTo(HEAVE_SAFE, 12);
    expect(heave(2000, 96, 96)).toBeNull();
  });
  it('weighs a soil full of water by its solids and its voids', () => {
    // 0.6 of grains at 2650 and 0.4 of water: 1590 dry, 1990 full.
    expect(saturated(0.6 * 2650)).toBeCloseTo(0.6 * 2650 + 0.4 * 1000, 9);
  });
  it('boils where the head over the way round lifts the grains: first at the foot, least in the middle', () => {
    // Grains for six tenths of the room, water for the rest.
    const full = 2650 * 0.6 + 1000 * 0.4;
    // Grains under water weigh (2.65 − 1)·0.6 of water: the gradient at which none is left.
    const critical = 1.65 * 0.6;
    const upright = piping('sand', 0.8, 0, 1.2, 10, full)!;
    expect(upright.toe).toBeCloseTo(critical, 9);
    expect(upright.middle).toBeCloseTo((critical * (0.8 + Math.PI * 0.6)) / 0.8, 9);
    expect(upright.asked).toBe(2);
    // With sheets so deep the way down and up again is as long as is asked.
    expect((critical * (0.8 + 2 * upright.sheets)) / 0.8).toBeCloseTo(upright.asked, 9);
    expect(piping('stiffClay', 0.8, 0, 1.2, 10, full)).toBeNull();
    expect(piping('gravel', 0, 0, 1.2, 10, full)).toBeNull();
    expect(piping('gravel', -0.1, 0, 1.2, 10, full)).toBeNull();
  });
  it('goes the shortest way that a search along the water outside finds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0.4, max: 8, noNaN: true }),
        fc.double({ min: 0.1, max: 6, noNaN: true }),
        (head, slope, width, deep) => {
          let shortest = Infinity;
          // From every place the water outside stands, straight through the soil to the foot.
          for (let x = slope * head; x < slope * head + 3; x += 0.01)
            shortest = Math.min(shortest, Math.hypot(x, head));
          // And on in small chords under the bottom, no deeper than such soil goes.
          const radius = Math.min(width / 2, deep);
          let round = 0;
          for (let i = 0; i < 2000; i++) {
            const at = (turn: number) => [radius * Math.cos(turn), radius * Math.sin(turn)] as const;
            const [p, q] = [at((Math.PI * i) / 2000), at((Math.PI * (i + 1)) / 2000)];
            round += Math.hypot(p[0] - q[0], p[1] - q[1]);
          }
          const found = piping('silt', head, slope, width, deep, 1990)!;
          expect(found.toe).toBeCloseTo((0.99 * shortest) / head, 6);
          expect(found.middle).toBeCloseTo((0.99 * (shortest + round)) / head, 4);
          expect(found.middle).toBeGreaterThan(found.toe);
        },
      ),
    );
  });
  it('lets coarse silt settle as its weight under water and its drag say', () => {
    const d = 2e-5;
    const v = sinks(d);
    // Stokes’ drag 3πμdv against (π/6)d³(ρs − ρ)g.
    const drag = 3 * Math.PI * (1.3e-6 * 1000) * d * v;
    expect(drag).toBeCloseTo((Math.PI / 6) * d ** 3 * 1650 * 9.81, 14);
    expect(settlingArea(1e-3, d)).toBeCloseTo(1e-3 / v, 9);
  });
});

describe('an instrument', () => {
  const steady = (n: number, value = (i: number) => i * 0.01) =>
    Array.from({ length: n }, (_, i) => ({ at: i / 6, value: value(i) }));
  it('that speaks all night as water can is believed', () => {
    expect(instrumentFault(steady(60), 9.8, [0, 2])).toBeNull();
  });
  it('that is silent, jumps, is out of range or stuck is named with its hour', () => {
    expect(instrumentFault(steady(30), 9.8, [0, 2])).toEqual({ fault: 'silent', at: 29 / 6 });
    expect(instrumentFault([...steady(6), { at: 4, value: 0.1 }], 4, [0, 2])).toMatchObject({
      fault: 'silent',
    });
    expect(
      instrumentFault(
        steady(60, (i) => (i === 20 ? 3 : 0)),
        9.8,
        [0, 5],
      ),
    ).toEqual({
      fault: 'jumps',
      at: 20 / 6,
    });
    expect(
      instrumentFault(
        steady(60, (i) => (i === 9 ? 9 : 0)),
        9.8,
        [0, 5],
      ),
    ).toMatchObject({
      fault: 'outOfRange',
    });
    expect(
      instrumentFault(
        steady(60, () => 0.4),
        9.8,
        [0, 5],
        { moves: true },
      ),
    ).toMatchObject({ fault: 'stuck' });
    expect(instrumentFault([{ at: 0, value: Number.NaN }], 0, [0, 1])).toMatchObject({ fault: 'outOfRange' });
    expect(instrumentFault([], 9, [0, 1])).toEqual({ fault: 'silent', at: 0 });
  });
});
