/**
 * What goes back into each hole, stage by stage and side by side of what stands in it: the stone at the foot, up
 * to the underside of a floor or to the ground less its topsoil, the topsoil. The room is the dug solid less all
 * that is built and laid (`room.ts`), so stages and sides add up to the whole hole.
 *
 * A run under an old wall is filled in its bays as one; the room of a floor that lies below the ground is not
 * filled, and is told of.
 */
import type { Solid } from '../dig/solid.ts';
import { constant, type Linear } from '../geometry/index.ts';
import { FILL_STAGES, type FillStage, type Side } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import type { Taken } from '../pour/index.ts';
import type { ElementTakeoff } from '../takeoff/element.ts';
import { builtOf, type Room, roomsIn } from './room.ts';
import { facingsOf, sidesOf } from './sides.ts';

export interface FillPart {
  /** Position of the element; less than nought: what was taken out between openings, −1 − its place in the plan. */
  readonly owner: number;
  readonly side: Side;
  readonly stage: FillStage;
  /** Tamped, m³. */
  readonly volume: number;
}

export interface FilledHole {
  readonly solid: Solid;
  readonly taken: Taken;
  readonly elements: readonly ElementTakeoff[];
  /** m³ under old walls that are filled again in bays, by element. */
  readonly bays: readonly number[];
}

/** m³ of each hole to fill again, by element; beyond them what was taken out between openings, by its order. */
export function roomOf({ solid, taken, elements, bays }: FilledHole): {
  readonly total: number;
  readonly byElement: readonly number[];
} {
  const built = builtOf(taken.pieces);
  const byElement = elements.map((_, i) => bays[i] ?? 0);
  let islands = 0;
  solid.cuts.forEach((cut, i) => {
    const { owner } = solid.parts[i]!;
    for (const one of roomsIn(cut, taken.bands[i] ?? [], built)) {
      const room = one.under([]);
      if (owner < 0) islands += room;
      else byElement[owner]! += room;
    }
  });
  return { total: byElement.reduce((sum, volume) => sum + volume, islands), byElement };
}

/** Whether water rises to an element's foot; nobody knows: it may. */
const mayBeWet = (
  { ground }: Plan,
  { water, underside }: Pick<ElementTakeoff, 'water' | 'underside'>,
): boolean => {
  const known = [water, ground.waterHigh].filter((level) => level !== null);
  return known.length === 0 || Math.max(...known) > underside;
};

/** The side of an element that lies under a floor. */
export const floorOver = (
  { backfill }: Plan,
  { id, element }: Pick<ElementTakeoff, 'id' | 'element'>,
  side: Side,
): boolean => {
  const said = backfill.floors.find((one) => one.element === id)?.side;
  if (said === undefined) return false;
  if (!sidesOf(element).includes('left')) return said === 'both';
  return said === 'both' || said === side;
};

/** Whether stone and a pipe lie at the foot of a side. */
function drainedAt(plan: Plan, info: ElementTakeoff, side: Side): boolean {
  const { surround } = plan.backfill;
  if (surround === null || floorOver(plan, info, side)) return false;
  return surround.when === 'always' || mayBeWet(plan, info);
}

/** Level of the underside of the floor an element carries; null: it carries none. */
export function floorUnderside(
  { levels }: Plan,
  { element }: Pick<ElementTakeoff, 'element'>,
  stacks: readonly FloorLevel[],
): number | null {
  const id = element.floor ?? levels.floors[0]?.id ?? null;
  return stacks.find(({ floor }) => floor.id === id)?.underside ?? null;
}

/** A floor's build-up by its levels, m. */
export interface FloorLevel {
  readonly floor: { readonly id: string };
  readonly underside: number;
}

/** Levels that bound the stages of a side from below up, each the lowest of some; the last is the ground. */
interface Bound {
  readonly stage: FillStage;
  /** Empty: to the ground. */
  readonly under: readonly Linear[];
}

function boundsOf(
  plan: Plan,
  info: ElementTakeoff,
  side: Side,
  stretch: number,
  topsoil: number,
  ground: Linear,
  floor: number | null,
): readonly Bound[] {
  const less = { ...ground, c: ground.c - topsoil };
  const inside = floor !== null && floorOver(plan, info, side);
  const top = inside ? [constant(floor)] : [less];
  const foot = drainedAt(plan, info, side)
    ? [
        {
          stage: 'foot' as const,
          under: [
            constant(
              (info.undersides[stretch] ?? info.underside) +
                info.element.thickness +
                (plan.backfill.surround?.over ?? 0),
            ),
            ...top,
          ],
        },
      ]
    : [];
  return inside
    ? [...foot, { stage: 'toFloor', under: top }, { stage: 'floorRoom', under: [] }]
    : [...foot, { stage: 'toTop', under: top }, { stage: 'topsoil', under: [] }];
}

export interface Asked {
  readonly plan: Plan;
  readonly hole: FilledHole;
  readonly stacks: readonly FloorLevel[];
}

/** A room with what is asked of it: whose it is, which side, which stretch. */
export interface Sided {
  readonly room: Room;
  readonly info: ElementTakeoff | null;
  readonly owner: number;
  readonly side: Side;
  readonly stretch: number;
}

/** Every room of a hole, cut at the walls that stand in it. */
export function sidedRooms({ hole }: Pick<Asked, 'hole'>): Sided[] {
  const { solid, taken, elements } = hole;
  const built = builtOf(taken.pieces);
  const facings = elements.map(({ element }) => facingsOf(element));
  return solid.cuts.flatMap((cut, i): Sided[] => {
    const { owner, stretch, bottom } = solid.parts[i]!;
    const info = elements[owner] ?? null;
    const sides = info ? facings[owner]!(bottom) : [];
    return roomsIn(cut, taken.bands[i] ?? [], built).flatMap((room): Sided[] => {
      if (room.under([]) <= 0) return [];
      if (!info) return [{ room, info, owner, side: 'all', stretch }];
      return sides.flatMap(({ side, walls }) => {
        const own = walls.length === 0 ? room : room.within(walls);
        return own ? [{ room: own, info, owner, side, stretch }] : [];
      });
    });
  });
}

/**
 * m³ of every stage on every side. @param topsoil thickness put back on top, m
 */
export function fillParts(
  { plan, hole, stacks }: Asked,
  topsoil: number,
  rooms: readonly Sided[] = sidedRooms({ hole }),
): FillPart[] {
  const sums = new Map<string, { -readonly [K in keyof FillPart]: FillPart[K] }>();
  const add = (owner: number, side: Side, stage: FillStage, volume: number) => {
    if (volume <= 0) return;
    const key = `${owner}/${side}/${stage}`;
    const sum = sums.get(key);
    if (sum) sum.volume += volume;
    else sums.set(key, { owner, side, stage, volume });
  };
  const floors = hole.elements.map((info) => floorUnderside(plan, info, stacks));
  for (const { room, info, owner, side, stretch } of rooms) {
    let below = 0;
    const bounds = info
      ? boundsOf(plan, info, side, stretch, topsoil, room.cell.ground, floors[owner]!)
      : [
          { stage: 'toTop' as const, under: [{ ...room.cell.ground, c: room.cell.ground.c - topsoil }] },
          { stage: 'topsoil' as const, under: [] },
        ];
    for (const { stage, under } of bounds) {
      const to = room.under(under);
      add(owner, side, stage, to - below);
      below = Math.max(below, to);
    }
  }
  for (const [owner, volume] of hole.bays.entries()) add(owner, 'all', 'toTop', volume);
  const rank = (part: FillPart) => FILL_STAGES.indexOf(part.stage);
  return [...sums.values()].sort(
    (p, q) => p.owner - q.owner || rank(p) - rank(q) || p.side.localeCompare(q.side),
  );
}
