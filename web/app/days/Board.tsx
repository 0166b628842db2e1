/** Days as columns, places as rows: each task where and when it is, by its own look; dragged, or nudged, it is pinned. */
import { Box, Flex } from '@chakra-ui/react';
import type { DayTask, Plan } from '@cimiento/core';
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { CloudRain, Pin } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { dayText } from '../ui/days.ts';
import { type Format, useFormat } from '../ui/format.tsx';
import { placeText, type Saying, taskText } from './names.ts';
import type { DaysShown } from './useDays.ts';

interface Props {
  readonly shown: DaysShown;
  readonly today: string;
  readonly picked: string | null;
  readonly onPick: (id: string) => void;
  /** Moved by so many days; null: it is only looked at. */
  readonly onMove: ((task: DayTask, days: number) => void) | null;
}

/** A row of the board, its tasks in lanes so that none lies over another. */
interface Row {
  readonly key: string;
  readonly name: string;
  readonly lanes: readonly (readonly DayTask[])[];
}

const placeOf = ({ kind, element, pour }: DayTask): string =>
  kind === 'haul' ? 'trucks' : element !== null ? `e:${element}` : pour !== null ? `p:${pour}` : 'job';

/** What is hauled on one day, as one: its loads added up. */
function together(hauls: readonly DayTask[]): DayTask[] {
  const byDay = new Map<string, DayTask>();
  for (const task of hauls) {
    const day = task.begins.slice(0, 10);
    const known = byDay.get(day);
    byDay.set(day, {
      ...(known ?? task),
      quantity: (known?.quantity ?? 0) + (task.quantity ?? 0),
      work: (known?.work ?? 0) + task.work,
      ends: known && known.ends > task.ends ? known.ends : task.ends,
      late: Math.max(known?.late ?? 0, task.late),
    });
  }
  return [...byDay.values()];
}

function rowsOf(saying: Saying, tasks: readonly DayTask[]): Row[] {
  const rows = new Map<string, DayTask[]>();
  for (const task of tasks) {
    if (task.done >= 1) continue;
    const key = placeOf(task);
    const own = rows.get(key);
    if (own) own.push(task);
    else rows.set(key, [task]);
  }
  const order = (key: string) => (key === 'job' ? 0 : key === 'trucks' ? 2 : 1);
  return [...rows]
    .toSorted(([p], [q]) => order(p) - order(q))
    .map(([key, all]): Row => {
      const own = key === 'trucks' ? together(all) : all;
      const lanes: DayTask[][] = [];
      for (const task of own.toSorted((p, q) => (p.begins < q.begins ? -1 : 1))) {
        const day = task.begins.slice(0, 10);
        const free = lanes.find((lane) => lane.at(-1)!.ends.slice(0, 10) < day);
        if (free) free.push(task);
        else lanes.push([task]);
      }
      return {
        key,
        name: key === 'trucks' ? saying.t('daysPage.trucks') : placeText(saying, own[0]!),
        lanes,
      };
    });
}

interface Look {
  readonly bg: string;
  readonly image?: string;
}
const slanted = (angle: number, every: number, color: string) =>
  `repeating-linear-gradient(${angle}deg, transparent 0 ${every}px, var(--chakra-colors-${color}) ${every}px ${every + 1}px)`;
const dotted = (color: string) =>
  `radial-gradient(circle, var(--chakra-colors-${color}) 1px, transparent 1.5px)`;

/** How each kind looks: a colour and a pattern, so that neither is alone. */
const LOOKS: Readonly<Record<DayTask['kind'], Look>> = {
  setout: { bg: 'chalkWash' },
  strip: { bg: 'earthWash', image: slanted(0, 5, 'earth') },
  dig: { bg: 'earthWash', image: slanted(45, 6, 'earth') },
  haul: { bg: 'earthWash', image: slanted(90, 9, 'earth') },
  trim: { bg: 'earthWash' },
  seen: { bg: 'sheet' },
  bed: { bg: 'placedWash', image: dotted('placed') },
  lean: { bg: 'placedWash' },
  forms: { bg: 'sheet', image: slanted(90, 7, 'edge') },
  looked: { bg: 'sheet' },
  pour: { bg: 'placedWash', image: slanted(-45, 6, 'placed') },
  cure: { bg: 'sheet' },
  pack: { bg: 'placedWash', image: slanted(0, 3, 'placed') },
  released: { bg: 'sheet' },
  formsoff: { bg: 'sheet', image: slanted(90, 7, 'edge') },
  proof: { bg: 'waterWash' },
  fill: { bg: 'earthWash', image: dotted('earth') },
};

/** px of a day's column, and of a place's name. */
const COLUMN = 68;
const NAME = 112;
/** A press that moves less is a press, px. */
const STILL = 6;
/** Names stay in sight while days are pushed along. */
const HELD = { w: `${NAME}px`, flexShrink: 0, position: 'sticky', left: 0, zIndex: 2, bg: 'paper' } as const;

export function Board({ shown: { days, plan }, today, picked, onPick, onMove }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const saying = { t, format, plan };
  const at = new Map(days.days.map(({ day }, i) => [day, i]));
  const rows = rowsOf(saying, days.tasks);
  const last = days.days.length - 1;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: STILL } }));
  const box = useRef<HTMLDivElement>(null);
  // The day it is asked stands in sight.
  const column = at.get(today) ?? 0;
  useEffect(() => {
    box.current?.scrollTo({ left: Math.max(0, (column - 1) * COLUMN) });
  }, [column]);
  const moved = ({ active, delta }: DragEndEvent) => {
    const task = days.tasks.find(({ id }) => id === active.id);
    const by = Math.round(delta.x / COLUMN);
    if (task && by !== 0) onMove?.(task, by);
  };
  return (
    <DndContext sensors={sensors} onDragEnd={moved}>
      <Box
        ref={box}
        overflow="auto"
        maxH={{ lg: '62vh' }}
        position="relative"
        borderWidth="1px"
        borderStyle="solid"
        borderColor="edge"
        data-days={days.days.length}
      >
        <Box minW={`${NAME + COLUMN * days.days.length}px`} position="relative">
          <Head plan={plan} days={days.days} today={today} />
          <Flex position="absolute" top="0" bottom="0" left={`${NAME}px`} aria-hidden pointerEvents="none">
            {days.days.map(({ day, worked, lost }) => (
              <Box
                key={day}
                w={`${COLUMN}px`}
                borderLeftWidth="1px"
                borderStyle="solid"
                borderColor="rule"
                bg={day === today ? 'chalkWash' : lost ? 'waterWash' : worked ? undefined : 'rule'}
                backgroundImage={lost ? slanted(110, 9, 'water') : undefined}
                opacity={day === today || lost ? 0.6 : 0.5}
              />
            ))}
          </Flex>
          {rows.map(({ key, name, lanes }) => (
            <Flex
              key={key}
              position="relative"
              borderBottomWidth="1px"
              borderStyle="solid"
              borderColor="rule"
              data-row={key}
            >
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
                        saying={saying}
                        from={at.get(task.begins.slice(0, 10)) ?? 0}
                        to={at.get(task.ends.slice(0, 10)) ?? last}
                        picked={task.id === picked}
                        onPick={onPick}
                        onMove={onMove}
                      />
                    ))}
                  </Box>
                ))}
              </Box>
            </Flex>
          ))}
        </Box>
      </Box>
    </DndContext>
  );
}

/** Days with their weather, as far as it is known. */
function Head({ plan, days, today }: { plan: Plan; days: DaysShown['days']['days']; today: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const weather = new Map(plan.days.weather.map((one) => [one.day, one]));
  return (
    <Flex
      position="sticky"
      top={0}
      zIndex={3}
      borderBottomWidth="2px"
      borderStyle="solid"
      borderColor="ink"
      bg="sheet"
    >
      <Box {...HELD} bg="sheet" px={2} py={1} fontWeight={600}>
        {t('daysPage.place')}
      </Box>
      {days.map(({ day, worked, lost }) => {
        const known = weather.get(day);
        const wet = known?.rain != null && known.rain > 0;
        return (
          <Box
            key={day}
            w={`${COLUMN}px`}
            flexShrink={0}
            py={1}
            textAlign="center"
            fontFamily="figure"
            fontWeight={day === today ? 700 : 500}
            bg={day === today ? 'chalkWash' : lost ? 'waterWash' : worked ? 'transparent' : 'rule'}
            color={worked && !lost ? 'ink' : 'soft'}
            data-day={day}
            data-lost={lost}
          >
            {headText(format.lang, day)}
            {known && (
              <Box
                fontSize="xs"
                lineHeight="1.2"
                fontWeight={400}
                title={lost ? t('daysPage.lost') : undefined}
              >
                {wet ? (
                  <Flex as="span" justify="center" align="center" gap={0.5} color={lost ? 'held' : 'water'}>
                    <CloudRain size={12} aria-hidden />
                    {format.text(known.rain!, 'size')}
                  </Flex>
                ) : known.low !== null && known.low < 0 ? (
                  `❄ ${format.text(known.low, 'temperature', { decimals: 0 })}`
                ) : known.high !== null ? (
                  format.text(known.high, 'temperature', { decimals: 0 })
                ) : (
                  ''
                )}
              </Box>
            )}
          </Box>
        );
      })}
    </Flex>
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

/** What stands on a bar: short. */
const barText = ({ t }: Saying, { kind, pass, quantity }: DayTask): string =>
  kind === 'haul'
    ? t('daysPage.loads', { count: quantity ?? 0 })
    : pass === null
      ? t(`daysPage.kind.${kind}`)
      : `${pass} ${t(`daysPage.kind.${kind}`)}`;

function Bar({
  task,
  saying,
  from,
  to,
  picked,
  onPick,
  onMove,
}: {
  task: DayTask;
  saying: Saying;
  from: number;
  to: number;
} & Pick<Props, 'onPick' | 'onMove'> & { picked: boolean }) {
  const { t, format } = saying;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: task.id,
    disabled: onMove === null,
  });
  const { bg, image } = LOOKS[task.kind];
  const waits = task.resource === null;
  const when = {
    from: dayText(format.lang, task.begins),
    to: dayText(format.lang, task.ends),
    hours: format.text(task.work + task.frozen, 'hours'),
  };
  const said = [
    taskText(saying, task),
    t(waits ? 'daysPage.taskWait' : 'daysPage.taskLine', when),
    ...(task.late > 0 ? [t('daysPage.late', { count: task.late })] : []),
    ...(task.done > 0
      ? [t('daysPage.partly', { share: format.text(task.done, 'percent', { decimals: 0 }) })]
      : []),
  ].join(' · ');
  return (
    <Box
      asChild
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
      outlineWidth={picked ? '3px' : undefined}
      outlineStyle={picked ? 'solid' : undefined}
      outlineColor="chalk"
      fontSize="xs"
      lineHeight="20px"
      overflow="hidden"
      whiteSpace="nowrap"
      textAlign="left"
      cursor={onMove ? 'grab' : 'pointer'}
      zIndex={isDragging ? 5 : 1}
      touchAction="pan-x pan-y"
      style={transform ? { transform: `translateX(${transform.x}px)` } : undefined}
    >
      <button
        type="button"
        ref={setNodeRef}
        {...listeners}
        title={said}
        aria-label={said}
        aria-pressed={picked}
        data-task={task.id}
        data-late={task.late}
        data-begins={task.begins.slice(0, 10)}
        data-worked={task.resource !== null && task.work > 0}
        data-hours={task.work + task.frozen}
        onClick={() => onPick(task.id)}
        onKeyDown={(event) => {
          const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
          if (by === 0 || !onMove) return;
          event.preventDefault();
          onMove(task, by);
        }}
      >
        <Box
          as="span"
          bg="paper"
          px={0.5}
          borderRadius="sm"
          display="inline-flex"
          alignItems="center"
          gap={0.5}
        >
          {task.pin !== null && <Pin size={11} aria-hidden />}
          {barText(saying, task)}
        </Box>
      </button>
    </Box>
  );
}
