/** How a job is poured: orders, who is cast with whom and first, the steel and what else is set in. */
import Type, { type Static } from 'typebox';
import { FIELDS } from './fields.ts';
import { FITTINGS, STEEL_KINDS, STEEL_PLACES } from './kinds.ts';
import { MOST_CASTS, MOST_ELEMENTS } from './limits.ts';
import { castKey, id, name, num, object, oneOf, orNull, text } from './parts.ts';
import { Cure, Forms, HandMix, Leak, Placing } from './placing.ts';

const counted = (of: '/pour/steel/*/count' | '/pour/steel/*/rows' | '/pour/fittings/*/count') =>
  Type.Integer({ minimum: FIELDS[of].min, maximum: FIELDS[of].max });

/** Bars or mesh of one mark in an element, as somebody drew them. */
const Steel = object({
  id,
  element: id,
  /** The mark, or where it lies, in people's own words. */
  name,
  kind: oneOf(STEEL_KINDS),
  /** In the footing or slab, or in the wall or column on it, a box's walls. */
  where: oneOf(STEEL_PLACES),
  diameter: num('/pour/steel/*/diameter'),
  /** One bar every so far, or so many; what is said of both is the count. Null of both is a named problem. */
  spacing: orNull(num('/pour/steel/*/spacing')),
  count: orNull(counted('/pour/steel/*/count')),
  /** Layers, faces or rows of it. */
  rows: counted('/pour/steel/*/rows'),
  cover: num('/pour/steel/*/cover'),
  /** What bends and hooks add to each bar. */
  bends: num('/pour/steel/*/bends'),
  /** Of a starter bar, its whole length; of the others the element says it. */
  length: orNull(num('/pour/steel/*/length')),
  /** As the engineer drew it; null: nobody has said, and nothing longer than a stock bar can be counted. */
  lap: orNull(num('/pour/steel/*/lap')),
  /** Length bars, or sheets, come in. */
  stock: num('/pour/steel/*/stock'),
  /** Of mesh: how wide a sheet is, and its mass, kg/m². */
  sheet: orNull(object({ width: num('/pour/steel/*/sheet/width'), mass: num('/pour/steel/*/sheet/mass') })),
  /** What holds it off the bottom, one every so far both ways; null: not counted. */
  supports: orNull(num('/pour/steel/*/supports')),
});

/** What is set in before the pour. */
const Fitting = object({
  id,
  element: id,
  kind: oneOf(FITTINGS),
  /** In people's own words. */
  size: text(60),
  place: text(120),
  count: orNull(counted('/pour/fittings/*/count')),
  spacing: orNull(num('/pour/fittings/*/spacing')),
  level: orNull(num('/pour/fittings/*/level')),
});

export const Pouring = object({
  /** Lost to an uneven surface under lean concrete. Null: 20 mm over stone, 10 mm over soil. */
  irregularity: orNull(num('/pour/irregularity')),
  waste: num('/pour/waste'),
  /** The plant's order step and its truck. */
  step: num('/pour/step'),
  truck: num('/pour/truck'),
  /** Length of the straight-edge lean concrete is drawn off with, m. */
  screed: num('/pour/screed'),
  /** What is cast together, by name; what is in none is cast with its like. */
  together: Type.Array(
    object({ id, name, elements: Type.Array(castKey, { minItems: 1, maxItems: MOST_CASTS }) }),
    { maxItems: 40 },
  ),
  /** Who is cast first, ids: where two share room it is the earlier one's. What is missing follows as it was drawn. */
  order: Type.Array(id, { maxItems: MOST_ELEMENTS }),
  /** The pump's line, whose fill stays in it after each pour; null: no line. */
  line: orNull(object({ length: num('/pour/line/length'), diameter: num('/pour/line/diameter') })),
  /** Left in the hopper, and what forms that give take, m³ a pour. Null: nobody has said, nothing is added. */
  hopper: orNull(num('/pour/hopper')),
  gaps: orNull(num('/pour/gaps')),
  /** How each pour is ordered, by its id, in people's own words: mix and class, when, where it is let off, with whom. */
  orders: Type.Array(
    object({
      /** A pour's, see pour/pours.ts. */
      id: castKey,
      mix: text(80),
      when: text(40),
      where: text(120),
      to: text(120),
      /** Mixed on site: what is used is what comes, by no plant's step and in no truck. */
      mixed: Type.Boolean(),
    }),
    { maxItems: 120 },
  ),
  /** Largest stone of the mix; null: typical. */
  topSize: orNull(num('/pour/topSize')),
  /** Water a dry bottom is dampened with before the pour, m; null: nobody has said, it is kept as it is. */
  dampen: orNull(num('/pour/dampen')),
  /** Vibrators on site, one spare among them; null: nobody has said. */
  heads: orNull(Type.Integer({ minimum: FIELDS['/pour/heads'].min, maximum: FIELDS['/pour/heads'].max })),
  /** Steel as it was drawn by others: counted here, never designed. */
  steel: Type.Array(Steel, { maxItems: 200 }),
  /** What is set in before the pour: weep holes, dowels, waterstop, sleeves, anchors. */
  fittings: Type.Array(Fitting, { maxItems: 200 }),
  placing: Placing,
  forms: Forms,
  hand: HandMix,
  cure: Cure,
  leak: Leak,
  /** What a bottom dug low is made up with. */
  makeUp: oneOf(['stone', 'lean', 'concrete'] as const),
});
export type Steel = Static<typeof Steel>;
export type Fitting = Static<typeof Fitting>;
