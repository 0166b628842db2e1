/** A time of day as a 24-hour clock shows it. */

/** @param minutes since midnight, of any day before or after */
export function clockText(minutes: number): string {
  const of = ((minutes % 1440) + 1440) % 1440;
  return `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`;
}
