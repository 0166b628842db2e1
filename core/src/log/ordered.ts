/** Word from an inspector or an engineer put into a plan. */

import type { Element } from '../plan/elements.ts';
import { nextName } from '../plan/names.ts';
import type { Plan } from '../plan/schema.ts';
import { keyOf } from '../plan/variants.ts';
import type { RecordValue } from './kinds/index.ts';

export type Ordered = Pick<RecordValue<'change'>, 'what' | 'to' | 'thing' | 'who' | 'why'> & {
  /** Of the record; null: of all. */
  readonly element: string | null;
  /** The day it was said. */
  readonly when: string;
};

const withElement = (plan: Plan, id: string | null, change: (element: Element) => Element): Plan => ({
  ...plan,
  elements: plan.elements.map((element) => (id === null || element.id === id ? change(element) : element)),
});

/** The lowest layer of an element's bed made so thick: the bed becomes its own where others stand on it too. */
function withBedLayer(plan: Plan, id: string | null, thickness: number): Plan {
  const own = plan.elements.find((element) => element.id === id);
  const bed = plan.beds.find((one) => one.id === own?.bed);
  if (!own || !bed) return plan;
  const layers = bed.layers.map((layer, i) => (i === 0 ? { ...layer, thickness } : layer));
  const shared = plan.elements.some((element) => element.id !== id && element.bed === bed.id);
  if (!shared)
    return { ...plan, beds: plan.beds.map((one) => (one.id === bed.id ? { ...one, layers } : one)) };
  const taken = plan.beds.flatMap((one) => [one.id, one.name]);
  const made = { ...bed, id: nextName('bed-', taken), name: nextName('B', taken), layers };
  return withElement({ ...plan, beds: [...plan.beds, made] }, id, (element) => ({
    ...element,
    bed: made.id,
  }));
}

/** A plan with what was ordered in it. */
export function withOrdered(plan: Plan, ordered: Ordered): Plan {
  const { what, to, thing, element, who, why, when } = ordered;
  switch (what) {
    case 'level':
    case 'width': {
      const { instructions } = plan.levels;
      const ids = instructions.map(({ id }) => id);
      const word = {
        id: nextName('word-', ids),
        level: what === 'level' ? to : null,
        width: what === 'width' ? to : null,
        who,
        when,
        why,
        elements: element === null ? [] : [element],
      };
      return { ...plan, levels: { ...plan.levels, instructions: [...instructions, word] } };
    }
    case 'thickness':
      return withElement(plan, element, (one) => ({ ...one, thickness: to }));
    case 'key':
      return withElement(plan, element, (one) => {
        const key = keyOf(one);
        return key ? ({ ...one, key: { ...key, depth: to } } as Element) : one;
      });
    case 'step':
      return { ...plan, levels: { ...plan.levels, steps: { ...plan.levels.steps, height: to } } };
    case 'bed':
      return withBedLayer(plan, element, to);
    case 'cutBack':
      return {
        ...plan,
        ground: {
          ...plan.ground,
          hazards: plan.ground.hazards.map((hazard) =>
            hazard.id === thing ? { ...hazard, projection: to } : hazard,
          ),
        },
      };
  }
}
