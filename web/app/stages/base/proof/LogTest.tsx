/** A density test of a lift: by gauge, or from the weighings of a sand cone. */
import { Flex } from '@chakra-ui/react';
import { dryOf, type LiftCard, sandCone } from '@cimiento/core';
import { useState } from 'react';
import { useLog } from '../../../desk/records.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { Button, FieldError, Small } from '../../../parts/controls.tsx';
import { useFormat } from '../../../parts/format.tsx';
import { QuantityField } from '../../../parts/QuantityField.tsx';
import { Choice } from '../../../parts/TextField.tsx';
import { ofLift } from './LiftLogs.tsx';

const WEIGHINGS = ['before', 'after', 'cone', 'soil'] as const;
type Weighing = (typeof WEIGHINGS)[number] | 'sand';
type Typed = Record<Weighing, number | null>;
const EMPTY: Typed = { before: null, after: null, cone: null, sand: null, soil: null };

const whole = (typed: Typed): typed is Record<Weighing, number> =>
  Object.values(typed).every((value) => value !== null);

export function LogTest({ card }: { card: LiftCard }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const [by, setBy] = useState<'gauge' | 'sandCone'>('gauge');
  const [wet, setWet] = useState<number | null>(null);
  const [moisture, setMoisture] = useState<number | null>(null);
  const [typed, setTyped] = useState<Typed>(EMPTY);
  const weighed = by === 'sandCone' && whole(typed) ? typed : null;
  const hole = weighed && moisture !== null ? sandCone({ ...weighed, moisture }) : null;
  const measured = by === 'gauge' ? wet : (hole?.wet ?? null);
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
        <QuantityField optional label={t('proof.wet')} range="wetDensity" value={wet} onCommit={setWet} />
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
          log(
            'density',
            { ...ofLift(card), wet: measured, moisture, cone: weighed },
            { element: card.element },
          );
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
