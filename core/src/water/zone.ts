/** Whether a time zone and a day are there at all: asked at every keystroke, so without a calendar's library. */

export function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;
const isLeap = (year: number) => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

/** Whether the day of a local time, 2026-11-26T07:00, is one. */
export function isDay(local: string): boolean {
  const [year, month, day] = local.slice(0, 10).split('-').map(Number) as [number, number, number];
  return day <= DAYS[month - 1]! + (month === 2 && isLeap(year) ? 1 : 0);
}
