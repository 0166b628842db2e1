/**
 * Trial-pit logs as CSV, one row a layer: log, x, y, top, bottom, soil, kind, note, strike,
 * standing, perched. Depths in metres below ground; what is of the whole log stands in every row.
 */
import {
  type GroundLog,
  newLog,
  nextName,
  type Plan,
  type Problem,
  type ProblemCode,
  SOIL_KINDS,
  type SoilEntry,
  type SoilKind,
} from '@cimiento/core';
import { columnOf, readTable } from './table.ts';
import { cell } from './takeoff-csv.ts';

const HEAD = [
  'log',
  'x',
  'y',
  'top',
  'bottom',
  'soil',
  'kind',
  'note',
  'strike',
  'standing',
  'perched',
] as const;
type Column = (typeof HEAD)[number];

export function writeLogsCsv(ground: Plan['ground']): string {
  const soil = (id: string) => ground.soils.find((entry) => entry.id === id);
  const rows = ground.logs.flatMap((log) =>
    log.layers.map((layer) => [
      log.name,
      log.at[0],
      log.at[1],
      layer.top,
      log.bottom,
      soil(layer.soil)?.name || layer.soil,
      soil(layer.soil)?.kind ?? '',
      layer.note,
      log.strike,
      log.standing,
      log.perched ? 'yes' : '',
    ]),
  );
  return `${[HEAD, ...rows].map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
}

export type ReadLogs =
  | { readonly ok: true; readonly logs: GroundLog[]; readonly soils: SoilEntry[] }
  | { readonly ok: false; readonly problem: Problem };

/** Names of soils and kinds compare without case, accents or marks. */
const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/[^a-zA-Z0-9]/g, '')
    .toLowerCase();

/**
 * Reads logs. Soils are matched to the job's by name, then by kind; new ones are put where the
 * logs have them, below the soil above them.
 */
export function readLogsCsv(text: string, known: readonly SoilEntry[]): ReadLogs {
  const read = readTable(text, 4);
  if (!read.ok) return read;
  const { rows, head, number, firstLine } = read.table;
  const refuse = (code: ProblemCode, more: Partial<Problem> = {}): ReadLogs => ({
    ok: false,
    problem: { code, path: '', ...more },
  });
  if (!head) return refuse('headMissing', { params: { head: HEAD.join(', ') } });
  const at = Object.fromEntries(HEAD.map((name) => [name, columnOf(head, name)])) as Record<Column, number>;
  const missing = (['log', 'x', 'y', 'top', 'soil'] as const).filter((name) => at[name] < 0);
  if (missing.length > 0) return refuse('columnMissing', { params: { column: missing.join(', ') } });

  const soils: SoilEntry[] = known.map((soil) => ({ ...soil }));
  const logs = new Map<
    string,
    { log: GroundLog; layers: { soil: string; top: number; note: string }[]; bottom: number | null }
  >();
  let above: string | null = null;
  for (const [i, row] of rows.entries()) {
    const line = firstLine + i;
    const said = (column: Column) => (at[column] < 0 ? '' : (row[at[column]] ?? '').trim());
    const figure = (column: Column): number | null | undefined =>
      said(column) === '' ? null : (number(said(column)) ?? undefined);
    for (const column of ['x', 'y', 'top', 'bottom', 'strike', 'standing'] as const)
      if (figure(column) === undefined || (figure(column) === null && ['x', 'y', 'top'].includes(column)))
        return refuse('notANumber', {
          value: said(column).slice(0, 40),
          params: { line, column: at[column] + 1 },
        });
    const name = said('log').slice(0, 80);
    if (name === '' || said('soil') === '') return refuse('cellBlank', { params: { line } });
    let entry = logs.get(name);
    if (!entry) {
      above = null;
      const id = nextName(
        'log-',
        [...logs.values()].map(({ log }) => log.id),
      );
      entry = { log: newLog(id, name, [figure('x')!, figure('y')!], 0), layers: [], bottom: null };
      logs.set(name, entry);
    }
    const kind = SOIL_KINDS.find((k) => plain(k) === plain(said('kind')) || plain(k) === plain(said('soil')));
    const soil = soilNamed(soils, said('soil'), kind, above);
    if (!soil) return refuse('kindUnknown', { value: said('kind') || said('soil'), params: { line } });
    above = soil.id;
    entry.layers.push({ soil: soil.id, top: figure('top')!, note: said('note').slice(0, 200) });
    entry.bottom = figure('bottom') ?? entry.bottom;
    entry.log = {
      ...entry.log,
      strike: figure('strike') ?? entry.log.strike,
      standing: figure('standing') ?? entry.log.standing,
      perched: entry.log.perched || /^(yes|y|si|sí|true|1)$/i.test(said('perched')),
    };
  }
  return {
    ok: true,
    soils,
    logs: [...logs.values()].map(({ log, layers, bottom }) => ({
      ...log,
      layers,
      bottom: bottom ?? Math.max(...layers.map((layer) => layer.top)) + 0.5,
    })),
  };
}

function soilNamed(
  soils: SoilEntry[],
  name: string,
  kind: SoilKind | undefined,
  above: string | null,
): SoilEntry | null {
  const found =
    soils.find((soil) => plain(soil.name || soil.kind) === plain(name) || soil.id === name) ??
    (plain(name) === plain(kind ?? '') ? soils.find((soil) => soil.kind === kind) : undefined);
  if (found) return found;
  if (!kind) return null;
  const made: SoilEntry = {
    id: nextName(
      'soil-',
      soils.map((soil) => soil.id),
    ),
    name: name.slice(0, 80),
    kind,
    values: {},
    hand: null,
  };
  soils.splice(soils.findIndex((soil) => soil.id === above) + 1, 0, made);
  return made;
}
