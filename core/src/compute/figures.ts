/** The eight headline figures and how each was worked out, line by line. */
import type { Excavation } from '../dig/index.ts';
import { CAUSES } from '../dig/index.ts';
import { soilOrigin } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import type { Placed } from '../pour/index.ts';
import type { Kind } from '../units/index.ts';
import type { Figure, FigureId, Origin, Takeoff, Working, WorkingInput } from './takeoff.ts';

type Parts = Omit<Takeoff, 'figures' | 'cautions'>;

const input = (
  name: string,
  value: number,
  kind: Kind,
  origin: Origin = 'computed',
  source?: string,
  label?: string,
): WorkingInput => ({
  name,
  value,
  kind,
  origin,
  ...(source !== undefined && { source }),
  ...(label !== undefined && { label }),
});
const line = (
  step: string,
  formula: string,
  value: number,
  kind: Kind,
  inputs: WorkingInput[],
  extra: { source?: string; label?: string } = {},
): Working => ({
  step,
  formula,
  value,
  kind,
  inputs,
  ...extra,
});

const FM = 'US Army FM 5-434, Table 1-1';

/** The weakest of what is left for hand trim: typed only when nobody's is by the soil. */
function trimOrigin(plan: Plan, t: Parts): Origin {
  const bearing = plan.elements.filter((e, i) => e.kind !== 'ramp' && t.elements[i]?.live);
  const said = bearing.every((e) => e.trim !== null || plan.dig.handTrim !== null);
  return bearing.length > 0 && said ? 'typed' : 'typical';
}

/** The flattest soil rules the heap: where its angle comes from. */
function reposeOrigin(t: Parts): Origin {
  const flattest = t.soils.find((soil) => soil.repose === t.pile.repose);
  return flattest ? soilOrigin(flattest, 'repose').origin : 'typical';
}

function digFigure(plan: Plan, t: Parts, dig: Excavation): Figure {
  const workings: Working[] = [
    line('neat', 'Vn = ∪ (B·L·D)', dig.neat, 'volume', []),
    ...CAUSES.map((cause) =>
      line(`overdig.${cause}`, 'ΔV = V(i) − V(i−1)', dig.overdig[cause], 'volume', []),
    ),
    line('digTotal', 'V = ∬ max(0, G − E) dA', dig.total, 'volume', [
      input('neat', dig.neat, 'volume'),
      input('overdig', dig.total - dig.neat, 'volume'),
      input('bottomArea', dig.bottomArea, 'area'),
      input('openArea', dig.openArea, 'area'),
    ]),
    ...t.spoil.strata.map((s) =>
      line('stratum', 'Vk', s.bank, 'volume', [], {
        label: s.soil.layer.id,
      }),
    ),
    line('handTrim', 'A·t', t.handTrim.volume, 'volume', [
      input('bottomArea', dig.bottomArea, 'area'),
      input('trim', t.handTrim.thickness, 'size', trimOrigin(plan, t)),
    ]),
  ];
  return { id: 'dig', value: dig.total, kind: 'volume', workings };
}

function spoilFigure(t: Parts): Figure {
  return {
    id: 'spoil',
    value: t.spoil.loose,
    kind: 'volume',
    workings: [
      ...t.spoil.strata.map((s) => {
        const from = soilOrigin(s.soil, 'swell');
        return line(
          'bulk',
          'Vl = Vb·(1 + S)',
          s.loose,
          'volume',
          [
            input('bank', s.bank, 'volume'),
            input('swell', s.soil.swell, 'percent', from.origin, from.source),
          ],
          { label: s.soil.layer.id, source: FM },
        );
      }),
      line(
        'pile',
        'h = √(A·tan φ)',
        t.pile.height,
        'length',
        [
          input('keptLoose', t.spoil.keptLoose, 'volume'),
          input('run', t.pile.length, 'length'),
          input('repose', t.pile.repose, 'angle', reposeOrigin(t)),
          input('pileBase', t.pile.base, 'length'),
        ],
        { source: 'US Army FM 5-434' },
      ),
    ],
  };
}

function keepFigure(t: Parts, placed: Placed, dig: Excavation): Figure {
  return {
    id: 'keep',
    value: t.spoil.keptBank,
    kind: 'volume',
    workings: [
      line('void', 'Vv = V − Vs − Vl − Vc − Vw', t.spoil.backfill, 'volume', [
        input('digTotal', dig.total, 'volume'),
        input('stoneVolume', t.stone.volume, 'volume'),
        input('blindingVolume', placed.blinding, 'volume'),
        input(
          'footingVolume',
          placed.concrete.reduce((p, q) => p + q, 0),
          'volume',
        ),
        input('stemVolume', placed.stems, 'volume'),
      ]),
      ...t.spoil.strata
        .filter((s) => s.keptBank > 0)
        .map((s) => {
          const from = soilOrigin(s.soil, 'shrink');
          return line(
            'keepSoil',
            'Vb = Vv/(1 − s)',
            s.keptBank,
            'volume',
            [input('shrink', s.soil.shrink, 'percent', from.origin, from.source)],
            { label: s.soil.layer.id },
          );
        }),
      ...(t.spoil.shortfall > 0
        ? [line('shortfall', 'Vv − Σ Vb·(1 − s)', t.spoil.shortfall, 'volume', [])]
        : []),
    ],
  };
}

function haulFigure(plan: Plan, t: Parts): Figure {
  const total = t.mixed.reduce((p, q) => p + q.loads, 0);
  return {
    id: 'haul',
    value: total,
    kind: 'count',
    workings: [
      ...t.spoil.strata
        .filter((s) => s.hauledBank > 1e-9)
        .map((s) => {
          const from = soilOrigin(s.soil, 'density');
          return line(
            'haulSoil',
            'M = Vb·ρ',
            s.hauledMass,
            'mass',
            [
              input('bank', s.hauledBank, 'volume'),
              input('loose', s.hauledLoose, 'volume'),
              input('density', s.soil.density, 'density', from.origin, from.source),
            ],
            { label: s.soil.layer.id },
          );
        }),
      ...t.loads.map((l) =>
        line(
          'loads',
          'N = ⌈max(Vl/Vt, M/Mt)⌉',
          l.loads,
          'count',
          [
            input('loose', t.spoil.hauledLoose, 'volume'),
            input('mass', t.spoil.hauledMass, 'mass'),
            input('body', l.truck.body, 'volume', 'typed'),
            input('payload', l.truck.payload, 'mass', 'typed'),
            input('lastFill', l.lastFill, 'percent'),
          ],
          { label: l.truck.name },
        ),
      ),
      ...t.mixed.map((m) =>
        line('mixed', 'min Σ N', m.loads, 'count', [], {
          label: plan.spoil.trucks.find((truck) => truck.id === m.truck)?.name ?? m.truck,
        }),
      ),
    ],
  };
}

function stoneFigure(plan: Plan, t: Parts): Figure {
  const { base } = plan;
  const workings: Working[] = [];
  if (base && t.lifts) {
    workings.push(
      line('lifts', 'n = ⌈T/tmax⌉', t.lifts.count, 'count', [
        input('bed', base.thickness, 'size', 'typed'),
        input('liftLimit', t.lifts.limit, 'size', t.lifts.limitBy === 'specification' ? 'typed' : 'typical'),
        input('lift', t.lifts.thickness, 'size'),
        input('liftLoose', t.lifts.loose, 'size'),
        input('passes', t.lifts.passes[1], 'count', 'typical'),
      ]),
      line('stoneVolume', 'V = ∬ min(G, F + T) − E dA', t.stone.volume, 'volume', []),
      line('stoneMass', 'M = V·ρ', t.stone.mass, 'mass', [
        input('stoneVolume', t.stone.volume, 'volume'),
        input('density', base.density, 'density', 'typed'),
      ]),
      line('stoneLoose', 'Vl = V·f', t.stone.loose, 'volume', [
        input('looseFactor', base.looseFactor, 'number', 'typed'),
      ]),
    );
  }
  return { id: 'stone', value: t.stone.mass, kind: 'mass', workings };
}

function orderLine(plan: Plan, neat: number, order: number): Working {
  return line('order', 'V′ = ⌈V·(1 + w)/q⌉·q', order, 'volume', [
    input('volume', neat, 'volume'),
    input('waste', plan.pour.waste, 'percent', 'typed'),
    input('step', plan.pour.step, 'volume', 'typed'),
  ]);
}

function leanFigure(plan: Plan, t: Parts, placed: Placed): Figure {
  const { blinding, makeUp } = plan.pour;
  return {
    id: 'lean',
    value: t.lean.volume,
    kind: 'volume',
    workings:
      t.lean.volume <= 0
        ? []
        : [
            ...(blinding
              ? [
                  line('blinding', 'V = A·t', placed.blinding, 'volume', [
                    input('blindingArea', placed.blindingArea, 'area'),
                    input('thickness', blinding.thickness, 'size', 'typed'),
                  ]),
                  line('irregularity', 'ΔV = A·e', placed.irregularity, 'volume', [
                    input('blindingArea', placed.blindingArea, 'area'),
                    input(
                      'unevenness',
                      placed.irregularityThickness,
                      'size',
                      plan.pour.irregularity === null ? 'typical' : 'typed',
                    ),
                  ]),
                ]
              : []),
            ...(makeUp === 'lean' && placed.makeUp > 0
              ? [line('makeUp', '∬ F − E dA', placed.makeUp, 'volume', [])]
              : []),
            orderLine(plan, t.lean.volume, t.lean.order),
          ],
  };
}

function concreteFigure(plan: Plan, t: Parts, placed: Placed): Figure {
  return {
    id: 'concrete',
    value: t.concrete.neat,
    kind: 'volume',
    workings: [
      line(
        'footings',
        'V = ∪ (B·L·t)',
        placed.concrete.reduce((p, q) => p + q, 0),
        'volume',
        [],
      ),
      ...(plan.pour.makeUp === 'concrete' && placed.makeUp > 0
        ? [line('makeUp', '∬ F − E dA', placed.makeUp, 'volume', [])]
        : []),
      orderLine(plan, t.concrete.neat, t.concrete.order),
      line('trucks', 'N = ⌈V′/Vt⌉', t.concrete.loads, 'count', [
        input('truck', plan.pour.truck, 'volume', 'typed'),
      ]),
    ],
  };
}

function waterFigure(plan: Plan, t: Parts): Figure {
  return {
    id: 'water',
    value: t.inflow[1],
    kind: 'flow',
    workings: t.pits.flatMap((pit) => {
      const formula =
        pit.method === 'pit' ? 'Q = πk(H² − h²)/ln(R/re)' : 'Q = πk(H² − h²)/ln(R/rw) + kx(H² − h²)/L0';
      return (['low', 'likely', 'high'] as const).map((which, i) =>
        line(
          `inflow.${which}`,
          formula,
          pit.inflow[i]!,
          'flow',
          [
            input(
              'permeability',
              pit.k[i]!,
              'permeability',
              pit.kOrigin,
              pit.kOrigin === 'typical' ? 'Freeze & Cherry (1979), Table 2.2' : undefined,
            ),
            input('head', pit.head, 'length'),
            input('held', pit.held, 'length'),
            input('radius', pit.radius, 'length'),
          ],
          {
            source: 'Dupuit–Thiem; Sichardt',
            label: pit.elements.map((i) => plan.elements[i]?.name).join(', '),
          },
        ),
      );
    }),
  };
}

export function figuresOf(plan: Plan, t: Parts, placed: Placed, dig: Excavation): Record<FigureId, Figure> {
  return {
    dig: digFigure(plan, t, dig),
    spoil: spoilFigure(t),
    keep: keepFigure(t, placed, dig),
    haul: haulFigure(plan, t),
    stone: stoneFigure(plan, t),
    lean: leanFigure(plan, t, placed),
    concrete: concreteFigure(plan, t, placed),
    water: waterFigure(plan, t),
  };
}
