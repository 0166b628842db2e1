/** The board of days of a job: a day is a column, a place is a row; what is late, and what is called by when. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { elementName } from '@cimiento/core';
import { Link, useRouteLoaderData } from 'react-router';
import { DaysBoard } from '../board/DaysBoard.tsx';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { jobWithRecords } from '../server/download.server.ts';
import { daysIn } from '../server/pool.server.ts';
import { Heading } from '../ui/controls.tsx';
import { FormatProvider } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import type { Route } from './+types/days';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { id, plan, ...job } = await jobWithRecords(request, params.jobId);
  const day = today(plan.water.zone);
  const days = await daysIn({ ...job, plan }, day);
  return {
    id,
    name: plan.name,
    system: plan.system,
    today: day,
    days,
    names: Object.fromEntries(plan.elements.map((element) => [element.id, elementName(plan, element.id)])),
  };
}

export default function DaysPage({ loaderData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  const { id, name, days } = loaderData;
  return (
    <FormatProvider lang={lang} system={system ?? loaderData.system}>
      <title>{`${t('daysPage.days')} · ${name} · Cimiento`}</title>
      <Flex
        as="header"
        justify="space-between"
        align="center"
        gap={4}
        px={{ base: 4, md: 8 }}
        py={2.5}
        borderBottomWidth="2px"
        borderStyle="solid"
        borderColor="ink"
        bg="sheet"
      >
        <Heading as="h1" fontSize="xl">
          {t('daysPage.daysOf', { name })}
        </Heading>
        <Link to={`/jobs/${id}`} reloadDocument>
          {t('daysPage.back')}
        </Link>
      </Flex>
      <Stack as="main" gap={4} px={{ base: 4, md: 8 }} py={4}>
        <DaysBoard days={days} names={loaderData.names} today={loaderData.today} />
        <Box>
          <a href={`/jobs/${id}/days.csv`}>{t('daysPage.csv')}</a>
        </Box>
      </Stack>
    </FormatProvider>
  );
}
