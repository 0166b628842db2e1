/** Pours as they are placed, formed and cured, on whole jobs. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Plan } from '../../plan/schema.ts';
import { DEMOS, demo, instruct, logged, named, plainPlan, soilsDown, strip } from '../../testing.ts';
import { compute } from '../pipeline/compute.ts';
import { cureOf } from './cure.ts';
import { formsOf } from './forms.ts';
import { placingOf } from './placing.ts';

/** A ring 14.4 × 8.4 on its axis, 600 wide. */
const ring = (change: (p: Plan) => void = () => {}) =>
  plainPlan((p) => {
    soilsDown(p, ['s', 'sand', 0]);
    p.elements = named(
      strip(
        [
          [0, 0],
          [14.4, 0],
          [14.4, 8.4],
          [0, 8.4],
        ],
        { closed: true, width: 0.6, thickness: 0.3, method: 'formed' },
      ),
    );
    instruct(p, 98.8);
    change(p);
  });
const placed = (plan: Plan, id = 'footings') => placingOf(plan, compute(plan), id)!;

describe('a pour as it is placed', () => {
  it.each(DEMOS)('of %s adds up: trucks to what is ordered, places to what is cast', (name) => {
    const plan = demo(name);
    const takeoff = compute(plan);
    for (const pour of takeoff.pours) {
      const made = placingOf(plan, takeoff, pour.id)!;
      const places = made.places.reduce((sum, { volume }) => sum + volume, 0);
      expect(places).toBeCloseTo(pour.neat, 6);
      const loads = made.trucks.reduce((sum, { volume }) => sum + volume, 0);
      expect(loads).toBeCloseTo(pour.mixed ? pour.wanted : pour.ordered, 6);
      expect(made.begins.every((at, i) => at <= made.ends[i]! + 1e-9)).toBe(true);
      expect(made.begins.every((at, i) => i === 0 || at >= made.begins[i - 1]! - 1e-9)).toBe(true);
    }
  });
  it('a truck 40 minutes late, a face that stays fresh for 30: a joint with the second truck, gone with a longer time', () => {
    const late = (p: Plan) => {
      p.pour.truck = 4;
      p.pour.placing = { ...p.pour.placing, rate: 16, open: 0.5, first: '07:30' };
      p.pour.placing.delays = [{ pour: 'footings', truck: 2, hours: 40 / 60, plant: false }];
    };
    const made = placed(ring(late));
    expect(made.spacing).toBeCloseTo(15, 9);
    expect(made.trucks[1]).toMatchObject({ due: 465, arrives: 505, begins: 505, gap: 40 });
    expect(made.joints[0]).toMatchObject({ element: 'E1', against: 'E1', truck: 2, banned: false });
    expect(made.joints[0]!.stood).toBeGreaterThanOrEqual(40);
    const kept = placed(
      ring((p) => {
        late(p);
        p.pour.placing.open = 3;
      }),
    );
    expect(kept.joints).toEqual([]);
    const hot = placed(
      ring((p) => {
        late(p);
        p.pour.placing.open = 3;
        p.pour.placing.temperature = 42;
        p.pour.placing.noJoint = ['E1'];
      }),
    );
    // 3 h at 20 °C are 0.75 at 42.
    expect(hot.open).toBeCloseTo(45, 9);
    expect(hot.joints.every(({ banned }) => banned)).toBe(true);
  });
  it('mixed by hand it goes as fast as its people do, in no truck', () => {
    const made = placed(
      ring((p) => {
        p.pour.orders = [{ id: 'footings', mix: '', when: '', where: '', to: '', mixed: true }];
        p.pour.hand.hours = 6;
        p.days.people = 3;
      }),
    );
    // 3 people, 6 hours each a m³: half a m³ an hour.
    expect([made.rate, made.from, made.trucks.length]).toEqual([0.5, 'typed', 1]);
    expect(made.ends.at(-1)! - made.begins[0]!).toBeCloseTo((made.pour.neat / 0.5) * 60, 6);
  });
  it('older than agreed is told by its truck', () => {
    const made = placed(
      ring((p) => {
        p.pour.truck = 4;
        p.pour.placing = { ...p.pour.placing, rate: 16, travel: 0.5, limit: 1 };
        p.pour.placing.delays = [{ pour: 'footings', truck: 2, hours: -0.5, plant: false }];
      }),
    );
    // Half an hour on the road, half an hour too early, 15 minutes to let off.
    expect(made.trucks[1]!.age).toBeCloseTo(75, 9);
    expect(made.old).toEqual([2]);
  });
  it('a wall rises by rate over its plan; nobody said what its form keeps, nothing is told of that', () => {
    const wall = (permitted: number | null) =>
      ring((p) => {
        p.pour.placing.rate = 12;
        p.pour.forms.permitted = permitted;
        p.elements = p.elements.map((element) => ({
          ...element,
          rising: {
            thickness: 0.25,
            long: null,
            top: 'height',
            height: 2.4,
            level: null,
            over: null,
            made: 'cast',
            rise: null,
            units: { length: 0.39, height: 0.19, joint: 0.01, cells: 0.5, fill: 'none' },
            beam: null,
          },
        }));
      });
    const plan = wall(null);
    const id = compute(plan).pours.find(({ casts }) => casts.some(({ stage }) => stage === 'rise'))!.id;
    const [rise] = placed(plan, id).rises;
    // 45.6 m of axis × 0.25: 11.4 m²; 12 / 11.4 = 1.05 m/h.
    expect(rise!.area).toBeCloseTo(11.4, 6);
    expect(rise!.rate).toBeCloseTo(12 / 11.4, 6);
    expect(rise!.keeps).toBeNull();
    expect(placed(wall(25_000), id).rises[0]).toMatchObject({
      keeps: { keeps: 'height', height: 25 / 24 },
      over: true,
    });
    expect(placed(wall(90_000), id).rises[0]).toMatchObject({ keeps: { keeps: 'any' }, over: false });
  });
});

describe('forms of a pour', () => {
  it('of a ring 14.4 × 8.4, 600 wide: outer and inner faces, lapped and mitred, from stock of 4.2', () => {
    const lengths = (corner: 'mitred' | 'lapped') => {
      const plan = ring((p) => {
        p.pour.forms.corner = corner;
      });
      const [set] = formsOf(plan, compute(plan), 'footings')!.sets;
      return set!.boards.map(({ length }) => Math.round(length * 1000) / 1000).toSorted((a, b) => b - a);
    };
    expect(lengths('mitred')).toEqual([15.05, 15.05, 13.8, 13.8, 9.05, 9.05, 7.8, 7.8]);
    expect(lengths('lapped')).toEqual([15.05, 15.05, 13.8, 13.8, 9, 9, 7.75, 7.75]);
  });
  it('of the same ring drawn as four strips is the same', () => {
    const whole = ring();
    const parts = ring((p) => {
      const corners = [
        [0, 0],
        [14.4, 0],
        [14.4, 8.4],
        [0, 8.4],
      ] as const;
      p.elements = named(
        ...corners.map((from, i) =>
          strip([[...from], [...corners[(i + 1) % 4]!]], { width: 0.6, thickness: 0.3, method: 'formed' }),
        ),
      );
    });
    const lengths = (plan: Plan) =>
      formsOf(plan, compute(plan), 'footings')!
        .sets[0]!.boards.map(({ length }) => Math.round(length * 100) / 100)
        .toSorted((a, b) => b - a);
    expect(lengths(parts)).toEqual(lengths(whole));
  });
  it('of twelve bends, turned any way and drawn the other way round: the same boards', () => {
    // A cross: eight outside corners, four inside, 600 wide along its axis.
    const cross: readonly (readonly [number, number])[] = [
      [4, 0],
      [8, 0],
      [8, 4],
      [12, 4],
      [12, 8],
      [8, 8],
      [8, 12],
      [4, 12],
      [4, 8],
      [0, 8],
      [0, 4],
      [4, 4],
    ];
    const lengths = (turn: number, back: boolean) => {
      const points = cross.map(([x, y]): [number, number] => [
        x * Math.cos(turn) - y * Math.sin(turn),
        x * Math.sin(turn) + y * Math.cos(turn),
      ]);
      const plan = ring((p) => {
        p.elements = named(
          strip(back ? points.toReversed() : points, {
            closed: true,
            width: 0.6,
            thickness: 0.3,
            method: 'formed',
          }),
        );
        p.pour.forms.corner = 'mitred';
      });
      const [set] = formsOf(plan, compute(plan), 'footings')!.sets;
      return set!.boards.map(({ length }) => Math.round(length * 200) / 200).toSorted((a, b) => b - a);
    };
    const plain = lengths(0, false);
    expect(plain).toHaveLength(24);
    // Outer faces: ends of arms 4.6 and both mitres; flanks 4, one mitre. Inner: ends 3.4, flanks 4, one mitre.
    expect(plain.filter((length) => length === 4.65)).toHaveLength(4);
    expect(plain.filter((length) => length === 3.4)).toHaveLength(4);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 6.28, noNaN: true }), fc.boolean(), (turn, back) => {
        const turned = lengths(turn, back);
        expect(turned).toHaveLength(24);
        turned.forEach((length, i) => {
          expect(Math.abs(length - plain[i]!)).toBeLessThanOrEqual(0.0051);
        });
      }),
      { numRuns: 12 },
    );
  });
  it('pins stand no farther apart than the straight-edge less 200: 13 m at 2.2 are 7', () => {
    const plan = plainPlan((p) => {
      soilsDown(p, ['s', 'sand', 0]);
      p.pour.screed = 2.4;
      p.elements = named(
        strip([
          [0, 0],
          [13, 0],
        ]),
      );
      instruct(p, 98.8);
    });
    const takeoff = compute(plan);
    const { pins } = formsOf(plan, takeoff, 'footings')!;
    expect(pins).toHaveLength(7);
    const [info] = takeoff.elements;
    for (const pin of pins) {
      expect(pin.level).toBeCloseTo(98.8 + info!.element.thickness, 9);
      expect(pin.fromString).toBeCloseTo(info!.string.level - pin.level, 9);
    }
  });
});

describe('a cure', () => {
  const at = '2026-11-02T15:00:00Z';
  const cast = { ...logged('poured', { pour: 'footings', casts: ['E1'], volume: null, note: '' }), at };
  const rows = (plan: Plan, more: Parameters<typeof compute>[1], today: string) =>
    cureOf(plan, compute(plan, [cast, ...(more ?? [])]), today);
  it('makes ready to ask after its days, cold ones not counted, and lets nothing go', () => {
    const [row] = rows(ring(), [], '2026-11-09');
    expect(row).toMatchObject({ cast: '2026-11-02', wanted: 7, cold: [] });
    expect(row!.ready.find(({ what }) => what === 'strip')).toMatchObject({
      on: '2026-11-04',
      due: true,
      let: false,
    });
    expect(row!.ready.find(({ what }) => what === 'fill')).toMatchObject({ on: '2026-11-09', due: true });
    expect(row!.ready.find(({ what }) => what === 'load')).toMatchObject({ on: null, due: false });
    const cold = ring((p) => {
      p.days.weather = ['2026-11-03', '2026-11-04'].map((day) => ({
        day,
        rain: 0,
        low: -2,
        high: 8,
        from: 'typed',
      }));
    });
    const [later] = rows(cold, [], '2026-11-09');
    // Means of 3 °C: both days do not count, and it freezes while it is to be kept warm.
    expect(later!.cold).toEqual(['2026-11-03', '2026-11-04']);
    expect(later!.ready.find(({ what }) => what === 'fill')).toMatchObject({ on: '2026-11-11', due: false });
    expect(later!.frost.map(({ day }) => day)).toEqual(['2026-11-03', '2026-11-04']);
  });
  it('knows which days were wet, missed, and of which nobody said', () => {
    const said = (day: string, done: boolean) => logged('wetted', { pour: 'footings', day, done, note: '' });
    const [row] = rows(ring(), [said('2026-11-03', true), said('2026-11-04', false)], '2026-11-05');
    expect([row!.kept, row!.missed, row!.unsaid]).toEqual([['2026-11-03'], ['2026-11-04'], ['2026-11-05']]);
  });
});
