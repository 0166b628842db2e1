/** What this browser still has to send, of any job: shown on the day board, and sent from there. */
import { Box, Flex } from '@chakra-ui/react';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, useRevalidator } from 'react-router';
import { useTranslation } from '../messages/useTranslation.ts';
import { useOutgoing, useSender } from '../outbox/useSender.ts';
import { jobsLeft } from '../state/kept.ts';
import type { Saving } from '../state/store.ts';
import { Button, Heading, Small } from '../ui/controls.tsx';

/** Between tries of an edit nobody answered, ms. */
const AGAIN = 10_000;

/** Edits left by pages now gone, by job: saved one after the other, each told how it went. */
function useLeftEdits(person: string) {
  const [edits, setEdits] = useState<ReadonlyMap<string, Saving['state']>>(new Map());
  const { revalidate } = useRevalidator();
  const send = useCallback(async () => {
    const left = await jobsLeft(person);
    if (left.length === 0) return setEdits((now) => (now.size === 0 ? now : new Map()));
    setEdits(new Map(left.map((job) => [job, 'saving'])));
    // What saving takes is the desk's: fetched only when something is left to save.
    const { sendKept } = await import('../state/sendKept.ts');
    for (const job of left) {
      const state = await sendKept(job, person);
      setEdits((now) => {
        const next = new Map(now);
        if (state === null || state === 'saved') next.delete(job);
        else next.set(job, state);
        return next;
      });
      if (state === 'saved') void revalidate();
    }
  }, [person, revalidate]);
  useEffect(() => {
    void send();
    const again = () => void send();
    addEventListener('online', again);
    return () => removeEventListener('online', again);
  }, [send]);
  const waiting = [...edits.values()].includes('waiting');
  useEffect(() => {
    if (!waiting) return;
    const timer = setInterval(() => void send(), AGAIN);
    return () => clearInterval(timer);
  }, [waiting, send]);
  return { edits, send };
}

export function Waiting({
  person,
  jobs,
}: {
  /** Id of who is signed in. */
  person: string;
  jobs: readonly { readonly id: string; readonly name: string }[];
}) {
  const { t } = useTranslation();
  const sender = useSender(person);
  const { waiting, others, unkept, gone, signedOut } = useOutgoing(sender, (state) => state);
  const { edits, send } = useLeftEdits(person);
  const rows = useMemo(() => {
    const ids = [...new Set([...waiting.map(({ job }) => job), ...edits.keys()])];
    return ids.map((id) => {
      const own = waiting.filter(({ job }) => job === id);
      return {
        id,
        name: jobs.find((job) => job.id === id)?.name ?? null,
        records: own.filter(({ refused }) => refused === null).length,
        refused: own.filter(({ refused }) => refused !== null).length,
        edit: edits.get(id),
      };
    });
  }, [waiting, edits, jobs]);
  if (rows.length === 0 && others === 0) return null;
  return (
    <Box
      as="section"
      aria-label={t('outbox.title')}
      data-outbox
      borderWidth="1px"
      borderStyle="solid"
      borderColor="held"
      px={4}
      py={3}
      mb={4}
    >
      {rows.length > 0 && (
        <Flex justify="space-between" align="center" gap={3} wrap="wrap">
          <Heading as="h3">{t('outbox.title')}</Heading>
          <Button
            size="sm"
            onClick={() => {
              void sender.retry();
              void send();
            }}
          >
            {t('outbox.send')}
          </Button>
        </Flex>
      )}
      <Box as="ul" fontSize="sm">
        {rows.map(({ id, name, records, refused, edit }) => (
          <li key={id} data-outbox-job={id}>
            {name === null ? t('outbox.noJob') : <Link to={`/jobs/${id}`}>{name}</Link>}
            {': '}
            {[
              ...(records > 0 ? [t('outbox.records', { count: records })] : []),
              ...(gone.includes(id) ? [t('outbox.gone')] : []),
              ...(refused > 0 ? [t('outbox.refused', { count: refused })] : []),
              ...(edit === undefined
                ? []
                : [
                    t('outbox.edit'),
                    ...(edit === 'conflict' ? [t('outbox.conflict')] : []),
                    ...(edit === 'refused' || edit === 'failed' || edit === 'gone' ? [t('outbox.open')] : []),
                  ]),
            ].join(' · ')}
          </li>
        ))}
      </Box>
      {unkept.length > 0 && <Small color="held">{t('saving.unkept', { count: unkept.length })}</Small>}
      {signedOut && <Small color="held">{t('outbox.signedOut')}</Small>}
      {others > 0 && <Small>{t('outbox.others', { count: others })}</Small>}
    </Box>
  );
}
