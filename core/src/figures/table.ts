/**
 * The headline figures: one row a figure, with its workings, the line under it and its parts. Tally,
 * sheets, JSON, CSV and comparisons loop over the table.
 */
import { type Figure, weakest } from '../findings/index.ts';
import { isAssumed } from '../plan/assumed.ts';
import type { Job } from '../takeoff/index.ts';
import { EARTH_FIGURES } from './earth.ts';
import { type FigureRow, input, line, type Made } from './line.ts';
import { PLACED_FIGURES } from './placed.ts';

const water: FigureRow = {
  kind: 'flow',
  tone: 'water',
  make: ({ plan, holes, inflow, water: { from } }): Made => ({
    value: inflow[1],
    // Nobody has looked for water: no flow is known, which is not none.
    known: from !== null,
    also: isAssumed(plan, '/ground/logs/0') ? ['assumed'] : [],
    sub:
      holes.length > 0
        ? {
            key: 'tally.water.sub',
            values: { low: [inflow[0], 'flow', 'bare'], high: [inflow[2], 'flow'] },
          }
        : { key: from === null ? 'tally.water.unknown' : 'tally.water.dry', values: {} },
    workings: holes.flatMap((hole) => {
      const formula =
        hole.method === 'pit' ? 'Q = πk(H² − h²)/ln(R/re)' : 'Q = πk(H² − h²)/ln(R/rw) + kx(H² − h²)/L0';
      return (['low', 'likely', 'high'] as const).map((which, i) =>
        line(
          `inflow.${which}`,
          formula,
          hole.inflow[i]!,
          'flow',
          [
            input(
              'permeability',
              hole.k[i]!,
              'permeability',
              hole.kOrigin,
              hole.kOrigin === 'typical' ? 'Freeze & Cherry (1979), Table 2.2' : undefined,
            ),
            input('head', hole.head, 'length'),
            input('held', hole.held, 'length'),
            input('radius', hole.radius, 'length'),
          ],
          {
            source: 'Dupuit–Thiem; Sichardt',
            label: hole.elements.map((i) => plan.elements[i]?.name).join(', '),
          },
        ),
      );
    }),
  }),
};

/** In the order they are shown. */
export const FIGURES = { ...EARTH_FIGURES, ...PLACED_FIGURES, water } as const satisfies Record<
  string,
  FigureRow
>;

export type FigureId = keyof typeof FIGURES;
export const FIGURE_IDS = Object.keys(FIGURES) as readonly FigureId[];
export type Figures = Readonly<{ [Id in FigureId]: Figure<Id> }>;

/** Every figure of a job. */
export function figuresOf(job: Job): Figures {
  const made = FIGURE_IDS.map((id) => {
    const row: FigureRow = FIGURES[id];
    const { value, known = true, workings, sub, parts = [], also = [] } = row.make(job);
    const origin = weakest([
      ...also,
      ...workings.flatMap((working) => working.inputs.map((entry) => entry.origin)),
    ]);
    return [id, { id, value, kind: row.kind, known, origin, sub, parts, workings }] as const;
  });
  return Object.fromEntries(made) as unknown as Figures;
}
