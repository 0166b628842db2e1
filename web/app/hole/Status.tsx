/** Always seen: how old what is shown is, and what waits to be sent. */
import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Sender } from '../outbox/sender.ts';
import { useOutgoing } from '../outbox/useSender.ts';
import { onNewer, takeNewer } from '../state/offline.ts';
import type { DeskStore } from '../state/store.ts';
import { momentText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { Press, Word } from './parts.tsx';

export function Status({ sender, store }: { sender: Sender; store: DeskStore }) {
  const { t } = useTranslation();
  const { lang } = useFormat();
  const asOf = useStore(store, (desk) => desk.asOf);
  const saving = useStore(store, (desk) => desk.saving);
  const kept = useStore(store, (desk) => desk.kept);
  const edited = useStore(store, (desk) => desk.plan !== desk.base.plan);
  const outgrown = useStore(store, (desk) => desk.outgrown);
  const waiting = useOutgoing(sender, (out) => out.waiting.length) + (edited ? 1 : 0);
  const unkept = useOutgoing(sender, (out) => out.unkept.length);
  const signedOut = useOutgoing(sender, (out) => out.signedOut) || saving.state === 'signedOut';
  const refused = useOutgoing(sender, (out) => out.waiting.filter((one) => one.refused).length);
  return (
    <>
      <Flex px={3} gap={3} fontSize="md" fontWeight={500} justify="space-between" data-status role="status">
        <span data-as-of={asOf ?? ''}>
          {asOf === null ? t('inHole.fresh') : t('inHole.asOf', { when: momentText(lang, asOf) })}
        </span>
        <span data-waiting={waiting}>
          {waiting > 0 ? t('inHole.waiting', { count: waiting }) : t('inHole.sent')}
        </span>
      </Flex>
      {(unkept > 0 || !kept) && <Word tone="stop">{t('inHole.full')}</Word>}
      {signedOut && (
        <Word tone="stop" data-signed-out="">
          <a href={`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`}>
            {t('inHole.signIn')}
          </a>
        </Word>
      )}
      {(refused > 0 || saving.state === 'conflict' || saving.state === 'refused') && (
        <Word tone="stop" data-hole-conflict="">
          {refused > 0 ? t('inHole.refusedRecords', { count: refused }) : t('inHole.refused')}
        </Word>
      )}
      {outgrown && <Word tone="stop">{t('inHole.newer')}</Word>}
      <Newer quiet={waiting === 0 && unkept === 0} />
    </>
  );
}

/** A newer program waits until somebody asks for it, or no page is open any more. */
function Newer({ quiet }: { quiet: boolean }) {
  const { t } = useTranslation();
  const [worker, setWorker] = useState<ServiceWorker | null>(null);
  useEffect(() => onNewer(setWorker), []);
  if (!worker || !quiet) return null;
  return (
    <Box px={3}>
      <Word data-newer="">
        {t('inHole.newer')}
        <Press mt={1.5} onClick={() => takeNewer(worker)}>
          {t('inHole.takeNewer')}
        </Press>
      </Word>
    </Box>
  );
}
