/**
 * Proofs of a takeoff by routes of their own: the whole dig, each soil, the stone, the room left to fill and what is
 * stripped beside the dig by columns read straight from ground and faces; the causes of over-dig by their sign; the loads by
 * filling trucks one by one. They are worked out when asked for, not at every edit.
 *
 * Not covered: concrete, lean concrete and beds under slabs (prisms counted once), the water, the order of digging.
 */

import type { Takeoff } from '../compute/pipeline/takeoff.ts';
import { boxOf, contains, convexPieces, edges, tidy } from '../geometry/index.ts';
import { groundModel } from '../ground/index.ts';
import { bedOf, layerValues } from '../plan/beds.ts';
import type { Plan } from '../plan/schema.ts';
import { oldWallOf } from '../plan/variants.ts';
import { castOf, goesToFaces } from '../pour/index.ts';
import type { Check } from '../results/index.ts';
import { shapeOf } from '../setout/index.ts';
import { faces } from './face.ts';
import { placesIn } from './places.ts';

/** Columns, about. */
const COLUMNS = 30_000;
/** What so many columns can tell: a share of what is asked, and of the whole dig. */
const SHARE = 0.02;
/** Differences smaller than this are nothing, m³. */
const NOTHING = 0.02;

const check = (code: ProofCode, expected: number, found: number, within: number): Check => ({
  code,
  kind: code === 'loads' ? 'count' : 'volume',
  expected,
  found,
  within,
  ok: Math.abs(found - expected) <= within,
});

/** What is proved. */
export type ProofCode = 'volume' | 'stratum' | 'stone' | 'room' | 'stripped' | 'causes' | 'loads';

interface Columns {
  readonly total: number;
  readonly bySoil: readonly number[];
  readonly stone: number;
  /** Left over what fills it from face to face and what is built in it. */
  readonly room: number;
}

/** How far soft ground is taken out below a bottom at a place, m. */
const softUnder = ({ ground: { softSpots } }: Plan, x: number, y: number): number =>
  softSpots.reduce((most, { points, depth }) => (contains(points, x, y) ? Math.max(most, depth) : most), 0);

/** m of a column between two levels that no span takes. */
function free(low: number, high: number, spans: readonly (readonly [number, number])[]): number {
  let at = low;
  let left = 0;
  for (const [from, to] of [...spans].sort((p, q) => p[0] - q[0])) {
    if (from > at) left += Math.min(from, high) - Math.min(at, high);
    at = Math.max(at, to);
  }
  return left + Math.max(0, high - at);
}

/** Heights built at a place. */
function piecesAt({ hole }: Takeoff): (x: number, y: number) => readonly (readonly [number, number])[] {
  const pieces = hole.taken.pieces.map(({ plan, spans }) => ({
    box: boxOf(plan),
    sides: edges(plan),
    spans,
  }));
  return (x, y) =>
    pieces.flatMap(({ box, sides, spans }) =>
      x >= box.x0 &&
      x <= box.x1 &&
      y >= box.y0 &&
      y <= box.y1 &&
      sides.every(({ a, b, c }) => a * x + b * y + c <= 0)
        ? spans
        : [],
    );
}

/** What is taken off beside the dig, read column by column, m³. */
function strippedBy(plan: Plan, takeoff: Takeoff): number {
  const { strips } = plan.site;
  if (strips.length === 0) return 0;
  const model = groundModel(plan);
  const face = faces(takeoff.solid.parts, plan.dig.corners);
  const outlines = strips.flatMap(({ points }) => convexPieces(tidy(points)));
  let sum = 0;
  for (const { x, y, area } of placesIn(outlines, COLUMNS)) {
    const ground = model.level(x, y);
    const dug = Math.min(ground, face(x, y)?.level ?? ground);
    const floor = strips.reduce((lowest, { points, kind, thickness, level }) => {
      const own = kind === 'topsoil' ? ground - (thickness ?? 0) : (level ?? ground);
      return contains(points, x, y) ? Math.min(lowest, own) : lowest;
    }, ground);
    sum += area * Math.max(0, dug - floor);
  }
  return sum;
}

/** Reads the dig column by column, m³. */
function columnsOf(plan: Plan, takeoff: Takeoff): Columns {
  const model = groundModel(plan);
  const { parts } = takeoff.solid;
  const bySoil = model.soils.map(() => 0);
  let total = 0;
  let stone = 0;
  let room = 0;
  const builtAt = piecesAt(takeoff);
  const openings = takeoff.elements.flatMap((element) => element.openings);
  const face = faces(parts, plan.dig.corners);
  const floors = new Map<number, number>();
  parts.forEach((part, i) => {
    if (!floors.has(part.of)) floors.set(part.of, i);
  });
  const bears = takeoff.elements.map(({ element, live }) => live && shapeOf(element).founded);
  const level = (i: number, x: number, y: number) => {
    const { a, b, c } = parts[i]!.floor;
    return a * x + b * y + c;
  };
  for (const { x, y, area } of placesIn(openings, COLUMNS)) {
    const low = face(x, y);
    if (!low) continue;
    const ground = model.level(x, y);
    if (low.level >= ground) continue;
    const part = parts[low.part]!;
    // Under the bottom itself, not under its slopes and benches, soft spots are dug on down.
    const own = floors.get(part.of)!;
    const onBottom = bears[part.owner]! && own === low.part && low.level <= level(own, x, y) + 1e-9;
    const down = onBottom ? softUnder(plan, x, y) : 0;
    const to = low.level - down;
    total += area * (ground - to);
    const tops = model.tops(x, y);
    tops.forEach((top, k) => {
      bySoil[k]! += area * Math.max(0, Math.min(top, ground) - Math.max(tops[k + 1] ?? -Infinity, to));
    });
    room +=
      area *
      free(low.level, ground, [
        ...(takeoff.hole.taken.bands[low.part] ?? []).map(
          ({ from, to }) => [from.a * x + from.b * y + from.c, to.a * x + to.b * y + to.c] as const,
        ),
        ...builtAt(x, y),
      ]);
    const { element, low: found } = takeoff.elements[part.owner]!;
    if (!part.fills && part.mitre === 0) continue;
    const needed = level(floors.get(part.of)!, x, y) + found;
    const under = (to: number) => Math.max(0, Math.min(to, ground) - low.level);
    const stoneOf = castOf(element).stone(element);
    let height = 0;
    const bed = castOf(element).carries(element) ? bedOf(plan, element) : null;
    for (const layer of bed?.layers ?? []) {
      const from = under(needed + height);
      height += layer.thickness;
      if (goesToFaces(element, layer)) stone += area * (under(needed + height) - from);
    }
    if (stoneOf !== null) stone += area * (under(needed + height + stoneOf) - under(needed + height));
  }
  return { total, bySoil, stone, room };
}

/** Trucks filled one after the other until nothing is left. */
function filled(loose: number, mass: number, body: number, payload: number): number {
  let left = loose;
  let loads = 0;
  const density = loose > 0 ? mass / loose : 0;
  while (left > 1e-9 * Math.max(1, loose) && loads < 100_000) {
    left -= Math.min(body, density > 0 ? payload / density : body);
    loads++;
  }
  return loads;
}

/** Every proof of a takeoff. @param plan it was worked out of */
export function proofsOf(plan: Plan, takeoff: Takeoff): Check[] {
  const columns = columnsOf(plan, takeoff);
  const { value: total } = takeoff.figures.dig;
  const within = (value: number) => SHARE * Math.max(Math.abs(value), 0.25 * total) + NOTHING;
  const { neat: _neat, ...causes } = takeoff.overdig;
  const least = Math.min(0, ...Object.values(causes));
  const laid = takeoff.elements.reduce((sum, { element, stone, pipe, layers }) => {
    if (oldWallOf(element)) return sum;
    const own = layers.reduce((all, { layer, volume }) => all + (layerValues(layer).cast ? 0 : volume), 0);
    const toFaces = layers.reduce((all, one) => all + (goesToFaces(element, one.layer) ? one.volume : 0), 0);
    return sum + stone - own + toFaces + pipe;
  }, 0);
  // Bays under old walls open nothing a column could be read in.
  const bayed = (soil: number) =>
    takeoff.elements.reduce((sum, { bays }) => sum + (bays?.soils[soil] ?? 0), 0);
  const inBays = takeoff.elements.reduce((sum, { bays }) => sum + (bays?.total ?? 0), 0);
  const islands = takeoff.strips.items.reduce(
    (sum, { stripped, bank }) => sum + (stripped.kind === 'island' ? bank : 0),
    0,
  );
  const bays = takeoff.hole.bays.reduce((sum, bay) => sum + bay, 0);
  // Soft spots are dug under the bottoms and put back: none of it is the hole's.
  const room = takeoff.spoil.need.hole - islands - bays;
  return [
    check('volume', total - inBays, columns.total, within(total)),
    ...takeoff.spoil.strata.map((stratum) =>
      check(
        'stratum',
        stratum.bank -
          (takeoff.strips.soils[stratum.soil.index] ?? 0) +
          (takeoff.broken.displaced[stratum.soil.index] ?? 0) -
          bayed(stratum.soil.index),
        columns.bySoil[stratum.soil.index]!,
        within(stratum.bank),
      ),
    ),
    check('stone', laid, columns.stone, SHARE * Math.max(laid, 0.1 * total) + NOTHING),
    check('room', room, columns.room, within(room)),
    check('stripped', takeoff.strips.bank, strippedBy(plan, takeoff), within(takeoff.strips.bank)),
    // No cause digs less: what is made larger, wider or deeper takes in what it was.
    check('causes', 0, least, 1e-6 * Math.max(1, total)),
    ...takeoff.loads.map(({ truck, loads }) =>
      check(
        'loads',
        loads,
        filled(takeoff.spoil.hauledLoose, takeoff.spoil.hauledMass, truck.body, truck.payload),
        0,
      ),
    ),
  ];
}
