/**
 * In what order a pour is placed: farthest from where it is let off first, coming back, always against what is still
 * fresh where that can be. Strips and walls along their axis, slabs in strips as wide as the straight-edge beside each
 * other, what is higher than a layer in layers all the way round before the next. Each place knows what it is placed
 * against, so that how long a face stood can be told. Places of a pour add up to it.
 */

import { boxesApart, boxOf } from '../geometry/convex.ts';
import {
  area,
  clip,
  convexPieces,
  cornerMean,
  type Linear,
  offset,
  type Polygon,
  rectangle,
} from '../geometry/index.ts';
import { gapBetween } from '../geometry/outline.ts';
import type { Element } from '../plan/elements.ts';
import { boxElementOf, outlinedOf, padOf, runOf } from '../plan/variants.ts';
import type { Cast } from '../pour/index.ts';
import { segmentsOf } from '../setout/index.ts';

type Point = readonly [number, number];

/** What is placed at once: a stretch of a strip, a pad, a cell of a slab, one layer of it. */
export interface Place {
  /** The cast it is of, and its element. */
  readonly cast: string;
  readonly element: string;
  /** Counted from 1, of so many. */
  readonly layer: number;
  readonly layers: number;
  /** In plan, flat [x, y, …]. */
  readonly plan: Polygon;
  /** m³. */
  readonly volume: number;
  /** m³ placed before it. */
  readonly before: number;
  /** Earlier places it is placed against, by their place in the list. */
  readonly against: readonly number[];
}

export interface Placing {
  /** Where it is let off; null: the middle of the job, so that it is worked from the ends in. */
  readonly from: Point | null;
  /** m of a layer at most. */
  readonly layer: number;
  /** m a strip of a slab is wide at most. */
  readonly screed: number;
}

/** What is placed at once along an axis, m, and of a slab, where there is not too much of it. */
const STRETCH = 1.5;
/** Places a pour is told in, about. */
const MOST_PLACES = 500;
/** Nearer than this is against it, m. */
const TOUCHES = 0.05;

/** A line of places that is worked from one end to the other. */
interface Lane {
  readonly cast: Cast;
  readonly cells: readonly Polygon[];
  readonly layers: number;
}

const distance = (from: Point, to: Point): number => Math.hypot(from[0] - to[0], from[1] - to[1]);

/** A straight line of cells along an axis. */
function along(from: Point, to: Point, width: number, step: number): Polygon[] {
  const length = distance(from, to);
  const count = Math.max(1, Math.ceil(length / step - 1e-9));
  const angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
  return Array.from({ length: count }, (_, i) => {
    const share = (i + 0.5) / count;
    return rectangle(
      from[0] + (to[0] - from[0]) * share,
      from[1] + (to[1] - from[1]) * share,
      length / count,
      width,
      angle,
    );
  });
}

/** Half-planes of a band across a direction. */
const band = (ux: number, uy: number, low: number, high: number): readonly [Linear, Linear] => [
  { a: ux, b: uy, c: -high },
  { a: -ux, b: -uy, c: low },
];

/** A slab in strips along its longest side, each in cells. */
function stripped(outline: readonly Point[], screed: number, step: number): Polygon[][] {
  const sides = outline.map((from, i) => [from, outline[(i + 1) % outline.length]!] as const);
  const [from, to] = sides.reduce((long, side) =>
    distance(side[0], side[1]) > distance(long[0], long[1]) + 1e-9 ? side : long,
  );
  const length = distance(from, to);
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const reach = (ax: number, ay: number) => {
    const values = outline.map(([x, y]) => x * ax + y * ay);
    return [Math.min(...values), Math.max(...values)] as const;
  };
  const [acrossLow, acrossHigh] = reach(-uy, ux);
  const [low, high] = reach(ux, uy);
  const strips = Math.max(1, Math.ceil((acrossHigh - acrossLow) / screed - 1e-9));
  const cells = Math.max(1, Math.ceil((high - low) / step - 1e-9));
  const pieces = convexPieces(outline.map(([x, y]) => [x, y] as const));
  return Array.from({ length: strips }, (_, s) => {
    const width = (acrossHigh - acrossLow) / strips;
    const strip = band(-uy, ux, acrossLow + s * width, acrossLow + (s + 1) * width);
    return Array.from({ length: cells }, (__, c) => {
      const reached = (high - low) / cells;
      const cell = band(ux, uy, low + c * reached, low + (c + 1) * reached);
      return pieces.flatMap((piece) => {
        const cut = [...strip, ...cell].reduce<Polygon>(
          (left, half) => (left.length > 0 ? clip(left, half) : left),
          piece,
        );
        return cut.length >= 6 && area(cut) > 1e-6 ? [cut] : [];
      });
    }).flat();
  }).filter((own) => own.length > 0);
}

/** Lines of cells of a cast, in plan. @param bays of a pass under an old wall, in plan */
function lanesOf(
  element: Element,
  cast: Cast,
  bays: readonly Polygon[],
  { layer, screed }: Placing,
  step: number,
): Lane[] {
  const layers = Math.max(1, Math.ceil((cast.top - cast.bottom) / layer - 1e-9));
  const lane = (cells: readonly Polygon[]): Lane[] => (cells.length > 0 ? [{ cast, cells, layers }] : []);
  if (cast.stage === 'pass') return bays.flatMap((bay) => lane([bay]));
  const box = boxElementOf(element);
  if (box && cast.stage === 'walls') {
    const axis = offset(box.outline, -box.wall / 2) ?? box.outline;
    return axis.flatMap((from, i) => lane(along(from, axis[(i + 1) % axis.length]!, box.wall, step)));
  }
  const outlined = outlinedOf(element);
  if (outlined) return stripped(outlined.outline, screed, step).flatMap(lane);
  // What rises on a footing is as thick as its wall, or its column.
  const wall = cast.stage === 'first' ? null : element.rising;
  const pad = padOf(element);
  if (pad) {
    const { at, angle } = pad;
    const length = wall?.long ?? wall?.thickness ?? pad.length;
    return lane([rectangle(at[0], at[1], length, wall?.thickness ?? pad.width, (angle * Math.PI) / 180)]);
  }
  const run = runOf(element);
  if (!run) return [];
  return segmentsOf(run).flatMap(({ from, to }) => lane(along(from, to, wall?.thickness ?? run.width, step)));
}

const touch = (p: Polygon, q: Polygon): boolean =>
  boxesApart(boxOf(p), boxOf(q)) <= TOUCHES && gapBetween(p, q) <= TOUCHES;
const meets = (lane: Lane, other: Lane): boolean =>
  lane.cells.some((cell) => other.cells.some((own) => touch(cell, own)));

/** Lanes that touch, each with all that touch it: what is fresh together. */
function bodiesOf(lanes: readonly Lane[]): Lane[][] {
  const left = new Set(lanes);
  const out: Lane[][] = [];
  for (const lane of lanes) {
    if (!left.delete(lane)) continue;
    const body = [lane];
    for (const own of body)
      for (const other of left)
        if (own.layers === other.layers && meets(own, other)) {
          left.delete(other);
          body.push(other);
        }
    out.push(body);
  }
  return out;
}

const endsOf = ({ cells }: Lane): readonly [Point, Point] => [
  cornerMean(cells[0]!),
  cornerMean(cells.at(-1)!),
];
const farthest = (lane: Lane, from: Point): number =>
  Math.max(...endsOf(lane).map((end) => distance(end, from)));

/** The lanes of a body in the order they are worked, each turned the way it is. */
function worked(body: readonly Lane[], from: Point): Lane[] {
  const left = new Set(body);
  /** Those against which something lies already. */
  const reached = new Set<Lane>();
  const out: Lane[] = [];
  while (left.size > 0) {
    const open = [...left];
    const fresh = open.filter((lane) => reached.has(lane));
    const of = fresh.length > 0 ? fresh : open;
    const lane = of.reduce((far, own) => (farthest(own, from) > farthest(far, from) + 1e-6 ? own : far));
    left.delete(lane);
    for (const other of left) if (!reached.has(other) && meets(lane, other)) reached.add(other);
    const [start, end] = endsOf(lane);
    out.push(
      distance(end, from) > distance(start, from) + 1e-6 ? { ...lane, cells: lane.cells.toReversed() } : lane,
    );
  }
  return out;
}

/**
 * @param casts of a pour
 * @param elementOf what each is of
 * @param baysOf of a pass: its bays in plan
 */
export function placingOrder(
  casts: readonly Cast[],
  elementOf: (id: string) => Element,
  baysOf: (cast: Cast) => readonly Polygon[],
  placing: Placing,
): Place[] {
  const made = (step: number) =>
    casts.flatMap((cast) => lanesOf(elementOf(cast.element), cast, baysOf(cast), placing, step));
  let step = STRETCH;
  let lanes = made(step);
  const count = () => lanes.reduce((sum, { cells, layers }) => sum + cells.length * layers, 0);
  while (count() > MOST_PLACES && step < 100) {
    step *= 1.5;
    lanes = made(step);
  }
  const areas = new Map<string, number>();
  for (const { cast, cells } of lanes)
    areas.set(cast.key, (areas.get(cast.key) ?? 0) + cells.reduce((sum, cell) => sum + area(cell), 0));
  const middle = middleOf(lanes);
  const from = placing.from ?? middle;
  const bodies = bodiesOf(lanes).toSorted(
    (p, q) =>
      Math.max(...q.map((lane) => farthest(lane, from))) - Math.max(...p.map((lane) => farthest(lane, from))),
  );
  const out: Place[] = [];
  let before = 0;
  for (const body of bodies) {
    const order = worked(body, from);
    const { layers } = order[0]!;
    const first = out.length;
    for (let layer = 1; layer <= layers; layer++) {
      const start = out.length;
      for (const { cast, cells } of order)
        for (const plan of cells) {
          const volume = ((area(plan) / areas.get(cast.key)!) * cast.volume) / layers;
          const against: number[] = [];
          for (let i = start; i < out.length; i++) if (touch(out[i]!.plan, plan)) against.push(i);
          // And on what lies under it.
          if (layer > 1) against.push(start - (start - first) / (layer - 1) + (out.length - start));
          out.push({ cast: cast.key, element: cast.element, layer, layers, plan, volume, before, against });
          before += volume;
        }
    }
  }
  return out;
}

const middleOf = (lanes: readonly Lane[]): Point => {
  const all = lanes.flatMap(({ cells }) => cells.map(cornerMean));
  const mean = (i: 0 | 1) => all.reduce((sum, point) => sum + point[i], 0) / Math.max(1, all.length);
  return [mean(0), mean(1)];
};

/** A face that stood longer than it stays open before the next was placed against it. */
export interface Joint {
  /** Places by their place in the order: the fresh one, and the one that stood. */
  readonly at: number;
  readonly against: number;
  /** Minutes it stood. */
  readonly stood: number;
}

/**
 * Where joints fall, the worst of each place.
 * @param begins minutes each place is begun at, and done
 * @param open minutes a face may stand
 */
export function jointsOf(
  places: readonly Place[],
  begins: readonly number[],
  ends: readonly number[],
  open: number,
): Joint[] {
  return places.flatMap(({ against }, at): Joint[] => {
    const worst = against.reduce<Joint | null>((most, own) => {
      const stood = begins[at]! - ends[own]!;
      return stood > open + 1e-6 && (!most || stood > most.stood) ? { at, against: own, stood } : most;
    }, null);
    return worst ? [worst] : [];
  });
}
