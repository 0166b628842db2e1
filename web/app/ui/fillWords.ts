/** Fill in words: sides, stops, machines. */
import type { FillCard, FillStop } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';
import { compactorText } from './plant.ts';

const LOOKS = ['e', 'ne', 'n', 'nw', 'w', 'sw', 's', 'se'] as const;

/** A side in words, with the way it looks where it has one. */
export function sideText(t: Say, { side, toward }: Pick<FillCard, 'side' | 'toward'>): string {
  const name = t(`backfill.sides.${side}`);
  if (!toward) return name;
  const turn = Math.round((Math.atan2(toward[1], toward[0]) * 4) / Math.PI);
  return t('backfill.side', { side: name, toward: t(`backfill.looks.${LOOKS[(turn + 8) % 8]!}`) });
}

/** What stands in the way of a lift: what it waits for, until when, and who lifts it. */
export function stopText(t: Say, format: Format, stop: FillStop): string {
  const { code, role, until, hold, value, most } = stop;
  const size = (of: number | null) => format.text(of ?? 0, 'size');
  if (code === 'hold')
    return hold
      ? t('backfill.stop.hold', {
          what: hold.kind === 'own' ? hold.name : t(`hold.kind.${hold.kind}`),
          role: t(`hold.role.${role ?? hold.role}`),
        })
      : '';
  if (code === 'cure') return t('backfill.stop.cure', { until: until ?? '' });
  return t(`backfill.stop.${code}`, { value: size(value), most: size(most) });
}

/** Machines at a lift and how often each goes over it. */
export const tampingText = (t: Say, format: Format, { lifts }: Pick<FillCard, 'lifts'>): string =>
  lifts.tampings
    .map(({ where, compactor, passes }) =>
      t(`backfill.by.${where}`, { what: compactorText(t, format, compactor), passes: passes[1] }),
    )
    .join(', ');
