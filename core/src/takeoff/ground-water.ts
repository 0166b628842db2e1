/**
 * Ground water of a job beyond its holes: how far it falls under what stands near, whether a bottom is lifted
 * or boils, where water on the ground runs to, what stands too low beside a stream.
 */
import type { Polygon } from '../geometry/index.ts';
import { groundModel, type Layer, type Soil } from '../ground/index.ts';
import { distanceTo } from '../levels/index.ts';
import type { Hazard, Plan } from '../plan/schema.ts';
import { floodTop } from '../pour/index.ts';
import {
  fallAt,
  type Heave,
  type Hole,
  heave,
  isGrainy,
  type Piping,
  piping,
  runsTo,
  saturated,
} from '../water/index.ts';
import type { ElementTakeoff } from './element.ts';
import type { Job } from './job.ts';

type Elements = readonly ElementTakeoff[];
type Three = readonly [number, number, number];

/** Something that stands on ground water, or draws from it. */
export interface DrawnAround {
  readonly hazard: string;
  readonly name: string;
  readonly kind: 'footing' | 'well';
  /** m to the nearest hole. */
  readonly distance: number;
  /** m the water falls there: with the low, the likely and the high figure of the ground. */
  readonly fall: Three;
}

const apart = ({ points }: Hazard, openings: readonly Polygon[]): number =>
  openings.reduce((least, polygon) => Math.min(least, distanceTo(points, polygon)), Infinity);

/** How far ground water falls under neighbours' footings and in wells while the holes are held. */
export function drawnAround({ ground }: Plan, holes: readonly Hole[], elements: Elements): DrawnAround[] {
  return ground.hazards.flatMap((hazard): DrawnAround[] => {
    const { id, name, kind } = hazard;
    if (kind !== 'footing' && kind !== 'well') return [];
    const near = holes.map((hole) => ({
      hole,
      distance: apart(
        hazard,
        hole.elements.flatMap((i) => elements[i]!.openings),
      ),
    }));
    const fall = (which: 0 | 1 | 2) =>
      fallAt(near.map(({ hole, distance }) => ({ hole, k: hole.k[which], distance })));
    if (near.length === 0) return [];
    return [
      {
        hazard: id,
        name,
        kind,
        distance: Math.min(...near.map(({ distance }) => distance)),
        fall: [fall(0), fall(1), fall(2)],
      },
    ];
  });
}

/**
 * What a soil weighs full of water, kg/m³. Somebody who typed its density as it is in the ground, or dry, is
 * believed; of both the lower, since it is what holds a bottom down.
 */
function weighed({ layer, dryDensity }: Soil): number {
  const { density, dryDensity: dry } = layer.values;
  if (density === undefined) return saturated(dryDensity);
  return dry === undefined ? density : Math.min(density, saturated(dry));
}

/** Mass over a level, of soil full of water, kg/m². @param from and @param to depths below the ground */
const massBetween = (column: readonly Layer[], from: number, to: number): number =>
  column.reduce((sum, { soil, top, bottom }) => {
    const thick = Math.max(0, Math.min(to, bottom) - Math.max(from, top));
    return sum + thick * weighed(soil);
  }, 0);

/** The least that holds an element's bottom down over water under pressure; null when none presses. */
export function heaveUnder(plan: Plan, e: ElementTakeoff): Heave | null {
  const { confined } = plan.ground;
  if (!confined) return null;
  const model = groundModel(plan);
  return e.places.reduce<Heave | null>((worst, [x, y]) => {
    const surface = model.level(x, y);
    const over = massBetween(model.column(x, y), surface - e.lowest, surface - confined.top);
    const here = heave(over, confined.top, confined.level);
    return here && (!worst || here.safety < worst.safety) ? here : worst;
  }, null);
}

/** Across to up of an element's sides, as water meets them on its way to the bottom. */
function sideSlope({ dig }: Plan, { support, slope }: ElementTakeoff): number {
  if (support === 'slope') return slope;
  return support === 'bench' && dig.bench.height > 0 ? dig.bench.width / dig.bench.height : 0;
}

/** Whether water that is pumped from inside lifts the grains of a bottom: at the worst place of it. */
export function pipingUnder(plan: Plan, e: ElementTakeoff): Piping | null {
  if (e.water === null || e.water <= e.lowest || e.bays) return null;
  const head = e.water - e.lowest;
  const model = groundModel(plan);
  return e.places.reduce<Piping | null>((worst, [x, y]) => {
    const depth = model.level(x, y) - e.lowest;
    const under = model.column(x, y).filter((layer) => layer.bottom > depth);
    const { soil } = under[0] ?? {};
    if (!soil) return worst;
    const end = under.find((layer) => !isGrainy(layer.soil.layer.kind))?.top ?? under.at(-1)!.bottom;
    const here = piping(
      soil.layer.kind,
      head,
      sideSlope(plan, e),
      Math.min(e.width.dug, e.bottomLength ?? Infinity),
      end - depth,
      weighed(soil),
    );
    return here && (!worst || here.toe / here.asked < worst.toe / worst.asked) ? here : worst;
  }, null);
}

/** Water discharged on the ground, and the element whose hole it runs into; null: none. */
export interface SurfaceRun {
  readonly id: string;
  readonly element: string | null;
  readonly way: readonly (readonly [number, number])[];
}

/** Where everything runs that brings water to the ground beside the dig. */
export function surfaceRuns(plan: Plan, elements: Elements): SurfaceRun[] {
  const { surface, ditches } = plan.water;
  if (surface.length === 0) return [];
  const { level } = groundModel(plan);
  const live = elements.filter((e) => e.live);
  const openings = live.map((e) => e.openings);
  const lines = ditches.map(({ points }) => points);
  const known = [
    ...plan.site.boundary,
    ...plan.ground.logs.map((log) => log.at),
    ...plan.ground.hazards.flatMap(({ points }) => points),
    ...(plan.ground.surface.kind === 'spots'
      ? plan.ground.surface.points.map(([x, y]) => [x, y] as const)
      : []),
    ...lines.flat(),
  ];
  // What still ran when it was given up following may come to the nearest hole: told as if it did.
  const nearestTo = (at: readonly [number, number]) => {
    const far = (e: ElementTakeoff) => Math.min(...e.openings.map((opening) => distanceTo([at], opening)));
    return live.reduce<ElementTakeoff | null>(
      (least, e) => (least && far(least) <= far(e) ? least : e),
      null,
    );
  };
  return surface.map(({ id, at }): SurfaceRun => {
    const { hole, way, cutOff } = runsTo(level, at, openings, lines, known);
    return { id, element: (cutOff ? nearestTo(at) : live[hole])?.id ?? null, way };
  });
}

/** Floors and walls whose tops stand too low over the flood of a stream; `element` of a wall. */
export function underFlood({
  plan,
  stacks,
  elements,
}: Pick<Job, 'plan' | 'stacks'> & {
  readonly elements: readonly Pick<ElementTakeoff, 'element' | 'rising'>[];
}): {
  readonly element: string | null;
  readonly name: string;
  readonly level: number;
  readonly least: number;
}[] {
  const least = floodTop(plan);
  if (least === null) return [];
  const low = (element: string | null, name: string, level: number | null) =>
    level !== null && level < least - 1e-6 ? [{ element, name, level, least }] : [];
  return [
    ...stacks.flatMap(({ floor, level }) => low(null, floor.name, level)),
    ...elements.flatMap(({ element, rising }) => low(element.id, element.name, rising?.top ?? null)),
  ];
}
