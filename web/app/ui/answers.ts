/** The answer to a shot in one word and one number. */
import type { Verdict } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';

/** As a crew says it: bare, in whole millimetres or eighths of an inch. */
export const byText = (format: Format, by: number): string =>
  format.system === 'metric' ? String(Math.round(Math.abs(by) * 1000)) : format.text(Math.abs(by), 'size');

export function verdictText(t: Say, format: Format, { word, off }: Verdict): string {
  const by = byText(format, off);
  if (word !== 'good') return t(`shot.${word}`, { by });
  if (Math.round(off * 1000) === 0) return t('shot.good');
  return t('shot.goodBy', { by: t(off > 0 ? 'shot.high' : 'shot.low', { by }) });
}
