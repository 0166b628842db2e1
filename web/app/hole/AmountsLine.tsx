/** What a change comes to: what it moves, and the money. */
import { Box } from '@chakra-ui/react';
import type { ChangedAmount } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { useFormat } from '../ui/format.tsx';

export function AmountsLine({
  amounts,
  cost,
  currency,
}: {
  amounts: readonly ChangedAmount[];
  cost: number | null;
  currency: string;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const sign = (value: number) => (value > 0 ? '+' : '−');
  const parts = amounts.map(({ of, kind, change }) =>
    t(`cost.${of}`, { amount: `${sign(change)}${format.text(Math.abs(change), kind)}` }),
  );
  if (cost !== null && Math.abs(cost) >= 0.5)
    parts.push(`${sign(cost)}${format.text(Math.abs(cost), 'price', { decimals: 0 })} ${currency}`);
  return (
    <Box fontSize="md" fontWeight={500} data-amounts>
      {parts.length > 0 ? parts.join(' · ') : t('change.nothing')}
    </Box>
  );
}
