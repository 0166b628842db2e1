/** The kinds of element a plan is made of, one schema a kind. */
import Type, { type Static, type TSchema } from 'typebox';
import {
  BOARD_ZONES,
  CELL_FILLS,
  ELEMENT_KINDS,
  type ElementKind,
  FOUNDINGS,
  OUTLETS,
  RISING_MAKES,
  RISING_TOPS,
  STRIP_USES,
  SUPPORTS,
  WAYS_OUT,
} from './kinds.ts';
import { id, name, num, object, oneOf, orNull, Point, text } from './parts.ts';

/** A wall on a strip, a column on a pad: what rises from its top, cast or laid. */
const Rising = object({
  thickness: num('/elements/*/rising/thickness'),
  /** On a pad, along its longer side; null: as long as it is thick, a column. */
  long: orNull(num('/elements/*/rising/long')),
  top: oneOf(RISING_TOPS),
  /** Over the footing's top; the level of its top; over the floor's level or the flood's. Each read by its own top. */
  height: orNull(num('/elements/*/rising/height')),
  level: orNull(num('/elements/*/rising/level')),
  over: orNull(num('/elements/*/rising/over')),
  made: oneOf(RISING_MAKES),
  /** Of a cast one: the most that is cast at once; null: all of it. */
  rise: orNull(num('/elements/*/rising/rise')),
  /** Of a laid one: the units, the joint between them, the share of a unit that is cells, and what fills those. */
  units: object({
    length: num('/elements/*/rising/units/length'),
    height: num('/elements/*/rising/units/height'),
    joint: num('/elements/*/rising/units/joint'),
    cells: num('/elements/*/rising/units/cells'),
    fill: oneOf(CELL_FILLS),
  }),
  /** Cast along its top: a ring beam, within its height. */
  beam: orNull(num('/elements/*/rising/beam')),
});

const Common = {
  id,
  name,
  /** Elements of one group are dug to one level: the lowest any of them needs. */
  group: text(40),
  thickness: num('/elements/*/thickness'),
  method: oneOf(['formed', 'trenchFill'] as const),
  /** The floor it carries; null: the job's first. */
  floor: orNull(id),
  /** The bed it stands on; null: trimmed ground. */
  bed: orNull(id),
  /** The wall or column that stands on it; null: none. */
  rising: orNull(Rising),
  /** Null: the job's. */
  slope: orNull(num('/elements/*/slope')),
  room: orNull(num('/elements/*/room')),
  bucket: orNull(num('/elements/*/bucket')),
  /** Left for hand trim. Null: the job's, or by the soil it stands in. */
  trim: orNull(num('/elements/*/trim')),
  /** Underside as drawn, when the drawing gives one: a rule among the others. */
  level: orNull(num('/elements/*/level')),
  /** What keeps the sides up. Null: the job's. */
  support: orNull(oneOf(SUPPORTS)),
  /** Dug by hand: no machine gets there. */
  hand: Type.Boolean(),
  /** The string it hangs on; null: its floor's, else the job's. */
  string: orNull(id),
};
/** A closed outline with any number of bends, the last corner joined to the first. */
const Outline = Type.Array(Point, { minItems: 3, maxItems: 200 });

/** What has an axis: a trench along a line of straight runs. */
const Run = {
  ...Common,
  points: Type.Array(Point, { minItems: 2, maxItems: 200 }),
  closed: Type.Boolean(),
  width: num('/elements/*/width'),
  /** Follows the ground or the rules in steps instead of lying at one level. */
  stepped: Type.Boolean(),
  /** A keyway under the base, along its middle. */
  key: orNull(object({ width: num('/elements/*/key/width'), depth: num('/elements/*/key/depth') })),
};
const Strip = object({
  kind: Type.Literal('strip'),
  ...Run,
  /** A footing carries walls; a drain holds pipe and stone to a fall; stone carries without concrete. */
  use: oneOf(STRIP_USES),
  /** Of a drain: how the bottom falls from its first point on; negative rises. */
  fall: num('/elements/*/fall'),
  /** Of a drain: where it discharges and how low its pipe, or its bottom, is there; it then decides the level. */
  outfall: orNull(
    object({
      level: num('/elements/*/outfall/level'),
      /** At its first point, when that is typed instead of a fall. */
      head: orNull(num('/elements/*/outfall/head')),
      where: oneOf(OUTLETS),
      /** Lies on its bottom and is scraped off before stone goes in. */
      silt: num('/elements/*/outfall/silt'),
    }),
  ),
  /** A pipe in the stone: outside diameter, and the stone under it. */
  pipe: orNull(
    object({ diameter: num('/elements/*/pipe/diameter'), bedding: num('/elements/*/pipe/bedding') }),
  ),
  /** Cloth round the stone. */
  wrapped: Type.Boolean(),
  /** Of a stone footing: the beam or plinth cast on the stone. */
  beam: orNull(object({ width: num('/elements/*/beam/width'), height: num('/elements/*/beam/height') })),
});
/** New footing under an old wall, dug and cast in short bays. */
const Underpin = object({
  kind: Type.Literal('underpin'),
  ...Run,
  /** Longest bay the engineer allows. */
  bay: num('/elements/*/bay'),
  /** The old wall; null: not known yet, and the run is counted as an open trench. */
  old: orNull(
    object({
      /** Level of its underside, and how thick it is there. */
      underside: num('/elements/*/old/underside'),
      thickness: num('/elements/*/old/thickness'),
      /** Level people work from inside, and how wide the pit is that lets them in. */
      inside: num('/elements/*/old/inside'),
      access: num('/elements/*/old/access'),
      /** Left between new concrete and old wall for dry pack. */
      gap: num('/elements/*/old/gap'),
    }),
  ),
  /** How what is dug gets out, and how far; null: nobody has said. A bin holds so much, loose. */
  out: orNull(
    object({
      by: oneOf(WAYS_OUT),
      distance: num('/elements/*/out/distance'),
      bin: num('/elements/*/out/bin'),
    }),
  ),
  /** Posts and props that hold the wall meanwhile, each by the word of whoever designed it. */
  posts: Type.Array(object({ id, name, by: text(120) }), { maxItems: 60 }),
});
const Pad = object({
  kind: Type.Literal('pad'),
  ...Common,
  at: Point,
  length: num('/elements/*/length'),
  width: num('/elements/*/width'),
  /** Degrees, anticlockwise from east. */
  angle: num('/elements/*/angle'),
});

/** A slab on the ground with an edge turned down round it. */
const Raft = object({
  kind: Type.Literal('raft'),
  ...Common,
  outline: Outline,
  founding: oneOf(FOUNDINGS),
  edge: orNull(object({ depth: num('/elements/*/edge/depth'), width: num('/elements/*/edge/width') })),
  /** Boards against frost: under all of it, under a strip along its edge, or out past the edge. */
  boards: orNull(
    object({
      zone: oneOf(BOARD_ZONES),
      thickness: num('/elements/*/boards/thickness'),
      /** Of the strip; not read under all of it. */
      width: num('/elements/*/boards/width'),
    }),
  ),
  /** How its top falls, from its high edge on, and which way: degrees anticlockwise from east. */
  crossfall: orNull(
    object({ grade: num('/elements/*/crossfall/grade'), toward: num('/elements/*/crossfall/toward') }),
  ),
});
/** A box in the ground: tank, vault, basement. `thickness` is its base's. */
const Box = object({
  kind: Type.Literal('box'),
  ...Common,
  /** Outer face of the walls. */
  outline: Outline,
  wall: num('/elements/*/wall'),
  /** Outside height, base and roof included. */
  height: num('/elements/*/height'),
  /** Roof slab; 0 when open. */
  roof: num('/elements/*/roof'),
});
/** The way in and out of a pit: a sloping cut that starts at its foot and climbs along `angle`. */
const Ramp = object({
  kind: Type.Literal('ramp'),
  ...Common,
  /** Middle of the foot. */
  at: Point,
  angle: num('/elements/*/angle'),
  width: num('/elements/*/width'),
  /** Rise over run. */
  grade: num('/elements/*/grade'),
  /** The element whose bottom it comes down to. */
  serves: id,
});

const SCHEMAS = {
  strip: Strip,
  pad: Pad,
  raft: Raft,
  box: Box,
  ramp: Ramp,
  underpin: Underpin,
} as const satisfies Record<ElementKind, TSchema>;

/** In the order of the kinds: the checks tell by it which kind a wrong element was meant to be. */
export const ELEMENT_SCHEMAS = ELEMENT_KINDS.map((kind) => SCHEMAS[kind]);

export type Rising = Static<typeof Rising>;
export type Strip = Static<typeof Strip>;
export type Pad = Static<typeof Pad>;
export type Raft = Static<typeof Raft>;
export type BoxElement = Static<typeof Box>;
export type Ramp = Static<typeof Ramp>;
export type Underpin = Static<typeof Underpin>;
export type ElementOf = { [K in ElementKind]: Static<(typeof SCHEMAS)[K]> };
export type Element = ElementOf[ElementKind];
