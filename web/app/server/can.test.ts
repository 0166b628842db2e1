import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Action, allow, can } from './can.server.ts';

describe('who may do what', () => {
  const ana = { crewId: 'a' };
  const actions: Action[] = [
    'job.read',
    'job.save',
    'job.remove',
    'job.bringBack',
    'records.read',
    'records.add',
  ];
  it.each(actions)('%s: with a job of one’s crew, never of another, never of none', (action) => {
    expect(can(ana, action, { crewId: 'a' })).toBe(true);
    expect(can(ana, action, { crewId: 'b' })).toBe(false);
    expect(can(ana, action)).toBe(false);
    expect(() => allow(ana, action, { crewId: 'b' })).toThrow();
  });
  it('what is the crew’s own needs no job', () => {
    expect(can(ana, 'jobs.list')).toBe(true);
    expect(() => allow(ana, 'archive.read')).not.toThrow();
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
