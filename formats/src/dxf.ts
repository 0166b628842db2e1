/**
 * DXF in and out. In: lines, polylines with their arcs, arcs and circles of the layers a person
 * picks, in the unit the file says or the person does, loose lines joined end to end. Out: the
 * plan's lines on layers, in metres.
 *
 * Not covered: blocks, splines, ellipses, text; a file of nothing else says so.
 */
import { arcPoints, DRAWN_LAYERS, type Drawn, type Problem, type ProblemCode } from '@cimiento/core';
import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import DxfParser, { type IDxf, type IEntity } from 'dxf-parser';
import { wholeDrawing } from './dxf-whole.ts';

export const DXF_UNITS = { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, in: 0.0254 } as const;
export type DxfUnit = keyof typeof DXF_UNITS;
/** $INSUNITS of a file's head. */
const SAID: Record<number, DxfUnit> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };

/** Larger files are not read, characters and entities. */
const LONGEST = 120_000_000;
const MOST_ENTITIES = 400_000;
/** Shapes taken at once: a plan holds no more. */
export const MOST_SHAPES = 400;
/** Ends nearer than this are one, m. */
const JOINED = 0.001;

type Point = readonly [number, number];
export interface DxfShape {
  readonly layer: string;
  /** m; of a closed shape the first is not repeated. */
  readonly points: readonly Point[];
  readonly closed: boolean;
}
export interface DxfLayer {
  readonly name: string;
  readonly shapes: number;
}
export interface DxfLook {
  readonly layers: readonly DxfLayer[];
  /** Null: the file does not say. */
  readonly unit: DxfUnit | null;
  /** Things in it that are not taken: blocks, text, curves. */
  readonly skipped: number;
  /** Larger side of all there is, in the file's own unit. */
  readonly size: number;
}
type Refused = { readonly ok: false; readonly problem: Problem };

const refuse = (code: ProblemCode, more: Partial<Problem> = {}): Refused => ({
  ok: false,
  problem: { code, path: '', ...more },
});

/** Entities as shapes in the file's own unit. */
interface Parsed {
  readonly shapes: readonly DxfShape[];
  readonly unit: DxfUnit | null;
  readonly skipped: number;
}

interface Vertex {
  readonly x: number;
  readonly y: number;
  readonly bulge?: number;
}

/** A polyline's corners, the arcs of its bulges as chords: bulge is the tangent of a quarter of the arc. */
function bent(vertices: readonly Vertex[], closed: boolean, off: number): Point[] {
  const out: Point[] = [];
  vertices.forEach((v, i) => {
    out.push([v.x, v.y]);
    const next = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    if (!v.bulge || !next) return;
    const chord = Math.hypot(next.x - v.x, next.y - v.y);
    if (chord < 1e-12) return;
    const sweep = 4 * Math.atan(v.bulge);
    const radius = chord / (2 * Math.sin(Math.abs(sweep) / 2));
    const up = radius * Math.cos(Math.abs(sweep) / 2) * Math.sign(v.bulge);
    const [mx, my] = [(v.x + next.x) / 2, (v.y + next.y) / 2];
    const centre: Point = [mx - ((next.y - v.y) / chord) * up, my + ((next.x - v.x) / chord) * up];
    const start = (Math.atan2(v.y - centre[1], v.x - centre[0]) * 180) / Math.PI;
    const arc = arcPoints(centre, radius, start, (sweep * 180) / Math.PI, off);
    if (arc) out.push(...arc.slice(1, -1));
  });
  return out;
}

const finite = (points: readonly Point[]) =>
  points.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y));

/** One entity as a shape; null for what is not taken. */
function shapeOf(entity: IEntity, off: number): DxfShape | null {
  const layer = entity.layer ?? '0';
  const made = (points: Point[], closed: boolean): DxfShape | null => {
    const apart = points.filter(
      (p, i) => i === 0 || Math.hypot(p[0] - points[i - 1]![0], p[1] - points[i - 1]![1]) > 0,
    );
    const [first, last] = [apart[0], apart.at(-1)];
    const shut =
      closed || (apart.length > 3 && !!first && !!last && first[0] === last[0] && first[1] === last[1]);
    if (shut && first && last && apart.length > 1 && first[0] === last[0] && first[1] === last[1])
      apart.pop();
    return apart.length > 1 && finite(apart)
      ? { layer, points: apart, closed: shut && apart.length > 2 }
      : null;
  };
  const own = entity as unknown as {
    vertices?: Vertex[];
    shape?: boolean;
    center?: Vertex;
    radius?: number;
    startAngle?: number;
    endAngle?: number;
  };
  const degrees = (angle: number) => (angle * 180) / Math.PI;
  switch (entity.type) {
    case 'LINE':
      return own.vertices
        ? made(
            own.vertices.map(({ x, y }) => [x, y] as const),
            false,
          )
        : null;
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return own.vertices ? made(bent(own.vertices, own.shape === true, off), own.shape === true) : null;
    case 'CIRCLE': {
      if (!own.center || !own.radius) return null;
      const points = arcPoints([own.center.x, own.center.y], own.radius, 0, 360, off);
      return points && made(points, true);
    }
    case 'ARC': {
      if (!own.center || !own.radius || own.startAngle === undefined || own.endAngle === undefined)
        return null;
      const start = degrees(own.startAngle);
      const sweep = (((degrees(own.endAngle) - start) % 360) + 360) % 360 || 360;
      const points = arcPoints([own.center.x, own.center.y], own.radius, start, sweep, off);
      return points && made(points, sweep === 360);
    }
    default:
      return null;
  }
}

/** A file already read, so that a look and a reading of the same text parse it once. */
let last: { text: string; read: { ok: true; parsed: Parsed } | Refused } | null = null;

function parse(text: string): { ok: true; parsed: Parsed } | Refused {
  if (last?.text === text) return last.read;
  const read = parsed(text);
  last = { text, read };
  return read;
}

function parsed(text: string): { ok: true; parsed: Parsed } | Refused {
  if (text.length > LONGEST) return refuse('fileLong', { value: text.length, max: LONGEST });
  // The binary kind begins with a line of words, an end-of-file mark and a nought.
  if (['\0', '\u001a'].some((mark) => text.slice(0, 4000).includes(mark))) return refuse('fileBinary');
  if (!/^\s*0\s*[\r\n]+\s*(SECTION|EOF)/m.test(text.slice(0, 200_000))) return refuse('dxfNone');
  const whole = wholeDrawing(text);
  if (whole === null) return refuse(/^\s*EOF\s*$/m.test(text.slice(-200)) ? 'dxfBroken' : 'dxfCut');
  let drawing: IDxf | null;
  try {
    drawing = new DxfParser().parseSync(whole.text);
  } catch {
    return refuse('dxfBroken');
  }
  const entities = drawing?.entities ?? [];
  if (!/^\s*EOF\s*$/m.test(text.slice(-200))) return refuse('dxfCut', { value: entities.length });
  if (entities.length > MOST_ENTITIES)
    return refuse('dxfMany', { value: entities.length, max: MOST_ENTITIES });
  const unit = SAID[Number(drawing?.header?.$INSUNITS ?? 0)] ?? null;
  const off = 0.01 / DXF_UNITS[unit ?? 'm'];
  const shapes = entities.flatMap((entity) => shapeOf(entity, off) ?? []);
  const skipped = entities.length - shapes.length + whole.others;
  if (shapes.length === 0) {
    const inserts = entities.filter((entity) => entity.type === 'INSERT').length;
    return refuse(inserts > 0 ? 'dxfBlocks' : 'dxfEmpty', { value: inserts });
  }
  return { ok: true, parsed: { shapes, unit, skipped } };
}

/** Layers, unit and size of a drawing, for a person to choose from. */
export function lookAtDxf(text: string): { ok: true; look: DxfLook } | Refused {
  const read = parse(text);
  if (!read.ok) return read;
  const { shapes, unit, skipped } = read.parsed;
  const counts = new Map<string, number>();
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { layer, points } of shapes) {
    counts.set(layer, (counts.get(layer) ?? 0) + 1);
    for (const [x, y] of points) {
      x0 = Math.min(x0, x);
      y0 = Math.min(y0, y);
      x1 = Math.max(x1, x);
      y1 = Math.max(y1, y);
    }
  }
  return {
    ok: true,
    look: {
      layers: [...counts].map(([name, count]) => ({ name, shapes: count })),
      unit,
      skipped,
      size: Math.max(x1 - x0, y1 - y0),
    },
  };
}

/** Joins lines of one layer end to end where just two ends meet. */
function joined(shapes: readonly DxfShape[]): DxfShape[] {
  const out = shapes.filter((shape) => shape.closed);
  const open = shapes
    .filter((shape) => !shape.closed)
    .map((shape) => ({ layer: shape.layer, points: [...shape.points] }));
  const key = ([x, y]: Point) => `${Math.round(x / JOINED)},${Math.round(y / JOINED)}`;
  const ends = new Map<string, Set<number>>();
  const at = (layer: string, p: Point) => `${layer}\n${key(p)}`;
  open.forEach((shape, i) => {
    for (const p of [shape.points[0]!, shape.points.at(-1)!]) {
      const place = at(shape.layer, p);
      ends.set(place, (ends.get(place) ?? new Set()).add(i));
    }
  });
  const used = new Set<number>();
  open.forEach((shape, i) => {
    if (used.has(i)) return;
    used.add(i);
    const line = [...shape.points];
    for (const forward of [true, false])
      for (;;) {
        const end = forward ? line.at(-1)! : line[0]!;
        const meeting = [...(ends.get(at(shape.layer, end)) ?? [])];
        const next = meeting.find((j) => !used.has(j));
        // Where three meet it is a junction, and trenches end there.
        if (next === undefined || meeting.length !== 2) break;
        used.add(next);
        const other = open[next]!.points;
        const run = key(other[0]!) === key(end) ? other.slice(1) : [...other].reverse().slice(1);
        if (forward) line.push(...run);
        else line.unshift(...run.reverse());
      }
    const closed = line.length > 3 && key(line[0]!) === key(line.at(-1)!);
    if (closed) line.pop();
    out.push({ layer: shape.layer, points: line, closed });
  });
  return out;
}

/**
 * Shapes of some layers, m.
 * @param layers names as `lookAtDxf` gives them
 * @param unit the file's own when it says one
 */
export function readDxf(
  text: string,
  layers: readonly string[],
  unit: DxfUnit,
): { ok: true; shapes: DxfShape[] } | Refused {
  const read = parse(text);
  if (!read.ok) return read;
  const factor = DXF_UNITS[unit];
  const metres = read.parsed.shapes
    .filter((shape) => layers.includes(shape.layer))
    .map((shape) => ({ ...shape, points: shape.points.map(([x, y]) => [x * factor, y * factor] as const) }));
  const shapes = joined(metres);
  if (shapes.length > MOST_SHAPES) return refuse('dxfShapes', { value: shapes.length, max: MOST_SHAPES });
  return { ok: true, shapes };
}

/** Colour numbers layers are told apart by, as every reader of the format draws them. */
const COLOURS: Record<Drawn['layer'], number> = {
  axis: 5,
  footing: 8,
  bottom: 30,
  opening: 40,
  board: 1,
  string: 150,
  pin: 1,
  site: 3,
};

/**
 * A plan's lines as DXF in metres.
 * @param names of the layers, in the reader's language
 */
export function writeDxf(drawn: readonly Drawn[], names: Readonly<Record<Drawn['layer'], string>>): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Meters);
  for (const layer of DRAWN_LAYERS) dxf.addLayer(names[layer], COLOURS[layer], 'Continuous');
  for (const { layer, name, points, closed, level } of drawn) {
    const layerName = names[layer];
    const [first] = points;
    if (!first) continue;
    if (points.length === 1) {
      dxf.addPoint(first[0], first[1], level ?? 0, { layerName });
      dxf.addText(point3d(first[0] + 0.15, first[1] + 0.15), 0.3, name, { layerName });
      continue;
    }
    dxf.addLWPolyline(
      points.map(([x, y]) => ({ point: point2d(x, y) })),
      { layerName, flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None, elevation: level ?? 0 },
    );
  }
  return dxf.stringify();
}
