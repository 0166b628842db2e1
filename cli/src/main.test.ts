import { mkdtempSync, writeFileSync } from 'node:fs';
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
    expect(json.figures.dig.value).toBeGreaterThan(100);
    expect(out).not.toMatch(/NaN|Infinity/);
  });
  it('prints CSV when asked', async () => {
    expect((await cimiento('takeoff', demo('bell-frame'), '--csv')).out).toMatch(/^section,item/);
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
