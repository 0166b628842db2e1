/** What is asked of the night from several panels. */
import { elementName, type Night, type NightHole, type Plan } from '@cimiento/core';
import { useNight } from '../../../state/ask/whatif.ts';
import { useDesk } from '../../../state/store.ts';
import type { Format } from '../../../ui/format.tsx';

/** The night, and the hole of what is picked: the deepest under water when that is in none. */
export function useHole(): { night: Night | null; hole: NightHole | null } {
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const answer = useNight(plan.water.storm ? plan : null);
  if (!answer?.ok) return { night: null, hole: null };
  const { night } = answer;
  const own = night.holes.find(({ elements }) => picked !== null && elements.includes(picked));
  const worst = night.holes.reduce<NightHole | null>(
    (most, next) =>
      most === null || next.wet.peak - next.surface > most.wet.peak - most.surface ? next : most,
    null,
  );
  return { night, hole: own ?? worst };
}

/** Names of some elements; of many the first few. */
export function namesOf(plan: Plan, ids: readonly string[]): string {
  const names = ids.map((id) => elementName(plan, id));
  return names.length > 6 ? `${names.slice(0, 5).join(', ')} …` : names.join(', ');
}

/** Steps of an hour in which a night is played. */
export const STEPS = 4;
/** The time of day of a local time. */
export const clock = (local: string): string => local.slice(11);

/** Hours in words: under one in minutes. */
export const lasting = (format: Format, hours: number): string =>
  hours < 1 && hours > 0 ? `${Math.max(1, Math.round(60 * hours))} min` : format.text(hours, 'hours');
