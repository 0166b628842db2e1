/** Days and hours as they are on the job, in its own time zone. Nothing here asks the clock: now is an argument. */
import { TZDate, tzOffset } from '@date-fns/tz';
import { DAY_MS, HOUR_MS } from './durations.ts';

/** A local time, 2026-11-26T07:00, taken apart. */
const LOCAL = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;

/** A minute, ms. */
const MINUTE_MS = HOUR_MS / 60;

const two = (value: number) => String(value).padStart(2, '0');
/** A moment as a clock on the job shows it. */
const shown = (at: TZDate): string =>
  `${String(at.getFullYear()).padStart(4, '0')}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;

/** The moment a local time is; null when there is none: no such day, or an hour that is skipped in spring. */
export function momentOf(local: string, zone: string): number | null {
  const [year, month, day, hour, minute] = LOCAL.exec(local)?.slice(1).map(Number) ?? [];
  if (year === undefined) return null;
  // Not made of its parts in a TZDate: those go through the machine's own zone, and an hour that is skipped there is lost.
  const asUtc = Date.UTC(year, month! - 1, day!, hour!, minute!);
  if (Number.isNaN(asUtc)) return null;
  // By the zone's clock before and after whatever night its clocks change; an hour that comes twice is the first.
  for (const about of [asUtc - DAY_MS, asUtc + DAY_MS]) {
    const at = asUtc - tzOffset(zone, new Date(about)) * MINUTE_MS;
    if (shown(new TZDate(at, zone)) === local) return at;
  }
  return null;
}

/** The local time, and the day, of a moment. @param moment ms since 1970 */
export const localOf = (moment: number, zone: string): string => shown(new TZDate(moment, zone));

/** `localOf` of one zone for many moments: the zone is asked once for each day of them. @returns local time of a moment, ms since 1970 */
export function localsOf(zone: string): (moment: number) => string {
  const offsets = new Map<number, number | null>();
  const offset = (day: number): number | null => {
    const known = offsets.get(day);
    if (known !== undefined) return known;
    const [from, to] = [day, day + 1].map((one) => new TZDate(one * DAY_MS, zone).getTimezoneOffset());
    const one = from === to ? -from! * 60_000 : null;
    offsets.set(day, one);
    return one;
  };
  return (moment) => {
    const east = Number.isFinite(moment) ? offset(Math.floor(moment / DAY_MS)) : null;
    return east === null
      ? localOf(moment, zone)
      : new Date(Math.floor(moment + east)).toISOString().slice(0, 'yyyy-mm-ddThh:mm'.length);
  };
}

export const dayOf = (moment: number, zone: string): string => localOf(moment, zone).slice(0, 10);

/** Hours from one local time to another, as they pass; null when either is none. */
export function hoursBetween(from: string, to: string, zone: string): number | null {
  const [start, end] = [momentOf(from, zone), momentOf(to, zone)];
  return start === null || end === null ? null : (end - start) / HOUR_MS;
}

/** The local time so many hours after another, as they pass. */
export function localAfter(local: string, hours: number, zone: string): string {
  const start = momentOf(local, zone);
  return start === null ? local : localOf(Math.round(start + hours * HOUR_MS), zone);
}

/** The day so many days after another, 2026-10-14; less than nought: before. */
export const dayShifted = (day: string, by: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + by * DAY_MS).toISOString().slice(0, 10);

/** The day after a day, 2026-10-14. */
export const nextDayOf = (day: string): string => dayShifted(day, 1);

/** Days from one to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);
