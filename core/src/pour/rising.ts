/**
 * Walls on strips and columns on pads: where their tops are, what is cast of them in rises, and what laying
 * them takes. One place says how high they are; casting, backfill and drawings ask here.
 */
import { floorLevels } from '../levels/floors.ts';
import type { Element, Rising } from '../plan/elements.ts';
import type { CellFill } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { floorOf } from '../plan/strings.ts';

/** Over a flood, m: practice. */
export const FREEBOARD = 0.3;

/** Level of the highest flood of a stream near the job, m; null when nobody knows one. */
export function floodLevel({ ground }: Plan): number | null {
  const floods = ground.hazards.flatMap(({ kind, level }) =>
    kind === 'stream' && level !== null ? [level] : [],
  );
  return floods.length > 0 ? Math.max(...floods) : null;
}

/** Level wall tops keep over that flood, m; null without one. */
export const floodTop = (plan: Plan, over = plan.water.freeboard ?? FREEBOARD): number | null => {
  const flood = floodLevel(plan);
  return flood === null ? null : flood + over;
};

/**
 * Level of the top of what rises from a footing, m.
 * @param from level it rises from: the footing's top there, m
 * @returns null where nobody has said, or what says it is not there
 */
export function risingTop(plan: Plan, element: Element, from: number): number | null {
  const rising = element.rising;
  if (!rising) return null;
  const over = rising.over ?? 0;
  switch (rising.top) {
    case 'ground':
      return null;
    case 'height':
      return rising.height === null ? null : from + rising.height;
    case 'level':
      return rising.level;
    case 'floor': {
      const floor = floorOf(plan, element);
      const level = floor ? floorLevels(plan.levels.floors).get(floor.id) : undefined;
      return level === undefined ? null : level + over;
    }
    case 'flood':
      return floodTop(plan, rising.over ?? undefined);
  }
}

/** A part of a wall that is cast at once, between two levels. */
export interface Rise {
  readonly bottom: number;
  readonly top: number;
}

/**
 * Rises of equal height, none higher than the most that is cast at once.
 * @param most m; null: all of it at once
 */
export function risesOf(bottom: number, top: number, most: number | null): Rise[] {
  if (!(top > bottom)) return [];
  const count = most === null ? 1 : Math.ceil((top - bottom) / most - 1e-9);
  const each = (top - bottom) / count;
  return Array.from({ length: count }, (_, i) => ({
    bottom: bottom + i * each,
    top: i === count - 1 ? top : bottom + (i + 1) * each,
  }));
}

/** Broken or cut of units, share; mortar dropped or left over: typical. */
const UNITS_WASTE = 0.05;
const MORTAR_WASTE = 0.15;
/** Mortar of stone laid in courses of what is found, share of the wall: typical of rubble. */
const RUBBLE_MORTAR = 0.3;
/** Cement of stone filled into cells, share of its volume: the middle of 10–15 % (practice). */
export const CELL_CEMENT = 0.125;
/** Cement as it is poured from the bag, kg/m³: typical. */
export const CEMENT_LOOSE = 1440;

/** Cement that goes with stone in so much of cells, kg. @param room m³ */
export const cementOf = (room: number): number => room * CELL_CEMENT * CEMENT_LOOSE;

/** What laying a wall takes. */
export interface Laid {
  /** Of one face, m². */
  readonly face: number;
  /** Whole units, and with what breaks or is cut. */
  readonly units: number;
  readonly bought: number;
  /** Courses of full units in its height. */
  readonly courses: number;
  /** m³, fully bedded, with what is dropped. */
  readonly mortar: number;
  /** Room in its cells, m³; and cement that goes with stone in them, kg. */
  readonly cells: number;
  readonly fill: CellFill;
  readonly cement: number;
}

/**
 * Units, mortar and cell fill of a laid wall: N = A / ((l + j)·(h + j)); a unit's mortar is the bed under it and
 * the joint at its end, (l + h + j)·j·t.
 * @param volume of the wall, m³; @param height m
 */
export function laidOf({ thickness, units }: Rising, volume: number, height: number): Laid {
  const { length, height: high, joint, cells, fill } = units;
  const face = volume / thickness;
  const count = face / ((length + joint) * (high + joint));
  const room = count * length * high * thickness * cells;
  return {
    face,
    units: count,
    bought: Math.ceil(count * (1 + UNITS_WASTE) - 1e-9),
    courses: height / (high + joint),
    mortar: count * (length + high + joint) * joint * thickness * (1 + MORTAR_WASTE),
    cells: room,
    fill,
    cement: fill === 'stoneCement' ? cementOf(room) : 0,
  };
}

/** The same wall of other makes, side by side: what each takes. */
export interface OtherMakes {
  /** Cast, m³. */
  readonly concrete: number;
  /** Laid of its units. */
  readonly laid: Laid;
  /** Of stone: stone in the wall, m³, and its mortar, m³. */
  readonly stone: number;
  readonly stoneMortar: number;
}

export const makesOf = (rising: Rising, volume: number, height: number): OtherMakes => ({
  concrete: volume,
  laid: laidOf(rising, volume, height),
  stone: volume * (1 - RUBBLE_MORTAR),
  stoneMortar: volume * RUBBLE_MORTAR * (1 + MORTAR_WASTE),
});
