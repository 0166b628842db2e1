import 'fake-indexeddb/auto';
import { blankPlan, type SiteRecord } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { keep, letGo, waitingOf } from './outbox.ts';
import { joined, recordOf } from './records.ts';
import { makeDesk } from './store.ts';

const note = (text: string): SiteRecord => recordOf('note', { text });

describe('the outbox', () => {
  it('keeps records by job until they are let go, in the order of time', async () => {
    const [a, b, c] = [note('a'), { ...note('b'), at: '2020-01-01T00:00:00.000Z' }, note('c')];
    expect(await keep('job-1', a)).toBe(true);
    await keep('job-1', b);
    await keep('job-2', c);
    expect((await waitingOf('job-1')).map((record) => record.id)).toEqual([b.id, a.id]);
    await keep('job-1', a);
    expect(await waitingOf('job-1')).toHaveLength(2);
    await letGo([a.id, b.id]);
    expect(await waitingOf('job-1')).toEqual([]);
    expect(await waitingOf('job-2')).toEqual([c]);
  });
});

describe('records of a desk', () => {
  it('are of one id each, the later word counting: the server says by whom', () => {
    const a = note('a');
    const said = { ...a, by: 'Ana' };
    expect(joined([a], [said, note('b')])).toHaveLength(2);
    expect(joined([a], [said])).toEqual([said]);
  });
  it('carry an id, their moment and what they are of', () => {
    const record = recordOf('note', { text: 'x' }, { element: 'T1', corrects: 'y' });
    expect(record).toMatchObject({ kind: 'note', element: 'T1', corrects: 'y', place: null });
    expect(record.id).toMatch(/^[A-Za-z0-9_-]{1,40}$/);
    expect(Math.abs(Date.parse(record.at) - Date.now())).toBeLessThan(5000);
  });
  it('are beside the plan: undo and redo never touch one', () => {
    const desk = makeDesk(blankPlan('x', 'metric'), 1, [note('first')]);
    desk.getState().edit((d) => {
      d.levels.string = 101;
    });
    desk.setState({ records: [...desk.getState().records, note('second')] });
    desk.getState().undo();
    expect(desk.getState().plan.levels.string).toBe(100.5);
    expect(desk.getState().records).toHaveLength(2);
    desk.getState().redo();
    desk.getState().replace(blankPlan('y', 'metric'));
    expect(desk.getState().records).toHaveLength(2);
  });
});
