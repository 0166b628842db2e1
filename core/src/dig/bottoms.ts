/**
 * The bottoms of a dig: every element as convex pieces of flat or falling bottom, for the size at
 * hand (bare footing, with room, as the bucket leaves it), and the faces that rise from them.
 */

import {
  convexPieces,
  crossing,
  edges,
  type Flank,
  flanks,
  grow,
  type Linear,
  offset,
  type Polygon,
  rectangle,
  tidy,
} from '../geometry/index.ts';
import type { Stepped } from '../levels/steps.ts';
import type { Element, Pad, Ramp } from '../plan/elements.ts';
import type { ElementOfForm, OutlinedElement, RunElement } from '../plan/forms.ts';
import { FORMS, type Form } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { drainOf, keyOf, stoneFootingOf } from '../plan/variants.ts';
import { axisOf, fallOf, footprints, roomOf, segmentsOf, sizesOf } from '../setout/index.ts';
import type { FoundationLevels } from './foundation-levels.ts';
import { type Corners, cornerFacets } from './part.ts';
import { splitByStretch } from './stretches.ts';
import { bottomOf } from './width.ts';

/** What the bottom is sized for. */
export type Purpose = 'neat' | 'needed' | 'dug';

export interface Bottom {
  readonly plan: Polygon;
  readonly stretch: number;
  readonly risers: readonly Linear[];
  /** How its level stands over the element's own, m over plan; negative below. */
  readonly rise: Linear;
  /** Stone is laid on it. */
  readonly fills: boolean;
  /** A side of an outline whose slope rises from it; the piece itself has no area. */
  readonly flank: Flank | null;
  /** Distance functions of the facets that round a flank's corners. */
  readonly rounding: readonly Linear[];
  /** Its sides are cut upright whatever the support: others rise from it as flanks. */
  readonly upright: boolean;
}

const LEVEL: Linear = { a: 0, b: 0, c: 0 };
const raised = (by: number): Linear => ({ a: 0, b: 0, c: by });
/** A level bottom that sides rise from. */
export const plain = (plan: Polygon): Bottom => ({
  plan,
  stretch: 0,
  risers: [],
  rise: LEVEL,
  fills: true,
  flank: null,
  rounding: [],
  upright: false,
});

/** Room on each side of what is built, for a purpose. */
const margin = (plan: Plan, element: Element, purpose: Purpose) =>
  purpose === 'neat' ? 0 : roomOf(plan, element);

/**
 * Bottoms of an outline: level convex pieces with upright sides, and a flank for each side, so that
 * the slopes do not depend on how the inside is cut up. A convex outline is one piece with its own
 * sides.
 * @param flanked give even a convex one its sides as flanks
 */
function outlined(
  outline: readonly (readonly [number, number])[],
  by: number,
  corners: Corners,
  flanked = false,
): Bottom[] {
  const tidied = tidy(outline);
  if (tidied.length < 3 || crossing(tidied) !== null) return [];
  const grown = offset(tidied, by);
  if (!grown) return [];
  const pieces = convexPieces(grown);
  if (!flanked && pieces.length === 1) return pieces.map(plain);
  const sides = flanks(grown);
  const n = sides.length;
  /** Facets of each corner, by the side that ends there. */
  const facets = sides.map((side, i) =>
    corners === 'rounded' ? cornerFacets(side.distance, sides[(i + 1) % n]!.distance) : [],
  );
  return [
    ...pieces.map((piece) => ({ ...plain(piece), upright: true })),
    ...sides.map((flank, i) => ({
      ...plain([...flank.from, ...flank.to]),
      fills: false,
      risers: flank.walls,
      flank,
      rounding: [...facets[(i + n - 1) % n]!, ...facets[i]!],
    })),
  ];
}

/**
 * A frame along the inside of an outline, one piece a side; the whole of it when the frame fills
 * it. The side towards the inside is cut upright.
 */
export function framePieces(
  outline: readonly (readonly [number, number])[],
  out: number,
  width: number,
): { plan: Polygon; risers: Linear[] }[] {
  const corners = tidy(outline);
  if (corners.length < 3 || crossing(corners) !== null) return [];
  const outer = offset(corners, out);
  const inner = offset(corners, -width);
  if (!outer) return [];
  if (!inner) return convexPieces(outer).map((plan) => ({ plan, risers: [] }));
  return outer.map((p, i) => {
    const j = (i + 1) % outer.length;
    const plan = [...p, ...outer[j]!, ...inner[j]!, ...inner[i]!];
    return { plan, risers: [edges(plan)[2]!] };
  });
}

/**
 * Bottoms of a box or a slab with its sides moved out as a whole: piece by piece they would depend
 * on how the inside is cut up.
 * @param by how far the outline is moved out, m
 */
export function outlineBottoms(plan: Plan, element: OutlinedElement, by: number): Bottom[] {
  const { corners } = plan.dig;
  const edge = 'edge' in element ? element.edge : null;
  if (!edge) return outlined(element.outline, by, corners);
  // The sides rise from the turned-down edge, not from the slab's underside.
  return [
    ...outlined(element.outline, by, corners, true).map((bottom) =>
      bottom.flank ? bottom : { ...bottom, rise: raised(edge.depth), upright: true },
    ),
    ...framePieces(element.outline, by, edge.width).map((piece) => ({
      ...plain(piece.plan),
      risers: piece.risers,
      upright: true,
    })),
  ];
}

/** How a falling drain's bottom stands over its lowest point, by run. */
function fallsOf(strip: RunElement): Linear[] {
  const falling = drainOf(strip) ?? stoneFootingOf(strip);
  const fall = falling ? fallOf(falling) : 0;
  if (fall === 0) return [];
  const runs = segmentsOf(strip);
  const whole = runs.reduce((sum, run) => sum + run.length, 0);
  let before = 0;
  return runs.map((run) => {
    // Level falls by `fall` a metre from the first point on; the low end is nought.
    const start = fall > 0 ? fall * (whole - before) : -fall * before;
    before += run.length;
    const [a, b] = [-fall * run.ux, -fall * run.uy];
    return { a, b, c: start - a * run.from[0] - b * run.from[1] };
  });
}

/** A ramp's bottom: a plane that climbs from its foot until it meets the ground. */
function rampBottom(plan: Plan, ramp: Ramp, depth: number): Bottom[] {
  const angle = (ramp.angle * Math.PI) / 180;
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  // Half as long again, for ground that rises; what lies above ground is not dug.
  const length = Math.max(0.5, (1.5 * depth) / ramp.grade + 1);
  const back = roomOf(plan, ramp);
  const middle = (length - back) / 2;
  const piece = rectangle(
    ramp.at[0] + ux * middle,
    ramp.at[1] + uy * middle,
    length + back,
    ramp.width,
    angle,
  );
  const [a, b] = [ux * ramp.grade, uy * ramp.grade];
  return [
    {
      ...plain(piece),
      fills: false,
      rise: { a, b, c: -a * ramp.at[0] - b * ramp.at[1] },
      // It climbs away from the foot: behind that it may not dig.
      risers: edges(piece).filter((side) => side.a * ux + side.b * uy < -0.5),
    },
  ];
}

/** What the bottoms of one element are made from. */
interface Making {
  readonly plan: Plan;
  readonly purpose: Purpose;
  readonly steps: Stepped | null;
  readonly reach: number;
  /** Its footing at the size wanted, one piece a run, and its keyway likewise. */
  readonly pieces: readonly Polygon[];
  readonly keyway: readonly Polygon[];
}

function runBottoms(element: RunElement, { pieces, keyway, steps }: Making): Bottom[] {
  const falls = fallsOf(element);
  const made = splitByStretch(element, pieces, steps).map((piece, run) => ({
    ...plain(piece.plan),
    stretch: piece.stretch,
    risers: piece.risers,
    rise: falls[run] ?? LEVEL,
  }));
  const { key } = element;
  if (!key) return made;
  return [
    ...made,
    ...splitByStretch(element, keyway, steps).map((piece) => ({
      ...plain(piece.plan),
      stretch: piece.stretch,
      rise: raised(-key.depth),
      fills: false,
      upright: true,
    })),
  ];
}

const outlineMade = (element: OutlinedElement, { plan, purpose }: Making): Bottom[] =>
  outlineBottoms(plan, element, margin(plan, element, purpose));

/** How the bottom of each form of element is made. */
const BOTTOMS: { readonly [F in Form]: (element: ElementOfForm<F>, making: Making) => Bottom[] } = {
  run: runBottoms,
  pad: (_, { pieces }) => pieces.map(plain),
  outline: outlineMade,
  ramp: (element, { plan, purpose, reach }) => (purpose === 'dug' ? rampBottom(plan, element, reach) : []),
};

/** Bottoms of every element. */
export function bottomsFor(
  plan: Plan,
  purpose: Purpose,
  founded: readonly Pick<FoundationLevels, 'steps' | 'reach'>[],
): Bottom[][] {
  const across = (e: Element): number => {
    if (purpose === 'dug') return bottomOf(plan, e).width.dug;
    return axisOf(e).length > 0 ? sizesOf(e).across + 2 * margin(plan, e, purpose) : 0;
  };
  const padSize = (pad: Pad): readonly [number, number] => {
    const { width, length } = bottomOf(plan, pad);
    const extra = 2 * margin(plan, pad, purpose);
    const [narrow, wide] =
      purpose === 'dug'
        ? [width.dug, length ?? width.dug]
        : [Math.min(pad.length, pad.width) + extra, Math.max(pad.length, pad.width) + extra];
    return pad.length >= pad.width ? [wide, narrow] : [narrow, wide];
  };
  const narrow = footprints(
    plan.elements,
    (e) => ({ half: across(e) / 2, end: margin(plan, e, purpose) }),
    padSize,
  );
  const keys = plan.elements.some((e) => keyOf(e) !== null)
    ? footprints(
        plan.elements,
        (e) => ({ half: (keyOf(e)?.width ?? 0) / 2, end: 0 }),
        () => [0, 0],
      )
    : [];
  return plan.elements.map((element, i) => {
    const { steps, reach } = founded[i]!;
    const make = BOTTOMS[FORMS[element.kind]] as (element: Element, making: Making) => Bottom[];
    return make(element, { plan, purpose, steps, reach, pieces: narrow[i]!, keyway: keys[i] ?? [] });
  });
}

/** A bench more than this is one too many: the face is then an engineer's. */
const MOST_BENCHES = 12;

/**
 * Benches over a bottom: how far each stands back, and how high over the bottom.
 * @param depth deepest cut, m
 */
export function benchesOver(
  depth: number,
  bench: { readonly height: number; readonly width: number },
): { back: number; up: number }[] {
  const count = Math.min(MOST_BENCHES, Math.max(0, Math.ceil(depth / bench.height - 1e-9) - 1));
  return Array.from({ length: count }, (_, k) => ({
    back: (k + 1) * bench.width,
    up: (k + 1) * bench.height,
  }));
}

/** A bottom grown by `by` all round, its risers left where they are. */
export const grown = (bottom: Bottom, by: number): Polygon => grow(bottom.plan, by, bottom.risers);
