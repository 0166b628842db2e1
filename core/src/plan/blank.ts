/** A blank plan and new elements, with typical starting figures a person then replaces. */

import { BED_MATERIALS, type BedMaterialId } from '../catalogue/bed-materials.ts';
import { typicalMachine } from '../catalogue/machines.ts';
import { PUMPS, type PumpId } from '../catalogue/pumps.ts';
import type { System } from '../units/index.ts';
import { INCH } from '../units/index.ts';
import type { BoxElement, Pad, Raft, Ramp, Rising, Strip, Underpin } from './elements.ts';
import { type FieldId, startOf } from './fields.ts';
import { NO_LIMITS, PLAN_FORMAT, PLAN_VERSION } from './limits.ts';
import { nextName } from './names.ts';
import type { Bed, BedLayer, FloorSpec, GroundLog, Plan, SitePump } from './schema.ts';
import { traitsOf } from './variants.ts';

/** A log with nothing on it yet but its place. */
export const newLog = (
  id: string,
  name: string,
  at: readonly [number, number],
  bottom: number,
): GroundLog => ({
  id,
  name,
  at,
  layers: [],
  bottom,
  strike: null,
  standing: null,
  perched: false,
  note: '',
});

type Start = (id: FieldId) => number;

/** What a new job stands on that nobody has said: the soil, the code's cover, machine, bucket, trucks, waste. */
const FIRST_ASSUMED = [
  '/ground/logs/0',
  '/ground/knownTo',
  '/ground/hazards',
  '/beds',
  '/water/storm',
  '/levels/cover',
  '/dig/machines/0',
  '/dig/buckets',
  '/dig/room',
  '/spoil/trucks/0',
  '/spoil/trip',
  '/spoil/fleet',
  '/pour/truck',
  '/pour/waste',
] as const;

/** A level place with topsoil over clay: assumed, until someone looks. */
const blankGround = (metric: boolean, start: Start): Plan['ground'] => ({
  surface: {
    kind: 'plane',
    level: start('/ground/surface/level'),
    gradeEast: start('/ground/surface/gradeEast'),
    gradeNorth: start('/ground/surface/gradeNorth'),
  },
  soils: [
    { id: 'topsoil', name: '', kind: 'topsoil', values: {}, hand: null },
    { id: 'subsoil', name: '', kind: 'stiffClay', values: {}, hand: null },
  ],
  logs: [
    {
      ...newLog('log-1', 'TP1', [0, 0], start('/ground/logs/*/bottom')),
      layers: [
        { soil: 'topsoil', top: 0, note: '' },
        { soil: 'subsoil', top: metric ? 0.25 : 10 * INCH, note: '' },
      ],
    },
  ],
  knownTo: start('/ground/knownTo'),
  water: null,
  waterHigh: null,
  confined: null,
  hazards: [],
  swells: [],
  obstructions: [],
  softSpots: [],
  frost: { local: null, climate: null, cover: [], margin: start('/ground/frost/margin') },
});

const blankWater = (): Plan['water'] => ({
  zone: 'UTC',
  altitude: null,
  storm: null,
  dryBy: null,
  bedLaid: false,
  cover: false,
  runoff: null,
  full: false,
  ditches: [],
  drained: [],
  pumps: [],
  dam: null,
  freeboard: null,
  surface: [],
  holding: null,
  discharge: null,
  filters: [],
  record: null,
});

const blankDig = (metric: boolean, start: Start): Plan['dig'] => ({
  corners: 'mitred',
  slope: start('/dig/slope'),
  room: start('/dig/room'),
  support: 'slope',
  bench: { height: start('/dig/bench/height'), width: start('/dig/bench/width') },
  shore: start('/dig/shore'),
  machines: [typicalMachine('machine-1', 8)],
  machine: 'machine-1',
  order: [],
  buckets: metric ? [0.45, 0.6, 0.9] : [18 * INCH, 24 * INCH, 36 * INCH],
  cramped: false,
  day: { start: '07:30', hours: start('/dig/day/hours') },
  frozenRate: null,
  handTrim: null,
  handRate: null,
  learned: { byHand: null, outputs: [] },
});

const blankSpoil = (metric: boolean, start: Start): Plan['spoil'] => ({
  topsoil: 'keep',
  keepForBackfill: true,
  spread: start('/spoil/spread'),
  trucks: [
    {
      id: 'tipper',
      name: metric ? '8 m³' : '10 yd³',
      body: start('/spoil/trucks/*/body'),
      payload: start('/spoil/trucks/*/payload'),
      sideHeight: start('/spoil/trucks/*/sideHeight'),
    },
  ],
  trip: start('/spoil/trip'),
  fleet: start('/spoil/fleet'),
});

/** Filled with its own soil under a plate, by the light one near walls; the specification asks nothing yet. */
const blankFilling = (start: Start): Plan['backfill'] => ({
  with: 'own',
  bringIn: {
    material: 'crushed',
    swell: start('/backfill/bringIn/swell'),
    shrink: start('/backfill/bringIn/shrink'),
    body: start('/backfill/bringIn/body'),
  },
  maxLift: null,
  compactor: 'plateReversible',
  near: { compactor: 'rammer', width: start('/backfill/near/width') },
  difference: start('/backfill/difference'),
  cureDays: start('/backfill/cureDays'),
  target: null,
  surround: null,
  damp: 'none',
  topsoil: null,
  floors: [],
  oneSided: [],
  soils: [],
  covered: false,
  after: null,
  leastStanding: null,
});

/** Nobody has said more of the pours than what they start with. */
const blankPour = (start: (id: FieldId) => number): Plan['pour'] => ({
  irregularity: null,
  waste: start('/pour/waste'),
  step: start('/pour/step'),
  truck: start('/pour/truck'),
  together: [],
  order: [],
  line: null,
  hopper: null,
  gaps: null,
  orders: [],
  topSize: null,
  dampen: null,
  heads: null,
  steel: [],
  fittings: [],
  screed: start('/pour/screed'),
  placing: {
    by: 'chute',
    rate: null,
    distance: start('/pour/placing/distance'),
    barrows: start('/pour/placing/barrows'),
    from: null,
    first: null,
    travel: null,
    limit: null,
    open: start('/pour/placing/open'),
    temperature: null,
    layer: start('/pour/placing/layer'),
    reach: start('/pour/placing/reach'),
    delays: [],
    noJoint: [],
  },
  forms: {
    board: start('/pour/forms/board'),
    corner: 'lapped',
    stock: [start('/pour/forms/stock/*')],
    stakes: start('/pour/forms/stakes'),
    kickers: start('/pour/forms/kickers'),
    straps: start('/pour/forms/straps'),
    permitted: null,
    who: '',
    chemistry: start('/pour/forms/chemistry'),
    slump: null,
  },
  hand: {
    cement: start('/pour/hand/cement'),
    sand: start('/pour/hand/sand'),
    stone: start('/pour/hand/stone'),
    bag: start('/pour/hand/bag'),
    water: start('/pour/hand/water'),
    batch: start('/pour/hand/batch'),
    hours: start('/pour/hand/hours'),
  },
  cure: {
    wet: start('/pour/cure/wet'),
    cold: start('/pour/cure/cold'),
    warm: start('/pour/cure/warm'),
    load: null,
  },
  leak: {
    share: start('/pour/leak/share'),
    most: start('/pour/leak/most'),
    days: start('/pour/leak/days'),
    soak: start('/pour/leak/soak'),
  },
  makeUp: 'concrete',
});

/** A plan with ground and levels but nothing dug yet. Frost is left open: nobody may guess it. */
export function blankPlan(name: string, system: System): Plan {
  const metric = system === 'metric';
  const start = (id: FieldId) => startOf(id, system);
  return {
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name,
    place: '',
    note: '',
    emergencyContact: '',
    assumed: [...FIRST_ASSUMED],
    system,
    ruleSet: metric ? 'cautious' : 'us',
    ownRules: {
      protectFrom: start('/ownRules/protectFrom'),
      a: start('/ownRules/a'),
      b: start('/ownRules/b'),
      c: start('/ownRules/c'),
      engineerDepth: start('/ownRules/engineerDepth'),
      setback: start('/ownRules/setback'),
      ladderDepth: start('/ownRules/ladderDepth'),
      ladderTravel: start('/ownRules/ladderTravel'),
    },
    datum: {
      name: '',
      level: start('/datum/level'),
      east: start('/datum/east'),
      north: start('/datum/north'),
    },
    ground: blankGround(metric, start),
    water: blankWater(),
    levels: {
      string: start('/levels/string'),
      strings: [],
      floors: [],
      bearing: null,
      cover: start('/levels/cover'),
      splash: null,
      steps: { height: null, lap: null, tread: null },
      influence: start('/levels/influence'),
      limits: { ...NO_LIMITS },
      instructions: [],
      shallow: null,
    },
    setout: {
      offset: start('/setout/offset'),
      tension: start('/setout/tension'),
      weight: start('/setout/weight'),
      tolerance: start('/setout/tolerance'),
      temperature: null,
    },
    site: { boundary: [], gates: [], areas: [], paths: [], ways: [], strips: [] },
    dig: blankDig(metric, start),
    spoil: blankSpoil(metric, start),
    beds: [],
    compactors: [],
    pour: blankPour(start),
    backfill: blankFilling(start),
    days: {
      start: null,
      week: [true, true, true, true, true, false, false],
      off: [],
      people: start('/days/people'),
      notice: start('/days/notice'),
      formsStay: start('/days/formsStay'),
      bayCure: start('/days/bayCure'),
      rainStops: null,
      weather: [],
      own: [],
    },
    holds: { by: [], own: [] },
    permits: [],
    prices: {
      currency: '',
      dig: null,
      load: null,
      stone: null,
      lean: null,
      concrete: null,
      fill: null,
      shoring: null,
      machineHour: null,
    },
    elements: [],
  };
}

/** A layer with what is typical of its material; lean concrete stands out a little under the footing. */
export function newLayer(material: BedMaterialId, taken: readonly string[], system: System): BedLayer {
  const { cast, purpose, thickness } = BED_MATERIALS[material];
  const metric = system === 'metric';
  const whole = (m: number) => (metric ? m : Math.max(1, Math.round(m / INCH)) * INCH);
  return {
    id: nextName('layer-', taken),
    name: '',
    material,
    purpose,
    thickness: whole(thickness),
    projection: cast ? whole(0.075) : null,
    density: null,
    looseFactor: null,
    topSize: null,
    cohesive: false,
    compactor: cast ? null : 'plateMedium',
    maxLift: null,
    proven: null,
    target: null,
  };
}

/** Cloth under a bed, with typical laps and waste. */
export const newCloth = (system: System): NonNullable<Bed['cloth']> => ({
  around: false,
  lap: startOf('/beds/*/cloth/lap', system),
  waste: startOf('/beds/*/cloth/waste', system),
});

/** A bed of one layer, named after nothing yet. */
export function newBed(plan: Plan, material: BedMaterialId = 'crushed'): Bed {
  const taken = plan.beds.flatMap((bed) => [bed.id, bed.name]);
  const id = nextName('bed-', taken);
  return {
    id,
    name: nextName('B', taken),
    layers: [newLayer(material, [], plan.system)],
    onOldBase: false,
    cloth: null,
  };
}

/** What an element's number starts with, in the plan's units. */
const starts = (plan: Plan, id: FieldId) => startOf(id, plan.system);

const common = (plan: Plan, id: string) => ({
  id,
  name: id,
  group: '',
  thickness: starts(plan, '/elements/*/thickness'),
  method: 'formed' as const,
  floor: null,
  bed: plan.beds[0]?.id ?? null,
  rising: null,
  slope: null,
  room: null,
  bucket: null,
  trim: null,
  level: null,
  support: null,
  hand: false,
  string: null,
});

/** A wall or column on a footing whose height nobody has said: it stands to the ground, and nothing is cast for it. */
export const newRising = (plan: Plan, thickness = starts(plan, '/elements/*/rising/thickness')): Rising => ({
  thickness,
  long: null,
  top: 'ground',
  height: null,
  level: null,
  over: null,
  made: 'cast',
  rise: null,
  units: {
    length: starts(plan, '/elements/*/rising/units/length'),
    height: starts(plan, '/elements/*/rising/units/height'),
    joint: starts(plan, '/elements/*/rising/units/joint'),
    cells: starts(plan, '/elements/*/rising/units/cells'),
    fill: 'none',
  },
  beam: null,
});

const names = (plan: Plan) => plan.elements.flatMap((element) => [element.id, element.name]);

export function newStrip(plan: Plan, points: Strip['points'], closed = false): Strip {
  const id = nextName('T', names(plan));
  return {
    kind: 'strip',
    ...common(plan, id),
    points,
    closed,
    width: starts(plan, '/elements/*/width'),
    stepped: false,
    use: 'footing',
    fall: starts(plan, '/elements/*/fall'),
    outfall: null,
    pipe: null,
    wrapped: false,
    beam: null,
    key: null,
  };
}

export function newUnderpin(plan: Plan, points: Underpin['points']): Underpin {
  const id = nextName('U', names(plan));
  return {
    kind: 'underpin',
    ...common(plan, id),
    points,
    closed: false,
    width: starts(plan, '/elements/*/width'),
    stepped: false,
    key: null,
    bay: starts(plan, '/elements/*/bay'),
    old: null,
    out: null,
    posts: [],
  };
}

export function newPad(plan: Plan, at: Pad['at'], length?: number, width?: number): Pad {
  const id = nextName('P', names(plan));
  const size = starts(plan, '/elements/*/length');
  return {
    kind: 'pad',
    ...common(plan, id),
    at,
    length: length ?? size,
    width: width ?? size,
    angle: starts(plan, '/elements/*/angle'),
  };
}

/** A floor with a slab, 150 mm under the string, or a storey at the first one's level. */
export function newFloor(
  plan: Pick<Plan, 'levels'>,
  name: string,
  slab: string,
  thickness = 0.12,
): FloorSpec {
  const { floors, string } = plan.levels;
  return {
    id: nextName(
      'floor-',
      floors.map((floor) => floor.id),
    ),
    name,
    level: floors[0]?.level ?? Math.round((string - 0.15) * 1000) / 1000,
    above: null,
    string: null,
    count: 'down',
    landing: 'deepen',
    layers: [{ id: 'layer-1', name: slab, material: 'slab', thickness, joint: null }],
  };
}

/** Thickness a slab starts with, m. */
const slabThickness = ({ system }: Pick<Plan, 'system'>) => (system === 'metric' ? 0.2 : 8 * INCH);

/** A plan a slab can lie in: with a floor to carry it when it has none. */
export const withFloor = (plan: Plan, name: string, slab: string): Plan =>
  plan.levels.floors.length > 0
    ? plan
    : { ...plan, levels: { ...plan.levels, floors: [newFloor(plan, name, slab, slabThickness(plan))] } };

/**
 * A slab on the ground: its floor says how deep it lies, and only without one the rules for footings do. It
 * takes the bed of another slab, never that of the footings.
 */
export function newRaft(plan: Plan, outline: Raft['outline']): Raft {
  const id = nextName('R', names(plan));
  const other = plan.elements.find((element) => traitsOf(element).byFloor);
  return {
    kind: 'raft',
    ...common(plan, id),
    bed: other?.bed ?? null,
    thickness: slabThickness(plan),
    outline,
    founding: plan.levels.floors.length > 0 ? 'floor' : 'depth',
    edge: { depth: starts(plan, '/elements/*/edge/depth'), width: starts(plan, '/elements/*/edge/width') },
    boards: null,
    crossfall: null,
  };
}

export function newBox(plan: Plan, outline: BoxElement['outline']): BoxElement {
  const id = nextName('B', names(plan));
  const metric = plan.system === 'metric';
  return {
    kind: 'box',
    ...common(plan, id),
    room: metric ? 0.6 : 24 * INCH,
    outline,
    wall: starts(plan, '/elements/*/wall'),
    height: starts(plan, '/elements/*/height'),
    roof: starts(plan, '/elements/*/roof'),
  };
}

/** A ramp down to an element; its foot is on the element's edge. */
export function newRamp(plan: Plan, serves: string, at: Ramp['at'], angle: number): Ramp {
  const id = nextName('A', names(plan));
  return {
    kind: 'ramp',
    ...common(plan, id),
    at,
    angle,
    width: plan.system === 'metric' ? 3 : 10 * 12 * INCH,
    grade: starts(plan, '/elements/*/grade'),
    serves,
  };
}

/** A dam of bags as one starts with; what the stream brings nobody has measured. */
export function newDam(plan: Pick<Plan, 'system'>): NonNullable<Plan['water']['dam']> {
  const start = (key: Exclude<keyof NonNullable<Plan['water']['dam']>, 'flow'>) =>
    startOf(`/water/dam/${key}`, plan.system);
  return {
    length: start('length'),
    depth: start('depth'),
    freeboard: start('freeboard'),
    crest: start('crest'),
    inner: start('inner'),
    outer: start('outer'),
    bag: start('bag'),
    flow: null,
    fall: start('fall'),
  };
}

/** A pump of a kind in the hole of an element, with a sump typical of it. */
export const newPump = (plan: Plan, kind: PumpId, element: string): SitePump => ({
  id: nextName(
    'pump-',
    plan.water.pumps.map((pump) => pump.id),
  ),
  name: nextName(
    'PU',
    plan.water.pumps.map((pump) => pump.name),
  ),
  kind,
  element,
  count: 1,
  curve: [],
  hose: { diameter: PUMPS[kind].hose, length: starts(plan, '/water/pumps/*/hose/length') },
  outlet: null,
  sump: {
    depth: starts(plan, '/water/pumps/*/sump/depth'),
    area: starts(plan, '/water/pumps/*/sump/area'),
    filled: 'stone',
    at: null,
  },
  start: starts(plan, '/water/pumps/*/start'),
  stop: starts(plan, '/water/pumps/*/stop'),
  from: null,
  until: null,
});
