/** Steps, an engineer's word, the shallow school and the bed: what was decided, and against which rule. */
import { type LayerTakeoff, usualLift } from '../base/index.ts';
import { LEAST_LAP, leastLap, type Stepped } from '../levels/steps.ts';
import { layerValues } from '../plan/beds.ts';
import type { Instruction } from '../plan/schema.ts';
import { sizesOf } from '../setout/index.ts';
import type { ElementTakeoff } from '../takeoff/index.ts';
import { all, type Case, type CautionRow, EPS, type Finding, job, one } from './case.ts';

/** Elements that step, with their steps. */
const stepped = ({ live }: Case) =>
  live.flatMap((e) => (e.steps && e.steps.count > 0 ? [{ e, steps: e.steps }] : []));
type SteppedElement = ReturnType<typeof stepped>[number];
const wanted = ({ e, steps }: { e: SteppedElement['e']; steps: Stepped }) =>
  leastLap(steps.height, e.element.thickness);

const instructed = (
  { job: { plan }, live }: Case,
  what: (instruction: Instruction) => NonNullable<Finding['values']> | null,
): Finding[] =>
  plan.levels.instructions.flatMap((instruction) => {
    const values = what(instruction);
    const concerned = live.filter(
      (e) => instruction.elements.length === 0 || instruction.elements.includes(e.id),
    );
    return values ? all(concerned, () => values, { names: { who: instruction.who } }) : [];
  });

export const LEVEL_CAUTIONS = {
  // Steps higher, or laps shorter, than the rule: typed so by someone, who must be able to say why.
  stepHigh: {
    weight: 'warn',
    stage: 'levels',
    find: (at) => {
      const high = stepped(at).filter(({ e, steps }) => steps.height > e.element.thickness + EPS);
      return all(
        high.map(({ e }) => e),
        () => ({
          height: [Math.max(...high.map(({ steps }) => steps.height)), 'size'],
          thickness: [Math.min(...high.map(({ e }) => e.element.thickness)), 'size'],
        }),
      );
    },
  },
  lapShort: {
    weight: 'warn',
    stage: 'levels',
    find: (at) => {
      const short = stepped(at).filter((entry) => entry.steps.lap < wanted(entry) - EPS);
      return all(
        short.map(({ e }) => e),
        () => ({
          lap: [Math.min(...short.map(({ steps }) => steps.lap)), 'size'],
          wanted: [Math.max(...short.map(wanted)), 'size'],
          least: [LEAST_LAP, 'limit'],
        }),
      );
    },
  },
  instruction: {
    weight: 'warn',
    stage: 'levels',
    find: (at) => instructed(at, ({ level }) => (level === null ? null : { level: [level, 'level'] })),
  },
  instructionWidth: {
    weight: 'warn',
    stage: 'levels',
    find: (at) => instructed(at, ({ width }) => (width === null ? null : { width: [width, 'size'] })),
  },
  shallowSchool: {
    weight: 'stop',
    stage: 'levels',
    lifts: 'engineer',
    find: ({ job: { shallow } }) => (shallow ? job({ bed: [shallow.bed, 'size'] }) : []),
  },
} as const satisfies Record<string, CautionRow>;

/** Compacted layers that elements stand on, by bed, where something is to be said of them. */
const layersOf = (
  { job: { beds } }: Case,
  say: (laid: LayerTakeoff) => Finding['values'] | null,
): Finding[] =>
  beds.flatMap(({ bed, elements, layers }) =>
    elements.length === 0
      ? []
      : layers.flatMap((laid) => {
          const values = laid.lifts ? say(laid) : null;
          return values ? [{ elements, values, names: { bed: bed.name } }] : [];
        }),
  );

/** A bottom narrower than what comes down on it spreads to; null where it is wide enough. */
function tooNarrow({ element, bed, width, bottomLength, bays }: ElementTakeoff): {
  readonly has: number;
  readonly needs: number;
} | null {
  const at = bed?.layers.findIndex(({ purpose }) => purpose === 'replacement') ?? -1;
  // Under an old wall its engineer says how wide.
  if (!bed || at < 0 || bays) return null;
  const { across, along } = sizesOf(element);
  const layers = bed.layers.slice(at);
  const spread = layers.reduce((sum, { thickness }) => sum + thickness, 0);
  const reach = (dug: number, footing: number) => {
    const own = layers[0]!.projection;
    return own === null ? dug : Math.min(dug, footing + 2 * own);
  };
  const sides = [
    { has: reach(width.dug, across), needs: across + spread },
    ...(bottomLength === null ? [] : [{ has: reach(bottomLength, along), needs: along + spread }]),
  ];
  return sides.find(({ has, needs }) => has < needs - EPS) ?? null;
}

export const BED_CAUTIONS = {
  // What is put in place of soft soil carries only as wide as the load comes down on it, half out for one down.
  replacementNarrow: {
    weight: 'stop',
    stage: 'base',
    find: ({ live }) =>
      live.flatMap((e) => {
        const narrow = tooNarrow(e);
        return narrow ? one(e, { has: [narrow.has, 'size'], needs: [narrow.needs, 'size'] }) : [];
      }),
  },
  stoneSize: {
    weight: 'warn',
    stage: 'base',
    find: (at) =>
      layersOf(at, ({ layer, lifts }) =>
        lifts!.stoneTooLarge
          ? { stone: [layerValues(layer).topSize, 'size'], lift: [lifts!.thickness, 'size'] }
          : null,
      ),
  },
  liftOverCompactor: {
    weight: 'warn',
    stage: 'base',
    find: (at) =>
      layersOf(at, ({ layer: { maxLift, compactor, cohesive, proven } }) => {
        if (maxLift === null || compactor === null || proven) return null;
        const [, high] = usualLift(compactor, cohesive);
        return maxLift > high + EPS ? { specified: [maxLift, 'size'], typical: [high, 'size'] } : null;
      }),
  },
  compactorUnsuited: {
    weight: 'warn',
    stage: 'base',
    find: (at) =>
      layersOf(at, ({ lifts }) => (lifts!.unsuited ? { lift: [lifts!.thickness, 'size'] } : null)),
  },
} as const satisfies Record<string, CautionRow>;
