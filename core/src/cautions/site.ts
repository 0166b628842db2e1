/** Spoil, plant and the plot: what the dig and the room round it make of each other. */
import { all, type Case, type CautionRow, type Finding, job } from './case.ts';

/** An element that digs less than this is inside another, m³. */
const NOTHING_OWN = 1e-3;
/** Less soil than this is not worth a word, m³. */
const HARDLY = 0.05;

type Area = Case['job']['work']['layDown']['areas'][number];
const areas = ({ job }: Case, say: (area: Area) => Finding[]): Finding[] =>
  job.work.layDown.areas.flatMap(say);

/** The machine that digs and its work. */
function digging({ job: { plan, work } }: Case) {
  const done = work.machines.find((entry) => entry.machine === plan.dig.machine);
  const machine = plan.dig.machines.find((entry) => entry.id === plan.dig.machine);
  return done && machine ? { done, machine } : null;
}

export const SITE_CAUTIONS = {
  // All its soil belongs to another: drawn twice, or wholly inside a deeper dig.
  doubled: {
    weight: 'warn',
    stage: 'dig',
    find: ({ live }) => all(live.filter((e) => e.volume < NOTHING_OWN)),
  },
  spoilNear: {
    weight: 'warn',
    stage: 'backfill',
    find: (at) =>
      areas(at, ({ tooNear, name, edge }) =>
        tooNear ? job({ edge: [Math.max(0, edge), 'length'] }, { area: name }) : [],
      ),
  },
  rehandle: {
    weight: 'warn',
    stage: 'backfill',
    find: (at) =>
      areas(at, ({ name, overlaps, rehandled }) =>
        rehandled > HARDLY
          ? [
              {
                elements: overlaps.flatMap((overlap) => overlap.element ?? []),
                names: {
                  area: name,
                  what: overlaps
                    .map((overlap) => overlap.name)
                    .filter(Boolean)
                    .join(', '),
                },
                values: { volume: [rehandled, 'volume'] },
              },
            ]
          : [],
      ),
  },
  areaOutside: {
    weight: 'warn',
    stage: 'backfill',
    find: (at) =>
      areas(at, ({ name, overlaps }) =>
        overlaps.some((overlap) => overlap.what === 'boundary') ? job(undefined, { area: name }) : [],
      ),
  },
  noRoom: {
    weight: 'warn',
    stage: 'backfill',
    find: ({ job: { work } }) =>
      work.layDown.homeless > HARDLY ? job({ volume: [work.layDown.homeless, 'volume'] }) : [],
  },
  reach: {
    weight: 'warn',
    stage: 'dig',
    find: (at) => {
      const own = digging(at);
      if (!own || own.done.tooDeep.length === 0) return [];
      const { done, machine } = own;
      return [
        {
          elements: done.tooDeep,
          names: { machine: machine.name },
          values: { short: [done.short, 'length'] },
        },
      ];
    },
  },
  gate: {
    weight: 'warn',
    stage: 'dig',
    find: (at) => {
      const own = digging(at);
      if (!own) return [];
      const { done, machine } = own;
      return done.gates.flatMap((gate) =>
        job({ width: [machine.width, 'length'] }, { gate, machine: machine.name }),
      );
    },
  },
  outsidePlot: {
    weight: 'stop',
    stage: 'dig',
    find: ({ live }) => {
      const outside = live.filter((e) => e.outside > 0.01);
      return all(outside, () => ({ area: [outside.reduce((sum, e) => sum + e.outside, 0), 'area'] }));
    },
  },
  shortfall: {
    weight: 'note',
    stage: 'backfill',
    find: ({ live, job: { spoil } }) =>
      spoil.shortfall > 0 ? all(live, () => ({ volume: [spoil.shortfall, 'volume'] })) : [],
  },
} as const satisfies Record<string, CautionRow>;
