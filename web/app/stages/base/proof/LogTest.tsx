/** A density test of a lift: by gauge, or from the weighings of a sand cone. */
import { Flex } from '@chakra-ui/react';
import { dryOf, type LiftCard, sandCone } from '@cimiento/core';
import { useRef, useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { Button, FieldError, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Choice } from '../../../ui/TextField.tsx';
import { onLift, type Placed } from './LiftLogs.tsx';

const WEIGHINGS = ['before', 'after', 'cone', 'soil'] as const;
type Weighing = (typeof WEIGHINGS)[number] | 'sand';
type Typed = Record<Weighing, number | null>;
const EMPTY: Typed = { before: null, after: null, cone: null, sand: null, soil: null };

/** What the gauge is set to where no laboratory said: crushed stone, typical. */
const USUAL_MAXIMUM = 2100;
const USUAL_OPTIMUM = 0.07;

const whole = (typed: Typed): typed is Record<Weighing, number> =>
  Object.values(typed).every((value) => value !== null);

/** @param place how a gauge knows it; @param maximum, optimum what the laboratory says of it; null: nothing */
export function LogTest({
  card,
  place,
  maximum,
  optimum,
}: {
  card: Placed & Pick<LiftCard, 'tests'>;
  place: string;
  maximum: number | null;
  optimum: number | null;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const [by, setBy] = useState<'gauge' | 'sandCone'>('gauge');
  const [wet, setWet] = useState<number | null>(null);
  const [moisture, setMoisture] = useState<number | null>(null);
  const [typed, setTyped] = useState<Typed>(EMPTY);
  const [silent, setSilent] = useState(false);
  const asked = useRef(0);
  const weighed = by === 'sandCone' && whole(typed) ? typed : null;
  const hole = weighed && moisture !== null ? sandCone({ ...weighed, moisture }) : null;
  const measured = by === 'gauge' ? wet : (hole?.wet ?? null);
  const read = async () => {
    asked.current++;
    const query = new URLSearchParams({
      place: `${place}/${card.tests.length}/${asked.current}`,
      maximum: String(maximum ?? USUAL_MAXIMUM),
      optimum: String(optimum ?? USUAL_OPTIMUM),
    });
    const response = await fetch(`/gauge?${query}`).catch(() => null);
    setSilent(!response?.ok);
    if (!response?.ok) return;
    const reading = (await response.json()) as { wet: number; moisture: number };
    setWet(reading.wet);
    setMoisture(reading.moisture);
  };
  const ready = measured !== null && moisture !== null;
  return (
    <Flex direction="column" gap={2} data-log-test>
      <Choice
        label={t('proof.by')}
        value={by}
        options={(['gauge', 'sandCone'] as const).map((value) => ({ value, label: t(`proof.${value}`) }))}
        onChange={setBy}
      />
      {by === 'gauge' ? (
        <>
          <QuantityField optional label={t('proof.wet')} range="wetDensity" value={wet} onCommit={setWet} />
          <Button size="sm" title={t('proof.gaugeHint')} onClick={() => void read()}>
            {t('proof.readGauge')}
          </Button>
          {silent && <FieldError role="alert">{t('proof.gaugeSilent')}</FieldError>}
        </>
      ) : (
        <>
          {WEIGHINGS.map((key) => (
            <QuantityField
              key={key}
              optional
              label={t(`proof.${key}`)}
              range="weighed"
              value={typed[key]}
              onCommit={(value) => setTyped((now) => ({ ...now, [key]: value }))}
            />
          ))}
          <QuantityField
            optional
            label={t('proof.sand')}
            range="sandDensity"
            value={typed.sand}
            onCommit={(value) => setTyped((now) => ({ ...now, sand: value }))}
          />
        </>
      )}
      <QuantityField
        optional
        label={t('proof.testMoisture')}
        range="moisture"
        value={moisture}
        onCommit={setMoisture}
      />
      {weighed && moisture !== null && !hole && <FieldError role="alert">{t('proof.noHole')}</FieldError>}
      {ready && <Small>{`= ${format.text(dryOf(measured, moisture), 'density')}`}</Small>}
      <Button
        disabled={!ready}
        onClick={() => {
          if (!ready) return;
          log('density', { wet: measured, moisture, cone: weighed }, onLift(card));
          setWet(null);
          setMoisture(null);
          setTyped(EMPTY);
        }}
      >
        {t('proof.logTest')}
      </Button>
    </Flex>
  );
}
