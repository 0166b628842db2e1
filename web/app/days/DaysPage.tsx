/** The board of days of a job: what when, what is late, what the weather takes; typed, dragged and pinned. */
import { Box, Flex, Grid, Stack } from '@chakra-ui/react';
import { type DayTask, dayShifted, isDay, nextDayOf, type Plan, type SiteRecord } from '@cimiento/core';
import { ChevronRight, Redo2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { SaveState } from '../desk/SaveState.tsx';
import { useTranslation } from '../messages/useTranslation.ts';
import { useSender } from '../outbox/useSender.ts';
import { JobIdProvider } from '../state/jobId.ts';
import { DeskProvider, makeDesk, useDesk, useDeskStore } from '../state/store.ts';
import { Button, FieldError, Heading, Input, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { useLive } from '../ui/useLive.ts';
import { problemText } from '../ui/words.ts';
import { BaysPanel } from './BaysPanel.tsx';
import { Board } from './Board.tsx';
import { HoursPanel } from './HoursPanel.tsx';
import { Calls, Late, WatchList } from './Lists.tsx';
import { TaskPanel, withOwn } from './TaskPanel.tsx';
import { type DaysShown, useDays } from './useDays.ts';
import { WeatherPanel } from './WeatherPanel.tsx';

export interface DaysJob {
  readonly id: string;
  readonly plan: Plan;
  readonly revision: number;
  readonly records: readonly SiteRecord[];
  readonly last: number;
  readonly person: { readonly id: string; readonly name: string };
  readonly mayEdit: boolean;
  /** The day it is looked at from; and today. */
  readonly day: string;
  readonly now: string;
  readonly order: readonly string[];
  readonly first: DaysShown;
}

export function DaysPage(job: DaysJob) {
  const { id, plan, revision, records } = job;
  const [store] = useState(() => makeDesk(plan, revision, records));
  const live = useLive();
  return (
    <JobIdProvider value={id}>
      <DeskProvider value={store}>
        {live ? <Live {...job} /> : <Shown {...job} shown={job.first} />}
      </DeskProvider>
    </JobIdProvider>
  );
}

function Live(job: DaysJob) {
  const store = useDeskStore();
  const sender = useSender(job.person.id);
  const shown = useDays(store, { ...job, jobId: job.id, person: job.person.id, sender });
  return <Shown {...job} shown={shown} live />;
}

/** Days since the last record after which a job is said to be quiet. */
const QUIET = 14;

function Shown({
  id,
  mayEdit,
  day,
  now,
  records,
  shown,
  live = false,
}: DaysJob & { shown: DaysShown; live?: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const canUndo = useDesk((desk) => desk.past.length > 0);
  const canRedo = useDesk((desk) => desk.future.length > 0);
  const [picked, setPicked] = useState<string | null>(null);
  const { days, plan } = shown;
  const task = days.tasks.find((one) => one.id === picked) ?? null;
  const most = Math.max(0, ...days.tasks.map(({ late }) => late));
  // A day that is over is looked at, not changed.
  const locked = !mayEdit;
  const move = (moved: DayTask, by: number) => {
    const to = dayShifted(moved.begins.slice(0, 10), by);
    store.getState().edit((draft) => {
      draft.days.own = withOwn(draft.days.own, moved.id, { pin: to <= day ? null : to });
    });
    setPicked(moved.id);
  };
  const runs = [...new Set(days.bays.map(({ element }) => element))];
  return (
    <>
      <Flex
        as="header"
        wrap="wrap"
        justify="space-between"
        align="center"
        gap={3}
        px={{ base: 3, md: 5 }}
        py={2}
        borderBottomWidth="2px"
        borderStyle="solid"
        borderColor="ink"
        bg="sheet"
      >
        <Heading as="h1" fontSize="xl">
          {t('daysPage.daysOf', { name: plan.name })}
        </Heading>
        <Flex align="center" gap={3} wrap="wrap">
          <SaveState />
          <Button size="sm" disabled={!canUndo} onClick={() => store.getState().undo()}>
            <Undo2 size={15} aria-hidden /> {t('bar.undo')}
          </Button>
          <Button size="sm" disabled={!canRedo} onClick={() => store.getState().redo()}>
            <Redo2 size={15} aria-hidden /> {t('bar.redo')}
          </Button>
          <a href={`/jobs/${id}/tomorrow${day === now ? '' : `?day=${nextDayOf(day)}`}`}>
            {t('daysPage.tomorrow.link')}
          </a>
          <a href={`/jobs/${id}/days.csv`}>{t('daysPage.csv')}</a>
          <a href={`/jobs/${id}`}>{t('daysPage.back')}</a>
        </Flex>
      </Flex>
      <Stack as="main" data-live={live} gap={3} px={{ base: 3, md: 5 }} py={3}>
        <Flex wrap="wrap" gap={{ base: 2, md: 4 }} align="baseline">
          {days.problems.length === 0 && days.tasks.length > 0 && (
            <Box data-ends={days.last}>
              <Box as="span" fontFamily="figure" fontSize="2xl" fontWeight={700}>
                {t('daysPage.ends', { last: dayText(format.lang, days.last) })}
              </Box>{' '}
              <Box as="span" fontWeight={600} color={most > 0 ? 'held' : 'soft'}>
                {most > 0 ? t('daysPage.endsLate', { count: most }) : t('daysPage.onTime')}
              </Box>
              <Small>{t('daysPage.bound', { bound: dayText(format.lang, days.bound) })}</Small>
            </Box>
          )}
          <Box flex="1" />
          <AsOf day={day} now={now} records={records} />
        </Flex>
        {days.problems.map((problem) => (
          <FieldError key={problem.path} role="alert" fontSize="md">
            {problemText(t, format, problem)}
          </FieldError>
        ))}
        {days.problems.length === 0 && days.tasks.length === 0 && (
          <Small fontSize="md">{t('daysPage.none')}</Small>
        )}
        <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 300px' }} gap={4}>
          <Stack gap={2} minW={0}>
            {days.tasks.length > 0 && (
              <>
                <Board
                  shown={shown}
                  today={day}
                  picked={picked}
                  onPick={(one) => setPicked(one === picked ? null : one)}
                  onMove={locked ? null : move}
                />
                <Small>{t('daysPage.legend')}</Small>
              </>
            )}
            {runs.map((element) => (
              <BaysPanel
                key={element}
                element={element}
                days={days}
                plan={plan}
                bays={shown.bays?.get(element) ?? null}
                locked={locked}
              />
            ))}
            <Grid
              templateColumns={{ base: 'minmax(0, 1fr)', md: 'repeat(3, minmax(0, 1fr))' }}
              gap={5}
              pt={2}
            >
              <Late days={days} plan={plan} />
              <WatchList days={days} plan={plan} />
              <Calls days={days} plan={plan} />
            </Grid>
          </Stack>
          <Stack gap={3} minW={0}>
            {task && (
              <TaskPanel
                key={task.id}
                task={task}
                days={days}
                plan={plan}
                locked={locked}
                onShut={() => setPicked(null)}
              />
            )}
            {!locked && (
              <>
                <Panel
                  title={t('daysPage.weather.title')}
                  open={days.problems.some(({ path }) => path.startsWith('/days/weather'))}
                >
                  <WeatherPanel days={days} plan={plan} today={day} />
                </Panel>
                <Panel
                  title={t('daysPage.hours.title')}
                  open={days.problems.some(({ path }) => path === '/days/week' || path === '/days/start')}
                >
                  <HoursPanel days={days} plan={plan} />
                </Panel>
              </>
            )}
          </Stack>
        </Grid>
      </Stack>
    </>
  );
}

/** The day it is looked at from, and a way back to when something was last logged. */
function AsOf({ day, now, records }: Pick<DaysJob, 'day' | 'now' | 'records'>) {
  const { t } = useTranslation();
  const format = useFormat();
  const last = records.reduce((late, { at }) => (at > late ? at : late), '').slice(0, 10);
  const quiet = day === now && isDay(last) && dayShifted(last, QUIET) < now;
  return (
    <Flex as="form" gap={2} align="center" wrap="wrap" data-as-of={day}>
      {quiet && (
        <Box fontSize="sm">
          {t('daysPage.quiet', { day: dayText(format.lang, last) })}{' '}
          <a href={`?day=${nextDayOf(last)}`}>{t('daysPage.quietLook')}</a>
        </Box>
      )}
      {day !== now && (
        <Box fontWeight={600}>
          {t('daysPage.asOf', { day: dayText(format.lang, day) })} · <a href="?">{t('daysPage.now')}</a>
        </Box>
      )}
      <Input
        type="date"
        name="day"
        aria-label={t('days.day')}
        defaultValue={day}
        w="150px"
        onChange={({ currentTarget }) => {
          if (isDay(currentTarget.value)) currentTarget.form?.requestSubmit();
        }}
      />
    </Flex>
  );
}

function Panel({ title, open, children }: { title: string; open: boolean; children: React.ReactNode }) {
  const [shown, setShown] = useState(open);
  return (
    <details open={shown} onToggle={({ currentTarget }) => setShown(currentTarget.open)}>
      <Flex asChild align="center" gap={1} minH="36px" cursor="pointer">
        <summary>
          <ChevronRight size={16} aria-hidden style={{ transform: shown ? 'rotate(90deg)' : undefined }} />
          <Heading as="span">{title}</Heading>
        </summary>
      </Flex>
      {shown && <Box pt={2}>{children}</Box>}
    </details>
  );
}
