import { describe, expect, it } from 'vitest';
import { readGradingCsv } from './grading-csv.ts';
import { readRainCsv } from './rain-csv.ts';
import { readWeatherCsv } from './weather-csv.ts';

const ZONE = 'Europe/Madrid';

describe('rain from a file', () => {
  it('is read by the hour, in either way of writing', () => {
    for (const text of [
      'time,mm\n2026-10-27T21:00,3.5\n2026-10-27T22:00,0\n2026-10-27T23:00,1.25',
      'hora;lluvia mm\n2026/10/27 21:00;3,5\n2026/10/27 22:00;0\n2026/10/27 23:00;1,25',
      '2026-10-27 21:00:00,3.5\n2026-10-27 22:00:00,0\n2026-10-27 23:00:00,1.25',
    ])
      expect(readRainCsv(text, ZONE)).toEqual({
        ok: true,
        start: '2026-10-27T21:00',
        hourly: [0.0035, 0, 0.00125],
      });
  });
  it('more often than hourly is added up by the hour, and nothing is lost', () => {
    const rows = Array.from({ length: 13 }, (_, i) => {
      const minutes = 20 * 60 + 10 * i;
      return `2026-03-14T${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')},${i + 1}`;
    });
    const read = readRainCsv(rows.join('\n'), ZONE);
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.hourly.map((m) => Math.round(m * 1000))).toEqual([21, 57, 13]);
    expect(read.hourly.reduce((sum, m) => sum + m, 0)).toBeCloseTo(0.091, 9);
  });
  it('over the night the clocks go back counts hours as they pass', () => {
    const read = readRainCsv('2026-10-24T23:00,1\n2026-10-25T00:00,2\n2026-10-25T01:00,3', ZONE);
    expect(read).toMatchObject({ ok: true, hourly: [0.001, 0.002, 0.003] });
  });
  it.each([
    ['2026-03-29T02:30,1\n2026-03-29T03:30,1', 'noSuchHour'],
    ['2026-10-27T21:00,1\n2026-10-27T23:00,1', 'rainGap'],
    ['2026-10-27T21:00,1\n2026-10-27T20:00,1', 'timeBack'],
    ['2026-10-27T21:00,1\n2026-10-27T21:00,1', 'timeBack'],
    ['2026-10-27T21:00,900', 'rainWild'],
    ['2026-10-27T21:00,-1', 'rainWild'],
    ['2026-10-27T21:00,wet', 'notANumber'],
    ['tonight,3', 'notADate'],
    ['hour,depth\n21,3', 'columnMissing'],
    ['', 'fileEmpty'],
  ])('%j is refused: %s', (text, code) => {
    expect(readRainCsv(text, ZONE)).toMatchObject({ ok: false, problem: { code } });
  });
  it('of a week is refused with its limit', () => {
    const rows = Array.from(
      { length: 120 },
      (_, i) =>
        `2026-10-${String(1 + Math.floor(i / 24)).padStart(2, '0')}T${String(i % 24).padStart(2, '0')}:00,1`,
    );
    expect(readRainCsv(rows.join('\n'), ZONE)).toMatchObject({ problem: { code: 'rainLong', max: 96 } });
  });
});

describe('weather by the day from a file', () => {
  const WEEK = [
    { day: '2026-10-15', rain: 0.0125, low: 4, high: 11.5, from: 'file' },
    { day: '2026-10-16', rain: null, low: -2, high: null, from: 'file' },
  ];
  it('is read in either way of writing; what is not there is not known, not none', () => {
    for (const text of [
      'date,rain_mm,low_c,high_c\n2026-10-15,12.5,4,11.5\n2026-10-16,,-2,',
      'fecha;lluvia mm;min;max\n2026/10/15;12,5;4;11,5\n2026/10/16;;-2;',
      '2026-10-15,12.5,4,11.5\n2026-10-16,,-2,',
      'max,day,min,rain\n11.5,2026.10.15,4,12.5\n,2026.10.16,-2,',
    ])
      expect(readWeatherCsv(text, '2026-10-01')).toEqual({ ok: true, weather: WEEK, left: 0 });
    expect(readWeatherCsv('date,rain_mm\n2026-10-15,0', '2026-10-01')).toEqual({
      ok: true,
      weather: [{ day: '2026-10-15', rain: 0, low: null, high: null, from: 'file' }],
      left: 0,
    });
  });
  it('leaves out the days before, over the change of clocks and of months too; what is not kept is counted', () => {
    const days = Array.from({ length: 160 }, (_, i) =>
      new Date(Date.UTC(2026, 9, 1 + i)).toISOString().slice(0, 10),
    );
    const read = readWeatherCsv(`date,rain_mm\n${days.map((day) => `${day},1`).join('\n')}`, '2026-10-11');
    if (!read.ok) throw new Error(read.problem.code);
    expect([read.weather[0]!.day, read.weather.length, read.left]).toEqual(['2026-10-11', 120, 30]);
    expect(read.weather.map(({ day }) => day)).toEqual(days.slice(10, 130));
  });
  it.each([
    ['2026-10-15,1\n2026-10-17,1', 'weatherGap', '2026-10-16'],
    ['2026-10-15,1\n2026-10-14,1', 'timeBack', '2026-10-14'],
    ['2026-10-15,1\n2026-10-15,1', 'timeBack', '2026-10-15'],
    ['2026-02-30,1', 'notADate', undefined],
    ['2026-10-15,wet', 'notANumber', 'wet'],
    ['2026-10-15,-1', 'rainWild', -0.001],
    ['2026-10-15,4000', 'rainWild', 4],
    ['2026-10-15,1,-80,3', 'temperatureWild', -80],
    ['2026-10-15,1,9,3', 'coldOverWarmDay', 9],
    ['day,wind\n2026-10-15,3', 'columnMissing', undefined],
    ['2026-09-15,1', 'fileEmpty', undefined],
    ['', 'fileEmpty', undefined],
  ])('%j is refused: %s', (text, code, value) => {
    const read = readWeatherCsv(text, '2026-10-01');
    expect(read).toMatchObject({ ok: false, problem: { code } });
    expect(read.ok ? null : read.problem.value).toEqual(value);
  });
});

describe('a sieve test from a file', () => {
  it('is sorted by size', () => {
    expect(readGradingCsv('sieve,passing %\n4.75,100\n0.075,12\n0.6,48')).toEqual({
      ok: true,
      grading: [
        { size: 0.000075, passing: 0.12 },
        { size: 0.0006, passing: 0.48 },
        { size: 0.00475, passing: 1 },
      ],
    });
  });
  it.each([
    ['0.075,12\n0.6,48', 'gradingShort'],
    ['0.075,60\n0.6,48\n2,100', 'gradingFalls'],
    ['0.075,12\n0.075,14\n2,100', 'gradingFalls'],
    ['0.075,12\n0.6,148\n2,100', 'gradingWild'],
    ['0,12\n0.6,48\n2,100', 'gradingWild'],
    ['fine,12\n0.6,48\n2,100', 'notANumber'],
    ['grain,share\n0.6,48\n2,100', 'columnMissing'],
    ['0.075,12\n0.6,lots\n2,100', 'notANumber'],
    [Array.from({ length: 30 }, (_, i) => `${i + 1},${i}`).join('\n'), 'gradingLong'],
  ])('%j is refused: %s', (text, code) => {
    expect(readGradingCsv(text)).toMatchObject({ ok: false, problem: { code } });
  });
});
