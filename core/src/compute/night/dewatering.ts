/**
 * How the water of each hole may be held: by pumps in a sump, a drain round its foot, wellpoints, or by its
 * fall; how long before the dig it must begin, what it does around, and where the water goes.
 */

import { PUMPS, type PumpId } from '../../catalogue/pumps.ts';
import { groundModel, type Layer } from '../../ground/index.ts';
import type { Holding } from '../../plan/kinds.ts';
import type { Plan } from '../../plan/schema.ts';
import { drainOf, traitsOf } from '../../plan/variants.ts';
import { fallOf } from '../../setout/index.ts';
import { type DrawnAround, drawnAround } from '../../takeoff/index.ts';
import {
  flowFrom,
  type Hole,
  hoursToDraw,
  OVER_GROUND,
  settlingArea,
  type Wellpoints,
  wellpoints,
  yieldOf,
} from '../../water/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** A hose is so long, m: typical. */
const HOSE = 20;
/** The pipe of a drain that takes a hole's water to daylight, m: typical. */
export const DRAIN_PIPE = 0.1;

/** A drain round the foot of a hole: its fall, and the stone about its pipe, m wide and high: typical. */
const RING = { fall: 1 / 200, width: 0.3, height: 0.3 } as const;

export interface PumpWay {
  readonly kind: PumpId;
  /** How many hold the high figure, one to spare not counted; null: it cannot lift so high. */
  readonly count: number | null;
  /** m³/s of one. */
  readonly flow: number;
}

export interface DewateredHole {
  readonly elements: readonly string[];
  readonly inflow: readonly [number, number, number];
  /** From the highest ground about it down to the level held, m. */
  readonly lift: number;
  readonly pumps: readonly PumpWay[];
  readonly points: Wellpoints;
  /** Round its foot, m; lower at its sump than at its far end by so much, m; m³ of stone. */
  readonly ring: { readonly length: number; readonly drop: number; readonly stone: number };
  /** A drain of the hole that lets its water go by fall, by name; and whether it lies under its bottoms. */
  readonly gravity: { readonly name: string; readonly low: boolean } | null;
  /** Hours its own pumps, else the smallest that hold it, run before the dig, by each figure; null: never there. */
  readonly before: { readonly kind: PumpId; readonly hours: readonly (number | null)[] } | null;
  /** m² of open water in which silt settles. */
  readonly settles: number;
  readonly around: readonly DrawnAround[];
}

/** Specific yield of the ground between two depths, by thickness. */
function yieldBetween(column: readonly Layer[], from: number, to: number): number {
  let [sum, thick] = [0, 0];
  for (const { soil, top, bottom } of column) {
    const d = Math.min(to, bottom) - Math.max(from, top);
    if (d <= 0) continue;
    sum += d * yieldOf(soil.layer.kind);
    thick += d;
  }
  return thick > 0 ? sum / thick : 0;
}

function pumpWays({ inflow, holdLevel }: Hole, top: number, altitude: number): PumpWay[] {
  return (Object.keys(PUMPS) as PumpId[]).map((kind): PumpWay => {
    const diameter = PUMPS[kind].hose;
    const hose = { diameter, length: diameter > 0 ? HOSE : 0 };
    const set = { kind, curve: [], hose, edge: top, outlet: top + OVER_GROUND, altitude };
    const flow = flowFrom(set, holdLevel);
    return { kind, flow, count: flow > 0 ? Math.max(1, Math.ceil(inflow[2] / flow - 1e-9)) : null };
  });
}

/** What the pumps that stand in a hole move together from the level held; null when none does. */
function placedPumps(
  { water }: Plan,
  own: readonly Takeoff['elements'][number][],
  { holdLevel }: Hole,
  top: number,
): { readonly kind: PumpId; readonly flow: number } | null {
  const here = water.pumps.filter(
    ({ element, kind }) => kind !== 'bucket' && own.some(({ id }) => id === element),
  );
  const altitude = water.altitude ?? 0;
  const flow = here.reduce((sum, { kind, curve, count, outlet, hose }) => {
    const set = { kind, curve, hose, edge: top, outlet: outlet ?? top + OVER_GROUND, altitude };
    return sum + count * flowFrom(set, holdLevel);
  }, 0);
  return here[0] && flow > 0 ? { kind: here[0].kind, flow } : null;
}

/** A drain among a hole's elements, or beside it, that goes by its fall. */
function gravityOf(takeoff: Takeoff, hole: Hole): DewateredHole['gravity'] {
  const drains = hole.elements.flatMap((i) => {
    const { element, length } = takeoff.elements[i]!;
    const drain = drainOf(element);
    if (!drain?.outfall || drain.outfall.where === 'sump') return [];
    return [{ name: drain.name, invert: drain.outfall.level + Math.abs(fallOf(drain)) * length }];
  });
  const lowest = drains.reduce<(typeof drains)[number] | null>(
    (least, next) => (least === null || next.invert < least.invert ? next : least),
    null,
  );
  // The drain's own trench goes deeper than what it is to keep dry.
  const bottom = Math.min(
    ...hole.elements.flatMap((i) => {
      const { element, dug } = takeoff.elements[i]!;
      return traitsOf(element).drains ? [] : [dug];
    }),
  );
  return lowest && { name: lowest.name, low: lowest.invert <= bottom + 1e-6 };
}

/** Every hole below the water, with the ways to hold it. */
export function dewateringMethods(plan: Plan, takeoff: Takeoff): DewateredHole[] {
  const altitude = plan.water.altitude ?? 0;
  const model = groundModel(plan);
  const around = drawnAround(plan, takeoff.holes, takeoff.elements);
  return takeoff.holes.map((hole): DewateredHole => {
    const own = hole.elements.map((i) => takeoff.elements[i]!);
    const top = Math.max(...own.map((e) => e.groundHigh));
    const lift = top - hole.holdLevel;
    const round = 2 * (hole.a + hole.b);
    const pumps = pumpWays(hole, top, altitude);
    const placed = placedPumps(plan, own, hole, top);
    const least = pumps
      .filter(({ count, kind }) => count !== null && kind !== 'bucket')
      .sort((p, q) => p.count! - q.count! || p.flow - q.flow)[0];
    const pump = placed ?? (least ? { kind: least.kind, flow: least.count! * least.flow } : null);
    const [x, y] = own[0]?.places[0] ?? [0, 0];
    const surface = model.level(x, y);
    const water = hole.holdLevel - hole.held + hole.head;
    const yields = yieldBetween(model.column(x, y), surface - water, surface - hole.holdLevel);
    return {
      elements: own.map(({ id }) => id),
      inflow: hole.inflow,
      lift,
      pumps,
      points: wellpoints(hole.inflow[2], hole.k[2], round, lift, altitude),
      ring: { length: round, drop: (round / 2) * RING.fall, stone: round * RING.width * RING.height },
      gravity: gravityOf(takeoff, hole),
      before: pump && {
        kind: pump.kind,
        hours: ([0, 1, 2] as const).map((i) =>
          hoursToDraw(hole, hole.k[i], yields, pump.flow, hole.inflow[i]),
        ),
      },
      settles: settlingArea(hole.inflow[2]),
      around,
    };
  });
}

/** Whether a way can hold a hole at all. */
export function holds({ pumps, points, gravity }: DewateredHole, by: Holding): boolean {
  const pumped = pumps.some(({ count }) => count !== null);
  if (by === 'wellpoints') return !points.tooClose && points.stages === 1;
  return by === 'gravity' ? gravity?.low === true : pumped;
}
