/** A demo whose days are these: its plan, records, weather and storms moved on by whole weeks. */
import { dayShifted, daysBetween } from '@cimiento/core';

/** The Monday of the week in which the demos stand in the middle of their work, as their files have it. */
const THEIR_WEEK = '2026-10-12';

const mondayOf = (day: string): string => {
  const weekday = new Date(`${day}T00:00:00Z`).getUTCDay();
  return dayShifted(day, -((weekday + 6) % 7));
};

/** Days from the demos' own week to the one of a day: whole weeks, so that no Sunday is worked. */
const daysTo = (today: string): number => daysBetween(THEIR_WEEK, mondayOf(today));

/** A day, or a moment that begins with one; demos are made in UTC, so that an hour stays what it is. */
const DATED = /^(\d{4}-\d{2}-\d{2})($|T.*$)/;

/** The same with every day in it moved on by so many. */
function moved<T>(value: T, by: number): T {
  if (typeof value === 'string') {
    const [, day, rest] = DATED.exec(value) ?? [];
    return (day === undefined ? value : dayShifted(day, by) + rest) as T;
  }
  if (Array.isArray(value)) return value.map((item) => moved(item, by)) as T;
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, moved(item, by)])) as T;
  return value;
}

/** A demo's plan and records as if it stood in the middle of its work today. @param today a day, 2026-12-02 */
export const ofToday = <T extends object>(job: T, today: string): T => moved(job, daysTo(today));

/**
 * Today where demos are to be of today, as ./start serves them; null where they keep their own days, as in tests.
 * Not asked of a plan's zone: it is the day of whoever started the program.
 */
export function demoToday(): string | null {
  if (process.env.CIMIENTO_DEMO_TODAY !== '1') return null;
  return new Date().toISOString().slice(0, 10);
}
