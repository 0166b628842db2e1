/** Snapping while dragging: to other axes' ends and lines, to square, else to the field's step. */
import type { Plan, System } from '@cimiento/core';
import { INCH, isRun, pointsOf, segmentsOf } from '@cimiento/core';

type Point = readonly [number, number];

const step = (system: System) => (system === 'metric' ? 0.05 : INCH);
const round = (value: number, to: number) => Math.round(Math.round(value / to) * to * 1e6) / 1e6;

/**
 * Where a dragged point lands.
 * @param self id of the element being dragged, which does not attract itself
 * @param anchor a point to stay square with (the other end of a run), if any
 * @param reach how near something must be to attract, m
 */
export function snapPoint(
  plan: Plan,
  self: string,
  point: Point,
  anchor: Point | null,
  reach: number,
  system: System,
): Point {
  let best: Point | null = null;
  let nearest = reach;
  const offer = (p: Point) => {
    const away = Math.hypot(p[0] - point[0], p[1] - point[1]);
    if (away < nearest) {
      nearest = away;
      best = p;
    }
  };
  const strips = plan.elements.filter(isRun).filter((e) => e.id !== self);
  for (const element of plan.elements) {
    if (element.id === self) continue;
    pointsOf(element).forEach(offer);
  }
  if (best) return best;
  let [x, y] = [round(point[0], step(system)), round(point[1], step(system))];
  if (anchor) {
    if (Math.abs(point[0] - anchor[0]) < reach) x = anchor[0];
    if (Math.abs(point[1] - anchor[1]) < reach) y = anchor[1];
  }
  for (const strip of strips) {
    for (const run of segmentsOf(strip)) {
      const along = (x - run.from[0]) * run.ux + (y - run.from[1]) * run.uy;
      const across = Math.abs((x - run.from[0]) * run.uy - (y - run.from[1]) * run.ux);
      if (across < reach && along > 0 && along < run.length) {
        const snapped: Point = [run.from[0] + along * run.ux, run.from[1] + along * run.uy];
        return [Math.round(snapped[0] * 1e6) / 1e6, Math.round(snapped[1] * 1e6) / 1e6];
      }
    }
  }
  return [x, y];
}
