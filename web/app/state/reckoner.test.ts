/** The takeoff keeps step with plan and records, on the spot or in a worker. */
import { blankPlan, compute, newPad, type Takeoff } from '@cimiento/core';
import { describe, expect, it, vi } from 'vitest';
import type { Job } from './ask/questions.ts';
import { LONGEST_TAKEOFF, type Means, reckon } from './reckoner.ts';
import { recordOf } from './records.ts';
import { makeDesk } from './store.ts';

const plan = () => {
  const made = blankPlan('Shed', 'metric');
  return { ...made, elements: [newPad(made, [0, 0], 1, 1)] };
};

function desk(took: () => number = () => 1) {
  const store = makeDesk(plan(), 1);
  let clock = 0;
  const work = vi.fn((job: Job): Takeoff => {
    clock += took();
    return compute(job.plan, job.records);
  });
  const asked: { job: Job; answer: (takeoff: Takeoff | null, after?: number) => Promise<void> }[] = [];
  const ask = (job: Job) =>
    new Promise<Takeoff | null>((done) => {
      asked.push({
        job,
        answer: async (takeoff, after = 1) => {
          clock += after;
          done(takeoff);
          await Promise.resolve();
          await Promise.resolve();
        },
      });
    });
  const stop = vi.fn();
  const means: Means = { now: () => clock, work, asker: { ask: ask as Means['asker']['ask'], stop } };
  const end = reckon(store, means);
  const widen = (by: number) =>
    store.getState().edit((draft) => {
      const [pad] = draft.elements;
      if (pad?.kind === 'pad') Object.assign(pad, { width: 1 + by });
    });
  return { store, work, asked, end, stop, widen };
}

describe('the takeoff of a desk', () => {
  it('is there with the edit: nobody ever sees a plan beside an older figure', () => {
    const { store, widen, work } = desk();
    const seen: boolean[] = [];
    store.subscribe(({ plan: now, worked }) => seen.push(worked.plan === now));
    const before = store.getState().worked.takeoff!.figures.dig.value;
    widen(1);
    const { worked, plan: now } = store.getState();
    expect(worked.plan).toBe(now);
    expect(worked.takeoff!.figures.dig.value).toBeGreaterThan(before);
    expect(work).toHaveBeenCalledTimes(2);
    // Told last of the pair that fits.
    expect(seen.at(-1)).toBe(true);
  });

  it('is not worked out again for what moves none of it', () => {
    const { store, work } = desk();
    const log = (record: ReturnType<typeof recordOf>) =>
      store.setState({ records: [...store.getState().records, record] });
    const { takeoff } = store.getState().worked;
    log(recordOf(store.getState(), 'note', { text: 'rain' }));
    expect(store.getState().worked.takeoff).toBe(takeoff);
    log(recordOf(store.getState(), 'taped', { from: 'A', to: 'B', distance: 3 }));
    expect(store.getState().worked.takeoff!.figures).toBe(takeoff!.figures);
    expect(store.getState().worked.takeoff!.facts.taped).toHaveLength(1);
    expect(store.getState().worked.records).toBe(store.getState().records);
    expect(work).toHaveBeenCalledTimes(1);
    log(recordOf(store.getState(), 'frozen', { depth: 0.3, from: 'typed', when: '' }));
    expect(work).toHaveBeenCalledTimes(2);
  });

  it('goes to a worker once it keeps taking long, where the newest plan counts, and back when it is quick', async () => {
    let took = 40;
    const { store, widen, work, asked } = desk(() => took);
    for (const by of [1, 2, 3]) widen(by);
    expect(work).toHaveBeenCalledTimes(4);
    widen(4);
    expect(work).toHaveBeenCalledTimes(4);
    expect(asked).toHaveLength(1);
    const shown = store.getState().worked.plan;
    expect(shown).not.toBe(store.getState().plan);
    widen(5);
    // The older one has its place taken; what is shown stays what it was.
    await asked[0]!.answer(null);
    expect(store.getState().worked.plan).toBe(shown);
    await asked[1]!.answer(compute(asked[1]!.job.plan, []));
    expect(store.getState().worked.plan).toBe(store.getState().plan);
    took = 1;
    widen(6);
    expect(work).toHaveBeenCalledTimes(5);
  });

  it('that takes too long is called off, and said to be of an earlier plan', async () => {
    const { store, widen, asked } = desk(() => 1000);
    // The first one may take as long as it takes: nothing is warm yet.
    widen(1);
    expect(asked).toHaveLength(0);
    widen(2);
    await asked[0]!.answer(null, LONGEST_TAKEOFF);
    expect(store.getState().worked.calledOff).toBe(true);
    expect(store.getState().worked.takeoff).not.toBeNull();
    widen(3);
    await asked[1]!.answer(compute(asked[1]!.job.plan, []));
    expect(store.getState().worked.calledOff).toBe(false);
  });

  it('ends with the desk', () => {
    const { widen, work, end, stop } = desk();
    end();
    widen(1);
    expect(work).toHaveBeenCalledTimes(1);
    expect(stop).toHaveBeenCalled();
  });
});
