/** Jobs on this phone, and those of the crew there is signal for. */
import { Box } from '@chakra-ui/react';
import type { Lang } from '@cimiento/core';
import { useEffect, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Sender } from '../outbox/sender.ts';
import { useOutgoing } from '../outbox/useSender.ts';
import { isHere, keptJobs, type PhonePerson } from '../state/phone.ts';
import { momentText } from '../ui/days.ts';
import { Press, Word } from './parts.tsx';
import { useWhere } from './where.ts';

/** An answer that takes longer is as good as none, ms. */
const LONGEST_ANSWER = 8000;
/** A clock this far off is told, ms. */
const CLOCK_OFF = 5 * 60_000;

interface Listed {
  readonly id: string;
  readonly name: string;
  readonly place: string;
}
interface Crew {
  readonly person: PhonePerson;
  readonly now: number;
  readonly jobs: readonly Listed[];
}

/** Asks who is signed in and what jobs there are; null where nobody answers. */
export async function askCrew(): Promise<Crew | 'signedOut' | null> {
  const answer = await fetch('/crew/jobs', { signal: AbortSignal.timeout(LONGEST_ANSWER) }).catch(() => null);
  if (answer?.status === 401) return 'signedOut';
  return answer?.ok ? ((await answer.json().catch(() => null)) as Crew | null) : null;
}

export function JobList({ person, sender, lang }: { person: PhonePerson; sender: Sender; lang: Lang }) {
  const { t } = useTranslation();
  const { go } = useWhere();
  const [jobs, setJobs] = useState<readonly (Listed & { readonly asOf: number | null })[] | null>(null);
  const [off, setOff] = useState(0);
  const waiting = useOutgoing(sender, (out) => out.waiting);
  const others = useOutgoing(sender, (out) => out.others);
  useEffect(() => {
    let gone = false;
    const read = async () => {
      const kept = await keptJobs(person.id);
      if (!gone) setJobs(kept);
      const crew = await askCrew();
      if (gone || crew === null || crew === 'signedOut') return;
      isHere(crew.person);
      setOff(Date.now() - crew.now);
      if (crew.person.id !== person.id) return;
      const here = new Set(kept.map(({ id }) => id));
      setJobs([
        ...kept,
        ...crew.jobs
          .filter(({ id }) => !here.has(id))
          .map((job) => ({ ...job, asOf: null as number | null })),
      ]);
    };
    void read();
    return () => {
      gone = true;
    };
  }, [person]);
  return (
    <Box
      as="main"
      maxW="480px"
      mx="auto"
      minH="100vh"
      bg="paper"
      color="ink"
      p={3}
      display="grid"
      gap={2.5}
      alignContent="start"
      data-hole-jobs
    >
      <title>{`${t('inHole.title')} · Cimiento`}</title>
      <Box as="h1" fontFamily="figure" fontWeight={600} fontSize="3xl">
        {t('inHole.title')}
      </Box>
      <Box fontSize="md" role="status" data-waiting={waiting.length}>
        {waiting.length > 0 ? t('inHole.waiting', { count: waiting.length }) : t('inHole.sent')}
      </Box>
      {Math.abs(off) > CLOCK_OFF && (
        <Word tone="stop" data-clock="">
          {t('inHole.clock', { off: `${Math.round(Math.abs(off) / 60_000)} min` })}
        </Word>
      )}
      {others > 0 && <Word>{t('inHole.otherPerson')}</Word>}
      {jobs?.length === 0 && <Word>{t('inHole.noJobs')}</Word>}
      {jobs?.map(({ id, name, place, asOf }) => (
        <Press
          key={id}
          justifyContent="space-between"
          textAlign="left"
          onClick={() => go({ job: id })}
          data-job={id}
        >
          <span>
            {name}
            <Box as="span" display="block" fontSize="sm" fontWeight={500}>
              {[place, asOf === null ? '' : t('inHole.asOf', { when: momentText(lang, asOf) })]
                .filter(Boolean)
                .join(' · ')}
            </Box>
          </span>
          {waiting.some(({ job }) => job === id) && (
            <Box as="span" fontSize="md">
              {t('inHole.waiting', { count: waiting.filter(({ job }) => job === id).length })}
            </Box>
          )}
        </Press>
      ))}
      <Box textAlign="center" fontSize="lg" pt={2}>
        <a href="/jobs">{t('inHole.board')}</a>
      </Box>
    </Box>
  );
}
