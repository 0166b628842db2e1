/** What instruments left in a hole said of the night, beside what was reckoned; one that is silent or mad is named. */
import { Flex } from '@chakra-ui/react';
import {
  type InstrumentFault,
  instrumentFault,
  levelAt,
  localAfter,
  type Measured,
  type Night,
  type NightHole,
} from '@cimiento/core';
import { useEffect, useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useJobId } from '../../../state/jobId.ts';
import { useDesk } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { clock } from './use.ts';

const KINDS = ['level', 'rain', 'pump'] as const;
export type InstrumentKind = (typeof KINDS)[number];

/** Readings an hour. */
const AN_HOUR = 6;
/** Over the rim, and under the bottom, no level is read, m; no rain and no flow beyond these, m and m³/s. */
const BEYOND = 0.5;
const MOST_RAIN = 1;
const MOST_FLOW = 0.5;

export type Said = Readonly<Partial<Record<InstrumentKind, readonly Measured[]>>>;

/** What an instrument is expected to say every sixth of an hour: level, rain since the beginning, flow. */
function expectedOf(kind: InstrumentKind, night: Night, hole: NightHole): number[] {
  const steps = Array.from({ length: Math.floor(night.hours * AN_HOUR) + 1 }, (_, i) => i / AN_HOUR);
  const { samples } = hole.course;
  if (kind === 'level') return steps.map((at) => levelAt(samples, at));
  if (kind === 'pump')
    return steps.map((at) => samples.findLast((sample) => sample.at <= at + 1e-6)?.pumped ?? 0);
  return steps.map((at) => {
    const whole = Math.floor(at);
    const before = night.rain.slice(0, whole).reduce((sum, rain) => sum + rain, 0);
    return before + (night.rain[whole] ?? 0) * (at - whole);
  });
}

const RANGES = ({ floor, rim }: NightHole): Record<InstrumentKind, readonly [number, number]> => ({
  level: [floor - 3, rim + BEYOND],
  rain: [0, MOST_RAIN],
  pump: [0, MOST_FLOW],
});

/** Rain and flow may change from one reading to the next as they like. */
const FASTEST: Record<InstrumentKind, number | undefined> = { level: undefined, rain: 100, pump: 100 };

export function Instruments({
  night,
  hole,
  said,
  hear,
}: {
  night: Night;
  hole: NightHole;
  said: Said;
  hear: (kind: InstrumentKind, readings: readonly Measured[]) => void;
}) {
  const { t } = useTranslation();
  const [asked, ask] = useState<InstrumentKind | null>(null);
  const [away, setAway] = useState(false);
  const job = useJobId();
  const place = `${job}/${hole.elements[0]}/${night.start}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: one press is one stream
  useEffect(() => {
    if (asked === null) return;
    const expected = expectedOf(asked, night, hole).map((value) => Number(value.toFixed(5)));
    const query = new URLSearchParams({ kind: asked, place, expected: expected.join() });
    const source = new EventSource(`/instruments?${query}`);
    const readings: Measured[] = [];
    const end = () => {
      source.close();
      hear(asked, readings);
      ask(null);
    };
    source.onmessage = ({ data }) => {
      readings.push(JSON.parse(data as string) as Measured);
      if (readings.length % AN_HOUR === 0) hear(asked, [...readings]);
    };
    source.addEventListener('end', end);
    source.onerror = () => {
      setAway(readings.length === 0);
      end();
    };
    return () => source.close();
  }, [asked]);
  return (
    <Flex px={3} gap={2} align="center" wrap="wrap" data-instruments>
      {KINDS.filter((kind) => kind !== 'pump' || hole.pumps.length > 0).map((kind) => (
        <Button
          key={kind}
          size="sm"
          disabled={asked !== null}
          title={t('instrument.simulated')}
          onClick={() => {
            setAway(false);
            ask(kind);
          }}
        >
          {asked === kind
            ? t('instrument.reading')
            : t('instrument.read', { what: t(`instrument.what.${kind}`) })}
        </Button>
      ))}
      {away && (
        <Small color="held" role="alert">
          {t('instrument.away')}
        </Small>
      )}
      {asked === null &&
        KINDS.map((kind) => <Told key={kind} kind={kind} readings={said[kind]} night={night} hole={hole} />)}
    </Flex>
  );
}

/** One instrument in a line: what is wrong with it, or how far it is from what was reckoned. */
function Told({
  kind,
  readings,
  night,
  hole,
}: {
  kind: InstrumentKind;
  readings: readonly Measured[] | undefined;
  night: Night;
  hole: NightHole;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const zone = useDesk((desk) => desk.plan.water.zone);
  if (!readings) return null;
  const fault = instrumentFault(readings, night.hours - 1 / AN_HOUR, RANGES(hole)[kind], {
    ...(FASTEST[kind] !== undefined && { fastest: FASTEST[kind] }),
  });
  if (fault) {
    const what = t(`instrument.what.${kind}`);
    const time = clock(localAfter(night.start, fault.at, zone));
    return (
      <Small
        color="held"
        role="alert"
        data-instrument={kind}
        data-fault={fault.fault satisfies InstrumentFault}
      >
        {t(`instrument.fault.${fault.fault}`, { what, time })}
      </Small>
    );
  }
  const expected = expectedOf(kind, night, hole);
  const total = (values: readonly number[]) => values.reduce((sum, flow) => sum + (flow * 3600) / AN_HOUR, 0);
  const line = {
    level: () =>
      t('instrument.level', {
        more: format.text(
          Math.max(...readings.map(({ value }, i) => Math.abs(value - (expected[i] ?? value)))),
          'size',
        ),
      }),
    rain: () =>
      t('instrument.rain', {
        fallen: format.text(readings.at(-1)?.value ?? 0, 'size'),
        reckoned: format.text(expected.at(-1) ?? 0, 'size'),
      }),
    pump: () =>
      t('instrument.pump', {
        pumped: format.text(total(readings.map(({ value }) => value)), 'water'),
        reckoned: format.text(total(expected), 'water'),
      }),
  }[kind]();
  return <Small data-instrument={kind}>{line}</Small>;
}
