/** How the morning list stands at this minute, by the clock of the job’s own place. */
import { type HoleView, type MorningState, morningOf } from '@cimiento/core';
import { useEffect, useState } from 'react';
import { useDesk } from '../state/store.ts';

const MINUTE = 60_000;

export function useMorning({ looks }: Pick<HoleView, 'looks'>): MorningState {
  const zone = useDesk((desk) => desk.plan.water.zone);
  const [now, setNow] = useState(() => new Date().toISOString());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date().toISOString()), MINUTE);
    return () => clearInterval(timer);
  }, []);
  // What was logged a moment ago is after the minute this began with.
  const last = looks.at(-1)?.at ?? '';
  return morningOf(looks, (at) => dayIn(zone, at), last > now ? last : now);
}

/** The day of a moment where the job is; by UTC where nobody knows the zone. */
function dayIn(zone: string, at: string): string {
  try {
    return new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(new Date(at));
  } catch {
    return at.slice(0, 10);
  }
}
