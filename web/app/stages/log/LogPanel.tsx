/** What happened: the job's revisions, who saved what and when, and bringing one back. */

import { Box } from '@chakra-ui/react';
import type { Plan, PlanChange } from '@cimiento/core';
import { useEffect, useState } from 'react';
import { When } from '../../board/When.tsx';
import { coded } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useJobId } from '../../state/jobId.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { ChangeLine } from '../../ui/ChangeLine.tsx';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Panel } from '../fields.tsx';
import { RecordPanel } from './RecordPanel.tsx';
import { TeachesPanel } from './TeachesPanel.tsx';

interface Revision {
  readonly number: number;
  /** The first save it holds. */
  readonly first: number;
  readonly at: string;
  readonly by: string | null;
  readonly why: string;
  readonly changes: readonly PlanChange[];
  readonly summary: { dig: number; stale?: boolean };
}

const MOST_SHOWN = 4;

export function LogPanel() {
  const { t } = useTranslation();
  const jobId = useJobId();
  return (
    <>
      <a href={`/jobs/${jobId}/days`}>{t('daysPage.days')}</a>
      <RecordPanel />
      <TeachesPanel />
      <Revisions />
    </>
  );
}

function Revisions() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const jobId = useJobId();
  const revision = useDesk((desk) => desk.base.revision);
  const plan = useDesk((desk) => desk.base.plan);
  const [list, setList] = useState<readonly Revision[] | null>(null);
  const [more, setMore] = useState(false);
  const [failed, setFailed] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new revision means a new list
  useEffect(() => {
    let stale = false;
    pageOf(jobId)
      .then((page) => {
        if (stale) return;
        setList(page.revisions);
        setMore(page.more);
        setFailed(false);
      })
      .catch(() => !stale && setFailed(true));
    return () => {
      stale = true;
    };
  }, [jobId, revision]);
  const older = async () => {
    const last = list?.at(-1)?.number;
    if (last === undefined) return;
    try {
      const page = await pageOf(jobId, last);
      setList((shown) => [...(shown ?? []), ...page.revisions]);
      setMore(page.more);
    } catch {
      setFailed(true);
    }
  };
  const bring = async (number: number) => {
    const response = await fetch(`/jobs/${jobId}/revisions?number=${number}`).catch(() => null);
    if (!response?.ok) return setFailed(true);
    const { plan } = (await response.json()) as { plan: Plan };
    store.getState().replace(plan);
  };
  return (
    <Panel title={t('log.title')}>
      {failed && <FieldError role="alert">{t('log.failed')}</FieldError>}
      <Box as="ol" data-revisions>
        {list?.map((item) => (
          <Box
            as="li"
            key={item.number}
            py={2}
            borderBottomWidth="1px"
            borderStyle="solid"
            borderColor="rule"
          >
            <Box display="flex" justifyContent="space-between" gap={2}>
              <Box as="span" fontWeight={500}>
                {t('jobs.revision', { n: item.number })}
                {!item.summary.stale && ` · ${format.text(item.summary.dig, 'volume')}`}
                {item.changes.some((change) => change.path.startsWith('/levels/instructions')) && (
                  <Box as="span" color="held" fontSize="xs" data-word-revision>
                    {' '}
                    · {t('log.word')}
                  </Box>
                )}
              </Box>
              {item.number !== revision && (
                <Button size="sm" onClick={() => bring(item.number)}>
                  {t('log.bring')}
                </Button>
              )}
            </Box>
            <Small>
              <When at={new Date(item.at)} /> · {item.by}
              {item.why && ` · ${t(coded(`log.why.${item.why}`), { defaultValue: item.why })}`}
            </Small>
            {item.changes.slice(0, MOST_SHOWN).map((change) => (
              <ChangeLine key={change.path} plan={plan} change={change} />
            ))}
            {item.changes.length > MOST_SHOWN && (
              <Small>{t('log.more', { count: item.changes.length - MOST_SHOWN })}</Small>
            )}
            {item.first < item.number && <Saves of={item} onBring={bring} />}
          </Box>
        ))}
      </Box>
      {more && (
        <Button onClick={older} data-older>
          {t('log.older')}
        </Button>
      )}
    </Panel>
  );
}

/** The saves a revision grew over, for who wants one of them: fetched when opened. */
function Saves({ of, onBring }: { of: Revision; onBring: (number: number) => void }) {
  const { t } = useTranslation();
  const jobId = useJobId();
  const [list, setList] = useState<readonly Save[]>([]);
  const [failed, setFailed] = useState(false);
  const fetchMore = async (before?: number) => {
    try {
      const more = await savesOf(jobId, of.number, before);
      setList((shown) => (before === undefined ? more : [...shown, ...more]));
      setFailed(false);
    } catch {
      setFailed(true);
    }
  };
  const last = list.at(-1)?.number;
  return (
    <details data-saves onToggle={(event) => event.currentTarget.open && void fetchMore()}>
      <Box as="summary" fontSize="sm" cursor="pointer">
        {t('log.saves', { count: of.number - of.first })}
      </Box>
      {failed && <FieldError role="alert">{t('log.failed')}</FieldError>}
      <ol>
        {list.map(({ number, at }) => (
          <Box as="li" key={number} display="flex" justifyContent="space-between" gap={2} py={1}>
            <Small>
              {t('jobs.revision', { n: number })} · <When at={new Date(at)} />
            </Small>
            <Button size="sm" onClick={() => onBring(number)}>
              {t('log.bring')}
            </Button>
          </Box>
        ))}
      </ol>
      {last !== undefined && last > of.first && (
        <Button size="sm" onClick={() => void fetchMore(last)}>
          {t('log.olderSaves')}
        </Button>
      )}
    </details>
  );
}

interface Save {
  readonly number: number;
  readonly at: string;
}

async function savesOf(jobId: string, number: number, before?: number): Promise<readonly Save[]> {
  const query = new URLSearchParams({ within: String(number) });
  if (before !== undefined) query.set('before', String(before));
  const response = await fetch(`/jobs/${jobId}/revisions?${query}`);
  if (!response.ok) throw new Error(String(response.status));
  return ((await response.json()) as { saves: readonly Save[] }).saves;
}

interface Page {
  readonly revisions: readonly Revision[];
  readonly more: boolean;
}

/** Some revisions, newest first; those older than a number when it is given. */
async function pageOf(jobId: string, before?: number): Promise<Page> {
  const response = await fetch(`/jobs/${jobId}/revisions${before === undefined ? '' : `?before=${before}`}`);
  if (!response.ok) throw new Error(String(response.status));
  return (await response.json()) as Page;
}
