/** The layers of a bed in words and numbers, the uppermost first, as they lie. */
import { Box, Flex } from '@chakra-ui/react';
import {
  BED_MATERIAL_IDS,
  type Bed,
  type BedLayer,
  type BedMaterialId,
  COMPACTOR_IDS,
  COMPACTORS,
  LAYER_PURPOSES,
  layerValues,
  liftLimits,
  type Takeoff,
} from '@cimiento/core';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDeskStore } from '../../state/store.ts';
import { Button, Select, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { compactorText } from '../../ui/plant.ts';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { layerName } from '../../ui/words.ts';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';
import { addLayer, moveLayer, setMaterial, setProven } from './beds.ts';
import { type OwnLayer, usePut } from './ownLayer.ts';

type BedTakeoff = Takeoff['beds'][number];
type LayerTakeoff = BedTakeoff['layers'][number];

export function Layers({ bed, index, laid }: { bed: Bed; index: number; laid: BedTakeoff | undefined }) {
  return bed.layers
    .map((layer, at) => (
      <Layer key={layer.id} bed={bed} bedIndex={index} layer={layer} at={at} laid={laid?.layers[at]} />
    ))
    .toReversed();
}

function Layer({ laid, ...own }: OwnLayer & { laid: LayerTakeoff | undefined }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { bed, bedIndex, layer, at } = own;
  const path = `/beds/${bedIndex}/layers/${at}`;
  return (
    <Box borderLeftWidth="3px" borderStyle="solid" borderColor="placed" pl={2} data-bed-layer={layer.id}>
      <Panel
        fold="shut"
        title={layerName(t, layer)}
        aside={`${format.text(layer.thickness, 'size')}${laid && laid.mass > 0 ? ` · ${format.text(laid.mass, 'mass')}` : ''}`}
      >
        <PlanField path={`${path}/thickness`} />
        <Kind {...own} />
        <PlanField
          hint={t(layer.projection === null ? 'base.toFaces' : 'dig.eachSide')}
          path={`${path}/projection`}
          optional
        />
        {!layerValues(layer).cast && <Compacting {...own} />}
        {laid && <Laid laid={laid} cloth={bed.cloth !== null} />}
        <Values {...own} />
        <Place bed={bed} layer={layer} at={at} bedIndex={bedIndex} />
      </Panel>
    </Box>
  );
}

/** What it is of, what for, and what it is ordered as. */
function Kind(own: OwnLayer) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const put = usePut(own);
  const { bed, layer, at } = own;
  return (
    <>
      <Choice
        label={t('base.material')}
        value={layer.material}
        options={BED_MATERIAL_IDS.map((value) => ({ value, label: t(`bedMaterial.${value}`) }))}
        onChange={(material) => store.getState().edit((d) => setMaterial(d, bed.id, at, material))}
      />
      <Choice
        label={t('base.purpose')}
        value={layer.purpose}
        options={LAYER_PURPOSES.map((value) => ({ value, label: t(`purpose.${value}`) }))}
        onChange={(purpose) =>
          put((target) => {
            target.purpose = purpose;
          })
        }
      />
      <TextField
        label={t('base.name')}
        value={layer.name}
        placeholder={t(`bedMaterial.${layer.material}`)}
        maxLength={80}
        onChange={(event) => {
          const { value } = event.target;
          put((target) => {
            target.name = value;
          }, `layer-name:${bed.id}:${layer.id}`);
        }}
      />
    </>
  );
}

function Compacting(own: OwnLayer) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const { bedIndex, layer, at } = own;
  const path = `/beds/${bedIndex}/layers/${at}`;
  return (
    <>
      <Choice
        label={t('base.compactor')}
        value={layer.compactor ?? ''}
        options={[
          { value: '' as const, label: t('base.noCompactor') },
          ...COMPACTOR_IDS.map((value) => ({ value, label: compactorText(t, format, value) })),
        ]}
        onChange={(value) =>
          put((target) => {
            target.compactor = value === '' ? null : value;
          })
        }
      />
      <Toggle
        label={t('base.cohesive')}
        on={layer.cohesive}
        onChange={(on) =>
          put((target) => {
            target.cohesive = on;
          })
        }
      />
      <PlanField hint={t('base.maxLiftHint')} path={`${path}/maxLift`} optional />
      <Toggle
        label={t('base.proven')}
        on={layer.proven !== null}
        onChange={(on) =>
          put((target) => {
            const usual = target.compactor ? COMPACTORS[target.compactor].granular[1] : target.thickness;
            setProven(target, on ? usual : null, t('base.trialStart'));
          })
        }
      />
      {layer.proven && (
        <>
          <PlanField path={`${path}/proven/lift`} />
          <TextField
            label={t('base.trialName')}
            value={layer.proven.trial}
            maxLength={80}
            onChange={(event) => {
              const { value } = event.target;
              if (value)
                put((target) => {
                  if (target.proven) target.proven.trial = value;
                }, `trial:${layer.id}`);
            }}
          />
        </>
      )}
    </>
  );
}

/** Everything that limits its lift, the one that governs first. */
function Limits({ layer }: { layer: BedLayer }) {
  const { t } = useTranslation();
  const format = useFormat();
  const size = (value: number) => format.text(value, 'size');
  return (
    <Box as="ol" aria-label={t('base.limits')} fontSize="sm" color="soft" data-limits>
      {liftLimits(layer).map(({ by, limit, governs, margin }) => (
        <li key={by}>
          {by === 'stone'
            ? t('base.limitStone', { limit: size(limit) })
            : t(`base.limitRow.${governs ? 'governs' : 'other'}`, {
                limit: size(limit),
                margin: size(margin),
                by: t(`base.limit.${by}`, { trial: layer.proven?.trial ?? '' }),
              })}
        </li>
      ))}
    </Box>
  );
}

/** What of it is brought, in which lifts. */
function Laid({
  laid: { layer, volume, loose, mass, lifts },
  cloth,
}: {
  laid: LayerTakeoff;
  cloth: boolean;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  return (
    <>
      {lifts && (
        <>
          <Fact label={t('base.lifts')} value={`${lifts.count} × ${format.text(lifts.thickness, 'size')}`} />
          <Limits layer={layer} />
          <Fact label={t('base.spread')} value={format.text(lifts.loose, 'size')} />
          <Fact
            label={t('base.passes')}
            note={t('base.trial')}
            value={`${lifts.passes[0]} – ${lifts.passes[1]} – ${lifts.passes[2]}`}
          />
        </>
      )}
      {layer.purpose === 'platform' && (
        <Small data-platform>{[t('base.platform'), cloth ? '' : t('base.platformCloth')].join(' ')}</Small>
      )}
      <Fact label={t('base.volume')} value={format.text(volume, 'volume')} />
      {loose > volume && <Fact label={t('base.loose')} value={format.text(loose, 'volume')} />}
      <Fact label={t('base.mass')} value={format.text(mass, 'mass')} />
    </>
  );
}

/** Values of the material: typical unless typed. */
function Values({ bedIndex, layer, at }: OwnLayer) {
  const { t } = useTranslation();
  const typical = layerValues({ ...layer, density: null, looseFactor: null, topSize: null });
  const path = `/beds/${bedIndex}/layers/${at}`;
  const values = typical.cast ? (['density'] as const) : (['topSize', 'density', 'looseFactor'] as const);
  return values.map((key) => (
    <PlanField
      key={key}
      hint={t('base.typicalHint')}
      path={`${path}/${key}`}
      placeholder={typical[key]}
      optional
    />
  ));
}

/** Its place among the others. */
function Place({ bed, bedIndex, layer, at }: OwnLayer) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const name = layerName(t, layer);
  return (
    <Flex gap={1.5}>
      <Button
        size="sm"
        aria-label={t('base.up', { name })}
        disabled={at === bed.layers.length - 1}
        onClick={() => edit((d) => moveLayer(d, bed.id, at, 1))}
      >
        <ArrowUp size={14} aria-hidden />
      </Button>
      <Button
        size="sm"
        aria-label={t('base.down', { name })}
        disabled={at === 0}
        onClick={() => edit((d) => moveLayer(d, bed.id, at, -1))}
      >
        <ArrowDown size={14} aria-hidden />
      </Button>
      <Button
        size="sm"
        disabled={bed.layers.length === 1}
        onClick={() =>
          edit((d) => {
            d.beds[bedIndex]?.layers.splice(at, 1);
          })
        }
      >
        <Trash2 size={14} aria-hidden /> {t('base.removeLayer', { name })}
      </Button>
    </Flex>
  );
}

export function AddLayer({ bed }: { bed: Bed }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  if (bed.layers.length >= 20) return null;
  return (
    <Select
      aria-label={t('base.addLayer')}
      value=""
      onChange={(event) => {
        const material = BED_MATERIAL_IDS.find((id) => id === event.target.value);
        if (material) edit((d) => addLayer(d, bed.id, material));
      }}
    >
      <option value="">{t('base.addLayer')}</option>
      {BED_MATERIAL_IDS.map((id: BedMaterialId) => (
        <option key={id} value={id}>
          {t(`bedMaterial.${id}`)}
        </option>
      ))}
    </Select>
  );
}
