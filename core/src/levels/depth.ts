/**
 * What decides the depth: every candidate for the footing underside, the lowest governs, and an
 * engineer's word overrides them all. A neighbour's footing limits from below; see neighbour.ts.
 */

import type { Frost } from '../ground/design-frost.ts';
import type { GroundModel } from '../ground/strata.ts';
import { bedOf, thicknessOf } from '../plan/beds.ts';
import type { Element } from '../plan/elements.ts';
import type { Instruction, Plan } from '../plan/schema.ts';
import { floorOf } from '../plan/strings.ts';
import { drainOf, edgeOf, floorSlabOf, traitsOf } from '../plan/variants.ts';
import { outfallBottom } from '../setout/fall.ts';
import { type CourseFit, courseFit, type FloorStack, floorStacks } from './floors.ts';
import { slabOnFloor } from './slab.ts';

export type DepthRule =
  | 'frost'
  | 'bearing'
  | 'stack'
  | 'course'
  | 'cover'
  | 'floor'
  | 'surface'
  | 'outfall'
  | 'drawn'
  | 'instruction';

export interface Candidate {
  readonly rule: DepthRule;
  /** Level of the footing underside the rule asks for, m. */
  readonly level: number;
}

export interface DepthDecision {
  /** Lowest first; an engineer's instruction, when given, stands first whatever its level. */
  readonly candidates: readonly Candidate[];
  readonly governs: DepthRule | null;
  readonly underside: number;
  /** How far the governing level lies below the next candidate, m; null when there is no other. */
  readonly margin: number | null;
  readonly next: DepthRule | null;
  /** Id of the instruction that governs. */
  readonly instruction: string | null;
  /** Id of the floor carried, and what is left between the footing and its layers, m. */
  readonly floor: string | null;
  readonly closure: number | null;
  readonly courses: CourseFit | null;
}

/** Places where the ground under an element is read. */
export type Places = readonly (readonly [number, number])[];

/** What the rules ask for at some places, before courses and instructions. Unordered. */
export function candidatesAt(
  plan: Plan,
  model: GroundModel,
  frost: Frost,
  stack: FloorStack | null,
  thickness: number,
  places: Places,
): Candidate[] {
  const out: Candidate[] = [];
  let low = Infinity;
  let stratum = Infinity;
  const { bearing, cover } = plan.levels;
  const k = bearing ? plan.ground.soils.findIndex((soil) => soil.id === bearing.soil) : -1;
  for (const [x, y] of places) {
    if (k < 0) low = Math.min(low, model.level(x, y));
    else {
      const tops = model.tops(x, y);
      low = Math.min(low, tops[0]!);
      stratum = Math.min(stratum, tops[k]!);
    }
  }
  if (frost.depth !== null && frost.depth > 0)
    out.push({ rule: 'frost', level: low - frost.depth - plan.ground.frost.margin });
  if (bearing && k >= 0) out.push({ rule: 'bearing', level: stratum - bearing.embedment });
  // The footing must stay out of the floor's build-up: its top no higher than the stack's underside.
  if (stack?.floor.count === 'down') out.push({ rule: 'stack', level: stack.underside - thickness });
  if (cover !== null) out.push({ rule: 'cover', level: low - cover });
  return out;
}

/** The level whose footing top lands on a whole course; null when courses do not decide. */
export function courseLevel(stack: FloorStack | null, thickness: number, needed: number): number | null {
  if (!stack?.courses || stack.floor.count !== 'down' || stack.floor.landing !== 'deepen') return null;
  const { module } = stack.courses;
  const count = Math.ceil((stack.underside - thickness - needed) / module - 1e-9);
  return stack.underside - thickness - Math.max(0, count) * module;
}

/**
 * What founds an element by itself, whatever the rules for footings ask: its floor a slab on the ground,
 * its outfall a drain. Null for what the rules found; an empty list where that is missing.
 */
export function ownCandidates(plan: Plan, element: Element): Candidate[] | null {
  const floorSlab = floorSlabOf(element);
  if (floorSlab) {
    const slab = slabOnFloor(plan, floorSlab);
    return slab ? [{ rule: 'floor', level: slab.underside }] : [];
  }
  // What lies in the ground is as deep as it is thick: that is read where it lies.
  if (traitsOf(element).onGround) return [];
  // Under an old wall the drawing says how deep, when it does.
  if (traitsOf(element).inBays && element.level !== null) return [];
  const drain = drainOf(element);
  if (!drain) return null;
  const bottom = outfallBottom(drain);
  return bottom === null ? null : [{ rule: 'outfall', level: bottom + thicknessOf(bedOf(plan, element)) }];
}

/** From an element's underside to the top that stays under the floor, m. */
const heightIn = (element: Element): number => element.thickness + (edgeOf(element)?.depth ?? 0);

/** The last instruction on the level of an element; null when nobody has said anything. */
export const instructionFor = (plan: Plan, element: Element): Instruction | null =>
  plan.levels.instructions.findLast(
    (instruction) =>
      instruction.level !== null &&
      (instruction.elements.length === 0 || instruction.elements.includes(element.id)),
  ) ?? null;

/**
 * An engineer's word about an element by name, said when and why: nothing less lifts what only an engineer
 * may. Null when there is none.
 */
export const completeInstruction = (plan: Plan, id: string): Instruction | null =>
  plan.levels.instructions.findLast(
    ({ elements, who, when, why }) =>
      elements.includes(id) && [who, when, why].every((text) => text.trim() !== ''),
  ) ?? null;

/** The plan with the widths an engineer has ordered put in place of those typed. */
export function withInstructedWidths(plan: Plan): Plan {
  const instructions = plan.levels.instructions.filter((instruction) => instruction.width !== null);
  if (instructions.length === 0) return plan;
  return {
    ...plan,
    elements: plan.elements.map((element) => {
      const instruction = instructions.findLast(
        (w) => w.elements.length === 0 || w.elements.includes(element.id),
      );
      return instruction ? { ...element, width: instruction.width! } : element;
    }),
  };
}

/**
 * Depth of one group of elements, dug to one level.
 * @param members the group's elements with the places their ground is read at
 */
export function decideDepth(
  plan: Plan,
  model: GroundModel,
  frost: Frost,
  members: readonly { readonly element: Element; readonly places: Places }[],
): DepthDecision | null {
  const stacks = floorStacks(plan);
  const lowest = new Map<DepthRule, number>();
  const put = ({ rule, level }: Candidate) => lowest.set(rule, Math.min(level, lowest.get(rule) ?? Infinity));
  const carried = members.map(({ element, places }) => {
    const floor = floorOf(plan, element);
    const stack = stacks.find((s) => s.floor.id === floor?.id) ?? null;
    const own = ownCandidates(plan, element);
    if (traitsOf(element).onGround && places.length > 0)
      put({
        rule: 'surface',
        level: Math.min(...places.map(([x, y]) => model.level(x, y))) - heightIn(element),
      });
    for (const candidate of own ?? candidatesAt(plan, model, frost, stack, heightIn(element), places))
      put(candidate);
    if (element.level !== null) put({ rule: 'drawn', level: element.level });
    // Courses and what is left over them are a wall's.
    return { element, stack: own ? null : stack };
  });
  // Courses are counted from what everything else needs, so that they only ever go deeper.
  const needed = Math.min(...lowest.values());
  if (Number.isFinite(needed))
    for (const { element, stack } of carried) {
      const level = courseLevel(stack, heightIn(element), needed);
      if (level !== null && level < needed - 1e-9) put({ rule: 'course', level });
    }
  const candidates = [...lowest].map(([rule, level]) => ({ rule, level })).sort((p, q) => p.level - q.level);
  const instruction =
    members.map(({ element }) => instructionFor(plan, element)).find((w) => w !== null) ?? null;
  if (instruction) candidates.unshift({ rule: 'instruction', level: instruction.level! });
  const first = candidates[0];
  if (!first) return null;
  const next = candidates[1] ?? null;
  const { element, stack } = carried[0]!;
  const closure = stack ? stack.underside - (first.level + heightIn(element)) : null;
  return {
    candidates,
    governs: first.rule,
    underside: first.level,
    margin: next ? next.level - first.level : null,
    next: next?.rule ?? null,
    instruction: instruction?.id ?? null,
    floor: stack?.floor.id ?? null,
    closure,
    courses: stack?.courses && closure !== null && closure >= 0 ? courseFit(closure, stack.courses) : null,
  };
}
