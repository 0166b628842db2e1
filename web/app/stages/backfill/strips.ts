/** What is taken off beside the holes, as edits of the plan. */
import { type Island, nextName, type StripKind, startOf } from '@cimiento/core';
import type { Draft } from '../../state/store.ts';

type Place = readonly [number, number];
/** To a tenth of a millimetre: coarser, slivers would be left standing beside what is taken out. */
const round = (value: number) => Math.round(value * 10_000) / 10_000;

/** First letter a kind is called by. */
const LETTER: Readonly<Record<StripKind, string>> = { topsoil: 'S', reduce: 'L', island: 'I' };

function add(
  draft: Draft,
  kind: StripKind,
  points: readonly Place[],
  more: { thickness?: number; level?: number },
): string {
  const { strips } = draft.site;
  const id = nextName(
    'strip-',
    strips.map((own) => own.id),
  );
  strips.push({
    id,
    name: nextName(
      LETTER[kind],
      strips.map((own) => own.name),
    ),
    kind,
    points: points.map(([x, y]) => [round(x), round(y)]),
    thickness: more.thickness ?? null,
    level: more.level ?? null,
    area: null,
  });
  return id;
}

/** Where topsoil is stripped first: over the plot where there is one, else about what is drawn. */
export const stripOutline = (plot: readonly Place[], about: readonly Place[]): readonly Place[] =>
  plot.length > 2 && plot.length <= 60 ? plot : rectangleAbout(about, 3);

/** @param thick as it lies there at the thinnest, m; null: no topsoil is known there */
export function addTopsoil(draft: Draft, outline: readonly Place[], thick: number | null): string {
  const start = startOf('/site/strips/*/thickness', draft.system);
  return add(draft, 'topsoil', outline, {
    thickness: thick === null ? start : Math.max(0.02, Math.floor(thick * 100) / 100),
  });
}

/** Down to a level over a rectangle about what is drawn. */
export const addReduced = (draft: Draft, about: readonly Place[], level: number): string =>
  add(draft, 'reduce', rectangleAbout(about, 0), { level: Math.round(level * 100) / 100 });

/** What cannot stand, taken out with the rest. */
export function addIslands(draft: Draft, islands: readonly Pick<Island, 'plan' | 'level'>[]): void {
  for (const { plan, level } of islands)
    add(
      draft,
      'island',
      Array.from({ length: plan.length / 2 }, (_, i) => [plan[2 * i]!, plan[2 * i + 1]!] as const),
      { level },
    );
}

export const addPit = (draft: Draft, outline: readonly Place[], level: number): string =>
  add(draft, 'island', outline.slice(0, 60), { level });

function rectangleAbout(places: readonly Place[], by: number): Place[] {
  const xs = places.length > 0 ? places.map(([x]) => x) : [0, 6];
  const ys = places.length > 0 ? places.map(([, y]) => y) : [0, 6];
  const [x0, x1, y0, y1] = [
    Math.min(...xs) - by,
    Math.max(...xs) + by,
    Math.min(...ys) - by,
    Math.max(...ys) + by,
  ];
  return [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ];
}
