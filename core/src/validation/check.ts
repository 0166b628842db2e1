/**
 * What a well-formed plan can still have wrong: a number past its limits, or numbers that
 * contradict each other. No Ajv here, so the desk can run it at every keystroke.
 */

import { area, flat } from '../geometry/index.ts';
import { surfaceOf } from '../ground/surface.ts';
import { floorLevels } from '../levels/floors.ts';
import { layerValues } from '../plan/beds.ts';
import type { Element } from '../plan/elements.ts';
import { FIELDS, outOfRange } from '../plan/fields.ts';
import { DEEPEST_DIG } from '../plan/limits.ts';
import { numbersOf } from '../plan/numbers.ts';
import type { Plan } from '../plan/schema.ts';
import { oldWallOf, outlineOf, typedOutfallOf } from '../plan/variants.ts';
import { elementOfCast } from '../pour/pours.ts';
import type { Problem, ProblemCode } from '../results/index.ts';
import { axisOf } from '../setout/footprint.ts';
import { shapeOf } from '../setout/kinds.ts';
import { pointsOf } from '../setout/places.ts';
import { isDay, isZone } from '../time/index.ts';
import { gradingFault } from '../water/filter.ts';
import { curveFault } from '../water/pump.ts';
import { outlineProblems, shapeProblems } from './elements.ts';

/** Numbers past their limits: field, value and limits named. */
export function rangeProblems(plan: Plan): Problem[] {
  const out: Problem[] = [];
  for (const [path, field, value] of numbersOf(plan)) {
    const { min, max, kind } = FIELDS[field];
    const code = outOfRange(FIELDS[field], value);
    if (code === null) continue;
    out.push({ code, path, min, max, kind, value: Number.isFinite(value) ? value : String(value) });
  }
  return out;
}

function duplicates(ids: readonly string[], path: string, key = 'id'): Problem[] {
  return ids.flatMap((id, i) =>
    ids.indexOf(id) < i ? [{ code: 'duplicateId', path: `${path}/${i}/${key}`, value: id }] : [],
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

/** Floors that count from nothing or in a circle; layers in an order that cannot be built. */
function floorProblems(
  { levels: { floors, strings } }: Plan,
  near: (path: string, level: number) => void,
): Problem[] {
  const out: Problem[] = [];
  const levels = floorLevels(floors);
  floors.forEach((floor, i) => {
    const level = levels.get(floor.id);
    const above = `/levels/floors/${i}/above`;
    if (floor.string !== null && !strings.some((string) => string.id === floor.string))
      out.push({ code: 'unknownString', path: `/levels/floors/${i}/string`, value: floor.string });
    if (floor.above !== null && !floors.some((other) => other.id === floor.above))
      out.push({ code: 'unknownFloor', path: above, value: floor.above });
    else if (level === undefined) out.push({ code: 'circular', path: above, params: { name: floor.name } });
    else near(`/levels/floors/${i}/level`, level);
    floor.layers.forEach(({ joint, name }, j) => {
      if (joint !== null && j < floor.layers.length - 1)
        out.push({ code: 'coursesLast', path: `/levels/floors/${i}/layers/${j}/joint`, params: { name } });
    });
  });
  return out;
}

/** Layers that cannot be laid: thinner than the stone they are of. */
function bedProblems({ beds, compactors }: Plan): Problem[] {
  return [
    ...duplicates(
      compactors.map(({ kind }) => kind),
      '/compactors',
      'kind',
    ),
    ...duplicates(
      beds.map((bed) => bed.id),
      '/beds',
    ),
    ...beds.flatMap((bed, i) => [
      ...duplicates(
        bed.layers.map((layer) => layer.id),
        `/beds/${i}/layers`,
      ),
      ...bed.layers.flatMap((layer, j): Problem[] => {
        const { topSize, cast } = layerValues(layer);
        if (cast || layer.thickness >= topSize - 1e-9) return [];
        return [
          {
            code: 'layerUnderStone',
            path: `/beds/${i}/layers/${j}/thickness`,
            value: layer.thickness,
            min: topSize,
            kind: 'size',
            params: { name: bed.name },
          },
        ];
      }),
    ]),
  ];
}

/** Tells of a level too far from the ground of the job; one that is not there is not. */
type Near = (path: string, level: number | null | undefined) => void;

/** Ids that stand twice, list by list. */
function doubleIds({ ground, water, levels, pour, elements, spoil, site, backfill }: Plan): Problem[] {
  const lists: Readonly<Record<string, readonly { readonly id: string }[]>> = {
    '/ground/soils': ground.soils,
    '/ground/logs': ground.logs,
    '/ground/hazards': ground.hazards,
    '/levels/floors': levels.floors,
    '/levels/strings': levels.strings,
    '/ground/obstructions': ground.obstructions,
    '/ground/softSpots': ground.softSpots,
    '/water/ditches': water.ditches,
    '/water/pumps': water.pumps,
    '/water/surface': water.surface,
    '/pour/together': pour.together,
    '/pour/steel': pour.steel,
    '/pour/fittings': pour.fittings,
    '/site/strips': site.strips,
    '/levels/instructions': levels.instructions,
    '/elements': elements,
    '/spoil/trucks': spoil.trucks,
  };
  return [
    ...Object.entries(lists).flatMap(([path, list]) =>
      duplicates(
        list.map((entry) => entry.id),
        path,
      ),
    ),
    ...duplicates(
      backfill.soils.map(({ soil }) => soil),
      '/backfill/soils',
      'soil',
    ),
  ];
}

/** What a winter lacks, or has the wrong way round. */
function winterProblems({ ground: { frost } }: Plan): Problem[] {
  const out: Problem[] = [];
  if (frost.climate && frost.climate.index === null && frost.climate.record.length === 0)
    out.push({ code: 'climateOpen', path: '/ground/frost/climate/index' });
  frost.climate?.shape.forEach((share, i, all) => {
    if (i > 0 && share < all[i - 1]! - 1e-9)
      out.push({ code: 'shapeFalls', path: `/ground/frost/climate/shape/${i}`, value: share });
  });
  return out;
}

/** Hoses are no narrower than a garden's, m. */
const LEAST_HOSE = 0.01;

/** Hours that are none, a hose without width, a start level below its stop, a curve that rises, rain by the hour without hours. */
function waterProblems({ water }: Plan, near: Near): Problem[] {
  const { zone, storm, dryBy, pumps } = water;
  if (!isZone(zone)) return [{ code: 'unknownZone', path: '/water/zone', value: zone }];
  const out: Problem[] = [];
  const moment = (path: string, local: string | null | undefined) => {
    if (local != null && !isDay(local)) out.push({ code: 'noSuchDay', path, value: local.replace('T', ' ') });
  };
  moment('/water/storm/start', storm?.start);
  moment('/water/dryBy', dryBy);
  if (storm?.pattern === 'hourly' && storm.hourly.length === 0)
    out.push({ code: 'hourlyEmpty', path: '/water/storm/hourly' });
  pumps.forEach(({ name, kind, hose, start, stop, sump, curve, outlet, from, until }, i) => {
    const path = `/water/pumps/${i}`;
    moment(`${path}/from`, from);
    moment(`${path}/until`, until);
    near(`${path}/outlet`, outlet);
    const params = { name };
    // Water comes through no hose that has no width; only who bails has none.
    if (kind !== 'bucket' && hose.diameter < LEAST_HOSE)
      out.push({
        code: 'range',
        path: `${path}/hose/diameter`,
        value: hose.diameter,
        min: LEAST_HOSE,
        kind: 'size',
      });
    if (start <= stop)
      out.push({
        code: 'startUnderStop',
        path: `${path}/start`,
        value: start,
        min: stop,
        kind: 'size',
        params,
      });
    if (stop < -sump.depth)
      out.push({
        code: 'stopUnderSump',
        path: `${path}/stop`,
        value: stop,
        min: -sump.depth,
        kind: 'size',
        params,
      });
    const fault = curve.length === 1 ? 0 : curveFault(curve);
    if (fault !== null)
      out.push({
        code: 'curveRises',
        path: `${path}/curve/${fault}/head`,
        value: curve[fault]!.head,
        kind: 'length',
        params,
      });
  });
  return out;
}

/** Filters, and what was found of fill, of soils that are not there or have two; sieves that do not rise. */
function filterProblems({ ground: { soils }, water: { filters }, backfill }: Plan): Problem[] {
  return [
    ...backfill.soils.flatMap(({ soil }, i): Problem[] =>
      soils.some(({ id }) => id === soil)
        ? []
        : [{ code: 'unknownSoil', path: `/backfill/soils/${i}/soil`, value: soil }],
    ),
    ...duplicates(
      filters.map(({ soil }) => soil),
      '/water/filters',
      'soil',
    ),
    ...filters.flatMap(({ soil, grading }, i): Problem[] => {
      const path = `/water/filters/${i}`;
      if (!soils.some(({ id }) => id === soil))
        return [{ code: 'unknownSoil', path: `${path}/soil`, value: soil }];
      const fault = gradingFault(grading);
      return fault === null
        ? []
        : [
            {
              code: 'gradingFalls',
              path: `${path}/grading/${fault}/passing`,
              value: grading[fault]!.passing,
              kind: 'percent',
            },
          ];
    }),
  ];
}

/** Elements that are spoken of and are not there. */
function unknownElements({ ground, water, pour, elements, backfill }: Plan): Problem[] {
  const named = [
    ...ground.obstructions.flatMap(({ element }, i) =>
      element === null ? [] : [{ path: `/ground/obstructions/${i}/element`, value: element }],
    ),
    ...water.pumps.map(({ element }, i) => ({ path: `/water/pumps/${i}/element`, value: element })),
    ...water.drained.map(({ element }, i) => ({ path: `/water/drained/${i}/element`, value: element })),
    ...pour.together.flatMap(({ elements: own }, i) =>
      own.map((value, j) => ({ path: `/pour/together/${i}/elements/${j}`, value })),
    ),
    ...pour.steel.map(({ element }, i) => ({ path: `/pour/steel/${i}/element`, value: element })),
    ...pour.fittings.map(({ element }, i) => ({ path: `/pour/fittings/${i}/element`, value: element })),
    ...pour.placing.noJoint.map((value, i) => ({ path: `/pour/placing/noJoint/${i}`, value })),
    ...(['floors', 'oneSided'] as const).flatMap((list) =>
      backfill[list].map(({ element }, i) => ({ path: `/backfill/${list}/${i}/element`, value: element })),
    ),
  ];
  return named
    .filter(({ value }) => !elements.some((element) => element.id === elementOfCast(value)))
    .map((one): Problem => ({ code: 'unknownElement', ...one }));
}

/** How a pour is placed and formed, where one figure has to hold another. */
function placingProblems({ pour: { placing, truck, forms } }: Plan): Problem[] {
  const out: Problem[] = [];
  // Where nobody typed a rate it is the program's own: nothing typed is wrong.
  const oneLoad = placing.rate === null ? 0 : truck / placing.rate;
  if (placing.open < oneLoad - 1e-9)
    out.push({
      code: 'openShort',
      path: '/pour/placing/open',
      value: placing.open,
      min: oneLoad,
      kind: 'hours',
    });
  forms.stock.forEach((value, i) => {
    if (value < forms.stakes - 1e-9)
      out.push({
        code: 'stockShort',
        path: `/pour/forms/stock/${i}`,
        value,
        min: forms.stakes,
        kind: 'length',
      });
  });
  return out;
}

/** What a service passes through in has to let it through. */
const crossingProblems = ({ ground }: Plan): Problem[] =>
  ground.hazards.flatMap(({ crossing, name }, i): Problem[] =>
    crossing && (crossing.how === 'sleeve' || crossing.how === 'leaveOut') && crossing.opening < crossing.size
      ? [
          {
            code: 'openingSmall',
            path: `/ground/hazards/${i}/crossing/opening`,
            value: crossing.opening,
            min: crossing.size,
            kind: 'size',
            params: { name },
          },
        ]
      : [],
  );

/** Levels of the job that stand by themselves. */
function levelProblems({ ground, levels }: Plan, near: Near): void {
  near('/levels/string', levels.string);
  levels.strings.forEach((own, i) => {
    near(`/levels/strings/${i}/level`, own.level);
  });
  near('/ground/water', ground.water);
  near('/ground/waterHigh', ground.waterHigh);
  near('/ground/confined/top', ground.confined?.top);
  near('/ground/confined/level', ground.confined?.level);
  near('/levels/shallow/outfall/level', levels.shallow?.outfall?.level);
  ground.hazards.forEach((hazard, i) => {
    near(`/ground/hazards/${i}/level`, hazard.level);
    near(`/ground/hazards/${i}/crossing/level`, hazard.crossing?.level);
  });
}

/** One of an engineer's words: how low it orders, and for what. */
function wordProblems({ levels, elements }: Plan, i: number, near: Near): Problem[] {
  const word = levels.instructions[i]!;
  const path = `/levels/instructions/${i}`;
  near(`${path}/level`, word.level);
  return word.elements.flatMap((value, j): Problem[] =>
    elements.some((element) => element.id === value)
      ? []
      : [{ code: 'unknownElement', path: `${path}/elements/${j}`, value }],
  );
}

/** Of one element: levels far from the ground, what it names that is not there, what it is. */
function elementProblems(plan: Plan, element: Element, path: string, near: Near): Problem[] {
  near(`${path}/level`, element.level);
  const outfall = typedOutfallOf(element);
  near(`${path}/outfall/level`, outfall?.level);
  near(`${path}/outfall/head`, outfall?.head);
  const old = oldWallOf(element);
  near(`${path}/old/underside`, old?.underside);
  near(`${path}/old/inside`, old?.inside);
  const { floors, strings } = plan.levels;
  const out: Problem[] = [];
  const known = (
    code: ProblemCode,
    key: 'floor' | 'string' | 'bed',
    list: readonly { readonly id: string }[],
  ) => {
    const value = element[key];
    if (value !== null && !list.some((one) => one.id === value))
      out.push({ code, path: `${path}/${key}`, value });
  };
  known('unknownFloor', 'floor', floors);
  known('unknownString', 'string', strings);
  known('unknownBed', 'bed', plan.beds);
  return [...out, ...shapeProblems(plan, element, path)];
}

/** Numbers that are each in range but contradict one another, and ids that point nowhere. */
function crossProblems(plan: Plan): Problem[] {
  const surface = surfaceProblems(plan);
  if (surface.length > 0) return surface;
  const out: Problem[] = logProblems(plan);
  const { soils, logs, knownTo } = plan.ground;
  const deepest = Math.max(...logs.flatMap((log) => log.layers.map((layer) => layer.top)));
  if (knownTo <= deepest)
    out.push({
      code: 'baseAboveSoils',
      path: '/ground/knownTo',
      value: knownTo,
      min: deepest,
      kind: 'length',
    });
  out.push(
    ...doubleIds(plan),
    ...winterProblems(plan),
    ...unknownElements(plan),
    ...siteProblems(plan),
    ...bedProblems(plan),
    ...placingProblems(plan),
  );
  const { bearing } = plan.levels;
  if (bearing && !soils.some((soil) => soil.id === bearing.soil))
    out.push({ code: 'unknownSoil', path: '/levels/bearing/soil', value: bearing.soil });
  const [low, high] = groundSpan(plan);
  const near: Near = (path, level) => {
    if (level === null || level === undefined) return;
    const [min, max] = [low - DEEPEST_DIG, high + TALLEST];
    if (level < min || level > max)
      out.push({ code: 'farFromGround', path, value: level, min, max, kind: 'level' });
  };
  levelProblems(plan, near);
  out.push(...waterProblems(plan, near), ...filterProblems(plan));
  out.push(...farPlaces(plan), ...floorProblems(plan, near), ...crossingProblems(plan));
  plan.levels.instructions.forEach((_, i) => {
    out.push(...wordProblems(plan, i, near));
  });
  plan.elements.forEach((element, i) => {
    out.push(...elementProblems(plan, element, `/elements/${i}`, near));
  });
  return out;
}

/** The plot, the places for soil, the ways, and the plant. */
function siteProblems(plan: Plan): Problem[] {
  const { site, dig } = plan;
  const out: Problem[] = [
    ...duplicates(
      site.areas.map((a) => a.id),
      '/site/areas',
    ),
    ...duplicates(
      site.gates.map((a) => a.id),
      '/site/gates',
    ),
    ...duplicates(
      site.paths.map((a) => a.id),
      '/site/paths',
    ),
    ...duplicates(
      dig.machines.map((a) => a.id),
      '/dig/machines',
    ),
  ];
  if (site.boundary.length > 0)
    out.push(
      ...(site.boundary.length < 3
        ? [{ code: 'outlineFlat', path: '/site/boundary' } as const]
        : outlineProblems(site.boundary, '/site/boundary')),
    );
  plan.ground.softSpots.forEach((spot, i) => {
    out.push(...outlineProblems(spot.points, `/ground/softSpots/${i}/points`));
  });
  site.areas.forEach((area, i) => {
    out.push(...outlineProblems(area.points, `/site/areas/${i}/points`));
  });
  if (!dig.machines.some((machine) => machine.id === dig.machine))
    out.push({ code: 'unknownMachine', path: '/dig/machine', value: dig.machine });
  dig.machines.forEach((machine, i) => {
    const depths = machine.reach.map((at) => at.depth);
    if (new Set(depths).size < depths.length)
      out.push({
        code: 'reachDoubled',
        path: `/dig/machines/${i}/reach/1/depth`,
        params: { name: machine.name },
      });
  });
  return out;
}

/** Levels this far over the ground are a slip of datum or of a digit, m (assumed). */
const TALLEST = 30;

/** Lowest and highest ground where the job lies: what other levels are held against. */
function groundSpan(plan: Plan): readonly [number, number] {
  const made = surfaceOf(plan.ground.surface);
  if (!made.ok) return [plan.datum.level, plan.datum.level];
  const places = [...plan.elements.flatMap(pointsOf), ...plan.ground.logs.map((log) => log.at)];
  const levels = places.map(([x, y]) => made.surface.level(x, y));
  return levels.length === 0
    ? [plan.datum.level, plan.datum.level]
    : [levels.reduce((p, q) => Math.min(p, q)), levels.reduce((p, q) => Math.max(p, q))];
}

const medianOf = (values: readonly number[]): number =>
  [...values].sort((p, q) => p - q)[Math.floor(values.length / 2)] ?? 0;

/** A place this far from the middle of the job is a slip of a digit, m (assumed). */
const FARTHEST = 500;
/** A spot this far from the middle one in level is too, m (assumed). */
const SPOT_OFF = 60;

/** Places and spots that lie nowhere near the rest. */
function farPlaces(plan: Plan): Problem[] {
  const out: Problem[] = [];
  const points = [...plan.elements.flatMap(pointsOf), ...plan.ground.logs.map((log) => log.at)];
  const middle = [medianOf(points.map((p) => p[0])), medianOf(points.map((p) => p[1]))] as const;
  const held = (path: string, value: number, axis: 0 | 1) => {
    const [min, max] = [middle[axis] - FARTHEST, middle[axis] + FARTHEST];
    if (value < min || value > max) out.push({ code: 'farFromJob', path, value, min, max, kind: 'length' });
  };
  plan.elements.forEach((element, i) => {
    pointsOf(element).forEach((p, j) => {
      const place = shapeOf(element).pointer(j);
      held(`/elements/${i}/${place}/0`, p[0], 0);
      held(`/elements/${i}/${place}/1`, p[1], 1);
    });
  });
  const { surface } = plan.ground;
  if (surface.kind === 'spots') {
    const usual = medianOf(surface.points.map((p) => p[2]));
    surface.points.forEach((p, i) => {
      if (Math.abs(p[2] - usual) > SPOT_OFF)
        out.push({
          code: 'spotOff',
          path: `/ground/surface/points/${i}/2`,
          value: p[2],
          min: usual - SPOT_OFF,
          max: usual + SPOT_OFF,
          kind: 'level',
          params: { at: i + 1 },
        });
    });
  }
  return out;
}

/** What a plan may ask for at the most: beyond it the job is split, or it would not be worked out in time. */
const MOST_WORK = { runs: 3000, length: 6000, area: 60_000 } as const;

/**
 * Whether a plan is small enough to be worked out while someone waits, told from what it draws
 * alone: straight runs, m of trench, m² of outline.
 */
export function workProblems(plan: Plan): Problem[] {
  let runs = 0;
  let length = 0;
  let plot = 0;
  for (const element of plan.elements) {
    const points = pointsOf(element);
    runs += Math.max(1, points.length);
    length += axisOf(element).reduce((sum, run) => sum + run.length, 0);
    if (outlineOf(element)) plot += Math.abs(area(flat(points)));
  }
  const over = (
    code: ProblemCode,
    value: number,
    max: number,
    kind: 'number' | 'length' | 'area',
  ): Problem[] => (value > max ? [{ code, path: '/elements', value, max, kind }] : []);
  return [
    ...over('tooManyRuns', runs, MOST_WORK.runs, 'number'),
    ...over('trenchesTooLong', length, MOST_WORK.length, 'length'),
    ...over('slabsTooWide', plot, MOST_WORK.area, 'area'),
  ];
}

export const checkPlan = (plan: Plan): Problem[] => {
  const ranges = [...rangeProblems(plan), ...workProblems(plan)];
  return ranges.length > 0 ? ranges : crossProblems(plan);
};
