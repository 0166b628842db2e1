/** Whether a time zone and a day are there at all: asked at every keystroke. */
import { isExists } from 'date-fns';

export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** Whether the day of a local time, 2026-11-26T07:00, is one. */
export function isDay(local: string): boolean {
  const [year, month, day] = local.slice(0, 10).split('-').map(Number) as [number, number, number];
  return isExists(year, month - 1, day);
}
