/** What can hurt people in the hole: sides, depth, ladders, air. */
import { all, type Case, type CautionRow, EPS, least, most, whose } from './case.ts';

/** How flat its sides stand, H:V; held ones are as good as flat. */
const flatness = (e: Case['live'][number], { job }: Case) => {
  const { bench } = job.plan.dig;
  return e.support === 'shore' ? Infinity : e.support === 'bench' ? bench.width / bench.height : e.slope;
};
const tooSteep = (e: Case['live'][number], at: Case) => flatness(e, at) < e.rule.steepest - EPS;
/** Numbers of what stands too steep. */
const steepness = (steep: Case['live']) => ({
  depth: [most(steep, (e) => e.depth), 'length'] as const,
  from: [least(steep, (e) => e.rule.protectFrom ?? 0), 'limit'] as const,
  steepest: [most(steep, (e) => e.rule.steepest), 'slope'] as const,
});
const inside = ({ live, rules }: Case) => live.filter((e) => e.depth >= rules.ladderDepth);

/** A ladder's rails stand out over what one steps off on by this, m (3 ft): US 29 CFR 1926.1053(b)(1). */
const LADDER_ABOVE = 0.9144;
/** Less oxygen, or more of what burns as a share of what explodes, and nobody is down: US 29 CFR 1926.651(g)(1). */
const LEAST_OXYGEN = 0.195;
const MOST_VAPOUR = 0.1;

export const SIDE_CAUTIONS = {
  unsupported: {
    weight: 'stop',
    stage: 'dig',
    find: (at) => {
      const steep = at.needing.filter((e) => !e.bays && tooSteep(e, at));
      return all(steep, () => steepness(steep), whose(at));
    },
  },
  // A pit under a wall cannot be sloped: what holds it stands in it.
  pitsUnsupported: {
    weight: 'stop',
    stage: 'dig',
    find: (at) => {
      const pits = at.needing.filter((e) => e.bays && tooSteep(e, at));
      return all(
        pits,
        () => {
          const { depth, from } = steepness(pits);
          return { depth, from };
        },
        whose(at),
      );
    },
  },
  engineerDepth: {
    weight: 'stop',
    stage: 'dig',
    lifts: 'engineer',
    find: (at) => {
      const { live, rules } = at;
      const beyond = live.filter((e) => e.depth > rules.engineerDepth);
      return all(
        beyond,
        () => ({
          depth: [most(beyond, (e) => e.depth), 'length'],
          limit: [rules.engineerDepth, 'limit'],
        }),
        whose(at),
      );
    },
  },
} as const satisfies Record<string, CautionRow>;

export const PEOPLE_CAUTIONS = {
  caveIn: {
    weight: 'warn',
    stage: 'dig',

    find: (at) =>
      all(
        at.needing.filter((e) => e.support !== 'shore' && !tooSteep(e, at)),
        () => ({ depth: [most(at.needing, (e) => e.depth), 'length'] }),
      ),
  },
  shored: {
    weight: 'warn',
    stage: 'dig',
    find: ({ live }) => all(live.filter((e) => e.support === 'shore')),
  },
  ladder: {
    weight: 'warn',
    stage: 'dig',
    standing: true,
    find: (at) =>
      all(
        inside(at),
        () => ({
          deep: [most(inside(at), (e) => e.depth), 'length'],
          depth: [at.rules.ladderDepth, 'limit'],
          travel: [at.rules.ladderTravel, 'limit'],
          above: [LADDER_ABOVE, 'limit'],
        }),
        whose(at),
      ),
  },
  gas: {
    weight: 'note',
    stage: 'dig',
    standing: true,
    find: (at) =>
      all(inside(at), () => ({
        deep: [most(inside(at), (e) => e.depth), 'length'],
        depth: [at.rules.ladderDepth, 'limit'],
        oxygen: [LEAST_OXYGEN, 'percent'],
        vapour: [MOST_VAPOUR, 'percent'],
      })),
  },
  rescue: { weight: 'warn', stage: 'dig', standing: true, find: (at) => all(inside(at)) },
  ringUnknown: {
    weight: 'warn',
    stage: 'dig',
    find: ({ live, job: { plan } }) => (plan.emergencyContact.trim() === '' ? all(live) : []),
  },
} as const satisfies Record<string, CautionRow>;
