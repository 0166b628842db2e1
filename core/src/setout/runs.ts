/**
 * Typed runs: "8.4 E, 6 N, 8.4 W" walks an axis. Each run is a length and a heading: N, E, S, W
 * (O for oeste), left or right of the last (L, R; I, D in Spanish), or a bearing such as N30E.
 * "close" or "cerrar" at the end returns to the start.
 */
import { type Lang, parseQuantity, type System } from '../units/index.ts';

export type RunProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'length' | 'heading' | 'firstTurn'; readonly run: string; readonly index: number }
  | { readonly code: 'tooMany' };
export type Runs =
  | { readonly ok: true; readonly points: [number, number][]; readonly closed: boolean }
  | { readonly ok: false; readonly problem: RunProblem };

const COMPASS: Record<string, number> = {
  n: 90,
  e: 0,
  s: 270,
  w: 180,
  o: 180,
  ne: 45,
  nw: 135,
  no: 135,
  se: 315,
  sw: 225,
  so: 225,
  north: 90,
  east: 0,
  south: 270,
  west: 180,
  norte: 90,
  este: 0,
  sur: 270,
  oeste: 180,
};
const TURNS: Record<string, number> = {
  l: 90,
  left: 90,
  i: 90,
  izq: 90,
  r: -90,
  right: -90,
  d: -90,
  der: -90,
};
const MOST_RUNS = 200;

/** Heading in degrees anticlockwise from east, or null. */
function heading(word: string, last: number | null): number | 'needsLast' | null {
  const compass = COMPASS[word];
  if (compass !== undefined) return compass;
  const turn = TURNS[word];
  if (turn !== undefined) return last === null ? 'needsLast' : last + turn;
  const bearing = /^([ns])\s*(\d+(?:[.,]\d+)?)\s*°?\s*([ewo])$/.exec(word);
  if (!bearing) return null;
  const angle = Number(bearing[2]!.replace(',', '.'));
  if (angle > 90) return null;
  const eastward = bearing[3] === 'e' ? 1 : -1;
  return bearing[1] === 'n' ? 90 - eastward * angle : 270 + eastward * angle;
}

/**
 * Walks typed runs from a starting point.
 * @returns the corner points in metres, first one included
 */
export function parseRuns(text: string, start: readonly [number, number], system: System, lang: Lang): Runs {
  // A comma parts runs only after a heading, so "8,4 E, 6 N" keeps its decimal comma.
  const runs = text
    .trim()
    .split(/[;\n]+|(?<=[a-záéíóú°])\s*,\s*|(?<=[a-záéíóú])\s+(?=[\d.])(?<!\d\s*(?:m|mm|cm|ft|in)\s)/i)
    .map((run) => run.trim())
    .filter(Boolean);
  if (runs.length === 0) return { ok: false, problem: { code: 'empty' } };
  if (runs.length > MOST_RUNS) return { ok: false, problem: { code: 'tooMany' } };
  const points: [number, number][] = [[start[0], start[1]]];
  let last: number | null = null;
  let closed = false;
  for (const [index, run] of runs.entries()) {
    if (/^(close|closed|cerrar|cierra)$/i.test(run) && points.length > 2) {
      closed = true;
      break;
    }
    const match = /^(.*?)[\s]*((?:[ns]\s*\d+(?:[.,]\d+)?\s*°?\s*[ewo])|[a-z]+)$/i.exec(run);
    const word = match?.[2]?.toLowerCase() ?? '';
    const to = heading(word, last);
    if (to === null) return { ok: false, problem: { code: 'heading', run, index } };
    if (to === 'needsLast') return { ok: false, problem: { code: 'firstTurn', run, index } };
    const length = parseQuantity(match?.[1] ?? '', 'length', system, lang);
    if (!length.ok || length.value <= 0) return { ok: false, problem: { code: 'length', run, index } };
    const [x, y] = points[points.length - 1]!;
    const angle = (to * Math.PI) / 180;
    const tidy = (v: number) => Math.round(v * 1e9) / 1e9 + 0;
    points.push([tidy(x + length.value * Math.cos(angle)), tidy(y + length.value * Math.sin(angle))]);
    last = to;
  }
  const end = points[points.length - 1]!;
  if (points.length > 3 && Math.hypot(end[0] - start[0], end[1] - start[1]) < 1e-6) {
    points.pop();
    closed = true;
  }
  return { ok: true, points, closed };
}
