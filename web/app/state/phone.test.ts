/** Jobs a phone keeps: apart by person, the newest looked at, read by a newer program, gone when somebody leaves. */
import 'fake-indexeddb/auto';
import { blankPlan, PLAN_VERSION, type Plan } from '@cimiento/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dropJob, isHere, keepJob, keptJob, keptJobs, leaves, whoIsHere, wipeLeft } from './phone.ts';

const store = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => void store.set(key, value),
  removeItem: (key: string) => void store.delete(key),
});

let person = 0;
const job = (id: string, more: Partial<Parameters<typeof keepJob>[1]> = {}) => ({
  id,
  plan: { ...blankPlan(`Job ${id}`, 'metric'), place: 'Here' },
  revision: 3,
  records: [],
  last: 7,
  asOf: 1000,
  ...more,
});

beforeEach(() => {
  store.clear();
  person++;
});
const ann = () => `ann${person}`;

describe('a phone', () => {
  it('keeps a job as it was last seen, and what was worked out of it until that is worked out anew', async () => {
    const view = { program: 'v1', view: { things: [] } } as unknown as NonNullable<
      Parameters<typeof keepJob>[1]['view']
    >;
    expect(await keepJob(ann(), job('a', { view }))).toBe(true);
    await keepJob(ann(), job('a', { revision: 4 }));
    expect(await keptJob(ann(), 'a')).toMatchObject({ revision: 4, last: 7, view: { program: 'v1' } });
    expect(await keptJob(ann(), 'b')).toBeNull();
    expect(await keptJobs(ann())).toEqual([{ id: 'a', name: 'Job a', place: 'Here', asOf: 1000 }]);
    await dropJob(ann(), 'a');
    expect(await keptJob(ann(), 'a')).toBeNull();
  });
  it('shows nobody another’s', async () => {
    await keepJob(ann(), job('a'));
    expect(await keptJobs(`bea${person}`)).toEqual([]);
    expect(await keptJob(`bea${person}`, 'a')).toBeNull();
  });
  it('keeps those looked at last', async () => {
    for (let i = 0; i < 45; i++) await keepJob(ann(), job(`j${i}`, { looked: i }));
    const kept = await keptJobs(ann());
    expect(kept).toHaveLength(40);
    expect(kept[0]!.id).toBe('j44');
    expect(kept.some(({ id }) => id === 'j4')).toBe(false);
  });
  it('reads what an earlier program kept, and leaves alone what a newer one did', async () => {
    const { permits: _permits, holds: _holds, ...old } = job('a').plan;
    await keepJob(ann(), job('a', { plan: { ...old, version: 11 } as unknown as Plan }));
    expect((await keptJob(ann(), 'a'))!.plan).toMatchObject({ version: PLAN_VERSION, permits: [] });
    await keepJob(ann(), job('b', { plan: { ...old, version: 99 } as unknown as Plan }));
    expect(await keptJob(ann(), 'b')).toBeNull();
  });
  it('is wiped of who signs out, at the door, and of nobody else', async () => {
    await keepJob(ann(), job('a'));
    await keepJob(`bea${person}`, job('b'));
    isHere({ id: ann(), name: 'Ann' });
    expect(whoIsHere()).toEqual({ id: ann(), name: 'Ann' });
    // A session that ended by itself is nobody leaving.
    await wipeLeft();
    expect(await keptJobs(ann())).toHaveLength(1);
    leaves();
    await wipeLeft();
    expect(await keptJobs(ann())).toEqual([]);
    expect(await keptJobs(`bea${person}`)).toHaveLength(1);
    expect(whoIsHere()).toBeNull();
  });
});
