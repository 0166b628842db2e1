/** Setting out of a plan: its corners, what to tape between them, boards and strings. */
import type { Plan } from '../../plan/schema.ts';
import {
  type Adjustment,
  adjust,
  type Boards,
  boardsOf,
  type CheckLine,
  checkLines,
  type KeepClear,
  type SetoutPoint,
  type ShareOut,
  setoutPoints,
  shapeOf,
  shareOuts,
  sizesOf,
} from '../../setout/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

export interface SetoutSheet {
  readonly points: readonly SetoutPoint[];
  readonly checks: readonly CheckLine[];
  readonly adjustment: Adjustment;
  readonly boards: Boards;
  /** Loops whose sides were all taped, brought to close. */
  readonly loops: readonly ShareOut[];
}

/** @param takeoff of the same plan: boards stand clear of what it digs */
export function setoutSheet(plan: Plan, takeoff: Takeoff): SetoutSheet {
  const points = setoutPoints(plan);
  const clear: KeepClear[] = [
    ...plan.site.areas.map(({ name, points: polygon }) => ({ name, polygon })),
    ...plan.site.paths.map((path) => ({ name: path.name, polygon: corridor(path) })),
  ];
  const widths = plan.elements.map((element, i) => {
    const info = takeoff.elements[i];
    // Sides of an outline are strung along its face; its room lies outside.
    const face = shapeOf(element).byFace;
    return {
      footing: face ? 0 : sizesOf(element).across / 2,
      dug: info?.live ? (face ? (element.room ?? plan.dig.room) : info.width.dug / 2) : 0,
    };
  });
  const checks = checkLines(plan);
  const { taped } = takeoff.facts;
  return {
    points,
    checks,
    loops: shareOuts(checks, taped, plan.setout.temperature),
    adjustment: adjust(points, taped, plan.setout.tolerance, plan.setout.temperature),
    boards: boardsOf(
      plan,
      widths,
      takeoff.elements.flatMap((e) => e.openings),
      clear,
    ),
  };
}

/** Outline of a path: its line with its width about it. */
function corridor(path: Plan['site']['paths'][number]): [number, number][] {
  const sides = (sign: 1 | -1) =>
    path.points.map(([x, y], i): [number, number] => {
      const [p, q] = [
        path.points[Math.max(0, i - 1)]!,
        path.points[Math.min(path.points.length - 1, i + 1)]!,
      ];
      const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
      const half = (path.width / 2) * sign;
      return [x - ((q[1] - p[1]) / length) * half, y + ((q[0] - p[0]) / length) * half];
    });
  return [...sides(1), ...sides(-1).reverse()];
}
