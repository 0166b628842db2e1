/**
 * Loops of taped sides brought to close: walked corner after corner in the planned directions by
 * the taped lengths, what they fail to close by shared out by length (Bowditch, the compass rule).
 */
import type { RecordValue } from '../log/index.ts';
import type { CheckLine, SetoutPoint } from './corners.ts';
import { loopsOf } from './loops.ts';
import { bowditch, trueLength } from './points.ts';

export interface ShareOut {
  /** Corners in the order they are walked; the first is held. */
  readonly corners: readonly {
    readonly name: string;
    /** From where the walk puts the peg to where sharing out puts it, m. */
    readonly east: number;
    readonly north: number;
  }[];
  /** What the loop fails to close by, and its parts to east and north, m. */
  readonly misclosure: number;
  readonly east: number;
  readonly north: number;
  /** Length walked, m. */
  readonly length: number;
}

interface Side {
  readonly from: SetoutPoint;
  readonly to: SetoutPoint;
  readonly taped: number;
}

/** A corner lies on a side when it is no farther from it than this, m. */
const ON_SIDE = 1e-3;
/** The side between two corners, whichever way it was taped. */
const sideOf = (sides: readonly Side[], p: SetoutPoint, q: SetoutPoint): Side | undefined =>
  sides.find((s) => (s.from === p && s.to === q) || (s.from === q && s.to === p));

const between = ({ from, to }: Side, p: SetoutPoint): boolean => {
  if (p === from || p === to) return false;
  const [dx, dy] = [to.at[0] - from.at[0], to.at[1] - from.at[1]];
  const length = Math.hypot(dx, dy);
  const along = ((p.at[0] - from.at[0]) * dx + (p.at[1] - from.at[1]) * dy) / length;
  const off = Math.abs((p.at[0] - from.at[0]) * dy - (p.at[1] - from.at[1]) * dx) / length;
  return off < ON_SIDE && along > ON_SIDE && along < length - ON_SIDE;
};

/**
 * Every loop whose sides were all taped.
 * @param lines what is worth taping, of the same plan
 */
export function shareOuts(
  lines: readonly CheckLine[],
  measured: readonly RecordValue<'taped'>[],
  temperature: number | null,
): ShareOut[] {
  const taped = lines.flatMap((line): Side[] => {
    if (line.kind !== 'side' || line.from.kind !== 'corner' || line.to.kind !== 'corner') return [];
    const entry = measured.find(
      (m) =>
        (m.from === line.from.name && m.to === line.to.name) ||
        (m.from === line.to.name && m.to === line.from.name),
    );
    return entry ? [{ from: line.from, to: line.to, taped: trueLength(entry.distance, temperature) }] : [];
  });
  const corners = [...new Set(taped.flatMap((side) => [side.from, side.to]))];
  // A side taped whole and in pieces counts once, in pieces.
  const sides = taped.filter((side) => {
    const on = corners.filter((corner) => between(side, corner));
    const along = (p: SetoutPoint) => Math.hypot(p.at[0] - side.from.at[0], p.at[1] - side.from.at[1]);
    const chain = [side.from, ...on.sort((p, q) => along(p) - along(q)), side.to];
    return on.length === 0 || !chain.slice(1).every((q, i) => sideOf(taped, chain[i]!, q));
  });
  return loopsOf(sides).map((loop): ShareOut => {
    const legs = loop.map((p, i): [number, number] => {
      const q = loop[(i + 1) % loop.length]!;
      const side = sideOf(sides, p, q)!;
      const [dx, dy] = [q.at[0] - p.at[0], q.at[1] - p.at[1]];
      const planned = Math.hypot(dx, dy);
      return [(dx / planned) * side.taped, (dy / planned) * side.taped];
    });
    const walk = bowditch(loop[0]!.at, legs);
    let [x, y] = loop[0]!.at;
    return {
      corners: loop.map((corner, i) => {
        const [px, py] = walk.points[i]!;
        const shift = { name: corner.name, east: px - x, north: py - y };
        x += legs[i]![0];
        y += legs[i]![1];
        return shift;
      }),
      misclosure: walk.misclosure,
      east: walk.east,
      north: walk.north,
      length: legs.reduce((sum, leg) => sum + Math.hypot(leg[0], leg[1]), 0),
    };
  });
}
