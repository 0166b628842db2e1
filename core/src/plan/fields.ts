/**
 * One table of every field a plan has: its pointer with `*` for a place in a list, what kind of
 * quantity it is, its limits and what a new job starts with (SI), and the message that names it.
 * The schema, the fields on screen, blank plans, the checks, docs/plan-file.md and the words of the
 * log and of a conflict all read it. Limits are wide: they stop slips of a unit or a sign, not
 * unusual jobs.
 */
import { FOOT, INCH, type Kind, type System } from '../units/index.ts';

export interface Range {
  readonly kind: Kind;
  readonly min: number;
  readonly max: number;
}

/** What a new job starts with: the same everywhere, or metric and imperial. */
type Start = number | readonly [metric: number, imperial: number];

export interface Field extends Range {
  /** Message key of its name. */
  readonly label: string;
  readonly start?: Start;
}

const field = <const L extends string>(kind: Kind, min: number, max: number, label: L, start?: Start) => ({
  kind,
  min,
  max,
  label,
  ...(start !== undefined && { start }),
});
const level = <const L extends string>(label: L, start?: Start) => field('level', -500, 9000, label, start);
const size = <const L extends string>(min: number, max: number, label: L, start?: Start) =>
  field('size', min, max, label, start);
const length = <const L extends string>(min: number, max: number, label: L, start?: Start) =>
  field('length', min, max, label, start);
const price = <const L extends string>(label: L, kind: Kind = 'price') => field(kind, 0, 1e6, label);
const east = length(-2000, 2000, 'setout.eastOf');
const north = length(-2000, 2000, 'setout.northOf');
const inches = (n: number) => n * INCH;

export const FIELDS = {
  '/datum/level': level('levels.datum', [100, 100 * FOOT]),
  '/datum/east': length(-1e7, 1e7, 'setout.eastOf', 0),
  '/datum/north': length(-1e7, 1e7, 'setout.northOf', 0),

  '/ownRules/protectFrom': length(0, 10, 'dig.own.protectFrom', 1.2),
  '/ownRules/a': field('slope', 0, 5, 'dig.own.a', 0.75),
  '/ownRules/b': field('slope', 0, 5, 'dig.own.b', 1),
  '/ownRules/c': field('slope', 0, 5, 'dig.own.c', 1.5),
  '/ownRules/engineerDepth': length(0.5, 20, 'dig.own.engineerDepth', 6.1),
  '/ownRules/setback': length(0, 10, 'dig.own.setback', 0.61),
  '/ownRules/ladderDepth': length(0, 10, 'dig.own.ladderDepth', 1.22),
  '/ownRules/ladderTravel': length(1, 60, 'dig.own.ladderTravel', 7.6),

  '/ground/surface/level': level('ground.level', [100, 100 * FOOT]),
  '/ground/surface/gradeEast': field('gradient', -0.5, 0.5, 'ground.gradeEast', 0),
  '/ground/surface/gradeNorth': field('gradient', -0.5, 0.5, 'ground.gradeNorth', 0),
  '/ground/surface/points/*/0': east,
  '/ground/surface/points/*/1': north,
  '/ground/surface/points/*/2': level('ground.level'),
  '/ground/soils/*/values/density': field('density', 300, 3200, 'input.density'),
  '/ground/soils/*/values/swell': field('percent', 0, 1, 'input.swell'),
  '/ground/soils/*/values/shrink': field('percent', -0.6, 0.5, 'input.shrink'),
  '/ground/soils/*/values/repose': field('angle', 10, 60, 'input.repose'),
  '/ground/soils/*/values/permeability': field('permeability', 1e-13, 1, 'input.permeability'),
  '/ground/soils/*/values/dryDensity': field('density', 200, 3000, 'input.dryDensity'),
  '/ground/soils/*/values/moisture': field('percent', 0, 3, 'input.moisture'),
  '/ground/soils/*/values/finer': field('percent', 0, 1, 'soils.finer'),
  '/ground/soils/*/values/plasticity': field('number', 0, 200, 'soils.plasticity'),
  '/ground/soils/*/hand/penetrometer': field('pressure', 0, 1_000_000, 'soils.penetrometer'),
  '/ground/logs/*/at/0': east,
  '/ground/logs/*/at/1': north,
  '/ground/logs/*/layers/*/top': length(0, 60, 'pit.from'),
  '/ground/logs/*/bottom': length(0.1, 100, 'pit.ends', 4),
  '/ground/logs/*/strike': length(0, 100, 'logs.strike'),
  '/ground/logs/*/standing': length(-5, 100, 'logs.standing'),
  '/ground/knownTo': length(0.1, 100, 'ground.base', 4),
  '/ground/water': level('ground.waterLevel'),
  '/ground/waterHigh': level('ground.waterHigh'),
  '/ground/confined/top': level('night.confinedTop'),
  '/ground/confined/level': level('night.confinedLevel'),
  '/ground/hazards/*/points/*/0': east,
  '/ground/hazards/*/points/*/1': north,
  '/ground/hazards/*/keepOff': length(0, 50, 'hazard.keepOff'),
  '/ground/hazards/*/depth': length(0, 20, 'hazard.depth'),
  '/ground/hazards/*/level': level('ground.level'),
  '/ground/hazards/*/projection': size(0, 3, 'hazard.projection'),
  '/ground/softSpots/*/points/*/0': east,
  '/ground/softSpots/*/points/*/1': north,
  '/ground/softSpots/*/depth': size(0.05, 3, 'softSpot.depth', [0.4, 16 * INCH]),
  '/ground/obstructions/*/volume': field('volume', 0.001, 5000, 'obstruction.volume', 1),
  '/ground/obstructions/*/rate': field('volume', 0.01, 50, 'obstruction.rate'),
  '/ground/obstructions/*/density': field('density', 800, 3500, 'input.density'),
  '/ground/obstructions/*/swell': field('percent', 0, 1.5, 'input.swell'),
  '/ground/frost/local': length(0, 5, 'ground.frostLocal'),
  '/ground/frost/margin': size(0, 1, 'ground.frostMargin', [0.1, inches(4)]),
  '/ground/frost/climate/index': field('degreeDays', 0, 6000, 'ground.climate.index'),
  '/ground/frost/climate/days': field('days', 1, 330, 'ground.climate.days'),
  '/ground/frost/climate/mean': field('temperature', 0, 30, 'ground.climate.mean'),
  '/ground/frost/climate/nFactor': field('number', 0.1, 1.2, 'ground.climate.nFactor'),
  '/ground/frost/climate/record/*/index': field('degreeDays', 0, 6000, 'ground.climate.index'),
  '/ground/frost/climate/record/*/days': field('days', 0, 366, 'ground.climate.days'),
  '/ground/frost/climate/shape/*': field('percent', 0, 1, 'fields.winterShape'),
  '/ground/frost/cover/*/thickness': size(0.005, 3, 'levels.thickness'),
  '/ground/frost/cover/*/conductivity': field('number', 0.015, 5, 'fields.shallowConductivity'),

  '/water/altitude': field('length', -400, 5000, 'night.altitude'),
  '/water/storm/depth': size(0, 0.6, 'night.depth', [0.03, 1.25 * INCH]),
  '/water/storm/hours': field('hours', 0.25, 96, 'night.hours', 6),
  '/water/storm/hourly/*': size(0, 0.2, 'night.hourly'),
  '/water/runoff': field('percent', 0, 1, 'night.runoff'),
  '/water/ditches/*/points/*/0': east,
  '/water/ditches/*/points/*/1': north,
  '/water/drained/*/area': field('area', 0, 100_000, 'night.drained', 50),
  '/water/drained/*/points/*/0': east,
  '/water/drained/*/points/*/1': north,
  '/water/pumps/*/count': field('count', 1, 8, 'night.count', 1),
  '/water/pumps/*/curve/*/flow': field('flow', 0, 0.2, 'night.flow'),
  '/water/pumps/*/curve/*/head': length(0, 80, 'night.head'),
  '/water/pumps/*/hose/diameter': size(0, 0.3, 'night.hoseDiameter', 0.05),
  '/water/pumps/*/hose/length': length(0, 500, 'night.hoseLength', [20, 66 * 0.3048]),
  '/water/pumps/*/outlet': level('night.outlet'),
  '/water/pumps/*/sump/depth': size(0, 3, 'night.sumpDepth', [0.5, 20 * INCH]),
  '/water/pumps/*/sump/area': field('area', 0, 20, 'night.sumpArea', 0.25),
  '/water/pumps/*/sump/at/0': east,
  '/water/pumps/*/sump/at/1': north,
  '/water/pumps/*/start': size(-3, 3, 'night.start', [-0.05, -2 * INCH]),
  '/water/pumps/*/stop': size(-3, 3, 'night.stop', [-0.35, -14 * INCH]),
  '/water/dam/length': length(0.5, 200, 'night.damLength', 6),
  '/water/dam/depth': size(0, 3, 'night.damDepth', [0.5, 20 * INCH]),
  '/water/dam/freeboard': size(0, 2, 'night.damFreeboard', [0.3, 12 * INCH]),
  '/water/dam/crest': size(0.1, 3, 'night.damCrest', [0.5, 20 * INCH]),
  '/water/dam/inner': field('slope', 0.2, 4, 'night.damInner', 1),
  '/water/dam/outer': field('slope', 0.2, 4, 'night.damOuter', 1.5),
  '/water/dam/bag': field('capacity', 0.003, 2, 'night.damBag', 0.02),
  '/water/dam/flow': field('flow', 0, 5, 'night.damFlow'),
  '/water/dam/fall': field('gradient', 0, 0.3, 'night.damFall', 0.01),
  '/water/freeboard': size(0, 3, 'night.freeboard'),
  '/water/surface/*/at/0': east,
  '/water/surface/*/at/1': north,
  '/water/surface/*/area': field('area', 0, 100_000, 'night.surfaceArea', 40),
  '/water/filters/*/grading/*/size': field('grain', 1e-7, 0.3, 'night.grain', 7.5e-5),
  '/water/filters/*/grading/*/passing': field('percent', 0, 1, 'night.passing', 0.5),
  '/water/record/two': size(0.001, 0.6, 'night.two', [0.04, 1.5 * INCH]),
  '/water/record/ten': size(0.001, 0.6, 'night.ten', [0.07, 2.75 * INCH]),
  '/levels/string': level('levels.stringLevel', [100.5, 101.5 * FOOT]),
  '/levels/strings/*/level': level('levels.stringLevel'),
  '/levels/floors/*/level': level('levels.floorLevel'),
  '/levels/floors/*/layers/*/thickness': size(0.0001, 3, 'levels.thickness'),
  '/levels/floors/*/layers/*/joint': size(0, 0.05, 'stack.joint'),
  '/levels/bearing/embedment': size(0, 5, 'levels.embedment'),
  '/levels/cover': size(0, 5, 'levels.cover', [0.45, inches(18)]),
  '/levels/splash': size(0, 1.5, 'levels.splash'),
  '/levels/steps/height': size(0.05, 2, 'fields.carriesHeight'),
  '/levels/steps/lap': size(0, 5, 'fields.carriesLap'),
  '/levels/steps/tread': size(0.3, 20, 'fields.carriesTread'),
  '/levels/influence': field('number', 0.2, 2, 'fields.neighbourInfluence', 1),
  '/levels/instructions/*/level': level('levels.instructionLevel'),
  '/levels/instructions/*/width': size(0.1, 30, 'fields.wordWidth'),
  '/levels/shallow/length': length(0.5, 200, 'fields.shallowLength'),
  '/levels/shallow/width': length(0.5, 200, 'fields.shallowWidth'),
  '/levels/shallow/slab': size(0.05, 1, 'fields.shallowSlab'),
  '/levels/shallow/edge': size(0.05, 2, 'fields.shallowEdge'),
  '/levels/shallow/edgeWidth': size(0.1, 3, 'fields.shallowEdgeWidth'),
  '/levels/shallow/board/thickness': size(0.005, 3, 'levels.thickness'),
  '/levels/shallow/board/conductivity': field('number', 0.015, 5, 'fields.shallowConductivity'),
  '/levels/shallow/outfall/distance': length(0, 500, 'fields.shallowDistance'),
  '/levels/shallow/outfall/level': level('fields.shallowLevel'),
  '/levels/shallow/fall': field('gradient', 0.001, 0.2, 'fields.shallowFall'),

  '/setout/offset': length(0.2, 10, 'boards.offset', [1, inches(36)]),
  '/setout/tension': field('force', 5, 500, 'boards.tension', 100),
  '/setout/weight': field('lineMass', 0.0001, 0.1, 'boards.weight', 0.002),
  '/setout/tolerance': size(0.001, 0.1, 'boards.tolerance', [0.005, inches(0.25)]),
  '/setout/temperature': field('temperature', -40, 60, 'boards.temperature'),

  '/site/boundary/*/0': east,
  '/site/boundary/*/1': north,
  '/site/gates/*/at/0': east,
  '/site/gates/*/at/1': north,
  '/site/gates/*/width': length(0.5, 50, 'fields.wide'),
  '/site/areas/*/points/*/0': east,
  '/site/areas/*/points/*/1': north,
  '/site/paths/*/width': length(0.3, 30, 'fields.keptClear'),
  '/site/paths/*/points/*/0': east,
  '/site/paths/*/points/*/1': north,

  '/dig/slope': field('slope', 0, 5, 'dig.side', 1),
  '/dig/room': size(0, 3, 'dig.room', [0.3, inches(12)]),
  '/dig/bench/height': size(0.2, 3, 'dig.benchHeight', [1.2, inches(48)]),
  '/dig/bench/width': size(0.2, 6, 'dig.benchWidth', [1.2, inches(48)]),
  '/dig/shore': size(0, 0.6, 'dig.shore', [0.1, inches(4)]),
  '/dig/machines/*/reach/*/depth': length(-5, 15, 'fields.machineDepth'),
  '/dig/machines/*/reach/*/reach': length(0.5, 25, 'fields.machineReach'),
  '/dig/machines/*/dumpHeight': length(0.5, 12, 'fields.machineDumpHeight'),
  '/dig/machines/*/width': length(0.5, 5, 'fields.machineWidth'),
  '/dig/machines/*/bucket': field('volume', 0.01, 6, 'fields.machineBucket'),
  '/dig/machines/*/cycle': field('number', 5, 120, 'fields.machineCycle'),
  '/dig/machines/*/efficiency': field('percent', 0.2, 1, 'fields.machineEfficiency'),
  '/dig/buckets/*': size(0.15, 3, 'dig.bucket'),
  '/dig/day/hours': field('hours', 1, 24, 'trucks.hours', 8),
  '/dig/handTrim': size(0, 0.5, 'dig.handTrim'),
  '/dig/handRate': field('volume', 0.05, 5, 'byHand.rate'),

  '/spoil/spread': field('percent', 0, 0.5, 'site.spread', 0.1),
  '/spoil/trucks/*/body': field('volume', 0.1, 60, 'input.body', [8, 7.645548]),
  '/spoil/trucks/*/payload': field('mass', 100, 80000, 'input.payload', 13000),
  '/spoil/trucks/*/sideHeight': length(0.2, 5, 'input.side', [2.4, inches(96)]),
  '/spoil/trip': field('number', 1, 600, 'fields.machineTrip', 40),
  '/spoil/fleet': field('count', 1, 8, 'trucks.fleet', 1),

  '/beds/*/layers/*/thickness': size(0.01, 5, 'base.thickness'),
  '/beds/*/layers/*/projection': size(0, 3, 'base.projection'),
  '/beds/*/layers/*/density': field('density', 1000, 2800, 'base.density'),
  '/beds/*/layers/*/looseFactor': field('number', 1, 2, 'base.looseFactor'),
  '/beds/*/layers/*/topSize': size(0.0005, 0.3, 'base.topSize'),
  '/beds/*/layers/*/maxLift': size(0.05, 1, 'base.maxLift'),
  '/beds/*/layers/*/proven/lift': size(0.05, 1, 'base.provenLift'),
  '/beds/*/layers/*/target/share': field('percent', 0.8, 1.1, 'proof.share', 0.95),
  '/beds/*/layers/*/target/maximum': field('density', 1000, 2800, 'proof.maximum'),
  '/beds/*/layers/*/target/area': field('area', 1, 5000, 'proof.area', 50),
  '/beds/*/cloth/lap': size(0, 2, 'base.lap', [0.3, inches(12)]),
  '/beds/*/cloth/waste': field('percent', 0, 0.5, 'base.clothWaste', 0.05),

  '/pour/irregularity': size(0, 0.1, 'pour.irregularity'),
  '/pour/waste': field('percent', 0, 0.5, 'pour.waste', 0.05),
  '/pour/step': field('volume', 0.05, 5, 'pour.step', [0.5, 0.3822774]),
  '/compactors/*/mass': field('mass', 5, 5000, 'base.ownMass'),
  '/compactors/*/width': size(0.1, 3, 'base.ownWidth'),
  '/compactors/*/speed': field('speed', 0.01, 1.5, 'base.ownSpeed'),
  '/pour/screed': size(0.5, 8, 'pour.screed', [2.4, 96 * INCH]),
  '/pour/truck': field('volume', 0.2, 15, 'pour.truck', 6),

  '/prices/dig': price('prices.dig', 'volumePrice'),
  '/prices/load': price('prices.load'),
  '/prices/stone': price('prices.stone', 'massPrice'),
  '/prices/lean': price('prices.lean', 'volumePrice'),
  '/prices/concrete': price('prices.concrete', 'volumePrice'),
  '/prices/shoring': price('prices.shoring', 'areaPrice'),

  '/elements/*/points/*/0': east,
  '/elements/*/points/*/1': north,
  '/elements/*/outline/*/0': east,
  '/elements/*/outline/*/1': north,
  '/elements/*/at/0': east,
  '/elements/*/at/1': north,
  '/elements/*/width': size(0.1, 30, 'fields.width', [0.6, inches(24)]),
  '/elements/*/length': size(0.1, 60, 'dig.length', [1, inches(48)]),
  '/elements/*/thickness': size(0.05, 10, 'fields.thickness', [0.3, inches(12)]),
  '/elements/*/stem': size(0, 5, 'fields.stem', 0),
  '/elements/*/angle': field('angle', -360, 360, 'setout.angle', 0),
  '/elements/*/slope': field('slope', 0, 5, 'dig.side'),
  '/elements/*/room': size(0, 3, 'dig.room'),
  '/elements/*/bucket': size(0.15, 3, 'dig.bucket'),
  '/elements/*/low': size(0, 3, 'dig.low', 0),
  '/elements/*/trim': size(0, 0.5, 'dig.handTrim'),
  '/elements/*/level': level('dig.level'),
  '/elements/*/fall': field('gradient', -0.3, 0.3, 'dig.fall', 0),
  '/elements/*/outfall/level': level('drain.outlet'),
  '/elements/*/outfall/head': level('drain.head'),
  '/elements/*/outfall/silt': size(0, 1, 'drain.silt', 0),
  '/elements/*/pipe/diameter': size(0.02, 1.2, 'drain.pipe', [0.11, inches(4)]),
  '/elements/*/pipe/bedding': size(0, 0.5, 'drain.bedding', [0.05, inches(2)]),
  '/elements/*/beam/width': size(0.05, 3, 'stoneFooting.beamWidth', [0.3, inches(12)]),
  '/elements/*/beam/height': size(0.05, 3, 'stoneFooting.beamHeight', [0.45, inches(18)]),
  '/elements/*/old/underside': level('underpin.underside'),
  '/elements/*/old/thickness': size(0.1, 3, 'underpin.thickness', [0.6, inches(24)]),
  '/elements/*/old/inside': level('underpin.inside'),
  '/elements/*/old/access': size(0, 3, 'underpin.access', [1, inches(40)]),
  '/elements/*/old/gap': size(0, 0.3, 'underpin.gap', [0.075, inches(3)]),
  '/elements/*/bay': size(0.3, 3, 'dig.bay', 1.2),
  '/elements/*/key/width': size(0.05, 5, 'dig.keyWidth'),
  '/elements/*/key/depth': size(0.05, 3, 'dig.keyDepth'),
  '/elements/*/edge/depth': size(0.05, 3, 'dig.edgeDepth', [0.25, inches(10)]),
  '/elements/*/edge/width': size(0.05, 5, 'dig.edgeWidth', [0.4, inches(16)]),
  '/elements/*/boards/thickness': size(0.01, 0.5, 'slab.boardThickness', [0.05, inches(2)]),
  '/elements/*/boards/width': size(0.1, 5, 'slab.boardWidth', [0.6, inches(24)]),
  '/elements/*/crossfall/grade': field('gradient', 0.001, 0.1, 'slab.crossfall', 0.02),
  '/elements/*/crossfall/toward': field('angle', -360, 360, 'slab.toward', 270),
  '/elements/*/wall': size(0, 2, 'dig.wall', [0.2, inches(8)]),
  '/elements/*/height': size(0.1, 12, 'dig.boxHeight', [2.4, inches(96)]),
  '/elements/*/roof': size(0, 2, 'dig.roof', 0),
  '/elements/*/grade': field('gradient', 0.02, 1, 'dig.grade', 0.2),
} as const satisfies Record<string, Field>;

/** A number of a plan by its pointer, `*` for a place in a list. */
export type FieldId = keyof typeof FIELDS;
export type FieldLabel = (typeof FIELDS)[FieldId]['label'];

/**
 * What a new job starts with.
 * @throws when the table has no start for it: a slip in the caller
 */
export function startOf(id: FieldId, system: System): number {
  const { start }: Field = FIELDS[id];
  if (start === undefined) throw new Error(`Nothing is known to start ${id} with.`);
  return typeof start === 'number' ? start : start[system === 'metric' ? 0 : 1];
}

/**
 * The rest of a plan: texts, choices, what is there or not. `choice` is where the words of its
 * values stand; `of` names the list its value is an id of.
 */
export interface Wording {
  readonly label: string;
  readonly choice?: string;
  readonly of?: 'soils' | 'floors' | 'machines' | 'elements' | 'beds' | 'strings';
}

export const WORDINGS = {
  '/name': { label: 'jobs.name' },
  '/place': { label: 'jobs.place' },
  '/note': { label: 'logs.note' },
  '/emergencyContact': { label: 'dig.emergencyContact' },
  '/assumed': { label: 'fields.assumed' },
  '/system': { label: 'prefs.system', choice: 'prefs' },
  '/ruleSet': { label: 'dig.ruleSet', choice: 'dig.rules' },
  '/datum/name': { label: 'fields.datumName' },
  '/ground/surface': { label: 'fields.surface' },
  '/ground/soils/*': { label: 'fields.soil' },
  '/ground/soils/*/name': { label: 'dig.name' },
  '/ground/soils/*/kind': { label: 'fields.soilKind', choice: 'soil' },
  '/ground/soils/*/values/slopeClass': { label: 'fields.slopeClass' },
  '/ground/soils/*/hand': { label: 'fields.hand' },
  '/ground/logs/*': { label: 'fields.log' },
  '/ground/logs/*/name': { label: 'dig.name' },
  '/ground/logs/*/at': { label: 'fields.place' },
  '/ground/logs/*/layers': { label: 'fields.layers' },
  '/ground/logs/*/perched': { label: 'logs.perched' },
  '/ground/logs/*/note': { label: 'logs.note' },
  '/ground/hazards/*': { label: 'fields.hazard' },
  '/ground/hazards/*/name': { label: 'dig.name' },
  '/ground/hazards/*/kind': { label: 'hazard.what', choice: 'hazard.kind' },
  '/ground/hazards/*/points': { label: 'fields.place' },
  '/ground/obstructions/*': { label: 'obstruction.one' },
  '/ground/obstructions/*/name': { label: 'dig.name' },
  '/ground/obstructions/*/kind': { label: 'obstruction.what', choice: 'obstruction.kind' },
  '/ground/obstructions/*/by': { label: 'obstruction.by', choice: 'obstruction.breaker' },
  '/ground/obstructions/*/element': { label: 'obstruction.element', of: 'elements' },
  '/ground/softSpots/*': { label: 'softSpot.one' },
  '/ground/softSpots/*/name': { label: 'dig.name' },
  '/ground/softSpots/*/points': { label: 'fields.place' },
  '/ground/softSpots/*/material': { label: 'softSpot.material', choice: 'bedMaterial' },
  '/ground/softSpots/*/compactor': { label: 'base.compactor', choice: 'compactor' },
  '/ground/frost/climate': { label: 'fields.climate' },
  '/ground/frost/cover/*': { label: 'fields.cover' },
  '/ground/frost/cover/*/kind': { label: 'fields.cover', choice: 'frost.cover' },
  '/water/zone': { label: 'night.zone' },
  '/water/storm': { label: 'night.storm' },
  '/water/storm/start': { label: 'night.stormStart' },
  '/water/storm/pattern': { label: 'night.pattern', choice: 'night.patterns' },
  '/water/storm/hourly': { label: 'night.hourly' },
  '/water/dryBy': { label: 'night.dryBy' },
  '/water/bedLaid': { label: 'night.bedLaid' },
  '/water/cover': { label: 'night.cover' },
  '/water/full': { label: 'night.full' },
  '/water/ditches/*': { label: 'night.ditch' },
  '/water/ditches/*/name': { label: 'dig.name' },
  '/water/ditches/*/points': { label: 'fields.place' },
  '/water/drained': { label: 'night.drained' },
  '/water/drained/*': { label: 'night.drained' },
  '/water/drained/*/points': { label: 'fields.place' },
  '/water/drained/*/element': { label: 'night.drained', of: 'elements' },
  '/water/pumps/*': { label: 'night.pump' },
  '/water/pumps/*/name': { label: 'dig.name' },
  '/water/pumps/*/kind': { label: 'night.pumpKind', choice: 'night.pumps' },
  '/water/pumps/*/element': { label: 'night.hole', of: 'elements' },
  '/water/pumps/*/curve': { label: 'night.curve' },
  '/water/pumps/*/sump/filled': { label: 'night.sumpFilled', choice: 'night.sumpFills' },
  '/water/pumps/*/sump/at': { label: 'fields.place' },
  '/water/pumps/*/from': { label: 'night.from' },
  '/water/pumps/*/until': { label: 'night.until' },
  '/water/dam': { label: 'night.dam' },
  '/water/surface/*': { label: 'night.surface' },
  '/water/surface/*/name': { label: 'dig.name' },
  '/water/surface/*/kind': { label: 'night.surface', choice: 'night.surfaces' },
  '/water/surface/*/at': { label: 'fields.place' },
  '/water/holding': { label: 'night.holding' },
  '/water/holding/by': { label: 'night.holding', choice: 'night.holdings' },
  '/water/discharge': { label: 'night.discharge' },
  '/water/discharge/to': { label: 'night.discharge', choice: 'night.discharges' },
  '/water/filters': { label: 'night.filter' },
  '/water/surface': { label: 'night.surface' },
  '/water/filters/*': { label: 'night.filter' },
  '/water/filters/*/grading': { label: 'night.grading' },
  '/water/filters/*/by': { label: 'night.filter', choice: 'night.filters' },
  '/water/record': { label: 'night.record' },
  '/ground/confined': { label: 'night.confined' },
  '/levels/floors/*': { label: 'levels.floor' },
  '/levels/floors/*/name': { label: 'dig.name' },
  '/levels/floors/*/string': { label: 'strings.hangsOn', of: 'strings' },
  '/levels/strings/*': { label: 'strings.one' },
  '/levels/strings/*/name': { label: 'dig.name' },
  '/levels/floors/*/above': { label: 'fields.above', of: 'floors' },
  '/levels/floors/*/count': { label: 'fields.count' },
  '/levels/floors/*/landing': { label: 'fields.landing' },
  '/levels/floors/*/layers/*': { label: 'fields.layer' },
  '/levels/floors/*/layers/*/name': { label: 'dig.name' },
  '/levels/floors/*/layers/*/material': { label: 'fields.material', choice: 'material' },
  '/levels/bearing': { label: 'levels.bearing' },
  '/levels/bearing/soil': { label: 'levels.bearing', of: 'soils' },
  '/levels/instructions/*': { label: 'fields.instruction' },
  '/levels/instructions/*/who': { label: 'fields.who' },
  '/levels/instructions/*/when': { label: 'fields.when' },
  '/levels/instructions/*/why': { label: 'fields.why' },
  '/levels/instructions/*/elements': { label: 'fields.elements' },
  '/levels/shallow': { label: 'fields.shallow' },
  '/levels/shallow/bed': { label: 'fields.shallowBed' },
  '/levels/shallow/board': { label: 'fields.board' },
  '/levels/shallow/outfall': { label: 'fields.outfall' },
  '/site/boundary': { label: 'fields.boundary' },
  '/site/gates/*': { label: 'fields.gate' },
  '/site/gates/*/name': { label: 'dig.name' },
  '/site/gates/*/at': { label: 'fields.place' },
  '/site/areas/*': { label: 'fields.area' },
  '/site/areas/*/name': { label: 'dig.name' },
  '/site/areas/*/use': { label: 'fields.area', choice: 'site.use' },
  '/site/areas/*/points': { label: 'fields.place' },
  '/site/paths/*': { label: 'fields.path' },
  '/site/paths/*/name': { label: 'dig.name' },
  '/site/paths/*/points': { label: 'fields.place' },
  '/dig/corners': { label: 'dig.corners', choice: 'dig' },
  '/dig/support': { label: 'dig.support', choice: 'ways' },
  '/dig/machines/*': { label: 'dig.machine' },
  '/dig/machines/*/name': { label: 'dig.name' },
  '/dig/machines/*/reach': { label: 'fields.machineReach' },
  '/dig/machine': { label: 'dig.machine', of: 'machines' },
  '/dig/order': { label: 'lower.order', of: 'elements' },
  '/dig/buckets': { label: 'dig.bucket' },
  '/dig/cramped': { label: 'fields.machineCramped' },
  '/dig/day/start': { label: 'trucks.start' },
  '/spoil/topsoil': { label: 'backfill.topsoil', choice: 'fields.topsoil' },
  '/spoil/keepForBackfill': { label: 'backfill.keep' },
  '/spoil/trucks/*': { label: 'trucks.name' },
  '/spoil/trucks/*/name': { label: 'dig.name' },
  '/beds/*': { label: 'base.bed' },
  '/beds/*/name': { label: 'dig.name' },
  '/beds/*/onOldBase': { label: 'base.onOldBase' },
  '/beds/*/cloth': { label: 'base.cloth' },
  '/beds/*/cloth/around': { label: 'base.around' },
  '/beds/*/layers/*': { label: 'fields.layer' },
  '/beds/*/layers/*/name': { label: 'base.name' },
  '/beds/*/layers/*/material': { label: 'fields.material', choice: 'bedMaterial' },
  '/beds/*/layers/*/purpose': { label: 'base.purpose', choice: 'purpose' },
  '/beds/*/layers/*/cohesive': { label: 'base.cohesive' },
  '/beds/*/layers/*/compactor': { label: 'base.compactor' },
  '/beds/*/layers/*/proven': { label: 'base.proven' },
  '/beds/*/layers/*/proven/trial': { label: 'base.trialName' },
  '/compactors': { label: 'base.compactor' },
  '/compactors/*': { label: 'base.compactor' },
  '/compactors/*/name': { label: 'dig.name' },
  '/compactors/*/kind': { label: 'base.compactor' },
  '/pour/together/*': { label: 'pour.together' },
  '/pour/together/*/name': { label: 'dig.name' },
  '/pour/together/*/elements': { label: 'fields.elements' },
  '/pour/makeUp': { label: 'pour.makeUp', choice: 'pour.with' },
  '/prices/currency': { label: 'prices.currency' },
  '/elements/*': { label: 'fields.element' },
  '/elements/*/name': { label: 'dig.name' },
  '/elements/*/group': { label: 'dig.group' },
  '/elements/*/method': { label: 'dig.method', choice: 'dig' },
  '/elements/*/floor': { label: 'fields.floor', of: 'floors' },
  '/elements/*/bed': { label: 'base.bed', of: 'beds' },
  '/elements/*/support': { label: 'dig.support', choice: 'ways' },
  '/elements/*/points': { label: 'fields.place' },
  '/elements/*/outline': { label: 'fields.place' },
  '/elements/*/at': { label: 'fields.place' },
  '/elements/*/closed': { label: 'setout.closed' },
  '/elements/*/stepped': { label: 'fields.carriesStepped' },
  '/elements/*/use': { label: 'dig.use', choice: 'dig.uses' },
  '/elements/*/key': { label: 'dig.key' },
  '/elements/*/edge': { label: 'dig.edge' },
  '/elements/*/hand': { label: 'dig.byHand' },
  '/elements/*/string': { label: 'strings.hangsOn', of: 'strings' },
  '/elements/*/founding': { label: 'slab.founding', choice: 'slab' },
  '/elements/*/boards': { label: 'slab.boards' },
  '/elements/*/boards/zone': { label: 'slab.zone', choice: 'slab.zones' },
  '/elements/*/crossfall': { label: 'slab.crossfall' },
  '/elements/*/outfall': { label: 'drain.outfall' },
  '/elements/*/outfall/where': { label: 'drain.where', choice: 'drain.outlets' },
  '/elements/*/pipe': { label: 'drain.pipe' },
  '/elements/*/wrapped': { label: 'drain.wrapped' },
  '/elements/*/beam': { label: 'stoneFooting.beam' },
  '/elements/*/old': { label: 'underpin.old' },
  '/elements/*/serves': { label: 'fields.serves', of: 'elements' },
} as const satisfies Record<string, Wording>;

export const isField = (pattern: string): pattern is FieldId => Object.hasOwn(FIELDS, pattern);

/** A pointer of a document as the tables write it: `*` for every place in a list but a coordinate. */
export const patternOf = (pointer: string): string => {
  const starred = pointer.replace(/\/\d+(?=\/|$)/g, '/*');
  const last = /\/(\d+)$/.exec(pointer);
  const pair = last ? `${starred.slice(0, -1)}${last[1]}` : '';
  return isField(pair) ? pair : starred;
};

/**
 * The field a pointer's number is.
 * @throws when the pointer is of no number of a plan: a slip in the caller
 */
export function fieldOf(pointer: string): FieldId {
  const pattern = patternOf(pointer);
  if (isField(pattern)) return pattern;
  throw new Error(`No field is known for ${pointer}.`);
}

/** Null when the value may stand; otherwise which limit it breaks. NaN and ±Infinity never stand. */
export function outOfRange({ min, max }: Range, value: number): 'notFinite' | 'range' | null {
  if (!Number.isFinite(value)) return 'notFinite';
  // A hair of tolerance: limits typed in feet do not land on the metric number exactly.
  const slack = 1e-9 * Math.max(1, Math.abs(max));
  return value < min - slack || value > max + slack ? 'range' : null;
}
