/**
 * Surfaces from LandXML 1.x: the points of the first TIN, its breaklines, and its faces where they
 * differ from a Delaunay triangulation (as breaklines, so that the surface is the file's own).
 *
 * Document types are refused before parsing, so no entity can expand. Not covered: contours,
 * boundaries and holes; faces marked invisible are left out.
 */
import { flatPlan, type Problem, type ProblemCode, triangulate } from '@cimiento/core';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { SURVEY_UNITS, type SurveyPoint } from './survey.ts';
import type { ReadSurvey } from './survey-csv.ts';
import { LONGEST_TABLE, MOST_ROWS } from './table.ts';

const numbers = (text: string): number[] => {
  const words = text.trim();
  const out = words.split(/\s+/).map(Number);
  return words === '' || !out.every(Number.isFinite) ? [] : out;
};

/** More faces than this that are not Delaunay's are left to Delaunay. */
const MOST_FORCED = 4000;

/** m in a unit as LandXML names it; null for one nobody knows. */
function metresPer(name: string): number | null {
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

/** Why a file is not read on; thrown to leave the parser at once. */
class Refused extends Error {
  readonly problem: Pick<Problem, 'code' | 'max' | 'params'>;
  constructor(problem: Refused['problem']) {
    super(problem.code);
    this.problem = problem;
  }
}

interface Point {
  readonly id: string;
  readonly text: string;
}

/** What a file says of its first surface with points, still as text. */
interface Written {
  root: string | null;
  unit: string;
  points: Point[];
  faces: string[];
  breaklines: string[];
}

/** What the text inside an element is collected for. */
type Collected = 'point' | 'face' | 'breakline' | null;

/** The path of elements down to the one that is open, as LandXML nests them; prefixes left out. */
const UNITS = 'LandXML/Units/';
const SURFACE = 'LandXML/Surfaces/Surface';
const COLLECTED: Readonly<Record<string, Collected>> = {
  [`${SURFACE}/Definition/Pnts/P`]: 'point',
  [`${SURFACE}/Definition/Faces/F`]: 'face',
  [`${SURFACE}/SourceData/Breaklines/Breakline/PntList3D`]: 'breakline',
};

/**
 * Reads the file as it comes, once: nothing is kept of what is not asked for. What is malformed, nested or
 * attributed without end ends it where it is met.
 * @throws {Refused}
 */
function written(xml: string): Written {
  const out: Written = { root: null, unit: '', points: [], faces: [], breaklines: [] };
  const parser = new SaxesParser({ xmlns: false, position: true });
  /** Of every element that is open, the outermost first. */
  const path: string[] = [];
  let last: { up: string | null; name: string; path: string } = { up: null, name: '', path: '' };
  let attributes = 0;
  let collecting: Collected = null;
  let text = '';
  let own: { id: string; invisible: boolean } = { id: '', invisible: false };
  // The first surface that has points is the one; a surface without any is as if it were not there.
  let settled = false;

  parser.on('doctype', () => {
    throw new Refused({ code: 'fileHostile' });
  });
  parser.on('opentagstart', () => {
    attributes = 0;
    if (path.length >= DEEPEST) throw new Refused({ code: 'fileDeep' });
  });
  parser.on('attribute', () => {
    if (++attributes > MOST_ATTRIBUTES) throw new Refused({ code: 'fileWide' });
  });
  parser.on('opentag', (tag: SaxesTagPlain) => {
    const up = path.at(-1) ?? null;
    const name = local(tag.name);
    // A hundred thousand points stand in one place: it is written out once.
    if (up !== last.up || name !== last.name) last = { up, name, path: up === null ? name : `${up}/${name}` };
    const here = last.path;
    path.push(here);
    out.root ??= here;
    if (here.startsWith(UNITS)) out.unit ||= (tag.attributes.linearUnit ?? '').toLowerCase();
    if (here === SURFACE && !settled) [out.faces, out.breaklines] = [[], []];
    collecting = settled ? null : (COLLECTED[here] ?? null);
    text = '';
    if (collecting) own = { id: tag.attributes.id ?? '', invisible: tag.attributes.i === '1' };
    if (collecting === 'point' && out.points.length >= MOST_ROWS)
      throw new Refused({ code: 'rowsMany', max: MOST_ROWS });
  });
  const collect = (more: string) => {
    if (collecting) text += more;
  };
  parser.on('text', collect);
  parser.on('cdata', collect);
  parser.on('closetag', () => {
    if (collecting === 'point') out.points.push({ id: own.id || String(out.points.length + 1), text });
    else if (collecting === 'face' && !own.invisible) out.faces.push(text);
    else if (collecting === 'breakline') out.breaklines.push(text);
    collecting = null;
    if (path.pop() === SURFACE && out.points.length > 0) settled = true;
  });
  try {
    parser.write(xml).close();
  } catch (error) {
    // What the parser itself throws says that the file is no XML.
    if (error instanceof Refused) throw error;
    throw new Refused({ code: 'fileBroken', params: { line: parser.line } });
  }
  return out;
}

/** The name of an element without its prefix. */
const local = (name: string): string => name.slice(name.indexOf(':') + 1);

/** Reads the first TIN of a LandXML file. */
export function readLandXml(text: string): ReadSurvey {
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadSurvey => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  if (text.length > LONGEST_TABLE) return refuse('fileLong', { value: text.length, max: LONGEST_TABLE });
  let read: Written;
  try {
    read = written(text);
  } catch (error) {
    if (error instanceof Refused) return refuse(error.problem.code, error.problem);
    throw error;
  }
  if (read.root !== 'LandXML') return refuse('notLandXml');
  const factor = metresPer(read.unit);
  if (factor === null) return refuse('unitUnknown');
  if (read.points.length === 0) return refuse('noSurface');

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
  for (const [i, { id, text }] of read.points.entries()) {
    const [north, east, level] = numbers(text);
    if (north === undefined || east === undefined || level === undefined)
      return refuse('pointBroken', { params: { at: i + 1 } });
    const before = points.length;
    const at = place(north, east, level);
    if (points.length === before) return refuse('duplicateSpot', { params: { at: i + 1, other: at + 1 } });
    byId.set(id, at);
  }
  if (points.length < 3) return refuse('noSurface');

  const breaklines: number[][] = [];
  for (const line of read.breaklines) {
    const values = numbers(line);
    const run: number[] = [];
    for (let i = 0; i + 2 < values.length; i += 3) {
      const at = place(values[i]!, values[i + 1]!, values[i + 2]!);
      if (run[run.length - 1] !== at) run.push(at);
    }
    if (run.length > 1) breaklines.push(run);
  }
  for (const edge of foreignEdges(points, read.faces, byId)) breaklines.push(edge);
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
