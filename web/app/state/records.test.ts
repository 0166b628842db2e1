import 'fake-indexeddb/auto';
import { blankPlan, type SiteRecord } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { joined } from './joined.ts';
import { recordOf } from './records.ts';
import { makeDesk } from './store.ts';

const desk = () => makeDesk(blankPlan('x', 'metric'), 4).getState();
const note = (text: string): SiteRecord => recordOf(desk(), 'note', { text });

describe('records of a desk', () => {
  it('are of one id each, the later word counting: the server says by whom', () => {
    const a = note('a');
    const said = { ...a, by: 'Ana' };
    expect(joined([a], [said, note('b')])).toHaveLength(2);
    expect(joined([a], [said])).toEqual([said]);
  });
  it('carry an id, their moment and what they are of', () => {
    const record = recordOf(
      { ...desk(), records: [note('before')] },
      'note',
      { text: 'x' },
      { element: 'T1', corrects: 'y' },
    );
    expect(record).toMatchObject({ kind: 'note', element: 'T1', corrects: 'y', place: null, revision: 4 });
    expect(record.after).toMatch(/./);
    expect(note('first').after).toBeNull();
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
