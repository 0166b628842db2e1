/**
 * The plan: one document, SI, validated by this schema at every door. Levels are metres above
 * the job's own datum, depths metres below ground, x east and y north of the job's origin.
 */
import Type, { type Static } from 'typebox';
import { BED_MATERIAL_IDS, LAYER_PURPOSES } from '../catalogue/bed-materials.ts';
import { COMPACTOR_IDS } from '../catalogue/compactors.ts';
import { FILTER_STONES } from '../catalogue/filter-stones.ts';
import { HAZARD_KINDS } from '../catalogue/hazards.ts';
import { MATERIAL_IDS } from '../catalogue/materials.ts';
import { OBSTRUCTION_KINDS } from '../catalogue/obstructions.ts';
import { PUMP_IDS } from '../catalogue/pumps.ts';
import { COVER_KINDS, HAND, SLOPE_CLASSES, SOIL_KINDS } from '../catalogue/soils.ts';
import { Days } from './days.ts';
import { ELEMENT_SCHEMAS, type Element } from './elements.ts';
import { FIELDS } from './fields.ts';
import { Filling, type FillSoil, type OneSided, Stripped } from './filling.ts';
import {
  AREA_USES,
  BREAKERS,
  CROSSINGS,
  DISCHARGES,
  FILTERS,
  HELD_WORK,
  HOLD_KINDS,
  HOLDINGS,
  PATTERNS,
  PERMITS,
  ROLES,
  RULE_SETS,
  SUMP_FILLS,
  SUPPORTS,
  SURFACE_KINDS,
} from './kinds.ts';
import { CLOCK, LOCAL, MOST_ELEMENTS, MOST_LOGS, MOST_SPOTS, PLAN_FORMAT, PLAN_VERSION } from './limits.ts';
import { id, name, num, object, oneOf, orNull, Point, text } from './parts.ts';
import { type Fitting, Pouring, type Steel } from './pouring.ts';

/** x, y and level of a surveyed spot. */
export const Spot = Type.Unsafe<readonly [number, number, number]>({
  type: 'array',
  prefixItems: [num('/elements/*/at/0'), num('/elements/*/at/1'), num('/ground/surface/points/*/2')],
  minItems: 3,
  maxItems: 3,
});

/** Values measured or given for this job; what is absent is typical for the kind of soil. */
const SoilValues = Type.Partial(
  object({
    density: num('/ground/soils/*/values/density'),
    swell: num('/ground/soils/*/values/swell'),
    shrink: num('/ground/soils/*/values/shrink'),
    repose: num('/ground/soils/*/values/repose'),
    permeability: num('/ground/soils/*/values/permeability'),
    dryDensity: num('/ground/soils/*/values/dryDensity'),
    moisture: num('/ground/soils/*/values/moisture'),
    /** Share by mass finer than 0.02 mm, and plasticity index: for the frost heave group. */
    finer: num('/ground/soils/*/values/finer'),
    plasticity: num('/ground/soils/*/values/plasticity'),
    slopeClass: oneOf(SLOPE_CLASSES),
  }),
  { additionalProperties: false },
);

/** What was seen and felt of a soil in the hand; see ground/identify.ts. */
const HandSchema = Type.Partial(
  object({
    grain: oneOf(HAND.grain),
    thread: oneOf(HAND.thread),
    ribbon: oneOf(HAND.ribbon),
    shine: oneOf(HAND.shine),
    thumb: oneOf(HAND.thumb),
    seep: oneOf(HAND.seep),
    penetrometer: num('/ground/soils/*/hand/penetrometer'),
  }),
  { additionalProperties: false },
);

const Soil = object({
  id,
  name: text(80),
  kind: oneOf(SOIL_KINDS),
  values: SoilValues,
  hand: orNull(HandSchema),
});

/** A trial pit or borehole: soils by the depth of their tops below the ground there. */
const Log = object({
  id,
  name,
  at: Point,
  layers: Type.Array(object({ soil: id, top: num('/ground/logs/*/layers/*/top'), note: text(200) }), {
    minItems: 1,
    maxItems: 20,
  }),
  /** Depth the log stops at. */
  bottom: num('/ground/logs/*/bottom'),
  /** Depth water was struck at, and where it came to stand; null when none was seen. */
  strike: orNull(num('/ground/logs/*/strike')),
  standing: orNull(num('/ground/logs/*/standing')),
  /** The standing water hangs over a tight layer and is not the water table. */
  perched: Type.Boolean(),
  note: text(400),
});

const Surface = Type.Union([
  object({
    kind: Type.Literal('plane'),
    level: num('/ground/surface/level'),
    gradeEast: num('/ground/surface/gradeEast'),
    gradeNorth: num('/ground/surface/gradeNorth'),
  }),
  object({
    kind: Type.Literal('spots'),
    points: Type.Array(Spot, { minItems: 3, maxItems: MOST_SPOTS }),
    /** Lines the triangles may not cross, as positions in `points`. */
    breaklines: Type.Array(Type.Array(Type.Integer({ minimum: 0 }), { minItems: 2, maxItems: 5000 }), {
      maxItems: 5000,
    }),
  }),
]);

const Hazard = object({
  id,
  name,
  kind: oneOf(HAZARD_KINDS),
  /** One point, or a line. */
  points: Type.Array(Point, { minItems: 1, maxItems: 60 }),
  /** Nothing is dug nearer than this in plan. */
  keepOff: num('/ground/hazards/*/keepOff'),
  /** A service: cover over it below ground; null when nobody knows. */
  depth: orNull(num('/ground/hazards/*/depth')),
  /** A neighbour's footing: its underside. A stream: its flood level. */
  level: orNull(num('/ground/hazards/*/level')),
  /** A neighbour's footing: how far its concrete stands out from the line, to either side. */
  projection: orNull(num('/ground/hazards/*/projection')),
  /** A service: what is done with it where it lies in what is cast. Null: nobody has said. */
  crossing: orNull(
    object({
      how: oneOf(CROSSINGS),
      /** Of its middle; null when nobody knows. */
      level: orNull(num('/ground/hazards/*/crossing/level')),
      /** Its outer diameter. */
      size: num('/ground/hazards/*/crossing/size'),
      /** Outer diameter of a sleeve, side of what is left out. */
      opening: num('/ground/hazards/*/crossing/opening'),
      /** Who said so, and when; empty: nobody yet. */
      who: text(80),
      when: text(40),
    }),
  ),
});

/** Something that has to be broken out of the dig: its room is dug with the rest, its material is its own. */
const Obstruction = object({
  id,
  name,
  kind: oneOf(OBSTRUCTION_KINDS),
  /** In the ground, m³. */
  volume: num('/ground/obstructions/*/volume'),
  by: oneOf(BREAKERS),
  /** m³ broken an hour; density and swell. Null: typical for the kind. */
  rate: orNull(num('/ground/obstructions/*/rate')),
  density: orNull(num('/ground/obstructions/*/density')),
  swell: orNull(num('/ground/obstructions/*/swell')),
  /** What it lies in the way of; null: the dig as a whole. */
  element: orNull(id),
});

const Layer = object({
  id,
  name,
  material: oneOf(MATERIAL_IDS),
  /** Of a course: the unit's height. */
  thickness: num('/levels/floors/*/layers/*/thickness'),
  /** Masonry or block courses when given: the bed joint. As many courses as the depth takes. */
  joint: orNull(num('/levels/floors/*/layers/*/joint')),
});

const Floor = object({
  id,
  name,
  /** Finished level; or, when `above` names another floor, the height over that one. */
  level: num('/levels/floors/*/level'),
  above: orNull(id),
  /** The string it hangs on; null: the job's. */
  string: orNull(id),
  /** Down: the floor decides the footing. Up: the footing stands where the ground says. */
  count: oneOf(['down', 'up'] as const),
  /** When courses do not come out even: go deeper, cut a course, or lay a thicker bed. */
  landing: oneOf(['deepen', 'cut', 'bed'] as const),
  layers: Type.Array(Layer, { maxItems: 20 }),
});

const Machine = object({
  id,
  name,
  /** Reach of the bucket's teeth from the slew centre, by depth below the tracks. */
  reach: Type.Array(
    object({ depth: num('/dig/machines/*/reach/*/depth'), reach: num('/dig/machines/*/reach/*/reach') }),
    {
      minItems: 2,
      maxItems: 12,
    },
  ),
  dumpHeight: num('/dig/machines/*/dumpHeight'),
  /** Over the tracks: what it needs to pass. */
  width: num('/dig/machines/*/width'),
  /** Heaped bucket, m³. */
  bucket: num('/dig/machines/*/bucket'),
  /** s a cycle in common earth, and minutes worked in an hour over 60. Null: typical for the size. */
  cycle: orNull(num('/dig/machines/*/cycle')),
  efficiency: orNull(num('/dig/machines/*/efficiency')),
});

/** A layer of a bed as it lies when compacted. */
const BedLayer = object({
  id,
  /** As it is ordered; empty: the material's name. */
  name: text(80),
  material: oneOf(BED_MATERIAL_IDS),
  purpose: oneOf(LAYER_PURPOSES),
  thickness: num('/beds/*/layers/*/thickness'),
  /** How far it reaches past the footing; null: to the dug faces. */
  projection: orNull(num('/beds/*/layers/*/projection')),
  /** Null: typical of the material. */
  density: orNull(num('/beds/*/layers/*/density')),
  looseFactor: orNull(num('/beds/*/layers/*/looseFactor')),
  topSize: orNull(num('/beds/*/layers/*/topSize')),
  /** Compacted like clay: what has much fines. */
  cohesive: Type.Boolean(),
  /** Null: laid, not compacted. */
  compactor: orNull(oneOf(COMPACTOR_IDS)),
  /** The specification's largest lift; null when it says nothing. */
  maxLift: orNull(num('/beds/*/layers/*/maxLift')),
  /** What a trial strip has shown: it beats the catalogue. */
  proven: orNull(object({ lift: num('/beds/*/layers/*/proven/lift'), trial: name })),
  /** What the specification asks of a lift before it is covered; null: nothing. */
  target: orNull(
    object({
      /** Of the laboratory's maximum dry density. */
      share: num('/beds/*/layers/*/target/share'),
      /** Typed where no laboratory test is logged; null: not known. */
      maximum: orNull(num('/beds/*/layers/*/target/maximum')),
      /** A test at least for so much of every lift. */
      area: num('/beds/*/layers/*/target/area'),
    }),
  ),
});

const Bed = object({
  id,
  name,
  /** From formation up to the underside of the footing. */
  layers: Type.Array(BedLayer, { minItems: 1, maxItems: 20 }),
  /** Laid on an old base that stays, instead of on trimmed ground. */
  onOldBase: Type.Boolean(),
  /** Cloth under the bed, or round it: how far pieces lap and how much is lost in cutting. */
  cloth: orNull(
    object({
      around: Type.Boolean(),
      lap: num('/beds/*/cloth/lap'),
      waste: num('/beds/*/cloth/waste'),
    }),
  ),
});

/** Ground under the bottom that is too soft to build on: taken out within an outline, and put back better. */
const SoftSpot = object({
  id,
  name,
  points: Type.Array(Point, { minItems: 3, maxItems: 60 }),
  /** Taken out below the bottom there, m. */
  depth: num('/ground/softSpots/*/depth'),
  /** What goes back, in lifts under the compactor; null: laid, not compacted. */
  material: oneOf(BED_MATERIAL_IDS),
  compactor: orNull(oneOf(COMPACTOR_IDS)),
  /** The soil itself goes back, mixed with so much cement by its dry mass; null: the material does. */
  cement: orNull(num('/ground/softSpots/*/cement')),
});

/** A compactor of the crew's own, in the place of what is typical of its kind. */
const OwnCompactor = object({
  kind: oneOf(COMPACTOR_IDS),
  name,
  /** Working mass, kg; of its plate or foot the width, m; walked at, m/s. */
  mass: num('/compactors/*/mass'),
  width: num('/compactors/*/width'),
  speed: num('/compactors/*/speed'),
});

/** A day and a time of day, in the job's own zone. */
const Local = Type.String({ pattern: LOCAL });

/** A pump in a hole, in a sump of its own; or people with buckets. */
const SitePump = object({
  id,
  name,
  kind: oneOf(PUMP_IDS),
  /** The element in whose hole it stands, and how many of it. */
  element: id,
  count: Type.Integer({
    minimum: FIELDS['/water/pumps/*/count'].min,
    maximum: FIELDS['/water/pumps/*/count'].max,
  }),
  /** The maker's; empty: typical of its kind. */
  curve: Type.Array(
    object({ flow: num('/water/pumps/*/curve/*/flow'), head: num('/water/pumps/*/curve/*/head') }),
    { maxItems: 12 },
  ),
  hose: object({
    diameter: num('/water/pumps/*/hose/diameter'),
    length: num('/water/pumps/*/hose/length'),
  }),
  /** Level its hose discharges at; null: half a metre over the ground there. */
  outlet: orNull(num('/water/pumps/*/outlet')),
  /** Under formation, its area, what it is kept open with; where, null: not said. */
  sump: object({
    depth: num('/water/pumps/*/sump/depth'),
    area: num('/water/pumps/*/sump/area'),
    filled: oneOf(SUMP_FILLS),
    at: orNull(Point),
  }),
  /** Its float starts and stops it at these heights over formation; less than nought in the sump. */
  start: num('/water/pumps/*/start'),
  stop: num('/water/pumps/*/stop'),
  /** When it comes and when it goes, or fails; null: always. */
  from: orNull(Local),
  until: orNull(Local),
});

export const PlanSchema = object({
  format: Type.Literal(PLAN_FORMAT),
  version: Type.Literal(PLAN_VERSION),
  name,
  place: text(120),
  note: text(4000),
  /** Who is rung when something happens, and the number; empty: nobody is named. */
  emergencyContact: text(120),
  /** Pointers to what nobody has said yet: what a new job starts with, until someone settles it. */
  assumed: Type.Array(text(200), { maxItems: 60 }),
  system: oneOf(['metric', 'imperial'] as const),
  ruleSet: oneOf(RULE_SETS),
  /** What the own rule set says; read only when it is chosen. */
  ownRules: object({
    protectFrom: num('/ownRules/protectFrom'),
    a: num('/ownRules/a'),
    b: num('/ownRules/b'),
    c: num('/ownRules/c'),
    engineerDepth: num('/ownRules/engineerDepth'),
    setback: num('/ownRules/setback'),
    ladderDepth: num('/ownRules/ladderDepth'),
    ladderTravel: num('/ownRules/ladderTravel'),
  }),
  /** The reference mark, and where the job's own origin lies in the survey's coordinates. */
  datum: object({
    name: text(80),
    level: num('/datum/level'),
    east: num('/datum/east'),
    north: num('/datum/north'),
  }),
  ground: object({
    surface: Surface,
    /** From the top down: the order every log keeps to. */
    soils: Type.Array(Soil, { minItems: 1, maxItems: 20 }),
    logs: Type.Array(Log, { minItems: 1, maxItems: MOST_LOGS }),
    /** Depth to which the ground is known, taken as the tight base of the water-bearing soil. */
    knownTo: num('/ground/knownTo'),
    /** Standing water level where no log measured one; null when none was found. */
    water: orNull(num('/ground/water')),
    /** Highest water level of the year, when known. */
    waterHigh: orNull(num('/ground/waterHigh')),
    /** Water under pressure below a tight bed: level of that bed's underside, and level it rises to; null: not known. */
    confined: orNull(object({ top: num('/ground/confined/top'), level: num('/ground/confined/level') })),
    hazards: Type.Array(Hazard, { maxItems: 60 }),
    /** How much a kind of soil swells, as taken from the crew's own loads. */
    swells: Type.Array(
      object({
        id,
        soil: oneOf(SOIL_KINDS),
        value: num('/ground/swells/*/value'),
        days: num('/ground/swells/*/days'),
      }),
      { maxItems: 20 },
    ),
    obstructions: Type.Array(Obstruction, { maxItems: 60 }),
    softSpots: Type.Array(SoftSpot, { maxItems: 60 }),
    frost: object({
      local: orNull(num('/ground/frost/local')),
      climate: orNull(
        object({
          /** Null: the design winter of the record. */
          index: orNull(num('/ground/frost/climate/index')),
          days: orNull(num('/ground/frost/climate/days')),
          mean: num('/ground/frost/climate/mean'),
          nFactor: num('/ground/frost/climate/nFactor'),
          /** Winters of a climate record, in order. */
          record: Type.Array(
            object({
              winter: text(20),
              index: num('/ground/frost/climate/record/*/index'),
              days: num('/ground/frost/climate/record/*/days'),
            }),
            { maxItems: 120 },
          ),
          /** Share of the coldest winter's index spent at equal steps from its first frost to its last. */
          shape: Type.Array(num('/ground/frost/climate/shape/*'), { maxItems: 60 }),
        }),
      ),
      /** Laid over the ground before the winter, from the top down. */
      cover: Type.Array(
        object({
          id,
          kind: oneOf(COVER_KINDS),
          thickness: num('/ground/frost/cover/*/thickness'),
          /** Null: typical for the kind. */
          conductivity: orNull(num('/ground/frost/cover/*/conductivity')),
        }),
        { maxItems: 6 },
      ),
      margin: num('/ground/frost/margin'),
    }),
  }),
  water: object({
    /** Where the job's clock is: an IANA time zone. */
    zone: text(60),
    /** Metres over the sea, for what pumps suck; null: not said. */
    altitude: orNull(num('/water/altitude')),
    /** The rain that is expected; null: none. */
    storm: orNull(
      object({
        start: Local,
        depth: num('/water/storm/depth'),
        hours: num('/water/storm/hours'),
        pattern: oneOf(PATTERNS),
        /** Rain of every hour, of an hourly one. */
        hourly: Type.Array(num('/water/storm/hourly/*'), { maxItems: 96 }),
      }),
    ),
    /** When it must be dry: the pour, or the cover. */
    dryBy: orNull(Local),
    /** Beds are laid: their stone takes up room, and is what must be dry. */
    bedLaid: Type.Boolean(),
    /** The holes are covered with sheets: no rain falls in. */
    cover: Type.Boolean(),
    /** Share that runs off the ground round it; null: by soil and slope. */
    runoff: orNull(num('/water/runoff')),
    /** That ground is frozen, or full. */
    full: Type.Boolean(),
    /** Cut-off ditches: what comes to them goes elsewhere. */
    ditches: Type.Array(object({ id, name, points: Type.Array(Point, { minItems: 2, maxItems: 60 }) }), {
      maxItems: 20,
    }),
    /** Ground that drains into the hole of an element, typed: it beats what the surface says. */
    drained: Type.Array(
      object({
        element: id,
        area: num('/water/drained/*/area'),
        /** Its outline where it was drawn: the area is that of it; empty: the area was typed. */
        points: Type.Array(Point, { maxItems: 60 }),
      }),
      { maxItems: 60 },
    ),
    pumps: Type.Array(SitePump, { maxItems: 20 }),
    /** Bags across a stream, and the pipe past them; null: none. */
    dam: orNull(
      object({
        length: num('/water/dam/length'),
        depth: num('/water/dam/depth'),
        freeboard: num('/water/dam/freeboard'),
        crest: num('/water/dam/crest'),
        inner: num('/water/dam/inner'),
        outer: num('/water/dam/outer'),
        bag: num('/water/dam/bag'),
        /** What the stream brings, m³/s, and the fall its pipe has; null: not known. */
        flow: orNull(num('/water/dam/flow')),
        fall: num('/water/dam/fall'),
      }),
    ),
    /** Wall tops and floors stand so far over a stream's flood; null: typical. */
    freeboard: orNull(num('/water/freeboard')),
    /** Water that comes to the ground beside the dig, and the roof or yard it comes from. */
    surface: Type.Array(
      object({
        id,
        name,
        kind: oneOf(SURFACE_KINDS),
        at: Point,
        area: num('/water/surface/*/area'),
      }),
      { maxItems: 30 },
    ),
    /** How the water is held, why so, where it goes and who has allowed that; null: not settled. */
    holding: orNull(object({ by: oneOf(HOLDINGS), reason: text(400) })),
    discharge: orNull(object({ to: oneOf(DISCHARGES), allowedBy: text(120) })),
    /** What keeps the soil out of drains and sumps, by the soil. */
    filters: Type.Array(
      object({
        soil: id,
        /** Sieved: sizes that rise, and the share by mass finer than each; empty: nobody has. */
        grading: Type.Array(
          object({
            size: num('/water/filters/*/grading/*/size'),
            passing: num('/water/filters/*/grading/*/passing'),
          }),
          { maxItems: 24 },
        ),
        /** Null: not settled. */
        by: orNull(oneOf(FILTERS)),
        stone: oneOf(FILTER_STONES),
        woven: Type.Boolean(),
        reason: text(400),
      }),
      { maxItems: 20 },
    ),
    /** Rain of a day that comes once in two and once in ten years; null: not known. */
    record: orNull(object({ two: num('/water/record/two'), ten: num('/water/record/ten') })),
  }),
  levels: object({
    string: num('/levels/string'),
    /** Others beside the job's, each with its level. */
    strings: Type.Array(object({ id, name, level: num('/levels/strings/*/level') }), { maxItems: 8 }),
    floors: Type.Array(Floor, { maxItems: 8 }),
    /** The soil the footings must stand in, and how far into it. */
    bearing: orNull(object({ soil: id, embedment: num('/levels/bearing/embedment') })),
    /** Least depth of a footing's underside below ground by the local code. */
    cover: orNull(num('/levels/cover')),
    /** How far a floor on the ground stands over it, against splash and melt water; null: typical. */
    splash: orNull(num('/levels/splash')),
    /** Of stepped strips. Null: height the footing's thickness, lap and tread by rule. */
    steps: object({
      height: orNull(num('/levels/steps/height')),
      lap: orNull(num('/levels/steps/lap')),
      tread: orNull(num('/levels/steps/tread')),
    }),
    /** Tangent of the line of influence under a neighbour's footing: 1 is 45°, 0.5 is 1 in 2. */
    influence: num('/levels/influence'),
    /** How far a surface shot may lie off what is wanted. Null: typical. */
    limits: object({
      formationOver: orNull(num('/levels/limits/formationOver')),
      formationUnder: orNull(num('/levels/limits/formationUnder')),
      bed: orNull(num('/levels/limits/bed')),
      lean: orNull(num('/levels/limits/lean')),
      footing: orNull(num('/levels/limits/footing')),
      /** A shot back to a mark. */
      check: orNull(num('/levels/limits/check')),
    }),
    /** An engineer's word on underside or width: it overrides every rule. */
    instructions: Type.Array(
      object({
        id,
        level: orNull(num('/levels/instructions/*/level')),
        width: orNull(num('/levels/instructions/*/width')),
        who: name,
        when: text(40),
        why: text(400),
        /** Elements it is for; empty: all. */
        elements: Type.Array(id, { maxItems: MOST_ELEMENTS }),
      }),
      { maxItems: 40 },
    ),
    /** The other school: a slab on a drained bed that frost cannot lift. */
    shallow: orNull(
      object({
        length: num('/levels/shallow/length'),
        width: num('/levels/shallow/width'),
        slab: num('/levels/shallow/slab'),
        edge: num('/levels/shallow/edge'),
        edgeWidth: num('/levels/shallow/edgeWidth'),
        bed: oneOf(['sand', 'gravel'] as const),
        board: orNull(
          object({
            thickness: num('/levels/shallow/board/thickness'),
            conductivity: num('/levels/shallow/board/conductivity'),
          }),
        ),
        /** Where the drain comes to daylight: how far off, and its level there. */
        outfall: orNull(
          object({
            distance: num('/levels/shallow/outfall/distance'),
            level: num('/levels/shallow/outfall/level'),
          }),
        ),
        fall: num('/levels/shallow/fall'),
      }),
    ),
  }),
  setout: object({
    /** Boards stand this far beyond the dug edge. */
    offset: num('/setout/offset'),
    /** Pull on the string, N, and its mass, kg/m. */
    tension: num('/setout/tension'),
    weight: num('/setout/weight'),
    /** How far a measured distance may be off. */
    tolerance: num('/setout/tolerance'),
    /** Steel tape: its temperature; null when no correction is wanted. */
    temperature: orNull(num('/setout/temperature')),
  }),
  site: object({
    /** The plot; empty when not drawn. */
    boundary: Type.Array(Point, { maxItems: 200 }),
    gates: Type.Array(object({ id, name, at: Point, width: num('/site/gates/*/width') }), { maxItems: 12 }),
    /** Where soil may lie. */
    areas: Type.Array(
      object({ id, name, use: oneOf(AREA_USES), points: Type.Array(Point, { minItems: 3, maxItems: 60 }) }),
      { maxItems: 40 },
    ),
    /** Ground taken off beside the holes, before they are dug or with them. */
    strips: Type.Array(Stripped, { maxItems: 40 }),
    /** Ways that must stay clear: tracks of machine and trucks, paths. */
    paths: Type.Array(
      object({
        id,
        name,
        width: num('/site/paths/*/width'),
        points: Type.Array(Point, { minItems: 2, maxItems: 60 }),
      }),
      { maxItems: 40 },
    ),
    /** Ways in for machine, trucks and barrows. */
    ways: Type.Array(
      object({
        id,
        name,
        /** Narrowest place, and room under wires or branches; null: nobody has measured. */
        width: orNull(num('/site/ways/*/width')),
        height: orNull(num('/site/ways/*/height')),
        lawn: Type.Boolean(),
        /** Boards lie on it. */
        boards: Type.Boolean(),
        /** Over somebody else's ground: who gave leave, and when; empty: nobody yet. Null: own ground. */
        leave: orNull(object({ who: text(80), when: text(40) })),
        /** Left as it was found. */
        cleaned: Type.Boolean(),
      }),
      { maxItems: 12 },
    ),
  }),
  dig: object({
    corners: oneOf(['mitred', 'rounded'] as const),
    slope: num('/dig/slope'),
    /** Form and working space on each side of a formed footing. */
    room: num('/dig/room'),
    support: oneOf(SUPPORTS),
    bench: object({ height: num('/dig/bench/height'), width: num('/dig/bench/width') }),
    /** Thickness of sheets or shield, each side. */
    shore: num('/dig/shore'),
    machines: Type.Array(Machine, { minItems: 1, maxItems: 6 }),
    /** The machine that digs. */
    machine: id,
    /** Order of digging typed by hand, ids; what is missing is put in by itself. */
    order: Type.Array(id, { maxItems: MOST_ELEMENTS }),
    buckets: Type.Array(num('/dig/buckets/*'), { minItems: 1, maxItems: 12 }),
    /** Little room to swing: between walls, fences, trees. */
    cramped: Type.Boolean(),
    /** When the machine starts in the morning, 24-hour clock, and hours it digs a day. */
    day: object({ start: Type.String({ pattern: CLOCK }), hours: num('/dig/day/hours') }),
    /** The machine's output in frozen ground over that in the same ground unfrozen. Null: by how full its bucket comes out. */
    frozenRate: orNull(num('/dig/frozenRate')),
    /** Null: by soil, 150 mm where water softens it and 50 mm elsewhere. */
    handTrim: orNull(num('/dig/handTrim')),
    /** Loose m³ a person digs in an hour. Null: as taken from the log, else typical. */
    handRate: orNull(num('/dig/handRate')),
    /** What the lead has taken from the crew's own log, each with the days that stood behind it. */
    learned: object({
      /** Loose m³ a person and hour. */
      byHand: orNull(
        object({ value: num('/dig/learned/byHand/value'), days: num('/dig/learned/byHand/days') }),
      ),
      /** Bank m³ an hour of a machine in one kind of soil; soil null: in any. */
      outputs: Type.Array(
        object({
          id,
          machine: id,
          soil: orNull(oneOf(SOIL_KINDS)),
          value: num('/dig/learned/outputs/*/value'),
          days: num('/dig/learned/outputs/*/days'),
        }),
        { maxItems: 80 },
      ),
    }),
  }),
  spoil: object({
    topsoil: oneOf(['keep', 'haul'] as const),
    keepForBackfill: Type.Boolean(),
    /** How far the swell may be off, as a share of loose volume (one standard deviation). */
    spread: num('/spoil/spread'),
    trucks: Type.Array(
      object({
        id,
        name,
        body: num('/spoil/trucks/*/body'),
        payload: num('/spoil/trucks/*/payload'),
        /** Height of its side, which the bucket must clear. */
        sideHeight: num('/spoil/trucks/*/sideHeight'),
      }),
      { minItems: 1, maxItems: 6 },
    ),
    /** Minutes a truck is away, from leaving full until it is back; and how many run. */
    trip: num('/spoil/trip'),
    fleet: Type.Integer({ minimum: FIELDS['/spoil/fleet'].min, maximum: FIELDS['/spoil/fleet'].max }),
  }),
  backfill: Filling,
  days: Days,
  /** What the crew compacts with, one of a kind at most. */
  compactors: Type.Array(OwnCompactor, { maxItems: COMPACTOR_IDS.length }),
  /** What elements stand on, by name: one that names none stands on trimmed ground. */
  beds: Type.Array(Bed, { maxItems: 20 }),
  pour: Pouring,
  /** Whose eyes work needs before it is covered. */
  holds: object({
    /** Where that is otherwise than usual for a kind of work; none: nobody's. */
    by: Type.Array(object({ hold: oneOf(HOLD_KINDS), role: oneOf([...ROLES, 'none'] as const) }), {
      maxItems: HOLD_KINDS.length,
    }),
    /** The job's own, beside those. */
    own: Type.Array(
      object({
        id,
        name,
        role: oneOf(ROLES),
        before: oneOf(HELD_WORK),
        /** Elements it is for; empty: the job. */
        elements: Type.Array(id, { maxItems: MOST_ELEMENTS }),
      }),
      { maxItems: 40 },
    ),
  }),
  /** Permits and notices asked of the crew. */
  permits: Type.Array(
    object({
      id,
      kind: oneOf(PERMITS),
      name: text(80),
      /** Number or reference; the day it runs out. */
      number: text(60),
      until: text(40),
      /** It is there. */
      held: Type.Boolean(),
    }),
    { maxItems: 40 },
  ),
  /** What things cost here, by the unit each is counted in; null when nobody has said. */
  prices: object({
    currency: text(8),
    dig: orNull(num('/prices/dig')),
    load: orNull(num('/prices/load')),
    stone: orNull(num('/prices/stone')),
    lean: orNull(num('/prices/lean')),
    concrete: orNull(num('/prices/concrete')),
    /** Fill that comes by truck, by the loose m³. */
    fill: orNull(num('/prices/fill')),
    /** Shoring, by m² of face. */
    shoring: orNull(num('/prices/shoring')),
    /** Of the machine with who drives it, by the hour. */
    machineHour: orNull(num('/prices/machineHour')),
  }),
  elements: Type.Array(Type.Unsafe<Element>(Type.Union([...ELEMENT_SCHEMAS])), { maxItems: MOST_ELEMENTS }),
});

export type Plan = Static<typeof PlanSchema>;
export type Machine = Static<typeof Machine>;
export type SiteArea = Plan['site']['areas'][number];
export type Gate = Plan['site']['gates'][number];
export type SitePath = Plan['site']['paths'][number];
export type SoilEntry = Plan['ground']['soils'][number];
export type GroundLog = Plan['ground']['logs'][number];
export type LogLayer = GroundLog['layers'][number];
export type Hand = Static<typeof HandSchema>;
export type Hazard = Plan['ground']['hazards'][number];
export type SurfaceSpec = Plan['ground']['surface'];
export type FloorSpec = Plan['levels']['floors'][number];
export type FloorLayer = FloorSpec['layers'][number];
export type Instruction = Plan['levels']['instructions'][number];
export type SitePump = Static<typeof SitePump>;
export type OwnCompactor = Static<typeof OwnCompactor>;
export type SoftSpot = Static<typeof SoftSpot>;
export type Obstruction = Static<typeof Obstruction>;
export type StringLine = Plan['levels']['strings'][number];
export type Bed = Static<typeof Bed>;
export type BedLayer = Static<typeof BedLayer>;
export type Truck = Plan['spoil']['trucks'][number];
export type { FillSoil, Fitting, OneSided, Steel, Stripped };
