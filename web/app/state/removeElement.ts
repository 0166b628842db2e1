/** Takes an element out of a plan, and what was said of it elsewhere. */
import { elementOfCast } from '@cimiento/core';
import type { Draft } from './store.ts';

/**
 * A ramp to it goes with it; an engineer's word that was for it alone too, since a word for nobody would
 * be for all. What lay in its way lies in the way of the dig.
 */
export function removeElement(draft: Draft, id: string): void {
  draft.elements = draft.elements.filter(
    (element) => element.id !== id && !(element.kind === 'ramp' && element.serves === id),
  );
  const left = new Set(draft.elements.map((element) => element.id));
  const { levels, ground, water, pour, dig, backfill } = draft;
  levels.instructions = levels.instructions.filter(
    ({ elements }) => elements.length === 0 || elements.some((one) => left.has(one)),
  );
  for (const word of levels.instructions) word.elements = word.elements.filter((one) => left.has(one));
  for (const one of ground.obstructions)
    if (one.element !== null && !left.has(one.element)) one.element = null;
  for (const one of pour.together) one.elements = one.elements.filter((key) => left.has(elementOfCast(key)));
  pour.together = pour.together.filter(({ elements }) => elements.length > 0);
  pour.steel = pour.steel.filter(({ element }) => left.has(element));
  pour.fittings = pour.fittings.filter(({ element }) => left.has(element));
  pour.placing.noJoint = pour.placing.noJoint.filter((one) => left.has(one));
  backfill.floors = backfill.floors.filter(({ element }) => left.has(element));
  backfill.oneSided = backfill.oneSided.filter(({ element }) => left.has(element));
  water.pumps = water.pumps.filter(({ element }) => left.has(element));
  water.drained = water.drained.filter(({ element }) => left.has(element));
  dig.order = dig.order.filter((one) => left.has(one));
}
