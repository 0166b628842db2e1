/** A crew's whole data in one file: out, to keep somewhere else; and in again. */
import { Box, chakra, Flex } from '@chakra-ui/react';
import type { Problem } from '@cimiento/core';
import { useFetcher } from 'react-router';
import { useTranslation } from '../messages/useTranslation.ts';
import type { action } from '../routes/archive.ts';
import { Button, FieldError, Small } from '../ui/controls.tsx';
import { fileProblemText } from '../ui/fileProblems.ts';
import { useFormat } from '../ui/format.tsx';

const Fold = chakra('details');

export function Archive() {
  const { t } = useTranslation();
  const taking = useFetcher<typeof action>();
  const refused: readonly Problem[] = taking.data?.problems ?? [];
  const format = useFormat();
  return (
    <Fold mt={4} data-archive open={refused.length > 0}>
      <Box as="summary" cursor="pointer" fontWeight={500} py={2}>
        {t('archive.title')}
      </Box>
      <Small>{t('archive.text')}</Small>
      <Flex gap={4} mt={2} wrap="wrap" align="start">
        <a href="/crew/archive" download>
          {t('archive.out')}
        </a>
        <taking.Form method="post" action="/crew/archive" encType="multipart/form-data">
          <label>
            <Box as="span" fontSize="sm">
              {t('archive.in')}
            </Box>
            {/* Packed or not: any file may be one. */}
            <input type="file" name="file" style={{ display: 'block', padding: '6px 0' }} />
          </label>
          <Button type="submit" size="sm" disabled={taking.state !== 'idle'}>
            {t(taking.state === 'idle' ? 'archive.take' : 'archive.taking')}
          </Button>
        </taking.Form>
      </Flex>
      {refused.map((problem) => (
        <FieldError key={problem.code} role="alert" fontSize="sm">
          {fileProblemText(t, format, problem)}
        </FieldError>
      ))}
    </Fold>
  );
}
