/** When a job is worked: first day, days of the week, days off, people, what is waited for. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type Days, FIELDS, type Plan, RATES } from '@cimiento/core';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDeskStore } from '../state/store.ts';
import { Button, FieldError, Input, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { QuantityField } from '../ui/QuantityField.tsx';
import { problemText } from '../ui/words.ts';

const MONDAY = Date.parse('2026-01-05T12:00Z');
const DAY = 86_400_000;

export function HoursPanel({ days, plan }: { days: Days; plan: Plan }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const [off, setOff] = useState('');
  const edit = (recipe: (own: Plan['days']) => void, key?: string) =>
    store.getState().edit((draft) => recipe(draft.days), key);
  const problem = (path: string) => {
    const found = days.problems.find((one) => one.path === path);
    return found && <FieldError role="alert">{problemText(t, format, found)}</FieldError>;
  };
  const weekday = new Intl.DateTimeFormat(format.lang, { weekday: 'short', timeZone: 'UTC' });
  const number = (field: 'people' | 'notice' | 'formsStay' | 'bayCure') => (
    <QuantityField
      label={t(FIELDS[`/days/${field}`].label)}
      range={`/days/${field}`}
      value={plan.days[field]}
      onSettle={store.getState().settle}
      onCommit={(value) => {
        if (value !== null)
          edit((own) => {
            own[field] = value;
          }, `days:${field}`);
      }}
    />
  );
  return (
    <Stack gap={2} data-hours>
      <Flex align="center" justify="space-between" gap={2}>
        <label htmlFor="first-day">{t('days.start')}</label>
        <Input
          id="first-day"
          type="date"
          w="150px"
          value={plan.days.start ?? ''}
          onChange={({ target }) =>
            edit((own) => {
              own.start = target.value || null;
            })
          }
        />
      </Flex>
      {problem('/days/start')}
      <Flex as="fieldset" gap={1} border="0" p={0} m={0} wrap="wrap" aria-label={t('days.week')}>
        {plan.days.week.map((worked, i) => {
          const name = weekday.format(MONDAY + i * DAY);
          return (
            <Button
              key={name}
              size="sm"
              aria-pressed={worked}
              look={worked ? 'main' : undefined}
              onClick={() =>
                edit((own) => {
                  own.week = own.week.map((one, k) => (k === i ? !one : one));
                })
              }
            >
              {name}
            </Button>
          );
        })}
      </Flex>
      {problem('/days/week')}
      <Small>
        {t('daysPage.hours.at', {
          start: plan.dig.day.start,
          hours: format.text(plan.dig.day.hours, 'hours'),
        })}
      </Small>
      {number('people')}
      {number('notice')}
      {number('formsStay')}
      {number('bayCure')}
      <QuantityField
        label={t('days.rainStops')}
        range="/days/rainStops"
        optional
        value={plan.days.rainStops}
        placeholder={RATES.rainStops.likely}
        onSettle={store.getState().settle}
        onCommit={(value) =>
          edit((own) => {
            own.rainStops = value;
          }, 'days:rainStops')
        }
      />
      <QuantityField
        label={t('dig.frozenRate')}
        range="/dig/frozenRate"
        optional
        value={plan.dig.frozenRate}
        onSettle={store.getState().settle}
        onCommit={(value) =>
          store.getState().edit((draft) => {
            draft.dig.frozenRate = value;
          }, 'days:frozenRate')
        }
      />
      {plan.days.off.map((day, i) => (
        <Flex key={day} justify="space-between" align="center" gap={2} fontSize="sm">
          <span>{dayText(format.lang, day)}</span>
          <Button
            size="sm"
            aria-label={t('daysPage.weather.remove', { day: dayText(format.lang, day) })}
            onClick={() =>
              edit((own) => {
                own.off = own.off.filter((_, k) => k !== i);
              })
            }
          >
            <X size={14} aria-hidden />
          </Button>
        </Flex>
      ))}
      <Flex align="end" gap={2}>
        <Box flex="1">
          <label htmlFor="day-off">{t('daysPage.hours.off')}</label>
          <Input id="day-off" type="date" value={off} onChange={({ target }) => setOff(target.value)} />
        </Box>
        <Button
          size="sm"
          disabled={off === '' || plan.days.off.includes(off)}
          onClick={() => {
            edit((own) => {
              own.off = [...own.off, off].toSorted().slice(0, 120);
            });
            setOff('');
          }}
        >
          {t('daysPage.hours.addOff')}
        </Button>
      </Flex>
    </Stack>
  );
}
