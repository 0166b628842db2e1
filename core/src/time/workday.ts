/** The working day: hours of work put on a clock. A night is no time at all. */

/** A day's work: when it starts, written as 07:30, and how many hours it has. */
export interface WorkDay {
  readonly start: string;
  readonly hours: number;
}

/** Less than this is no work, h. */
const NOTHING = 1e-9;

/** Minutes past midnight of a time written as 07:30. */
export function minutesOf(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return 60 * hours + minutes;
}

/** Hours of work to the start of the next day, from the start of the first. */
export const nextDay = (worked: number, hours: number): number =>
  (Math.floor(worked / hours + NOTHING) + 1) * hours;

/**
 * The clock after some hours of work: day from 1, and minutes past midnight.
 * @param ending what ends with the day's work ends that day and not next morning
 */
export function clockAfter(
  worked: number,
  { start, hours }: WorkDay,
  ending = false,
): { readonly day: number; readonly minutes: number } {
  const exact = worked / hours;
  const days = ending ? Math.max(0, Math.ceil(exact - NOTHING) - 1) : Math.floor(exact + NOTHING);
  return { day: days + 1, minutes: minutesOf(start) + Math.round(60 * (worked - days * hours)) };
}
