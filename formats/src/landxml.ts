/**
 * Surfaces from LandXML 1.x: the points of the first TIN, its breaklines, and its faces where they
 * differ from a Delaunay triangulation (as breaklines, so that the surface is the file's own).
 *
 * Document types are refused before parsing, so no entity can expand. Not covered: contours,
 * boundaries and holes; faces marked invisible are left out.
 */
import { flatPlan, type Problem, type ProblemCode, triangulate } from '@cimiento/core';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { SURVEY_UNITS, type SurveyPoint } from './survey.ts';
import type { ReadSurvey } from './survey-csv.ts';
import { LONGEST_TABLE, MOST_ROWS } from './table.ts';

type Node = Record<string, unknown>;
const list = (value: unknown): unknown[] =>
  value === undefined ? [] : Array.isArray(value) ? value : [value];
const node = (value: unknown): Node => (typeof value === 'object' && value !== null ? (value as Node) : {});
const textOf = (value: unknown): string =>
  typeof value === 'object' && value !== null ? String((value as Node)['#text'] ?? '') : String(value ?? '');
const numbers = (text: string): number[] => {
  const out = text.trim().split(/\s+/).map(Number);
  return text.trim() === '' || out.some((n) => !Number.isFinite(n)) ? [] : out;
};

/** More faces than this that are not Delaunay's are left to Delaunay. */
const MOST_FORCED = 4000;

function metresPer(units: Node): number | null {
  const metric = node(units.Metric);
  const imperial = node(units.Imperial);
  const name = String(metric['@linearUnit'] ?? imperial['@linearUnit'] ?? '').toLowerCase();
  if (name === '' || name === 'meter' || name === 'metre') return 1;
  if (name === 'millimeter') return 0.001;
  if (name === 'centimeter') return 0.01;
  if (name === 'foot') return SURVEY_UNITS.ft;
  if (name === 'ussurveyfoot') return SURVEY_UNITS.usft;
  return null;
}

/** Deepest nesting, and most attributes of one element, a surface file has any use for. */
const DEEPEST = 64;
const MOST_ATTRIBUTES = 200;

/**
 * What makes a parser take for ever or fall over, looked for in one pass before it is asked:
 * elements nested in each other without end, and one with attributes without end.
 */
export function wildXml(text: string): 'fileDeep' | 'fileWide' | null {
  let depth = 0;
  for (let at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at + 1)) {
    const next = text[at + 1];
    if (next === '!' || next === '?') {
      const end = text.startsWith('<!--', at) ? text.indexOf('-->', at) : text.indexOf('>', at);
      if (end < 0) return null;
      at = end;
      continue;
    }
    if (next === '/') {
      depth--;
      continue;
    }
    let attributes = 0;
    let quote = '';
    let i = at + 1;
    for (; i < text.length; i++) {
      const c = text[i]!;
      if (quote) quote = c === quote ? '' : quote;
      else if (c === '"' || c === "'") quote = c;
      else if (c === '=' && ++attributes > MOST_ATTRIBUTES) return 'fileWide';
      else if (c === '>') break;
    }
    if (text[i - 1] !== '/' && ++depth > DEEPEST) return 'fileDeep';
    at = i;
  }
  return null;
}

/** Reads the first TIN of a LandXML file. */
export function readLandXml(text: string): ReadSurvey {
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadSurvey => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  if (text.length > LONGEST_TABLE) return refuse('fileLong', { value: text.length, max: LONGEST_TABLE });
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return refuse('fileHostile');
  const wild = wildXml(text);
  if (wild) return refuse(wild);
  const valid = XMLValidator.validate(text);
  if (valid !== true) return refuse('fileBroken', { params: { line: valid.err.line } });
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    parseAttributeValue: false,
    processEntities: false,
    removeNSPrefix: true,
  });
  const root = node(node(parser.parse(text)).LandXML);
  if (Object.keys(root).length === 0) return refuse('notLandXml');
  const factor = metresPer(node(root.Units));
  if (factor === null) return refuse('unitUnknown');
  const surfaces = list(root.Surfaces).flatMap((group) => list(node(group).Surface).map(node));
  const surface = surfaces.find((s) => node(s.Definition).Pnts !== undefined);
  if (!surface) return refuse('noSurface');
  const definition = node(surface.Definition);
  const raw = list(node(definition.Pnts).P);
  if (raw.length > MOST_ROWS) return refuse('rowsMany', { max: MOST_ROWS });

  const points: SurveyPoint[] = [];
  const byId = new Map<string, number>();
  const byPlace = new Map<string, number>();
  /** Position of a point of this place, made when it is new. LandXML writes north before east. */
  const place = (north: number, east: number, level: number): number => {
    const key = `${east.toFixed(4)} ${north.toFixed(4)}`;
    const known = byPlace.get(key);
    if (known !== undefined) return known;
    byPlace.set(key, points.length);
    points.push([east * factor, north * factor, level * factor]);
    return points.length - 1;
  };
  for (const [i, p] of raw.entries()) {
    const [north, east, level] = numbers(textOf(p));
    if (north === undefined || east === undefined || level === undefined)
      return refuse('pointBroken', { params: { at: i + 1 } });
    const before = points.length;
    const at = place(north, east, level);
    if (points.length === before) return refuse('duplicateSpot', { params: { at: i + 1, other: at + 1 } });
    byId.set(String(node(p)['@id'] ?? i + 1), at);
  }
  if (points.length < 3) return refuse('noSurface');

  const breaklines: number[][] = [];
  for (const group of list(node(surface.SourceData).Breaklines))
    for (const line of list(node(group).Breakline)) {
      const values = numbers(textOf(node(line).PntList3D));
      const run: number[] = [];
      for (let i = 0; i + 2 < values.length; i += 3) {
        const at = place(values[i]!, values[i + 1]!, values[i + 2]!);
        if (run[run.length - 1] !== at) run.push(at);
      }
      if (run.length > 1) breaklines.push(run);
    }
  const faces = list(node(definition.Faces).F).filter((face) => node(face)['@i'] !== '1');
  for (const edge of foreignEdges(points, faces.map(textOf), byId)) breaklines.push(edge);
  return { ok: true, survey: { points, breaklines } };
}

/** Edges of the file's faces that a Delaunay triangulation of its points does not have. */
function foreignEdges(
  points: readonly SurveyPoint[],
  faces: readonly string[],
  byId: ReadonlyMap<string, number>,
): number[][] {
  if (faces.length === 0) return [];
  const made = triangulate(flatPlan(points), []);
  if (!made.ok) return [];
  const key = (p: number, q: number) => Math.min(p, q) * points.length + Math.max(p, q);
  const have = new Set<number>();
  const { triangles } = made.mesh;
  triangles.forEach((from, e) => {
    have.add(key(from, triangles[e % 3 === 2 ? e - 2 : e + 1]!));
  });
  const out: number[][] = [];
  for (const face of faces) {
    const corners = face
      .trim()
      .split(/\s+/)
      .map((id) => byId.get(id));
    if (corners.length !== 3 || corners.some((corner) => corner === undefined)) continue;
    corners.forEach((p, i) => {
      const q = corners[(i + 1) % 3]!;
      const edge = key(p!, q);
      if (have.has(edge)) return;
      have.add(edge);
      out.push([p!, q]);
    });
  }
  return out.length > MOST_FORCED ? [] : out;
}
