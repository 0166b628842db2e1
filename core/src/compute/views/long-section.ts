/** A strip cut along its own axis, run after run, unrolled: how its bottom steps with the ground. */
import { type FencePost, fence, type GroundModel, groundModel } from '../../ground/index.ts';
import type { Need } from '../../levels/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { axisOf } from '../../setout/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

export interface LongStretch {
  /** m along the whole axis. */
  readonly s0: number;
  readonly s1: number;
  readonly underside: number;
  readonly top: number;
  readonly formation: number;
  readonly dug: number;
}

export interface LongSection {
  readonly length: number;
  readonly posts: readonly FencePost[];
  readonly stretches: readonly LongStretch[];
  /** Concrete of an upper tread over the lower one at a step. */
  readonly laps: readonly {
    readonly s0: number;
    readonly s1: number;
    readonly bottom: number;
    readonly top: number;
  }[];
  /** What the rules ask for along the axis; empty unless the strip steps. */
  readonly needs: readonly Need[];
  /** Where the axis bends, m. */
  readonly bends: readonly number[];
}

/** Posts along the whole axis. */
const POSTS = 120;

/** Null for a pad, or where nothing is dug. */
export function longSection(
  plan: Plan,
  takeoff: Takeoff,
  index: number,
  model: GroundModel = groundModel(plan),
): LongSection | null {
  const element = plan.elements[index];
  const info = takeoff.elements[index];
  const runs = element ? axisOf(element) : [];
  if (!element || !info?.live || runs.length === 0) return null;
  const length = runs.reduce((sum, run) => sum + run.length, 0);
  const posts: FencePost[] = [];
  const stretches: LongStretch[] = [];
  const laps: { s0: number; s1: number; bottom: number; top: number }[] = [];
  const bends: number[] = [];
  const under = info.underside - info.formation;
  let before = 0;
  runs.forEach((run, r) => {
    for (const post of fence(model, run.from, run.to, length / POSTS))
      posts.push({ ...post, s: before + post.s });
    const own = info.steps
      ? info.steps.stretches.filter((stretch) => stretch.run === r)
      : [{ s0: 0, s1: run.length, underside: info.underside }];
    own.forEach(({ s0, s1, underside }, k) => {
      const formation = underside - under;
      stretches.push({
        s0: before + s0,
        s1: before + s1,
        underside,
        top: underside + element.thickness,
        formation,
        dug: formation - info.low,
      });
      const next = own[k + 1];
      if (!info.steps || !next || next.underside === underside) return;
      const up = next.underside > underside;
      const [from, to] = up ? [s1 - info.steps.lap, s1] : [s1, s1 + info.steps.lap];
      laps.push({
        s0: before + from,
        s1: before + to,
        bottom: Math.min(underside, next.underside),
        top: Math.max(underside, next.underside) + element.thickness,
      });
    });
    before += run.length;
    if (r < runs.length - 1) bends.push(before);
  });
  return { length, posts, stretches, laps, needs: info.steps?.along ?? [], bends };
}
