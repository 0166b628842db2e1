/** What is late and why, what the weather does, what is ordered and called by when. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import type { Days, DayTask, Plan } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { Heading, Small } from '../ui/controls.tsx';
import { weekdayText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { callGroups, callText, type Saying, taskText, watchText, whyText } from './names.ts';

interface Props {
  readonly days: Days;
  readonly plan: Plan;
}

/** Lines shown at once; the rest opens. */
const FIRST = 6;

/** Late tasks of one cause, told together. */
function lateGroups({ tasks }: Days): { readonly tasks: readonly DayTask[]; readonly most: number }[] {
  const groups = new Map<string, DayTask[]>();
  for (const task of tasks) {
    if (!task.why || task.late <= 0) continue;
    const key = `${task.why.code} ${task.why.task ?? task.id} ${task.why.day ?? ''}`;
    const own = groups.get(key);
    if (own) own.push(task);
    else groups.set(key, [task]);
  }
  return [...groups.values()]
    .map((own) => ({ tasks: own, most: Math.max(...own.map(({ late }) => late)) }))
    .toSorted((p, q) => q.most - p.most);
}

export function Late({ days, plan }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const saying: Saying = { t, format, plan };
  const groups = lateGroups(days);
  return (
    <Section title={t('daysPage.late')} name="late">
      {groups.length === 0 && <Small>{t('daysPage.notLate')}</Small>}
      <Lines
        lines={groups.map(({ tasks, most }) => {
          const shown = tasks
            .slice(0, 2)
            .map((task) => taskText(saying, task))
            .join(', ');
          const names =
            tasks.length > 2 ? t('daysPage.lateMore', { names: shown, count: tasks.length - 2 }) : shown;
          return {
            key: tasks[0]!.id,
            text: t('daysPage.lateLine', { names, count: most, why: whyText(saying, days, tasks[0]!.why!) }),
          };
        })}
      />
    </Section>
  );
}

export function WatchList({ days, plan }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const saying: Saying = { t, format, plan };
  return (
    <Section title={t('daysPage.watch')} name="watch">
      {days.watch.length === 0 && (
        <Small>{t(plan.days.weather.length === 0 ? 'daysPage.watchUnknown' : 'daysPage.watchNone')}</Small>
      )}
      <Lines
        lines={days.watch.map((watch, i) => ({
          key: `${watch.code} ${watch.day} ${i}`,
          text: watchText(saying, watch),
          held: watch.code === 'still' || watch.code === 'protect',
        }))}
      />
      {days.unlooked > 0 && <Small>{t('daysPage.unlooked', { count: days.unlooked })}</Small>}
    </Section>
  );
}

export function Calls({ days, plan }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const saying: Saying = { t, format, plan };
  const byDay = new Map<string, Days['calls'][number][]>();
  for (const call of days.calls) {
    const own = byDay.get(call.by);
    if (own) own.push(call);
    else byDay.set(call.by, [call]);
  }
  const list = [...byDay];
  return (
    <Section title={t('daysPage.calls')} name="calls" count={days.calls.length}>
      <Fold
        first={3}
        items={list.map(([by, calls]) => ({
          key: by,
          node: (
            <Box key={by}>
              <Box fontFamily="figure" fontWeight={600}>
                {weekdayText(format.lang, by)}
              </Box>
              <Lines
                lines={callGroups(calls).map((group) => ({
                  key: group.key,
                  text: callText(saying, days, group, true),
                }))}
              />
            </Box>
          ),
        }))}
      />
    </Section>
  );
}

function Section({
  title,
  name,
  count,
  children,
}: {
  title: string;
  name: string;
  count?: number;
  children: React.ReactNode;
}) {
  return (
    <Stack
      as="section"
      gap={1.5}
      minW={0}
      data-list={name}
      {...(count !== undefined && { 'data-calls': count })}
    >
      <Heading>{title}</Heading>
      {children}
    </Stack>
  );
}

/** The first of some, and the rest on a press. */
function Fold({ first, items }: { first: number; items: readonly { key: string; node: React.ReactNode }[] }) {
  const rest = items.slice(first);
  return (
    <>
      {items.slice(0, first).map(({ node }) => node)}
      {rest.length > 0 && (
        <details>
          <summary style={{ minHeight: 32, cursor: 'pointer' }}>+ {rest.length}</summary>
          {rest.map(({ node }) => node)}
        </details>
      )}
    </>
  );
}

function Lines({
  lines,
}: {
  lines: readonly { readonly key: string; readonly text: string; readonly held?: boolean }[];
}) {
  return (
    <Stack as="ul" gap={1} listStyleType="none" m={0} p={0}>
      <Fold
        first={FIRST}
        items={lines.map(({ key, text, held = false }) => ({
          key,
          node: (
            <Flex
              as="li"
              key={key}
              gap={1.5}
              fontSize="sm"
              color={held ? 'held' : undefined}
              fontWeight={held ? 600 : 400}
            >
              <Box as="span" aria-hidden color={held ? 'held' : 'soft'}>
                {held ? '▲' : '–'}
              </Box>
              <span>{text}</span>
            </Flex>
          ),
        }))}
      />
    </Stack>
  );
}
