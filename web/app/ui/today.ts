/** Today, as it is on the job: the one place of the interface that asks the clock for a day. */
import { dayOf, localAfter } from '@cimiento/core';

/** Where this browser's clock is: the job's too until someone says otherwise. */
export const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** A job's own clock: this browser's while nobody has said. @param zone the job's */
export const clockOf = (zone: string): string => (zone === 'UTC' ? HERE : zone);

/** The day a moment was on a job. @param zone the job's; UTC while nobody has said */
export const dayThere = (at: string, zone: string): string => dayOf(Date.parse(at), clockOf(zone));

/** The day it is on a job so many days from now. @param zone the job's; UTC while nobody has said */
export function today(zone: string, plus = 0): string {
  const there = clockOf(zone);
  const day = dayOf(Date.now(), there);
  return plus === 0 ? day : localAfter(`${day}T12:00`, 24 * plus, there).slice(0, 10);
}
