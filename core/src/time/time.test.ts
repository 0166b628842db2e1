/** The job's own clock, held against the one the platform has. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  clockAfter,
  dayOf,
  hoursBetween,
  isDay,
  isZone,
  localAfter,
  localOf,
  localsOf,
  minutesOf,
  momentOf,
  nextDay,
} from './index.ts';

const ZONES = [
  'America/Lima',
  'America/New_York',
  'America/St_Johns',
  'Asia/Kathmandu',
  'Australia/Lord_Howe',
  'Europe/Madrid',
  'Pacific/Apia',
  'UTC',
] as const;

/** What the platform's own formatter shows of a moment. */
function plainly(moment: number, zone: string): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).formatToParts(moment);
  const of = (type: string) => parts.find((part) => part.type === type)!.value;
  return `${of('year')}-${of('month')}-${of('day')}T${of('hour')}:${of('minute')}`;
}

describe('the job’s clock', () => {
  it('passes over the hour that is skipped in spring and has the one that comes twice in autumn', () => {
    expect(hoursBetween('2026-03-28T22:00', '2026-03-29T07:00', 'Europe/Madrid')).toBe(8);
    expect(hoursBetween('2026-10-24T22:00', '2026-10-25T07:00', 'Europe/Madrid')).toBe(10);
    expect(momentOf('2026-03-29T02:30', 'Europe/Madrid')).toBeNull();
    expect(hoursBetween('2026-03-28T22:00', '2026-03-29T07:00', 'America/Lima')).toBe(9);
    expect(localAfter('2026-03-28T22:00', 8, 'Europe/Madrid')).toBe('2026-03-29T07:00');
  });
  it('knows which zones and days there are', () => {
    expect([isZone('America/Lima'), isZone('Moon/Crater'), isZone('')]).toEqual([true, false, false]);
    expect([isDay('2028-02-29T00:00'), isDay('2026-02-29T00:00'), isDay('2026-04-31T00:00')]).toEqual([
      true,
      false,
      false,
    ]);
  });
});

describe('a moment', () => {
  const moment = fc.integer({ min: Date.UTC(2000, 0, 1) / 60_000, max: Date.UTC(2060, 0, 1) / 60_000 });
  it('is shown as the platform shows it, in any zone, and found again from what is shown', () => {
    fc.assert(
      fc.property(moment, fc.constantFrom(...ZONES), (minutes, zone) => {
        const at = minutes * 60_000;
        const shown = localOf(at, zone);
        expect(shown).toBe(plainly(at, zone));
        expect(localsOf(zone)(at)).toBe(shown);
        expect(dayOf(at, zone)).toBe(shown.slice(0, 10));
        const again = momentOf(shown, zone)!;
        // An hour that comes twice in autumn is one of the two.
        expect(Math.abs(again - at) % 1_800_000).toBe(0);
        expect(Math.abs(again - at)).toBeLessThanOrEqual(3_600_000);
        expect(plainly(again, zone)).toBe(shown);
      }),
    );
  });
  it('is shown the same one of many, through the nights the clocks change too', () => {
    for (const zone of ['Europe/Madrid', 'America/New_York', 'Australia/Lord_Howe']) {
      const local = localsOf(zone);
      for (const [from, to] of [
        [Date.UTC(2026, 2, 7), Date.UTC(2026, 3, 6)],
        [Date.UTC(2026, 9, 3), Date.UTC(2026, 10, 2)],
      ] as const)
        for (let at = from; at < to; at += 1_799_000) expect(local(at)).toBe(localOf(at, zone));
    }
  });
  it('is so many hours after another as they pass, whatever the clock does meanwhile', () => {
    fc.assert(
      fc.property(
        moment,
        fc.integer({ min: 0, max: 400 }),
        fc.constantFrom(...ZONES),
        (minutes, hours, zone) => {
          const start = localOf(minutes * 60_000, zone);
          const from = momentOf(start, zone)!;
          const end = localAfter(start, hours, zone);
          expect(end).toBe(plainly(from + hours * 3_600_000, zone));
          expect(Math.abs(hoursBetween(start, end, zone)! - hours)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
  it('of 72 hours from Saturday 14:00 over the change of clocks in Madrid is Tuesday 15:00', () => {
    expect(localAfter('2026-03-28T14:00', 72, 'Europe/Madrid')).toBe('2026-03-31T15:00');
  });
  it('late in an American evening is still that day there', () => {
    const evening = Date.UTC(2026, 10, 30, 3, 30);
    expect(dayOf(evening, 'America/New_York')).toBe('2026-11-29');
    expect(dayOf(evening, 'UTC')).toBe('2026-11-30');
  });
  it('is none where there is no such day, hour or writing', () => {
    for (const local of [
      '2026-02-30T10:00',
      '2026-03-29T02:30',
      '2026-13-01T00:00',
      'tomorrow',
      '2026-03-28',
    ])
      expect(momentOf(local, 'Europe/Madrid')).toBeNull();
    expect(localAfter('2026-02-30T10:00', 5, 'Europe/Madrid')).toBe('2026-02-30T10:00');
    expect(hoursBetween('2026-02-30T10:00', '2026-03-01T10:00', 'UTC')).toBeNull();
  });
});

describe('the working day', () => {
  it('has a clock, and no night', () => {
    expect(minutesOf('07:30')).toBe(450);
    expect(clockAfter(0, { start: '07:30', hours: 8 })).toEqual({ day: 1, minutes: 450 });
    expect(clockAfter(8, { start: '07:30', hours: 8 })).toEqual({ day: 2, minutes: 450 });
    expect(clockAfter(8, { start: '07:30', hours: 8 }, true)).toEqual({ day: 1, minutes: 930 });
    expect(clockAfter(9.25, { start: '07:30', hours: 8 })).toEqual({ day: 2, minutes: 525 });
    expect(clockAfter(0, { start: '07:30', hours: 8 }, true)).toEqual({ day: 1, minutes: 450 });
  });
  it('starts again where the one before ended: what is left over goes on next morning', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.integer({ min: 1, max: 24 }),
        (worked, hours) => {
          const next = nextDay(worked, hours);
          expect(next).toBeGreaterThan(worked - 1e-6);
          expect(next - worked).toBeLessThanOrEqual(hours + 1e-6);
          expect(clockAfter(next, { start: '07:30', hours }).minutes).toBe(450);
          const { day, minutes } = clockAfter(worked, { start: '07:30', hours });
          // Whole minutes: half of one either way.
          expect(Math.abs((day - 1) * hours * 60 + minutes - 450 - worked * 60)).toBeLessThanOrEqual(
            0.5 + 1e-6,
          );
        },
      ),
    );
  });
});

describe('an hour that comes twice', () => {
  // Clocks go back in Madrid at 03:00 on 25 October 2026 (UTC+2 to UTC+1), in New York at 02:00 on 1 November.
  it('is the first of them, wherever the job and the machine are', () => {
    expect(momentOf('2026-10-25T02:30', 'Europe/Madrid')).toBe(Date.parse('2026-10-25T00:30Z'));
    expect(momentOf('2026-11-01T01:30', 'America/New_York')).toBe(Date.parse('2026-11-01T05:30Z'));
    // In Santiago the hour before this midnight comes twice: a machine there once lost it for every other zone.
    expect(momentOf('2026-04-05T00:30', 'Australia/Lord_Howe')).toBe(Date.parse('2026-04-04T13:30Z'));
  });
});
