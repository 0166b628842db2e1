/** A recharge test in the hole of what is picked: levels and times in, permeability with its spread out. */
import { risingHeadFault, risingHeadRange } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { BLANK_ROWS, PairRows, wholeRows } from '../../base/proof/PairRows.tsx';
import { Panel } from '../../fields.tsx';

export function RisingHeadPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const info = useTakeoff().elements.find((e) => e.id === element);
  const knownTo = useDesk((desk) => desk.plan.ground.knownTo);
  const [length, setLength] = useState<number | null>(null);
  const [width, setWidth] = useState<number | null>(null);
  const [water, setWater] = useState<number | null>(info?.water ?? null);
  const [rows, setRows] = useState(BLANK_ROWS);
  const readings = wholeRows(rows).map(([minutes, level]) => ({ minutes, level }));
  const test =
    length !== null && width !== null && water !== null && readings.length >= 2
      ? { length, width, water, readings }
      : null;
  const grows = risingHeadFault(readings, water) === null;
  const found = test && grows && info ? risingHeadRange(test, info.groundLow - knownTo) : null;
  const k = (value: number) => format.text(value, 'permeability');
  return (
    <Panel fold="shut" title={t('rain.risingHead')}>
      <Small>{t('rain.risingHeadHow')}</Small>
      <QuantityField
        optional
        label={t('rain.pitLength')}
        range="pitSide"
        value={length}
        onCommit={setLength}
      />
      <QuantityField optional label={t('rain.pitWidth')} range="pitSide" value={width} onCommit={setWidth} />
      <QuantityField optional label={t('rain.pitWater')} range="pitLevel" value={water} onCommit={setWater} />
      <PairRows
        rows={rows}
        change={setRows}
        columns={[
          { label: t('rain.minutes'), range: 'minutes' },
          { label: t('rain.pitLevel'), range: 'pitLevel' },
        ]}
        most={60}
        add={t('rain.addReading')}
      />
      {!grows && <FieldError role="alert">{t('problem.rechargeBack')}</FieldError>}
      {test && grows && (
        <Small data-recharge={found?.[1]}>
          {found
            ? t('rain.risingHeadSaid', { low: k(found[0]), likely: k(found[1]), high: k(found[2]) })
            : t('rain.risingHeadNothing')}
        </Small>
      )}
      <Button
        disabled={!test || !grows || found === null}
        onClick={() => {
          if (!test) return;
          log('risingHead', test, { element });
          setRows(BLANK_ROWS);
        }}
      >
        {t('rain.logRisingHead')}
      </Button>
    </Panel>
  );
}
