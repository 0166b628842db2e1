/** What to do when two people saved at once. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { mergePlans } from '@cimiento/core';
import { useMemo, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { type Conflict, useDesk, useDeskStore } from '../state/store.ts';
import { ChangeLine } from '../ui/ChangeLine.tsx';
import { changeText } from '../ui/changes.ts';
import { Button, Heading, Small } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { Modal } from '../ui/Modal.tsx';

export function ConflictDialog({ conflict }: { conflict: Conflict }) {
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
