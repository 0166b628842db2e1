/** What is dug, how it bulks, what stays and what leaves. */
import { PRACTICE } from '../catalogue/practice.ts';
import { CAUSES, type Cause } from '../dig/index.ts';
import { type Soil, soilOrigin } from '../ground/index.ts';
import { isAssumed } from '../plan/assumed.ts';
import { startOf } from '../plan/fields.ts';
import { builtTerms } from '../pour/index.ts';
import { type Origin, type Working, type WorkingInput, weakest } from '../results/index.ts';
import { shapeOf } from '../setout/index.ts';
import type { Job } from '../takeoff/index.ts';
import { bankToCompacted } from '../units/index.ts';
import {
  beside,
  type FigureRow,
  given,
  input,
  line,
  logged,
  of,
  part,
  read,
  saidIn,
  spread,
  startedOr,
  sum,
} from './line.ts';

const FM = 'US Army FM 5-434, Table 1-1';
/** Less of a soil is none, m³. */
const NONE = 1e-9;

/** A value of a soil: typed of it, or typical of its kind. */
function ofSoil(soil: Soil, value: 'swell' | 'shrink' | 'density', kind: 'percent' | 'density') {
  const { origin, source } = soilOrigin(soil, value);
  return input(value, soil[value], kind, origin, source);
}

/** What a cause of over-dig goes by, for who reads it: the most of it, and along how much. */
function overdigInputs({ plan, elements }: Job, cause: Cause): WorkingInput[] {
  const live = elements.filter((e) => e.live);
  if (live.length === 0) return [];
  const run = input('run', sum(live.map((e) => e.length)), 'length');
  const most = (of: (e: (typeof live)[number]) => number) => Math.max(...live.map(of));
  if (cause === 'room')
    return [
      input(
        'room',
        most((e) => e.element.room ?? plan.dig.room),
        'size',
      ),
      run,
    ];
  if (cause === 'sides')
    return [
      input(
        'slope',
        most((e) => (e.support === 'slope' ? e.slope : 0)),
        'slope',
      ),
      input(
        'depth',
        most((e) => e.depth),
        'length',
      ),
      run,
    ];
  return [];
}

/** The weakest of what is left for hand trim: typed only when nobody's is by the soil. */
function trimOrigin({ plan, elements }: Job): Origin {
  const bearing = elements.filter((e) => e.live && shapeOf(e.element).founded);
  const said = bearing.every((e) => e.element.trim !== null || plan.dig.handTrim !== null);
  return bearing.length > 0 && said ? 'typed' : 'typical';
}

/** The flattest soil rules the heap: its angle, and where that comes from. */
function reposeOf({ soils, pile }: Job): WorkingInput {
  const flattest = soils.find((soil) => soil.repose === pile.repose);
  const { origin, source } = flattest
    ? soilOrigin(flattest, 'repose')
    : { origin: 'typical' as const, source: 'practice' };
  return input('repose', pile.repose, 'angle', origin, source);
}

/** Over how much in plan, and how deep on the whole. */
const deep = (area: number, volume: number): WorkingInput[] =>
  area > 0 ? [input('planArea', area, 'area'), input('meanDepth', volume / area, 'length')] : [];

/** The cover that decides a level while nobody has settled it. */
function unsettledCover({ plan, elements }: Job): WorkingInput[] {
  const governs = elements.some((e) => e.live && e.decision?.governs === 'cover');
  const { cover } = plan.levels;
  return governs && cover !== null && isAssumed(plan, '/levels/cover')
    ? [input('cover', cover, 'size', 'assumed')]
    : [];
}

const nameOf = (job: Job, id: string) => job.plan.ground.soils.find((soil) => soil.id === id)?.name || id;

/**
 * The hole to fill again: dug, and taken out between openings, less all that stands in it. What of that stands
 * outside the dig, over the ground or beside it, takes none of its room.
 */
function holeOf({ dig, strips, soft, placed, spoil }: Job): readonly Working[] {
  const terms = builtTerms(placed, sum(soft.map(({ volume }) => volume))).filter(
    ([, volume]) => volume !== 0,
  );
  const built = sum(terms.map(([, volume]) => volume));
  const islands = sum(strips.items.map(({ stripped, bank }) => (stripped.kind === 'island' ? bank : 0)));
  const outside = spoil.need.hole - (dig.total + islands - built);
  const dug = input('digTotal', dig.total, 'volume');
  const more = [
    ...(islands > 0 ? [input('islandVolume', islands, 'volume')] : []),
    ...(outside > NONE ? [input('outsideVolume', outside, 'volume')] : []),
  ];
  const opened = more.length > 0 ? [line('opened', 'sum', 'volume', [dug, ...more])] : [];
  return [
    ...opened,
    line('void', 'rest', 'volume', [
      opened[0] ? of(opened[0]) : dug,
      ...terms.map(([name, volume]) => input(name, volume, 'volume')),
      ...(outside < -NONE ? [input('sharedVolume', -outside, 'volume')] : []),
    ]),
  ];
}

/** What is short as it is dug elsewhere, as it comes, and in how many loads. */
function broughtInLines({ plan, spoil }: Job, short: Working): readonly Working[] {
  const { swell, shrink, body } = plan.backfill.bringIn;
  const typed = (field: 'swell' | 'shrink' | 'body', kind: 'percent' | 'volume', value: number) =>
    input(field, value, kind, startedOr(value, startOf(`/backfill/bringIn/${field}`, plan.system)));
  const inPit = line('broughtBank', 'asBank', 'volume', [
    input('tamped', short.value, 'volume'),
    typed('shrink', 'percent', shrink),
  ]);
  const loose = line('broughtLoose', 'bulk', 'volume', [
    input('bank', inPit.value, 'volume'),
    typed('swell', 'percent', swell),
  ]);
  return [
    inPit,
    loose,
    read('broughtLoads', 'N = ⌈Vl/Vt⌉', spoil.broughtIn.loads, 'count', [
      of(loose),
      typed('body', 'volume', body),
    ]),
  ];
}

export const EARTH_FIGURES = {
  dig: {
    kind: 'volume',
    tone: 'earth',
    compared: [
      {
        id: 'dig',
        kind: 'volume',
        amount: ({ figures }) => figures.dig.value,
        price: 'dig',
        per: 1,
        least: 0,
      },
    ],
    make: (job) => {
      const { dig, overdig, handTrim, spoil, strips } = job;
      const { neat, ...causes } = overdig;
      const base = read('neat', 'Vn = ∪ (A·D)', neat, 'volume', [
        ...deep(dig.neatArea, neat),
        ...unsettledCover(job),
      ]);
      const over = CAUSES.filter((cause) => causes[cause] !== 0).map((cause) =>
        read(`overdig.${cause}`, 'ΔV = V(i) − V(i−1)', causes[cause], 'volume', overdigInputs(job, cause)),
      );
      const more = line('overdigAll', 'sum', 'volume', over.map(of));
      return {
        value: dig.total,
        sub: {
          key: 'tally.dig.sub',
          values: {
            neat: [neat, 'volume', 'bare'],
            over: [more.value, 'volume', 'bare'],
          },
        },
        parts: (['neat', ...CAUSES] as const).map((cause) =>
          part('dig', cause, 'bank', overdig[cause], 'volume'),
        ),
        workings:
          dig.total === 0
            ? []
            : [
                base,
                ...over,
                more,
                {
                  ...line('digTotal', 'sum', 'volume', [
                    of(base),
                    of(more),
                    beside('bottomArea', dig.bottomArea, 'area'),
                    beside('openArea', dig.openArea, 'area'),
                  ]),
                  gives: true as const,
                },
                ...spoil.strata
                  .map((s, k) => ({ id: s.soil.layer.id, bank: s.bank - strips.soils[k]! }))
                  .filter(({ bank }) => bank > NONE)
                  .map(({ id, bank }) =>
                    read('stratum', 'Vk = A·t', bank, 'volume', spread(dig.openArea, bank), { label: id }),
                  ),
                line('handTrim', 'area', 'volume', [
                  input('bottomArea', handTrim.area, 'area'),
                  input('trim', handTrim.thickness, 'size', trimOrigin(job), 'practice'),
                ]),
              ],
      };
    },
  },
  spoil: {
    kind: 'volume',
    tone: 'earth',
    make: (job) => {
      const { spoil, pile, work } = job;
      const heaps = work.layDown.areas.filter((area) => area.holds > 0).length;
      const bulked = spoil.strata
        .filter(({ bank }) => bank > 0)
        .map((s) =>
          line(
            'bulk',
            'bulk',
            'volume',
            [input('bank', s.bank, 'volume', logged(job)), ofSoil(s.soil, 'swell', 'percent')],
            {
              label: s.soil.layer.id,
              source: FM,
            },
          ),
        );
      return {
        value: spoil.loose,
        sub:
          work.layDown.areas.length > 0
            ? { key: 'tally.spoil.heaps', values: { count: [heaps, 'count'] } }
            : {
                key: 'tally.spoil.sub',
                // A heap is known to the decimetre, or to the inch.
                values: { base: [pile.base, 'length', 'rough'], height: [pile.height, 'length', 'rough'] },
              },
        parts: [
          ...spoil.strata.flatMap((s) => {
            const { id } = s.soil.layer;
            const name = nameOf(job, id);
            return [
              part('stratum', id, 'bank', s.bank, 'volume', name),
              part('stratum', id, 'loose', s.loose, 'volume', name),
              part('stratum', id, 'hauled', s.hauledLoose, 'volume', name),
            ];
          }),
          ...job.strips.items.map(({ stripped: { id, name }, bank }) =>
            part('stripped', id, 'bank', bank, 'volume', name),
          ),
        ],
        workings: [
          ...given('spoilTotal', bulked),
          ...(spoil.keptLoose > 0
            ? [
                line(
                  'pile',
                  'pile',
                  'length',
                  [
                    input('keptLoose', spoil.keptLoose, 'volume'),
                    input('run', pile.length, 'length'),
                    reposeOf(job),
                    input('highest', PRACTICE.heap.value, 'length', 'assumed', 'practice'),
                    beside('pileBase', pile.base, 'length'),
                  ],
                  { source: 'US Army FM 5-434' },
                ),
              ]
            : []),
        ],
      };
    },
  },
  keep: {
    kind: 'volume',
    tone: 'placed',
    make: (job) => {
      const { spoil, dig, strips } = job;
      const hole = holeOf(job);
      const isTop = ({ soil }: (typeof spoil.strata)[number]) => soil.typical.backfill === 'topsoil';
      const filling = spoil.strata
        .filter((s) => s.keptBank > 0 && !isTop(s))
        .map((s) =>
          line(
            'keepSoil',
            'asBank',
            'volume',
            [
              input('tamped', bankToCompacted(s.keptBank, s.soil.shrink), 'volume', logged(job)),
              ofSoil(s.soil, 'shrink', 'percent'),
            ],
            { label: s.soil.layer.id },
          ),
        );
      // Topsoil of the holes goes back on top as it came; where somebody typed how thick, so much of it.
      const asItCame = spoil.strata
        .filter((s) => s.keptBank > 0 && isTop(s))
        .map((s) =>
          line(
            'topsoilBack',
            'tamped',
            'volume',
            [
              input('bank', s.keptBank - (strips.soils[s.soil.index] ?? 0), 'volume', logged(job)),
              ofSoil(s.soil, 'shrink', 'percent'),
            ],
            { label: s.soil.layer.id },
          ),
        );
      const all = Math.abs(sum(asItCame.map(({ value }) => value)) - spoil.topsoilBack) < NONE;
      const onTop = all
        ? asItCame
        : spoil.topsoilBack > 0
          ? [read('topsoilBack', 'V = A·t', spoil.topsoilBack, 'volume', [])]
          : [];
      const { foot, floorRoom, elsewhere } = spoil.need;
      const besides = [
        ...(foot > 0 ? [input('footStone', foot, 'volume')] : []),
        ...(floorRoom > 0 ? [input('floorRoom', floorRoom, 'volume')] : []),
      ];
      const left =
        onTop.length + besides.length > 0
          ? [line('toFill', 'rest', 'volume', [of(hole.at(-1)!), ...besides, ...onTop.map(of)])]
          : [];
      const wanted =
        elsewhere > 0
          ? [
              line('wanted', 'sum', 'volume', [
                of(left[0] ?? hole.at(-1)!),
                input('elsewhere', elsewhere, 'volume'),
              ]),
            ]
          : [];
      const short = line('shortfall', 'rest', 'volume', [
        of(wanted[0] ?? left[0] ?? hole.at(-1)!),
        ...filling.map((one) => ({
          ...one.inputs[0]!,
          ...(one.label !== undefined && { label: one.label }),
        })),
      ]);
      return {
        value: spoil.keptBank,
        sub:
          spoil.shortfall > 0
            ? { key: 'tally.keep.short', values: { volume: [spoil.shortfall, 'volume'] } }
            : { key: 'tally.keep.sub', values: { volume: [spoil.keptTopsoil, 'volume'] } },
        workings: [
          ...(dig.total > 0 ? [...hole, ...onTop, ...left, ...wanted] : []),
          ...given('keepTotal', filling),
          ...(spoil.shortfall > 0 ? [short, ...broughtInLines(job, short)] : []),
        ],
      };
    },
  },
  haul: {
    kind: 'count',
    tone: 'earth',
    compared: [
      {
        id: 'loads',
        kind: 'count',
        amount: ({ mixed }) => mixed.reduce((sum, { loads }) => sum + loads, 0),
        price: 'load',
        per: 1,
        least: 1e-9,
      },
    ],
    make: (job) => {
      const { plan, spoil, mixed, loads, broken } = job;
      const leaving = spoil.strata.filter((s) => s.hauledBank > NONE);
      // What a truck takes is so much of what leaves: soil by soil, from the logs.
      const soils = leaving.map((s) =>
        line(
          'haulSoil',
          'mass',
          'mass',
          [
            input('bank', s.hauledBank, 'volume', logged(job)),
            ofSoil(s.soil, 'density', 'density'),
            beside('loose', s.hauledLoose, 'volume'),
          ],
          { label: s.soil.layer.id },
        ),
      );
      const worst = weakest(soils.flatMap(({ inputs }) => inputs.map(({ origin }) => origin)));
      const apart = loads.map((l) => {
        const at = `/spoil/trucks/${plan.spoil.trucks.indexOf(l.truck)}`;
        return line(
          'loads',
          'loads',
          'count',
          [
            input('loose', spoil.hauledLoose, 'volume', worst),
            input('mass', spoil.hauledMass, 'mass', worst),
            input('body', l.truck.body, 'volume', saidIn(plan, `${at}/body`)),
            input('payload', l.truck.payload, 'mass', saidIn(plan, `${at}/payload`)),
            beside('lastFill', l.lastFill, 'percent'),
          ],
          { label: l.truck.name },
        );
      });
      const truckOf = (id: string) => plan.spoil.trucks.find((truck) => truck.id === id)?.name ?? id;
      const trips: Working[] = mixed.map((m) => {
        const label = truckOf(m.truck);
        const from = apart.filter((one) => one.label === label).map(of);
        return read('mixed', 'min Σ N', m.loads, 'count', from, { label });
      });
      const stones = broken.items.map(({ obstruction, volume, loose, mass, from }) =>
        line(
          'brokenOut',
          'bulk',
          'volume',
          [
            input('bank', volume, 'volume', 'typed'),
            input('swell', volume > 0 ? loose / volume - 1 : 0, 'percent', from.swell),
            beside('density', volume > 0 ? mass / volume : 0, 'density', from.density),
            beside('mass', mass, 'mass'),
          ],
          { label: obstruction.name },
        ),
      );
      return {
        value: sum(mixed.map((m) => m.loads)) + broken.loads,
        sub: { key: 'tally.haul.sub', values: { volume: [spoil.hauledLoose, 'volume'] } },
        parts: [
          ...loads.map((l) => part('loads', l.truck.id, 'loads', l.loads, 'count', l.truck.name)),
          ...broken.items.flatMap(({ obstruction: { id, name }, volume, loose, mass, hours }) => [
            part('broken', id, 'bank', volume, 'volume', name),
            part('broken', id, 'loose', loose, 'volume', name),
            part('broken', id, 'mass', mass, 'mass', name),
            part('broken', id, 'hours', hours, 'hours', name),
          ]),
        ],
        workings: [
          ...soils,
          ...(leaving.length > 0 ? apart : []),
          ...stones,
          ...given('haulTotal', [
            ...trips,
            ...(broken.loads > 0
              ? [read('brokenLoads', 'min Σ N', broken.loads, 'count', stones.map(of))]
              : []),
          ]),
        ],
      };
    },
  },
} as const satisfies Record<string, FigureRow>;
