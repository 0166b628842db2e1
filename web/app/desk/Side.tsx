/** The right side: the numbers of the stage, what decides the depth, and the cautions that apply. */
import { Box, Stack } from '@chakra-ui/react';
import { Suspense } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDesk } from '../state/store.ts';
import { useTakeoff } from '../state/takeoff.ts';
import { Small } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { problemText } from '../ui/words.ts';
import { CautionsElsewhere, CautionsHere } from './Cautions.tsx';
import { NextLine } from './NextLine.tsx';
import { STAGE_TABLE } from './stageTable.tsx';

export function Side() {
  const { t } = useTranslation();
  const stage = useDesk((desk) => desk.stage);
  const { Panel, Over, Under, Last, noCautions } = STAGE_TABLE[stage];
  return (
    <Stack
      as="aside"
      gap={0}
      px={3.5}
      py={3}
      h={{ lg: 'full' }}
      overflowY={{ lg: 'auto' }}
      tabIndex={0}
      aria-label={t(`stage.${stage}`)}
      data-side
    >
      <NextLine />
      <Problems />
      {!noCautions && <CautionsHere />}
      {Over && <Over />}
      <Suspense key={stage} fallback={<Small>{t('bar.opening')}</Small>}>
        <Panel />
      </Suspense>
      {Under && (
        <Suspense fallback={null}>
          <Under />
        </Suspense>
      )}
      {Last && (
        <Suspense fallback={null}>
          <Last />
        </Suspense>
      )}
      {!noCautions && <CautionsElsewhere />}
    </Stack>
  );
}

function Problems() {
  const { t } = useTranslation();
  const format = useFormat();
  const { problems } = useTakeoff();
  if (problems.length === 0) return null;
  return (
    <Box
      role="alert"
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor="held"
      bg="heldWash"
      p={2}
      mb={3}
      fontSize="sm"
      data-problems
    >
      {problems.slice(0, 6).map((p) => (
        <p key={p.code + p.path}>{problemText(t, format, p)}</p>
      ))}
    </Box>
  );
}
