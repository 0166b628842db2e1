/** The words of this page: the language of a page never changes under it, so there is nothing to watch. */
import { createContext, useContext } from 'react';
import type { Say } from './keys.ts';

const Context = createContext<Say | null>(null);
export const SayProvider = Context.Provider;

export function useTranslation(): { readonly t: Say } {
  const t = useContext(Context);
  if (!t) throw new Error('useTranslation needs a SayProvider above it.');
  return { t };
}
