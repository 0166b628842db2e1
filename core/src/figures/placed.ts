/** What is placed in the dig, and what is ordered for it. */
import type { Origin, Working } from '../findings/index.ts';
import type { Job } from '../takeoff/index.ts';
import { type FigureRow, input, line, part, sum } from './line.ts';

const orderLine = ({ plan }: Job, neat: number, ordered: number): Working =>
  line('order', 'V′ = ⌈V·(1 + w)/q⌉·q', ordered, 'volume', [
    input('volume', neat, 'volume'),
    input('waste', plan.pour.waste, 'percent', 'typed'),
    input('step', plan.pour.step, 'volume', 'typed'),
  ]);

/** Fill of bottoms dug low, when they are made up with what the figure is of. */
const makeUpLine = ({ plan, placed }: Job, what: Job['plan']['pour']['makeUp']): Working[] =>
  plan.pour.makeUp === what && placed.makeUp > 0
    ? [line('makeUp', '∬ F − E dA', placed.makeUp, 'volume')]
    : [];

function leanWorkings(job: Job): Working[] {
  const { plan, placed, lean } = job;
  const { blinding, irregularity } = plan.pour;
  if (lean.volume <= 0) return [];
  const from: Origin = irregularity === null ? 'typical' : 'typed';
  return [
    ...(blinding
      ? [
          line('blinding', 'V = A·t', placed.blinding, 'volume', [
            input('blindingArea', placed.blindingArea, 'area'),
            input('thickness', blinding.thickness, 'size', 'typed'),
          ]),
          line('irregularity', 'ΔV = A·e', placed.irregularity, 'volume', [
            input('blindingArea', placed.blindingArea, 'area'),
            input('unevenness', placed.irregularityThickness, 'size', from),
          ]),
        ]
      : []),
    ...makeUpLine(job, 'lean'),
    orderLine(job, lean.volume, lean.ordered),
  ];
}

const ordered = (ordered: number, loads: number) =>
  ({
    key: 'tally.order',
    values: { order: [ordered, 'volume'], count: [loads, 'count'] },
  }) as const;

export const PLACED_FIGURES = {
  stone: {
    kind: 'mass',
    tone: 'placed',
    make: ({ plan: { bed }, lifts, stone }) => ({
      value: stone.mass,
      parts: [part('order', 'stone', 'mass', stone.mass, 'mass')],
      sub: lifts
        ? {
            key: 'tally.stone.sub',
            values: {
              n: [lifts.count, 'count'],
              lift: [lifts.thickness, 'size'],
              passes: [lifts.passes[1], 'count'],
            },
          }
        : { key: 'tally.stone.none', values: {} },
      workings:
        bed && lifts
          ? [
              line('lifts', 'n = ⌈T/tmax⌉', lifts.count, 'count', [
                input('bed', bed.thickness, 'size', 'typed'),
                input(
                  'liftLimit',
                  lifts.limit,
                  'size',
                  lifts.limitBy === 'specification' ? 'typed' : 'typical',
                ),
                input('lift', lifts.thickness, 'size'),
                input('liftLoose', lifts.loose, 'size'),
                input('passes', lifts.passes[1], 'count', 'typical'),
              ]),
              line('stoneVolume', 'V = ∬ min(G, F + T) − E dA', stone.volume, 'volume'),
              line('stoneMass', 'M = V·ρ', stone.mass, 'mass', [
                input('stoneVolume', stone.volume, 'volume'),
                input('density', bed.density, 'density', 'typed'),
              ]),
              line('stoneLoose', 'Vl = V·f', stone.loose, 'volume', [
                input('looseFactor', bed.looseFactor, 'number', 'typed'),
              ]),
            ]
          : [],
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
        orderLine(job, job.concrete.neat, job.concrete.ordered),
        line('trucks', 'N = ⌈V′/Vt⌉', job.concrete.loads, 'count', [
          input('truck', job.plan.pour.truck, 'volume', 'typed'),
        ]),
      ],
    }),
  },
} as const satisfies Record<string, FigureRow>;
