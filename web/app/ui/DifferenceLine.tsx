/** What a change of plan comes to. */
import { Box } from '@chakra-ui/react';
import { COMPARED, type Difference, type Kind } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { Small } from './controls.tsx';
import { type Format, useFormat } from './format.tsx';

const signed = (format: Format, value: number, kind: Kind): string => {
  const text = format.text(Math.abs(value), kind);
  return Math.abs(value) < 1e-9 ? `±${text}` : `${value > 0 ? '+' : '−'}${text}`;
};

/** Volumes, loads, concrete and money of a change, in one line. */
export function DifferenceLine({ change, currency }: { change: Difference; currency: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const parts = COMPARED.filter(({ id, least }) => Math.abs(change.of[id]) >= least).map(({ id, kind }) =>
    t(`cost.${id}`, { amount: signed(format, change.of[id], kind) }),
  );
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
