/** Whether the desk is stacked, as on a phone, rather than laid out on one screen. */
import { useSyncExternalStore } from 'react';

/** Up to where the theme's `lg` begins. */
const STACKED = '(max-width: 1019.98px)';

const listen = (hear: () => void) => {
  const query = matchMedia(STACKED);
  query.addEventListener('change', hear);
  return () => query.removeEventListener('change', hear);
};

export const useNarrow = (): boolean =>
  useSyncExternalStore(
    listen,
    () => matchMedia(STACKED).matches,
    () => false,
  );
