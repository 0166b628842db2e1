/** Steel and what is set in, in words: on the desk and on the order sheet. */
import type { Fitting, FittingTakeoff, Steel, SteelTakeoff } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';

/** What a mark comes to: bars, laps, stock, supports, mass. */
export function steelText(
  t: Say,
  format: Format,
  { kind, diameter }: Pick<Steel, 'kind' | 'diameter'>,
  { bars, each, laps, pieces, bought, supports }: SteelTakeoff,
): string {
  return [
    t(`steel.kinds.${kind}`),
    ...(bars === null || each === null
      ? []
      : [
          `ø\u00a0${format.text(diameter, 'size')}`,
          t('steel.bars', { count: bars, each: format.text(each, 'length', { decimals: 2 }) }),
          ...(laps > 0 ? [t('steel.laps', { count: laps })] : []),
        ]),
    t(kind === 'mesh' ? 'steel.sheets' : 'steel.pieces', { count: pieces }),
    format.text(bought, 'weighing', { decimals: 0 }),
    ...(supports === null ? [] : [t('steel.chairs', { count: supports })]),
  ].join(' · ');
}

/** What is set in: what, how many, where, how high. */
export function fittingText(
  t: Say,
  format: Format,
  { kind, size, place, level }: Fitting,
  counted: FittingTakeoff | null,
): string {
  const many =
    counted?.metres != null
      ? t('fitting.metres', { length: format.text(counted.metres, 'length', { decimals: 1 }) })
      : counted?.count != null
        ? t('fitting.many', { count: counted.count })
        : t('fitting.open');
  return [
    t(`fitting.kinds.${kind}`),
    size,
    many,
    place,
    ...(level === null ? [] : [t('fitting.at', { level: format.text(level, 'level') })]),
  ]
    .filter(Boolean)
    .join(' · ');
}
