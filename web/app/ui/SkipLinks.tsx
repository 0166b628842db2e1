/** The first stops of Tab on a page: past what stands before what one came for. Seen when they have the focus. */
import { chakra } from '@chakra-ui/react';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';

const Skip = chakra('button', {
  base: {
    position: 'absolute',
    left: '-999px',
    top: 0,
    zIndex: 30,
    bg: 'sheet',
    color: 'chalk',
    fontWeight: 600,
    px: 4,
    minH: '44px',
    border: '2px solid',
    borderColor: 'chalk',
    _focus: { left: 2, top: 2 },
  },
});

/** Puts the focus on a part of the page, or on the first thing in it that takes one. */
export function focusOn(selector: string): void {
  const part = document.querySelector<HTMLElement>(selector);
  if (!part) return;
  part.scrollIntoView({ block: 'nearest' });
  if (part.tabIndex < 0 && !part.hasAttribute('tabindex')) part.tabIndex = -1;
  part.focus();
}

/** @param to parts of the page by name (`skip.*`), each with where it is */
export function SkipLinks({ to }: { to: Readonly<Record<string, string>> }) {
  const { t } = useTranslation();
  return (
    <nav aria-label={t('skip.title')} className="no-print">
      {Object.entries(to).map(([name, selector]) => (
        <Skip key={name} type="button" data-skip={name} onClick={() => focusOn(selector)}>
          {t(coded(`skip.${name}`))}
        </Skip>
      ))}
    </nav>
  );
}
