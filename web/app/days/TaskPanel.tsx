/** One task: how much, at what rate and whose, its hours, people, day, and what it waits for. Typed here, it beats the table. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import type { Days, DayTask, Plan } from '@cimiento/core';
import { X } from 'lucide-react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDeskStore } from '../state/store.ts';
import { Button, FieldError, Heading, Input, Select, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { QuantityField, type RangeId } from '../ui/QuantityField.tsx';
import { problemText } from '../ui/words.ts';
import { taskNamed, taskText, whyText } from './names.ts';

type Own = Plan['days']['own'][number];
const NONE: Omit<Own, 'task'> = { rate: null, hours: null, people: null, pin: null, after: [] };
const isNone = ({ rate, hours, people, pin, after }: Own): boolean =>
  rate === null && hours === null && people === null && pin === null && after.length === 0;

/** Puts what is typed of a task into the plan; of one nothing is typed of any more nothing is left. */
export function withOwn(own: readonly Own[], task: string, change: Partial<Own>): Own[] {
  const known = own.find((one) => one.task === task);
  const next: Own = { ...(known ?? { task, ...NONE }), ...change };
  return known
    ? own.flatMap((one) => (one.task !== task ? [one] : isNone(next) ? [] : [next]))
    : isNone(next)
      ? [...own]
      : [...own, next];
}

export function TaskPanel({
  task,
  days,
  plan,
  locked,
  onShut,
}: {
  task: DayTask;
  days: Days;
  plan: Plan;
  /** It is looked at, not changed. */
  locked: boolean;
  onShut: () => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const saying = { t, format, plan };
  const at = plan.days.own.findIndex((one) => one.task === task.id);
  const own = plan.days.own[at];
  const edit = (change: Partial<Own>, key?: string) =>
    store.getState().edit((draft) => {
      draft.days.own = withOwn(draft.days.own, task.id, change);
    }, key);
  const problem = (field: string) => {
    const found = days.problems.find(({ path }) => path === `/days/own/${at}/${field}`);
    return found && problemText(t, format, found);
  };
  const number = (
    field: 'rate' | 'hours' | 'people',
    range: RangeId,
    label: string,
    placeholder: number | undefined,
  ) => (
    <QuantityField
      label={label}
      range={range}
      optional
      value={own?.[field] ?? null}
      placeholder={placeholder}
      problem={problem(field)}
      onSettle={store.getState().settle}
      onCommit={(value) => edit({ [field]: value }, `days:${task.id}:${field}`)}
    />
  );
  const waits = task.resource === null;
  const each = task.rate === null || own?.rate != null ? undefined : task.rate;
  const others = days.tasks.filter(({ id, done }) => id !== task.id && done < 1 && !task.after.includes(id));
  return (
    <Stack as="section" gap={2} data-task-panel={task.id}>
      <Flex justify="space-between" align="start" gap={2}>
        <Heading>{taskText(saying, task)}</Heading>
        <Button size="sm" aria-label={t('daysPage.task.shut')} onClick={onShut}>
          <X size={16} aria-hidden />
        </Button>
      </Flex>
      <Box fontFamily="figure" fontSize="lg">
        {dayText(format.lang, task.begins)} – {dayText(format.lang, task.ends)}
      </Box>
      {task.quantity !== null && task.unit !== null && (
        <Flex justify="space-between" gap={2}>
          <span>{t('daysPage.task.amount')}</span>
          <Box fontFamily="figure">{format.text(task.quantity, task.unit)}</Box>
        </Flex>
      )}
      <fieldset disabled={locked} style={{ border: 0, padding: 0, margin: 0 }}>
        <Stack gap={2}>
          {task.rate !== null && number('rate', '/days/own/*/rate', t('daysPage.task.rate'), each)}
          {number(
            'hours',
            '/days/own/*/hours',
            t('daysPage.task.hours'),
            own?.hours != null ? undefined : task.work,
          )}
          {!waits && number('people', '/days/own/*/people', t('daysPage.task.people'), plan.days.people)}
          <Flex align="center" justify="space-between" gap={2}>
            <label htmlFor="pin">{t('daysPage.task.pin')}</label>
            <Input
              id="pin"
              type="date"
              w="150px"
              value={own?.pin ?? ''}
              onChange={(event) => edit({ pin: event.target.value || null })}
            />
          </Flex>
          {problem('pin') && <FieldError role="alert">{problem('pin')}</FieldError>}
          {own?.pin != null && (
            <Button size="sm" onClick={() => edit({ pin: null })}>
              {t('daysPage.task.unpin')}
            </Button>
          )}
          <Small>
            {task.waitsFor === null
              ? t('daysPage.task.waitsNone')
              : task.waitsFor.what === 'day'
                ? t('daysPage.task.waitsDay')
                : t(
                    task.waitsFor.what === 'task' ? 'daysPage.task.waitsTask' : 'daysPage.task.waitsResource',
                    {
                      task: taskNamed(saying, days, task.waitsFor.id ?? ''),
                    },
                  )}
          </Small>
          {task.passes > 0 && (
            <Small>
              {t('daysPage.task.clock', { days: format.text(task.passes / 24, 'days', { decimals: 1 }) })}
            </Small>
          )}
          {task.frozen > 0.05 && (
            <Small>{t('daysPage.task.frozen', { hours: format.text(task.frozen, 'hours') })}</Small>
          )}
          {task.late > 0 && (
            <Box color="held" fontWeight={600}>
              {t('daysPage.late', { count: task.late })}
              {task.why && `. ${whyText(saying, days, task.why)}`}
            </Box>
          )}
          {(own?.after ?? []).map((id) => (
            <Flex key={id} justify="space-between" align="center" gap={2} fontSize="sm">
              <span>
                {t('daysPage.task.after')} {taskNamed(saying, days, id)}
              </span>
              <Button
                size="sm"
                aria-label={t('daysPage.task.remove', { name: taskNamed(saying, days, id) })}
                onClick={() => edit({ after: (own?.after ?? []).filter((one) => one !== id) })}
              >
                <X size={14} aria-hidden />
              </Button>
            </Flex>
          ))}
          {problem('after') && <FieldError role="alert">{problem('after')}</FieldError>}
          <Select
            aria-label={t('daysPage.task.after')}
            value=""
            onChange={(event) => {
              if (event.target.value)
                edit({ after: [...(own?.after ?? []), event.target.value].slice(0, 20) });
            }}
          >
            <option value="">{t('daysPage.task.addAfter')}</option>
            {others.map((one) => (
              <option key={one.id} value={one.id}>
                {taskText(saying, one)}
              </option>
            ))}
          </Select>
        </Stack>
      </fieldset>
      <Small>{t('daysPage.typical')}</Small>
    </Stack>
  );
}
