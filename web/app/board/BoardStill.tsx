/**
 * The day board before its script runs: names, places and where to press. The server draws no more
 * than this, so that it can serve many; the page draws the rest at once.
 */
import { Box } from '@chakra-ui/react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { JobRow } from './Board.tsx';

const ROW = { padding: '12px 0 30px', borderBottom: '1px solid var(--chakra-colors-rule)' } as const;
const NAME = { fontWeight: 600, fontSize: '1.125rem' } as const;

export function BoardStill({ crew, jobs }: { crew: string; jobs: readonly JobRow[] }) {
  const { t } = useTranslation();
  return (
    <>
      <title>{`${t('jobs.title')} · Cimiento`}</title>
      <Box as="header" px={{ base: 4, md: 8 }} py={5} borderBottom="2px solid" borderColor="ink" bg="sheet">
        <strong style={{ fontSize: '1.25rem', letterSpacing: '0.04em' }}>CIMIENTO</strong> {crew}
      </Box>
      <Box as="main" px={{ base: 4, md: 8 }} py={6} maxW="60rem">
        <h2 style={{ fontSize: '1.25rem', marginBottom: 34 }}>{t('jobs.board')}</h2>
        {jobs.map((job) => (
          <div key={job.id} style={ROW}>
            <a href={`/jobs/${job.id}`} style={NAME}>
              {job.name}
            </a>
            <div>{job.place}</div>
          </div>
        ))}
      </Box>
    </>
  );
}
