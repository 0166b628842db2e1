/** What a plan looks like as lines on layers: what leaves for another program's drawing. */
import { unionOutlines } from '../../geometry/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { shapeOf } from '../../setout/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { setoutSheet } from './setout-sheet.ts';

type Point = readonly [number, number];

export const DRAWN_LAYERS = [
  'axis',
  'footing',
  'bottom',
  'opening',
  'board',
  'string',
  'pin',
  'site',
] as const;
export type DrawnLayer = (typeof DRAWN_LAYERS)[number];

export interface Drawn {
  readonly layer: DrawnLayer;
  /** Of the element, board, string or corner; empty for what is of all. */
  readonly name: string;
  /** One point is a mark. */
  readonly points: readonly Point[];
  readonly closed: boolean;
  /** m over the job's datum; null in plan only. */
  readonly level: number | null;
}

/** Lines of a plan, m, x east and y north of the job's origin. */
export function drawnOf(plan: Plan, takeoff: Takeoff): Drawn[] {
  const { points, boards } = setoutSheet(plan, takeoff);
  const out: Drawn[] = [];
  const put = (
    layer: DrawnLayer,
    name: string,
    line: readonly Point[],
    closed = false,
    level: number | null = null,
  ) => out.push({ layer, name, points: line, closed, level });
  plan.elements.forEach((element, i) => {
    const info = takeoff.elements[i];
    const shape = shapeOf(element);
    put('axis', element.name, shape.points(element), shape.closed(element));
    if (!info?.live) return;
    for (const outline of unionOutlines(info.footings.map((piece) => piece.plan)))
      put('footing', element.name, outline, true, info.underside);
    for (const outline of unionOutlines(info.bottoms)) put('bottom', element.name, outline, true, info.dug);
  });
  for (const outline of unionOutlines(takeoff.elements.flatMap((e) => e.openings)))
    put('opening', '', outline, true);
  for (const line of boards.lines) {
    put('string', line.name, [line.boards[0].at, line.boards[1].at], false, line.level);
    for (const board of line.boards) put('board', board.name, [board.from, board.to], false, line.level);
    for (const step of line.steps)
      for (const rail of step.rails) put('board', step.name, [step.from, step.to], false, rail.level);
  }
  for (const point of points) put('pin', point.name, [point.at]);
  if (plan.site.boundary.length > 2) put('site', 'boundary', plan.site.boundary, true);
  for (const area of plan.site.areas) put('site', area.name, area.points, true);
  return out;
}
