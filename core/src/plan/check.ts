/**
 * What a well-formed plan can still have wrong: a number past its limits, or numbers that
 * contradict each other. No Ajv here, so the desk can run it at every keystroke.
 */
import type { Problem } from '../compute/takeoff.ts';
import { surfaceOf } from '../ground/surface.ts';
import { floorLevels } from '../levels/floors.ts';
import { outOfRange, RANGES, type RangeKey } from './ranges.ts';
import type { Plan, SurfaceSpec } from './schema.ts';

type Spot = readonly [path: string, key: RangeKey, value: number | null | undefined];

const SOIL_VALUES = [
  'density',
  'swell',
  'shrink',
  'repose',
  'permeability',
  'dryDensity',
  'moisture',
  'finer',
  'plasticity',
] as const;
const SHALLOW = ['length', 'width', 'slab', 'edge', 'edgeWidth', 'fall'] as const;
const PRICES = ['dig', 'load', 'stone', 'lean', 'concrete'] as const;

const surfacesChecked = new WeakMap<SurfaceSpec, Spot[]>();
/** A survey can hold thousands of numbers: those past their limits are looked for once. */
function surfaceSpots(surface: SurfaceSpec): Spot[] {
  if (surface.kind === 'plane')
    return [
      ['/ground/surface/level', 'ground.surface.level', surface.level],
      ['/ground/surface/gradeEast', 'ground.surface.gradeEast', surface.gradeEast],
      ['/ground/surface/gradeNorth', 'ground.surface.gradeNorth', surface.gradeNorth],
    ];
  let bad = surfacesChecked.get(surface);
  if (!bad) {
    bad = surface.points.flatMap((point, i) =>
      point
        .map(
          (value, k): Spot => [
            `/ground/surface/points/${i}/${k}`,
            k === 2 ? 'ground.surface.level' : 'elements.coordinate',
            value,
          ],
        )
        .filter(([, key, value]) => outOfRange(key, value ?? 0) !== null),
    );
    surfacesChecked.set(surface, bad);
  }
  return bad;
}

/** Every number of a plan with its path and its range. */
function spots(plan: Plan): Spot[] {
  const { ground, levels, dig, spoil, base, pour } = plan;
  const { climate } = ground.frost;
  return [
    ['/datum/level', 'datum.level', plan.datum.level],
    ['/datum/east', 'datum.east', plan.datum.east],
    ['/datum/north', 'datum.north', plan.datum.north],
    ...surfaceSpots(ground.surface),
    ...ground.soils.flatMap((soil, i): Spot[] => [
      ...SOIL_VALUES.map(
        (value): Spot => [`/ground/soils/${i}/values/${value}`, `ground.soils.${value}`, soil.values[value]],
      ),
      [`/ground/soils/${i}/hand/penetrometer`, 'ground.soils.hand.penetrometer', soil.hand?.penetrometer],
    ]),
    ...ground.logs.flatMap((log, i): Spot[] => [
      [`/ground/logs/${i}/at/0`, 'elements.coordinate', log.at[0]],
      [`/ground/logs/${i}/at/1`, 'elements.coordinate', log.at[1]],
      [`/ground/logs/${i}/bottom`, 'ground.logs.bottom', log.bottom],
      [`/ground/logs/${i}/strike`, 'ground.logs.strike', log.strike],
      [`/ground/logs/${i}/standing`, 'ground.logs.standing', log.standing],
      ...log.layers.map(
        (layer, j): Spot => [`/ground/logs/${i}/layers/${j}/top`, 'ground.logs.layers.top', layer.top],
      ),
    ]),
    ...ground.hazards.flatMap((hazard, i): Spot[] => [
      [`/ground/hazards/${i}/keepOff`, 'ground.hazards.keepOff', hazard.keepOff],
      [`/ground/hazards/${i}/depth`, 'ground.hazards.depth', hazard.depth],
      [`/ground/hazards/${i}/level`, 'ground.hazards.level', hazard.level],
      [`/ground/hazards/${i}/projection`, 'ground.hazards.projection', hazard.projection],
      ...hazard.points.flatMap((point, j) =>
        point.map(
          (value, k): Spot => [`/ground/hazards/${i}/points/${j}/${k}`, 'elements.coordinate', value],
        ),
      ),
    ]),
    ['/ground/waterHigh', 'ground.waterHigh', ground.waterHigh],
    ['/ground/frost/frozen/depth', 'ground.frost.frozen.depth', ground.frost.frozen?.depth],
    ...ground.frost.cover.flatMap((layer, i): Spot[] => [
      [`/ground/frost/cover/${i}/thickness`, 'ground.frost.cover.thickness', layer.thickness],
      [`/ground/frost/cover/${i}/conductivity`, 'ground.frost.cover.conductivity', layer.conductivity],
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
    ...levels.floors.flatMap((floor, i): Spot[] => [
      [`/levels/floors/${i}/level`, 'levels.floors.level', floor.level],
      ...floor.layers.flatMap((layer, j): Spot[] => [
        [`/levels/floors/${i}/layers/${j}/thickness`, 'levels.floors.layers.thickness', layer.thickness],
        [`/levels/floors/${i}/layers/${j}/joint`, 'levels.floors.layers.joint', layer.joint],
      ]),
    ]),
    ['/levels/bearing/embedment', 'levels.bearing.embedment', levels.bearing?.embedment],
    ['/levels/cover', 'levels.cover', levels.cover],
    ['/levels/steps/height', 'levels.steps.height', levels.steps.height],
    ['/levels/steps/lap', 'levels.steps.lap', levels.steps.lap],
    ['/levels/steps/tread', 'levels.steps.tread', levels.steps.tread],
    ['/levels/influence', 'levels.influence', levels.influence],
    ...levels.instructions.flatMap((word, i): Spot[] => [
      [`/levels/instructions/${i}/level`, 'levels.instructions.level', word.level],
      [`/levels/instructions/${i}/width`, 'levels.instructions.width', word.width],
    ]),
    ...SHALLOW.map((key): Spot => [`/levels/shallow/${key}`, `levels.shallow.${key}`, levels.shallow?.[key]]),
    ['/levels/shallow/board/thickness', 'ground.frost.cover.thickness', levels.shallow?.board?.thickness],
    [
      '/levels/shallow/board/conductivity',
      'ground.frost.cover.conductivity',
      levels.shallow?.board?.conductivity,
    ],
    ['/levels/shallow/outfall/distance', 'levels.shallow.distance', levels.shallow?.outfall?.distance],
    ['/levels/shallow/outfall/level', 'levels.shallow.level', levels.shallow?.outfall?.level],
    ...PRICES.map((key): Spot => [`/prices/${key}`, `prices.${key}`, plan.prices[key]]),
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

/** Logs: each starts at the surface, goes down in the order of the soils, and ends below its last layer. */
function logProblems(plan: Plan): Problem[] {
  const out: Problem[] = [];
  const { soils, logs } = plan.ground;
  logs.forEach((log, i) => {
    const path = `/ground/logs/${i}`;
    const params = { name: log.name };
    const [first] = log.layers;
    if (first && first.top > 0)
      out.push({
        code: 'soilsStart',
        path: `${path}/layers/0/top`,
        value: first.top,
        max: 0,
        kind: 'length',
        params,
      });
    let order = -1;
    log.layers.forEach((layer, j) => {
      const above = log.layers[j - 1];
      if (above && layer.top <= above.top)
        out.push({
          code: 'soilsOrder',
          path: `${path}/layers/${j}/top`,
          value: layer.top,
          min: above.top,
          kind: 'length',
          params,
        });
      const at = soils.findIndex((soil) => soil.id === layer.soil);
      if (at === -1)
        out.push({ code: 'unknownSoil', path: `${path}/layers/${j}/soil`, value: layer.soil, params });
      else if (at <= order)
        out.push({ code: 'soilSequence', path: `${path}/layers/${j}/soil`, value: layer.soil, params });
      order = Math.max(order, at);
    });
    const last = log.layers[log.layers.length - 1];
    if (last && log.bottom <= last.top)
      out.push({
        code: 'logBottom',
        path: `${path}/bottom`,
        value: log.bottom,
        min: last.top,
        kind: 'length',
        params,
      });
    logs.slice(0, i).forEach((other) => {
      if (Math.hypot(other.at[0] - log.at[0], other.at[1] - log.at[1]) < 0.01)
        out.push({ code: 'logsTogether', path: `${path}/at/0`, params: { ...params, other: other.name } });
    });
  });
  return out;
}

/** The surface: spots that can be triangulated, breaklines that do not cross. */
function surfaceProblems(plan: Plan): Problem[] {
  const made = surfaceOf(plan.ground.surface);
  if (made.ok) return [];
  const { fault } = made;
  const path = '/ground/surface';
  switch (fault.code) {
    case 'duplicateSpot':
      return [
        {
          code: fault.code,
          path: `${path}/points/${fault.at}`,
          params: { at: fault.at + 1, other: fault.other + 1 },
        },
      ];
    case 'collinear':
      return [{ code: fault.code, path: `${path}/points` }];
    case 'breaklinesCross':
      return [
        {
          code: fault.code,
          path: `${path}/breaklines/${fault.line}`,
          params: { line: fault.line + 1, from: fault.from + 1, to: fault.to + 1 },
        },
      ];
    case 'breaklineSpot':
      return [
        {
          code: fault.code,
          path: `${path}/breaklines/${fault.line}`,
          params: { line: fault.line + 1, at: fault.at + 1 },
        },
      ];
  }
}

/** Numbers that are each in range but contradict one another, and ids that point nowhere. */
export function crossProblems(plan: Plan): Problem[] {
  const surface = surfaceProblems(plan);
  if (surface.length > 0) return surface;
  const out: Problem[] = logProblems(plan);
  const { soils, logs, base, frost } = plan.ground;
  const deepest = Math.max(...logs.flatMap((log) => log.layers.map((layer) => layer.top)));
  if (base <= deepest)
    out.push({ code: 'baseAboveSoils', path: '/ground/base', value: base, min: deepest, kind: 'length' });
  const ids = (list: readonly { readonly id: string }[]) => list.map((entry) => entry.id);
  out.push(
    ...duplicates(ids(soils), '/ground/soils'),
    ...duplicates(ids(logs), '/ground/logs'),
    ...duplicates(ids(plan.ground.hazards), '/ground/hazards'),
    ...duplicates(ids(plan.levels.floors), '/levels/floors'),
    ...duplicates(ids(plan.levels.instructions), '/levels/instructions'),
    ...duplicates(ids(plan.elements), '/elements'),
    ...duplicates(ids(plan.spoil.trucks), '/spoil/trucks'),
  );
  if (frost.climate && frost.climate.index === null && frost.climate.record.length === 0)
    out.push({ code: 'climateOpen', path: '/ground/frost/climate/index' });
  frost.climate?.shape.forEach((share, i, all) => {
    if (i > 0 && share < all[i - 1]! - 1e-9)
      out.push({ code: 'shapeFalls', path: `/ground/frost/climate/shape/${i}`, value: share });
  });
  const { bearing, floors, string, instructions } = plan.levels;
  if (bearing && !soils.some((soil) => soil.id === bearing.soil))
    out.push({ code: 'unknownSoil', path: '/levels/bearing/soil', value: bearing.soil });
  // A string or floor this far from the ground is a slip of datum, not a tall job.
  const here = groundHere(plan);
  const near = (path: string, level: number) => {
    if (Math.abs(level - here) > 30)
      out.push({ code: 'farFromGround', path, value: level, min: here - 30, max: here + 30, kind: 'level' });
  };
  near('/levels/string', string);
  const levels = floorLevels(floors);
  floors.forEach((floor, i) => {
    const level = levels.get(floor.id);
    if (floor.above !== null && !floors.some((other) => other.id === floor.above))
      out.push({ code: 'unknownFloor', path: `/levels/floors/${i}/above`, value: floor.above });
    else if (level === undefined)
      out.push({ code: 'circular', path: `/levels/floors/${i}/above`, params: { name: floor.name } });
    else near(`/levels/floors/${i}/level`, level);
    floor.layers.forEach((layer, j) => {
      if (layer.joint !== null && j < floor.layers.length - 1)
        out.push({
          code: 'coursesLast',
          path: `/levels/floors/${i}/layers/${j}/joint`,
          params: { name: layer.name },
        });
    });
  });
  instructions.forEach((word, i) => {
    if (word.level !== null) near(`/levels/instructions/${i}/level`, word.level);
    word.elements.forEach((id, j) => {
      if (!plan.elements.some((element) => element.id === id))
        out.push({ code: 'unknownElement', path: `/levels/instructions/${i}/elements/${j}`, value: id });
    });
  });
  plan.elements.forEach((element, i) => {
    if (element.floor !== null && !floors.some((floor) => floor.id === element.floor))
      out.push({ code: 'unknownFloor', path: `/elements/${i}/floor`, value: element.floor });
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

/** Ground level about the middle of the job: what other levels are held against. */
function groundHere(plan: Plan): number {
  const made = surfaceOf(plan.ground.surface);
  if (!made.ok) return plan.datum.level;
  const places = plan.elements.map((element) => (element.kind === 'strip' ? element.points[0]! : element.at));
  const [x, y] = places[0] ?? plan.ground.logs[0]?.at ?? [0, 0];
  return made.surface.level(x, y);
}

export const checkPlan = (plan: Plan): Problem[] => {
  const ranges = rangeProblems(plan);
  return ranges.length > 0 ? ranges : crossProblems(plan);
};
