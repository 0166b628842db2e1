/** The job's soils: kind, values measured or typical with their source, and the soil in the hand. */
import { Flex, Stack } from '@chakra-ui/react';
import {
  SLOPE_CLASSES,
  SOIL_KINDS,
  SOILS,
  type Soil,
  type SoilKind,
  type SoilValue,
  soilOrigin,
} from '@cimiento/core';
import { Hand as HandIcon, Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround } from '../../state/takeoff.ts';
import { Button, Input, Select, Small } from '../../ui/controls.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Panel, PlanField } from '../fields.tsx';
import { HandDialog } from './HandDialog.tsx';
import { addSoil, removeSoil } from './logs.ts';

const VALUES = [
  'density',
  'swell',
  'shrink',
  'repose',
  'permeability',
  'dryDensity',
  'moisture',
] as const satisfies readonly SoilValue[];

export const SoilsPanel = memo(function SoilsPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { soils } = useGround();
  const [hand, setHand] = useState<string | null>(null);
  const at = soils.findIndex((soil) => soil.layer.id === hand);
  return (
    <Panel fold="shut" title={t('ground.soils')}>
      {soils.map((soil) => (
        <Entry key={soil.layer.id} soil={soil} onHand={() => setHand(soil.layer.id)} />
      ))}
      <Button
        onClick={() =>
          store.getState().edit((d) => {
            addSoil(d, 'stiffClay', d.ground.soils.at(-1)?.id ?? null);
          })
        }
      >
        {t('ground.addSoil')}
      </Button>
      <PlanField hint={t('ground.baseHint')} path="/ground/knownTo" />
      <HandDialog soil={soils[at] ?? null} onClose={() => setHand(null)} />
    </Panel>
  );
});

function Entry({ soil, onHand }: { soil: Soil; onHand: () => void }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const count = useDesk((desk) => desk.plan.ground.soils.length);
  const { layer, index } = soil;
  const name = layer.name || t(`soil.${layer.kind}`);
  const { edit } = store.getState();
  const typical = SOILS[layer.kind];
  const typicalOf = (value: (typeof VALUES)[number]) =>
    value === 'permeability'
      ? Math.sqrt(typical.k[0] * typical.k[1])
      : value === 'moisture'
        ? typical.water
        : typical[value];
  return (
    <Stack
      gap={1.5}
      borderLeftWidth="10px"
      borderStyle="solid"
      borderColor={`soil.${layer.kind}`}
      pl={2}
      pb={1}
    >
      <Flex gap={1.5}>
        <Input
          aria-label={t('ground.soilName')}
          value={layer.name}
          placeholder={t(`soil.${layer.kind}`)}
          maxLength={80}
          onChange={(event) =>
            edit((d) => {
              d.ground.soils[index]!.name = event.target.value;
            }, `soil-name:${layer.id}`)
          }
        />
        <Button
          look="quiet"
          aria-label={t('ground.removeSoil', { name })}
          disabled={count === 1}
          onClick={() => edit((d) => removeSoil(d, layer.id))}
        >
          <Trash2 size={15} aria-hidden />
        </Button>
      </Flex>
      <Select
        aria-label={t('ground.soilKind')}
        value={layer.kind}
        onChange={(event) =>
          edit((d) => {
            d.ground.soils[index]!.kind = event.target.value as SoilKind;
          })
        }
      >
        {SOIL_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {t(`soil.${kind}`)} · {SOILS[kind].uscs}
          </option>
        ))}
      </Select>
      <Flex justify="space-between" align="center" gap={2}>
        <Small>
          {t('soils.summary', {
            class: soil.slopeClass,
            from: t(`soils.classFrom.${soil.classFrom}`),
            frost: soil.frostGroup,
            fill: t(`soils.fill.${typical.backfill}`),
          })}
        </Small>
        <Button size="sm" onClick={onHand} aria-label={t('hand.of', { name })}>
          <HandIcon size={14} aria-hidden /> {t('hand.open')}
        </Button>
      </Flex>
      <details>
        <summary style={{ fontSize: '0.8rem', cursor: 'pointer' }}>{t('ground.values')}</summary>
        <Stack gap={1.5} pt={1.5}>
          {VALUES.map((value) => {
            const { origin, source } = soilOrigin(soil, value);
            return (
              <PlanField
                key={value}
                label={t(`input.${value}`)}
                hint={`${origin === 'typed' ? t('soils.measured') : t('soils.typical', { source: source ?? '' })} · ${t(`soils.acts.${value}`)}`}
                path={`/ground/soils/${index}/values/${value}`}
                placeholder={typicalOf(value)}
                optional
              />
            );
          })}
          <PlanField hint={t('soils.finerHint')} path={`/ground/soils/${index}/values/finer`} optional />
          <PlanField path={`/ground/soils/${index}/values/plasticity`} optional />
          <Choice
            label={t('soils.slopeClass')}
            value={layer.values.slopeClass ?? ''}
            options={[
              { value: '', label: t('soils.classOpen', { class: soil.slopeClass }) },
              ...SLOPE_CLASSES.map((value) => ({ value, label: t(`soils.class.${value}`) })),
            ]}
            onChange={(value) =>
              edit((d) => {
                const { values } = d.ground.soils[index]!;
                if (value === '') delete values.slopeClass;
                else values.slopeClass = value;
              })
            }
          />
        </Stack>
      </details>
    </Stack>
  );
}
