/** Days as columns, places as rows: each task where and when it is, by its own look; and what is called by when. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import type { Days, DayTask } from '@cimiento/core';
import { coded, type Say } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { FieldError, Heading, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { type Format, useFormat } from '../ui/format.tsx';
import { problemText } from '../ui/words.ts';

interface Props {
  readonly days: Days;
  /** Names of elements by their ids. */
  readonly names: Readonly<Record<string, string>>;
  readonly today: string;
}

/** Where a task is: an element, a pour, or the job. */
const placeOf = ({ element, pour }: DayTask): string =>
  element !== null ? `e:${element}` : pour !== null ? `p:${pour}` : 'job';

/** A row of the board, its tasks in lanes so that none lies over another. */
interface Row {
  readonly key: string;
  readonly name: string;
  readonly lanes: readonly (readonly DayTask[])[];
}

function rowsOf(t: Say, { tasks }: Days, names: Props['names']): Row[] {
  const rows = new Map<string, DayTask[]>();
  for (const task of tasks) {
    if (task.done >= 1) continue;
    const key = placeOf(task);
    const own = rows.get(key);
    if (own) own.push(task);
    else rows.set(key, [task]);
  }
  return [...rows].map(([key, own]): Row => {
    const lanes: DayTask[][] = [];
    for (const task of own.toSorted((p, q) => (p.begins < q.begins ? -1 : 1))) {
      const day = task.begins.slice(0, 10);
      const free = lanes.find((lane) => lane.at(-1)!.ends.slice(0, 10) < day);
      if (free) free.push(task);
      else lanes.push([task]);
    }
    const [what, id] = [key.slice(0, 2), key.slice(2)];
    const name =
      what === 'e:' ? (names[id] ?? id) : what === 'p:' ? pourText(t, id, names) : t('daysPage.job');
    return { key, name, lanes };
  });
}

/** A pour by its kind, and the pass or rise it is; as somebody named it. */
function pourText(t: Say, id: string, names: Props['names']): string {
  const [kind = id, number] = id.split('.');
  const known = t(coded(`pours.kind.${kind}`));
  const what = known.startsWith('pours.') ? (names[kind] ?? kind) : known;
  return number ? `${what} ${number}` : what;
}

/** How each kind looks: a colour and a pattern, so that neither is alone. */
const LOOKS: Readonly<Record<DayTask['kind'], { readonly bg: string; readonly image?: string }>> = {
  setout: { bg: 'chalkWash' },
  strip: {
    bg: 'earthWash',
    image: 'repeating-linear-gradient(0deg, transparent 0 5px, var(--chakra-colors-earth) 5px 6px)',
  },
  dig: {
    bg: 'earthWash',
    image: 'repeating-linear-gradient(45deg, transparent 0 6px, var(--chakra-colors-earth) 6px 7px)',
  },
  trim: { bg: 'earthWash' },
  seen: { bg: 'sheet' },
  bed: {
    bg: 'placedWash',
    image: 'radial-gradient(circle, var(--chakra-colors-placed) 1px, transparent 1.5px)',
  },
  lean: { bg: 'placedWash' },
  forms: {
    bg: 'sheet',
    image: 'repeating-linear-gradient(90deg, transparent 0 7px, var(--chakra-colors-edge) 7px 8px)',
  },
  looked: { bg: 'sheet' },
  pour: {
    bg: 'placedWash',
    image: 'repeating-linear-gradient(-45deg, transparent 0 6px, var(--chakra-colors-placed) 6px 7px)',
  },
  cure: { bg: 'sheet' },
  formsoff: {
    bg: 'sheet',
    image: 'repeating-linear-gradient(90deg, transparent 0 7px, var(--chakra-colors-edge) 7px 8px)',
  },
  proof: { bg: 'waterWash' },
  fill: {
    bg: 'earthWash',
    image: 'radial-gradient(circle, var(--chakra-colors-earth) 1px, transparent 1.5px)',
  },
};

/** px of a day's column, and of a place's name. */
const COLUMN = 68;
const NAME = 112;
/** Names stay in sight while days are pushed along. */
const HELD = { w: `${NAME}px`, flexShrink: 0, position: 'sticky', left: 0, zIndex: 1, bg: 'paper' } as const;

export function DaysBoard({ days, names, today }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  if (days.problems.length > 0)
    return (
      <Stack gap={1} role="alert">
        {days.problems.map((problem) => (
          <FieldError key={problem.path}>{problemText(t, format, problem)}</FieldError>
        ))}
      </Stack>
    );
  if (days.tasks.length === 0) return <Small fontSize="md">{t('daysPage.none')}</Small>;
  return (
    <>
      <Box fontFamily="figure" fontSize="lg" fontWeight={600} data-ends={days.last}>
        {t('daysPage.ends', {
          last: dayText(format.lang, days.last),
          bound: dayText(format.lang, days.bound),
        })}
      </Box>
      <Grid days={days} names={names} today={today} />
      <Small>{t('daysPage.legend')}</Small>
      <Small>{t('daysPage.typical')}</Small>
      <Calls days={days} names={names} />
    </>
  );
}

function Grid({ days, names, today }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const at = new Map(days.days.map(({ day }, i) => [day, i]));
  const rows = rowsOf(t, days, names);
  const last = days.days.length - 1;
  return (
    <Box
      overflowX="auto"
      tabIndex={0}
      borderWidth="1px"
      borderStyle="solid"
      borderColor="edge"
      data-days={days.days.length}
    >
      <Box minW={`${NAME + COLUMN * days.days.length}px`}>
        <Flex
          position="sticky"
          top={0}
          borderBottomWidth="2px"
          borderStyle="solid"
          borderColor="ink"
          bg="sheet"
        >
          <Box {...HELD} px={2} py={1} fontWeight={600}>
            {t('daysPage.place')}
          </Box>
          {days.days.map(({ day, worked }) => (
            <Box
              key={day}
              w={`${COLUMN}px`}
              flexShrink={0}
              py={1}
              textAlign="center"
              fontFamily="figure"
              fontWeight={day === today ? 700 : 500}
              bg={day === today ? 'chalkWash' : worked ? 'transparent' : 'rule'}
              color={worked ? 'ink' : 'soft'}
              data-day={day}
            >
              {headText(format.lang, day)}
            </Box>
          ))}
        </Flex>
        {rows.map(({ key, name, lanes }) => (
          <Flex key={key} borderBottomWidth="1px" borderStyle="solid" borderColor="rule" data-row={key}>
            <Box {...HELD} px={2} py={1} fontSize="sm" fontWeight={600}>
              {name}
            </Box>
            <Box flex="1">
              {lanes.map((lane) => (
                <Box key={lane[0]!.id} position="relative" h="26px">
                  {lane.map((task) => (
                    <Bar
                      key={task.id}
                      task={task}
                      from={at.get(task.begins.slice(0, 10)) ?? 0}
                      to={at.get(task.ends.slice(0, 10)) ?? last}
                    />
                  ))}
                </Box>
              ))}
            </Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

/** A day as a column is headed: its weekday and its date. */
const headText = (lang: Format['lang'], day: string): string =>
  new Intl.DateTimeFormat(lang, {
    weekday: 'short',
    day: 'numeric',
    month: 'numeric',
    timeZone: 'UTC',
  }).format(Date.parse(`${day}T12:00Z`));

function Bar({ task, from, to }: { task: DayTask; from: number; to: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { bg, image } = LOOKS[task.kind];
  const waits = task.resource === null;
  const name = t(`daysPage.kind.${task.kind}`);
  const when = {
    from: dayText(format.lang, task.begins),
    to: dayText(format.lang, task.ends),
    hours: format.text(task.work, 'hours'),
  };
  const said = [
    name,
    t(waits ? 'daysPage.taskWait' : 'daysPage.taskLine', when),
    ...(task.late > 0 ? [t('daysPage.late', { count: task.late })] : []),
    ...(task.done > 0
      ? [t('daysPage.partly', { share: format.text(task.done, 'percent', { decimals: 0 }) })]
      : []),
  ].join(' · ');
  return (
    <Box
      position="absolute"
      top="2px"
      left={`${from * COLUMN + 2}px`}
      w={`${(to - from + 1) * COLUMN - 4}px`}
      h="22px"
      px={1}
      bg={bg}
      backgroundImage={image}
      backgroundSize={image?.startsWith('radial') ? '7px 7px' : undefined}
      borderWidth="1px"
      borderLeftWidth={task.late > 0 ? '5px' : '1px'}
      borderStyle={waits ? 'dashed' : 'solid'}
      borderColor={task.late > 0 ? 'held' : 'ink'}
      borderRadius="sm"
      fontSize="xs"
      lineHeight="20px"
      overflow="hidden"
      whiteSpace="nowrap"
      title={said}
      data-task={task.id}
      data-late={task.late}
    >
      <Box as="span" bg="paper" px={0.5} borderRadius="sm">
        {name}
      </Box>
    </Box>
  );
}

/** What is ordered, and who is called, day by day. */
function Calls({ days: { calls, tasks }, names }: Omit<Props, 'today'>) {
  const { t } = useTranslation();
  const format = useFormat();
  if (calls.length === 0) return null;
  const placed = (id: string): string => {
    const task = tasks.find((one) => one.id === id);
    if (!task) return id;
    return task.element !== null
      ? (names[task.element] ?? task.element)
      : pourText(t, task.pour ?? id, names);
  };
  return (
    <Stack as="section" gap={1}>
      <Heading>{t('daysPage.calls')}</Heading>
      <Box as="ul" listStyleType="none" data-calls={calls.length}>
        {calls
          .toSorted((p, q) => (p.by < q.by ? -1 : p.by > q.by ? 1 : 0))
          .map((call) => {
            const what = t(`daysPage.call.${call.what}`);
            return (
              <Box as="li" key={`${call.task}${call.what}`} fontSize="sm">
                {t('daysPage.callLine', {
                  by: dayText(format.lang, call.by),
                  what:
                    call.quantity === null
                      ? what
                      : t('daysPage.callAmount', { what, quantity: format.text(call.quantity, 'volume') }),
                  task: placed(call.task),
                  day: dayText(format.lang, call.day),
                })}
              </Box>
            );
          })}
      </Box>
    </Stack>
  );
}
