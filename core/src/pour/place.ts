/**
 * What is placed in the dig: stone to the dug faces, lean concrete, footings, and the stems that
 * stand in the backfill. Shared room (crossings, overlapping pads) is counted once.
 */

import { type Solid, volumeUnderLevel } from '../dig/solid.ts';
import { splitByStretch } from '../dig/stretches.ts';
import { bottomOf, roomOf } from '../dig/width.ts';
import { intersect, type Linear, type Polygon, type Prism, prismVolumes } from '../geometry/index.ts';
import type { Stepped } from '../levels/steps.ts';
import type { Element, Pad, Plan } from '../plan/schema.ts';
import { footingPieces, footprints, segmentsOf } from '../setout/index.ts';

/** Thickness lost to an uneven surface under the blinding, m. */
const IRREGULARITY = { stone: 0.02, soil: 0.01 } as const;

export interface Placed {
  /** Compacted stone bed, m³, by element. */
  readonly stone: readonly number[];
  /** Fill of bottoms dug low, m³, in whatever the plan makes them up with. */
  readonly makeUp: number;
  /** Blinding: plan area m², neat m³, and its allowance for an uneven bed, m³. */
  readonly blindingArea: number;
  readonly blinding: number;
  readonly irregularity: number;
  readonly irregularityThickness: number;
  /** Footings, m³, by element. */
  readonly concrete: readonly number[];
  /** Stems below ground, m³. */
  readonly stems: number;
  /** Footings in plan, by element, each with the underside it lies at. */
  readonly footingPieces: readonly (readonly FootingPiece[])[];
}

export interface FootingPiece {
  readonly plan: Polygon;
  readonly underside: number;
}

/** Width concrete takes: the form's, or for trench-fill what the bucket dug. */
export const concreteWidth = (plan: Plan, element: Element): number =>
  element.method === 'trenchFill'
    ? bottomOf(plan, element).width.dug
    : Math.min(element.width, element.kind === 'pad' ? element.length : element.width);

const padPlan = (pad: Pad, across: number, along: number): readonly [number, number] =>
  pad.length >= pad.width ? [along, across] : [across, along];

/** Concrete of each footing in plan. */
export function concretePieces(plan: Plan): Polygon[][] {
  if (plan.elements.every((e) => e.method === 'formed')) return footingPieces(plan.elements);
  return footprints(
    plan.elements,
    (e) => ({ half: concreteWidth(plan, e) / 2, end: 0 }),
    (pad) =>
      pad.method === 'formed'
        ? [pad.length, pad.width]
        : padPlan(pad, concreteWidth(plan, pad), bottomOf(plan, pad).length ?? pad.length),
  );
}

/** Blinding in plan: the footing and its projection, never past the dug bottom. */
export function blindingPieces(plan: Plan): Polygon[][] {
  const projection = plan.pour.blinding?.projection ?? 0;
  const reach = (e: Element) => Math.min(projection, roomOf(plan, e));
  return footprints(
    plan.elements,
    (e) => ({ half: concreteWidth(plan, e) / 2 + reach(e), end: reach(e) }),
    (pad) => {
      const extra = 2 * reach(pad);
      if (pad.method === 'formed') return [pad.length + extra, pad.width + extra];
      return padPlan(pad, concreteWidth(plan, pad), bottomOf(plan, pad).length ?? pad.length);
    },
  );
}

function stemPieces(plan: Plan): Polygon[][] {
  return footprints(
    plan.elements,
    (e) => ({ half: Math.max(e.stem, 1e-6) / 2, end: 0 }),
    (pad) => [Math.max(pad.stem, 1e-6), Math.max(pad.stem, 1e-6)],
  );
}

const centroid = (piece: Polygon): readonly [number, number] => {
  const n = piece.length / 2;
  let x = 0;
  let y = 0;
  for (let i = 0; i < piece.length; i += 2) {
    x += piece[i]! / n;
    y += piece[i + 1]! / n;
  }
  return [x, y];
};

/** What a higher tread lays over the lower one before it or after it: its plan and the lower underside. */
function laps(element: Element, pieces: readonly Polygon[], steps: Stepped) {
  if (element.kind !== 'strip') return [];
  const runs = segmentsOf(element);
  return steps.stretches.flatMap((stretch, i) => {
    const next = steps.stretches[i + 1];
    if (!next || next.run !== stretch.run) return [];
    const run = runs[stretch.run]!;
    const up = next.underside > stretch.underside;
    const [from, to] = up ? [stretch.s1 - steps.lap, stretch.s1] : [stretch.s1, stretch.s1 + steps.lap];
    const along = (s: number): Linear => ({
      a: run.ux,
      b: run.uy,
      c: -(run.ux * run.from[0] + run.uy * run.from[1]) - s,
    });
    const start = along(from);
    const plan = intersect(pieces[stretch.run]!, [{ a: -start.a, b: -start.b, c: -start.c }, along(to)]);
    if (plan.length === 0) return [];
    const [low, high] = up ? [stretch, next] : [next, stretch];
    return [{ plan, bottom: low.underside, top: high.underside + element.thickness }];
  });
}

/**
 * Volumes placed.
 * @param undersides level of each footing's underside, by element and stretch, m
 * @param formations level needed under the whole stack, alike
 */
export function place(
  plan: Plan,
  groundLevel: (x: number, y: number) => number,
  solid: Solid,
  undersides: readonly (readonly number[])[],
  formations: readonly (readonly number[])[],
  steps: readonly (Stepped | null)[],
  live: readonly boolean[],
): Placed {
  const bed = plan.base?.thickness ?? 0;
  const stone = plan.elements.map(() => 0);
  let makeUp = 0;
  for (const cell of solid.cells) {
    const from = formations[cell.owner]![solid.parts[cell.part]!.stretch]!;
    const low = plan.elements[cell.owner]!.low > 0 ? volumeUnderLevel(cell, from) : 0;
    makeUp += low;
    if (bed > 0) stone[cell.owner]! += volumeUnderLevel(cell, from + bed) - low;
  }
  const { blinding } = plan.pour;
  const thickness = blinding?.thickness ?? 0;
  const irregularityThickness =
    plan.pour.irregularity ?? (plan.base ? IRREGULARITY.stone : IRREGULARITY.soil);
  const wholeFootings = concretePieces(plan);
  const split = (pieces: readonly Polygon[][]) =>
    pieces.map((list, owner) => splitByStretch(plan.elements[owner]!, list, steps[owner] ?? null));
  const footings = split(wholeFootings);

  interface Placing extends Prism {
    owner: number;
    what: 'concrete' | 'blinding' | 'stem';
  }
  const prisms: Placing[] = [];
  const add = (
    pieces: readonly (readonly { plan: Polygon; stretch: number }[])[],
    what: Placing['what'],
    span: (i: number, underside: number, piece: Polygon) => [number, number],
  ) =>
    pieces.forEach((list, owner) => {
      if (!live[owner]) return;
      for (const { plan, stretch } of list) {
        const [bottom, top] = span(owner, undersides[owner]![stretch]!, plan);
        prisms.push({ plan, bottom, top, owner, what });
      }
    });
  add(footings, 'concrete', (i, underside) => [underside, underside + plan.elements[i]!.thickness]);
  steps.forEach((stepped, owner) => {
    if (!stepped || !live[owner]) return;
    for (const lap of laps(plan.elements[owner]!, wholeFootings[owner]!, stepped))
      prisms.push({ ...lap, owner, what: 'concrete' });
  });
  if (blinding)
    add(split(blindingPieces(plan)), 'blinding', (_, underside) => [underside - thickness, underside]);
  add(split(stemPieces(plan)), 'stem', (i, underside, piece) => {
    const top = underside + plan.elements[i]!.thickness;
    return [top, plan.elements[i]!.stem > 0 ? Math.max(top, groundLevel(...centroid(piece))) : top];
  });

  const concrete = plan.elements.map(() => 0);
  let blindingVolume = 0;
  let stems = 0;
  prismVolumes(prisms).forEach((volume, i) => {
    const { owner, what } = prisms[i]!;
    if (what === 'concrete') concrete[owner]! += volume;
    else if (what === 'blinding') blindingVolume += volume;
    else stems += volume;
  });
  const blindingArea = thickness > 0 ? blindingVolume / thickness : 0;
  return {
    stone,
    makeUp,
    blindingArea,
    blinding: blindingVolume,
    irregularity: blindingArea * irregularityThickness,
    irregularityThickness,
    concrete,
    stems,
    footingPieces: footings.map((list, owner) =>
      list.map(({ plan, stretch }) => ({ plan, underside: undersides[owner]![stretch]! })),
    ),
  };
}

/** An order: neat and waste rounded up to the plant's step, and the trucks that bring it. */
export function orderOf(
  neat: number,
  waste: number,
  step: number,
  truck: number,
): { order: number; loads: number } {
  const wanted = neat * (1 + waste);
  if (wanted <= 0) return { order: 0, loads: 0 };
  const order = Math.ceil(wanted / step - 1e-9) * step;
  return { order, loads: Math.ceil(order / truck - 1e-9) };
}
