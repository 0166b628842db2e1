/** The level of every element: decided by group, since what is poured together is dug together. */

import type { Polygon } from '../geometry/index.ts';
import { type Frost, type GroundModel, groundAt, placesOn } from '../ground/index.ts';
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { floorOf } from '../plan/strings.ts';
import { runOf, traitsOf } from '../plan/variants.ts';
import type { Problem } from '../results/index.ts';
import { footingPieces, shapeOf } from '../setout/index.ts';
import { type DepthDecision, decideDepth, ownCandidates, type Places } from './depth.ts';
import { type Stepped, stepsOf } from './steps.ts';

/** What the ground is like under an element, and the level its rules ask for. */
export interface Levelled {
  readonly element: Element;
  /** Its place in the plan's list. */
  readonly index: number;
  /** Its footing in plan, one a run. */
  readonly pieces: readonly Polygon[];
  readonly places: Places;
  readonly groundLow: number;
  readonly groundHigh: number;
  /** Null: nothing says how deep. */
  readonly decision: DepthDecision | null;
  readonly steps: Stepped | null;
  /** Of each stretch; the lowest is the element's. */
  readonly undersides: readonly number[];
}

/** Groups as positions in the list; one of none, that steps or founds itself, is one by itself. */
function groupsOf(plan: Plan, takes: (i: number) => boolean): number[][] {
  const groups = new Map<string, number[]>();
  plan.elements.forEach((element, i) => {
    if (!shapeOf(element).founded || !takes(i)) return;
    const alone =
      element.group === '' || shapeOf(element).steps(element) || ownCandidates(plan, element) !== null;
    const key = alone ? `#${element.id}` : element.group;
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  return [...groups.values()];
}

/** Levels every element, and says what cannot be levelled. */
export function levelElements(
  plan: Plan,
  model: GroundModel,
  frost: Frost,
): { readonly levelled: readonly Levelled[]; readonly problems: readonly Problem[] } {
  const problems: Problem[] = [];
  const { elements } = plan;
  const pieces = footingPieces(elements);
  const places = pieces.map((list) => placesOn(model, list));
  const grounds = places.map((list) => groundAt(model, list));
  const out = elements.map(
    (element, index): Levelled => ({
      element,
      index,
      pieces: [],
      places: [],
      groundLow: 0,
      groundHigh: 0,
      decision: null,
      steps: null,
      undersides: [0],
    }),
  );
  // A shape no piece can be made of: an axis of no length, an outline its own room closes up.
  const made = (i: number) => Number.isFinite(grounds[i]!.low);
  elements.forEach((element, i) => {
    if (runOf(element) && !made(i)) problems.push({ code: 'zeroLength', path: `/elements/${i}/points` });
  });
  let undecided = false;
  for (const members of groupsOf(plan, made)) {
    const group = members.map((i) => ({ element: elements[i]!, places: places[i]! }));
    const decision = decideDepth(plan, model, frost, group);
    const homeless = members.filter((i) => traitsOf(elements[i]!).byFloor && !floorOf(plan, elements[i]!));
    for (const i of homeless) problems.push({ code: 'slabNoFloor', path: `/elements/${i}/founding` });
    undecided ||= decision === null && homeless.length < members.length;
    for (const i of members) {
      const element = elements[i]!;
      const run = decision && runOf(element);
      const steps = run?.stepped ? stepsOf(plan, model, frost, run, pieces[i]!) : null;
      out[i] = {
        element,
        index: i,
        pieces: pieces[i]!,
        places: places[i]!,
        groundLow: grounds[i]!.low,
        groundHigh: grounds[i]!.high,
        decision,
        steps,
        undersides: steps?.stretches.map((stretch) => stretch.underside) ?? [decision?.underside ?? 0],
      };
    }
  }
  if (undecided) problems.push({ code: 'noDepth', path: '/levels' });
  // What is not founded by itself comes down to the bottom of what it serves.
  elements.forEach((element, i) => {
    const shape = shapeOf(element);
    if (shape.founded) return;
    const served = out.find((other) => other.element.id === shape.serves(element));
    if (!served || served.decision === null) return;
    const [at] = shape.points(element) as [readonly [number, number]];
    const level = model.level(at[0], at[1]);
    out[i] = {
      ...served,
      element,
      index: i,
      steps: null,
      places: [at],
      pieces: [],
      groundLow: level,
      groundHigh: level,
    };
  });
  return { levelled: out, problems };
}
