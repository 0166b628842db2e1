/** The weather of the days: typed, out of a file, or from the forecast that ships with the program. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type Days, nextDayOf, type Plan } from '@cimiento/core';
import { readWeatherCsv } from '@cimiento/formats';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDeskStore } from '../state/store.ts';
import { Button, FieldError, Small } from '../ui/controls.tsx';
import { dayText } from '../ui/days.ts';
import { FilePick } from '../ui/FilePick.tsx';
import { useFormat } from '../ui/format.tsx';
import { QuantityField } from '../ui/QuantityField.tsx';
import { problemText } from '../ui/words.ts';

type Weather = Plan['days']['weather'];
/** Days asked of the forecast. */
const ASKED = 10;

interface Feed {
  readonly days: readonly {
    readonly date: string;
    readonly rain: number;
    readonly low: number;
    readonly high: number;
  }[];
}

export function WeatherPanel({ days, plan, today }: { days: Days; plan: Plan; today: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const [said, setSaid] = useState<string | null>(null);
  const { weather } = plan.days;
  const edit = (next: Weather, key?: string) =>
    store.getState().edit((draft) => {
      draft.days.weather = next;
    }, key);
  const problem = (path: string) => {
    const found = days.problems.find((one) => one.path === path);
    return found && problemText(t, format, found);
  };
  const feed = async () => {
    let to = today;
    for (let i = 1; i < ASKED; i++) to = nextDayOf(to);
    const response = await fetch(`/weather?to=${to}&days=${ASKED}`).catch(() => null);
    if (!response?.ok) return setSaid(t('daysPage.weather.away'));
    const { days: known } = (await response.json()) as Feed;
    edit(
      known.map(({ date, rain, low, high }) => ({ day: date, rain: rain / 1000, low, high, from: 'feed' })),
    );
    setSaid(t('daysPage.weather.simulated'));
  };
  const file = async (picked: File) => {
    const read = readWeatherCsv(await picked.text(), '');
    if (!read.ok) return setSaid(problemText(t, format, read.problem));
    edit(read.weather);
    setSaid(read.left > 0 ? t('daysPage.weather.left', { count: read.left }) : null);
  };
  const cell = (i: number, field: 'rain' | 'low' | 'high') => (
    <QuantityField
      bare
      stacked
      label={`${t(`days.${field}`)} ${dayText(format.lang, weather[i]!.day)}`}
      range={`/days/weather/*/${field}`}
      optional
      value={weather[i]![field]}
      problem={problem(`/days/weather/${i}/${field}`)}
      onSettle={store.getState().settle}
      onCommit={(value) =>
        edit(
          weather.map((one, k) => (k === i ? { ...one, [field]: value, from: 'typed' as const } : one)),
          `weather:${i}:${field}`,
        )
      }
    />
  );
  return (
    <Stack gap={2} data-weather={weather.length}>
      <Flex gap={1.5} wrap="wrap">
        <Button size="sm" onClick={() => void feed()}>
          {t('daysPage.weather.feed')}
        </Button>
        <FilePick name="weather" accept=".csv,text/csv" onFile={(picked) => void file(picked)}>
          {t('daysPage.weather.file')}
        </FilePick>
      </Flex>
      {said && <Small role="status">{said}</Small>}
      {problem('/days/weather') && <FieldError role="alert">{problem('/days/weather')}</FieldError>}
      {weather.length > 0 && (
        <Flex gap={1} fontSize="xs" color="soft">
          <Box w="64px">{t('days.day')}</Box>
          {(['rain', 'low', 'high'] as const).map((field) => (
            <Box key={field} flex="1">
              {t(`days.${field}`)}
            </Box>
          ))}
          <Box w="30px" />
        </Flex>
      )}
      {weather.map((one, i) => (
        <Flex key={one.day} gap={1} align="center" data-weather-day={one.day}>
          <Box w="64px" fontSize="xs">
            {shortDay(format.lang, one.day)}
          </Box>
          {(['rain', 'low', 'high'] as const).map((field) => (
            <Box key={field} flex="1" minW={0}>
              {cell(i, field)}
            </Box>
          ))}
          <Button
            size="sm"
            aria-label={t('daysPage.weather.remove', { day: dayText(format.lang, one.day) })}
            onClick={() => edit(weather.filter((_, k) => k !== i))}
          >
            <X size={14} aria-hidden />
          </Button>
        </Flex>
      ))}
      <Flex gap={1.5}>
        <Button
          size="sm"
          disabled={weather.length >= 120}
          onClick={() =>
            edit([
              ...weather,
              {
                day: weather.length > 0 ? nextDayOf(weather.at(-1)!.day) : today,
                rain: null,
                low: null,
                high: null,
                from: 'typed',
              },
            ])
          }
        >
          {t('daysPage.weather.add')}
        </Button>
        {weather.length > 0 && (
          <Button size="sm" onClick={() => edit([])}>
            {t('daysPage.weather.clear')}
          </Button>
        )}
      </Flex>
    </Stack>
  );
}

const shortDay = (lang: string, day: string): string =>
  new Intl.DateTimeFormat(lang, { weekday: 'short', day: 'numeric', timeZone: 'UTC' }).format(
    Date.parse(`${day}T12:00Z`),
  );
