/**
 * A printed sheet to open. It is made first, with the seconds told while that goes on, and the tab
 * that waits for it is then sent there: what was made is kept for it.
 */
import { useEffect, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';

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
  const [began, setBegan] = useState<number | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [failed, setFailed] = useState(false);
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
    setFailed(false);
    setBegan(Date.now());
    const made = await fetch(href).then(
      async (response) => {
        await response.arrayBuffer();
        return response.ok;
      },
      () => false,
    );
    setBegan(null);
    setFailed(!made);
    if (made) tab.location.href = href;
    else tab.document.body.textContent = t('making.notMade');
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
      {began !== null && <span role="status"> · {t('making.seconds', { n: seconds })}</span>}
      {failed && <span role="alert"> · {t('making.notMade')}</span>}
    </a>
  );
}
