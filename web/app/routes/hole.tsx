/** The hole: a page with no data in it, kept by the browser; it lives of what lies on the phone. */
import { Box } from '@chakra-ui/react';
import { useEffect } from 'react';
import { useRouteLoaderData } from 'react-router';
import { HolePage } from '../hole/HolePage.tsx';
import type { loader as rootLoader } from '../root.tsx';
import { preferencesNow } from '../state/preferencesNow.ts';
import { useLive } from '../ui/useLive.ts';

export default function Hole() {
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const live = useLive();
  useEffect(() => {
    const { lang, theme } = preferencesNow();
    document.documentElement.lang = lang;
    document.documentElement.dataset.theme = theme;
  }, []);
  if (!live) return <Box as="main" minH="100vh" bg="paper" aria-busy="true" />;
  return <HolePage preferences={preferencesNow()} program={root?.program ?? ''} />;
}
