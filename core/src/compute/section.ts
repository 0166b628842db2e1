/** A true-scale cut through one element and whatever else of the job the line meets. */
import { type ProfilePiece, profile } from '../dig/solid.ts';
import { clipLine, edges } from '../geometry/index.ts';
import { type FencePost, fence, type GroundModel, groundModel } from '../ground/index.ts';
import { isRun } from '../plan/forms.ts';
import type { Hazard, Plan } from '../plan/schema.ts';
import { middleOf, segmentsOf, shapeOf, sizesOf } from '../setout/index.ts';
import type { Takeoff } from './takeoff.ts';

export interface SectionBox {
  readonly element: number;
  readonly what: 'footing' | 'blinding' | 'stem';
  readonly s0: number;
  readonly s1: number;
  readonly z0: number;
  readonly z1: number;
}

export interface Section {
  /** Where the cut stands in plan: its middle, its unit direction (s grows along it), its half-length. */
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly half: number;
  /** The ground, its soils and its water along the cut, from −half to half. */
  readonly posts: readonly FencePost[];
  /** Ground level at the two ends. */
  readonly ground: readonly [number, number];
  readonly dug: readonly ProfilePiece[];
  readonly boxes: readonly SectionBox[];
}

/** The stretch of a piece under a level, closed at the level: [s, z, …], or null. */
export function fillUnder(piece: ProfilePiece, level: number): number[] | null {
  const { s0, s1, z0, z1 } = piece;
  if (z0 >= level && z1 >= level) return null;
  const crossing = z0 === z1 ? s0 : s0 + ((s1 - s0) * (level - z0)) / (z1 - z0);
  const [from, low] = z0 > level ? [crossing, level] : [s0, z0];
  const [to, high] = z1 > level ? [crossing, level] : [s1, z1];
  return [from, low, to, high, to, level, from, level];
}

/** Shares of a run where it may be cut, the middle first. */
const CUTS = [0.5, 0.35, 0.65, 0.25, 0.75, 0.15, 0.85];

/**
 * The cut across an element: near the middle of a strip's longest run, along a pad.
 * @param least least half-length of the cut, m; it is longer when the opening needs it
 * @param model the plan's ground, when the caller has it already
 */
export function sectionThrough(
  plan: Plan,
  takeoff: Takeoff,
  index: number,
  least = 0,
  model: GroundModel = groundModel(plan),
): Section | null {
  const element = plan.elements[index];
  const info = takeoff.elements[index];
  if (!element || !info?.live) return null;
  let x: number;
  let y: number;
  let dx: number;
  let dy: number;
  let run: ReturnType<typeof segmentsOf>[number] | null = null;
  if (!isRun(element)) {
    [x, y] = middleOf(element);
    const angle = shapeOf(element).heading(element);
    [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  } else {
    const longest = segmentsOf(element).reduce((p, q) => (q.length > p.length ? q : p));
    run = longest;
    [x, y] = longest.from;
    [dx, dy] = [longest.uy, -longest.ux];
    // Read west to east, or south to north: the way a plan is read.
    if (dx < -1e-9 || (Math.abs(dx) <= 1e-9 && dy < 0)) [dx, dy] = [-dx, -dy];
  }
  const across = isRun(element) ? element.width : sizesOf(element).along;
  const back = info.support === 'bench' ? plan.dig.bench.width / plan.dig.bench.height : info.slope;
  const opening = Math.max(across, info.width.dug) / 2 + info.depth * back;
  const half = Math.max(least, opening * 1.12 + 0.6);
  const window: [number, number] = [-half, half];
  if (run) {
    // Where along the run other trenches show least, so that the cut reads as this one.
    const crowd = (share: number) => {
      const at = [
        run.from[0] + (run.to[0] - run.from[0]) * share,
        run.from[1] + (run.to[1] - run.from[1]) * share,
      ] as const;
      return profile(takeoff.solid, at[0], at[1], dx, dy, window)
        .filter((piece) => piece.owner !== index)
        .reduce((sum, piece) => sum + piece.s1 - piece.s0, 0);
    };
    const share = CUTS.reduce((best, next) => (crowd(next) < crowd(best) - 0.01 ? next : best));
    x = run.from[0] + (run.to[0] - run.from[0]) * share;
    y = run.from[1] + (run.to[1] - run.from[1]) * share;
  }
  const groundAt = (s: number) => model.level(x + s * dx, y + s * dy);
  const posts = fence(model, [x - half * dx, y - half * dy], [x + half * dx, y + half * dy], half / 24).map(
    (post) => ({ ...post, s: post.s - half }),
  );
  const dug = profile(takeoff.solid, x, y, dx, dy, window);
  const boxes: SectionBox[] = [];
  const projection = plan.pour.blinding?.projection ?? 0;
  takeoff.elements.forEach(({ footings, live }, i) => {
    if (!live) return;
    for (const { plan: piece, underside, top } of footings) {
      const cut = clipLine(x, y, dx, dy, window, edges(piece));
      if (!cut) continue;
      const [s0, s1] = cut;
      boxes.push({ element: i, what: 'footing', s0, s1, z0: underside, z1: top });
      if (plan.pour.blinding)
        boxes.push({
          element: i,
          what: 'blinding',
          s0: s0 - projection,
          s1: s1 + projection,
          z0: underside - plan.pour.blinding.thickness,
          z1: underside,
        });
      const box = plan.elements[i]!;
      if (box.kind === 'box') {
        // Walls and roof round the hollow; the base is the footing drawn already.
        const roof = underside + box.height;
        const wall = (from: number, to: number, low: number, high: number) =>
          boxes.push({ element: i, what: 'stem', s0: from, s1: to, z0: low, z1: high });
        wall(s0, s0 + box.wall, top, roof);
        wall(s1 - box.wall, s1, top, roof);
        if (box.roof > 0) wall(s0 + box.wall, s1 - box.wall, roof - box.roof, roof);
        continue;
      }
      const { stem } = plan.elements[i]!;
      const middle = (s0 + s1) / 2;
      if (stem > 0 && i === index)
        boxes.push({
          element: i,
          what: 'stem',
          s0: middle - stem / 2,
          s1: middle + stem / 2,
          z0: top,
          z1: Math.max(top, groundAt(middle) + 0.15),
        });
    }
  });
  return { x, y, dx, dy, half, posts, ground: [groundAt(-half), groundAt(half)], dug, boxes };
}

/** Level of the element's own bottom where the cut stands; the lowest where the cut misses it. */
export function dugAtCut(section: Section, takeoff: Takeoff, index: number): number {
  const flats = section.dug.filter((piece) => piece.owner === index && piece.flat);
  const nearest = flats.reduce<ProfilePiece | null>(
    (best, next) =>
      best === null || Math.abs(next.s0 + next.s1) < Math.abs(best.s0 + best.s1) ? next : best,
    null,
  );
  return nearest?.z0 ?? takeoff.elements[index]?.dug ?? 0;
}

/** Top of the stone over the bottom a piece belongs to, m: steps have each their own. */
export const stoneTopOver = (plan: Plan, takeoff: Takeoff, piece: ProfilePiece): number =>
  (takeoff.solid.parts[piece.part]?.floor.c ?? 0) +
  (plan.elements[piece.owner]?.low ?? 0) +
  (plan.bed?.thickness ?? 0);

/** A neighbour's footing where a cut meets its line. */
export interface NeighbourCut {
  readonly hazard: Hazard;
  /** m along the cut. */
  readonly s: number;
  readonly level: number;
  /** Half of its width, m. */
  readonly half: number;
}

/** Width a neighbour's footing is drawn with when nobody knows how far it stands out, m. */
const UNKNOWN_HALF = 0.15;

/** Footings of neighbours along a cut; those without a known underside are left out. */
export function neighboursAlong(hazards: readonly Hazard[], section: Section): NeighbourCut[] {
  const { x, y, dx, dy, half } = section;
  return hazards.flatMap((hazard) => {
    const { level } = hazard;
    if (hazard.kind !== 'footing' || level === null) return [];
    return hazard.points.slice(1).flatMap((q, i) => {
      const p = hazard.points[i]!;
      const across = (at: readonly [number, number]) => (at[0] - x) * dy - (at[1] - y) * dx;
      const [from, to] = [across(p), across(q)];
      if (from > 0 === to > 0) return [];
      const share = from / (from - to);
      const [cx, cy] = [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])];
      const s = (cx - x) * dx + (cy - y) * dy;
      return Math.abs(s) > half ? [] : [{ hazard, s, level, half: hazard.projection || UNKNOWN_HALF }];
    });
  });
}
