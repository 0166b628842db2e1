/** Floors and the layers under them: levels of each, and where the footing's top must stay under. */
import type { FloorLayer, FloorSpec, Plan } from '../plan/schema.ts';

/** Finished level of every floor by id, m. A floor that refers to itself through others has none. */
export function floorLevels(floors: readonly FloorSpec[]): Map<string, number> {
  const byId = new Map(floors.map((floor) => [floor.id, floor]));
  const out = new Map<string, number>();
  const resolve = (id: string, seen: readonly string[]): number | null => {
    const floor = byId.get(id);
    if (!floor || seen.includes(id)) return null;
    if (floor.above === null) return floor.level;
    const under = resolve(floor.above, [...seen, id]);
    return under === null ? null : under + floor.level;
  };
  for (const { id } of floors) {
    const level = resolve(id, []);
    if (level !== null) out.set(id, level);
  }
  return out;
}

/** Courses under a floor: unit and joint make the module. */
export interface Coursing {
  readonly layer: FloorLayer;
  readonly unit: number;
  readonly joint: number;
  readonly module: number;
}

export interface StackLayer {
  readonly layer: FloorLayer;
  readonly top: number;
  readonly bottom: number;
}

/** A floor's layers with their levels, counted down from its finished level. */
export interface FloorStack {
  readonly floor: FloorSpec;
  readonly level: number;
  /** Layers laid once, from the top down; courses stand apart. */
  readonly layers: readonly StackLayer[];
  /** Under the last of them: the footing, or the courses on it, stays below. */
  readonly underside: number;
  readonly courses: Coursing | null;
}

/** Every floor's stack. Floors without a level of their own are left out. */
export function floorStacks(plan: Plan): FloorStack[] {
  const levels = floorLevels(plan.levels.floors);
  return plan.levels.floors.flatMap((floor) => {
    const level = levels.get(floor.id);
    if (level === undefined) return [];
    let at = level;
    const layers: StackLayer[] = [];
    let courses: Coursing | null = null;
    for (const layer of floor.layers) {
      if (layer.joint !== null) {
        courses = { layer, unit: layer.thickness, joint: layer.joint, module: layer.thickness + layer.joint };
        continue;
      }
      layers.push({ layer, top: at, bottom: at - layer.thickness });
      at -= layer.thickness;
    }
    return [{ floor, level, layers, underside: at, courses }];
  });
}

/** How courses come out between a footing's top and the stack over them. */
export interface CourseFit {
  /** Whole courses. */
  readonly count: number;
  /** What is left over, m: 0 when they come out even. */
  readonly left: number;
  /** A unit cut to this height makes it up, with its joint; null when nothing is left or it is too thin. */
  readonly cut: number | null;
  /** Or a first bed this thick. */
  readonly bed: number | null;
}

/** Thinnest piece of masonry worth laying, m. */
const LEAST_CUT = 0.03;

/**
 * @param height from the footing's top to the underside of the stack, m, ≥ 0
 */
export function courseFit(height: number, { module, joint }: Coursing): CourseFit {
  const count = Math.floor(height / module + 1e-9);
  const left = Math.max(0, height - count * module);
  if (left < 1e-6) return { count, left: 0, cut: null, bed: null };
  const cut = left - joint;
  return { count, left, cut: cut >= LEAST_CUT ? cut : null, bed: left + joint };
}
