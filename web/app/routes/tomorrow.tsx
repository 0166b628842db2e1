/** One day of a job on one page, for a phone and for paper: who, where, what, how deep, what comes, what to watch. */
import { Flex, Stack } from '@chakra-ui/react';
import { dayShifted, isDay, nextDayOf } from '@cimiento/core';
import { useRouteLoaderData } from 'react-router';
import { DayList } from '../days/DayList.tsx';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { jobWithRecords } from '../server/download.server.ts';
import { daysIn } from '../server/pool.server.ts';
import { Heading } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { FormatProvider, useFormat } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import type { Route } from './+types/tomorrow';

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobWithRecords(request, params.jobId);
  const { id, plan } = job;
  const now = today(plan.water.zone);
  const asked = new URL(request.url).searchParams.get('day');
  const day = asked !== null && isDay(asked) ? asked : nextDayOf(now);
  // A day that is over is as it stood on it.
  const { days, on } = await daysIn(job, day < now ? before(day) : now, day);
  return { id, plan, day, now, on, days };
}

const before = (day: string): string => dayShifted(day, -1);

export default function Tomorrow({ loaderData }: Route.ComponentProps) {
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  return (
    <FormatProvider lang={lang} system={system ?? loaderData.plan.system}>
      <Page {...loaderData} />
    </FormatProvider>
  );
}

function Page({ id, plan, day, on, days }: Route.ComponentProps['loaderData']) {
  const { t } = useTranslation();
  const format = useFormat();
  const title = t('daysPage.tomorrow.of', { day: dayText(format.lang, day), name: plan.name });
  return (
    <Stack as="main" gap={4} px={4} py={4} maxW="640px" data-day-page={day}>
      <title>{`${title} · Cimiento`}</title>
      <Heading as="h1" fontSize="2xl">
        {title}
      </Heading>
      {days.problems.length === 0 && <DayList on={on} days={days} plan={plan} />}
      <Flex gap={4} wrap="wrap" fontSize="md" className="no-print">
        <a href={`/jobs/${id}/tomorrow-sheet.pdf?day=${day}`}>{t('daysPage.tomorrow.pdf')}</a>
        <a href={`?day=${before(day)}`}>{t('daysPage.tomorrow.before')}</a>
        <a href={`?day=${nextDayOf(day)}`}>{t('daysPage.tomorrow.after')}</a>
        <a href={`/jobs/${id}/days`}>{t('daysPage.tomorrow.board')}</a>
      </Flex>
    </Stack>
  );
}
