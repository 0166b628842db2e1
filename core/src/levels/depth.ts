/**
 * What decides the depth: every candidate for the footing underside, the lowest governs, and an
 * engineer's word overrides them all.
 */
import { at, type Linear, type Polygon } from '../geometry/index.ts';
import type { Frost } from '../ground/soil.ts';
import type { Element, Plan } from '../plan/schema.ts';

export type DepthRule = 'frost' | 'bearing' | 'stack' | 'cover' | 'instruction';

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
}

/** Underside of the floor's stack: finished level less every layer under it. Null without a floor. */
export function stackUnderside(plan: Plan): number | null {
  const { floor } = plan.levels;
  return floor ? floor.layers.reduce((level, layer) => level - layer.thickness, floor.level) : null;
}

/** Lowest and highest ground over plan pieces, m. */
export function groundOver(pieces: readonly Polygon[], ground: Linear): { low: number; high: number } {
  let low = Infinity;
  let high = -Infinity;
  for (const piece of pieces)
    for (let i = 0; i < piece.length; i += 2) {
      const level = at(ground, piece[i]!, piece[i + 1]!);
      low = Math.min(low, level);
      high = Math.max(high, level);
    }
  return { low, high };
}

function candidatesFor(plan: Plan, frost: Frost, element: Element, groundLow: number): Candidate[] {
  const out: Candidate[] = [];
  if (frost.depth !== null && frost.depth > 0)
    out.push({ rule: 'frost', level: groundLow - frost.depth - plan.ground.frost.margin });
  const { bearing, cover } = plan.levels;
  const stratum = bearing && plan.ground.soils.find((soil) => soil.id === bearing.soil);
  if (bearing && stratum) out.push({ rule: 'bearing', level: groundLow - stratum.top - bearing.embedment });
  const stack = stackUnderside(plan);
  // The footing must stay out of the floor's build-up: its top no higher than the stack's underside.
  if (stack !== null) out.push({ rule: 'stack', level: stack - element.thickness });
  if (cover !== null) out.push({ rule: 'cover', level: groundLow - cover });
  return out;
}

/**
 * Depth of one group of elements, dug to one level.
 * @param members the group's elements with the lowest ground over each footing
 */
export function decideDepth(
  plan: Plan,
  frost: Frost,
  members: readonly { readonly element: Element; readonly groundLow: number }[],
): DepthDecision | null {
  const lowest = new Map<DepthRule, number>();
  for (const { element, groundLow } of members)
    for (const { rule, level } of candidatesFor(plan, frost, element, groundLow))
      lowest.set(rule, Math.min(level, lowest.get(rule) ?? Infinity));
  const candidates = [...lowest].map(([rule, level]) => ({ rule, level })).sort((p, q) => p.level - q.level);
  const { instruction } = plan.levels;
  if (instruction) candidates.unshift({ rule: 'instruction', level: instruction.level });
  const first = candidates[0];
  if (!first) return null;
  const next = candidates[1] ?? null;
  return {
    candidates,
    governs: first.rule,
    underside: first.level,
    margin: next ? next.level - first.level : null,
    next: next?.rule ?? null,
  };
}
