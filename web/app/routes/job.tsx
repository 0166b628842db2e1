import { useEffect } from 'react';
import { isRouteErrorResponse, type ShouldRevalidateFunctionArgs, useRouteLoaderData } from 'react-router';
import { DeskPage } from '../desk/DeskPage.tsx';
import { DeskShell } from '../desk/DeskShell.tsx';
import type { loader as rootLoader } from '../root.tsx';
import { can } from '../server/can.server.ts';
import { jobWithRecords } from '../server/download.server.ts';
import { isHere, keptJob, whoIsHere } from '../state/phone.ts';
import { FormatProvider } from '../ui/format.tsx';
import { useLive } from '../ui/useLive.ts';
import type { Route } from './+types/job';

export async function loader({ request, params }: Route.LoaderArgs) {
  const job = await jobWithRecords(request, params.jobId);
  const { id, plan, revision, records, last, person } = job;
  const { id: own, name } = person;
  const mayEdit = can(person, 'job.save', job);
  return { id, plan, revision, records, last, person: { id: own, name }, mayEdit, asOf: null };
}

/**
 * The desk keeps itself up to date: nothing it does should reload the job under the person. Another job
 * is another matter: browsers go straight from one to the other when several steps back are taken.
 */
export const shouldRevalidate = ({ currentParams, nextParams }: ShouldRevalidateFunctionArgs) =>
  currentParams.jobId !== nextParams.jobId;

/** Without network or server the job comes off this phone, as it last was. */
export async function clientLoader({ serverLoader, params }: Route.ClientLoaderArgs) {
  try {
    return await serverLoader();
  } catch (error) {
    const person = away(error) ? whoIsHere() : null;
    const kept = person && (await keptJob(person.id, params.jobId));
    if (!person || !kept) throw error;
    const { id, plan, revision, records, last } = kept;
    // Whether they may change it the server says when it has an answer again.
    return { id, plan, revision, records: [...records], last, person, mayEdit: true, asOf: kept.asOf };
  }
}

/** Nobody answered, or somebody who only says that there is nobody. */
const away = (error: unknown) =>
  isRouteErrorResponse(error) ? [502, 503, 504].includes(error.status) : error instanceof TypeError;

export default function Job({ loaderData }: Route.ComponentProps) {
  const root = useRouteLoaderData<typeof rootLoader>('root');
  const { lang, system } = root?.preferences ?? { lang: 'en' as const, system: null };
  const { id, plan, revision, records, last, person, asOf } = loaderData;
  useEffect(() => isHere(person), [person]);
  // The drawings are the page's own work: the server sends what they are made from.
  const live = useLive();
  return (
    <FormatProvider lang={lang} system={system ?? plan.system}>
      {live ? (
        <DeskPage
          key={id}
          jobId={id}
          person={person.id}
          plan={plan}
          revision={revision}
          records={records}
          last={last}
          asOf={asOf}
        />
      ) : (
        <DeskShell name={plan.name} />
      )}
    </FormatProvider>
  );
}
