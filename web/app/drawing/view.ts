/** World to screen for a plan drawing: x east to the right, y north up. */
import {
  type Box,
  boxOf,
  FOOT,
  type Plan,
  pointsOf,
  type System,
  type Takeoff,
  unionBox,
} from '@cimiento/core';
import type { FitTo } from '../state/store.ts';

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

/** What lies this many times the dig's size away would shrink everything to a dot. */
const REACH = { dig: 0.5, plot: 2.5 } as const;

/** As wide as it fits, or smaller. */
export const isFitted = (k: number): boolean => k <= 1.001;

/**
 * What there is to see; a 12 m square when there is nothing.
 * @param stage where a person looks: the ground shows the logs and hazards near the dig, set-out the
 *   room its boards take
 * @param fit the dig fills the window, however wide the plot; or the plot, its areas, ways and gates
 *   are seen too
 */
export function extent(plan: Plan, takeoff: Takeoff, stage: string | null = null, fit: FitTo = 'dig'): Box {
  const points = plan.elements.flatMap((e) => pointsOf(e).flat());
  const polygons = [
    ...takeoff.elements.flatMap((e) => [...e.openings, ...e.bottoms]),
    ...(points.length > 0 ? [points] : []),
  ].filter((p) => p.length > 0);
  const job =
    polygons.length === 0
      ? { x0: -2, y0: -2, x1: 10, y1: 10 }
      : unionBox(polygons.map((polygon) => boxOf(polygon)));
  const reach = Math.max(6, job.x1 - job.x0, job.y1 - job.y0) * REACH[fit];
  const near = ([x, y]: readonly [number, number]) =>
    x > job.x0 - reach && x < job.x1 + reach && y > job.y0 - reach && y < job.y1 + reach;
  const { site, ground } = plan;
  const about = [
    ...(stage === 'ground' || fit === 'plot'
      ? [...ground.logs.map((log) => log.at), ...ground.hazards.flatMap((hazard) => hazard.points)]
      : []),
    ...(stage === 'setout' ? reachOfBoards(job, plan.setout.offset) : []),
    ...(fit === 'plot'
      ? [
          ...site.areas.flatMap((area) => area.points),
          ...site.paths.flatMap((path) => path.points),
          ...site.gates.map((gate) => gate.at),
          ...site.boundary,
        ]
      : []),
  ];
  return whole(unionBox([job, ...about.filter(near).map(([x, y]) => ({ x0: x, y0: y, x1: x, y1: y }))]));
}

/** A window moves in steps: a dig a hand wider does not draw everything anew. */
const WINDOW_STEP = 0.5;
const whole = ({ x0, y0, x1, y1 }: Box): Box => ({
  x0: Math.floor(x0 / WINDOW_STEP) * WINDOW_STEP,
  y0: Math.floor(y0 / WINDOW_STEP) * WINDOW_STEP,
  x1: Math.ceil(x1 / WINDOW_STEP) * WINDOW_STEP,
  y1: Math.ceil(y1 / WINDOW_STEP) * WINDOW_STEP,
});

/** Corners of the room boards take up round a job. */
function reachOfBoards(job: Box, offset: number): [number, number][] {
  const by = offset + 1;
  return [
    [job.x0 - by, job.y0 - by],
    [job.x1 + by, job.y1 + by],
  ];
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

/** The next step up that reads well in metres or feet: 1, 2 or 5 times a power of ten of them. */
export function niceStep(metres: number, system: System): number {
  const unit = system === 'metric' ? 1 : FOOT;
  const wanted = metres / unit;
  const lead = niceLength(wanted);
  const two = Math.abs(lead / 10 ** Math.floor(Math.log10(lead) + 1e-9) - 2) < 1e-6;
  const up = lead >= wanted - 1e-9 ? lead : lead * (two ? 2.5 : 2);
  // Feet are halved and quartered, not tenthed.
  return (system === 'imperial' && up < 1 ? (up <= 0.25 ? 0.25 : 0.5) : up) * unit;
}
