/** Storms, pumps, storage and the balance of a night: by hand, and by drawn cases. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PUMP_IDS, PUMPS } from '../catalogue/pumps.ts';
import { type Basin, courseOf, levelAt, wetOver } from './balance.ts';
import { curveFault, flowFrom, hoseLoss, pumpFlow, suckedUp, suctionLimit } from './pump.ts';
import { drainingInto, runoffShare } from './runoff.ts';
import { Along, type Storage, storageOf } from './storage.ts';
import { fallen, type Storm, showerOf, stormDepth, stormTurns } from './storm.ts';

const levelOf = ({ levels, volumes }: Storage, volume: number) => new Along(volumes).to(volume).read(levels);
const volumeTo = ({ levels, volumes }: Storage, level: number) => new Along(levels).to(level).read(volumes);

const storm = (more: Partial<Storm> = {}): Storm => ({
  depth: 0.04,
  hours: 6,
  pattern: 'even',
  hourly: [],
  ...more,
});

/** A box of 30 m², two metres deep. */
const box = (more: Partial<Basin> = {}): Basin => ({
  storage: storageOf((z) => 30 * z, 0, 2),
  open: 30,
  runoff: 0,
  seepage: () => 0,
  outlet: () => 0,
  pumps: [],
  ...more,
});

describe('rain by the clock', () => {
  it('falls whole in its hours, however it is spread, and never backwards', () => {
    for (const pattern of ['even', 'front', 'centre'] as const) {
      const own = storm({ pattern });
      expect(fallen(own, 0)).toBe(0);
      expect(fallen(own, 6)).toBeCloseTo(0.04, 12);
      expect(fallen(own, 99)).toBeCloseTo(0.04, 12);
      for (let t = 0; t < 6; t += 0.1) expect(fallen(own, t + 0.1)).toBeGreaterThanOrEqual(fallen(own, t));
    }
    // Half of it in the first 1.757 h of six when it dies away: 1 − (1 − x)² = ½ at x = 0.2929.
    expect(fallen(storm({ pattern: 'front' }), 6 * 0.292893)).toBeCloseTo(0.02, 6);
    expect(fallen(storm({ pattern: 'centre' }), 3)).toBeCloseTo(0.02, 12);
  });
  it('hour by hour is what was typed', () => {
    const own = storm({ pattern: 'hourly', hourly: [0.001, 0, 0.01] });
    expect(stormDepth(own)).toBeCloseTo(0.011, 12);
    expect(fallen(own, 2.5)).toBeCloseTo(0.006, 12);
  });
});

describe('a pump', () => {
  it('loses head in its hose by Hazen–Williams: 3 L/s through 20 m of 50 mm, by hand 1.04 m and fittings', () => {
    // 10.67·20·0.003^1.852 / (140^1.852·0.05^4.8704): 213.4·2.124e-5 / (9428·4.610e-7) = 1.043; ×1.1.
    expect(hoseLoss(0.003, { diameter: 0.05, length: 20 })).toBeCloseTo(1.147, 2);
    expect(hoseLoss(0, { diameter: 0.05, length: 20 })).toBe(0);
  });
  it('moves what its curve and its lift agree on, nothing when it cannot lift so high', () => {
    const none = { diameter: 0.05, length: 0 };
    const { curve } = PUMPS.electric50;
    expect(pumpFlow(curve, 7, none)).toBeCloseTo(0.003, 9);
    expect(pumpFlow(curve, 8.25, none)).toBeCloseTo(0.00225, 9);
    expect(pumpFlow(curve, 11.01, none)).toBe(0);
    expect(suctionLimit(0)).toBe(7.5);
    expect(suctionLimit(2500)).toBeCloseTo(4.5, 9);
    // A person bails half a litre a second up to two metres.
    expect(pumpFlow(PUMPS.bucket.curve, 1.5, none)).toBeCloseTo(0.0005, 9);
    expect(pumpFlow(PUMPS.bucket.curve, 2.1, none)).toBe(0);
  });
  it('at the edge moves less and less as the lift comes to what the air allows, without a cliff', () => {
    const set = {
      kind: 'petrol80',
      curve: [],
      hose: { diameter: 0.08, length: 20 },
      edge: 100,
      outlet: 100.5,
    } as const;
    const flow = (lift: number, altitude = 0) => flowFrom({ ...set, altitude }, 100 - lift);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 7.6, noNaN: true }),
        fc.integer({ min: 0, max: 3000 }),
        (lift, altitude) => {
          const here = flow(lift, altitude);
          expect(flow(lift + 0.001, altitude)).toBeLessThanOrEqual(here + 1e-12);
          // A millimetre is never more than a tenth of what it moves at its best.
          expect(here - flow(lift + 0.001, altitude)).toBeLessThan(0.1 * flow(0, 0));
          if (lift >= suctionLimit(altitude)) expect(here).toBe(0);
        },
      ),
    );
    // At 7.0 m half a metre is left: 10.67·10·1.1·Q^1.852/(140^1.852·0.08^4.8704) + v²/19.62 takes 0.5 m at 8.1 L/s.
    const q = suckedUp(7, 0.08, 0);
    expect(hoseLoss(q, { diameter: 0.08, length: 10 }) + (q / 0.0050265) ** 2 / 19.62).toBeCloseTo(0.5, 5);
    expect(flow(7.49)).toBeLessThan(0.35 * flow(6));
    expect(q).toBeCloseTo(0.0081, 4);
    expect(suckedUp(3, 0, 0)).toBe(0);
  });
  it('moves less the higher it lifts and the longer its hose, whichever it is', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PUMP_IDS),
        fc.double({ min: 0, max: 12, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (kind, lift, length) => {
          const hose = { diameter: 0.05, length };
          const flow = pumpFlow(PUMPS[kind].curve, lift, hose);
          expect(pumpFlow(PUMPS[kind].curve, lift + 0.5, hose)).toBeLessThanOrEqual(flow + 1e-12);
          expect(pumpFlow(PUMPS[kind].curve, lift, { ...hose, length: length + 5 })).toBeLessThanOrEqual(
            flow + 1e-12,
          );
        },
      ),
    );
  });
  it('has a curve that falls: one that rises is found', () => {
    for (const kind of PUMP_IDS) expect(curveFault(PUMPS[kind].curve)).toBeNull();
    expect(
      curveFault([
        { flow: 0, head: 5 },
        { flow: 0.001, head: 6 },
      ]),
    ).toBe(1);
  });
});

describe('a night', () => {
  it('of 40 mm on 30 m² of hole and 50 m² of ground at 0.4 brings 2.00 m³', () => {
    const { budget } = courseOf(box({ runoff: 50 * 0.4 }), { rain: (h) => fallen(storm(), h), hours: 6 });
    expect(budget.rain).toBeCloseTo(1.2, 9);
    expect(budget.runoff).toBeCloseTo(0.8, 9);
    expect(budget.after).toBeCloseTo(2, 9);
  });
  it('is emptied of 2.00 m³ by 1.5 L/s against 0.3 seeping in 27.8 minutes', () => {
    const pump = { flow: () => 0.0015, start: -1, stop: -1, from: -Infinity, until: Infinity };
    const { samples } = courseOf(box({ seepage: () => 0.0003, pumps: [pump] }), {
      rain: () => 0,
      hours: 1,
      before: 2,
      every: 1 / 600,
    });
    const dry = samples.find(({ level }) => level < 1e-3)!;
    expect(dry.at * 60).toBeCloseTo(2 / 0.0012 / 60, 0);
    expect(2 / 0.0012 / 60).toBeCloseTo(27.8, 1);
  });
  it('lets a float start and stop a pump, and a pump that goes at two stops at two', () => {
    const pump = { flow: () => 0.002, start: 0.1, stop: 0.02, from: 0, until: 4 };
    const { samples, budget } = courseOf(box({ seepage: () => 0.0004, pumps: [pump] }), {
      rain: () => 0,
      hours: 12,
    });
    const before = samples.filter(({ at }) => at > 2.5 && at < 4).map(({ level }) => level);
    expect(Math.max(...before)).toBeLessThan(0.13);
    expect(Math.min(...before)).toBeGreaterThan(-0.01);
    // After it: 0.4 L/s for eight hours over 30 m².
    expect(levelAt(samples, 12)).toBeGreaterThan(0.37);
    expect(budget.seeped).toBeCloseTo(0.0004 * 12 * 3600, 6);
  });
  it('says when a bottom was wet, how deep and how long', () => {
    const course = courseOf(box(), {
      rain: (h) => fallen(storm({ depth: 0.1, hours: 1 }), h),
      hours: 5,
    });
    const wet = wetOver(course, 0);
    expect(wet.peak).toBeCloseTo(0.1, 6);
    expect(wet.first).toBeLessThanOrEqual(1 / 6 + 1e-9);
    expect(wet.hours).toBeGreaterThan(4.5);
    expect(wetOver(course, 0.2)).toMatchObject({ first: null, last: null, hours: 0 });
  });

  const drawn = fc.record({
    depth: fc.double({ min: 0, max: 0.2, noNaN: true }),
    hours: fc.double({ min: 0.5, max: 24, noNaN: true }),
    pattern: fc.constantFrom('even' as const, 'front' as const, 'centre' as const),
    runoff: fc.double({ min: 0, max: 120, noNaN: true }),
    k: fc.double({ min: 0, max: 2e-3, noNaN: true }),
    water: fc.double({ min: -0.5, max: 1.5, noNaN: true }),
    pump: fc.double({ min: 0, max: 0.004, noNaN: true }),
  });
  const made = ({ depth, hours, pattern, runoff, k, water, pump }: Parameters<typeof basinOf>[0]) => ({
    basin: basinOf({ depth, hours, pattern, runoff, k, water, pump }),
    ...showerOf(storm({ depth, hours, pattern })),
  });
  const basinOf = (d: {
    depth: number;
    hours: number;
    pattern: 'even' | 'front' | 'centre';
    runoff: number;
    k: number;
    water: number;
    pump: number;
  }): Basin =>
    box({
      // Sides that flare: 30 m² at the bottom, 2 m² more for every decimetre.
      storage: storageOf((z) => 30 * z + 10 * z * z, 0, 2),
      runoff: d.runoff,
      seepage: (z) => d.k * (d.water - z),
      outlet: (z) => 0.001 * Math.max(0, z - 1.2),
      pumps: [{ flow: () => d.pump, start: 0.05, stop: 0, from: 0, until: Infinity }],
    });

  it('closes to a millionth of a cubic metre, whatever it rains', () => {
    fc.assert(
      fc.property(drawn, (d) => {
        const { basin, ...shower } = made(d);
        const { budget: b, samples } = courseOf(basin, { ...shower, hours: 30 });
        const left = b.before + b.rain + b.runoff + b.seeped - b.soaked - b.pumped - b.drained - b.spilt;
        expect(Math.abs(left - b.after)).toBeLessThan(1e-6);
        expect(b.after).toBeGreaterThanOrEqual(-1e-9);
        for (const { level } of samples) expect(level).toBeLessThanOrEqual(2 + 1e-9);
      }),
    );
  });
  it('peaks within 2 % of itself at half the step', () => {
    fc.assert(
      fc.property(drawn, (d) => {
        const { basin, ...shower } = made(d);
        const peak = (longest: number) => courseOf(basin, { ...shower, hours: 30, longest }).peak.level;
        const [whole, half] = [peak(300), peak(150)];
        expect(Math.abs(whole - half)).toBeLessThan(0.02 * Math.max(0.1, half));
      }),
      { numRuns: 60 },
    );
  });
  it('follows a shower of half an hour over ground that drinks as fast in short steps', () => {
    // Two decimetres in half an hour, heaviest in the middle; a litre a second goes into the ground.
    const { basin, ...shower } = made({
      depth: 0.2,
      hours: 0.5,
      pattern: 'centre',
      runoff: 0,
      k: 0.002,
      water: -0.5,
      pump: 0,
    });
    const peak = (longest: number) => courseOf(basin, { ...shower, hours: 30, longest }).peak.level;
    expect(Math.abs(peak(300) / peak(10) - 1)).toBeLessThan(0.01);
  });
  it('peaks where the rain ends, not where the step does', () => {
    // 149 m² gather 0.85 L/s while it rains, the pump lifts 0.42 of them: highest the moment it stops.
    const { basin, ...shower } = made({
      depth: 0.019678945047226233,
      hours: 0.9580284795120219,
      pattern: 'even',
      runoff: 119.4689990611692,
      k: 0,
      water: 0,
      pump: 0.00041942604856512364,
    });
    for (const longest of [600, 300, 150])
      expect(courseOf(basin, { ...shower, hours: 30, longest }).peak.at, `${longest} s`).toBeCloseTo(
        0.9580284795120219,
        9,
      );
  });
  it('is cut where an hourly storm turns', () => {
    expect(stormTurns(storm({ pattern: 'hourly', hourly: [0.01, 0, 0.02] }))).toEqual([0, 1, 2, 3]);
    expect(stormTurns(storm({ pattern: 'front', hours: 2.5 }))).toEqual([0, 2.5]);
  });
  it('stops at a float though the rain ends before the step does', () => {
    // 30 m² rise 144 mm an hour, from where the pump left it; by any step the float at 50 mm is the highest.
    const { basin, ...shower } = made({
      depth: 0.19837168953363524,
      hours: 1.3808003498892703,
      pattern: 'even',
      runoff: 0,
      k: 0,
      water: 0,
      pump: 0.003999881835413562,
    });
    for (const longest of [300, 150, 75]) {
      const { peak } = courseOf(basin, { ...shower, hours: 30, longest });
      expect(Math.abs(peak.level - 0.05), `${longest} s`).toBeLessThan(1e-4);
    }
  });
  it('emptied to the last drop stays empty and a number', () => {
    const { basin, ...shower } = made({
      depth: 0.04627348809429685,
      hours: 0.5,
      pattern: 'even',
      runoff: 3.2894011688439995,
      k: 0,
      water: 0,
      pump: 0.001,
    });
    const { samples } = courseOf(basin, { ...shower, hours: 30 });
    expect(samples.every(({ level }) => Number.isFinite(level))).toBe(true);
  });
  it('never stands less high for more rain, nor higher for a pump more', () => {
    fc.assert(
      fc.property(drawn, (d) => {
        const peak = (more: Partial<typeof d>) => {
          const { basin, ...shower } = made({ ...d, ...more });
          return courseOf(basin, { ...shower, hours: 30 }).peak.level;
        };
        const here = peak({});
        expect(peak({ depth: d.depth + 0.02 })).toBeGreaterThanOrEqual(here - 0.005);
        // A float that starts a larger pump a step later or sooner is worth a few millimetres.
        expect(peak({ pump: d.pump + 0.001 })).toBeLessThanOrEqual(here + 0.02);
      }),
      { numRuns: 60 },
    );
  });
  it('holds in its stages what the curve says, both ways', () => {
    const storage = storageOf((z) => 30 * z + 10 * z * z, 0, 2);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2, noNaN: true }), (z) => {
        const volume = 30 * z + 10 * z * z;
        expect(volumeTo(storage, z)).toBeCloseTo(volume, 1);
        expect(levelOf(storage, volumeTo(storage, z))).toBeCloseTo(z, 9);
      }),
    );
  });
});

describe('what runs off', () => {
  it('is little on sandy lawns, more on heavy and steep ones, nearly all of what is full', () => {
    expect(runoffShare('sand', 0.01, false)).toBeCloseTo(0.08, 9);
    expect(runoffShare('stiffClay', 0.05, false)).toBeCloseTo(0.2, 9);
    expect(runoffShare('stiffClay', 0.1, false)).toBeCloseTo(0.3, 9);
    expect(runoffShare('sand', 0.1, true)).toBe(0.9);
  });

  /** A plot of 40 × 40 that falls at 4 % one way, turned; a hole of 6 × 6 in its middle. */
  const turned = (turn: number, ditches: (readonly [number, number][])[] = []) => {
    const at = (u: number, v: number): [number, number] => [
      u * Math.cos(turn) - v * Math.sin(turn) + 200,
      u * Math.sin(turn) + v * Math.cos(turn) - 90,
    ];
    const back = (x: number, y: number) => (x - 200) * -Math.sin(turn) + (y + 90) * Math.cos(turn);
    const square = (half: number) => [at(-half, -half), at(half, -half), at(half, half), at(-half, half)];
    return drainingInto(
      (x, y) => 100 + 0.04 * back(x, y),
      square(20),
      [[square(3).flat()]],
      ditches.map((line) => line.map(([u, v]) => at(u, v))),
    );
  };
  it('comes down from straight uphill, whichever way the ground falls', () => {
    // Six metres wide, from the hole's upper edge at 3 to the plot's at 20.
    for (const turn of [0, 0.3, 0.9, 2, 4]) {
      const { areas } = turned(turn);
      expect(areas[0]! / (6 * 17), `${turn}`).toBeGreaterThan(0.93);
      expect(areas[0]! / (6 * 17), `${turn}`).toBeLessThan(1.1);
    }
  });
  it('is taken away by a ditch across it, and by half a ditch half', () => {
    expect(
      turned(0.7, [
        [
          [-10, 6],
          [10, 6],
        ],
      ]).areas[0]! / 18,
    ).toBeLessThan(1.2);
    const half = turned(0.7, [
      [
        [-10, 3.2],
        [0, 3.2],
      ],
    ]).areas[0]!;
    expect(half).toBeGreaterThan(45);
    expect(half).toBeLessThan(60);
  });
});
