/** What the footings stand on: the beds of the job, the one under what is picked, layer by layer. */
import { Box } from '@chakra-ui/react';
import { type Bed, bedOf, type Element, newCloth, traitsOf } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { Suspense } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';
import { OnPurpose } from '../OnPurpose.tsx';
import { AddLayer, Layers } from './BedLayers.tsx';
import { addBed, bears, putAllOn, putOn, removeBed } from './beds.ts';
import { FloorLayers } from './FloorLayers.tsx';

const proof = () => import('./proof/index.ts');
const LiftCards = later(proof, 'LiftCards');
const CompactorsPanel = later(proof, 'CompactorsPanel');
const BottomFound = later(proof, 'BottomFound');
const SoftBottom = later(proof, 'SoftBottom');
const DynamicCone = later(proof, 'DynamicCone');
const SoftSpots = later(proof, 'SoftSpots');
const LowBottom = later(proof, 'LowBottom');
const WorkingLevel = later(proof, 'WorkingLevel');
const LayerProof = later(proof, 'LayerProof');

export function BasePanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const element = plan.elements.find((e) => e.id === picked);
  const own = element ? bedOf(plan, element) : null;
  const at = element && element.kind !== 'ramp' ? plan.elements.indexOf(element) : -1;
  // With nothing picked, or a thing that stands on none, the first bed can still be seen and changed.
  const shown = own ?? (element ? null : (plan.beds[0] ?? null));
  return (
    <>
      {element && element.kind !== 'ramp' ? (
        <Under element={element} own={own} />
      ) : (
        <Small fontSize="sm" pb={3}>
          {t(plan.beds.length === 0 ? 'base.noBeds' : 'base.pickOne')}
        </Small>
      )}
      {shown && <BedPanel key={shown.id} bed={shown} index={plan.beds.indexOf(shown)} />}
      <Suspense fallback={null}>
        {at >= 0 && element && (
          <>
            <LiftCards key={`cards-${element.id}`} index={at} />
            <CompactorsPanel index={at} />
            <BottomFound key={`bottom-${element.id}`} index={at} />
            <DynamicCone key={`cone-${element.id}`} index={at} />
            <WorkingLevel index={at} />
            <SoftBottom key={`soft-${element.id}`} element={element} index={at} />
          </>
        )}
        <SoftSpots />
        <LowBottom />
        {shown && <LayerProof key={`proof-${shown.id}`} bed={shown} index={plan.beds.indexOf(shown)} />}
      </Suspense>
      <FloorLayers />
      {plan.beds.length === 0 && <OnPurpose pointer="/beds">{t('base.bareOnPurpose')}</OnPurpose>}
      {plan.beds.length < 20 && (
        <Box pb={4}>
          <Button onClick={() => store.getState().edit((d) => addBed(d, element?.id ?? null))}>
            {t('base.add')}
          </Button>
        </Box>
      )}
    </>
  );
}

/** What the thing picked stands on. */
function Under({ element, own }: { element: Element; own: Bed | null }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const beds = useDesk((desk) => desk.plan.beds);
  const info = useTakeoff().elements.find((e) => e.id === element.id);
  return (
    <Panel title={t('base.title', { name: element.name })}>
      <Choice
        label={t('base.bed')}
        value={element.bed ?? ''}
        options={[
          { value: '', label: t('base.noBed') },
          ...beds.map((bed) => ({ value: bed.id, label: bed.name })),
        ]}
        onChange={(value) => store.getState().edit((d) => putOn(d, element.id, value === '' ? null : value))}
      />
      {own === null && <Small fontSize="sm">{t('base.none')}</Small>}
      {own && traitsOf(element).drains && <Small fontSize="sm">{t('base.drain')}</Small>}
      {info?.live && (
        <Fact
          label={t('base.formation')}
          note={`${format.text(info.fromString, 'length')} ${t('base.fromString')}`}
          value={format.text(info.formation, 'level')}
        />
      )}
    </Panel>
  );
}

function BedPanel({ bed, index }: { bed: Bed; index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const laid = useTakeoff().beds.find((one) => one.bed.id === bed.id);
  const count = laid?.elements.length ?? 0;
  return (
    <Panel title={bed.name} aside={t('base.underCount', { count })}>
      <Layers bed={bed} index={index} laid={laid} />
      <AddLayer bed={bed} />
      {laid && count > 0 && (
        <Fact
          label={t('base.total')}
          value={format.text(
            bed.layers.reduce((sum, layer) => sum + layer.thickness, 0),
            'size',
          )}
        />
      )}
      <More bed={bed} index={index} cloth={laid?.cloth ?? 0} />
    </Panel>
  );
}

/** Its name, cloth, what it is laid on, and what becomes of it. */
function More({ bed, index, cloth }: { bed: Bed; index: number; cloth: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { edit } = store.getState();
  const everywhere = useDesk((desk) => desk.plan.elements.every((e) => !bears(e) || e.bed === bed.id));
  return (
    <Panel fold="shut" title={t('base.more')} aside={bed.cloth ? t('base.withCloth') : undefined}>
      <TextField
        label={t('dig.name')}
        value={bed.name}
        maxLength={80}
        onChange={(event) => {
          const { value } = event.target;
          if (value)
            edit((d) => {
              d.beds[index]!.name = value;
            }, `bed-name:${bed.id}`);
        }}
      />
      <Cloth bed={bed} index={index} area={cloth} />
      <Toggle
        label={t('base.onOldBase')}
        on={bed.onOldBase}
        onChange={(on) =>
          edit((d) => {
            d.beds[index]!.onOldBase = on;
          })
        }
      />
      {bed.onOldBase && <Small>{t('base.oldBaseHint')}</Small>}
      {!everywhere && (
        <Button onClick={() => edit((d) => putAllOn(d, bed.id))}>
          {t('base.useAll', { name: bed.name })}
        </Button>
      )}
      <Button look="held" onClick={() => edit((d) => removeBed(d, bed.id))}>
        <Trash2 size={15} aria-hidden /> {t('base.remove', { name: bed.name })}
      </Button>
    </Panel>
  );
}

function Cloth({ bed, index, area }: { bed: Bed; index: number; area: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const path = `/beds/${index}/cloth`;
  return (
    <>
      <Toggle
        label={t('base.cloth')}
        on={bed.cloth !== null}
        onChange={(on) =>
          edit((d) => {
            d.beds[index]!.cloth = on ? newCloth(d.system) : null;
          })
        }
      />
      {bed.cloth && (
        <>
          <Toggle
            label={t('base.around')}
            on={bed.cloth.around}
            onChange={(on) =>
              edit((d) => {
                const { cloth } = d.beds[index]!;
                if (cloth) cloth.around = on;
              })
            }
          />
          <PlanField path={`${path}/lap`} />
          <PlanField path={`${path}/waste`} />
          <Fact label={t('base.clothArea')} value={format.text(area, 'area')} />
        </>
      )}
    </>
  );
}
