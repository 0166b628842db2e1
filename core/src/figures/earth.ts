/** What is dug, how it bulks, what stays and what leaves. */
import { CAUSES, type Cause } from '../dig/index.ts';
import type { Origin, WorkingInput } from '../findings/index.ts';
import { soilOrigin } from '../ground/index.ts';
import { isAssumed } from '../plan/assumed.ts';
import { builtTerms } from '../pour/index.ts';
import { shapeOf } from '../setout/index.ts';
import type { Job } from '../takeoff/index.ts';
import { type FigureRow, input, line, part, sum } from './line.ts';

const FM = 'US Army FM 5-434, Table 1-1';

/** What is told soil by soil stands on the logs. */
const logged = ({ plan }: Job): Origin[] => (isAssumed(plan, '/ground/logs/0') ? ['assumed'] : []);

/** The weakest of what is left for hand trim: typed only when nobody's is by the soil. */
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

function trimOrigin({ plan, elements }: Job): Origin {
  const bearing = elements.filter((e) => e.live && shapeOf(e.element).founded);
  const said = bearing.every((e) => e.element.trim !== null || plan.dig.handTrim !== null);
  return bearing.length > 0 && said ? 'typed' : 'typical';
}

/** The flattest soil rules the heap: where its angle comes from. */
function reposeOrigin({ soils, pile }: Job): Origin {
  const flattest = soils.find((soil) => soil.repose === pile.repose);
  return flattest ? soilOrigin(flattest, 'repose').origin : 'typical';
}

/** What a level stands on that nobody has settled. */
function depthOrigin({ plan, elements }: Job): Origin[] {
  const rules = elements.filter((e) => e.live).map((e) => e.decision?.governs);
  return rules.includes('cover') && isAssumed(plan, '/levels/cover') ? ['assumed'] : [];
}

const nameOf = (job: Job, id: string) => job.plan.ground.soils.find((soil) => soil.id === id)?.name || id;

export const EARTH_FIGURES = {
  dig: {
    kind: 'volume',
    tone: 'earth',
    make: (job) => {
      const { dig, overdig, handTrim, spoil } = job;
      const { neat, ...causes } = overdig;
      return {
        value: dig.total,
        also: depthOrigin(job),
        sub: {
          key: 'tally.dig.sub',
          values: {
            neat: [neat, 'volume', 'bare'],
            over: [sum(Object.values(causes)), 'volume', 'bare'],
          },
        },
        parts: (['neat', ...CAUSES] as const).map((cause) =>
          part('dig', cause, 'bank', overdig[cause], 'volume'),
        ),
        workings: [
          line('neat', 'Vn = ∪ (B·L·D)', neat, 'volume'),
          ...CAUSES.map((cause) =>
            line(
              `overdig.${cause}`,
              'ΔV = V(i) − V(i−1)',
              causes[cause],
              'volume',
              overdigInputs(job, cause),
            ),
          ),
          line('digTotal', 'V = ∬ max(0, G − E) dA', dig.total, 'volume', [
            input('neat', neat, 'volume'),
            input('overdig', dig.total - neat, 'volume'),
            input('bottomArea', dig.bottomArea, 'area'),
            input('openArea', dig.openArea, 'area'),
          ]),
          ...spoil.strata.map((s) => line('stratum', 'Vk', s.bank, 'volume', [], { label: s.soil.layer.id })),
          line('handTrim', 'A·t', handTrim.volume, 'volume', [
            input('bottomArea', dig.bottomArea, 'area'),
            input('trim', handTrim.thickness, 'size', trimOrigin(job)),
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
      return {
        value: spoil.loose,
        also: logged(job),
        sub:
          work.layDown.areas.length > 0
            ? { key: 'tally.spoil.heaps', values: { count: [heaps, 'count'] } }
            : {
                key: 'tally.spoil.sub',
                // A heap is known to the decimetre, or to the inch.
                values: { base: [pile.base, 'length', 'rough'], height: [pile.height, 'length', 'rough'] },
              },
        parts: spoil.strata.flatMap((s) => {
          const { id } = s.soil.layer;
          const name = nameOf(job, id);
          return [
            part('stratum', id, 'bank', s.bank, 'volume', name),
            part('stratum', id, 'loose', s.loose, 'volume', name),
            part('stratum', id, 'hauled', s.hauledLoose, 'volume', name),
          ];
        }),
        workings: [
          ...spoil.strata.map((s) => {
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
            pile.height,
            'length',
            [
              input('keptLoose', spoil.keptLoose, 'volume'),
              input('run', pile.length, 'length'),
              input('repose', pile.repose, 'angle', reposeOrigin(job)),
              input('pileBase', pile.base, 'length'),
            ],
            { source: 'US Army FM 5-434' },
          ),
        ],
      };
    },
  },
  keep: {
    kind: 'volume',
    tone: 'placed',
    make: (job) => {
      const { spoil, dig, soft, placed } = job;
      return {
        value: spoil.keptBank,
        also: logged(job),
        sub:
          spoil.shortfall > 0
            ? { key: 'tally.keep.short', values: { volume: [spoil.shortfall, 'volume'] } }
            : { key: 'tally.keep.sub', values: { volume: [spoil.keptTopsoil, 'volume'] } },
        workings: [
          line('void', 'Vv = V − Σ Vi', spoil.backfill, 'volume', [
            input('digTotal', dig.total, 'volume'),
            ...builtTerms(placed, sum(soft.map(({ volume }) => volume)))
              .filter(([, volume]) => volume !== 0)
              .map(([name, volume]) => input(name, volume, 'volume')),
          ]),
          ...spoil.strata
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
          ...(spoil.shortfall > 0 ? [line('shortfall', 'Vv − Σ Vb·(1 − s)', spoil.shortfall, 'volume')] : []),
        ],
      };
    },
  },
  haul: {
    kind: 'count',
    tone: 'earth',
    make: (job) => {
      const { plan, spoil, mixed, loads, broken } = job;
      return {
        value: sum(mixed.map((m) => m.loads)) + broken.loads,
        also: logged(job),
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
          ...spoil.strata
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
          ...loads.map((l) =>
            line(
              'loads',
              'N = ⌈max(Vl/Vt, M/Mt)⌉',
              l.loads,
              'count',
              [
                input('loose', spoil.hauledLoose, 'volume'),
                input('mass', spoil.hauledMass, 'mass'),
                input('body', l.truck.body, 'volume', 'typed'),
                input('payload', l.truck.payload, 'mass', 'typed'),
                input('lastFill', l.lastFill, 'percent'),
              ],
              { label: l.truck.name },
            ),
          ),
          ...broken.items.map(({ obstruction, volume, loose, mass, from }) =>
            line(
              'brokenOut',
              'Vl = V·(1 + S), M = V·ρ',
              loose,
              'volume',
              [
                input('bank', volume, 'volume', 'typed'),
                input('swell', volume > 0 ? loose / volume - 1 : 0, 'percent', from.swell),
                input('density', volume > 0 ? mass / volume : 0, 'density', from.density),
                input('mass', mass, 'mass'),
              ],
              { label: obstruction.name },
            ),
          ),
          ...(broken.loads > 0 ? [line('brokenLoads', 'min Σ N', broken.loads, 'count')] : []),
          ...mixed.map((m) =>
            line('mixed', 'min Σ N', m.loads, 'count', [], {
              label: plan.spoil.trucks.find((truck) => truck.id === m.truck)?.name ?? m.truck,
            }),
          ),
        ],
      };
    },
  },
} as const satisfies Record<string, FigureRow>;
