import { momentText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';

/** A moment where the person is: drawn by the page only, the server does not know where. */
export function When({ at }: { at: Date }) {
  const { lang } = useFormat();
  const moment = new Date(at);
  return <time dateTime={moment.toISOString()}>{momentText(lang, moment.getTime())}</time>;
}
