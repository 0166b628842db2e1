/** What a change of plan comes to. */
import { Box } from '@chakra-ui/react';
import type { Difference } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../ui/controls.tsx';
import { type Format, useFormat } from '../../ui/format.tsx';

/** Less stone than this is not told, kg. */
const LEAST_STONE = 50;

const signed = (format: Format, value: number, kind: 'volume' | 'count' | 'mass'): string => {
  const text = format.text(Math.abs(value), kind);
  return Math.abs(value) < 1e-9 ? `±${text}` : `${value > 0 ? '+' : '−'}${text}`;
};

/** Volumes, loads, concrete and money of a change, in one line. */
export function DifferenceLine({ change, currency }: { change: Difference; currency: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const parts = [
    t('cost.dig', { volume: signed(format, change.dig, 'volume') }),
    ...(change.loads === 0 ? [] : [t('cost.loads', { loads: signed(format, change.loads, 'count') })]),
    ...(Math.abs(change.stone) < LEAST_STONE
      ? []
      : [t('cost.stone', { mass: signed(format, change.stone, 'mass') })]),
    ...(Math.abs(change.concrete) < 0.005
      ? []
      : [t('cost.concrete', { volume: signed(format, change.concrete, 'volume') })]),
    ...(Math.abs(change.walls) > 0.005
      ? [t('cost.walls', { volume: signed(format, change.walls, 'volume') })]
      : []),
  ];
  return (
    <Small>
      {parts.join(' · ')}
      {change.cost !== null && Math.abs(change.cost) >= 0.5 && (
        <Box as="span" fontWeight={600}>
          {' '}
          · {change.cost > 0 ? '+' : '−'}
          {format.text(Math.abs(change.cost), 'price', { decimals: 0 })} {currency}
        </Box>
      )}
    </Small>
  );
}
