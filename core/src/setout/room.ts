/** Space beside what is built. */
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { apronOf } from '../plan/variants.ts';
import { shapeOf } from './kinds.ts';

/**
 * On each side: form and boots for a formed one, none for trench-fill; as
 * wide as boards that lie out past a slab's edge.
 */
export function roomOf(plan: Plan, element: Element): number {
  if (!shapeOf(element).founded) return 0;
  const room = element.method === 'trenchFill' ? 0 : (element.room ?? plan.dig.room);
  return Math.max(room, apronOf(element));
}
