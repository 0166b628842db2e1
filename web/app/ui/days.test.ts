import { describe, expect, it } from 'vitest';
import { dayText, momentText } from './days.ts';

describe('a day', () => {
  it('is written as in each country', () => {
    expect(dayText('en-US', '2026-10-14')).toBe('Oct 14, 2026');
    expect(dayText('en-GB', '2026-10-14')).toBe('14 Oct 2026');
    expect(dayText('es-ES', '2026-10-14')).toBe('14 oct 2026');
    expect(dayText('es-MX', '2026-10-14')).toBe('14 oct 2026');
  });
  it('keeps its time of day, by 24 hours', () =>
    expect(dayText('en-GB', '2026-10-14T07:30')).toBe('14 Oct 2026, 07:30'));
  it('is left as somebody typed it when it is none', () => {
    for (const typed of ['Thursday', '', '2026-13-45', 'as soon as they can'])
      expect(dayText('en-US', typed)).toBe(typed);
  });
});

describe('a moment', () => {
  it('of today is its time; of another day its date too', () => {
    const now = new Date();
    now.setHours(9, 5, 0, 0);
    expect(momentText('en-US', now.getTime())).toBe('09:05');
    expect(momentText('en-US', new Date(2026, 0, 9, 15, 4).getTime())).toBe('Jan 9, 2026, 15:04');
  });
});
