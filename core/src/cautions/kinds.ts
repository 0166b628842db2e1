/** What slabs, drains, old walls and people who dig must hear: founded, drained, dug otherwise than a trench. */

import { PRACTICE } from '../catalogue/practice.ts';
import { cornerMean, edges, at as evaluate, intersect } from '../geometry/index.ts';
import { completeInstruction, SPLASH } from '../levels/index.ts';
import { crossfallOf, drainOf, outfallOf, traitsOf } from '../plan/variants.ts';
import { fallOf } from '../setout/index.ts';
import { FOOT } from '../units/index.ts';
import { byHead, FLAT } from '../water/drain.ts';
import { all, type Case, type CautionRow, EPS, type Finding, least, most } from './case.ts';

const slabs = ({ live }: Case) => live.filter((e) => traitsOf(e.element).byFloor);
/** Slabs that are floors: what falls is paving outside, made to shed water. */
const floorSlabs = (at: Case) => slabs(at).filter((e) => !crossfallOf(e.element));
const drains = ({ live }: Case) => live.filter((e) => traitsOf(e.element).drains);

/** A plinth over the ground against splash, m: practice. */
const PLINTH = 0.45;

/** Level of an element's bottom at a place, m; the lowest when it is nowhere there. */
function bottomAt({ job: { solid } }: Case, index: number, x: number, y: number, lowest: number): number {
  const part = solid.parts.find((one) => one.owner === index && one.fills);
  return part ? evaluate(part.floor, x, y) : lowest;
}

/** Where a drain passes a footing: over it, under it, or through it. */
function crossings(at: Case): Finding[] {
  return drains(at).flatMap((drain) =>
    at.live.flatMap((other): Finding[] => {
      // Into a stone footing a drain leads on purpose.
      const { onStone } = traitsOf(other.element);
      if (other.index === drain.index || onStone || other.footings.length === 0) return [];
      for (const { plan, underside, top } of other.footings)
        for (const bottom of drain.bottoms) {
          const shared = intersect(plan, edges(bottom));
          if (shared.length < 6) continue;
          const [x, y] = cornerMean(shared);
          const low = bottomAt(at, drain.index, x, y, drain.dug);
          const [under, over] = [underside - (low + drain.element.thickness), low - top];
          const clear = Math.max(under, over);
          return [
            {
              elements: [drain.id, other.id],
              names: { drain: drain.element.name, footing: other.element.name },
              values: { clear: [Math.max(0, clear), 'size'] },
              ...(clear < -EPS && { weight: 'stop' as const }),
            },
          ];
        }
      return [];
    }),
  );
}

/** Soft ground left past the bottoms that is not worth a word, m². */
const SPOT_PAST = 0.05;

/** What water in a flat drain is told by, m: a foot, 0.30 m, more than any stands higher in a bed. */
const HIGHER = FOOT;

export const KIND_CAUTIONS = {
  // Frost reaches soil it lifts: more bed, or a board.
  slabFrost: {
    weight: 'stop',
    stage: 'levels',
    lifts: 'engineer',
    find: (at) => {
      const lifted = slabs(at).filter((e) => e.slab?.lifts);
      return all(lifted, () => ({
        short: [most(lifted, (e) => e.slab!.short), 'size'],
        bed: [most(lifted, (e) => e.slab!.bed), 'size'],
        reach: [most(lifted, (e) => e.slab!.reach), 'size'],
      }));
    },
  },
  // It stands above the frost line on purpose: an engineer says so, by name, when and why, or it waits.
  slabEngineer: {
    weight: 'stop',
    stage: 'levels',
    lifts: 'engineer',
    find: (at) => all(slabs(at).filter((e) => completeInstruction(at.job.plan, e.id) === null)),
  },
  slabSide: {
    weight: 'warn',
    stage: 'levels',
    lifts: 'engineer',
    find: (at) => {
      const open = floorSlabs(at).filter((e) => (e.slab?.side?.width ?? 0) > 0);
      return all(open, () => ({
        way: [least(open, (e) => e.slab!.side!.way), 'size'],
        frost: [most(open, (e) => e.slab!.side!.frost), 'size'],
        width: [most(open, (e) => e.slab!.side!.width), 'size'],
      }));
    },
  },
  slabLow: {
    weight: 'warn',
    stage: 'levels',
    lifts: 'engineer',
    find: (at) => {
      const wanted = at.job.plan.levels.splash ?? SPLASH;
      const low = floorSlabs(at).filter((e) => e.top < e.groundHigh + wanted - EPS);
      const over = low.length > 0 ? least(low, (e) => e.top - e.groundHigh) : 0;
      return all(low, () => ({ over: [Math.abs(over), 'size'], wanted: [wanted, 'size'] }), {
        codes: { where: over < 0 ? 'under' : 'over' },
      });
    },
  },
  drainFlat: {
    weight: 'warn',
    stage: 'water',
    find: (at) =>
      drains(at).flatMap((e): Finding[] => {
        const drain = drainOf(e.element);
        if (!drain?.outfall || Math.abs(fallOf(drain)) >= FLAT) return [];
        const { pipe, width, thickness } = drain;
        return [
          {
            elements: [e.id],
            names: { drain: e.element.name },
            values: {
              stand: [pipe?.bedding ?? 0, 'size'],
              flow: [HIGHER * byHead(width * thickness, e.length), 'flow'],
              higher: [HIGHER, 'limit'],
            },
          },
        ];
      }),
  },
  drainCrosses: { weight: 'warn', stage: 'water', lifts: 'engineer', graver: true, find: crossings },
  drainNowhere: {
    weight: 'warn',
    stage: 'water',
    find: (at) => all(drains(at).filter((e) => outfallOf(e.element) === null)),
  },
  // Nothing is covered that failed its test, or that the one below it did.
  liftFailed: {
    weight: 'stop',
    stage: 'base',
    lifts: 'engineer',
    find: ({ live }) => all(live.filter((e) => e.cards.some((card) => card.state === 'failed'))),
  },
  liftCovered: {
    weight: 'stop',
    stage: 'base',
    lifts: 'engineer',
    find: ({ live }) =>
      all(live.filter((e) => e.cards.some((card) => card.waits && card.state !== 'toCome'))),
  },
  liftOverridden: {
    weight: 'warn',
    stage: 'base',
    lifts: 'engineer',
    find: ({ live }) =>
      live.flatMap((e): Finding[] =>
        e.cards
          .filter((card) => card.state === 'overridden' && card.release)
          .map(({ release }) => ({
            elements: [e.id],
            names: { who: release!.value.who, reason: release!.value.reason },
          })),
      ),
  },
  // Deeper than the trench by its own depth, and its sides are upright.
  softDeep: {
    weight: 'stop',
    stage: 'base',
    lifts: 'engineer',
    find: ({ job: { soft }, live }) =>
      soft.flatMap(({ spot, pieces, deepest }): Finding[] => {
        const under = live.filter((e) => pieces.some((piece) => piece.owner === e.index));
        const from = Math.min(...under.map((e) => e.rule.protectFrom ?? Infinity));
        if (deepest < from - EPS) return [];
        return [
          {
            elements: under.map((e) => e.id),
            names: { spot: spot.name },
            values: { depth: [deepest, 'length'], from: [from, 'length'] },
          },
        ];
      }),
  },
  softPast: {
    weight: 'warn',
    stage: 'base',
    lifts: 'engineer',
    find: ({ job: { soft, elements } }) =>
      soft
        .filter(({ outside, volume }) => volume > 0 && outside > SPOT_PAST)
        .map(
          ({ spot, outside, pieces }): Finding => ({
            elements: elements.filter((e) => pieces.some(({ owner }) => owner === e.index)).map((e) => e.id),
            names: { spot: spot.name },
            values: { outside: [outside, 'area'] },
          }),
        ),
  },
  underpinOpen: {
    weight: 'stop',
    stage: 'dig',
    lifts: 'engineer',
    find: ({ live }) => all(live.filter((e) => traitsOf(e.element).wallUnknown)),
  },
  stoneBeam: {
    weight: 'warn',
    stage: 'base',
    find: ({ live }) => {
      const low = live.filter((e) => traitsOf(e.element).onStone && e.top < e.groundHigh + PLINTH - EPS);
      return all(low, () => ({
        over: [
          Math.max(
            0,
            least(low, (e) => e.top - e.groundHigh),
          ),
          'size',
        ],
        wanted: [PLINTH, 'size'],
      }));
    },
  },
  handDeep: {
    weight: 'warn',
    stage: 'dig',
    find: ({ live, job: { work } }) => {
      const staged = work.hand.elements.filter((one) => one.staged).map((one) => one.id);
      const deep = live.filter((e) => staged.includes(e.id));
      return all(deep, () => ({
        depth: [most(deep, (e) => e.depth), 'length'],
        most: [PRACTICE.throw.value, 'length'],
      }));
    },
  },
} as const satisfies Record<string, CautionRow>;
