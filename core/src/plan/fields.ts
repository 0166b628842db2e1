/**
 * One table of every field a plan has: its pointer with `*` for a place in a list, what kind of
 * quantity it is, its limits and what a new job starts with (SI), and the message that names it.
 * The schema, the fields on screen, blank plans, the checks, docs/plan-file.md and the words of the
 * log and of a conflict all read it. Limits are wide: they stop slips of a unit or a sign, not
 * unusual jobs.
 */
import { CUBIC_FOOT, FOOT, INCH, type Kind, POUND, type System } from '../units/index.ts';

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
/** Days of the log behind a rate that was taken from it. */
const learnedDays = field('count', 1, 10_000, 'fields.learnedDays');
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
  '/ground/hazards/*/crossing/level': level('crossing.level'),
  '/ground/hazards/*/crossing/size': size(0.005, 3, 'crossing.size', [0.11, inches(4)]),
  '/ground/hazards/*/crossing/opening': size(0.01, 4, 'crossing.opening', [0.2, inches(8)]),
  '/ground/softSpots/*/points/*/0': east,
  '/ground/softSpots/*/points/*/1': north,
  '/ground/softSpots/*/cement': field('percent', 0.005, 0.3, 'softSpot.cement', 0.06),
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
  '/levels/limits/formationOver': size(0, 0.3, 'shot.limit.formationOver'),
  '/levels/limits/formationUnder': size(0, 0.5, 'shot.limit.formationUnder'),
  '/levels/limits/bed': size(0, 0.3, 'shot.limit.bed'),
  '/levels/limits/lean': size(0, 0.3, 'shot.limit.lean'),
  '/levels/limits/footing': size(0, 0.3, 'shot.limit.footing'),
  '/levels/limits/check': size(0, 0.1, 'shot.limit.check'),
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
  '/site/ways/*/width': length(0.3, 30, 'way.width'),
  '/site/ways/*/height': length(0.5, 30, 'way.height'),
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
  '/dig/frozenRate': field('number', 0.02, 1, 'dig.frozenRate'),
  '/dig/handTrim': size(0, 0.5, 'dig.handTrim'),
  '/dig/handRate': field('volume', 0.05, 5, 'byHand.rate'),
  '/dig/learned/byHand/days': learnedDays,
  '/dig/learned/outputs/*/days': learnedDays,
  '/ground/swells/*/days': learnedDays,
  '/dig/learned/byHand/value': field('volume', 0.005, 500, 'byHand.rate'),
  '/dig/learned/outputs/*/value': field('volume', 0.001, 5000, 'fields.machineOutput'),
  '/ground/swells/*/value': field('percent', 0, 1, 'input.swell'),

  '/site/strips/*/points/*/0': east,
  '/site/strips/*/points/*/1': north,
  '/site/strips/*/thickness': size(0.02, 2, 'strips.thickness', [0.25, inches(10)]),
  '/site/strips/*/level': level('strips.level'),
  '/backfill/bringIn/swell': field('percent', 0, 1, 'input.swell', 0.12),
  '/backfill/bringIn/shrink': field('percent', -0.6, 0.5, 'input.shrink', 0.05),
  '/backfill/bringIn/body': field('volume', 0.1, 60, 'input.body', [8, 7.645548]),
  '/backfill/maxLift': size(0.05, 1, 'backfill.maxLift'),
  '/backfill/near/width': length(0, 10, 'backfill.nearWidth', [1, 3 * FOOT]),
  '/backfill/difference': size(0.05, 2, 'backfill.difference', [0.3, FOOT]),
  '/backfill/cureDays': field('days', 0, 90, 'backfill.cureDays', 7),
  '/backfill/target/share': field('percent', 0.5, 1.1, 'proof.share', 0.95),
  '/backfill/target/maximum': field('density', 800, 3000, 'proof.maximum'),
  '/backfill/target/area': field('area', 1, 5000, 'proof.area', 25),
  '/backfill/target/points': field('count', 1, 20, 'backfill.points', 3),
  '/backfill/surround/over': size(0, 2, 'backfill.surroundOver', [0.15, inches(6)]),
  '/backfill/surround/pipe': size(0, 1, 'backfill.pipe', [0.1, inches(4)]),
  '/backfill/topsoil': size(0.02, 2, 'backfill.topsoilBack'),
  '/backfill/oneSided/*/height': length(0, 15, 'backfill.heldHeight', [1.5, 5 * FOOT]),
  '/backfill/soils/*/moisture': field('percent', 0, 3, 'backfill.moisture'),
  '/backfill/soils/*/optimum': field('percent', 0.01, 1, 'backfill.optimum'),
  '/backfill/soils/*/days': field('days', 0, 120, 'backfill.dryDays'),
  '/backfill/after/fall': field('gradient', 0, 0.5, 'backfill.fall', [0.05, 0.05]),
  '/backfill/after/length': length(0.3, 20, 'backfill.fallLength', [3, 10 * FOOT]),
  '/backfill/after/hump': field('percent', 0, 0.2, 'backfill.hump', 0.03),
  '/backfill/after/plinth': size(0, 2, 'backfill.plinth', [0.15, inches(6)]),
  '/backfill/leastStanding': length(0, 20, 'backfill.leastStanding'),
  '/days/people': field('count', 1, 60, 'days.people', 3),
  '/days/notice': field('hours', 0, 400, 'days.notice', 8),
  '/days/formsStay': field('days', 0, 60, 'days.formsStay', 2),
  '/days/bayCure': field('days', 0, 60, 'days.bayCure', 3),
  '/days/rainStops': size(0.0005, 0.5, 'days.rainStops'),
  '/days/weather/*/rain': size(0, 1, 'days.rain'),
  '/days/weather/*/low': field('temperature', -60, 60, 'days.low'),
  '/days/weather/*/high': field('temperature', -60, 60, 'days.high'),
  '/days/own/*/rate': field('number', 0.001, 1e6, 'days.rate'),
  '/days/own/*/hours': field('hours', 0, 5000, 'days.hours'),
  '/days/own/*/people': field('count', 1, 60, 'days.people'),
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
  '/pour/line/length': length(0.5, 300, 'pour.lineLength', [40, 40]),
  '/pour/line/diameter': size(0.04, 0.2, 'pour.lineDiameter', [0.125, inches(5)]),
  '/pour/hopper': field('volume', 0, 5, 'pour.hopper'),
  '/pour/gaps': field('volume', 0, 20, 'pour.gaps'),
  '/pour/truck': field('volume', 0.2, 15, 'pour.truck', 6),
  '/pour/topSize': size(0.004, 0.15, 'pour.topSize'),
  '/pour/dampen': size(0.0001, 0.02, 'pour.dampen'),
  '/pour/heads': field('count', 0, 20, 'pour.heads'),
  '/pour/placing/rate': field('volume', 0.1, 120, 'pouring.rate'),
  '/pour/placing/distance': length(1, 200, 'pouring.distance', 20),
  '/pour/placing/barrows': field('count', 1, 40, 'pouring.barrows', 3),
  '/pour/placing/travel': field('hours', 0, 6, 'pouring.travel'),
  '/pour/placing/limit': field('hours', 0.25, 12, 'pouring.limit'),
  '/pour/placing/open': field('hours', 0.1, 24, 'pouring.open', 2),
  '/pour/placing/temperature': field('temperature', -5, 45, 'pouring.temperature'),
  '/pour/placing/layer': size(0.1, 1.5, 'pouring.layer', [0.5, 18 * INCH]),
  '/pour/placing/reach': size(0.1, 1, 'pouring.reach', [0.4, 16 * INCH]),
  '/pour/placing/from/0': east,
  '/pour/placing/from/1': north,
  '/pour/placing/delays/*/truck': field('count', 1, 500, 'pouring.truck'),
  '/pour/placing/delays/*/hours': field('hours', -6, 24, 'pouring.late'),
  '/pour/forms/board': size(0.009, 0.1, 'forms.board', [0.025, INCH]),
  '/pour/forms/stock/*': length(0.5, 14, 'forms.stock', [4.2, 16 * FOOT]),
  '/pour/forms/stakes': size(0.2, 2, 'forms.stakes', [0.6, 24 * INCH]),
  '/pour/forms/kickers': size(0.3, 3, 'forms.kickers', [1.2, 48 * INCH]),
  '/pour/forms/straps': size(0.3, 4, 'forms.straps', [1.2, 48 * INCH]),
  '/pour/forms/permitted': field('pressure', 2000, 200_000, 'forms.permitted'),
  '/pour/forms/chemistry': field('number', 1, 1.4, 'forms.chemistry', 1.2),
  '/pour/forms/slump': size(0, 0.3, 'forms.slump'),
  '/pour/hand/cement': field('number', 0.5, 10, 'handMix.cement', 1),
  '/pour/hand/sand': field('number', 0, 20, 'handMix.sand', 3),
  '/pour/hand/stone': field('number', 0, 20, 'handMix.stone', 6),
  '/pour/hand/bag': field('weighing', 5, 100, 'handMix.bag', [42.5, 94 * POUND]),
  '/pour/hand/water': field('number', 0.3, 1.2, 'handMix.water', 0.6),
  '/pour/hand/batch': field('capacity', 0.01, 1, 'handMix.batch', [0.1, 4 * CUBIC_FOOT]),
  '/pour/hand/hours': field('hours', 0.5, 40, 'handMix.hours', 7),
  '/pour/cure/wet': field('days', 0, 90, 'cure.wet', 7),
  '/pour/cure/cold': field('temperature', -5, 20, 'cure.cold', 5),
  '/pour/cure/warm': field('hours', 0, 240, 'cure.warm', 48),
  '/pour/cure/load': field('days', 0, 180, 'cure.load'),
  '/pour/leak/share': field('percent', 0.0001, 0.05, 'leak.share', 0.002),
  '/pour/leak/most': size(0.001, 0.1, 'leak.most', [0.01, 0.01]),
  '/pour/leak/days': field('days', 1, 60, 'leak.days', 7),
  '/pour/leak/soak': field('days', 0, 60, 'leak.soak', 3),
  '/pour/steel/*/diameter': size(0.003, 0.06, 'steel.diameter', [0.012, inches(0.5)]),
  '/pour/steel/*/spacing': size(0.03, 3, 'steel.spacing', [0.2, inches(8)]),
  '/pour/steel/*/count': field('count', 1, 5000, 'steel.count'),
  '/pour/steel/*/rows': field('count', 1, 20, 'steel.rows', 1),
  '/pour/steel/*/cover': size(0, 0.3, 'steel.cover', [0.05, inches(2)]),
  '/pour/steel/*/bends': size(0, 5, 'steel.bends', 0),
  '/pour/steel/*/length': size(0.1, 14, 'steel.length', [1, inches(36)]),
  '/pour/steel/*/lap': size(0, 3, 'steel.lap'),
  '/pour/steel/*/stock': size(0.5, 20, 'steel.stock', [6, 20 * FOOT]),
  '/pour/steel/*/sheet/width': size(0.3, 6, 'steel.sheetWidth', [2.4, 8 * FOOT]),
  '/pour/steel/*/sheet/mass': field('number', 0.2, 40, 'steel.sheetMass', 3.95),
  '/pour/steel/*/supports': size(0.2, 3, 'steel.supports', [1, inches(36)]),
  '/pour/fittings/*/count': field('count', 1, 5000, 'steel.count'),
  '/pour/fittings/*/spacing': size(0.05, 30, 'steel.spacing', [1, inches(36)]),
  '/pour/fittings/*/level': level('fitting.level'),

  '/prices/dig': price('prices.dig', 'volumePrice'),
  '/prices/load': price('prices.load'),
  '/prices/stone': price('prices.stone', 'massPrice'),
  '/prices/lean': price('prices.lean', 'volumePrice'),
  '/prices/concrete': price('prices.concrete', 'volumePrice'),
  '/prices/fill': price('prices.fill', 'volumePrice'),
  '/prices/shoring': price('prices.shoring', 'areaPrice'),
  '/prices/machineHour': price('prices.machineHour'),

  '/elements/*/points/*/0': east,
  '/elements/*/points/*/1': north,
  '/elements/*/outline/*/0': east,
  '/elements/*/outline/*/1': north,
  '/elements/*/at/0': east,
  '/elements/*/at/1': north,
  '/elements/*/width': size(0.1, 30, 'fields.width', [0.6, inches(24)]),
  '/elements/*/length': size(0.1, 60, 'dig.length', [1, inches(48)]),
  '/elements/*/thickness': size(0.05, 10, 'fields.thickness', [0.3, inches(12)]),
  '/elements/*/rising/thickness': size(0.001, 5, 'fields.stem', [0.2, inches(8)]),
  '/elements/*/rising/long': size(0.05, 60, 'rising.long', [1, inches(36)]),
  '/elements/*/rising/height': size(0.05, 12, 'rising.height', [0.6, inches(24)]),
  '/elements/*/rising/level': level('rising.level'),
  '/elements/*/rising/over': length(-5, 5, 'rising.over'),
  '/elements/*/rising/rise': size(0.01, 6, 'rising.rise', [1.2, inches(48)]),
  '/elements/*/rising/units/length': size(0.05, 1, 'rising.unitLength', [0.39, inches(15.625)]),
  '/elements/*/rising/units/height': size(0.03, 1, 'rising.unitHeight', [0.19, inches(7.625)]),
  '/elements/*/rising/units/joint': size(0, 0.05, 'rising.joint', [0.01, inches(0.375)]),
  '/elements/*/rising/units/cells': field('percent', 0, 0.8, 'rising.cells', 0.5),
  '/elements/*/rising/beam': size(0.05, 1.5, 'rising.beam', [0.2, inches(8)]),
  '/elements/*/angle': field('angle', -360, 360, 'setout.angle', 0),
  '/elements/*/slope': field('slope', 0, 5, 'dig.side'),
  '/elements/*/room': size(0, 3, 'dig.room'),
  '/elements/*/bucket': size(0.15, 3, 'dig.bucket'),
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
  '/elements/*/out/distance': length(1, 300, 'underpin.outDistance', [15, 50 * FOOT]),
  '/elements/*/out/bin': field('volume', 0.05, 20, 'underpin.bin', [1, 0.764554858]),
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
