/** Today, as it is on the job: the one place of the interface that asks the clock for a day. */
import { dayOf, localAfter } from '@cimiento/core';

/** Where this browser's clock is: the job's too until someone says otherwise. */
export const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The day it is on a job so many days from now. @param zone the job's; UTC while nobody has said */
export function today(zone: string, plus = 0): string {
  const there = zone === 'UTC' ? HERE : zone;
  const day = dayOf(Date.now(), there);
  return plus === 0 ? day : localAfter(`${day}T12:00`, 24 * plus, there).slice(0, 10);
}
