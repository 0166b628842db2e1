/** Water, soil, frost and what nobody has said of them. */
import { isAssumed } from '../plan/assumed.ts';
import { floatsOf } from '../takeoff/index.ts';
import { type BoxFloat, FLOAT_SAFE } from '../water/flotation.ts';
import { HOLD_BELOW } from '../water/holes.ts';
import { all, type Case, type CautionRow, EPS, least, most } from './case.ts';

/** Boxes that are dug, through their states, with the last one. */
const boxes = ({ live, job: { plan } }: Case) =>
  live.flatMap((e) => {
    const box = floatsOf(plan, e);
    return box ? [{ e, box, done: box.states.at(-1)! }] : [];
  });
const unsafe = ({ safety }: BoxFloat) => safety !== null && safety < FLOAT_SAFE;

export const WATER_CAUTIONS = {
  water: {
    weight: 'stop',
    find: ({ live, job }) => {
      const wet = live.filter((e) => e.wet);
      return all(wet, () => ({
        above: [most(wet, (e) => (e.water ?? e.dug) - e.dug), 'size'],
        hold: [Math.min(...job.holes.map((hole) => hole.holdLevel)), 'level'],
      }));
    },
  },
  // Not in the hole yet, but nearer than it is held: it comes up through the bottom on a wet day.
  waterNear: {
    weight: 'warn',
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
    find: (at) =>
      boxes(at)
        .filter(({ done }) => unsafe(done))
        .map(({ e, box, done }) => ({
          elements: [e.id],
          names: { name: e.element.name },
          values: {
            safety: [done.safety ?? 0, 'number'],
            ballast: [done.ballast, 'load'],
            level: [box.underside + done.floatsAt, 'level'],
          },
        })),
  },
  floatsMeanwhile: {
    weight: 'warn',
    find: (at) =>
      boxes(at)
        .filter(({ box, done }) => !unsafe(done) && box.states.some(unsafe))
        .map(({ e, box }) => {
          const lowest = Math.min(...box.states.filter(unsafe).map(({ floatsAt }) => floatsAt));
          return {
            elements: [e.id],
            names: { name: e.element.name },
            values: { level: [box.underside + lowest / FLOAT_SAFE, 'level'] },
          };
        }),
  },
  floatUnknown: {
    weight: 'warn',
    find: (at) => all(boxes(at).flatMap(({ e, box }) => (box.water === null ? [e] : []))),
  },
  perched: { weight: 'warn', find: ({ live }) => all(live.filter((e) => e.perched)) },
  waterClass: {
    weight: 'warn',
    find: ({ live }) => all(live.filter((e) => (e.wet || e.perched) && e.rule.loweredByWater)),
  },
} as const satisfies Record<string, CautionRow>;

/** What nobody has said is not nothing: it is asked for, also while nothing is drawn yet. */
export const UNKNOWN_CAUTIONS = {
  frostUnknown: {
    weight: 'stop',
    find: ({ live, job }) => (job.frost.depth === null ? [{ elements: live.map((e) => e.id) }] : []),
  },
  waterUnknown: {
    weight: 'warn',
    find: ({ live, job }) => (job.water.from === null ? [{ elements: live.map((e) => e.id) }] : []),
  },
  soilAssumed: {
    weight: 'warn',
    find: ({ live, job: { plan } }) =>
      isAssumed(plan, '/ground/logs/0')
        ? [{ elements: live.map((e) => e.id), names: { name: plan.ground.logs[0]?.name ?? '' } }]
        : [],
  },
  coverAssumed: {
    weight: 'note',
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
    find: ({ live, rules }) => all(live, () => ({ setback: [rules.setback, 'length'] })),
  },
  services: { weight: 'warn', find: (at) => (marked(at) ? [] : all(at.live)) },
  servicesMarked: { weight: 'warn', find: (at) => (marked(at) ? all(at.live) : []) },
  // Ground frozen today stands like rock until it thaws, and then it falls.
  frozenFace: {
    weight: 'warn',
    find: ({ live, job: { frozen } }) =>
      frozen
        ? all(live, () => ({ depth: [frozen.depth, 'length'], longer: [1 / frozen.rate, 'number'] }))
        : [],
  },
  thaw: {
    weight: 'note',
    find: ({ live, job: { frozen, frost } }) =>
      !frozen && frost.depth !== null && frost.depth > 0 ? all(live) : [],
  },
  softening: { weight: 'note', find: ({ live }) => all(live.filter((e) => e.softBottom)) },
  beyondSurvey: { weight: 'warn', find: ({ live }) => all(live.filter((e) => !e.surveyed)) },
  aboveFrost: {
    weight: 'stop',
    find: ({ live }) =>
      all(
        live.filter((e) => {
          const frost = e.decision?.candidates.find((c) => c.rule === 'frost')?.level;
          return frost !== undefined && e.underside > frost + EPS;
        }),
      ),
  },
} as const satisfies Record<string, CautionRow>;
