import { useFormat } from '../parts/format.tsx';

const format = (locale: string) =>
  new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' });
/** Making one costs a millisecond; a board has dozens. */
const FORMATS = { en: format('en-GB'), es: format('es-ES') } as const;

/** A time of day where the person is: drawn by the page only, the server does not know where. */
export function When({ at }: { at: Date }) {
  const { lang } = useFormat();
  return <time dateTime={new Date(at).toISOString()}>{FORMATS[lang].format(new Date(at))}</time>;
}
