/** What is placed in the dig, and what is ordered for it. */
import type { Lifts } from '../base/index.ts';
import { layerValues } from '../plan/beds.ts';
import { newLayer } from '../plan/blank.ts';
import { startOf } from '../plan/fields.ts';
import { elementName } from '../plan/names.ts';
import type { Bed, BedLayer, Plan } from '../plan/schema.ts';
import { type Cast, POUR_KINDS, pourKindOf } from '../pour/index.ts';
import {
  type FigurePart,
  type Origin,
  type SubLine,
  type Unpublished,
  type Working,
  type WorkingInput,
  weakest,
} from '../results/index.ts';
import type { Job } from '../takeoff/index.ts';
import type { Kind } from '../units/index.ts';
import {
  beside,
  type FigureRow,
  given,
  input,
  line,
  of,
  part,
  read,
  saidIn,
  spread,
  startedOr,
  sum,
} from './line.ts';

const orderLine = (
  { plan }: Job,
  neat: number,
  { label, stays = 0, mixed = false }: OrderOf = {},
): Working => {
  const rule = mixed ? 'orderMixed' : stays > 0 ? 'orderStays' : 'order';
  return line(
    rule,
    rule,
    'volume',
    [
      input('volume', neat, 'volume'),
      ...(stays > 0 || mixed ? [input('stays', stays, 'volume', 'typed')] : []),
      input('waste', plan.pour.waste, 'percent', saidIn(plan, '/pour/waste'), 'practice'),
      ...(mixed
        ? []
        : [
            input(
              'step',
              plan.pour.step,
              'volume',
              startedOr(plan.pour.step, startOf('/pour/step', plan.system)),
            ),
          ]),
    ],
    { label },
  );
};
interface OrderOf {
  readonly label?: string | undefined;
  /** m³ that do not come out where they are wanted. */
  readonly stays?: number;
  /** On site: by no plant's step. */
  readonly mixed?: boolean;
}

/** What is ordered of concrete, pour by pour: each is rounded up by itself, and so are its trucks. */
function pourLines(job: Job): Working[] {
  const { plan, pours } = job;
  const named = (ids: readonly string[], [first]: readonly Cast[]) => {
    const names = plan.elements.flatMap(({ id, name }) => (ids.includes(id) ? [name] : []));
    const all = names.length > 3 ? `${names.slice(0, 3).join(', ')} …` : names.join(', ');
    // Passes and rises of the same things are told apart by their number.
    const stage = first && first.key !== first.element ? first.key.slice(first.element.length + 1) : '';
    return stage ? `${all} (${stage.replace('.', ' ')})` : all;
  };
  const lines = pours
    .filter(({ neat }) => neat > 0)
    .map(({ name, elements, casts, neat, stays, mixed }) => {
      const label = pours.length > 1 ? (name ?? named(elements, casts)) : undefined;
      const order = orderLine(job, neat, { label, stays, mixed });
      return {
        order,
        // What is mixed on site comes in no truck.
        trucks: mixed
          ? null
          : line(
              'trucks',
              'trucks',
              'count',
              [
                input('ordered', order.value, 'volume'),
                input('truck', plan.pour.truck, 'volume', saidIn(plan, '/pour/truck')),
              ],
              { label },
            ),
      };
    });
  const each = lines.flatMap(({ order, trucks }) => (trucks ? [order, trucks] : [order]));
  if (lines.length < 2) return each;
  return [
    ...each,
    line(
      'ordered',
      'sum',
      'volume',
      lines.map(({ order }) => of(order)),
    ),
    line(
      'allTrucks',
      'sum',
      'count',
      lines.flatMap(({ trucks }) => (trucks ? [of(trucks)] : [])),
    ),
  ];
}

/** What is cast, by what it is; of what is partly hollow no thickness is told. */
const castLines = ({ plan, placed }: Job): Working[] =>
  POUR_KINDS.flatMap((kind) => {
    const cast = placed.elements.flatMap(({ casts, concreteArea }, i) => {
      const own = casts.filter(({ stage }) => pourKindOf(plan.elements[i]!, stage) === kind);
      const flat = own.every(({ stage }) => stage === 'first' || stage === 'pass');
      return own.length > 0
        ? [{ volume: sum(own.map((one) => one.volume)), area: flat ? concreteArea : null }]
        : [];
    });
    if (cast.length === 0) return [];
    const volume = sum(cast.map((one) => one.volume));
    const areas = cast.flatMap(({ area }) => area ?? []);
    const told = areas.length < cast.length ? [] : spread(sum(areas), volume);
    return [read(`cast.${kind}`, 'V = ∪ (A·t)', volume, 'volume', told)];
  });

/** What is left out of it for each service that runs through. */
const leftOutLines = ({ plan, crossings }: Job): Working[] =>
  plan.ground.hazards.flatMap(({ id, name }) => {
    const own = crossings.filter(({ hazard }) => hazard === id);
    const volume = sum(own.flatMap(({ shares }) => shares.map((one) => one.volume)));
    return volume > 0 ? [read('leftOut', 'V = A·l', -volume, 'volume', [], { label: name })] : [];
  });

/** Fill of bottoms dug low, when they are made up with what the figure is of. */
const makeUpLine = ({ plan, placed }: Job, what: Job['plan']['pour']['makeUp']): Working[] =>
  plan.pour.makeUp === what && placed.makeUp > 0
    ? [read('makeUp', '∬ F − E dA', placed.makeUp, 'volume')]
    : [];

/** What goes back where soft spots were taken out, of what is cast or of what is compacted. */
const putBackLines = (
  { plan, soft }: Job,
  cast: boolean,
): { readonly line: Working; readonly density: number }[] =>
  soft
    .filter((spot) => spot.cast === cast && spot.cement === null && spot.volume > 0)
    .map(({ spot, area, volume, layer }) => ({
      // Within the outline, under whatever lies over it, where two overlap the deeper once.
      line: read(
        'putBack',
        'V = ∬ t dA',
        volume,
        'volume',
        [
          input('spotArea', area, 'area'),
          input(
            'thickness',
            spot.depth,
            'size',
            startedOr(spot.depth, startOf('/ground/softSpots/*/depth', plan.system)),
          ),
        ],
        { label: spot.name },
      ),
      density: layerValues(layer).density,
    }));

/** What a layer is called in a working: its bed and what it is ordered as. */
const labelOf = ({ name, layers }: Bed, layer: BedLayer) =>
  `${name} · ${layer.name || layers.indexOf(layer) + 1}`;
/** What a new layer of its material is laid at, m. */
const usual = ({ system }: Plan, { material }: BedLayer): number => newLayer(material, [], system).thickness;
const typedOr = (value: number | null): Origin => (value === null ? 'typical' : 'typed');

/** Layers that are there, of one sort. */
const laidOf = ({ beds }: Job, cast: boolean) =>
  beds.flatMap(({ bed, layers }) =>
    layers
      .filter(({ layer, volume }) => volume > 0 && layerValues(layer).cast === cast)
      .map((laid) => ({ ...laid, label: labelOf(bed, laid.layer) })),
  );

function leanWorkings(job: Job): readonly Working[] {
  const { plan, lean } = job;
  if (lean.volume <= 0) return [];
  const laid = laidOf(job, true).flatMap(({ layer, area, unevenness, label }) => [
    line(
      'blinding',
      'area',
      'volume',
      [
        input('blindingArea', area, 'area'),
        input('thickness', layer.thickness, 'size', startedOr(layer.thickness, usual(plan, layer))),
      ],
      { label },
    ),
    line(
      'irregularity',
      'area',
      'volume',
      [
        input('blindingArea', area, 'area'),
        input('unevenness', unevenness, 'size', typedOr(plan.pour.irregularity), 'practice'),
      ],
      { label },
    ),
  ]);
  return [
    ...given('leanTotal', [
      ...laid.filter(({ value }) => value !== 0),
      ...makeUpLine(job, 'lean'),
      ...putBackLines(job, true).map((back) => back.line),
    ]),
    orderLine(job, lean.volume),
  ];
}

/** A volume and what it weighs. */
const weighed = (of: Working, density: WorkingInput): [Working, Working] => [
  of,
  line(
    'stoneMass',
    'mass',
    'mass',
    [input('stoneVolume', of.value, 'volume', weakest(of.inputs.map(({ origin }) => origin))), density],
    { label: of.label },
  ),
];

function stoneWorkings(job: Job): readonly Working[] {
  const { plan, stone } = job;
  const nameOf = (id: string) => elementName(plan, id);
  const typical = (density: number) => input('density', density, 'density', 'typical');
  const layers = laidOf(job, false).map(({ layer, area, volume, lifts, label }) => {
    const { density, looseFactor } = layerValues(layer);
    const [laid, mass] = weighed(
      read('stoneVolume', 'V = ∬ min(G, F + T) − E dA', volume, 'volume', spread(area, volume), {
        label,
      }),
      input('density', density, 'density', typedOr(layer.density)),
    );
    const inLifts = lifts && [
      line(
        'lifts',
        'lifts',
        'count',
        [
          input('bed', layer.thickness, 'size', startedOr(layer.thickness, usual(plan, layer))),
          input('liftLimit', lifts.limit, 'size', ...LIMIT_FROM[lifts.limitBy]),
          beside('lift', lifts.thickness, 'size'),
          beside('liftLoose', lifts.loose, 'size'),
          beside('passes', lifts.passes[1], 'count', 'typical', 'maker'),
        ],
        { label },
      ),
    ];
    const loose = line(
      'stoneLoose',
      'loosened',
      'volume',
      [
        input('stoneVolume', volume, 'volume'),
        input('looseFactor', looseFactor, 'number', typedOr(layer.looseFactor), 'quarry'),
      ],
      { label },
    );
    return { mass, told: [...(inLifts ?? []), laid, mass, loose] };
  });
  const others = [
    ...stone.besides.map(({ of: what, element, volume, density }) => {
      if (what === 'foot')
        return weighed(read('footStone', 'V = ∬ F − E dA', volume, 'volume'), typical(density));
      if (element === null) return weighed(read('makeUp', '∬ F − E dA', volume, 'volume'), typical(density));
      const label = nameOf(element);
      const { bottomArea } = job.elements.find((one) => one.id === element)!;
      return weighed(
        read(
          'drainStone',
          'V = ∬ min(G, F + T) − E dA − π/4·d²·L',
          volume,
          'volume',
          spread(bottomArea, volume),
          {
            label,
          },
        ),
        typical(density),
      );
    }),
    ...putBackLines(job, false).map(({ line: back, density }) => weighed(back, typical(density))),
  ];
  return given(
    'stoneTotal',
    [...layers.map(({ mass }) => mass), ...others.map(([, mass]) => mass)],
    [...layers.flatMap(({ told }) => told), ...others.flat()],
  );
}

const LIMIT_FROM: Record<Lifts['limitBy'], readonly [Origin, Unpublished]> = {
  specification: ['typed', 'specification'],
  compactor: ['typical', 'maker'],
  trial: ['measured', 'trialStrip'],
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
    // Priced by the tonne.
    compared: [
      { id: 'stone', kind: 'mass', amount: ({ stone }) => stone.mass, price: 'stone', per: 1000, least: 50 },
    ],
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
    compared: [
      { id: 'lean', kind: 'volume', amount: ({ lean }) => lean.ordered, price: 'lean', per: 1, least: 0.005 },
    ],
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
    compared: [
      {
        id: 'concrete',
        kind: 'volume',
        amount: ({ concrete }) => concrete.ordered,
        price: 'concrete',
        per: 1,
        least: 0.005,
      },
      // Walls and columns below ground, m³.
      { id: 'walls', kind: 'volume', amount: ({ walls }) => walls, price: null, per: 1, least: 0.005 },
    ],
    make: (job) => ({
      value: job.concrete.neat,
      parts: [part('order', 'concrete', 'order', job.concrete.ordered, 'volume')],
      sub: ordered(job.concrete.ordered, job.concrete.loads),
      workings: [
        ...given('concreteTotal', [...castLines(job), ...leftOutLines(job), ...makeUpLine(job, 'concrete')]),
        ...pourLines(job),
      ],
    }),
  },
} as const satisfies Record<string, FigureRow>;
