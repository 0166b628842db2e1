/**
 * Old plans become new ones step by step, at every door, before validation. A step takes the
 * document of version n and returns that of version n+1; it never looks at later versions.
 */
import type { Problem, ProblemCode } from '../results/index.ts';
import { NO_LIMITS, PLAN_FORMAT, PLAN_VERSION } from './limits.ts';
import type { Plan } from './schema.ts';
import { wholeText, wholeValue } from './text.ts';

export type Step = (document: Record<string, unknown>) => Record<string, unknown>;
type Json = Record<string, unknown>;
const object = (value: unknown): Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Json) : {};
const list = (value: unknown): Json[] => (Array.isArray(value) ? value.map(object) : []);
const mapped = (value: unknown, change: (one: Json) => Json) =>
  Array.isArray(value) ? list(value).map(change) : value;

/** Guesses a material from the name a layer was given; 'other' keeps the name and says nothing. */
function materialOf(name: unknown): string {
  const words: readonly (readonly [RegExp, string])[] = [
    [/slab|losa/i, 'slab'],
    [/insul|aisl/i, 'insulation'],
    [/membran|lámina/i, 'membrane'],
    [/screed|recrecido/i, 'screed'],
    [/sand|arena/i, 'sand'],
    [/stone|hardcore|grava|piedra/i, 'stone'],
    [/tile|finish|acabado|baldosa/i, 'finish'],
  ];
  return words.find(([pattern]) => pattern.test(String(name)))?.[1] ?? 'other';
}

/**
 * 1 → 2: soils are logged at places instead of lying everywhere at one depth; floors, engineer's
 * instructions and hazards become lists; strips may step. One log holds what the whole site was.
 */
function toSecond(plan: Json): Json {
  const ground = object(plan.ground);
  const frost = object(ground.frost);
  const climate = frost.climate === null ? null : object(frost.climate);
  const levels = object(plan.levels);
  const { floor, instruction, ...restOfLevels } = levels;
  const soils = list(ground.soils);
  return {
    ...plan,
    datum: { ...object(plan.datum), east: 0, north: 0 },
    ground: {
      ...ground,
      surface: { kind: 'plane', ...object(ground.surface) },
      soils: soils.map(({ top: _top, ...soil }) => ({ ...soil, hand: null })),
      logs: [
        {
          id: 'log-1',
          name: 'TP1',
          at: [0, 0],
          layers: soils.map((soil) => ({ soil: soil.id, top: soil.top, note: '' })),
          bottom: ground.base,
          strike: null,
          standing: null,
          perched: false,
          note: '',
        },
      ],
      waterHigh: null,
      hazards: [],
      frost: {
        ...frost,
        climate: climate && { ...climate, record: [], shape: [] },
        cover: [],
        frozen: null,
      },
    },
    levels: {
      ...restOfLevels,
      floors:
        floor === null || floor === undefined
          ? []
          : [
              {
                id: 'floor-1',
                name: 'Floor',
                level: object(floor).level,
                above: null,
                count: 'down',
                landing: 'deepen',
                layers: list(object(floor).layers).map((layer) => ({
                  ...layer,
                  material: materialOf(layer.name),
                  joint: null,
                })),
              },
            ],
      steps: { height: null, lap: null, tread: null },
      influence: 1,
      instructions:
        instruction === null || instruction === undefined
          ? []
          : [{ id: 'word-1', ...object(instruction), width: null, elements: [] }],
      shallow: null,
    },
    prices: { currency: '', dig: null, load: null, stone: null, lean: null, concrete: null },
    // What is no list stays what it is, for the schema to name.
    elements: Array.isArray(plan.elements)
      ? list(plan.elements).map((element) => ({
          ...element,
          floor: null,
          ...(element.kind === 'strip' && { stepped: false }),
        }))
      : plan.elements,
  };
}

/** What version 3 adds, as it was when version 3 came: a step never looks at later defaults. */
const THIRD_MACHINE = {
  id: 'machine-1',
  reach: [
    { depth: 0, reach: 6.6 },
    { depth: 1.5, reach: 6.4 },
    { depth: 3, reach: 5.4 },
    { depth: 4.1, reach: 3 },
  ],
  dumpHeight: 5,
  width: 2.3,
  bucket: 0.28,
  cycle: null,
  efficiency: null,
  logged: [],
};

/**
 * 2 → 3: setting out, the site round the dig, machines with their reach, supports other than a
 * slope, and more shapes than strips and pads. A machine that was only a name gets the typical
 * figures of an 8 t one; everything a plan already said stays as it was.
 */
function toThird(plan: Json): Json {
  const dig = object(plan.dig);
  return {
    ...plan,
    ownRules: {
      protectFrom: 1.2,
      a: 0.75,
      b: 1,
      c: 1.5,
      engineerDepth: 6.1,
      setback: 0.61,
      ladderDepth: 1.22,
      ladderTravel: 7.6,
    },
    setout: { offset: 1, tension: 100, weight: 0.002, tolerance: 0.005, temperature: null, measured: [] },
    site: { boundary: [], gates: [], areas: [], paths: [] },
    dig: {
      ...dig,
      support: 'slope',
      bench: { height: 1.2, width: 1.2 },
      shore: 0.1,
      machines: [
        {
          ...THIRD_MACHINE,
          name: typeof dig.machine === 'string' && dig.machine !== '' ? dig.machine : '8 t',
        },
      ],
      machine: THIRD_MACHINE.id,
      order: [],
    },
    spoil: { ...object(plan.spoil), spread: 0.1 },
    prices: { ...object(plan.prices), shoring: null },
    elements: Array.isArray(plan.elements)
      ? list(plan.elements).map((element) => ({
          ...element,
          level: null,
          support: null,
          ...(element.kind === 'strip' && { use: 'footing', fall: 0, bay: 1.2, key: null }),
        }))
      : plan.elements,
  };
}

/**
 * 3 → 4: the working day, how long trucks are away and how many run, the height of their sides,
 * room to swing, and an element's own hand trim.
 */
function toFourth(plan: Json): Json {
  const spoil = object(plan.spoil);
  return {
    ...plan,
    dig: { ...object(plan.dig), cramped: false, day: { start: '07:30', hours: 8 } },
    spoil: {
      ...spoil,
      trucks: Array.isArray(spoil.trucks)
        ? list(spoil.trucks).map((truck) => ({ ...truck, side: 2.4 }))
        : spoil.trucks,
      trip: 40,
      fleet: 1,
    },
    elements: Array.isArray(plan.elements)
      ? list(plan.elements).map((element) => ({ ...element, trim: null }))
      : plan.elements,
  };
}

/**
 * 4 → 5: what nobody has said is listed. An old plan does not tell; a least cover or a trial pit
 * exactly as new jobs came is taken for untouched. Texts are made whole.
 */
function toFifth(plan: Json): Json {
  const levels = object(plan.levels);
  const ground = object(plan.ground);
  const logs = list(ground.logs);
  const [log] = logs;
  const layers = list(log?.layers).map((layer) => `${String(layer.soil)} ${String(layer.top)}`);
  const untouched =
    logs.length === 1 && log?.bottom === 4 && /^topsoil 0,subsoil 0\.25(4)?$/.test(layers.join());
  return wholeValue({
    ...plan,
    assumed: [
      ...(untouched ? ['/ground/logs/0'] : []),
      ...(levels.cover === 0.45 || levels.cover === 0.4572 ? ['/levels/cover'] : []),
    ],
  });
}

/** What was logged in a plan of version 5 stands in records since: what was seen, not what is wanted. */
export interface LoggedBefore {
  readonly dug: readonly { machine: string; when: string; volume: number; hours: number }[];
  readonly taped: readonly { from: string; to: string; distance: number }[];
  readonly frozen: { depth: number; from: string; when: string } | null;
  readonly laidBare: readonly string[];
}

/**
 * What people had logged in a document of version 5 or older: it goes on as records. Shapes are
 * taken as they are; what is not what it should be is left out.
 */
export function loggedBefore(document: unknown): LoggedBefore {
  const plan = object(document);
  const text = (value: unknown) => (typeof value === 'string' ? wholeText(value, 40) : '');
  const number = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
  const frozen = object(object(object(plan.ground).frost).frozen);
  return {
    dug: list(object(plan.dig).machines).flatMap((machine) =>
      list(machine.logged).flatMap(({ when, volume, hours }) =>
        number(volume) && number(hours)
          ? [{ machine: text(machine.id), when: text(when), volume, hours }]
          : [],
      ),
    ),
    taped: list(object(plan.setout).measured).flatMap(({ from, to, distance }) =>
      number(distance) ? [{ from: text(from), to: text(to), distance }] : [],
    ),
    frozen: number(frozen.depth)
      ? { depth: frozen.depth, from: text(frozen.from), when: text(frozen.when) }
      : null,
    laidBare: list(object(plan.ground).hazards).flatMap((hazard) =>
      hazard.confirmed === true ? [text(hazard.id)] : [],
    ),
  };
}

/**
 * 5 → 6: what people did or saw leaves the plan for the records (`loggedBefore`); an underpinned run
 * is a kind of its own, a pit is a box; the slope of sides, the height of a truck's side, the bed and
 * how deep the ground is known have names of their own.
 */
function toSixth(plan: Json): Json {
  const { base, ...rest } = plan;
  const { base: knownTo, ...ground } = object(plan.ground);
  const { frozen: _frozen, ...frost } = object(ground.frost);
  const { measured: _measured, ...setout } = object(plan.setout);
  const { side, ...dig } = object(plan.dig);
  const spoil = object(plan.spoil);
  const element = ({ side: slope, ...one }: Json): Json => {
    const { use, fall, bay, ...axis } = one;
    if (one.kind === 'pit') return { ...one, kind: 'box', slope };
    if (one.kind !== 'strip') return { ...one, slope };
    return use === 'underpin' ? { ...axis, kind: 'underpin', slope, bay } : { ...axis, slope, use, fall };
  };
  return {
    ...rest,
    bed: base,
    ground: {
      ...ground,
      knownTo,
      frost,
      hazards: mapped(ground.hazards, ({ confirmed: _confirmed, ...hazard }) => hazard),
    },
    setout,
    dig: {
      ...dig,
      slope: side,
      machines: mapped(dig.machines, ({ logged: _logged, ...machine }) => machine),
    },
    spoil: {
      ...spoil,
      trucks: mapped(spoil.trucks, ({ side: sideHeight, ...truck }) => ({ ...truck, sideHeight })),
    },
    elements: mapped(plan.elements, element),
  };
}

/**
 * 6 → 7: the one bed and the one blinding become the layers of a named bed that every element stands
 * on, a drain too: its own stone takes the bed's room, so nothing is dug or placed otherwise. One string,
 * nothing dug by hand, nothing in the way, old walls not known, slabs as deep as footings: as before.
 */
function toSeventh(plan: Json): Json {
  const { bed: before, pour: poured, ...rest } = plan;
  const { blinding, ...pour } = object(poured);
  const layer = (id: string, more: Json): Json => ({
    id,
    name: '',
    projection: null,
    density: null,
    looseFactor: null,
    topSize: null,
    cohesive: false,
    compactor: null,
    maxLift: null,
    proven: null,
    ...more,
  });
  const layers: Json[] = [];
  if (given(before)) {
    const { name, topSize, ...stone } = object(before);
    // Stone larger than its layer is refused since: it is as large as goes in.
    const largest = Math.min(Number(topSize), Number(stone.thickness));
    layers.push(
      layer('layer-1', {
        ...stone,
        name,
        topSize: Number.isFinite(largest) ? largest : topSize,
        material: 'crushed',
        purpose: 'bearing',
      }),
    );
  }
  if (given(blinding))
    layers.push(
      layer(`layer-${layers.length + 1}`, { ...object(blinding), material: 'lean', purpose: 'level' }),
    );
  const bed = layers.length > 0 ? 'bed-1' : null;
  const added: Readonly<Record<string, Json>> = {
    strip: { outfall: null, pipe: null, wrapped: false, beam: null },
    underpin: { old: null },
    raft: { founding: 'depth' },
  };
  return {
    ...rest,
    ...(given(poured) && { pour: { ...pour, together: [] } }),
    beds: bed === null ? [] : [{ id: bed, name: 'B1', layers, onOldBase: false, cloth: null }],
    // What is not there stays away, for the schema to name.
    ...(given(plan.ground) && { ground: { ...object(plan.ground), obstructions: [] } }),
    ...(given(plan.levels) && {
      levels: {
        ...object(plan.levels),
        strings: [],
        floors: mapped(object(plan.levels).floors, (floor) => ({ ...floor, string: null })),
      },
    }),
    elements: mapped(plan.elements, (element) => ({
      ...element,
      bed: element.kind === 'ramp' ? null : bed,
      hand: false,
      string: null,
      ...added[typeof element.kind === 'string' ? element.kind : ''],
    })),
  };
}

/**
 * 7 → 8: no boards but the floor's, no slab that falls, no silt, people dig as they typically do, a
 * floor stands over the ground as is typical, and no density is asked of a lift: as before.
 */
function toEighth(plan: Json): Json {
  const changed = (element: Json): Json => {
    if (element.kind === 'raft') return { ...element, boards: null, crossfall: null };
    if (element.kind === 'strip' && given(element.outfall))
      return { ...element, outfall: { ...object(element.outfall), silt: 0 } };
    return element;
  };
  return {
    ...plan,
    ...(given(plan.levels) && { levels: { ...object(plan.levels), splash: null } }),
    ...(given(plan.dig) && { dig: { ...object(plan.dig), handRate: null } }),
    ...(Array.isArray(plan.beds) && {
      beds: list(plan.beds).map((bed) => ({
        ...bed,
        layers: Array.isArray(bed.layers)
          ? list(bed.layers).map((layer) => ({ ...layer, target: null }))
          : bed.layers,
      })),
    }),
    elements: Array.isArray(plan.elements) ? list(plan.elements).map(changed) : plan.elements,
  };
}

/** 8 → 9: no rain is expected and no pump stands anywhere; nobody has drawn a soft spot or named a compactor of his own, and the screed is as long as usual: no figure of old read it. */
const toNinth = (plan: Json): Json => ({
  ...plan,
  compactors: [],
  water: {
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
  },
  ...(given(plan.pour) && {
    pour: { ...object(plan.pour), screed: plan.system === 'imperial' ? 8 * 0.3048 : 2.4 },
  }),
  ...(given(plan.ground) && { ground: { ...object(plan.ground), softSpots: [], confined: null } }),
});

/** 9 → 10: nobody is named to ring. */
const toTenth = (plan: Json): Json => ({ ...plan, ring: '' });

/** 10 → 11: who is rung has the name of what it is. */
const toEleventh = ({ ring, ...plan }: Json): Json => ({ ...plan, emergencyContact: ring });

/** What bottoms were typed to be low in a document before version 12, by element, m: it goes on as shots. */
export const lowBefore = (document: unknown): { readonly element: string; readonly low: number }[] => {
  const plan = object(document);
  if (!(Number(plan.version) < 12)) return [];
  return list(plan.elements).flatMap(({ id, low }) =>
    typeof id === 'string' && typeof low === 'number' && low > 0 && low <= 3 ? [{ element: id, low }] : [],
  );
};

/**
 * 11 → 12: how low a bottom was found leaves the plan for the records (`lowBefore`); limits of surfaces, ways
 * in, looks and permits are asked for nowhere yet.
 */
const toTwelfth = (plan: Json): Json => ({
  ...plan,
  ...(given(plan.levels) && { levels: { ...object(plan.levels), limits: { ...NO_LIMITS } } }),
  ...(given(plan.site) && { site: { ...object(plan.site), ways: [] } }),
  holds: { by: [], own: [] },
  permits: [],
  elements: Array.isArray(plan.elements)
    ? list(plan.elements).map(({ low: _low, ...element }) => element)
    : plan.elements,
});

/** What was logged counted by itself until now; the lead takes it. Services in what is cast, more of a pour, and how high walls rise, nobody has said. */
const toThirteenth = (plan: Json): Json => ({
  ...plan,
  ...(given(plan.prices) && { prices: { ...object(plan.prices), machineHour: null } }),
  ...(given(plan.pour) && {
    pour: { ...object(plan.pour), ...NEW_POUR },
  }),
  ...(given(plan.dig) && {
    dig: { ...object(plan.dig), learned: { byHand: null, outputs: [] } },
  }),
  ...(given(plan.ground) && {
    ground: {
      ...object(plan.ground),
      swells: [],
      hazards: mapped(object(plan.ground).hazards, (hazard) => ({ ...hazard, crossing: null })),
    },
  }),
  elements: mapped(plan.elements, ({ stem, ...element }) => ({
    ...element,
    rising: typeof stem === 'number' && stem >= 0.001 ? { ...TO_THE_GROUND, thickness: stem } : null,
  })),
});

const NEW_POUR = {
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
};
/** A wall told by its thickness alone stands to the ground: how high it is nobody has said. */
const TO_THE_GROUND = {
  long: null,
  top: 'ground',
  height: null,
  level: null,
  over: null,
  made: 'cast',
  rise: null,
  units: { length: 0.39, height: 0.19, joint: 0.01, cells: 0.5, fill: 'none' },
  beam: null,
};

/** 13 → 14: how a hole is filled again, what is stripped beside it, what fill costs, when it is worked: nobody has said. */
const toFourteenth = (plan: Json): Json => ({
  ...plan,
  backfill: NEW_FILLING,
  days: NEW_DAYS,
  dig: { ...object(plan.dig), frozenRate: null },
  elements: mapped(plan.elements, (element) =>
    element.kind === 'underpin' ? { ...element, out: null, posts: [] } : element,
  ),
  ...(given(plan.pour) && { pour: { ...object(plan.pour), ...NEW_PLACING } }),
  ...(given(plan.prices) && { prices: { ...object(plan.prices), fill: null } }),
  ...(given(plan.site) && { site: { ...object(plan.site), strips: [] } }),
  ...(given(plan.ground) && {
    ground: {
      ...object(plan.ground),
      softSpots: mapped(object(plan.ground).softSpots, (spot) => ({ ...spot, cement: null })),
    },
  }),
});

const NEW_PLACING = {
  placing: {
    by: 'chute',
    rate: null,
    distance: 20,
    barrows: 3,
    from: null,
    first: null,
    travel: null,
    limit: null,
    open: 2,
    temperature: null,
    layer: 0.5,
    reach: 0.4,
    delays: [],
    noJoint: [],
  },
  forms: {
    board: 0.025,
    corner: 'lapped',
    stock: [4.2],
    stakes: 0.6,
    kickers: 1.2,
    straps: 1.2,
    permitted: null,
    who: '',
    chemistry: 1.2,
    slump: null,
  },
  hand: { cement: 1, sand: 3, stone: 6, bag: 42.5, water: 0.6, batch: 0.1, hours: 7 },
  cure: { wet: 7, cold: 5, warm: 48, load: null },
  leak: { share: 0.002, most: 0.01, days: 7, soak: 3 },
};

const NEW_DAYS = {
  start: null,
  week: [true, true, true, true, true, false, false],
  off: [],
  people: 3,
  notice: 8,
  formsStay: 2,
  bayCure: 3,
  rainStops: null,
  weather: [],
  own: [],
};

const NEW_FILLING = {
  with: 'own',
  bringIn: { material: 'crushed', swell: 0.12, shrink: 0.05, body: 8 },
  maxLift: null,
  compactor: 'plateReversible',
  near: { compactor: 'rammer', width: 1 },
  difference: 0.3,
  cureDays: 7,
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
};

const given = (value: unknown) => value !== null && value !== undefined;

/** Steps by the version they start from. */
const STEPS: Readonly<Record<number, Step>> = {
  1: toSecond,
  2: toThird,
  3: toFourth,
  4: toFifth,
  5: toSixth,
  6: toSeventh,
  7: toEighth,
  8: toNinth,
  9: toTenth,
  10: toEleventh,
  11: toTwelfth,
  12: toThirteenth,
  13: toFourteenth,
};

export type Migrated =
  | { readonly ok: true; readonly document: Record<string, unknown>; readonly from: number }
  | { readonly ok: false; readonly problem: Problem };

/**
 * Brings a plan document to the current version.
 * @param document parsed JSON of any version
 */
export function migrate(document: unknown, current: number, format: string, steps = STEPS): Migrated {
  const refuse = (code: ProblemCode, path: string, value?: unknown): Migrated => ({
    ok: false,
    problem: {
      code,
      path,
      ...(typeof value === 'number' || typeof value === 'string'
        ? { value: typeof value === 'string' ? wholeText(value, 40) : value }
        : {}),
      max: current,
    },
  });
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return refuse('notAPlan', '');
  let plan = document as Record<string, unknown>;
  if (plan.format !== format) return refuse('notAPlan', '/format', plan.format);
  const { version } = plan;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return refuse('version', '/version', version);
  if (version > current) return refuse('versionTooNew', '/version', version);
  for (let v = version; v < current; v++) {
    const step = steps[v];
    if (!step) return refuse('version', '/version', version);
    plan = { ...step(plan), version: v + 1 };
  }
  return { ok: true, document: plan, from: version };
}

/**
 * A document once accepted as a plan, whatever its version then, as a plan of today. Nothing is
 * checked again; null when it is of no version known here.
 */
export function currentPlan(document: unknown): Plan | null {
  const result = migrate(document, PLAN_VERSION, PLAN_FORMAT);
  return result.ok ? (result.document as unknown as Plan) : null;
}
