/** The rain that is expected, and when it must be dry. */
import { PATTERNS, type Problem, startOf } from '@cimiento/core';
import { readRainCsv } from '@cimiento/formats';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { type Draft, useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../../ui/controls.tsx';
import { FilePick } from '../../../ui/FilePick.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { HERE, today } from '../../../ui/today.ts';
import { problemText } from '../../../ui/words.ts';
import { Panel, PlanField, Toggle } from '../../fields.tsx';
import { OnPurpose } from '../../OnPurpose.tsx';
import { WhenField } from './When.tsx';

const MOST_HOURS = 96;

/** Rain as it is first expected; the clock is the browser's until someone says otherwise. */
function expect(d: Draft): void {
  if (d.water.zone === 'UTC') d.water.zone = HERE;
  // This evening at eight, and tomorrow at seven.
  const start = `${today(d.water.zone)}T20:00`;
  const dryBy = `${today(d.water.zone, 1)}T07:00`;
  d.water.storm = {
    start,
    depth: startOf('/water/storm/depth', d.system),
    hours: startOf('/water/storm/hours', d.system),
    pattern: 'even',
    hourly: [],
  };
  d.water.dryBy ??= dryBy;
}

/** What is wrong with one field, in words. */
function useProblemTexts(): (path: string) => string | undefined {
  const { t } = useTranslation();
  const format = useFormat();
  const { problems } = useTakeoff();
  return (path) => {
    const found = problems.find((problem) => problem.path === path);
    return found && problemText(t, format, found);
  };
}

export function RainPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { edit } = store.getState();
  const water = useDesk((desk) => desk.plan.water);
  const problem = useProblemTexts();
  const { storm } = water;
  if (!storm)
    return (
      <Panel title={t('rain.title')}>
        <Small>{t('rain.none')}</Small>
        <Button onClick={() => edit(expect)}>{t('rain.expect')}</Button>
        <OnPurpose pointer="/water/storm">{t('rain.remove')}</OnPurpose>
      </Panel>
    );
  return (
    <Panel title={t('rain.title')}>
      <WhenField
        label={t('night.stormStart')}
        value={storm.start}
        problem={problem('/water/storm/start')}
        onChange={(value) =>
          value !== null &&
          edit((d) => {
            if (d.water.storm) d.water.storm.start = value;
          }, 'storm-start')
        }
      />
      <Choice
        label={t('night.pattern')}
        value={storm.pattern}
        options={PATTERNS.map((value) => ({ value, label: t(`night.patterns.${value}`) }))}
        onChange={(pattern) =>
          edit((d) => {
            const own = d.water.storm!;
            own.pattern = pattern;
            // What is typed hour by hour begins as what was expected in all.
            if (pattern === 'hourly' && own.hourly.length === 0) {
              const hours = Math.max(1, Math.round(own.hours));
              own.hourly = Array.from({ length: hours }, () => own.depth / hours);
            }
          })
        }
      />
      {storm.pattern === 'hourly' ? (
        <Hourly count={storm.hourly.length} />
      ) : (
        <>
          <PlanField path="/water/storm/depth" />
          <PlanField path="/water/storm/hours" />
          <Feed start={storm.start} />
        </>
      )}
      <ByTheHour start={storm.start} zone={water.zone} />
      <WhenField
        label={t('night.dryBy')}
        value={water.dryBy}
        problem={problem('/water/dryBy')}
        onChange={(value) =>
          edit((d) => {
            d.water.dryBy = value;
          }, 'dry-by')
        }
      />
      <TextField
        label={t('night.zone')}
        value={water.zone}
        maxLength={60}
        problem={problem('/water/zone')}
        onChange={(event) =>
          edit((d) => {
            d.water.zone = event.target.value;
          }, 'zone')
        }
      />
      <Toggle
        label={t('night.bedLaid')}
        on={water.bedLaid}
        onChange={(on) =>
          edit((d) => {
            d.water.bedLaid = on;
          })
        }
      />
      <Toggle
        label={t('night.cover')}
        on={water.cover}
        onChange={(on) =>
          edit((d) => {
            d.water.cover = on;
          })
        }
      />
      <Button
        look="quiet"
        onClick={() =>
          edit((d) => {
            d.water.storm = null;
          })
        }
      >
        {t('rain.remove')}
      </Button>
    </Panel>
  );
}

/** Rain of every hour, typed. */
function Hourly({ count }: { count: number }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  return (
    <>
      {Array.from({ length: count }, (_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: an hour is known by its place
        <PlanField key={i} label={t('rain.hourN', { n: i + 1 })} path={`/water/storm/hourly/${i}`} />
      ))}
      {count < MOST_HOURS && (
        <Button
          size="sm"
          onClick={() =>
            edit((d) => {
              d.water.storm?.hourly.push(0);
            })
          }
        >
          {t('rain.addHour')}
        </Button>
      )}
    </>
  );
}

/** Rain of every hour, from a file or from the simulated forecast. */
function ByTheHour({ start, zone }: { start: string; zone: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const [problem, setProblem] = useState<Problem | null>(null);
  const [away, setAway] = useState(false);
  const put = (hourly: readonly number[], from: string) =>
    edit((d) => {
      if (d.water.storm)
        Object.assign(d.water.storm, { pattern: 'hourly', start: from, hourly: [...hourly] });
    });
  const take = async (file: File) => {
    const read = readRainCsv(await file.text(), zone);
    setProblem(read.ok ? null : read.problem);
    if (read.ok) put(read.hourly, read.start);
  };
  const ask = async () => {
    const response = await fetch(`/forecast?from=${start}&hours=24`).catch(() => null);
    setAway(!response?.ok);
    if (!response?.ok) return;
    const { rain } = (await response.json()) as { rain: number[] };
    put(
      rain.map((mm) => mm / 1000),
      start,
    );
  };
  return (
    <>
      <Button size="sm" title={t('rain.feedHint')} onClick={() => void ask()}>
        {t('dewatering.forecast')}
      </Button>
      <FilePick accept=".csv,.txt,text/csv" name="rain" onFile={(file) => void take(file)}>
        {t('dewatering.csv')}
      </FilePick>
      {away && <FieldError role="alert">{t('rain.feedAway')}</FieldError>}
      {problem && <FieldError role="alert">{problemText(t, format, problem)}</FieldError>}
    </>
  );
}

/** What the simulated feed says of the day it begins. */
function Feed({ start }: { start: string }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const [away, setAway] = useState(false);
  const ask = async () => {
    const response = await fetch(`/weather?to=${start.slice(0, 10)}&days=1`).catch(() => null);
    setAway(!response?.ok);
    if (!response?.ok) return;
    const { days } = (await response.json()) as { days: { rain: number }[] };
    edit((d) => {
      if (d.water.storm) d.water.storm.depth = (days[0]?.rain ?? 0) / 1000;
    });
  };
  return (
    <>
      <Button size="sm" title={t('rain.feedHint')} onClick={() => void ask()}>
        {t('rain.feed')}
      </Button>
      {away && <FieldError role="alert">{t('rain.feedAway')}</FieldError>}
    </>
  );
}
