/** What a layer is held against: the specification, the laboratory, a trial strip. */
import { Flex } from '@chakra-ui/react';
import {
  type Bed,
  labOf,
  layerKey,
  layerValues,
  maximumBy,
  proctor,
  startOf,
  trialByDensity,
  trialBySettlement,
  USUAL_GRAINS,
} from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Choice } from '../../../ui/TextField.tsx';
import { layerName } from '../../../ui/words.ts';
import { Fact, Panel, PlanField, Toggle } from '../../fields.tsx';
import { setProven } from '../beds.ts';
import { type OwnLayer, usePut } from '../ownLayer.ts';
import { BLANK_ROWS, PairRows, wholeRows } from './PairRows.tsx';

/** One panel for every compacted layer of a bed. */
export function LayerProof({ bed, index }: { bed: Bed; index: number }) {
  return bed.layers
    .map((layer, at) =>
      layerValues(layer).cast || layer.compactor === null ? null : (
        <OneLayer key={layer.id} bed={bed} bedIndex={index} layer={layer} at={at} />
      ),
    )
    .toReversed();
}

function OneLayer(own: OwnLayer) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const { facts } = useTakeoff();
  const { bed, bedIndex, layer, at } = own;
  const path = `/beds/${bedIndex}/layers/${at}/target`;
  const lab = labOf(facts, bed.id, layer.id);
  return (
    <Panel fold="shut" title={t('proof.lab', { layer: layerName(t, layer) })}>
      <Toggle
        label={t('proof.asks')}
        on={layer.target !== null}
        onChange={(on) =>
          put((target) => {
            target.target = on
              ? {
                  share: startOf('/beds/*/layers/*/target/share', system),
                  maximum: null,
                  area: startOf('/beds/*/layers/*/target/area', system),
                }
              : null;
          })
        }
      />
      {layer.target && (
        <>
          <PlanField path={`${path}/share`} />
          <PlanField path={`${path}/area`} />
          <PlanField hint={t('proof.maximumHint')} path={`${path}/maximum`} optional />
        </>
      )}
      {lab?.ok && (
        <Fact
          label={t('record.lab')}
          value={t('proof.labResult', {
            maximum: format.text(lab.maximum, 'density'),
            optimum: format.text(lab.optimum, 'percent'),
          })}
          {...(lab.mould.maximum !== lab.maximum && {
            note: t('proof.labWhole', {
              maximum: format.text(lab.mould.maximum, 'density'),
              optimum: format.text(lab.mould.optimum, 'percent'),
            }),
          })}
        />
      )}
      {lab && !lab.ok && <FieldError role="alert">{t(`proof.labFault.${lab.fault}`)}</FieldError>}
      {lab?.ok && lab.above.length > 0 && (
        <Small color="held">{t('proof.labAbove', { count: lab.above.length })}</Small>
      )}
      <LogLab {...own} />
      <LogTrial {...own} />
    </Panel>
  );
}

function LogLab({ bed, layer }: OwnLayer) {
  const { t } = useTranslation();
  const log = useLog();
  const [rows, setRows] = useState(BLANK_ROWS);
  const [grains, setGrains] = useState(USUAL_GRAINS);
  const points = wholeRows(rows).map(([moisture, density]) => ({ moisture, density }));
  const [share, setShare] = useState<number | null>(null);
  const [stones, setStones] = useState({ grains: USUAL_GRAINS, moisture: 0.01 });
  const coarse = share === null || share === 0 ? null : { share, ...stones };
  const found = points.length >= 4 ? proctor(points, grains, coarse) : null;
  return (
    <Flex direction="column" gap={2} data-log-lab>
      <Small>{t('proof.points')}</Small>
      <PairRows
        rows={rows}
        change={setRows}
        columns={[
          { label: t('proof.testMoisture'), range: 'moisture' },
          { label: t('proof.density'), range: 'dryDensity' },
        ]}
        most={20}
        add={t('proof.addPoint')}
      />
      <QuantityField
        label={t('proof.grains')}
        range="grains"
        value={grains}
        onCommit={(next) => setGrains(next ?? USUAL_GRAINS)}
      />
      <QuantityField
        optional
        label={t('proof.coarse')}
        hint={t('proof.coarseHint')}
        range="coarseShare"
        value={share}
        onCommit={setShare}
      />
      {coarse && (
        <>
          <QuantityField
            label={t('proof.coarseGrains')}
            range="grains"
            value={stones.grains}
            onCommit={(next) => setStones({ ...stones, grains: next ?? USUAL_GRAINS })}
          />
          <QuantityField
            label={t('proof.coarseMoisture')}
            range="moisture"
            value={stones.moisture}
            onCommit={(next) => setStones({ ...stones, moisture: next ?? 0 })}
          />
        </>
      )}
      {found && !found.ok && <FieldError role="alert">{t(`proof.labFault.${found.fault}`)}</FieldError>}
      <Button
        disabled={!found?.ok}
        onClick={() => {
          log('lab', { bed: bed.id, layer: layer.id, grains, points, coarse });
          setRows(BLANK_ROWS);
        }}
      >
        {t('proof.logLab')}
      </Button>
    </Flex>
  );
}

function LogTrial(own: OwnLayer) {
  const { bed, layer } = own;
  const put = usePut(own);
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const { facts } = useTakeoff();
  const [by, setBy] = useState<'density' | 'settlement'>('density');
  const [thickness, setThickness] = useState<number | null>(null);
  const [rows, setRows] = useState(BLANK_ROWS);
  const readings = wholeRows(rows).map(([passes, value]) => ({ passes, value }));
  const trials = facts.trial.get(layerKey({ bed: bed.id, layer: layer.id })) ?? [];
  const maximum = maximumBy(labOf(facts, bed.id, layer.id), layer);
  return (
    <Flex direction="column" gap={2} data-log-trial>
      <Small>{t('proof.trial')}</Small>
      {trials.map((trial, i) => {
        const found =
          trial.by === 'settlement'
            ? trialBySettlement(trial.readings)
            : maximum !== null && layer.target
              ? trialByDensity(trial.readings, maximum, layer.target.share)
              : null;
        const lift = format.text(trial.thickness, 'size');
        const said = [
          lift,
          found?.meets != null ? t('proof.trialMeets', { count: found.meets }) : '',
          found?.dies != null ? t('proof.trialDies', { count: found.dies }) : '',
          found?.rolled != null ? t('proof.trialRolled', { count: found.rolled }) : '',
          found && found.proven === null ? t('proof.trialNone') : '',
        ];
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: trials are only ever added
          <Flex key={i} direction="column" gap={1} data-trial>
            <Small>{said.filter(Boolean).join(' · ')}</Small>
            {found?.proven != null && (
              <Button
                size="sm"
                onClick={() =>
                  put((target) => {
                    const name = t('proof.trialName', { lift, passes: found.proven! });
                    setProven(target, trial.thickness, name);
                  })
                }
              >
                {t('proof.takeProven', { lift })}
              </Button>
            )}
          </Flex>
        );
      })}
      <Choice
        label={t('proof.by')}
        value={by}
        options={[
          { value: 'density', label: t('proof.density') },
          { value: 'settlement', label: t('proof.trialSettled') },
        ]}
        onChange={setBy}
      />
      <QuantityField
        optional
        label={t('proof.trialLift')}
        range="lift"
        value={thickness}
        onCommit={setThickness}
      />
      <PairRows
        rows={rows}
        change={setRows}
        columns={[
          { label: t('proof.trialPasses'), range: 'passes' },
          by === 'density'
            ? { label: t('proof.density'), range: 'dryDensity' }
            : { label: t('proof.trialSettled'), range: 'settled' },
        ]}
        most={12}
        add={t('proof.addReading')}
      />
      <Button
        disabled={readings.length < 2 || thickness === null}
        onClick={() => {
          if (thickness === null) return;
          log('trial', { bed: bed.id, layer: layer.id, thickness, by, readings });
          setRows(BLANK_ROWS);
        }}
      >
        {t('proof.logTrial')}
      </Button>
    </Flex>
  );
}
