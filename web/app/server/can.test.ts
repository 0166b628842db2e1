import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Action, type Asking, allow, can } from './can.server.ts';

const lead: Asking = { crewId: 'a', role: 'lead', crewEdits: false };
const hand: Asking = { crewId: 'a', role: 'crew', crewEdits: false };
const editor: Asking = { crewId: 'a', role: 'crew', crewEdits: true };
const [own, other] = [{ crewId: 'a' }, { crewId: 'b' }];

describe('who may do what', () => {
  // What a lead may, what a hand may, what a hand may whose lead lets them.
  it.each<[Action, boolean, boolean]>([
    ['job.read', true, true],
    ['records.read', true, true],
    ['records.add', true, true],
    ['job.save', false, true],
    ['job.remove', false, false],
    ['job.bringBack', false, false],
  ])('%s: with a job of one’s crew, never of another, never of none', (action, byHand, byEditor) => {
    expect(can(lead, action, own)).toBe(true);
    expect(can(hand, action, own)).toBe(byHand);
    expect(can(editor, action, own)).toBe(byEditor);
    for (const person of [lead, hand, editor]) {
      expect(can(person, action, other)).toBe(false);
      expect(can(person, action)).toBe(false);
      expect(() => allow(person, action, other)).toThrow(expect.objectContaining({ init: { status: 404 } }));
    }
    if (!byHand)
      expect(() => allow(hand, action, own)).toThrow(expect.objectContaining({ init: { status: 403 } }));
  });
  it.each<[Action, boolean, boolean]>([
    ['jobs.list', true, true],
    ['jobs.create', false, true],
    ['people.list', true, true],
    ['people.change', false, false],
    ['self.change', true, true],
    ['archive.read', false, false],
    ['archive.take', false, false],
    ['gauge.read', true, true],
  ])('%s: of the crew itself needs no job', (action, byHand, byEditor) => {
    expect(can(lead, action)).toBe(true);
    expect(can(hand, action)).toBe(byHand);
    expect(can(editor, action)).toBe(byEditor);
  });
  it('is asked by every route that lets only people in', () => {
    const folder = join(import.meta.dirname, '../routes');
    const asks = /\ballow\(|\bjobHere\(|\bjobWithRecords\(|\bjobForPhone\(|\bsheetOf\(/;
    const silent = readdirSync(folder).filter((file) => {
      const text = readFileSync(join(folder, file), 'utf8');
      return /requirePerson|jobOf|params\.jobId/.test(text) && !asks.test(text);
    });
    expect(silent).toEqual([]);
  });
});
