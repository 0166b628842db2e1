/**
 * What a well-formed plan can still have wrong: a number past its limits, or numbers that
 * contradict each other. No Ajv here, so the desk can run it at every keystroke.
 */
import type { Problem } from '../compute/takeoff.ts';
import { outOfRange, RANGES, type RangeKey } from './ranges.ts';
import type { Plan } from './schema.ts';

type Spot = readonly [path: string, key: RangeKey, value: number | null | undefined];

/** Every number of a plan with its path and its range. */
function spots(plan: Plan): Spot[] {
  const { ground, levels, dig, spoil, base, pour } = plan;
  const { climate } = ground.frost;
  return [
    ['/datum/level', 'datum.level', plan.datum.level],
    ['/ground/surface/level', 'ground.surface.level', ground.surface.level],
    ['/ground/surface/gradeEast', 'ground.surface.gradeEast', ground.surface.gradeEast],
    ['/ground/surface/gradeNorth', 'ground.surface.gradeNorth', ground.surface.gradeNorth],
    ...ground.soils.flatMap((soil, i): Spot[] => [
      [`/ground/soils/${i}/top`, 'ground.soils.top', soil.top],
      [`/ground/soils/${i}/values/density`, 'ground.soils.density', soil.values.density],
      [`/ground/soils/${i}/values/swell`, 'ground.soils.swell', soil.values.swell],
      [`/ground/soils/${i}/values/shrink`, 'ground.soils.shrink', soil.values.shrink],
      [`/ground/soils/${i}/values/repose`, 'ground.soils.repose', soil.values.repose],
      [`/ground/soils/${i}/values/permeability`, 'ground.soils.permeability', soil.values.permeability],
    ]),
    ['/ground/base', 'ground.base', ground.base],
    ['/ground/water', 'ground.water', ground.water],
    ['/ground/frost/local', 'ground.frost.local', ground.frost.local],
    ['/ground/frost/margin', 'ground.frost.margin', ground.frost.margin],
    ['/ground/frost/climate/index', 'ground.frost.climate.index', climate?.index],
    ['/ground/frost/climate/days', 'ground.frost.climate.days', climate?.days],
    ['/ground/frost/climate/mean', 'ground.frost.climate.mean', climate?.mean],
    ['/ground/frost/climate/nFactor', 'ground.frost.climate.nFactor', climate?.nFactor],
    ['/levels/string', 'levels.string', levels.string],
    ['/levels/floor/level', 'levels.floor.level', levels.floor?.level],
    ...(levels.floor?.layers ?? []).map(
      (layer, i): Spot => [
        `/levels/floor/layers/${i}/thickness`,
        'levels.floor.layers.thickness',
        layer.thickness,
      ],
    ),
    ['/levels/bearing/embedment', 'levels.bearing.embedment', levels.bearing?.embedment],
    ['/levels/cover', 'levels.cover', levels.cover],
    ['/levels/instruction/level', 'levels.instruction.level', levels.instruction?.level],
    ['/dig/side', 'dig.side', dig.side],
    ['/dig/room', 'dig.room', dig.room],
    ['/dig/handTrim', 'dig.handTrim', dig.handTrim],
    ...dig.buckets.map((bucket, i): Spot => [`/dig/buckets/${i}`, 'dig.buckets', bucket]),
    ...spoil.trucks.flatMap((truck, i): Spot[] => [
      [`/spoil/trucks/${i}/body`, 'spoil.trucks.body', truck.body],
      [`/spoil/trucks/${i}/payload`, 'spoil.trucks.payload', truck.payload],
    ]),
    ['/base/thickness', 'base.thickness', base?.thickness],
    ['/base/density', 'base.density', base?.density],
    ['/base/looseFactor', 'base.looseFactor', base?.looseFactor],
    ['/base/topSize', 'base.topSize', base?.topSize],
    ['/base/maxLift', 'base.maxLift', base?.maxLift],
    ['/pour/blinding/thickness', 'pour.blinding.thickness', pour.blinding?.thickness],
    ['/pour/blinding/projection', 'pour.blinding.projection', pour.blinding?.projection],
    ['/pour/irregularity', 'pour.irregularity', pour.irregularity],
    ['/pour/waste', 'pour.waste', pour.waste],
    ['/pour/step', 'pour.step', pour.step],
    ['/pour/truck', 'pour.truck', pour.truck],
    ...plan.elements.flatMap((element, i): Spot[] => {
      const path = `/elements/${i}`;
      const own: Spot[] =
        element.kind === 'strip'
          ? element.points.flatMap((point, j) =>
              point.map((value, k): Spot => [`${path}/points/${j}/${k}`, 'elements.coordinate', value]),
            )
          : [
              [`${path}/at/0`, 'elements.coordinate', element.at[0]],
              [`${path}/at/1`, 'elements.coordinate', element.at[1]],
              [`${path}/length`, 'elements.length', element.length],
              [`${path}/angle`, 'elements.angle', element.angle],
            ];
      return [
        ...own,
        [`${path}/width`, 'elements.width', element.width],
        [`${path}/thickness`, 'elements.thickness', element.thickness],
        [`${path}/stem`, 'elements.stem', element.stem],
        [`${path}/side`, 'dig.side', element.side],
        [`${path}/room`, 'dig.room', element.room],
        [`${path}/bucket`, 'dig.buckets', element.bucket],
        [`${path}/low`, 'elements.low', element.low],
      ];
    }),
  ];
}

/** Numbers past their limits: field, value and limits named. */
export function rangeProblems(plan: Plan): Problem[] {
  const out: Problem[] = [];
  for (const [path, key, value] of spots(plan)) {
    if (value === null || value === undefined) continue;
    const code = outOfRange(key, value);
    if (code === null) continue;
    const { min, max, kind } = RANGES[key];
    out.push({ code, path, min, max, kind, value: Number.isFinite(value) ? value : String(value) });
  }
  return out;
}

function duplicates(ids: readonly string[], path: string): Problem[] {
  return ids.flatMap((id, i) =>
    ids.indexOf(id) < i ? [{ code: 'duplicateId', path: `${path}/${i}/id`, value: id }] : [],
  );
}

/** Numbers that are each in range but contradict one another, and ids that point nowhere. */
export function crossProblems(plan: Plan): Problem[] {
  const out: Problem[] = [];
  const { soils, surface, base } = plan.ground;
  if (soils[0] && soils[0].top > 0)
    out.push({
      code: 'soilsStart',
      path: '/ground/soils/0/top',
      value: soils[0].top,
      max: 0,
      kind: 'length',
    });
  soils.forEach((soil, i) => {
    const above = soils[i - 1];
    if (above && soil.top <= above.top)
      out.push({
        code: 'soilsOrder',
        path: `/ground/soils/${i}/top`,
        value: soil.top,
        min: above.top,
        kind: 'length',
      });
  });
  const last = soils[soils.length - 1];
  if (last && base <= last.top)
    out.push({ code: 'baseAboveSoils', path: '/ground/base', value: base, min: last.top, kind: 'length' });
  out.push(
    ...duplicates(
      soils.map((s) => s.id),
      '/ground/soils',
    ),
    ...duplicates(
      plan.elements.map((e) => e.id),
      '/elements',
    ),
    ...duplicates(
      plan.spoil.trucks.map((t) => t.id),
      '/spoil/trucks',
    ),
  );
  const { bearing, floor, string } = plan.levels;
  if (bearing && !soils.some((soil) => soil.id === bearing.soil))
    out.push({ code: 'unknownSoil', path: '/levels/bearing/soil', value: bearing.soil });
  // A string or floor this far from the ground is a slip of datum, not a tall job.
  const near = (path: string, level: number) => {
    if (Math.abs(level - surface.level) > 30)
      out.push({
        code: 'farFromGround',
        path,
        value: level,
        min: surface.level - 30,
        max: surface.level + 30,
        kind: 'level',
      });
  };
  near('/levels/string', string);
  if (floor) near('/levels/floor/level', floor.level);
  if (plan.levels.instruction) near('/levels/instruction/level', plan.levels.instruction.level);
  plan.elements.forEach((element, i) => {
    if (element.stem > element.width + 1e-9)
      out.push({
        code: 'stemWider',
        path: `/elements/${i}/stem`,
        value: element.stem,
        max: element.width,
        kind: 'size',
      });
    if (element.kind === 'strip') {
      const [first] = element.points;
      const long = element.points.some((p) => first && Math.hypot(p[0] - first[0], p[1] - first[1]) > 1e-3);
      if (!long) out.push({ code: 'zeroLength', path: `/elements/${i}/points` });
    }
  });
  return out;
}

export const checkPlan = (plan: Plan): Problem[] => {
  const ranges = rangeProblems(plan);
  return ranges.length > 0 ? ranges : crossProblems(plan);
};
