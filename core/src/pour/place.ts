/**
 * What is placed in the dig: stone to the dug faces, lean concrete, footings, and the stems that
 * stand in the backfill. Shared room (crossings, overlapping pads) is counted once.
 */

import { framePieces } from '../dig/bottoms.ts';
import { type Solid, volumeUnder, volumeUnderLevel } from '../dig/solid.ts';
import { splitByStretch } from '../dig/stretches.ts';
import { bottomOf, roomOf } from '../dig/width.ts';
import { boxOf, intersect, type Linear, type Polygon, type Prism, prismVolumes } from '../geometry/index.ts';
import type { Surface } from '../ground/surface.ts';
import type { Stepped } from '../levels/steps.ts';
import type { Element, Pad, Plan } from '../plan/schema.ts';
import { footingPieces, footprints, outlinePieces, segmentsOf, sizesOf } from '../setout/index.ts';

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
  /** Hollows of boxes below ground, m³; less than nought for concrete that stands above it. */
  readonly voids: number;
  /** Footings in plan, by element, each with the underside it lies at. */
  readonly footingPieces: readonly (readonly FootingPiece[])[];
}

export interface FootingPiece {
  readonly plan: Polygon;
  readonly underside: number;
  readonly top: number;
}

const lifted = (floor: Linear, by: number): Linear => ({ a: floor.a, b: floor.b, c: floor.c + by });
/** Drains and ramps carry nothing. */
const carries = (element: Element): boolean =>
  element.kind === 'strip' ? element.use !== 'drain' : element.kind !== 'ramp';

/** Width concrete takes: the form's, or for trench-fill what the bucket dug. */
export const concreteWidth = (plan: Plan, element: Element): number =>
  element.method === 'trenchFill' ? bottomOf(plan, element).width.dug : sizesOf(element).across;

/** From the underside to the top of what is cast: a box's whole height, else the thickness. */
export const heightOf = (element: Element): number =>
  element.kind === 'pit' ? element.height : element.thickness;

const padPlan = (pad: Pad, across: number, along: number): readonly [number, number] =>
  pad.length >= pad.width ? [along, across] : [across, along];

/** Concrete of each strip and pad in plan. */
function concretePieces(plan: Plan): Polygon[][] {
  if (plan.elements.every((e) => e.method === 'formed')) return footingPieces(plan.elements);
  const filled = footprints(
    plan.elements,
    (e) => ({ half: concreteWidth(plan, e) / 2, end: 0 }),
    (pad) =>
      pad.method === 'formed'
        ? [pad.length, pad.width]
        : padPlan(pad, concreteWidth(plan, pad), bottomOf(plan, pad).length ?? pad.length),
  );
  const plain = footingPieces(plan.elements);
  return plan.elements.map((e, i) => (e.kind === 'strip' || e.kind === 'pad' ? filled[i]! : plain[i]!));
}

/** Blinding in plan: the footing and its projection, never past the dug bottom. */
function blindingPieces(plan: Plan): Polygon[][] {
  const projection = plan.pour.blinding?.projection ?? 0;
  const reach = (e: Element) => Math.min(projection, roomOf(plan, e));
  const narrow = footprints(
    plan.elements,
    (e) => ({ half: concreteWidth(plan, e) / 2 + reach(e), end: reach(e) }),
    (pad) => {
      const extra = 2 * reach(pad);
      if (pad.method === 'formed') return [pad.length + extra, pad.width + extra];
      return padPlan(pad, concreteWidth(plan, pad), bottomOf(plan, pad).length ?? pad.length);
    },
  );
  return plan.elements.map((e, i) =>
    e.kind === 'raft' || e.kind === 'pit' ? outlinePieces(e.outline, reach(e)) : narrow[i]!,
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

/** m³ between a level and the ground below it over a convex piece of plan. */
function standingOut(surface: Surface, piece: Polygon, level: number): number {
  let sum = 0;
  for (const { walls, ground } of surface.patches(boxOf(piece)))
    sum += volumeUnder(intersect(piece, walls), ground, { a: 0, b: 0, c: level });
  return sum;
}

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
  surface: Surface,
  solid: Solid,
  undersides: readonly (readonly number[])[],
  formations: readonly (readonly number[])[],
  steps: readonly (Stepped | null)[],
  live: readonly boolean[],
): Placed {
  const bed = plan.base?.thickness ?? 0;
  const stone = plan.elements.map(() => 0);
  let makeUp = 0;
  // Stone and make-up follow the bottom they lie on: benches read it off the part below them.
  const floors = new Map<number, Linear>();
  for (const part of solid.parts) if (!floors.has(part.of)) floors.set(part.of, part.floor);
  solid.cuts.forEach(({ cells }, i) => {
    const part = solid.parts[i]!;
    const element = plan.elements[part.owner]!;
    if (!part.fills && part.mitre === 0) return;
    const needed = lifted(floors.get(part.of)!, element.low);
    const thick = element.kind === 'strip' && element.use === 'drain' ? element.thickness : bed;
    const under = (level: Linear) => cells.reduce((sum, cell) => sum + volumeUnderLevel(cell, level), 0);
    const low = element.low > 0 ? under(needed) : 0;
    makeUp += low;
    if (thick > 0) stone[part.owner]! += under(lifted(needed, thick)) - low;
  });
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
    what: 'concrete' | 'blinding' | 'stem' | 'void';
  }
  const prisms: Placing[] = [];
  const add = (
    pieces: readonly (readonly { plan: Polygon; stretch: number }[])[],
    what: Placing['what'],
    span: (i: number, underside: number, piece: Polygon) => [number, number],
  ) =>
    pieces.forEach((list, owner) => {
      if (!live[owner] || !carries(plan.elements[owner]!)) return;
      for (const { plan, stretch } of list) {
        const [bottom, top] = span(owner, undersides[owner]![stretch]!, plan);
        prisms.push({ plan, bottom, top, owner, what });
      }
    });
  // What is hollow keeps its room from the concrete round it.
  plan.elements.forEach((element, i) => {
    if (element.kind !== 'pit' || !live[i]) return;
    const underside = undersides[i]![0]!;
    for (const piece of outlinePieces(element.outline, -element.wall))
      prisms.push({
        plan: piece,
        bottom: underside + element.thickness,
        top: underside + element.height - element.roof,
        owner: i,
        what: 'void',
      });
  });
  add(footings, 'concrete', (i, underside) => {
    const element = plan.elements[i]!;
    const base = element.kind === 'raft' ? underside + (element.edge?.depth ?? 0) : underside;
    return [base, base + heightOf(element)];
  });
  plan.elements.forEach((element, i) => {
    if (!live[i]) return;
    if (element.kind === 'raft' && element.edge) {
      const underside = undersides[i]![0]!;
      for (const piece of framePieces(element.outline, 0, element.edge.width))
        prisms.push({
          plan: piece.plan,
          bottom: underside,
          top: underside + element.edge.depth,
          owner: i,
          what: 'concrete',
        });
    }
    if (element.kind === 'strip' && element.key) {
      const { width, depth } = element.key;
      const pieces = footprints(
        plan.elements,
        (e) => ({ half: e === element ? width / 2 : 0.5e-6, end: 0 }),
        () => [1e-6, 1e-6],
      )[i]!;
      for (const piece of splitByStretch(element, pieces, steps[i] ?? null))
        prisms.push({
          plan: piece.plan,
          bottom: formations[i]![piece.stretch]! - depth,
          top: undersides[i]![piece.stretch]!,
          owner: i,
          what: 'concrete',
        });
    }
  });
  steps.forEach((stepped, owner) => {
    if (!stepped || !live[owner]) return;
    for (const lap of laps(plan.elements[owner]!, wholeFootings[owner]!, stepped))
      prisms.push({ ...lap, owner, what: 'concrete' });
  });
  if (blinding)
    add(split(blindingPieces(plan)), 'blinding', (_, underside) => [underside - thickness, underside]);
  add(split(stemPieces(plan)), 'stem', (i, underside, piece) => {
    const top = underside + heightOf(plan.elements[i]!);
    return [top, plan.elements[i]!.stem > 0 ? Math.max(top, surface.level(...centroid(piece))) : top];
  });

  const concrete = plan.elements.map(() => 0);
  let blindingVolume = 0;
  let stems = 0;
  let voids = 0;
  prismVolumes(prisms).forEach((volume, i) => {
    const { owner, what } = prisms[i]!;
    if (what === 'concrete') concrete[owner]! += volume;
    else if (what === 'blinding') blindingVolume += volume;
    else if (what === 'stem') stems += volume;
    else voids += volume;
  });
  // A box that stands out of the ground fills only what is below it.
  plan.elements.forEach((element, i) => {
    if (element.kind !== 'pit' || !live[i]) return;
    const top = undersides[i]![0]! + element.height;
    for (const piece of footings[i]!) voids -= standingOut(surface, piece.plan, top);
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
    voids,
    footingPieces: footings.map((list, owner) => {
      const element = plan.elements[owner]!;
      if (!carries(element)) return [];
      const up = element.kind === 'raft' ? (element.edge?.depth ?? 0) : 0;
      return list.map(({ plan, stretch }) => {
        const underside = undersides[owner]![stretch]! + up;
        return { plan, underside, top: underside + element.thickness };
      });
    }),
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
