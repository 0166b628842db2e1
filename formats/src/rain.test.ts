import { describe, expect, it } from 'vitest';
import { readGradingCsv } from './grading-csv.ts';
import { readRainCsv } from './rain-csv.ts';

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
