import { useEffect, useState } from 'react';
import { useFormat } from '../parts/format.tsx';

/** A time of day where the person is; the server, which does not know where, says it in UTC first. */
export function When({ at }: { at: Date }) {
  const { lang } = useFormat();
  const [zone, setZone] = useState<string | undefined>('UTC');
  useEffect(() => setZone(undefined), []);
  const text = new Intl.DateTimeFormat(lang === 'es' ? 'es-ES' : 'en-GB', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: zone,
  }).format(new Date(at));
  return <time dateTime={new Date(at).toISOString()}>{text}</time>;
}
