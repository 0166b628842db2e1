/** How saving goes, in words; and what to do when two people saved at once. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { mergePlans } from '@cimiento/core';
import { writeJob } from '@cimiento/formats';
import { useMemo, useState } from 'react';
import { momentText } from '../board/When.tsx';
import { useTranslation } from '../messages/useTranslation.ts';
import { ChangeLine } from '../parts/ChangeLine.tsx';
import { changeText } from '../parts/changes.ts';
import { Button, Heading, Small } from '../parts/controls.tsx';
import { fileName, saveFile } from '../parts/files.ts';
import { useFormat } from '../parts/format.tsx';
import { Modal } from '../parts/Modal.tsx';
import { problemText } from '../parts/words.ts';
import { type Conflict, useDesk, useDeskStore } from './store.ts';

export function SaveState() {
  const { t } = useTranslation();
  const saving = useDesk((desk) => desk.saving);
  const revision = useDesk((desk) => desk.base.revision);
  const store = useDeskStore();
  const kept = useDesk((desk) => desk.kept);
  const asOf = useDesk((desk) => desk.asOf);
  const unkept = useDesk((desk) => desk.unkept.length);
  const format = useFormat();
  const alarming = saving.state !== 'saved' && saving.state !== 'saving' && saving.state !== 'unsaved';
  const old = asOf !== null && saving.state === 'saved';
  return (
    <>
      <Box
        role="status"
        data-saving={saving.state}
        data-old={old}
        fontSize="sm"
        color={alarming || old ? 'held' : 'soft'}
        fontWeight={alarming || old ? 600 : 400}
      >
        {saving.state === 'failed'
          ? t(`saving.failed.${saving.code}`)
          : old
            ? t('saving.old', { n: revision, time: momentText(format.lang, asOf) })
            : t(`saving.${saving.state}`, { n: revision })}
        {saving.state === 'refused' &&
          saving.problems
            .slice(0, 2)
            .map((problem) => ` ${problemText(t, format, problem)}`)
            .join('')}
        {!kept && saving.state !== 'saved' && ` ${t('saving.noRoom')}`}
        {unkept > 0 && ` ${t('record.unkept', { count: unkept })}`}
        {(unkept > 0 || ((alarming || !kept) && saving.state !== 'saved' && saving.state !== 'conflict')) && (
          <>
            {' '}
            <Button
              size="sm"
              onClick={() => {
                const { plan, records } = store.getState();
                saveFile(`${fileName(plan.name)}.json`, writeJob(plan, records), 'application/json');
              }}
            >
              {t('saving.asFile')}
            </Button>
          </>
        )}
        {saving.state === 'signedOut' && (
          <>
            {' '}
            <a href="/sign-in" target="_blank" rel="noreferrer">
              {t('saving.signIn')}
            </a>
          </>
        )}
      </Box>
      {saving.state === 'conflict' && <ConflictDialog conflict={saving.conflict} />}
    </>
  );
}

function ConflictDialog({ conflict }: { conflict: Conflict }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const base = useDesk((desk) => desk.base);
  const merge = useMemo(() => mergePlans(base.plan, conflict.plan, plan), [base.plan, conflict.plan, plan]);
  const [mineToo, setMineToo] = useState(true);
  const settle = (keep: 'both' | 'theirs') => {
    // Merging the other way round leaves mine wherever the two collide.
    const both = mineToo ? mergePlans(base.plan, plan, conflict.plan).merged : merge.merged;
    store.setState({
      base: { revision: conflict.revision, plan: conflict.plan },
      saving: { state: keep === 'theirs' ? 'saved' : 'unsaved' },
    });
    store.getState().replace(keep === 'theirs' ? conflict.plan : both);
  };
  return (
    <Modal open title={t('conflict.title', { who: conflict.by ?? t('conflict.someone') })} width="42rem">
      <Stack gap={3}>
        <p>{t('conflict.text')}</p>
        <Heading as="h3">{t('conflict.theirs', { count: merge.theirChanges.length })}</Heading>
        <Box as="ul" fontSize="sm" maxH="9rem" overflowY="auto">
          {merge.theirChanges.map((c) => (
            <li key={c.path}>
              <ChangeLine plan={conflict.plan} change={c} />
            </li>
          ))}
        </Box>
        {merge.collisions.length > 0 && (
          <>
            <Heading as="h3">{t('conflict.both')}</Heading>
            <Box as="ul" fontSize="sm">
              {merge.collisions.map((c) => {
                const { path } = c;
                const them = changeText(t, format, conflict.plan, { path, from: c.base, to: c.theirs });
                const me = changeText(t, format, plan, { path, from: c.base, to: c.mine });
                return (
                  <li key={path}>
                    {them.what}: {t('conflict.them')} <strong>{them.to}</strong> · {t('conflict.me')}{' '}
                    <strong>{me.to}</strong>
                  </li>
                );
              })}
            </Box>
            <label>
              <input
                type="checkbox"
                checked={mineToo}
                onChange={(event) => setMineToo(event.target.checked)}
              />{' '}
              {t('conflict.mineWins')}
            </label>
          </>
        )}
        <Flex gap={2} wrap="wrap">
          <Button look="main" onClick={() => settle('both')}>
            {t('conflict.merge')}
          </Button>
          <Button onClick={() => settle('theirs')}>{t('conflict.takeTheirs')}</Button>
        </Flex>
        <Small>{t('conflict.undo')}</Small>
      </Stack>
    </Modal>
  );
}
