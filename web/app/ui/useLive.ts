import { useSyncExternalStore } from 'react';

const never = () => () => {};

/** False on the server and while its page is taken over, true from then on. */
export const useLive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
