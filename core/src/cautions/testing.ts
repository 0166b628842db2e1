/** Plans that raise each caution: for its tests, in numbers and in words. */
import { HAZARD_KINDS } from '../catalogue/hazards.ts';
import { compute } from '../compute/index.ts';
import { bedLift, type SiteRecord } from '../log/index.ts';
import { newUnderpin } from '../plan/blank.ts';
import type { Strip } from '../plan/elements.ts';
import type { BedLayer, Hazard, Plan } from '../plan/schema.ts';
import {
  bedded,
  instruct,
  logged,
  named,
  pad,
  plainPlan,
  raft,
  soilsDown,
  stone,
  strip,
  tank,
  tilt,
} from '../testing.ts';
import type { CAUTION_CODES, CautionCode } from './table.ts';

type Change = (plan: Plan) => void;

/** A strip a metre and a half deep beside a pad, in clay, water far below, all settled. */
export function site(change: Change): Plan {
  return plainPlan((p) => {
    soilsDown(p, ['top', 'topsoil', 0], ['clay', 'stiffClay', 0.3]);
    p.assumed = [];
    p.ground.water = 90;
    p.ground.frost.local = 1.3;
    p.elements = named(
      strip([
        [0, 0],
        [8, 0],
      ]),
      pad(4, 6, 2, 2),
    );
    change(p);
  });
}
export const hazard = (kind: Hazard['kind'], more: Partial<Hazard> = {}): Hazard => ({
  id: 'h',
  name: 'H',
  kind,
  points: [
    [0, 0.8],
    [8, 0.8],
  ],
  keepOff: 3,
  depth: null,
  level: null,
  projection: null,
  crossing: null,
  ...more,
});
export const with_ =
  (...hazards: Hazard[]): Change =>
  (p) => {
    p.ground.hazards = hazards;
  };
const square = (x: number, y: number, size: number): [number, number][] => [
  [x, y],
  [x + size, y],
  [x + size, y + size],
  [x, y + size],
];
const area = (x: number, y: number, size: number) => ({
  id: 'a',
  name: 'A',
  use: 'spoil' as const,
  points: square(x, y, size),
});
const bed =
  (more: Partial<BedLayer>): Change =>
  (p) => {
    bedded(p, stone(0.3, { topSize: 0.03, compactor: 'plateLight', ...more }));
  };
const stepped: Change = (p) => {
  tilt(p, 0.12);
  const [first] = p.elements;
  if (first?.kind === 'strip') first.stepped = true;
};

const axis: Strip['points'] = [
  [0, 0],
  [6, 0],
];
const drain =
  (more: Partial<Strip>): Change =>
  (p) => {
    p.elements = named(strip(axis, { use: 'drain', width: 0.4, ...more }));
  };
/** A slab on a floor at the ground, on clay that frost lifts. */
const onFloor: Change = (p) => {
  soilsDown(p, ['a', 'silt', 0]);
  p.levels.floors = [
    {
      id: 'f',
      name: 'F',
      level: 100.1,
      above: null,
      string: null,
      count: 'down',
      landing: 'deepen',
      layers: [],
    },
  ];
  p.elements = named(raft(square(0, 0, 6), { founding: 'floor' }));
};

/** On stone in two lifts that must reach a density. */
const proven: Change = bed({ thickness: 0.3, target: { share: 0.95, maximum: 1960, area: 50 } });

const SPOT: Plan['ground']['softSpots'][number] = {
  id: 'w',
  name: 'W',
  points: square(0, -1, 2),
  depth: 0.3,
  material: 'crushed',
  compactor: 'rammer',
  cement: null,
};

/** What raises each caution. */
const RAISED: Record<(typeof CAUTION_CODES)[number], Change> = {
  unsupported: (p) => Object.assign(p.dig, { slope: 0 }),
  engineerDepth: (p) => instruct(p, 93),
  influence: with_(hazard('footing', { level: 100.2 })),
  flood: with_(hazard('stream', { level: 101 })),
  ...(Object.fromEntries(
    HAZARD_KINDS.filter((kind) => kind !== 'footing').map((kind) => [`keepOff.${kind}`, with_(hazard(kind))]),
  ) as Record<Extract<CautionCode, `keepOff.${string}`>, Change>),
  cutBack: with_(hazard('footing', { level: 96, projection: 1.5 })),
  water: (p) => Object.assign(p.ground, { water: 99.2 }),
  waterNear: (p) => Object.assign(p.ground, { water: 98.4 }),
  heave: (p) => {
    // Clay a metre thick over gravel whose water would rise to the ground.
    soilsDown(p, ['clay', 'stiffClay', 0], ['gravel', 'gravel', 2.5]);
    p.ground.confined = { top: 97.5, level: 100 };
  },
  piping: (p) => {
    soilsDown(p, ['sand', 'sand', 0]);
    p.ground.water = 99.8;
    p.elements = named(pad(0, 0, 1, 1, { level: 97 }));
  },
  drawdown: (p) => {
    soilsDown(p, ['sand', 'sand', 0, { permeability: 1e-4 }]);
    p.ground.water = 99.5;
    with_(hazard('well', { points: [[14, 0]] }))(p);
  },
  surfaceWater: (p) => {
    tilt(p, 0.05);
    p.water.surface = [{ id: 's', name: 'S', kind: 'washOut', at: [14, 0], area: 0 }];
  },
  underFlood: (p) => {
    with_(hazard('stream', { level: 99 }))(p);
    onFloor(p);
    p.levels.floors[0]!.level = 99.2;
  },
  perched: (p) => Object.assign(p.ground.logs[0]!, { standing: 0.6, perched: true }),
  waterClass: (p) => {
    // Class C is the lowest there is: only a better soil can be brought down by water.
    soilsDown(p, ['clay', 'stiffClay', 0]);
    Object.assign(p.ground.soils[0]!.values, { slopeClass: 'B' });
    p.ground.water = 99.2;
  },
  caveIn: (p) => Object.assign(p.dig, { slope: 2 }),
  shored: (p) => Object.assign(p.dig, { support: 'shore' }),
  ladder: () => {},
  gas: () => {},
  rescue: () => {},
  ringUnknown: () => {},
  depthUnknown: (p) => {
    p.ground.frost.local = null;
    p.levels.cover = null;
  },
  frostUnknown: (p) => {
    p.ground.frost.local = null;
    p.levels.cover = 1;
  },
  waterUnknown: (p) => Object.assign(p.ground, { water: null }),
  soilAssumed: (p) => {
    p.assumed = ['/ground/logs/0'];
  },
  coverAssumed: (p) => {
    p.levels.cover = 0.5;
    p.assumed = ['/levels/cover'];
  },
  edge: () => {},
  services: () => {},
  servicesMarked: with_(hazard('service')),
  frozenFace: () => {},
  thaw: () => {},
  frostDry: (p) => {
    soilsDown(p, ['sand', 'siltySand', 0, { moisture: 0.005 }]);
    p.ground.frost.climate = { index: 500, days: 110, mean: 8, nFactor: 0.7, record: [], shape: [] };
  },
  softening: () => {},
  beyondSurvey: (p) => {
    p.ground.surface = {
      kind: 'spots',
      points: [
        [0, 0, 100],
        [4, 0, 100],
        [0, 4, 100],
      ],
      breaklines: [],
    };
  },
  aboveFrost: (p) => instruct(p, 99.4),
  stepHigh: (p) => {
    stepped(p);
    p.levels.steps.height = 0.5;
  },
  lapShort: (p) => {
    stepped(p);
    p.levels.steps.lap = 0.05;
  },
  instruction: (p) => instruct(p, 98),
  instructionWidth: (p) => {
    p.levels.instructions = [
      { id: 'w', level: null, width: 0.9, who: 'Eng.', when: '', why: '', elements: [] },
    ];
  },
  shallowSchool: (p) => {
    p.ground.frost.climate = { index: 700, days: 110, mean: 5, nFactor: 0.8, record: [], shape: [] };
    p.levels.shallow = {
      length: 8,
      width: 6,
      slab: 0.15,
      edge: 0.3,
      edgeWidth: 0.4,
      bed: 'gravel',
      board: null,
      outfall: null,
      fall: 0.01,
    };
  },
  stoneSize: bed({ topSize: 0.2 }),
  liftOverCompactor: bed({ maxLift: 0.6 }),
  compactorUnsuited: bed({ cohesive: true }),
  slabFrost: (p) => onFloor(p),
  slabEngineer: (p) => onFloor(p),
  liftFailed: proven,
  liftCovered: proven,
  liftOverridden: proven,
  slabSide: (p) => onFloor(p),
  slabLow: (p) => onFloor(p),
  drainFlat: drain({ outfall: { level: 99, head: null, silt: 0, where: 'ditch' } }),
  drainCrosses: (p) => {
    p.elements = named(
      strip(axis, { use: 'drain', width: 0.4, outfall: { level: 98, head: null, silt: 0, where: 'sump' } }),
      pad(2, 0, 1, 1),
    );
  },
  drainNowhere: drain({}),
  floats: (p) => {
    p.ground.water = 99.9;
    p.elements = named(tank(square(0, 0, 4), { height: 2.5, roof: 0, level: 97.6 }));
  },
  // A metre of stone in place of soft soil asks for half a metre of room on each side.
  replacementNarrow: (p) => {
    bedded(p, stone(1, { purpose: 'replacement' }));
    p.dig.room = 0.3;
  },
  // Held down by 1.05 of the 1.1 asked, and no water lifts it.
  floatsBarely: (p) => {
    p.ground.water = 99.9;
    p.elements = named(
      tank(square(0, 0, 4), { height: 2.5, roof: 0.3, wall: 0.25, thickness: 0.3, level: 97.4 }),
    );
  },
  floatsMeanwhile: (p) => {
    p.ground.water = 99.9;
    p.elements = named(
      tank(square(0, 0, 4), { height: 2.5, roof: 0.3, wall: 0.25, thickness: 0.3, level: 95.6 }),
    );
  },
  floatUnknown: (p) => {
    p.ground.water = null;
    p.elements = named(tank(square(0, 0, 4), { height: 2.5, level: 97.6 }));
  },
  crossing: with_(
    hazard('service', {
      points: [
        [4, -3],
        [4, 9],
      ],
    }),
  ),
  vibrates: (p) => {
    bed({ compactor: 'plateHeavy' })(p);
    with_(hazard('footing', { level: 99 }))(p);
  },
  softDeep: (p) => {
    p.ground.softSpots = [{ ...SPOT, depth: 2 }];
  },
  softPast: (p) => {
    p.ground.softSpots = [SPOT];
  },
  underpinOpen: (p) => {
    p.elements = named({ ...newUnderpin(p, axis), id: 'U', name: 'U' });
  },
  pitsUnsupported: (p) => {
    const old = { underside: 99.4, thickness: 0.6, inside: 99.9, access: 1, gap: 0 };
    p.elements = named({ ...newUnderpin(p, axis), old, level: 98.3, id: 'U', name: 'U' });
  },
  stoneBeam: drain({ use: 'stone', thickness: 0.5, beam: { width: 0.3, height: 0.3 } }),
  handDeep: (p) => {
    instruct(p, 98);
    p.elements[0]!.hand = true;
  },
  doubled: (p) => {
    p.elements = named(pad(0, 0, 6, 6, { level: 97 }), pad(0, 0, 1, 1));
  },
  spoilNear: (p) => {
    p.dig.slope = 0;
    p.site.areas = [area(-1, 0.8, 5)];
  },
  rehandle: (p) => {
    p.site.areas = [area(0, -1, 4)];
  },
  areaOutside: (p) => {
    p.site.boundary = square(-6, -6, 20);
    p.site.areas = [area(12, 0, 6)];
  },
  noRoom: (p) => {
    p.site.areas = [area(0, 20, 0.5)];
  },
  reach: (p) => instruct(p, 93.5),
  gate: (p) => {
    p.site.gates = [{ id: 'g', name: 'Gate', at: [0, -6], width: 1 }];
  },
  outsidePlot: (p) => {
    p.site.boundary = square(0, 0, 5);
  },
  shortfall: (p) => {
    p.spoil.keepForBackfill = true;
    soilsDown(p, ['top', 'topsoil', 0], ['peat', 'rock', 0.3]);
  },
  defer: (p) => {
    p.elements = [];
  },
};
const onLift = (lift: number) => ({
  element: 'E1',
  placement: bedLift({ bed: 'bed-1', layer: 'layer-1', lift }),
});
const laid = (lift: number) => logged('laid', { on: 'sound', reason: '', moisture: null }, onLift(lift));
const tested = () => logged('density', { wet: 1700, moisture: 0.05, cone: null }, onLift(1));
const RECORDS: Partial<Record<CautionCode, () => SiteRecord[]>> = {
  frozenFace: () => [logged('frozen', { depth: 0.4, from: 'typed', when: '' })],
  liftFailed: () => [laid(1), tested()],
  liftCovered: () => [laid(1), laid(2)],
  liftOverridden: () => [
    laid(1),
    tested(),
    logged('release', { who: 'Eng. Sol', reason: 'rain' }, onLift(1)),
  ],
};

/** A job that raises a caution. */
export const raisedBy = (code: (typeof CAUTION_CODES)[number]) => {
  const plan = site(RAISED[code]);
  return { plan, ...compute(plan, RECORDS[code]?.() ?? []) };
};
