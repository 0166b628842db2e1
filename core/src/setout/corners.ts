/** The corners a job is set out by: ends and bends of axes and outlines, middles of pads, named. */

import type { Plan } from '../plan/schema.ts';
import { outlineOf } from '../plan/variants.ts';
import { axisOf } from './footprint.ts';
import { shapeOf } from './kinds.ts';
import { loopsOf } from './loops.ts';
import { pointsOf } from './places.ts';
import { setOut } from './walled.ts';

type Point = readonly [number, number];

export interface SetoutPoint {
  readonly name: string;
  readonly at: Point;
  /** A corner of an axis or outline, or the middle of a pad. */
  readonly kind: 'corner' | 'pad';
}

/** A, B … Z, A1, B1 … */
const letter = (i: number): string =>
  `${String.fromCharCode(65 + (i % 26))}${i < 26 ? '' : Math.floor(i / 26)}`;
/** Corners of more bends than this are an arc's: only its first, last and quarter points are pegged. */
const MOST_BENDS = 12;

/** Corners in the order of the elements; a corner shared by several is one. */
export function setoutPoints(plan: Plan): SetoutPoint[] {
  const out: SetoutPoint[] = [];
  let letters = 0;
  const put = (at: Point, name: string | null) => {
    const known = out.some((p) => Math.hypot(p.at[0] - at[0], p.at[1] - at[1]) < 1e-3);
    if (known) return;
    out.push(name === null ? { name: letter(letters++), at, kind: 'corner' } : { name, at, kind: 'pad' });
  };
  for (const element of setOut(plan.elements)) {
    const { pegged, points: of } = shapeOf(element);
    const points = pegged === 'none' ? [] : of(element);
    if (pegged === 'middle') {
      for (const p of points) put(p, element.name);
      continue;
    }
    const step = points.length > MOST_BENDS ? Math.ceil(points.length / 4) : 1;
    points.forEach((p, i) => {
      if (i % step === 0 || i === points.length - 1) put(p, null);
    });
  }
  return out;
}

export interface CheckLine {
  readonly from: SetoutPoint;
  readonly to: SetoutPoint;
  readonly distance: number;
  readonly kind: 'side' | 'diagonal';
}

/** Corners a check sheet goes crosswise over; with more, only neighbours are taped. */
const MOST_CROSSED = 8;

/**
 * Distances worth taping: every side, and crosswise between the corners of each closed shape, also of
 * one that several trenches make together;
 * with few corners, between all of them. Pads are tied to their two nearest corners or pads.
 */
export function checkLines(plan: Plan): CheckLine[] {
  const points = setoutPoints(plan);
  const corners = points.filter((p) => p.kind === 'corner');
  const out: CheckLine[] = [];
  const at = (p: Point) => points.find((q) => Math.hypot(p[0] - q.at[0], p[1] - q.at[1]) < 1e-3);
  /** Both on the axis of one run. */
  const inLine = (p: Point, q: Point) =>
    plan.elements.some((element) =>
      axisOf(element).some((run) =>
        [p, q].every((r) => Math.abs((r[0] - run.from[0]) * run.uy - (r[1] - run.from[1]) * run.ux) < 1e-3),
      ),
    );
  const put = (from: SetoutPoint | undefined, to: SetoutPoint | undefined, kind: CheckLine['kind']) => {
    if (!from || !to || from === to) return;
    if (out.some((l) => (l.from === from && l.to === to) || (l.from === to && l.to === from))) return;
    out.push({ from, to, kind, distance: Math.hypot(from.at[0] - to.at[0], from.at[1] - to.at[1]) });
  };
  const own = setOut(plan.elements);
  for (const element of own) {
    for (const run of axisOf(element)) put(at(run.from), at(run.to), 'side');
    const outline = outlineOf(element) ?? [];
    outline.forEach((p, i) => {
      put(at(p), at(outline[(i + 1) % outline.length]!), 'side');
    });
  }
  if (corners.length <= MOST_CROSSED)
    corners.forEach((p, i) => {
      for (const q of corners.slice(i + 1)) put(p, q, inLine(p.at, q.at) ? 'side' : 'diagonal');
    });
  else
    for (const element of own) {
      if (shapeOf(element).pegged !== 'corners') continue;
      const bends = pointsOf(element).flatMap((p) => at(p) ?? []);
      if (bends.length < 4) continue;
      const half = Math.floor(bends.length / 2);
      bends.slice(0, half).forEach((p, i) => {
        put(p, bends[i + half], 'diagonal');
      });
    }
  // A ring of several trenches is squared like one of a single outline.
  for (const loop of loopsOf(out.filter((line) => line.kind === 'side'))) {
    const half = Math.floor(loop.length / 2);
    if (loop.length >= 4)
      loop.slice(0, half).forEach((p, i) => {
        const q = loop[i + half]!;
        const first = points.indexOf(p) < points.indexOf(q);
        put(first ? p : q, first ? q : p, 'diagonal');
      });
  }
  for (const pad of points.filter((p) => p.kind === 'pad'))
    [...points]
      .filter((p) => p !== pad)
      .sort(
        (p, q) =>
          Math.hypot(p.at[0] - pad.at[0], p.at[1] - pad.at[1]) -
          Math.hypot(q.at[0] - pad.at[0], q.at[1] - pad.at[1]),
      )
      .slice(0, 2)
      .forEach((p) => {
        put(pad, p, 'side');
      });
  return out;
}
