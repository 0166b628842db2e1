/** Dates and hours as they are on the job, in its own time zone. */
import { DateTime } from 'luxon';

const FORMAT = "yyyy-MM-dd'T'HH:mm";

/** The moment a local time is; null when there is none: no such day, or an hour that is skipped in spring. */
export function momentOf(local: string, zone: string): number | null {
  const at = DateTime.fromISO(local, { zone });
  return at.isValid && at.toFormat(FORMAT) === local ? at.toMillis() : null;
}

/** Hours from one local time to another, as they pass; null when either is none. */
export function hoursBetween(from: string, to: string, zone: string): number | null {
  const [start, end] = [momentOf(from, zone), momentOf(to, zone)];
  return start === null || end === null ? null : (end - start) / 3_600_000;
}

/** The local time so many hours after another. */
export function localAfter(local: string, hours: number, zone: string): string {
  const start = momentOf(local, zone);
  if (start === null) return local;
  return DateTime.fromMillis(Math.round(start + hours * 3_600_000), { zone }).toFormat(FORMAT);
}
