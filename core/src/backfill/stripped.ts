/**
 * Ground taken off beside the holes: topsoil over the site, ground down to a level under floors, what cannot stand
 * between two openings. Each is cut as a part of one solid with the dig, so what already lies in an opening and what
 * two of them share is counted once: in the opening, else with the one that is listed first.
 */
import { type Part, type Solid, solveSolid, volumeOf } from '../dig/index.ts';
import {
  area,
  boxOf,
  convexPieces,
  crossing,
  intersect,
  isEmpty,
  type Linear,
  tidy,
} from '../geometry/index.ts';
import type { GroundModel } from '../ground/index.ts';
import type { Plan, Stripped } from '../plan/schema.ts';

export interface StrippedTakeoff {
  readonly stripped: Stripped;
  /** Its outline in plan, m²; and of it what lies outside every opening. */
  readonly area: number;
  /** Bank m³ beyond what is dug, and every soil of it by position. */
  readonly bank: number;
  readonly soils: readonly number[];
}

export interface Strips {
  readonly items: readonly StrippedTakeoff[];
  /** Bank m³ of all of them, by soil. */
  readonly soils: readonly number[];
  readonly bank: number;
  /** The dig with what was taken out between openings: what is filled again. The dig alone where nothing was. */
  readonly filled: Solid;
}

/** Convex pieces of an outline; none of one that crosses itself. */
function piecesOf({ points }: Stripped) {
  const corners = tidy(points);
  return corners.length < 3 || crossing(corners) !== null ? [] : convexPieces(corners);
}

/** The planes it is taken down to, each over a convex piece of plan. */
function floorsOf(
  { surface }: GroundModel,
  own: Stripped,
): { readonly plan: readonly number[]; readonly floor: Linear }[] {
  const { thickness, level } = own;
  return piecesOf(own).flatMap((plan) => {
    if (own.kind !== 'topsoil') return level === null ? [] : [{ plan, floor: { a: 0, b: 0, c: level } }];
    if (thickness === null) return [];
    return surface.patches(boxOf(plan)).flatMap(({ walls, ground }) => {
      const inside = intersect(plan, walls);
      return isEmpty(inside) ? [] : [{ plan: inside, floor: { ...ground, c: ground.c - thickness } }];
    });
  });
}

const partsOf = (model: GroundModel, own: Stripped, at: number, of: number): Part[] =>
  floorsOf(model, own).map(({ plan, floor }, k) => ({
    // Of no element: told by its place in the plan.
    owner: -1 - at,
    bottom: plan,
    floor,
    slope: 0,
    stretch: 0,
    risers: [],
    of: of + k,
    fills: false,
    mitre: 0,
    rounding: [],
  }));

function soilsIn(model: GroundModel, { cuts }: Solid): number[] {
  const out = model.soils.map(() => 0);
  for (const { cells } of cuts)
    for (const { area, level, ground } of cells) model.addVolumes(area, level, ground, out);
  return out;
}

/** What is taken off beside a dig. @param dig the holes alone */
export function stripsOf(plan: Plan, model: GroundModel, dig: Solid): Strips {
  const { strips } = plan.site;
  const none = { items: [], soils: model.soils.map(() => 0), bank: 0, filled: dig };
  if (strips.length === 0) return none;
  let parts = [...dig.parts];
  let before = volumeOf(dig);
  let soilsBefore = soilsIn(model, dig);
  let filled = dig;
  let of = Math.max(0, ...dig.parts.map((part) => part.of + 1));
  const items = new Map<number, StrippedTakeoff>();
  // What stands between openings goes with them and is filled again: it comes first.
  const order = strips
    .map((own, at) => ({ own, at }))
    .sort((p, q) => Number(q.own.kind === 'island') - Number(p.own.kind === 'island'));
  for (const { own, at } of order) {
    const added = partsOf(model, own, at, of);
    of += added.length;
    parts = [...parts, ...added];
    const solid = solveSolid(parts, model.surface, plan.dig.corners);
    const volume = volumeOf(solid);
    const soils = soilsIn(model, solid);
    items.set(at, {
      stripped: own,
      area: piecesOf(own).reduce((sum, piece) => sum + area(piece), 0),
      bank: Math.max(0, volume - before),
      soils: soils.map((bank, k) => Math.max(0, bank - soilsBefore[k]!)),
    });
    if (own.kind === 'island') filled = solid;
    [before, soilsBefore] = [volume, soils];
  }
  const list = strips.map((_, at) => items.get(at)!);
  return {
    items: list,
    soils: model.soils.map((_, k) => list.reduce((sum, { soils }) => sum + soils[k]!, 0)),
    bank: list.reduce((sum, { bank }) => sum + bank, 0),
    filled,
  };
}

/** The thinnest topsoil under an outline, m, at its corners; null where no topsoil lies. */
export function topsoilUnder(model: GroundModel, { points }: Pick<Stripped, 'points'>): number | null {
  const found = points.flatMap(([x, y]) => {
    const own = model.column(x, y).find(({ soil }) => soil.typical.backfill === 'topsoil');
    return own ? [own.bottom - own.top] : [0];
  });
  return found.some((thick) => thick > 0) ? Math.min(...found) : null;
}
