import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankPlan, compute, type Plan, wintersOf } from '@cimiento/core';
import { validatePlan } from '@cimiento/core/validate';
import { describe, expect, it } from 'vitest';
import { readClimateCsv } from './climate-csv.ts';
import { readLogsCsv, writeLogsCsv } from './logs-csv.ts';
import { readPlan } from './plan-file.ts';

const shipped = (name: string) => readFileSync(join(import.meta.dirname, `../../demo/${name}`), 'utf8');
const honey = (): Plan => {
  const read = readPlan(shipped('honey-house.json'));
  if (!read.ok) throw new Error('demo');
  return read.plan;
};

describe('a climate record', () => {
  it('of the demo gives the winters its plan holds', () => {
    const read = readClimateCsv(shipped('alto-sereno-climate.csv'), false);
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.fahrenheit).toBe(false);
    const record = wintersOf(read.readings);
    const { climate } = honey().ground.frost;
    expect(climate!.record).toHaveLength(record.winters.length);
    record.winters.forEach((winter, i) => {
      expect(climate!.record[i]).toMatchObject({ winter: winter.winter, days: winter.days });
      expect(climate!.record[i]!.index).toBeCloseTo(winter.index, 1);
    });
    expect(record.winters.length).toBeGreaterThanOrEqual(30);
  });
  it('is read by date, by year and month, with or without a head', () => {
    const one = [{ year: 2011, month: 12, day: 31, mean: -4.5 }];
    for (const text of [
      'date,mean\n2011-12-31,-4.5',
      '2011-12-31,-4.5',
      'fecha;media\n2011/12/31;-4,5',
      '2011,12,31,-4.5',
    ])
      expect(readClimateCsv(text, false)).toMatchObject({ ok: true, readings: one });
    expect(readClimateCsv('year,month,mean\n2011,12,-4.5', false)).toMatchObject({
      readings: [{ year: 2011, month: 12, day: null, mean: -4.5 }],
    });
  });
  it('leaves out readings never taken', () => {
    const read = readClimateCsv('date,mean\n2011-01-01,-3\n2011-01-02,\n2011-01-03,NA\n2011-01-04,-5', false);
    expect(read.ok && read.readings.map((r) => r.mean)).toEqual([-3, -5]);
  });
  it('in °F is spotted, and read as such when asked', () => {
    const text = `year,month,mean\n${[20, 25, 35, 45, 55, 63, 68, 66, 58, 47, 36, 26].map((t, i) => `2001,${i + 1},${t}`).join('\n')}`;
    expect(readClimateCsv(text, false)).toMatchObject({ ok: true, fahrenheit: true });
    const read = readClimateCsv(text, true);
    expect(read.ok && read.readings[0]!.mean).toBeCloseTo((20 - 32) / 1.8, 9);
    expect(read.ok && read.fahrenheit).toBe(false);
  });
  it.each([
    ['a, b\nc, d', 'columnsUnknown'],
    ['date,mean\n2011-13-01,4', 'notADate'],
    ['date,mean\n2011-02-30,4', 'notADate'],
    ['date,mean\nyesterday,4', 'notADate'],
    ['date,mean\n2011-01-01,cold', 'notANumber'],
    ['date,mean\n2011-01-01,-400', 'temperatureWild'],
    ['date,mean\n2011-01-01,', 'fileEmpty'],
    ['', 'fileEmpty'],
  ])('names what is wrong with it (%#)', (text, code) => {
    expect(readClimateCsv(text, false)).toMatchObject({ ok: false, problem: { code } });
  });
});

describe('logs as CSV', () => {
  it('go out and come back the same', () => {
    const { ground } = honey();
    const read = readLogsCsv(writeLogsCsv(ground), ground.soils);
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.soils).toEqual(ground.soils);
    // What belongs to the whole log but has no column of its own is its note.
    expect(read.logs.map((log) => ({ ...log, note: '' }))).toEqual(
      ground.logs.map((log) => ({ ...log, note: '' })),
    );
  });
  it('build a job’s ground from nothing', () => {
    const text = [
      'log,x,y,top,bottom,soil,kind,note,strike,standing',
      'N,0,12,0,2.4,Turf,topsoil,,1.2,0.9',
      'N,0,12,0.3,2.4,Blue clay,softClay,sticky,1.2,0.9',
      'S,4,0,0,2,Turf,topsoil,,,',
      'S,4,0,0.2,2,Old fill,madeGround,"brick, ash",,',
      'S,4,0,0.9,2,Blue clay,softClay,,,',
    ].join('\n');
    const plan = blankPlan('x', 'metric');
    const read = readLogsCsv(text, []);
    if (!read.ok) throw new Error(read.problem.code);
    plan.ground.soils = read.soils;
    plan.ground.logs = read.logs;
    expect(read.soils.map((soil) => soil.name)).toEqual(['Turf', 'Old fill', 'Blue clay']);
    expect(read.logs[0]).toMatchObject({ name: 'N', strike: 1.2, standing: 0.9, bottom: 2.4 });
    expect(read.logs[1]!.layers[1]!.note).toBe('brick, ash');
    expect(validatePlan(JSON.parse(JSON.stringify(plan)))).toMatchObject({ ok: true });
    expect(compute(plan).problems).toEqual([]);
  });
  it.each([
    ['N,0,0,0,clay', 'headMissing'],
    ['', 'fileEmpty'],
    ['log,x,y,depth,soil\nN,0,0,0,silt', 'columnMissing'],
    ['log,x,y,top,soil\nN,0,0,zero,silt', 'notANumber'],
    ['log,x,y,top,soil\nN,,0,0,silt', 'notANumber'],
    ['log,x,y,top,soil\n,0,0,0,silt', 'cellBlank'],
    ['log,x,y,top,soil\nN,0,0,0,cheese', 'kindUnknown'],
    ['log,x,y,top,soil\nN,0,0', 'rowShort'],
    ['1,0,0,0,1\n2,0,0,0,1', 'headMissing'],
  ])('name what is wrong with them (%#)', (text, code) => {
    expect(readLogsCsv(text, [])).toMatchObject({ ok: false, problem: { code } });
  });
  it('never hand a spreadsheet a formula', () => {
    const { ground } = honey();
    ground.logs[0]!.name = '=1+1';
    expect(writeLogsCsv(ground)).toContain("'=1+1");
  });
});
