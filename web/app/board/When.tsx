import { type Lang, written } from '@cimiento/core';
import { clockText } from '../ui/clock.ts';
import { useFormat } from '../ui/format.tsx';

/** Making one costs a millisecond; a board has dozens. */
const made = new Map<Lang, Intl.DateTimeFormat>();
function formatOf(lang: Lang): Intl.DateTimeFormat {
  const known = made.get(lang);
  if (known) return known;
  const format = new Intl.DateTimeFormat(written(lang), { dateStyle: 'medium', timeStyle: 'short' });
  made.set(lang, format);
  return format;
}

/** A moment of today by its time, of another day by its date too. */
export function momentText(lang: Lang, at: number): string {
  const moment = new Date(at);
  return moment.toDateString() === new Date().toDateString()
    ? clockText(60 * moment.getHours() + moment.getMinutes())
    : formatOf(lang).format(moment);
}

/** A time of day where the person is: drawn by the page only, the server does not know where. */
export function When({ at }: { at: Date }) {
  const { lang } = useFormat();
  return <time dateTime={new Date(at).toISOString()}>{formatOf(lang).format(new Date(at))}</time>;
}
