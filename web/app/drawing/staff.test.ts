import { compute, groundModel, type Plan, sectionThrough, type Takeoff } from '@cimiento/core';
import fc from 'fast-check';
import { produce } from 'immer';
import { describe, expect, it } from 'vitest';
import { DEMOS, demoJob } from '../server/jobs.server.ts';
import type { Draft } from '../state/store.ts';
import { flagsFor } from './Staff.tsx';

const plans = await Promise.all(DEMOS.map(async (name) => (await demoJob(name)).plan));

function flagsOf(plan: Plan, index: number) {
  const takeoff = compute(plan);
  const model = groundModel(plan);
  const section = sectionThrough(plan, takeoff, index, 0, model);
  return flagsFor(plan, takeoff, model, plan.elements[index], section);
}

const lowest = ({ elements }: Takeoff, index: number): number => elements[index]!.groundLow;

describe('a flag on the staff', () => {
  it('stands where it was put, however often it was put there on the way', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...plans),
        fc.nat(),
        fc.nat(),
        fc.array(fc.integer({ min: -20, max: 20 }), { minLength: 1, maxLength: 4 }),
        (plan, element, which, ways) => {
          const index = element % plan.elements.length;
          const movable = flagsOf(plan, index).filter((flag) => flag.set);
          const flag = movable[which % movable.length]!;
          // A drag: each move tells how far it has come from where it began, in centimetres.
          const to = flag.level + ways.at(-1)! / 100;
          const put = produce(plan, (draft: Draft) => {
            for (const way of ways) flag.set!(draft, flag.level + way / 100);
          });
          expect(put).toEqual(produce(plan, (draft: Draft) => flag.set!(draft, to)));
          const there = flagsOf(put, index).find((one) => one.name === flag.name);
          // An engineer’s word may stop deciding when it is moved, and another rule takes its flag.
          if (!there && flag.name === 'word') return;
          // Frost is a depth below the lowest ground dug, which deeper frost may widen on to lower ground;
          // and it is never less than the winter reckons.
          const after = compute(put);
          const stands =
            flag.name === 'frost'
              ? lowest(after, index) - Math.max(lowest(compute(plan), index) - to, after.frost.computed ?? 0)
              : to;
          expect(there?.level).toBeCloseTo(stands, 6);
        },
      ),
      { numRuns: 40 },
    );
  });
});
