/** Lines of what is looked to before a pour, in words. */
import type { Fitting, ReadyLine } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';
import { ranges } from './ranges.ts';

type Set = Pick<Fitting, 'id' | 'kind' | 'size' | 'place'>;

function lineText(
  t: Say,
  format: Format,
  { code, key, state, values }: ReadyLine,
  set: readonly Set[],
): string {
  const { litres, barrels, rain, count = 0 } = values;
  switch (code) {
    case 'damp':
      return litres === undefined
        ? t('ready.damp')
        : t('ready.damped', {
            litres: format.text(litres, 'number', { decimals: 0 }),
            barrels: format.text(barrels ?? 0, 'count'),
          });
    case 'steel':
      return t('ready.steel', { count });
    case 'fitting': {
      const one = set.find(({ id }) => id === key);
      return one ? [t(`fitting.kinds.${one.kind}`), one.size, one.place].filter(Boolean).join(', ') : key;
    }
    case 'weather':
      return rain === undefined ? t('ready.weather') : t('ready.rain', { rain: format.text(rain, 'size') });
    case 'vibrators':
      if (state === 'no') return t('ready.noSpare', { count });
      return state === 'yes' ? t('ready.spare', { count }) : t('ready.vibrators');
    case 'seen':
    case 'firm':
    case 'level':
    case 'dry':
    case 'forms':
    case 'looks':
    case 'joint':
    case 'washOut':
      return state === 'no' ? t(`ready.no.${code}`, { count }) : t(`ready.lines.${code}`);
    default:
      return t(`ready.lines.${code}`);
  }
}

/** One line, with the things it is not so of. @param nameOf an element's */
export function readyText(
  t: Say,
  format: Format,
  line: ReadyLine,
  set: readonly Set[],
  nameOf: (id: string) => string,
): string {
  const text = lineText(t, format, line, set);
  const some = line.state === 'no' || line.state === 'ask' ? line.elements : [];
  return some.length > 0 ? t('ready.of', { line: text, names: ranges(some.map(nameOf)) }) : text;
}

/** Lines that are not so, or that nobody has looked to. */
export const leftOf = (lines: readonly ReadyLine[]): number =>
  lines.filter(({ state }) => state === 'ask' || state === 'no').length;

/** A sign for each state. */
export const READY_SIGNS = { yes: '✓', ticked: '✓', ask: '○', no: '✗' } as const;
