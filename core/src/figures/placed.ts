/** What is placed in the dig, and what is ordered for it. */
import type { Lifts } from '../base/index.ts';
import type { FigurePart, Origin, SubLine, Working } from '../findings/index.ts';
import { layerValues } from '../plan/beds.ts';
import type { Bed, BedLayer } from '../plan/schema.ts';
import type { Job } from '../takeoff/index.ts';
import type { Kind } from '../units/index.ts';
import { type FigureRow, input, line, part, sum } from './line.ts';

const orderLine = ({ plan }: Job, neat: number, ordered: number, label?: string): Working =>
  line(
    'order',
    'V′ = ⌈V·(1 + w)/q⌉·q',
    ordered,
    'volume',
    [
      input('volume', neat, 'volume'),
      input('waste', plan.pour.waste, 'percent', 'typed'),
      input('step', plan.pour.step, 'volume', 'typed'),
    ],
    label === undefined ? {} : { label },
  );

/** What is ordered of concrete, pour by pour: each is rounded up by itself, and so are its trucks. */
function pourLines(job: Job): Working[] {
  const { plan, pours } = job;
  const named = (ids: readonly string[]) => {
    const names = plan.elements.flatMap(({ id, name }) => (ids.includes(id) ? [name] : []));
    return names.length > 3 ? `${names.slice(0, 3).join(', ')} …` : names.join(', ');
  };
  return pours.flatMap(({ name, elements, neat, ordered, loads }) => {
    const label = pours.length > 1 ? (name ?? named(elements)) : undefined;
    return [
      orderLine(job, neat, ordered, label),
      line(
        'trucks',
        'N = ⌈V′/Vt⌉',
        loads,
        'count',
        [input('ordered', ordered, 'volume'), input('truck', plan.pour.truck, 'volume', 'typed')],
        label === undefined ? {} : { label },
      ),
    ];
  });
}

/** Fill of bottoms dug low, when they are made up with what the figure is of. */
const makeUpLine = ({ plan, placed }: Job, what: Job['plan']['pour']['makeUp']): Working[] =>
  plan.pour.makeUp === what && placed.makeUp > 0
    ? [line('makeUp', '∬ F − E dA', placed.makeUp, 'volume')]
    : [];

/** What goes back where soft spots were taken out, of what is cast or of what is compacted. */
const putBackLines = ({ soft }: Job, cast: boolean): Working[] =>
  soft
    .filter((spot) => spot.cast === cast && spot.volume > 0)
    .map(({ spot, area, volume }) =>
      line(
        'putBack',
        'V = A·t',
        volume,
        'volume',
        [input('spotArea', area, 'area'), input('thickness', spot.depth, 'size', 'typed')],
        { label: spot.name },
      ),
    );

/** What a layer is called in a working: its bed and what it is ordered as. */
const labelOf = ({ name, layers }: Bed, layer: BedLayer) =>
  `${name} · ${layer.name || layers.indexOf(layer) + 1}`;
const given = (value: number | null): Origin => (value === null ? 'typical' : 'typed');

/** Layers that are there, of one sort. */
const laidOf = ({ beds }: Job, cast: boolean) =>
  beds.flatMap(({ bed, layers }) =>
    layers
      .filter(({ layer, volume }) => volume > 0 && layerValues(layer).cast === cast)
      .map((laid) => ({ ...laid, label: labelOf(bed, laid.layer) })),
  );

function leanWorkings(job: Job): Working[] {
  const { plan, lean } = job;
  if (lean.volume <= 0) return [];
  return [
    ...laidOf(job, true).flatMap(({ layer, volume, area, unevenness, label }) => [
      line(
        'blinding',
        'V = A·t',
        volume,
        'volume',
        [input('blindingArea', area, 'area'), input('thickness', layer.thickness, 'size', 'typed')],
        { label },
      ),
      line(
        'irregularity',
        'ΔV = A·e',
        area * unevenness,
        'volume',
        [
          input('blindingArea', area, 'area'),
          input('unevenness', unevenness, 'size', given(plan.pour.irregularity)),
        ],
        { label },
      ),
    ]),
    ...makeUpLine(job, 'lean'),
    ...putBackLines(job, true),
    orderLine(job, lean.volume, lean.ordered),
  ];
}

function stoneWorkings(job: Job): Working[] {
  const drains = sum(job.placed.ownStone);
  return [
    ...laidOf(job, false).flatMap(({ layer, volume, mass, loose, lifts, label }) => [
      ...(lifts
        ? [
            line(
              'lifts',
              'n = ⌈T/tmax⌉',
              lifts.count,
              'count',
              [
                input('bed', layer.thickness, 'size', 'typed'),
                input('liftLimit', lifts.limit, 'size', LIMIT_FROM[lifts.limitBy]),
                input('lift', lifts.thickness, 'size'),
                input('liftLoose', lifts.loose, 'size'),
                input('passes', lifts.passes[1], 'count', 'typical'),
              ],
              { label },
            ),
          ]
        : []),
      line('stoneVolume', 'V = ∬ min(G, F + T) − E dA', volume, 'volume', [], { label }),
      line(
        'stoneMass',
        'M = V·ρ',
        mass,
        'mass',
        [
          input('stoneVolume', volume, 'volume'),
          input('density', layerValues(layer).density, 'density', given(layer.density)),
        ],
        { label },
      ),
      line(
        'stoneLoose',
        'Vl = V·f',
        loose,
        'volume',
        [input('looseFactor', layerValues(layer).looseFactor, 'number', given(layer.looseFactor))],
        { label },
      ),
    ]),
    ...(drains > 0 ? [line('drainStone', 'V = ∬ min(G, F + T) − E dA − π/4·d²·L', drains, 'volume')] : []),
    ...makeUpLine(job, 'stone'),
    ...putBackLines(job, false),
  ];
}

const LIMIT_FROM: Record<Lifts['limitBy'], Origin> = {
  specification: 'typed',
  compactor: 'typical',
  trial: 'measured',
};

/** Of one compacted layer its lifts; of several how many; else what there is. */
function stoneSub(job: Job): SubLine {
  const layers = laidOf(job, false);
  const lifts = layers[0]?.lifts;
  if (layers.length > 1) return { key: 'tally.stone.several', values: { count: [layers.length, 'count'] } };
  if (lifts)
    return {
      key: 'tally.stone.sub',
      values: {
        n: [lifts.count, 'count'],
        lift: [lifts.thickness, 'size'],
        passes: [lifts.passes[1], 'count'],
      },
    };
  return { key: job.stone.volume > 0 ? 'tally.stone.laid' : 'tally.stone.none', values: {} };
}

/** Layer by layer, for tables and files. */
const layerParts = ({ beds }: Job): FigurePart[] =>
  beds.flatMap(({ bed, layers, cloth }) => [
    ...layers.flatMap(({ layer, volume, mass, loose, area }) => {
      const row = (quantity: string, value: number, kind: Kind) =>
        part('bed', `${bed.id}/${layer.id}`, quantity, value, kind, labelOf(bed, layer));
      return [
        row('area', area, 'area'),
        row('compacted', volume, 'volume'),
        row('loose', loose, 'volume'),
        row('mass', mass, 'mass'),
      ];
    }),
    ...(cloth > 0 ? [part('bed', bed.id, 'cloth', cloth, 'area', bed.name)] : []),
  ]);

/** Soft spots one by one: what comes out and what goes back. */
const spotParts = ({ soft }: Job): FigurePart[] =>
  soft.flatMap(({ spot: { id, name }, area, volume, loose, mass }) => [
    part('softSpot', id, 'area', area, 'area', name),
    part('softSpot', id, 'compacted', volume, 'volume', name),
    part('softSpot', id, 'loose', loose, 'volume', name),
    part('softSpot', id, 'mass', mass, 'mass', name),
  ]);

const ordered = (ordered: number, loads: number) =>
  ({
    key: 'tally.order',
    values: { order: [ordered, 'volume'], count: [loads, 'count'] },
  }) as const;

export const PLACED_FIGURES = {
  stone: {
    kind: 'mass',
    tone: 'placed',
    make: (job) => ({
      value: job.stone.mass,
      parts: [part('order', 'stone', 'mass', job.stone.mass, 'mass'), ...layerParts(job), ...spotParts(job)],
      sub: stoneSub(job),
      workings: stoneWorkings(job),
    }),
  },
  lean: {
    kind: 'volume',
    tone: 'placed',
    make: (job) => ({
      value: job.lean.volume,
      parts: [part('order', 'lean concrete', 'order', job.lean.ordered, 'volume')],
      sub:
        job.lean.volume > 0
          ? ordered(job.lean.ordered, job.lean.loads)
          : { key: 'tally.lean.none', values: {} },
      workings: leanWorkings(job),
    }),
  },
  concrete: {
    kind: 'volume',
    tone: 'placed',
    make: (job) => ({
      value: job.concrete.neat,
      parts: [part('order', 'concrete', 'order', job.concrete.ordered, 'volume')],
      sub: ordered(job.concrete.ordered, job.concrete.loads),
      workings: [
        line('footings', 'V = ∪ (B·L·t)', sum(job.placed.concrete), 'volume'),
        ...makeUpLine(job, 'concrete'),
        ...pourLines(job),
      ],
    }),
  },
} as const satisfies Record<string, FigureRow>;
