import { type ShouldRevalidateFunctionArgs, useRouteLoaderData } from 'react-router';
import { DeskPage } from '../desk/DeskPage.tsx';
import { DeskShell } from '../desk/DeskShell.tsx';
import type { loader as rootLoader } from '../root.tsx';
import { jobWithRecords } from '../server/download.server.ts';
import { FormatProvider } from '../ui/format.tsx';
import { useLive } from '../ui/useLive.ts';
import type { Route } from './+types/job';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { id, plan, revision, records, last, person } = await jobWithRecords(request, params.jobId);
  return { id, plan, revision, records, last, person: person.id };
}

/**
 * The desk keeps itself up to date: nothing it does should reload the job under the person. Another job
 * is another matter: browsers go straight from one to the other when several steps back are taken.
 */
export const shouldRevalidate = ({ currentParams, nextParams }: ShouldRevalidateFunctionArgs) =>
  currentParams.jobId !== nextParams.jobId;

export default function Job({ loaderData }: Route.ComponentProps) {
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  const { id, plan, revision, records, last, person } = loaderData;
  // The drawings are the page's own work: the server sends what they are made from.
  const live = useLive();
  return (
    <FormatProvider lang={lang} system={system ?? plan.system}>
      {live ? (
        <DeskPage
          key={id}
          jobId={id}
          person={person}
          plan={plan}
          revision={revision}
          records={records}
          last={last}
        />
      ) : (
        <DeskShell name={plan.name} />
      )}
    </FormatProvider>
  );
}
