/** Days and moments as people of a country write them; a time of day is always by the 24-hour clock. */
import { type Lang, written } from '@cimiento/core';
import { clockText } from './clock.ts';

/** Making one costs a millisecond; a board has dozens. */
const made = new Map<string, Intl.DateTimeFormat>();
function formatOf(lang: Lang, zone?: string): Intl.DateTimeFormat {
  const key = `${lang} ${zone ?? ''}`;
  const known = made.get(key);
  if (known) return known;
  const format = new Intl.DateTimeFormat(written(lang), { dateStyle: 'medium', timeZone: zone });
  made.set(key, format);
  return format;
}

const TYPED = /^(\d{4}-\d\d-\d\d)(?:T(\d\d:\d\d))?/;

/** A typed day, or a day and a time of it (`2026-10-14T07:00`), as it is written there; what is neither as it is. */
export function dayText(lang: Lang, typed: string): string {
  const [, day, time] = TYPED.exec(typed) ?? [];
  const noon = day === undefined ? Number.NaN : Date.parse(`${day}T12:00Z`);
  if (Number.isNaN(noon)) return typed;
  const said = formatOf(lang, 'UTC').format(noon);
  return time === undefined ? said : `${said}, ${time}`;
}

/** A typed day by its weekday, without its year: where it is one of these weeks. */
export function weekdayText(lang: Lang, typed: string): string {
  const [, day, time] = TYPED.exec(typed) ?? [];
  const noon = day === undefined ? Number.NaN : Date.parse(`${day}T12:00Z`);
  if (Number.isNaN(noon)) return typed;
  const said = new Intl.DateTimeFormat(written(lang), {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  }).format(noon);
  return time === undefined ? said : `${said}, ${time}`;
}

/** A moment where the person is: of today its time, of another day its date too. */
export function momentText(lang: Lang, at: string | number): string {
  const moment = new Date(at);
  const time = clockText(60 * moment.getHours() + moment.getMinutes());
  return moment.toDateString() === new Date().toDateString()
    ? time
    : `${formatOf(lang).format(moment)}, ${time}`;
}
