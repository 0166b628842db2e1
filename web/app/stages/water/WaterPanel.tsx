/** Will it flood: the holes below water and the inflow to hold, low, likely and high. */
import { Box } from '@chakra-ui/react';
import { type Plan, trickles } from '@cimiento/core';
import { Suspense } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';

const night = () => import('./night/index.ts');
const RainPanel = later(night, 'RainPanel');
const PumpsPanel = later(night, 'PumpsPanel');
const MeansPanel = later(night, 'MeansPanel');
const DamPanel = later(night, 'DamPanel');
const FloatPanel = later(night, 'FloatPanel');
const AfterPanel = later(night, 'AfterPanel');
const RisingHeadPanel = later(night, 'RisingHeadPanel');
const RoundPanel = later(night, 'RoundPanel');
const DewateringPanel = later(night, 'DewateringPanel');
const SurfacePanel = later(night, 'SurfacePanel');
const FilterPanel = later(night, 'FilterPanel');
const PressurePanel = later(night, 'PressurePanel');
const ChancePanel = later(night, 'ChancePanel');

/** The element the panels speak of: what is picked, else the first that is dug. */
const elementFor = (plan: Plan, picked: string | null): string | null =>
  (
    plan.elements.find((e) => e.id === picked && e.kind !== 'ramp') ??
    plan.elements.find((e) => e.kind !== 'ramp')
  )?.id ?? null;

export function WaterPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const picked = useDesk((desk) => desk.picked);
  const { holes, water } = useTakeoff();
  const element = elementFor(plan, picked);
  return (
    <>
      <Panel title={t('water.title')} aside={water.from === 'logs' ? t('water.fromLogs') : null}>
        {water.from !== 'logs' && <PlanField path="/ground/water" optional />}
        <PlanField path="/ground/waterHigh" optional />
        {holes.length === 0 && (
          <Small fontSize="sm">{t(water.from === null ? 'water.none' : 'water.below')}</Small>
        )}
      </Panel>
      {element !== null && (
        <Suspense fallback={null}>
          <FloatPanel element={element} />
          <DewateringPanel element={element} />
          <RainPanel />
          <PumpsPanel element={element} />
          <MeansPanel element={element} />
          <AfterPanel element={element} />
          <RoundPanel element={element} />
          <SurfacePanel />
          <DamPanel />
          <PressurePanel />
          <FilterPanel />
          <RisingHeadPanel key={`recharge-${element}`} element={element} />
          <ChancePanel element={element} />
        </Suspense>
      )}
      {holes.map((hole) => (
        <Panel
          key={hole.elements.join()}
          title={hole.elements.map((i) => plan.elements[i]?.name).join(', ')}
          aside={t(`water.${hole.method}`)}
        >
          {trickles(hole.inflow) ? (
            <Fact label={t('water.likely')} value={t('water.trickle')} />
          ) : (
            <>
              <Fact label={t('water.likely')} value={format.text(hole.inflow[1], 'flow')} />
              <Fact
                label={t('water.range')}
                value={`${format.parts(hole.inflow[0], 'flow').number} – ${format.text(hole.inflow[2], 'flow')}`}
              />
            </>
          )}
          <Fact label={t('water.hold')} value={format.text(hole.holdLevel, 'level')} />
          <Fact
            label={t('water.size')}
            value={`${format.text(hole.a, 'length')} × ${format.text(hole.b, 'length')}`}
          />
          <Fact
            label={t('input.permeability')}
            note={`${t(`origin.${hole.kOrigin}`)} · ${format.parts(hole.k[1], 'permeability').number} m/s`}
            value={format.text(hole.k[1], 'permeability')}
          />
        </Panel>
      ))}
      {holes.length > 0 && (
        <Box pb={3}>
          <Small fontSize="sm">{t('water.note')}</Small>
        </Box>
      )}
    </>
  );
}
