/** What a field test of a lift says. */
import { Box, Flex } from '@chakra-ui/react';
import type { LiftTest } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useFormat } from '../../../ui/format.tsx';

export function Tested({ test: { dry, share, passes, fault } }: { test: LiftTest }) {
  const { t } = useTranslation();
  const format = useFormat();
  const said =
    fault !== null
      ? t(`proof.fault.${fault}`)
      : share === null
        ? t('proof.resultUnknown', { dry: format.text(dry, 'density') })
        : t('proof.result', { dry: format.text(dry, 'density'), share: format.text(share, 'percent') });
  return (
    <Flex justify="space-between" gap={2} fontSize="sm" data-test={passes}>
      <span>{said}</span>
      {passes !== null && (
        <Box as="strong" color={passes ? 'placed' : 'held'}>
          {t(passes ? 'proof.pass' : 'proof.fail')}
        </Box>
      )}
    </Flex>
  );
}
