/** The board of days of a job: a day is a column, a place is a row; what is late and why, and what is called by when. */
import { isDay } from '@cimiento/core';
import { useRouteLoaderData } from 'react-router';
import { DaysPage } from '../days/DaysPage.tsx';
import { useTranslation } from '../messages/useTranslation.ts';
import type { loader as rootLoader } from '../root.tsx';
import { can } from '../server/can.server.ts';
import { jobWithRecords } from '../server/download.server.ts';
import { daysIn } from '../server/pool.server.ts';
import { FormatProvider } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import type { Route } from './+types/days';

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobWithRecords(request, params.jobId);
  const { id, plan, revision, records, last, person } = job;
  const now = today(plan.water.zone);
  const asked = new URL(request.url).searchParams.get('day');
  const day = asked !== null && isDay(asked) ? asked : now;
  const { days, order } = await daysIn(job, day);
  const mayEdit = can(person, 'job.save', job);
  return {
    id,
    plan,
    revision,
    records,
    last,
    person: { id: person.id, name: person.name },
    mayEdit,
    day,
    now,
    order,
    first: { days, plan, bays: null },
  };
}

export default function DaysRoute({ loaderData }: Route.ComponentProps) {
  const { t } = useTranslation();
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  const { plan } = loaderData;
  return (
    <FormatProvider lang={lang} system={system ?? plan.system}>
      <title>{`${t('daysPage.days')} · ${plan.name} · Cimiento`}</title>
      <DaysPage key={`${loaderData.id} ${loaderData.day}`} {...loaderData} />
    </FormatProvider>
  );
}
