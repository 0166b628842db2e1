/** One changed value on a line: what it is, what it was, what it is now. */
import { Box } from '@chakra-ui/react';
import type { Plan, PlanChange } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { changeText } from './changes.ts';
import { useFormat } from './format.tsx';

export function ChangeLine({ plan, change }: { plan: Plan; change: PlanChange }) {
  const { t } = useTranslation();
  const { what, from, to } = changeText(t, useFormat(), plan, change);
  return (
    <Box fontSize="xs" overflowWrap="anywhere">
      {what} {from !== undefined && `${from} → `}
      <strong>{to}</strong>
    </Box>
  );
}
