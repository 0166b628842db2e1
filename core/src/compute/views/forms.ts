/**
 * The forms of a pour's footings and slabs, and what they are levelled by: boards along every face that stands free, of any
 * outline, cut from stock; stakes, kickers and straps by the spacing that was typed; level pins with their depth under the
 * string. Faces are those of what is cast together: where a strip runs into another none stands between.
 * Forms are not designed here.
 */

import { stakesFor } from '../../base/stakes.ts';
import {
  type Corner,
  contains,
  cornersOf,
  distanceToLine,
  type Polygon,
  unionOutlines,
} from '../../geometry/index.ts';
import { boardsAlong, type CutList, cutList, type FormBoard, type ToCut } from '../../placing/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { outlinedOf, padOf } from '../../plan/variants.ts';
import type { Pour } from '../../pour/index.ts';
import { axisOf, sizesOf } from '../../setout/index.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** Boards as high as each other. */
export interface FormSet {
  /** m high. */
  readonly height: number;
  readonly boards: readonly (FormBoard & { readonly id: string })[];
  /** Across a step in the bottom: so high, so long. */
  readonly risers: readonly { readonly id: string; readonly height: number; readonly length: number }[];
  readonly cut: CutList;
  readonly stakes: number;
  readonly kickers: number;
  readonly straps: number;
}

/** A pin whose top is the level concrete is struck off to. */
export interface LevelPin {
  readonly id: string;
  readonly element: string;
  readonly at: readonly [number, number];
  readonly level: number;
  /** m under the string it is measured from. */
  readonly fromString: number;
  /** m of concrete there, as it was asked for. */
  readonly thickness: number;
}

export interface PourForms {
  readonly pour: Pour;
  readonly sets: readonly FormSet[];
  readonly pins: readonly LevelPin[];
}

/** Behind a face by so much lies what it is of, m. */
const BEHIND = 0.002;
/** Pieces of a face shorter than this are none, m. */
const NO_BOARD = 0.02;

/** What is cast first of an element, in plan. */
function castPlan({ element, footings }: ElementTakeoff): readonly Polygon[] {
  const outlined = outlinedOf(element);
  return outlined ? [outlined.outline.flat()] : footings.map(({ plan }) => plan);
}

/** A corner nearer than this to the line between those beside it is none, m: outlines are joined to a tenth of a millimetre. */
const NO_CORNER = 0.0005;

/** An outline without corners that are none, turning as it did. */
function straightened(outline: readonly Corner[]): Corner[] {
  let kept = [...outline];
  for (let i = 0; i < kept.length && kept.length > 3; ) {
    const before = kept[(i + kept.length - 1) % kept.length]!;
    const after = kept[(i + 1) % kept.length]!;
    const [x, y] = kept[i]!;
    if (distanceToLine(before, after, x, y) < NO_CORNER) {
      kept = kept.filter((_, k) => k !== i);
      i = Math.max(0, i - 1);
    } else i++;
  }
  return kept;
}

/** Rounded, so that what is as high stands together. */
const heightOf = ({ element }: ElementTakeoff): number => Math.round(element.thickness * 1e4) / 1e4;

/** How high what a board forms is: what lies behind its middle. */
function heightBehind({ from, to, face }: FormBoard, formed: readonly ElementTakeoff[]): number {
  const [ux, uy] = [(to[0] - from[0]) / face, (to[1] - from[1]) / face];
  const [x, y] = [(from[0] + to[0]) / 2 - uy * BEHIND, (from[1] + to[1]) / 2 + ux * BEHIND];
  const own = formed.find((info) => castPlan(info).some((plan) => contains(cornersOf(plan), x, y)));
  return own ? heightOf(own) : heightOf(formed[0]!);
}

/** One every so far along a length, ends included. */
const along = (length: number, spacing: number): number => Math.ceil(length / spacing - 1e-9) + 1;

/** Pins of what is cast of an element, at its top. */
function pinsOf(info: ElementTakeoff, screed: number): LevelPin[] {
  const { element, string } = info;
  const level = info.underside + element.thickness;
  const out: LevelPin[] = [];
  const put = (x: number, y: number, at: number) => {
    if (out.some((pin) => Math.hypot(pin.at[0] - x, pin.at[1] - y) < 0.05)) return;
    out.push({
      id: `${element.name} ${out.length + 1}`,
      element: info.id,
      at: [x, y],
      level: at,
      fromString: string.level - at,
      thickness: element.thickness,
    });
  };
  const grid = (
    middle: readonly [number, number],
    length: number,
    width: number,
    angle: number,
    top: number,
  ) => {
    const { along: count, across } = stakesFor(length, width, screed);
    for (let i = 0; i < count; i++)
      for (let j = 0; j < across; j++) {
        const s = count > 1 ? (i / (count - 1) - 0.5) * length : 0;
        const o = across > 1 ? (j / (across - 1) - 0.5) * width : 0;
        put(
          middle[0] + s * Math.cos(angle) - o * Math.sin(angle),
          middle[1] + s * Math.sin(angle) + o * Math.cos(angle),
          top,
        );
      }
  };
  const outlined = outlinedOf(element);
  const pad = padOf(element);
  if (pad) grid(pad.at, pad.length, pad.width, (pad.angle * Math.PI) / 180, level);
  else if (outlined) {
    const xs = outlined.outline.map(([x]) => x);
    const ys = outlined.outline.map(([, y]) => y);
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const corners = outlined.outline.map(([x, y]) => [x, y] as const);
    const { along: columns } = stakesFor(x1 - x0, 0, screed);
    const { along: rows } = stakesFor(y1 - y0, 0, screed);
    for (let i = 0; i < columns; i++)
      for (let j = 0; j < rows; j++) {
        const x = x0 + ((x1 - x0) * i) / Math.max(1, columns - 1);
        const y = y0 + ((y1 - y0) * j) / Math.max(1, rows - 1);
        if (contains(corners, x, y, 0.01)) put(x, y, level);
      }
  } else {
    const runs = axisOf(element);
    const stretches =
      info.steps?.stretches ??
      runs.map(({ length }, run) => ({ run, s0: 0, s1: length, underside: info.underside }));
    for (const { run, s0, s1, underside } of stretches) {
      const own = runs[run];
      if (!own) continue;
      const middle = (s0 + s1) / 2;
      grid(
        [own.from[0] + own.ux * middle, own.from[1] + own.uy * middle],
        s1 - s0,
        0,
        Math.atan2(own.uy, own.ux),
        underside + element.thickness,
      );
    }
  }
  return out;
}

/** @returns null: there is no such pour */
export function formsOf(plan: Plan, takeoff: Takeoff, id: string): PourForms | null {
  const pour = takeoff.pours.find((one) => one.id === id);
  if (!pour) return null;
  const { forms, screed } = plan.pour;
  const first = new Set(pour.casts.flatMap(({ element, stage }) => (stage === 'first' ? [element] : [])));
  const own = takeoff.elements.filter((info) => first.has(info.id));
  const formed = own.filter(({ element }) => element.method === 'formed');
  const heights = [...new Set(formed.map(heightOf))].toSorted((p, q) => q - p);
  const outlines = unionOutlines(formed.flatMap(castPlan)).map(straightened);
  // What runs into another has no face there: faces are those of all that is cast, each as high as what it is of.
  const faces = outlines
    .flatMap((outline) => boardsAlong(outline, true, forms.board, forms.corner))
    .filter(({ face }) => face > NO_BOARD)
    .map((board, i) => ({ ...board, id: String(i + 1), height: heightBehind(board, formed) }));
  let number = faces.length;
  const sets = heights.map((height): FormSet => {
    const like = formed.filter((info) => heightOf(info) === height);
    const boards = faces.filter((board) => board.height === height);
    const risers = like.flatMap((info) =>
      (info.steps?.stretches ?? []).flatMap((stretch, i, all) => {
        const before = all[i - 1];
        const step = before ? Math.abs(stretch.underside - before.underside) : 0;
        if (step < 1e-6) return [];
        number++;
        return [{ id: String(number), height: step, length: sizesOf(info.element).across }];
      }),
    );
    const toCut: ToCut[] = boards.map(({ id: board, length }) => ({ id: board, length }));
    const round = boards.reduce((sum, { face }) => sum + face, 0);
    return {
      height,
      boards,
      risers,
      cut: cutList(toCut, forms.stock, forms.stakes),
      stakes: boards.reduce((sum, { face }) => sum + along(face, forms.stakes), 0),
      kickers: boards.reduce((sum, { face }) => sum + along(face, forms.kickers), 0),
      // Across the top from face to face: one for two faces.
      straps: Math.ceil(round / 2 / forms.straps - 1e-9),
    };
  });
  return { pour, sets, pins: own.flatMap((info) => pinsOf(info, screed)) };
}
