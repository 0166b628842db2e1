/** In the hole: the page a phone opens without network and server. Who is here, which job, then one screen a thing. */
import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useSender } from '../outbox/useSender.ts';
import type { Preferences } from '../preferences.ts';
import { jobsLeft } from '../state/kept.ts';
import { isHere, type PhonePerson, whoIsHere } from '../state/phone.ts';
import { askCrew, JobList } from './JobList.tsx';
import { useWhere } from './where.ts';
import { useDrawnWide } from './wide.ts';

type JobPage = typeof import('./Job.tsx')['Job'];

/**
 * A job works on far more than the list does: it is fetched while the list is shown. Not by Suspense, which
 * once it has shown its fallback holds back what comes after it for 300 ms.
 */
function useJobPage(wanted: boolean): JobPage | null {
  const [page, setPage] = useState<JobPage | null>(null);
  useEffect(() => {
    if (wanted) void import('./Job.tsx').then(({ Job }) => setPage(() => Job));
  }, [wanted]);
  return page;
}

export function HolePage({ preferences, program }: { preferences: Preferences; program: string }) {
  const { t } = useTranslation();
  const [person, setPerson] = useState<PhonePerson | null>(whoIsHere);
  const [door, setDoor] = useState(false);
  useEffect(() => {
    let gone = false;
    void askCrew().then((crew) => {
      if (gone) return;
      if (crew === 'signedOut') setDoor(true);
      else if (crew) {
        isHere(crew.person);
        setPerson((now) => (now?.id === crew.person.id ? now : crew.person));
      }
    });
    return () => {
      gone = true;
    };
  }, []);
  const to = encodeURIComponent(location.pathname + location.search);
  if (!person)
    return (
      <Box as="main" p={4} fontSize="lg">
        {door ? <a href={`/sign-in?to=${to}`}>{t('inHole.signIn')}</a> : t('inHole.noJobs')}
      </Box>
    );
  return <Here person={person} preferences={preferences} program={program} />;
}

/** Edits of jobs that are not open, left by pages now gone: saved as soon as there is a server. */
function useLeftEdits(person: string, open: string | null): void {
  useEffect(() => {
    const send = async () => {
      for (const job of await jobsLeft(person))
        if (job !== open) await (await import('../state/sendKept.ts')).sendKept(job, person);
    };
    const again = () => void send().catch(() => {});
    again();
    addEventListener('online', again);
    return () => removeEventListener('online', again);
  }, [person, open]);
}

function Here({
  person,
  preferences: { lang, system },
  program,
}: {
  person: PhonePerson;
  preferences: Preferences;
  program: string;
}) {
  const { where } = useWhere();
  const sender = useSender(person.id);
  useLeftEdits(person.id, where.job);
  useDrawnWide(where.job);
  const Job = useJobPage(where.job !== null);
  if (where.job === null) return <JobList person={person} sender={sender} lang={lang} />;
  if (!Job) return <Box as="main" minH="100vh" bg="paper" aria-busy="true" />;
  return (
    <Job
      key={where.job}
      id={where.job}
      person={person.id}
      program={program}
      sender={sender}
      lang={lang}
      system={system}
    />
  );
}
