/** What a layer is held against: the specification, the laboratory, a trial strip. */
import { Flex } from '@chakra-ui/react';
import {
  type Bed,
  type BedLayer,
  labOf,
  layerKey,
  layerValues,
  maximumOf,
  proctor,
  startOf,
  trialByDensity,
  trialBySettlement,
  USUAL_GRAINS,
} from '@cimiento/core';
import { useState } from 'react';
import { useLog } from '../../../desk/records.ts';
import { useDesk, useDeskStore } from '../../../desk/store.ts';
import { useTakeoff } from '../../../desk/takeoff.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { Button, FieldError, Small } from '../../../parts/controls.tsx';
import { useFormat } from '../../../parts/format.tsx';
import { QuantityField } from '../../../parts/QuantityField.tsx';
import { Choice } from '../../../parts/TextField.tsx';
import { layerName } from '../../../parts/words.ts';
import { Fact, Panel, PlanField, Toggle } from '../../fields.tsx';
import { setProven } from '../beds.ts';

interface Own {
  readonly bed: Bed;
  readonly bedIndex: number;
  readonly layer: BedLayer;
  readonly at: number;
}

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

function OneLayer(own: Own) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
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
          store.getState().edit((d) => {
            const target = d.beds[bedIndex]?.layers[at];
            if (target)
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
        />
      )}
      {lab?.ok && lab.above.length > 0 && (
        <Small color="held">{t('proof.labAbove', { count: lab.above.length })}</Small>
      )}
      <LogLab {...own} />
      <LogTrial {...own} />
    </Panel>
  );
}

interface Point {
  readonly moisture: number | null;
  readonly density: number | null;
}
const BLANK: Point = { moisture: null, density: null };

function LogLab({ bed, layer }: Own) {
  const { t } = useTranslation();
  const log = useLog();
  const [points, setPoints] = useState<readonly Point[]>([BLANK, BLANK, BLANK, BLANK]);
  const [grains, setGrains] = useState(USUAL_GRAINS);
  const whole = points.flatMap(({ moisture, density }) =>
    moisture === null || density === null ? [] : [{ moisture, density }],
  );
  const found = whole.length >= 4 ? proctor(whole, grains) : null;
  const change = (i: number, more: Partial<Point>) =>
    setPoints((now) => now.map((point, k) => (k === i ? { ...point, ...more } : point)));
  return (
    <Flex direction="column" gap={2} data-log-lab>
      <Small>{t('proof.points')}</Small>
      {points.map((point, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a point is known by its place in the list
        <Flex key={i} gap={2} role="group" aria-label={t('proof.point', { n: i + 1 })}>
          <QuantityField
            stacked
            optional
            label={t('proof.testMoisture')}
            range="moisture"
            value={point.moisture}
            onCommit={(moisture) => change(i, { moisture })}
          />
          <QuantityField
            stacked
            optional
            label={t('proof.density')}
            range="dryDensity"
            value={point.density}
            onCommit={(density) => change(i, { density })}
          />
        </Flex>
      ))}
      {points.length < 20 && (
        <Button size="sm" onClick={() => setPoints([...points, BLANK])}>
          {t('proof.addPoint')}
        </Button>
      )}
      <QuantityField
        label={t('proof.grains')}
        range="grains"
        value={grains}
        onCommit={(next) => setGrains(next ?? USUAL_GRAINS)}
      />
      {found && !found.ok && <FieldError role="alert">{t(`proof.labFault.${found.fault}`)}</FieldError>}
      <Button
        disabled={!found?.ok}
        onClick={() => {
          log('lab', { bed: bed.id, layer: layer.id, grains, points: whole });
          setPoints([BLANK, BLANK, BLANK, BLANK]);
        }}
      >
        {t('proof.logLab')}
      </Button>
    </Flex>
  );
}

interface Reading {
  readonly passes: number | null;
  readonly value: number | null;
}
const UNREAD: Reading = { passes: null, value: null };

function LogTrial({ bed, bedIndex, layer, at }: Own) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const log = useLog();
  const { facts } = useTakeoff();
  const [by, setBy] = useState<'density' | 'settlement'>('density');
  const [thickness, setThickness] = useState<number | null>(null);
  const [readings, setReadings] = useState<readonly Reading[]>([UNREAD, UNREAD, UNREAD, UNREAD]);
  const whole = readings.flatMap(({ passes, value }) =>
    passes === null || value === null ? [] : [{ passes, value }],
  );
  const change = (i: number, more: Partial<Reading>) =>
    setReadings((now) => now.map((reading, k) => (k === i ? { ...reading, ...more } : reading)));
  const trials = facts.trials.get(layerKey(bed.id, layer.id)) ?? [];
  const maximum = maximumOf(facts, bed.id, layer);
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
                  store.getState().edit((d) => {
                    const target = d.beds[bedIndex]?.layers[at];
                    const name = t('proof.trialName', { lift, passes: found.proven! });
                    if (target) setProven(target, trial.thickness, name);
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
      {readings.map((reading, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a reading is known by its place in the list
        <Flex key={i} gap={2} role="group" aria-label={t('proof.point', { n: i + 1 })}>
          <QuantityField
            stacked
            optional
            label={t('proof.trialPasses')}
            range="passes"
            value={reading.passes}
            onCommit={(passes) => change(i, { passes })}
          />
          <QuantityField
            stacked
            optional
            label={t(by === 'density' ? 'proof.density' : 'proof.trialSettled')}
            range={by === 'density' ? 'dryDensity' : 'settled'}
            value={reading.value}
            onCommit={(value) => change(i, { value })}
          />
        </Flex>
      ))}
      {readings.length < 12 && (
        <Button size="sm" onClick={() => setReadings([...readings, UNREAD])}>
          {t('proof.addReading')}
        </Button>
      )}
      <Button
        disabled={whole.length < 2 || thickness === null}
        onClick={() => {
          if (thickness === null) return;
          log('trial', { bed: bed.id, layer: layer.id, thickness, by, readings: whole });
          setReadings([UNREAD, UNREAD, UNREAD, UNREAD]);
        }}
      >
        {t('proof.logTrial')}
      </Button>
    </Flex>
  );
}
