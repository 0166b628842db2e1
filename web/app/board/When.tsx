import { useEffect, useState } from 'react';
import { useFormat } from '../parts/format.tsx';

const formats = new Map<string, Intl.DateTimeFormat>();
/** Making one costs a millisecond; a board has dozens. */
function formatOf(locale: string, timeZone: string | undefined): Intl.DateTimeFormat {
  const key = `${locale} ${timeZone ?? ''}`;
  const known = formats.get(key);
  if (known) return known;
  const made = new Intl.DateTimeFormat(locale, {
    dateStyle: 'medium',
    timeStyle: 'short',
    ...(timeZone !== undefined && { timeZone }),
  });
  formats.set(key, made);
  return made;
}

/** A time of day where the person is; the server, which does not know where, says it in UTC first. */
export function When({ at }: { at: Date }) {
  const { lang } = useFormat();
  const [zone, setZone] = useState<string | undefined>('UTC');
  useEffect(() => setZone(undefined), []);
  const text = formatOf(lang === 'es' ? 'es-ES' : 'en-GB', zone).format(new Date(at));
  return <time dateTime={new Date(at).toISOString()}>{text}</time>;
}
