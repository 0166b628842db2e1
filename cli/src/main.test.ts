import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { run } from './main.ts';

const folder = mkdtempSync(join(tmpdir(), 'cimiento-cli-'));
const demo = (name: string) => join(import.meta.dirname, `../../demo/${name}.json`);
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
async function cimiento(...args: string[]) {
  let out = '';
  let err = '';
  const status = await run(args, {
    out: (text) => {
      out += text;
    },
    err: (text) => {
      err += text;
    },
  });
  return { status, out, err };
}

describe('cimiento takeoff', () => {
  it('prints the takeoff in SI, exit 0', async () => {
    const { status, out, err } = await cimiento('takeoff', demo('honey-house'));
    expect([status, err]).toEqual([0, '']);
    const json = JSON.parse(out);
    // As planned, and what the shots logged on it are low.
    expect(json.figures.dig.value).toBeCloseTo(339.2413775 + 0.3256041, 6);
    expect(out).not.toMatch(/NaN|Infinity/);
  });
  it('prints CSV when asked', async () => {
    expect((await cimiento('takeoff', demo('bell-frame'), '--csv')).out).toMatch(/^section,item/);
  });
});

describe('cimiento days', () => {
  it('prints tasks and days from the plan’s own start, or from a day; the same input, the same answer', async () => {
    const { status, out, err } = await cimiento('days', demo('honey-house'));
    expect([status, err]).toEqual([0, '']);
    const json = JSON.parse(out);
    expect(json.first).toBe('2026-10-08');
    expect(json.tasks.find(({ id }: { id: string }) => id === 'pour/footings')).toMatchObject({
      kind: 'pour',
    });
    expect(out).not.toMatch(/NaN|Infinity/);
    expect((await cimiento('days', demo('honey-house'))).out).toBe(out);
    const later = JSON.parse((await cimiento('days', demo('honey-house'), '--today', '2026-12-01')).out);
    expect(later.first).toBe('2026-12-01');
    expect(later.last > json.last).toBe(true);
  });
  it('exits 2 at a day that is none', async () => {
    for (const flags of [['--today'], ['--today', '2026-02-30'], ['--today', 'tomorrow'], ['--csv']])
      expect((await cimiento('days', demo('honey-house'), ...flags)).status).toBe(2);
  });
});

describe('cimiento validate', () => {
  it('exits 0 for a good plan, 1 with paths for a bad one', async () => {
    expect((await cimiento('validate', demo('bell-frame'))).status).toBe(0);
    const bad = file('bad.json', '{"format":"cimiento-plan","version":2}');
    const { status, out } = await cimiento('validate', bad);
    expect(status).toBe(1);
    expect(JSON.parse(out).problems).toContainEqual(
      expect.objectContaining({ code: 'missing', path: '/levels' }),
    );
  });
});

describe('cimiento record', () => {
  const plan = JSON.parse(readFileSync(demo('bell-frame'), 'utf8'));
  const entry = { at: '', by: 'Ada', kind: 'note', element: null, place: null, corrects: null };
  const noted = (id: string, at: string, text: string, corrects: string | null = null) => ({
    ...entry,
    id,
    at,
    corrects,
    value: { text },
  });
  const job = (records: readonly object[]) =>
    file(
      `job-${String(records.length)}.json`,
      JSON.stringify({ format: 'cimiento-job', version: 1, plan, records }),
    );
  const late = noted('r2', '2026-05-02T15:00:00Z', 'rain, stopped at 3');
  const early = noted('r1', '2026-05-01T07:00:00Z', 'truck 20 min late, "soft" gate');
  const instead = noted('r3', '2026-05-03T07:00:00Z', 'truck 30 min late', 'r1');

  it('prints every record in the order of time, the corrected one marked', async () => {
    const { status, out } = await cimiento('record', job([late, instead, early]));
    expect(status).toBe(0);
    expect(out.trimEnd().split('\r\n')).toEqual([
      'at,by,kind,element,x,y,value,stands,id,corrects,placement',
      '2026-05-01T07:00:00Z,Ada,note,,,,"text=truck 20 min late, ""soft"" gate",no,r1,,',
      '2026-05-02T15:00:00Z,Ada,note,,,,"text=rain, stopped at 3",yes,r2,,',
      '2026-05-03T07:00:00Z,Ada,note,,,,text=truck 30 min late,yes,r3,r1,',
    ]);
  });
  it('prints its head alone of a plan without records', async () => {
    const { status, out } = await cimiento('record', demo('bell-frame'));
    expect([status, out]).toEqual([0, 'at,by,kind,element,x,y,value,stands,id,corrects,placement\r\n']);
  });
  it('a job file is taken off like its plan', async () => {
    const [ofJob, ofPlan] = await Promise.all([
      cimiento('takeoff', job([early])),
      cimiento('takeoff', demo('bell-frame')),
    ]);
    expect(ofJob).toEqual(ofPlan);
  });
  it('names a bad record by its path', async () => {
    const { status, out } = await cimiento('validate', job([early, { ...late, value: { text: 7 } }]));
    expect(status).toBe(1);
    expect(JSON.parse(out).problems).toContainEqual(
      expect.objectContaining({ path: '/records/1/value/text' }),
    );
  });
});

describe('what cannot be read', () => {
  it.each([
    ['a missing file', ['takeoff', '/nowhere.json']],
    ['a file that is not JSON', ['validate', file('not.json', 'hello')]],
    ['an unknown command', ['dig', demo('bell-frame')]],
    ['no file', ['takeoff']],
    ['an unknown flag', ['takeoff', demo('bell-frame'), '--xml']],
  ])('%s exits 2 and says so', async (_name, args) => {
    const { status, err } = await cimiento(...args);
    expect(status).toBe(2);
    expect(err).not.toBe('');
    expect(err).not.toContain('    at ');
  });
});
