/** Jobs taken off the board lately: they can be brought back for a while. */
import { Box, Flex } from '@chakra-ui/react';
import { Form } from 'react-router';
import type { listRemoved } from '../../db/queries/jobs.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { Button, Small } from '../ui/controls.tsx';
import { When } from './When.tsx';

type RemovedJob = Awaited<ReturnType<typeof listRemoved>>[number];

export function Removed({ jobs, days }: { jobs: readonly RemovedJob[]; days: number }) {
  const { t } = useTranslation();
  if (jobs.length === 0) return null;
  return (
    <Box as="details" mt={6} data-removed>
      <Box as="summary" cursor="pointer" fontWeight={500} py={2}>
        {t('jobs.removed', { count: jobs.length })}
      </Box>
      <Small>{t('jobs.removedNote', { count: days })}</Small>
      <Box as="ul">
        {jobs.map((job) => (
          <Flex
            as="li"
            key={job.id}
            justify="space-between"
            align="center"
            gap={3}
            py={2}
            borderBottomWidth="1px"
            borderStyle="solid"
            borderColor="rule"
          >
            <Box>
              {job.name}
              <Small>
                {job.place || t('jobs.noPlace')}
                {job.removedAt && (
                  <>
                    {' · '}
                    <When at={job.removedAt} />
                  </>
                )}
              </Small>
            </Box>
            <Form method="post">
              <input type="hidden" name="intent" value="bringBack" />
              <input type="hidden" name="job" value={job.id} />
              <Button type="submit" size="sm" aria-label={t('jobs.bringBackNamed', { name: job.name })}>
                {t('jobs.bringBack')}
              </Button>
            </Form>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}
