/** Water, soil, frost and what nobody has said of them. */
import { KERSTEN_FROM } from '../ground/index.ts';
import { completeInstruction } from '../levels/index.ts';
import { isAssumed } from '../plan/assumed.ts';
import { drawnAround, floatsOf, heaveUnder, pipingUnder, surfaceRuns, underFlood } from '../takeoff/index.ts';
import { type BoxFloat, FLOAT_SAFE } from '../water/flotation.ts';
import { HOLD_BELOW } from '../water/holes.ts';
import { HEAVE_SAFE } from '../water/uplift.ts';
import { all, type Case, type CautionRow, EPS, least, most, one } from './case.ts';

/** Boxes that are dug, through their states, with the last one. */
const boxes = ({ live, job: { plan } }: Case) =>
  live.flatMap((e) => {
    const box = floatsOf(plan, e);
    return box ? [{ e, box, done: box.states.at(-1)! }] : [];
  });
/** Less fall of the water under a neighbour than this is not told, m: assumed. */
const FALL_TOLD = 0.1;
const unsafe = ({ safety }: BoxFloat) => safety !== null && safety < FLOAT_SAFE;

export const WATER_CAUTIONS = {
  water: {
    weight: 'stop',
    stage: 'water',
    find: ({ live, job }) => {
      const wet = live.filter((e) => e.wet);
      return all(wet, () => ({
        above: [most(wet, (e) => (e.water ?? e.dug) - e.dug), 'size'],
        hold: [Math.min(...job.holes.map((hole) => hole.holdLevel)), 'level'],
        under: [HOLD_BELOW, 'size'],
      }));
    },
  },
  // Not in the hole yet, but nearer than it is held: it comes up through the bottom on a wet day.
  waterNear: {
    weight: 'warn',
    stage: 'water',
    find: ({ live }) => {
      const near = live.filter((e) => !e.wet && e.water !== null && e.water > e.dug - HOLD_BELOW);
      return all(near, () => ({
        under: [least(near, (e) => e.dug - (e.water ?? e.dug)), 'size'],
        hold: [HOLD_BELOW, 'size'],
      }));
    },
  },
  // Empty, with the water back: the lightest it is once it is done, and on the way there.
  floats: {
    weight: 'stop',
    stage: 'water',
    lifts: 'engineer',
    find: (at) =>
      boxes(at).flatMap(({ e, box, done: { safety, ballast, floatsAt } }) =>
        safety === null || safety >= 1 || floatsAt === null
          ? []
          : one(e, {
              safety: [safety, 'number'],
              asked: [FLOAT_SAFE, 'number'],
              ballast: [ballast, 'load'],
              level: [box.underside + floatsAt, 'level'],
            }),
      ),
  },
  // Heavier than the water it presses away, by less than is asked.
  floatsBarely: {
    weight: 'stop',
    stage: 'water',
    lifts: 'engineer',
    find: (at) =>
      boxes(at).flatMap(({ e, done: { safety, ballast } }) =>
        safety === null || safety < 1 || safety >= FLOAT_SAFE
          ? []
          : one(e, {
              safety: [safety, 'number'],
              asked: [FLOAT_SAFE, 'number'],
              ballast: [ballast, 'load'],
            }),
      ),
  },
  floatsMeanwhile: {
    weight: 'warn',
    stage: 'water',
    lifts: 'engineer',
    find: (at) =>
      boxes(at)
        .filter(({ box, done }) => !unsafe(done) && box.states.some(unsafe))
        .map(({ e, box }) => {
          const lowest = Math.min(...box.states.filter(unsafe).map(({ safeTo }) => safeTo));
          return one(e, { level: [box.underside + lowest, 'level'] });
        }),
  },
  floatUnknown: {
    weight: 'warn',
    stage: 'water',
    find: (at) => all(boxes(at).flatMap(({ e, box }) => (box.water === null ? [e] : []))),
  },
  // The soil left under a bottom against water under pressure below it: a hold until an engineer has said what is due.
  heave: {
    weight: 'stop',
    stage: 'water',
    lifts: 'engineer',
    graver: true,
    find: ({ live, job: { plan } }) =>
      live.flatMap((e) => {
        const found = heaveUnder(plan, e);
        if (!found || found.safety >= HEAVE_SAFE) return [];
        return one(
          e,
          {
            safety: [found.safety, 'number'],
            asked: [HEAVE_SAFE, 'number'],
            level: [found.relieveTo, 'level'],
          },
          completeInstruction(plan, e.id) === null ? undefined : 'warn',
        );
      }),
  },
  // Water that comes up through the bottom carries its grains with it, first at the foot of the sides.
  piping: {
    weight: 'warn',
    stage: 'water',
    lifts: 'engineer',
    graver: true,
    find: ({ live, job: { plan } }) =>
      live.flatMap((e) => {
        const found = pipingUnder(plan, e);
        if (!found || found.toe >= found.asked) return [];
        return one(
          e,
          {
            toe: [found.toe, 'number'],
            middle: [found.middle, 'number'],
            asked: [found.asked, 'number'],
            head: [found.head, 'size'],
            sheets: [found.sheets, 'size'],
          },
          found.toe < 1 ? 'stop' : undefined,
        );
      }),
  },
  // What stands on the ground water around: by the high figure, since it is somebody else's.
  drawdown: {
    weight: 'warn',
    stage: 'water',
    lifts: 'engineer',
    find: ({ job: { plan, holes, elements } }) =>
      drawnAround(plan, holes, elements).flatMap(({ name, fall, distance }) =>
        fall[2] < FALL_TOLD
          ? []
          : [
              {
                elements: [],
                names: { hazard: name },
                values: {
                  distance: [distance, 'length'],
                  likely: [fall[1], 'size'],
                  high: [fall[2], 'size'],
                },
              },
            ],
      ),
  },
  surfaceWater: {
    weight: 'warn',
    stage: 'water',
    find: ({ job: { plan, elements } }) =>
      surfaceRuns(plan, elements).flatMap(({ id, element }) =>
        element === null
          ? []
          : [
              {
                elements: [element],
                names: {
                  name: plan.water.surface.find((one) => one.id === id)?.name ?? id,
                  hole: elements.find((e) => e.id === element)?.element.name ?? element,
                },
              },
            ],
      ),
  },
  underFlood: {
    weight: 'warn',
    stage: 'water',
    find: ({ live, job }) =>
      live.length === 0
        ? []
        : underFlood(job).map(({ element, name, level, least }) => ({
            elements: element === null ? [] : [element],
            names: { name },
            values: { short: [least - level, 'size'], level: [least, 'level'] },
          })),
  },
  perched: {
    weight: 'warn',
    stage: 'water',
    find: ({ live, job: { plan } }) =>
      all(
        live.filter((e) => e.perched),
        () => ({
          // The shallowest it was met at.
          depth: [
            Math.min(
              ...plan.ground.logs.flatMap(({ perched, standing, strike }) =>
                perched ? [standing ?? strike ?? Infinity] : [],
              ),
            ),
            'length',
          ],
        }),
      ),
  },
  waterClass: {
    weight: 'warn',
    stage: 'water',
    find: ({ live }) => all(live.filter((e) => (e.wet || e.perched) && e.rule.loweredByWater)),
  },
} as const satisfies Record<string, CautionRow>;

/** What nobody has said is not nothing: it is asked for, also while nothing is drawn yet. */
export const UNKNOWN_CAUTIONS = {
  depthUnknown: {
    weight: 'stop',
    stage: 'levels',
    find: ({ job: { elements } }) => all(elements.filter((e) => e.decision === null)),
  },
  frostUnknown: {
    weight: 'stop',
    stage: 'ground',
    find: ({ live, job }) => (job.frost.depth === null ? [{ elements: live.map((e) => e.id) }] : []),
  },
  waterUnknown: {
    weight: 'warn',
    stage: 'water',
    find: ({ live, job }) => (job.water.from === null ? [{ elements: live.map((e) => e.id) }] : []),
  },
  soilAssumed: {
    weight: 'warn',
    stage: 'ground',
    find: ({ live, job: { plan } }) =>
      isAssumed(plan, '/ground/logs/0')
        ? [{ elements: live.map((e) => e.id), names: { name: plan.ground.logs[0]?.name ?? '' } }]
        : [],
  },
  coverAssumed: {
    weight: 'note',
    stage: 'levels',
    find: ({ live, job: { plan } }) => {
      const { cover } = plan.levels;
      if (cover === null || !isAssumed(plan, '/levels/cover')) return [];
      return all(live, () => ({ cover: [cover, 'size'] }));
    },
  },
} as const satisfies Record<string, CautionRow>;

const marked: (at: Parameters<CautionRow['find']>[0]) => boolean = ({ job }) =>
  job.plan.ground.hazards.some((hazard) => hazard.kind === 'service');

export const GROUND_CAUTIONS = {
  edge: {
    weight: 'warn',
    stage: 'dig',
    standing: true,
    find: ({ live, rules }) => all(live, () => ({ setback: [rules.setback, 'limit'] })),
  },
  services: {
    weight: 'warn',
    stage: 'ground',
    lifts: 'locator',
    standing: true,
    find: (at) => (marked(at) ? [] : all(at.live)),
  },
  servicesMarked: {
    weight: 'warn',
    stage: 'ground',
    lifts: 'locator',
    standing: true,
    find: (at) => (marked(at) ? all(at.live) : []),
  },
  // Ground frozen today stands like rock until it thaws, and then it falls.
  frozenFace: {
    weight: 'warn',
    stage: 'ground',
    find: ({ live, job: { frozen } }) =>
      frozen
        ? all(live, () => ({ depth: [frozen.depth, 'length'], longer: [1 / frozen.rate, 'number'] }))
        : [],
  },
  thaw: {
    weight: 'note',
    stage: 'ground',
    standing: true,
    find: ({ live, job: { frozen, frost } }) =>
      !frozen && frost.depth !== null && frost.depth > 0
        ? all(live, () => ({ depth: [frost.depth ?? 0, 'length'] }))
        : [],
  },
  // Drier than the formulas of its conductivity were fitted to: frost goes deeper than is told.
  frostDry: {
    weight: 'note',
    stage: 'ground',
    find: ({ live, job: { plan, soils, frost } }) => {
      const deep = frost.computed ?? 0;
      const reached = (id: string) =>
        plan.ground.logs.some(({ layers }) => layers.some(({ soil, top }) => soil === id && top < deep));
      const dry = soils.filter(
        ({ layer, typical, moisture }) =>
          layer.values.moisture !== undefined && moisture < KERSTEN_FROM[typical.grain] && reached(layer.id),
      );
      return all(dry.length > 0 ? live : [], () => ({
        moisture: [Math.min(...dry.map(({ moisture }) => moisture)), 'percent'],
        from: [Math.max(...dry.map(({ typical }) => KERSTEN_FROM[typical.grain])), 'percent'],
      }));
    },
  },
  softening: {
    weight: 'note',
    stage: 'base',
    standing: true,
    find: ({ live, job: { handTrim } }) =>
      all(
        live.filter((e) => e.softBottom),
        () => ({ trim: [handTrim.thickness, 'size'] }),
      ),
  },
  beyondSurvey: { weight: 'warn', stage: 'ground', find: ({ live }) => all(live.filter((e) => !e.surveyed)) },
  aboveFrost: {
    weight: 'stop',
    stage: 'levels',
    lifts: 'engineer',
    find: ({ live, job: { frost } }) => {
      const over = (e: Case['live'][number]) => {
        const level = e.decision?.candidates.find((c) => c.rule === 'frost')?.level;
        return level === undefined ? -Infinity : e.underside - level;
      };
      const high = live.filter((e) => over(e) > EPS);
      return all(high, () => ({ above: [most(high, over), 'size'], frost: [frost.depth ?? 0, 'length'] }), {
        codes: { by: frost.governs ?? 'local' },
      });
    },
  },
} as const satisfies Record<string, CautionRow>;
