import { createContext, useContext } from 'react';

const Context = createContext<string | null>(null);
export const JobIdProvider = Context.Provider;

export function useJobId(): string {
  const id = useContext(Context);
  if (!id) throw new Error('useJobId needs a JobIdProvider above it.');
  return id;
}
