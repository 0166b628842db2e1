/** The day of the crew: what is on at every job, what stops it, who and what comes, what to order before noon, the night ahead. */
import { Box, Flex, Grid, Stack } from '@chakra-ui/react';
import { type DayPlan, type Days, isDay, type Plan } from '@cimiento/core';
import { Suspense } from 'react';
import { Await, Link, useRouteLoaderData } from 'react-router';
import { findJob, listJobs } from '../../db/queries/jobs.ts';
import { listRecords } from '../../db/queries/records.ts';
import { DayList } from '../days/DayList.tsx';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { allow } from '../server/can.server.ts';
import { requirePerson, withDatabase } from '../server/http.server.ts';
import { daysIn } from '../server/pool.server.ts';
import { Heading, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { FormatProvider } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import type { Route } from './+types/today';

interface Shown {
  readonly on: DayPlan;
  readonly days: Pick<Days, 'tasks' | 'problems'>;
}

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requirePerson(request);
  allow(person, 'jobs.list');
  const asked = new URL(request.url).searchParams.get('day');
  const jobs = await withDatabase(() => listJobs(person.crewId));
  const known = await withDatabase(() =>
    Promise.all(jobs.map(async ({ id }) => await findJob(person.crewId, id))),
  );
  const planned = known.flatMap((job) => (job && job.plan.days.start !== null ? [job] : []));
  const day = asked !== null && isDay(asked) ? asked : today(planned[0]?.plan.water.zone ?? 'UTC');
  return {
    day,
    noStart: known.flatMap((job) => (job && job.plan.days.start === null ? [job.plan.name] : [])),
    jobs: planned.map((job) => ({
      id: job.id,
      plan: job.plan,
      // Each comes when it is worked out: none waits for another.
      shown: (async (): Promise<Shown | null> => {
        try {
          const rows = await withDatabase(() => listRecords(job.crewId, job.id));
          const made = await daysIn({ ...job, records: rows.map(({ record }) => record) }, day);
          return { on: made.on, days: { tasks: made.days.tasks, problems: made.days.problems } };
        } catch {
          // The others are told all the same; this one says that it is not.
          return null;
        }
      })(),
    })),
  };
}

export default function Today({ loaderData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  const { day, jobs, noStart } = loaderData;
  const title = t('daysPage.crew.of', { day: dayText(lang, day) });
  return (
    <Stack as="main" gap={4} px={{ base: 4, md: 8 }} py={4} data-crew-day={day}>
      <title>{`${title} · Cimiento`}</title>
      <Flex justify="space-between" align="baseline" wrap="wrap" gap={3}>
        <Heading as="h1" fontSize="2xl">
          {title}
        </Heading>
        <Link to="/jobs">{t('daysPage.crew.jobs')}</Link>
      </Flex>
      {jobs.length === 0 && <Small fontSize="md">{t('daysPage.crew.none')}</Small>}
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' }} gap={6}>
        {jobs.map(({ id, plan, shown }) => (
          <FormatProvider key={id} lang={lang} system={system ?? plan.system}>
            <Stack
              as="section"
              gap={2}
              borderTopWidth="2px"
              borderStyle="solid"
              borderColor="ink"
              pt={2}
              data-job-day={plan.name}
            >
              <Flex justify="space-between" align="baseline" gap={3}>
                <Heading fontSize="xl">{plan.name}</Heading>
                <a href={`/jobs/${id}/days`}>{t('daysPage.days')}</a>
              </Flex>
              <Suspense fallback={<Small>{t('daysPage.working')}</Small>}>
                <Await resolve={shown} errorElement={<OneJob shown={null} plan={plan} />}>
                  {(made) => <OneJob shown={made} plan={plan} />}
                </Await>
              </Suspense>
            </Stack>
          </FormatProvider>
        ))}
      </Grid>
      {noStart.length > 0 && <Small>{t('daysPage.crew.noStart', { names: noStart.join(', ') })}</Small>}
    </Stack>
  );
}

function OneJob({ shown, plan }: { shown: Shown | null; plan: Plan }) {
  const { t } = useTranslation();
  if (!shown || shown.days.problems.length > 0) return <Box color="held">{t('daysPage.crew.failed')}</Box>;
  return <DayList on={shown.on} days={shown.days} plan={plan} />;
}
