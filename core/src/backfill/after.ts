/**
 * The ground once all is filled: it falls away from the walls, stands a little high where it will settle, and stays
 * under the plinth. Corners are not turned: what a corner takes more is not counted.
 */
import { perimeter } from '../geometry/index.ts';
import type { Plan } from '../plan/schema.ts';
import { boxElementOf, runOf } from '../plan/variants.ts';
import { axisLength } from '../setout/index.ts';
import type { ElementTakeoff } from '../takeoff/element.ts';
import { surfaceRuns } from '../takeoff/ground-water.ts';
import { floorOver } from './fill.ts';
import { sidesOf, standsIn } from './sides.ts';

type Own = Pick<ElementTakeoff, 'id' | 'element' | 'live'>;

/** m of an element's wall along which the ground falls away: each of its sides that lies under no floor. */
export function wallOutside(plan: Plan, info: Own): number {
  const { element, live } = info;
  if (!live || !standsIn(element)) return 0;
  const box = boxElementOf(element);
  if (box) return perimeter(box.outline);
  const run = runOf(element);
  if (!run) return 0;
  return axisLength(run) * sidesOf(element).filter((side) => !floorOver(plan, info, side)).length;
}

/** m³ tamped that raise the ground at the walls so that it falls away: ½·fall·length² a metre of wall. */
export function raisedRound(plan: Plan, elements: readonly Own[]): number {
  const { after } = plan.backfill;
  if (after === null) return 0;
  const each = (after.fall * after.length ** 2) / 2;
  return each * elements.reduce((sum, info) => sum + wallOutside(plan, info), 0);
}

/** Walls whose tops stand too low over the ground as it falls away from them, m over it. */
export function plinthsLow(
  plan: Plan,
  elements: readonly (Own & Pick<ElementTakeoff, 'rising' | 'groundHigh'>)[],
): { readonly id: string; readonly plinth: number }[] {
  const { after } = plan.backfill;
  if (after === null) return [];
  return elements.flatMap((info) => {
    if (!info.live || info.rising === null || info.rising.top === null) return [];
    const plinth = info.rising.top - (info.groundHigh + after.fall * after.length);
    return plinth < after.plinth - 1e-6 ? [{ id: info.id, plinth }] : [];
  });
}

/** Roof water that comes to the ground and runs into a hole that is to be filled. */
export const gutters = (
  plan: Plan,
  elements: readonly ElementTakeoff[],
): { readonly id: string; readonly name: string; readonly element: string }[] =>
  plan.water.surface.some(({ kind }) => kind === 'downpipe')
    ? surfaceRuns(plan, elements).flatMap(({ id, element }) => {
        const own = plan.water.surface.find((one) => one.id === id);
        return own?.kind === 'downpipe' && element !== null ? [{ id, name: own.name, element }] : [];
      })
    : [];
