/** World to screen for a plan drawing: x east to the right, y north up. */
import type { Box, Plan, Takeoff } from '@cimiento/core';
import { boxOf, unionBox } from '@cimiento/core';

export interface View {
  readonly width: number;
  readonly height: number;
  /** Pixels a metre. */
  readonly scale: number;
  x(east: number): number;
  y(north: number): number;
  east(x: number): number;
  north(y: number): number;
}

export interface Zoom {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}

/** What there is to see: openings, footings and axes; a 12 m square when there is nothing. */
export function extent(plan: Plan, takeoff: Takeoff): Box {
  const { openings, bottoms } = takeoff.shapes;
  const points = plan.elements.flatMap((e) => (e.kind === 'strip' ? e.points.flat() : [...e.at]));
  const polygons = [...openings.flat(), ...bottoms.flat(), ...(points.length > 0 ? [points] : [])].filter(
    (p) => p.length > 0,
  );
  if (polygons.length === 0) return { x0: -2, y0: -2, x1: 10, y1: 10 };
  return unionBox(polygons.map((polygon) => boxOf(polygon)));
}

/** Fits a box into a window with room for dimensions, then applies the person's zoom. */
export function viewOf(box: Box, width: number, height: number, zoom: Zoom, margin = 34): View {
  const w = Math.max(box.x1 - box.x0, 1);
  const h = Math.max(box.y1 - box.y0, 1);
  const fit = Math.max(1, Math.min((width - 2 * margin) / w, (height - 2 * margin) / h));
  const scale = fit * zoom.k;
  const cx = (box.x0 + box.x1) / 2;
  const cy = (box.y0 + box.y1) / 2;
  const ox = (width / 2) * zoom.k + zoom.x;
  const oy = (height / 2) * zoom.k + zoom.y;
  return {
    width,
    height,
    scale,
    x: (east) => ox + (east - cx) * scale,
    y: (north) => oy - (north - cy) * scale,
    east: (x) => (x - ox) / scale + cx,
    north: (y) => (oy - y) / scale + cy,
  };
}

export const polygonPath = (view: View, polygon: readonly number[]): string => {
  let d = '';
  for (let i = 0; i + 1 < polygon.length; i += 2)
    d += `${i === 0 ? 'M' : 'L'}${view.x(polygon[i]!).toFixed(1)} ${view.y(polygon[i + 1]!).toFixed(1)}`;
  return `${d}Z`;
};

/** A length that reads well at this scale: 1, 2 or 5 times a power of ten. */
export function niceLength(metres: number): number {
  const power = 10 ** Math.floor(Math.log10(metres));
  const lead = metres / power;
  return (lead >= 5 ? 5 : lead >= 2 ? 2 : 1) * power;
}
