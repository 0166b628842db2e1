/** A takeoff when something more was logged. */
import { type Facts, factsOf, type SiteRecord } from '../../log/index.ts';
import type { Takeoff } from './takeoff.ts';

/** What a takeoff only hands on: no figure, caution or problem of it is worked out of these. */
const HANDED_ON: ReadonlySet<string> = new Set<keyof Facts>([
  'bottom',
  'cone',
  'taped',
  'note',
  'looks',
  'changes',
  'change',
  'settled',
  'ticked',
  'readied',
  'wetted',
  'leak',
  'weather',
  'bay',
]);

/**
 * The takeoff of the same plan with other records, where they move none of it.
 * @returns null when it is to be computed anew
 */
export function withRecords(takeoff: Takeoff, records: readonly SiteRecord[]): Takeoff | null {
  const facts = factsOf(records);
  if (facts === takeoff.facts) return takeoff;
  const moved = Object.entries(facts).some(
    ([part, known]) => known !== takeoff.facts[part as keyof Facts] && !HANDED_ON.has(part),
  );
  return moved ? null : { ...takeoff, facts };
}
