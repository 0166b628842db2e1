/** Every number a plan holds, by walking it: where it stands and which field of the table it is. */
import { FIELDS, type FieldId, isField, outOfRange } from './fields.ts';
import type { Plan, SurfaceSpec } from './schema.ts';

export type PlanNumber = readonly [path: string, field: FieldId, value: number];

function walk(value: unknown, path: string, pattern: string, out: PlanNumber[]): void {
  if (typeof value === 'number') {
    if (isField(pattern)) out.push([path, pattern, value]);
  } else if (Array.isArray(value))
    value.forEach((item, i) => {
      const own = `${pattern}/${i}`;
      walk(item, `${path}/${i}`, isField(own) ? own : `${pattern}/*`, out);
    });
  else if (typeof value === 'object' && value !== null)
    for (const [key, item] of Object.entries(value)) walk(item, `${path}/${key}`, `${pattern}/${key}`, out);
}

const surfacesChecked = new WeakMap<SurfaceSpec, PlanNumber[]>();
/** A survey can hold thousands of numbers: those past their limits are looked for once. */
function surfaceNumbers(surface: SurfaceSpec): PlanNumber[] {
  const known = surfacesChecked.get(surface);
  if (known) return known;
  const out: PlanNumber[] = [];
  if (surface.kind === 'plane') walk(surface, '/ground/surface', '/ground/surface', out);
  else
    surface.points.forEach((point, i) => {
      point.forEach((value, k) => {
        const field = SPOT[k]!;
        if (outOfRange(FIELDS[field], value) !== null)
          out.push([`/ground/surface/points/${i}/${k}`, field, value]);
      });
    });
  surfacesChecked.set(surface, out);
  return out;
}
const SPOT = [
  '/ground/surface/points/*/0',
  '/ground/surface/points/*/1',
  '/ground/surface/points/*/2',
] as const satisfies readonly FieldId[];

/** Every number of a plan; of a survey only those past their limits. */
export function numbersOf(plan: Plan): PlanNumber[] {
  const { surface, ...ground } = plan.ground;
  const out: PlanNumber[] = [];
  walk({ ...plan, ground }, '', '', out);
  return [...surfaceNumbers(surface), ...out];
}
