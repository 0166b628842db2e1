/** How saving goes, in words. */
import { Box } from '@chakra-ui/react';
import { writeJob } from '@cimiento/formats';
import { Suspense } from 'react';
import { useRouteLoaderData } from 'react-router';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { Button } from '../ui/controls.tsx';
import { momentText } from '../ui/days.ts';
import { fileName, saveFile } from '../ui/files.ts';
import { useFormat } from '../ui/format.tsx';
import { later } from '../ui/later.tsx';
import { problemText } from '../ui/words.ts';

// There is an answer from the server, so there is signal to fetch it with.
const ConflictDialog = later(() => import('./ConflictDialog.tsx'), 'ConflictDialog');

/** What the page of the job was opened with, as far as it matters here. */
interface Opened {
  readonly mayEdit: boolean;
  readonly revision: number;
}

export function SaveState() {
  const { t } = useTranslation();
  const saving = useDesk((desk) => desk.saving);
  const revision = useDesk((desk) => desk.base.revision);
  const store = useDeskStore();
  const kept = useDesk((desk) => desk.kept);
  const asOf = useDesk((desk) => desk.asOf);
  const unkept = useDesk((desk) => desk.unkept.length);
  const format = useFormat();
  const opened = useRouteLoaderData('routes/job') as Opened | undefined;
  // Until they are let: what is saved after all says so itself.
  const watching = opened?.mayEdit === false && opened.revision === revision && saving.state === 'saved';
  const alarming = saving.state !== 'saved' && saving.state !== 'saving' && saving.state !== 'unsaved';
  const old = asOf !== null && saving.state === 'saved';
  return (
    <>
      <Box
        role="status"
        data-saving={saving.state}
        data-old={old}
        fontSize="sm"
        color={alarming || old ? 'held' : 'soft'}
        fontWeight={alarming || old ? 600 : 400}
      >
        {saving.state === 'failed'
          ? t(`saving.failed.${saving.code}`)
          : old
            ? t('saving.old', { n: revision, time: momentText(format.lang, asOf) })
            : watching
              ? t('saving.watching')
              : t(`saving.${saving.state}`, { n: revision })}
        {saving.state === 'refused' &&
          saving.problems
            .slice(0, 2)
            .map((problem) => ` ${problemText(t, format, problem)}`)
            .join('')}
        {!kept && saving.state !== 'saved' && ` ${t('saving.noRoom')}`}
        {unkept > 0 && ` ${t('saving.unkept', { count: unkept })}`}
        {(unkept > 0 || ((alarming || !kept) && saving.state !== 'saved' && saving.state !== 'conflict')) && (
          <>
            {' '}
            <Button
              size="sm"
              onClick={() => {
                const { plan, records } = store.getState();
                saveFile(`${fileName(plan.name)}.json`, writeJob(plan, records), 'application/json');
              }}
            >
              {t('saving.asFile')}
            </Button>
          </>
        )}
        {saving.state === 'signedOut' && (
          <>
            {' '}
            <a href="/sign-in" target="_blank" rel="noreferrer">
              {t('saving.signIn')}
            </a>
          </>
        )}
      </Box>
      {saving.state === 'conflict' && (
        <Suspense fallback={null}>
          <ConflictDialog conflict={saving.conflict} />
        </Suspense>
      )}
    </>
  );
}
