/** Words a plan chooses among, apart from those a stage brings itself. */
export const SUPPORTS = ['slope', 'bench', 'shore'] as const;
export type Support = (typeof SUPPORTS)[number];
export const STRIP_USES = ['footing', 'drain', 'stone', 'kerb'] as const;
/**
 * What decides how deep a slab goes: the rules for footings, its floor with a bed that frost cannot lift, or the ground
 * itself: an apron lies in it as thick as it is.
 */
export const FOUNDINGS = ['depth', 'floor', 'ground'] as const;
/** Where boards against frost lie of a slab: under all of it, under its edge, or out past its edge. */
export const BOARD_ZONES = ['whole', 'edge', 'apron'] as const;
/** What the top of a wall or column is told by; by the ground: nobody has said how high it is. */
export const RISING_TOPS = ['ground', 'height', 'level', 'floor', 'flood'] as const;
export type RisingTop = (typeof RISING_TOPS)[number];
/** Cast in forms, or laid of units in mortar. */
export const RISING_MAKES = ['cast', 'laid'] as const;
/** What the cells of laid units are filled with. */
export const CELL_FILLS = ['none', 'concrete', 'stoneCement', 'stone'] as const;
export type CellFill = (typeof CELL_FILLS)[number];
/** Bars along a footing and across it, bars that start a wall or column, and mesh. */
export const STEEL_KINDS = ['along', 'across', 'starters', 'mesh'] as const;
export const STEEL_PLACES = ['base', 'wall'] as const;
export type SteelKind = (typeof STEEL_KINDS)[number];
export const FITTINGS = ['weep', 'dowel', 'waterstop', 'sleeve', 'anchor'] as const;
export type FittingKind = (typeof FITTINGS)[number];
/** Where a drain's water goes. */
export const OUTLETS = ['daylight', 'ditch', 'sump'] as const;
/** What is done with a pipe or cable that lies in what is cast; out of the way, it takes no room in it. */
export const CROSSINGS = ['keep', 'divert', 'sleeve', 'leaveOut'] as const;
/** What breaks an obstruction. */
export const BREAKERS = ['hand', 'hammer'] as const;
export const RULE_SETS = ['cautious', 'us', 'own'] as const;
export const AREA_USES = ['spoil', 'topsoil', 'stone'] as const;
export const ELEMENT_KINDS = ['strip', 'pad', 'raft', 'box', 'ramp', 'underpin'] as const;
export type ElementKind = (typeof ELEMENT_KINDS)[number];

/** How an element lies in plan: along an axis, about a middle, within an outline, up from a foot. */
export type Form = 'run' | 'pad' | 'outline' | 'ramp';
export const FORMS = {
  strip: 'run',
  pad: 'pad',
  raft: 'outline',
  box: 'outline',
  ramp: 'ramp',
  underpin: 'run',
} as const satisfies Record<ElementKind, Form>;
/** How rain is spread over a storm: even, heaviest at once, heaviest in the middle, hour by hour. */
export const PATTERNS = ['even', 'front', 'centre', 'hourly'] as const;

/** What a sump is kept open with: coarse stone, a screen, or nothing. */
export const SUMP_FILLS = ['stone', 'screen', 'open'] as const;
/** How water is held out of the holes, once that is settled. */
export const HOLDINGS = ['sump', 'ring', 'gravity', 'wellpoints'] as const;
export type Holding = (typeof HOLDINGS)[number];
/** How soil gets out from under a house. */
export const WAYS_OUT = ['barrow', 'conveyor', 'bins'] as const;
/** Where pumped water goes. */
export const DISCHARGES = ['ground', 'storm', 'foul', 'stream', 'tank'] as const;
export type Discharge = (typeof DISCHARGES)[number];
/** What brings water to the ground beside the dig. */
export const SURFACE_KINDS = ['washOut', 'downpipe', 'yard'] as const;
export type SurfaceKind = (typeof SURFACE_KINDS)[number];
/** What keeps a soil out of stone that drains it. */
export const FILTERS = ['stone', 'cloth', 'none'] as const;
export type Filter = (typeof FILTERS)[number];
/** Who looks at work, from who runs the crew to who owns what stands there. */
export const ROLES = ['lead', 'competent', 'inspector', 'engineer', 'owner'] as const;
export type Role = (typeof ROLES)[number];
/** Work somebody may want to see before it is covered, in the order it is done. */
export const HOLD_KINDS = [
  'setout',
  'bottom',
  'lift',
  'lean',
  'forms',
  'pour',
  'leak',
  'proofing',
  'backfill',
  'bay',
  'pump',
  'posts',
] as const;
export type HoldKind = (typeof HOLD_KINDS)[number];
/** How concrete is brought to where it is placed. */
export const PLACED_BY = ['chute', 'barrow', 'pump', 'skip'] as const;
export type PlacedBy = (typeof PLACED_BY)[number];
/** How boards of a form meet at a bend. */
export const BOARD_CORNERS = ['mitred', 'lapped'] as const;
export type BoardCorner = (typeof BOARD_CORNERS)[number];

/** What waits while a look is wanting: digging, covering a bottom, pouring, filling again, letting the water come back, taking posts away. */
export const HELD_WORK = ['dig', 'cover', 'pour', 'backfill', 'pumpOff', 'postsOut'] as const;
export type HeldWork = (typeof HELD_WORK)[number];
/** Papers others give or want before work begins. */
export const PERMITS = ['permit', 'insurer', 'neighbour', 'stream', 'road', 'locate'] as const;
export type PermitKind = (typeof PERMITS)[number];

/** With what a hole is filled again: the job's own soil where it is fit, or all of it from outside. */
export const FILLS = ['own', 'bringIn'] as const;
/** What becomes of a soil: goes back, goes back once spread and dried or mixed with what is drier, leaves. */
export const SOIL_USES = ['fit', 'dry', 'mix', 'away'] as const;
export type SoilUse = (typeof SOIL_USES)[number];
/** Never filled with, whatever else is said of it. */
export const NEVER_FILL = ['frozen', 'boulders', 'roots', 'waste'] as const;
/** A drain at the foot always, or only where water rises to it. */
export const SURROUND_WHEN = ['always', 'water'] as const;
/** What keeps damp off a wall that is filled against. */
export const DAMP_PROOFS = ['none', 'barrier', 'sand'] as const;
/** Which side of a run lies under a floor, seen along it as it was drawn. */
export const FLOOR_SIDES = ['left', 'right', 'both'] as const;
/** What is taken off beside the holes. */
export const STRIP_KINDS = ['topsoil', 'reduce', 'island'] as const;
export type StripKind = (typeof STRIP_KINDS)[number];

/** Stages a hole is filled in, in the order they are placed; the room of a floor is not filled. */
export const FILL_STAGES = ['foot', 'toFloor', 'toTop', 'topsoil', 'floorRoom'] as const;
export type FillStage = (typeof FILL_STAGES)[number];
/**
 * Sides of what stands in the fill: left and right along a run as it was drawn; of a box one a face, counter-clockwise
 * from its longest; all round.
 */
export const SIDES = ['left', 'right', 'a', 'b', 'c', 'd', 'all'] as const;
export type Side = (typeof SIDES)[number];
