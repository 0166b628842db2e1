/** A day on site, worked by hand. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { loadsOf } from '../dig/index.ts';
import { honeyHouse, logged } from '../testing.ts';
import { validateRecords } from '../validation/validate.ts';
import {
  daysOf,
  heapFault,
  heapVolume,
  hoursTo,
  minutesLate,
  overrun,
  progressTo,
  reportOf,
  roomFor,
  wedge,
} from './index.ts';

/** A truck whose body fills before its axle does. */
const truckOf = (body: number) => ({ id: 't', name: 'T', body, payload: 1e6, sideHeight: 2 });

describe('a heap measured', () => {
  // 37°: 2·1.4/0.75355 = 3.7157; top 4.2843 × 0.6843, middle 6.1421 × 2.5421; 1.4/6·(35.2 + 2.932 + 62.457) = 23.47.
  it('8 × 4.4 foot, 1.4 high, at 37° is 23.5 m³: three loads of 8, the last 93 % full', () => {
    const volume = heapVolume({ a: 8, b: 4.4, height: 1.4, angle: 37 })!;
    expect(volume).toBeCloseTo(23.47, 2);
    const { loads, lastFill } = loadsOf(truckOf(8), volume, 0);
    expect(loads).toBe(3);
    expect(Math.round(100 * lastFill)).toBe(93);
  });
  it('9 × 5 foot, 1.6 high, at 36° is 33.0 m³: four loads of 10, the last 30 % full', () => {
    const volume = heapVolume({ a: 9, b: 5, height: 1.6, angle: 36 })!;
    expect(volume).toBeCloseTo(33.02, 2);
    const { loads, lastFill } = loadsOf(truckOf(10), volume, 0);
    expect([loads, Math.round(100 * lastFill)]).toEqual([4, 30]);
  });
  it('on a foot too narrow for its height is no heap, and is not made one', () => {
    const narrow = { a: 8, b: 3, height: 1.4, angle: 37 };
    expect(heapFault(narrow)).toBeCloseTo(3.7157, 3);
    expect(heapVolume(narrow)).toBeNull();
    const read = validateRecords([
      logged('heap', { day: '2026-10-14', ...narrow }, { at: '2026-10-14T10:00:00Z' }),
    ]);
    expect(read).toMatchObject({
      ok: false,
      problems: [{ code: 'heapFoot', path: '/records/0/value/b', value: 3, kind: 'length' }],
    });
  });
  it('is what many thin slices of it add up to, whatever its size', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 45, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (angle, height, wide, long) => {
          const off = (2 * height) / Math.tan((angle * Math.PI) / 180);
          const heap = { a: off + wide, b: off + long, height, angle };
          let sum = 0;
          const slices = 4000;
          for (let i = 0; i < slices; i++) {
            const share = (i + 0.5) / slices;
            sum += ((heap.a - share * off) * (heap.b - share * off) * height) / slices;
          }
          const volume = heapVolume(heap)!;
          expect(Math.abs(volume - sum)).toBeLessThan(1e-6 * Math.max(1, sum));
          const { loads, lastFill } = loadsOf(truckOf(8), volume, 0);
          expect((loads - 1 + lastFill) * 8).toBeCloseTo(volume, 9);
          expect(loads * 8).toBeGreaterThanOrEqual(volume - 1e-6);
        },
      ),
    );
  });
});

describe('trucks and hours', () => {
  it('a truck three hours early with eight bucketfuls still in the ground', () => {
    expect(minutesLate('14:00', '11:00')).toBe(-180);
    // 8 · 0.35 = 2.8 loose; 1.5 of room leaves 1.3.
    const { left, over } = roomFor({ bucketfuls: 8, bucket: 0.35, room: 1.5 });
    expect(left).toBeCloseTo(2.8, 12);
    expect(over).toBeCloseTo(1.3, 12);
    expect(roomFor({ bucketfuls: 8, bucket: 0.35, room: 3 }).over).toBe(0);
  });
  it('12.6 h in place of 9.4 at 62 an hour are 198 more', () =>
    expect(overrun(9.4, 12.6, 62)).toBeCloseTo(198.4, 9));
  it('a side fallen in along 3 m, 1.5 high and 0.6 back is 1.35 m³ to dig again', () =>
    expect(wedge({ length: 3, height: 1.5, back: 0.6 })).toBeCloseTo(1.35, 12));
});

describe('a day', () => {
  const day = '2026-10-14';
  const zone = 'Europe/Madrid';
  const of = { truck: 'tipper', ticket: '' };
  const records = [
    logged('worked', { day, who: 'Ana', hours: 8, at: '' }),
    logged('worked', { day, who: 'Bruno', hours: 4.5, at: '' }),
    logged('worked', { day, who: 'Ana', hours: 1, at: 'pump' }),
    logged('dug', { machine: 'machine-1', when: day, volume: 52, hours: 6 }),
    logged('hauled', { day, ...of, loads: 5, volume: 38 }),
    logged('delivered', {
      day,
      of: 'concrete',
      ordered: 10.5,
      came: 10.5,
      left: 0.4,
      due: '07:30',
      arrived: '04:30',
      ticket: '',
    }),
    logged('stopped', { day, cause: 'rock', hours: 6, price: 62, note: '' }),
    logged('stopped', { day, cause: 'waiting', hours: 0.5, price: null, note: '' }),
    logged('hauled', { day: '2026-10-15', ...of, loads: 2, volume: 15 }),
  ];
  it('tells who was here, what was dug, hauled and poured, what stood and what it cost', () => {
    const report = reportOf(records, day, zone);
    expect(report.people).toEqual([
      { who: 'Ana', hours: 9 },
      { who: 'Bruno', hours: 4.5 },
    ]);
    expect(report.personHours).toBe(13.5);
    expect(report.machines).toEqual([{ machine: 'machine-1', volume: 52, hours: 6 }]);
    expect(report.loads).toEqual({ count: 5, loose: 38 });
    expect(report.delivered.concrete).toEqual({ ordered: 10.5, came: 10.5, left: 0.4 });
    expect(report.delivered.stone).toBeNull();
    expect(report.stopHours).toBe(6.5);
    // Only what somebody priced is money.
    expect(report.stopCost).toBe(372);
    expect(daysOf(records, zone)).toEqual(['2026-10-15', day]);
  });
  it('counts a corrected record once, and one taken back not at all', () => {
    const [first, second] = records;
    const now = [
      ...records,
      logged('worked', { day, who: 'Ana', hours: 7, at: '' }, { corrects: first!.id }),
      logged('worked', null, { corrects: second!.id }),
    ];
    expect(reportOf(now, day, zone).people).toEqual([{ who: 'Ana', hours: 8 }]);
  });
  it('stands beside what was planned: done so far, and nothing said of what no record tells', () => {
    const { figures } = compute(honeyHouse());
    const { dig, haul, concrete, stone, keep } = progressTo(figures, records, '2026-10-15', zone);
    expect(dig).toEqual({ planned: figures.dig.value, done: 52 });
    expect(haul).toEqual({ planned: figures.haul.value, done: 7 });
    expect(concrete.done).toBeCloseTo(10.1, 12);
    expect(stone.done).toBeNull();
    // 52 dug, less what left: its loose m³ over how the job's own soils swell (467.8 of 339.6).
    const left = records.reduce(
      (sum, one) => sum + (one.kind === 'hauled' ? (one.value?.volume ?? 0) : 0),
      0,
    );
    expect(left).toBeGreaterThan(0);
    expect(keep.done).toBeCloseTo(52 - left / (figures.spoil.value / figures.dig.value), 9);
    // 14 loose by hand are so much less in the ground as the job's soils swell; at 0.6 m³/h that took 23.3 h.
    const byHand = [
      ...records,
      logged('handDug', { volume: 14, hours: 14 / 0.6 }, { at: `${day}T12:00:00Z` }),
    ];
    const swell = figures.spoil.value / figures.dig.value;
    expect(progressTo(figures, byHand, day, zone).dig.done).toBeCloseTo(52 + 14 / swell, 9);
    expect(reportOf(byHand, day, zone).byHand.hours).toBeCloseTo(23.333, 3);
  });
  it('is a day there is, and none that has not come', () => {
    const at = `${day}T10:00:00Z`;
    const weather = (of: string) =>
      validateRecords([logged('weather', { day: of, rain: 0, low: null, high: null, note: '' }, { at })]);
    expect(weather(day).ok).toBe(true);
    // It may be tomorrow already where they dig.
    expect(weather('2026-10-15').ok).toBe(true);
    expect(weather('2026-10-16')).toMatchObject({
      problems: [{ code: 'futureDay', path: '/records/0/value/day' }],
    });
    expect(weather('2026-02-30')).toMatchObject({ problems: [{ code: 'noSuchDay' }] });
  });
  it('has no ticket of none, no day of more than 24 hours, no more left over than came', () => {
    const code = (record: (typeof records)[number]) => {
      const read = validateRecords([{ ...record, at: `${day}T10:00:00Z` }]);
      return read.ok ? null : read.problems[0]!.code;
    };
    expect(code(logged('hauled', { day, ...of, loads: 0, volume: 5 }))).toBe('range');
    expect(code(logged('hauled', { day, ...of, loads: 2.5, volume: 5 }))).toBe('wholeNumber');
    expect(code(logged('worked', { day, who: 'Ana', hours: 25, at: '' }))).toBe('range');
    const ticket = { day, of: 'concrete' as const, ordered: 7, due: null, arrived: null, ticket: '' };
    expect(code(logged('delivered', { ...ticket, came: 0, left: 0 }))).toBe('range');
    expect(code(logged('delivered', { ...ticket, came: 7, left: 8 }))).toBe('leftOver');
  });
});

describe('hours beside the plan', () => {
  const { machine } = honeyHouse().dig;
  const dug = (when: string, hours: number) => logged('dug', { machine, when, volume: 20, hours });
  it('count up to the day asked; of what no record tells there are none', () => {
    const records = [
      dug('2026-10-12', 6.1),
      dug('2026-10-13', 6.5),
      logged('handDug', { volume: 2, hours: 3 }),
    ];
    // 12.6 of 9.4 planned at 62 is 198 more.
    const { machines } = hoursTo(records, '2026-10-13', 'UTC');
    expect(machines.get(machine)).toBeCloseTo(12.6, 9);
    expect(overrun(9.4, machines.get(machine)!, 62)).toBeCloseTo(198.4, 9);
    expect(hoursTo(records, '2026-10-12', 'UTC').machines.get(machine)).toBe(6.1);
    expect(hoursTo(records.slice(0, 2), '2026-10-11', 'UTC')).toEqual({ machines: new Map(), byHand: null });
  });
});
