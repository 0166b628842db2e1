/** Where the soil of one cause of over-dig lies: the dig with it and without it. */
import { type CauseCut, type CutCause, causeCut } from '../../dig/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { foundStep, groundStep } from '../pipeline/site.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** @param takeoff of the same plan */
export function overdigShape(given: Plan, { facts }: Takeoff, cause: CutCause): CauseCut {
  const site = groundStep(given, facts);
  return causeCut(site.plan, site.model, foundStep(site).elements, cause);
}
