/** What the shots of a thing come to: m³, how sure, money, and which corner is off. */
import { Box } from '@chakra-ui/react';
import type { HoleThing, HoleView } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { useFormat } from '../ui/format.tsx';
import { Word } from './parts.tsx';
import { apart, HERE, type Place } from './places.ts';

export function Sums({ thing, view, currency }: { thing: HoleThing; view: HoleView; currency: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  if (thing.shots.length === 0) return null;
  const volume = (v: number) => format.text(v, 'volume', { decimals: 2 });
  const { makeUp, band, oddOne } = thing;
  const money =
    makeUp.cost === null
      ? ''
      : `, ${format.text(makeUp.cost, 'price', { decimals: 0 })} ${currency}`.trimEnd();
  return (
    <Box fontSize="md" lineHeight={1.35} data-sums>
      {t('shot.low', { by: volume(thing.low) })} · {t('shot.high', { by: volume(thing.high) })}
      {' · '}
      {band ? t('shot.band', { band: volume(band.half), count: band.shots }) : t('shot.noBand')}
      {makeUp.volume > 0.005 && (
        <Box>
          {t('shot.costs', { what: t(`shot.with.${view.makeUpWith}`), volume: volume(makeUp.volume), money })}
        </Box>
      )}
      {oddOne && (
        <Word tone="stop">
          {t('shot.odd', {
            place: placeName(thing, oddOne.place),
            by: format.text(Math.abs(oddOne.below), 'size'),
          })}
        </Word>
      )}
    </Box>
  );
}

function placeName(thing: HoleThing, place: Place | null): string {
  const at = place ? thing.places.findIndex((one) => apart(one.at, place) < HERE) : -1;
  return at >= 0 ? `${thing.name}/${at + 1}` : thing.name;
}
