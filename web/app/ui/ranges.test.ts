import { expect, it } from 'vitest';
import { ranges } from './ranges.ts';

it('names that count on from one another are a range; others stand by themselves', () => {
  expect(ranges(['T1', 'T2', 'T3', 'T4', 'T5', 'P1', 'P2', 'Weigh pit', 'D1'])).toBe(
    'T1–T5, P1, P2, Weigh pit, D1',
  );
  expect(ranges(['T1', 'T3', 'T4'])).toBe('T1, T3, T4');
  expect(ranges(['T9', 'T10', 'T11'])).toBe('T9–T11');
  expect(ranges(['1', '2', '3'])).toBe('1–3');
  expect(ranges(['North 2', 'North 3', 'North 4', 'South 5'])).toBe('North 2–North 4, South 5');
  expect(ranges([])).toBe('');
});
