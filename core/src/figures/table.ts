/**
 * The headline figures: one row a figure, with its workings, the line under it and its parts. Tally,
 * sheets, JSON, CSV and comparisons loop over the table.
 */

import type { Figure, Working } from '../results/index.ts';
import type { Job } from '../takeoff/index.ts';
import { reachingOf, trickles } from '../water/index.ts';
import { EARTH_FIGURES } from './earth.ts';
import {
  addsUp,
  type ComparedRow,
  type FigureRow,
  given,
  input,
  line,
  logged,
  type Made,
  originOf,
  untold,
} from './line.ts';
import { PLACED_FIGURES } from './placed.ts';

const water: FigureRow = {
  kind: 'flow',
  tone: 'water',
  make: (job): Made => {
    const {
      holes,
      inflow,
      water: { from },
    } = job;
    return {
      value: inflow[1],
      // Nobody has looked for water: no flow is known, which is not none.
      known: from !== null,
      sub:
        holes.length > 0 && trickles(inflow)
          ? { key: 'tally.water.trickle', values: {} }
          : holes.length > 0
            ? {
                key: 'tally.water.sub',
                values: { low: [inflow[0], 'flow', 'bare'], high: [inflow[2], 'flow'] },
              }
            : { key: from === null ? 'tally.water.unknown' : 'tally.water.dry', values: {} },
      workings: inflows(job),
    };
  },
};

/** How much every hole lets in, three times: the likely of all of them is the figure. */
function inflows(job: Job): readonly Working[] {
  const { plan, holes } = job;
  const lines = holes.map((hole) => {
    const label = hole.elements.map((i) => plan.elements[i]?.name).join(', ');
    return (['low', 'likely', 'high'] as const).map((which, i) =>
      line(
        `inflow.${which}`,
        hole.method,
        'flow',
        [
          input(
            'permeability',
            hole.k[i]!,
            'permeability',
            hole.kOrigin,
            hole.kOrigin === 'typical' ? 'Freeze & Cherry (1979), Table 2.2' : undefined,
          ),
          input('head', hole.head, 'length', logged(job)),
          input('held', hole.held, 'length'),
          input('radius', hole.radius, 'length'),
          input('reaching', reachingOf(hole.head, hole.held), 'length'),
          ...(hole.method === 'trench'
            ? [input('along', hole.length, 'length'), input('width', hole.width, 'length')]
            : []),
        ],
        { source: 'Dupuit–Thiem; Sichardt', label },
      ),
    );
  });
  return given(
    'waterTotal',
    lines.map(([, likely]) => likely!),
    lines.flat(),
  );
}

/** In the order they are shown. */
export const FIGURES = { ...EARTH_FIGURES, ...PLACED_FIGURES, water } as const satisfies Record<
  string,
  FigureRow
>;

export type FigureId = keyof typeof FIGURES;
export const FIGURE_IDS = Object.keys(FIGURES) as readonly FigureId[];
type RowOf<F> = F extends { readonly compared: readonly (infer R extends ComparedRow)[] } ? R : never;
export type ComparedId = RowOf<(typeof FIGURES)[FigureId]>['id'];
/** What two plans are compared by, in the order it is told. */
export const COMPARED = FIGURE_IDS.flatMap((id) => {
  const { compared = [] }: FigureRow = FIGURES[id];
  return compared as readonly (ComparedRow & { readonly id: ComparedId })[];
});

export type Figures = Readonly<{ [Id in FigureId]: Figure<Id> }>;

/** Every figure of a job. */
export function figuresOf(job: Job): Figures {
  const made = FIGURE_IDS.map((id) => {
    const row: FigureRow = FIGURES[id];
    const { value, known = true, workings, sub, parts = [] } = row.make(job);
    const figure = { id, value, kind: row.kind, known, origin: originOf(workings), sub, parts, workings };
    return [id, addsUp(figure) ? figure : untold(figure)] as const;
  });
  return Object.fromEntries(made) as unknown as Figures;
}
