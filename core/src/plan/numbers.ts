/** Every number a plan holds: where it stands and what it may be. */
import { outOfRange, type RangeKey } from './ranges.ts';
import type { Element, Plan, SurfaceSpec } from './schema.ts';

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
const PRICES = ['dig', 'load', 'stone', 'lean', 'concrete', 'shoring'] as const;
const OWN_RULES = [
  'protectFrom',
  'a',
  'b',
  'c',
  'engineerDepth',
  'setback',
  'ladderDepth',
  'ladderTravel',
] as const;
const SETOUT = ['offset', 'tension', 'weight', 'tolerance', 'temperature'] as const;
const MACHINE = ['dumpHeight', 'width', 'bucket', 'cycle', 'efficiency'] as const;

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
export function numbersOf(plan: Plan): Spot[] {
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
    ...OWN_RULES.map((key): Spot => [`/ownRules/${key}`, `ownRules.${key}`, plan.ownRules[key]]),
    ['/dig/side', 'dig.side', dig.side],
    ['/dig/bench/height', 'dig.bench.height', dig.bench.height],
    ['/dig/bench/width', 'dig.bench.width', dig.bench.width],
    ['/dig/shore', 'dig.shore', dig.shore],
    ['/spoil/spread', 'spoil.spread', spoil.spread],
    ['/dig/room', 'dig.room', dig.room],
    ['/dig/day/hours', 'dig.day.hours', dig.day.hours],
    ['/spoil/trip', 'spoil.trip', spoil.trip],
    ['/dig/handTrim', 'dig.handTrim', dig.handTrim],
    ...dig.buckets.map((bucket, i): Spot => [`/dig/buckets/${i}`, 'dig.buckets', bucket]),
    ...spoil.trucks.flatMap((truck, i): Spot[] => [
      [`/spoil/trucks/${i}/body`, 'spoil.trucks.body', truck.body],
      [`/spoil/trucks/${i}/payload`, 'spoil.trucks.payload', truck.payload],
      [`/spoil/trucks/${i}/side`, 'spoil.trucks.side', truck.side],
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
    ...siteNumbers(plan),
    ...plan.elements.flatMap((element, i) => elementNumbers(element, `/elements/${i}`)),
  ];
}

type Points = readonly (readonly [number, number])[];
const placeNumbers = (points: Points, path: string): Spot[] =>
  points.flatMap((point, j) =>
    point.map((value, k): Spot => [`${path}/${j}/${k}`, 'elements.coordinate', value]),
  );

/** Set-out, the site and the plant. */
function siteNumbers({ setout, site, dig }: Plan): Spot[] {
  return [
    ...SETOUT.map((key): Spot => [`/setout/${key}`, `setout.${key}`, setout[key]]),
    ...setout.measured.map(
      ({ distance }, i): Spot => [`/setout/measured/${i}/distance`, 'setout.measured.distance', distance],
    ),
    ...placeNumbers(site.boundary, '/site/boundary'),
    ...site.gates.flatMap((gate, i): Spot[] => [
      [`/site/gates/${i}/at/0`, 'elements.coordinate', gate.at[0]],
      [`/site/gates/${i}/at/1`, 'elements.coordinate', gate.at[1]],
      [`/site/gates/${i}/width`, 'site.gates.width', gate.width],
    ]),
    ...site.areas.flatMap((area, i) => placeNumbers(area.points, `/site/areas/${i}/points`)),
    ...site.paths.flatMap((path, i): Spot[] => [
      [`/site/paths/${i}/width`, 'site.paths.width', path.width],
      ...placeNumbers(path.points, `/site/paths/${i}/points`),
    ]),
    ...dig.machines.flatMap((machine, i): Spot[] => {
      const path = `/dig/machines/${i}`;
      return [
        ...MACHINE.map((key): Spot => [`${path}/${key}`, `dig.machines.${key}`, machine[key]]),
        ...machine.reach.flatMap((at, j): Spot[] => [
          [`${path}/reach/${j}/depth`, 'dig.machines.depth', at.depth],
          [`${path}/reach/${j}/reach`, 'dig.machines.reach', at.reach],
        ]),
        ...machine.logged.flatMap((day, j): Spot[] => [
          [`${path}/logged/${j}/volume`, 'dig.machines.volume', day.volume],
          [`${path}/logged/${j}/hours`, 'dig.machines.hours', day.hours],
        ]),
      ];
    }),
  ];
}

/** An element's own numbers, by its kind. */
function ownNumbers(element: Element, path: string): Spot[] {
  switch (element.kind) {
    case 'strip':
      return [
        ...placeNumbers(element.points, `${path}/points`),
        [`${path}/width`, 'elements.width', element.width],
        [`${path}/fall`, 'elements.fall', element.fall],
        [`${path}/bay`, 'elements.bay', element.bay],
        [`${path}/key/width`, 'elements.key.width', element.key?.width],
        [`${path}/key/depth`, 'elements.key.depth', element.key?.depth],
      ];
    case 'pad':
      return [
        [`${path}/at/0`, 'elements.coordinate', element.at[0]],
        [`${path}/at/1`, 'elements.coordinate', element.at[1]],
        [`${path}/width`, 'elements.width', element.width],
        [`${path}/length`, 'elements.length', element.length],
        [`${path}/angle`, 'elements.angle', element.angle],
      ];
    case 'raft':
      return [
        ...placeNumbers(element.outline, `${path}/outline`),
        [`${path}/edge/depth`, 'elements.edge.depth', element.edge?.depth],
        [`${path}/edge/width`, 'elements.edge.width', element.edge?.width],
      ];
    case 'pit':
      return [
        ...placeNumbers(element.outline, `${path}/outline`),
        [`${path}/wall`, 'elements.wall', element.wall],
        [`${path}/height`, 'elements.height', element.height],
        [`${path}/roof`, 'elements.roof', element.roof],
      ];
    case 'ramp':
      return [
        [`${path}/at/0`, 'elements.coordinate', element.at[0]],
        [`${path}/at/1`, 'elements.coordinate', element.at[1]],
        [`${path}/angle`, 'elements.angle', element.angle],
        [`${path}/width`, 'elements.width', element.width],
        [`${path}/grade`, 'elements.grade', element.grade],
      ];
  }
}

const elementNumbers = (element: Element, path: string): Spot[] => [
  ...ownNumbers(element, path),
  [`${path}/thickness`, 'elements.thickness', element.thickness],
  [`${path}/stem`, 'elements.stem', element.stem],
  [`${path}/side`, 'dig.side', element.side],
  [`${path}/room`, 'dig.room', element.room],
  [`${path}/bucket`, 'dig.buckets', element.bucket],
  [`${path}/low`, 'elements.low', element.low],
  [`${path}/trim`, 'elements.trim', element.trim],
  [`${path}/level`, 'elements.level', element.level],
];
