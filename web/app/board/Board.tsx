/** The day board: name, place, next hold, dig, last change; a job can be removed. */

import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { Form, Link, useRouteLoaderData } from 'react-router';
import type { listJobs } from '../../db/queries/jobs.ts';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { Button, Small, Th } from '../ui/controls.tsx';
import { makeFormat, useFormat } from '../ui/format.tsx';
import { When } from './When.tsx';

/** A job as the board shows it. */
export type JobRow = Awaited<ReturnType<typeof listJobs>>[number];

export function Board({ jobs }: { jobs: readonly JobRow[] }) {
  const { t } = useTranslation();
  const head = {
    textAlign: 'left',
    fontWeight: 500,
    fontSize: 'sm',
    color: 'soft',
    pb: 1,
    borderBottomWidth: '2px',
    borderStyle: 'solid',
    borderColor: 'ink',
  } as const;
  return (
    <Box as="table" w="full" borderCollapse="collapse" display={{ base: 'block', md: 'table' }}>
      <Box as="thead" display={{ base: 'none', md: 'table-header-group' }}>
        <tr>
          {(['job', 'hold', 'dig', 'changed'] as const).map((key) => (
            <Th
              scope="col"
              key={key}
              {...head}
              textAlign={key === 'dig' ? 'right' : 'left'}
              pr={key === 'dig' ? 4 : 0}
            >
              {t(`jobs.${key}`)}
            </Th>
          ))}
          <Th {...head}>
            <span hidden>{t('jobs.remove')}</span>
          </Th>
        </tr>
      </Box>
      <Box as="tbody" display={{ base: 'block', md: 'table-row-group' }}>
        {jobs.map((job) => (
          <BoardRow key={job.id} job={job} />
        ))}
      </Box>
    </Box>
  );
}

function BoardRow({ job }: { job: JobRow }) {
  const { t } = useTranslation();
  const shown = useFormat();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const format = makeFormat(shown.lang, root?.preferences.system ?? job.system);
  const [asking, setAsking] = useState(false);
  const dig = format.parts(job.summary.dig, 'volume');
  const [hold] = job.summary.holds;
  const cell = {
    verticalAlign: 'top',
    py: 3,
    pr: 4,
    borderBottomWidth: { md: '1px' },
    borderStyle: 'solid',
    borderColor: 'rule',
    display: { base: 'block', md: 'table-cell' },
  } as const;
  return (
    <Box
      as="tr"
      display={{ base: 'block', md: 'table-row' }}
      borderBottomWidth={{ base: '1px', md: '0' }}
      borderStyle="solid"
      borderColor="edge"
      py={{ base: 2, md: 0 }}
    >
      <Box as="td" {...cell}>
        <Link to={`/jobs/${job.id}`} style={{ fontWeight: 600, fontSize: '1.125rem' }}>
          {job.name}
        </Link>
        <Small fontSize="sm">
          {job.place || t('jobs.noPlace')} · {t('jobs.elements', { count: job.summary.elements })}
        </Small>
      </Box>
      <Box as="td" {...cell} py={{ base: 1, md: 3 }}>
        {hold ? (
          <Box
            as="span"
            display="inline-block"
            bg="heldWash"
            color="held"
            px={2}
            py={0.5}
            borderRadius="sm"
            fontSize="sm"
            fontWeight={500}
          >
            {t(coded(`hold.${hold}`))}
            {job.summary.holds.length > 1 && ` +${job.summary.holds.length - 1}`}
          </Box>
        ) : (
          <Box as="span" color="soft" fontSize="sm">
            {t('jobs.noHold')}
          </Box>
        )}
      </Box>
      <Box
        as="td"
        {...cell}
        py={{ base: 1, md: 3 }}
        textAlign={{ md: 'right' }}
        fontFamily="figure"
        fontSize="xl"
        fontWeight={600}
        whiteSpace="nowrap"
      >
        {dig.number}{' '}
        <Box as="span" fontSize="sm" color="soft">
          {dig.unit}
        </Box>
      </Box>
      <Box as="td" {...cell} py={{ base: 1, md: 3 }} fontSize="sm">
        <When at={job.updatedAt} />
        <Small>
          {job.updatedBy ?? ''} · {t('jobs.revision', { n: job.revision })}
        </Small>
      </Box>
      <Box as="td" {...cell} pr={0} py={{ base: 1, md: 3 }} textAlign={{ md: 'right' }}>
        <Form method="post" onSubmit={() => setAsking(false)}>
          <input type="hidden" name="intent" value="remove" />
          <input type="hidden" name="job" value={job.id} />
          {asking ? (
            <Flex gap={2} justify={{ md: 'end' }}>
              <Button type="submit" look="held" size="sm">
                {t('jobs.removeSure', { name: job.name })}
              </Button>
              <Button type="button" size="sm" onClick={() => setAsking(false)}>
                {t('jobs.keep')}
              </Button>
            </Flex>
          ) : (
            <Button
              type="button"
              look="quiet"
              size="sm"
              onClick={() => setAsking(true)}
              aria-label={t('jobs.removeNamed', { name: job.name })}
            >
              {t('jobs.remove')}
            </Button>
          )}
        </Form>
      </Box>
    </Box>
  );
}
