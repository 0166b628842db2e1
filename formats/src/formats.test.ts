import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { compute, type Plan } from '@cimiento/core';
import { PlanSchema } from '@cimiento/core/schema';
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMOS } from '../../core/src/testing.ts';
import { readPlan, writePlan } from './plan-file.ts';
import { cell, takeoffCsv } from './takeoff-csv.ts';
import { takeoffJson } from './takeoff-json.ts';

const text = (name: string) => readFileSync(join(import.meta.dirname, `../../demo/${name}.json`), 'utf8');
const plan = (name: string): Plan => {
  const read = readPlan(text(name));
  if (!read.ok) throw new Error('demo');
  return read.plan;
};

describe('the takeoff as CSV', () => {
  it('adds up: neat and every cause of over-dig make the dig, ramps included', () => {
    for (const name of DEMOS) {
      const read = readPlan(readFileSync(join(import.meta.dirname, `../../demo/${name}.json`), 'utf8'));
      if (!read.ok) throw new Error(name);
      const takeoff = compute(read.plan);
      const rows = takeoffCsv(read.plan, takeoff)
        .split('\r\n')
        .map((line) => line.split(','));
      const parts = rows.filter((row) => row[0] === 'dig').map((row) => Number(row[3]));
      expect(
        parts.reduce((sum, part) => sum + part, 0),
        name,
      ).toBeCloseTo(takeoff.figures.dig.value, 4);
    }
  });
});

describe('the shipped schema', () => {
  it('is the one the door uses', () => {
    const shipped: unknown = JSON.parse(
      readFileSync(join(import.meta.dirname, '../../docs/plan.schema.json'), 'utf8'),
    );
    // npx tsx scripts/schema.ts writes it anew.
    expect(shipped).toEqual(JSON.parse(JSON.stringify(PlanSchema)));
  });
});

describe('the plan file', () => {
  it('goes out and comes back without loss', () => {
    for (const name of DEMOS) {
      // A demo on which something was logged is a job file: its plan is in it.
      const shipped = JSON.parse(text(name)) as { readonly plan?: unknown };
      expect(JSON.parse(writePlan(plan(name)))).toEqual(shipped.plan ?? shipped);
      expect(readPlan(writePlan(plan(name)))).toEqual({ ok: true, plan: plan(name) });
    }
  });
  it('tells a file that is not JSON from a plan with problems', () => {
    expect(readPlan('{"format":')).toMatchObject({
      ok: false,
      unreadable: true,
      problems: [{ code: 'notJson' }],
    });
    expect(readPlan('[')).toMatchObject({ unreadable: true });
    expect(readPlan('['.repeat(200_000))).toMatchObject({ ok: false });
    expect(readPlan(' '.repeat(5_000_000))).toMatchObject({
      unreadable: true,
      problems: [{ code: 'tooLong' }],
    });
    expect('unreadable' in readPlan('{}')).toBe(false);
    expect(readPlan(`\uFEFF${text('bell-frame')}`).ok).toBe(true);
  });
});

describe('the takeoff as JSON', () => {
  it('is SI, finite, and survives a round trip', () => {
    const json = takeoffJson(plan('honey-house'), compute(plan('honey-house')));
    const back = JSON.parse(JSON.stringify(json));
    expect(back).toEqual(json);
    expect(JSON.stringify(json)).not.toContain('null,null');
    expect(back.figures.dig).toMatchObject({ unit: 'm3' });
    expect(back.figures.water.unit).toBe('m3/s');
    expect(back.elements).toHaveLength(plan('honey-house').elements.length);
  });
});

describe('the takeoff as CSV', () => {
  it('is read by another reader, with the same figures', () => {
    const takeoff = compute(plan('honey-house'));
    const rows: string[][] = parse(takeoffCsv(plan('honey-house'), takeoff));
    expect(rows[0]).toEqual(['section', 'item', 'quantity', 'value', 'unit']);
    const dig = rows.find((row) => row[0] === 'figure' && row[1] === 'dig')!;
    expect(Number(dig[3])).toBeCloseTo(takeoff.figures.dig.value, 5);
    expect(rows.filter((row) => row[0] === 'stratum' && row[2] === 'bank')).toHaveLength(4);
  });

  it('never hands a spreadsheet a formula', () => {
    for (const bad of ['=1+1', '+1', '-1+2', '@SUM(A1)', '\t=1', ' =cmd', '\r=1'])
      expect(cell(bad).replace(/^"/, '')[0]).toBe("'");
    expect(cell(-1.5)).toBe('-1.5');
    expect(cell('a "b", c')).toBe('"a ""b"", c"');
    expect(cell(Number.NaN)).toBe('');
    const evil = { ...plan('bell-frame'), name: '=HYPERLINK("x")' };
    expect(takeoffCsv(evil, compute(evil))).toContain(`"'=HYPERLINK(""x"")"`);
  });

  it('keeps any text whole', () => {
    fc.assert(
      fc.property(fc.string(), (value) => {
        const [[back]] = parse(`${cell(value)},x\r\n`, { relax_column_count: true }) as [[string]];
        expect(back === value || back === `'${value}`).toBe(true);
      }),
    );
  });
});
