/** How deep, how wide, how the sides stand, what is laid next: read at arm’s length. */
import { Box, Flex } from '@chakra-ui/react';
import type { HoleThing } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { useFormat } from '../ui/format.tsx';

export function Depth({ thing }: { thing: HoleThing }) {
  const { t } = useTranslation();
  const format = useFormat();
  const size = (v: number) => format.text(v, 'size');
  const { next } = thing;
  const laid =
    next.what === 'footing'
      ? t(`built.${thing.built}`)
      : `${next.what === 'lift' ? next.card.layer.name || t(`bedMaterial.${next.card.layer.material}`) : next.layer.layer.name || t(`bedMaterial.${next.layer.layer.material}`)} ${size(next.what === 'lift' ? next.card.thickness : next.layer.layer.thickness)}`;
  const sides = thing.inBays
    ? t('sides.bays')
    : thing.support !== 'slope'
      ? t(`sides.${thing.support}`)
      : thing.slope > 0
        ? format.text(thing.slope, 'slope')
        : t('sides.vertical');
  return (
    <Box px={3} pt={1} pb={2} data-depth>
      <Flex align="baseline" gap={2}>
        <Box fontFamily="figure" fontWeight={600} fontSize="64px" lineHeight={1} data-from-string>
          {format.text(thing.fromString, 'length', format.system === 'metric' ? { decimals: 3 } : {})}
        </Box>
        <Box fontSize="md" lineHeight={1.15}>
          {t('inHole.fromString', { name: thing.string.name ?? t('inHole.theString') })}
          {thing.stepped && ` · ${t('inHole.deepest')}`}
        </Box>
      </Flex>
      <Box fontSize="md" lineHeight={1.35}>
        {t('inHole.wide')}{' '}
        <b>
          {thing.bottomLength === null
            ? size(thing.width)
            : `${size(thing.width)} × ${size(thing.bottomLength)}`}
        </b>
        {' · '}
        {t('inHole.sides')} <b>{sides}</b>
        {' · '}
        {t('inHole.next')} <b>{laid}</b>
      </Box>
    </Box>
  );
}
