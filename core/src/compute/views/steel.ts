/**
 * Steel as somebody drew it, counted: bars by diameter and spacing, laps, stock bars, mesh, supports; and what is set
 * in before the pour. Nothing here designs: spacings, laps and covers are typed from the drawing.
 *
 * Bars of a set are cut from stock bars of their own; what one set leaves over cuts nothing of another's. Along a
 * run bars follow the axis, a slab's lie at right angles to and along its first side. Bends are typed, not drawn.
 */
import { area, flat, perimeter } from '../../geometry/index.ts';
import type { Element } from '../../plan/elements.ts';
import type { Fitting, Plan, Steel } from '../../plan/schema.ts';
import { boxElementOf, outlinedOf, padOf, runOf } from '../../plan/variants.ts';
import type { Problem } from '../../results/index.ts';
import { sizesOf } from '../../setout/index.ts';
import type { ElementTakeoff, Job } from '../../takeoff/index.ts';

/** kg of a metre of bar of a diameter in m: d²/162 with d in mm (7850 kg/m³). */
export const barMass = (diameter: number): number => (diameter * 1000) ** 2 / 162;

/** Bars one every so far over a width between covers, edges included: n = ⌈(L − 2c)/s⌉ + 1. */
export const barsOver = (width: number, cover: number, spacing: number): number =>
  width - 2 * cover < 0 ? 0 : Math.ceil((width - 2 * cover) / spacing - 1e-9) + 1;

/** Supports one every so far both ways, edges included. */
export const supportsOver = (length: number, width: number, spacing: number): number =>
  (Math.ceil(length / spacing - 1e-9) + 1) * (Math.ceil(width / spacing - 1e-9) + 1);

/** Bars of one length out of stock. */
export interface Cut {
  /** One bar with its laps, m. */
  readonly each: number;
  /** Laps in one bar. */
  readonly laps: number;
  /** Stock bars for all of them. */
  readonly pieces: number;
}

/**
 * @param length of one bar, m; @param lap null: none is known
 * @returns null when it is longer than stock and nobody said a lap
 */
export function cutFrom(count: number, length: number, stock: number, lap: number | null): Cut | null {
  if (length <= stock + 1e-9)
    return { each: length, laps: 0, pieces: Math.ceil(count / Math.floor(stock / length + 1e-9) - 1e-9) };
  if (lap === null || lap >= stock) return null;
  const parts = Math.ceil((length - lap) / (stock - lap) - 1e-9);
  const each = length + (parts - 1) * lap;
  const rest = each - (parts - 1) * stock;
  const ofRest = rest < 1e-9 ? 0 : Math.ceil(count / Math.max(1, Math.floor(stock / rest + 1e-9)) - 1e-9);
  return { each, laps: parts - 1, pieces: count * (parts - 1) + ofRest };
}

/** Sheets laid with laps over a length and a width, m: so many in each row, so many rows. */
export function sheetsOver(
  length: number,
  width: number,
  sheet: { readonly length: number; readonly width: number },
  lap: number,
): number {
  const along = (whole: number, one: number) => Math.max(1, Math.ceil((whole - lap) / (one - lap) - 1e-9));
  return along(length, sheet.length) * along(width, sheet.width);
}

export interface SteelTakeoff {
  readonly id: string;
  readonly element: string;
  readonly kind: Steel['kind'];
  /** Bars, and one of them with its laps, m; null of mesh. */
  readonly bars: number | null;
  readonly each: number | null;
  readonly laps: number;
  /** Stock bars, or sheets. */
  readonly pieces: number;
  /** kg in place, and bought by the piece. */
  readonly mass: number;
  readonly bought: number;
  /** Supports under it, with edges; null: not asked. */
  readonly supports: number | null;
}

/** Where bars lie: along one way, across it; closed upon itself. */
interface Field {
  readonly length: number;
  readonly width: number;
  readonly closed: boolean;
}

/** Of an outline: how far it reaches along its first side, and square to it. */
function reachOf(outline: readonly (readonly [number, number])[]): readonly [number, number] {
  const [p, q] = [outline[0]!, outline[1]!];
  const long = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
  const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
  const span = (of: (at: readonly [number, number]) => number) => {
    const all = outline.map(of);
    return Math.max(...all) - Math.min(...all);
  };
  return [span(([x, y]) => x * ux + y * uy), span(([x, y]) => y * ux - x * uy)];
}

/**
 * @param wallHeight m of the wall or column on it, or of a box's walls; null: nobody knows
 * @returns null where there is nothing to lay it in
 */
function fieldOf(element: Element, where: Steel['where'], wallHeight: number | null): Field | null {
  const run = runOf(element);
  const pad = padOf(element);
  const outlined = outlinedOf(element);
  const { along, across } = sizesOf(element);
  if (where === 'wall') {
    if (wallHeight === null) return null;
    if (boxElementOf(element) && outlined)
      return { length: perimeter(outlined.outline), width: wallHeight, closed: true };
    // A column's bars stand round it: as far as its faces go.
    const { thickness = 0, long = null } = element.rising ?? {};
    const round = pad ? 2 * (thickness + (long ?? thickness)) : null;
    return { length: round ?? along, width: wallHeight, closed: round !== null || (run?.closed ?? false) };
  }
  if (outlined) {
    const [length, width] = reachOf(outlined.outline);
    return { length, width, closed: false };
  }
  return { length: along, width: across, closed: run?.closed ?? false };
}

/** A slab's bars are as long on the whole as its outline lets them: area over the width they are spread on. */
const meanOver = (element: Element, where: Steel['where'], field: Field, whole: number): number => {
  const outlined = where === 'base' ? outlinedOf(element) : null;
  if (!outlined) return whole;
  return (whole * Math.abs(area(flat(outlined.outline)))) / (field.length * field.width);
};

type Counted =
  | { readonly ok: true; readonly steel: SteelTakeoff }
  | { readonly ok: false; readonly problem: Problem };

/** One set counted. @param at its place in the plan's list */
function countOf(set: Steel, at: number, element: Element, wallHeight: number | null): Counted | null {
  const path = `/pour/steel/${at}`;
  const params = { name: set.name };
  const wrong = (problem: Omit<Problem, 'params'>): Counted => ({
    ok: false,
    problem: { ...problem, params },
  });
  const field = fieldOf(element, set.where, wallHeight);
  if (!field) return null;
  const { kind, diameter, spacing, count, rows, cover, bends, length, lap, stock, sheet, supports } = set;
  const narrow = Math.min(field.length, field.width);
  if (2 * cover >= narrow)
    return wrong({ code: 'steelCover', path: `${path}/cover`, value: 2 * cover, max: narrow, kind: 'size' });
  const base = { id: set.id, element: element.id, kind };
  const under = supports === null ? null : supportsOver(field.length, field.width, supports);
  if (kind === 'mesh') {
    if (!sheet) return wrong({ code: 'steelNoSheet', path: `${path}/sheet` });
    if (lap === null || lap >= Math.min(stock, sheet.width))
      return wrong({
        code: 'steelNoLap',
        path: `${path}/lap`,
        value: field.length,
        max: stock,
        kind: 'size',
      });
    const sheets =
      rows *
      sheetsOver(
        field.length - 2 * cover,
        field.width - 2 * cover,
        { length: stock, width: sheet.width },
        lap,
      );
    const bought = sheets * stock * sheet.width * sheet.mass;
    const laid = meanOver(element, set.where, field, (field.length - 2 * cover) * (field.width - 2 * cover));
    return {
      ok: true,
      steel: {
        ...base,
        bars: null,
        each: null,
        laps: 0,
        pieces: sheets,
        mass: rows * laid * sheet.mass,
        bought,
        supports: under,
      },
    };
  }
  if (kind === 'starters' && length === null) return wrong({ code: 'steelNoLength', path: `${path}/length` });
  // Bars along are spread over the width, bars across and starters over the length.
  const [over, whole, round] =
    kind === 'along' ? [field.width, field.length, field.closed] : [field.length, field.width, false];
  const spread = (every: number) =>
    kind !== 'along' && field.closed ? Math.ceil(over / every - 1e-9) : barsOver(over, cover, every);
  const each = count ?? (spacing === null ? null : spread(spacing));
  if (each === null) return wrong({ code: 'steelHowMany', path: `${path}/spacing` });
  const bars = each * rows;
  const one = length ?? meanOver(element, set.where, field, round ? whole : whole - 2 * cover) + bends;
  const cut = cutFrom(bars, one, stock, lap);
  if (!cut) return wrong({ code: 'steelNoLap', path: `${path}/lap`, value: one, max: stock, kind: 'length' });
  const metre = barMass(diameter);
  return {
    ok: true,
    steel: {
      ...base,
      bars,
      each: cut.each,
      laps: cut.laps,
      pieces: cut.pieces,
      mass: bars * cut.each * metre,
      bought: cut.pieces * stock * metre,
      supports: under,
    },
  };
}

/** What is set in of a kind: so many, or so many metres of it; null: nobody has said. */
export interface FittingTakeoff {
  readonly id: string;
  readonly element: string;
  readonly kind: Fitting['kind'];
  readonly count: number | null;
  readonly metres: number | null;
}

/** One every so far along an axis, both ends included; round a ring the last is the first. */
const along = (length: number, closed: boolean, spacing: number): number =>
  closed ? Math.max(1, Math.ceil(length / spacing - 1e-9)) : Math.floor(length / spacing + 1e-9) + 1;

function fittingOf(fitting: Fitting, element: Element): FittingTakeoff {
  const outlined = outlinedOf(element);
  const length = outlined ? perimeter(outlined.outline) : sizesOf(element).along;
  const closed = outlined !== null || (runOf(element)?.closed ?? false);
  const { id, kind, count, spacing } = fitting;
  const base = { id, element: element.id, kind };
  // A waterstop runs all along its joint.
  if (kind === 'waterstop') return { ...base, count: null, metres: length };
  return {
    ...base,
    count: count ?? (spacing === null ? null : along(length, closed, spacing)),
    metres: null,
  };
}

/** How high the walls of an element are, or the wall on it, m; null: nobody knows. */
function wallHeight({ element, rising }: ElementTakeoff): number | null {
  const box = boxElementOf(element);
  if (box) return box.height - box.thickness - box.roof;
  return rising && rising.top !== null ? rising.top - rising.bottom : null;
}

export interface SteelView {
  readonly steel: readonly SteelTakeoff[];
  readonly fittings: readonly FittingTakeoff[];
  /** Of marks that cannot be counted as they are typed. */
  readonly problems: readonly Problem[];
}

/** Steel and fittings of a job that was worked out. */
export function steelOf({ pour }: Plan, { elements }: Pick<Job, 'elements'>): SteelView {
  const byId = new Map(elements.map((info) => [info.id, info]));
  const counted = pour.steel.flatMap((set, at) => {
    const info = byId.get(set.element);
    return info ? (countOf(set, at, info.element, wallHeight(info)) ?? []) : [];
  });
  return {
    steel: counted.flatMap((one) => (one.ok ? [one.steel] : [])),
    problems: counted.flatMap((one) => (one.ok ? [] : [one.problem])),
    fittings: pour.fittings.flatMap((one) => {
      const info = byId.get(one.element);
      return info ? [fittingOf(one, info.element)] : [];
    }),
  };
}
