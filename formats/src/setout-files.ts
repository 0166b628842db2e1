/** Set-out as GeoJSON and as a table of points. */
import type { Drawn, SetoutSheet } from '@cimiento/core';
import { csvFormat } from 'd3-dsv';

const round = (value: number) => Math.round(value * 1e4) / 1e4;

/**
 * Features in the job's own metres, east and north of its origin. GeoJSON proper wants degrees
 * (RFC 7946, section 4): the file says what its numbers are, as a foreign member.
 */
export function writeGeoJson(drawn: readonly Drawn[], origin: readonly [number, number]): string {
  const at = ([x, y]: readonly [number, number]) => [round(x + origin[0]), round(y + origin[1])];
  return `${JSON.stringify(
    {
      type: 'FeatureCollection',
      coordinates: 'metres east and north, job grid',
      features: drawn.map(({ layer, name, points, closed, level }) => {
        const line = points.map(at);
        return {
          type: 'Feature',
          properties: { layer, name, level: level === null ? null : round(level) },
          geometry:
            line.length === 1
              ? { type: 'Point', coordinates: line[0] }
              : closed
                ? { type: 'Polygon', coordinates: [[...line, line[0]]] }
                : { type: 'LineString', coordinates: line },
        };
      }),
    },
    null,
    1,
  )}\n`;
}

/** Corners and boards with their nails, m: one row a point, for a total station or a spreadsheet. */
export function writeSetoutCsv(sheet: SetoutSheet, origin: readonly [number, number]): string {
  const row = (
    name: string,
    what: string,
    [x, y]: readonly [number, number],
    level: number | null,
  ): Record<string, string | number> => ({
    name,
    what,
    east: round(x + origin[0]),
    north: round(y + origin[1]),
    level: level === null ? '' : round(level),
  });
  const rows = [
    ...sheet.points.map((point) => row(point.name, point.kind, point.at, null)),
    ...sheet.boards.lines.flatMap((line) =>
      line.boards.flatMap((board) => {
        const half = Math.hypot(board.to[0] - board.from[0], board.to[1] - board.from[1]) / 2;
        const [ux, uy] = [(board.from[0] - board.at[0]) / half, (board.from[1] - board.at[1]) / half];
        return board.nails.map((nail) =>
          row(
            `${line.name}/${board.name}`,
            nail.what,
            [board.at[0] + ux * nail.offset, board.at[1] + uy * nail.offset],
            line.level,
          ),
        );
      }),
    ),
  ];
  return `${csvFormat(rows, ['name', 'what', 'east', 'north', 'level'])}\n`;
}
