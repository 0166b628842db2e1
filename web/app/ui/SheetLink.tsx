/**
 * A printed sheet to open. It is made first, with the seconds told while that goes on, and the tab
 * that waits for it is then sent there: what was made is kept for it.
 */

import { Box } from '@chakra-ui/react';
import type { Problem } from '@cimiento/core';
import { useEffect, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useFormat } from './format.tsx';
import { problemText } from './words.ts';

/** What the server says of a sheet it could not make. */
interface Refused {
  readonly problems?: readonly Problem[];
}

export function SheetLink({
  href,
  icon,
  children,
  ...look
}: {
  href: string;
  icon?: React.ReactNode;
  children: string;
} & Omit<React.ComponentProps<'a'>, 'href' | 'children'>) {
  const { t } = useTranslation();
  const format = useFormat();
  const [began, setBegan] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  /** Why there is no sheet. */
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    if (began === null) return;
    const timer = setInterval(() => setSeconds(Math.round((Date.now() - began) / 1000)), 500);
    return () => clearInterval(timer);
  }, [began]);
  const open = async (event: React.MouseEvent) => {
    // A press with a key held goes the browser's own way; so does one where no tab may be opened.
    if (event.metaKey || event.ctrlKey || event.shiftKey) return;
    const tab = window.open('', '_blank');
    if (!tab) return;
    event.preventDefault();
    tab.opener = null;
    tab.document.title = children;
    tab.document.body.textContent = t('making.making');
    setSeconds(0);
    setFailed(null);
    setBegan(Date.now());
    const made = await fetch(href).then(
      async (response) => {
        if (!response.ok) return (await response.json().catch(() => null)) as Refused | null;
        await response.arrayBuffer();
        return 'made' as const;
      },
      () => null,
    );
    setBegan(null);
    if (made === 'made') {
      tab.location.href = href;
      return;
    }
    const [problem] = made?.problems ?? [];
    const why = problem ? problemText(t, format, problem) : t('making.notMade');
    setFailed(why);
    tab.document.body.textContent = why;
  };
  return (
    <a
      {...look}
      href={href}
      target="_blank"
      rel="noreferrer"
      onClick={open}
      aria-busy={began !== null}
      data-sheet
    >
      {icon} {children}
      {began !== null && (
        <>
          <Box as="span" srOnly role="status">
            {t('making.making')}
          </Box>
          <span aria-hidden> · {t('making.seconds', { n: seconds })}</span>
        </>
      )}
      {failed && <span role="alert"> · {failed}</span>}
    </a>
  );
}
