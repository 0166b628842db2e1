/** One job in the hole: opened off the phone, or from the server where there is one. */
import { Box } from '@chakra-ui/react';
import { useNavigate } from 'react-router';
import { useTranslation } from '../messages/useTranslation.ts';
import type { useSender } from '../outbox/useSender.ts';
import type { Preferences } from '../preferences.ts';
import { JobView } from './JobView.tsx';
import { useOpening } from './useHole.ts';

export function Job({
  id,
  person,
  program,
  sender,
  lang,
  system,
}: {
  id: string;
  person: string;
  program: string;
  sender: ReturnType<typeof useSender>;
} & Pick<Preferences, 'lang' | 'system'>) {
  const { t } = useTranslation();
  const opening = useOpening(person, id, program);
  const navigate = useNavigate();
  if (opening.state === 'open')
    return (
      <JobView
        opened={opening.job}
        jobId={id}
        person={person}
        program={program}
        sender={sender}
        lang={lang}
        system={system}
      />
    );
  return (
    <Box as="main" p={4} fontSize="lg" display="grid" gap={3} data-opening={opening.state}>
      {opening.state === 'signedOut' ? (
        <a href={`/sign-in?to=${encodeURIComponent(location.pathname + location.search)}`}>
          {t('inHole.signIn')}
        </a>
      ) : (
        t(opening.state === 'gone' ? 'inHole.gone' : 'inHole.reading')
      )}
      {opening.state === 'gone' && (
        <button type="button" style={{ minHeight: 48 }} onClick={() => void navigate('/hole')}>
          {t('inHole.jobs')}
        </button>
      )}
    </Box>
  );
}
