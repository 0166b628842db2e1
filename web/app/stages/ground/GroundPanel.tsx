/** What is under me: surface, logs, soils, water, hazards, frost. */
import { memo } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useGround } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';
import { FrostPanel } from './FrostPanel.tsx';
import { HazardsPanel } from './HazardsPanel.tsx';
import { LogsPanel } from './LogsPanel.tsx';
import { ObstructionsPanel } from './ObstructionsPanel.tsx';
import { SoilsPanel } from './SoilsPanel.tsx';
import { SurfacePanel } from './SurfacePanel.tsx';

export function GroundPanel() {
  return (
    <>
      <LogsPanel />
      <SurfacePanel />
      <SoilsPanel />
      <WaterLevels />
      <HazardsPanel />
      <ObstructionsPanel />
      <FrostPanel />
    </>
  );
}

const WaterLevels = memo(function WaterLevels() {
  const { t } = useTranslation();
  const format = useFormat();
  const model = useGround();
  const ground = useDesk((desk) => desk.plan.ground);
  const byLogs = ground.logs.some((log) => log.standing !== null && !log.perched);
  const at = ground.logs[0]?.at ?? ([0, 0] as const);
  const here = model.water(at[0], at[1]);
  return (
    <Panel
      fold="shut"
      title={t('ground.water')}
      aside={model.waterFrom && t(`ground.waterFrom.${model.waterFrom}`)}
    >
      <PlanField
        hint={t(
          byLogs ? 'ground.waterByLogs' : ground.water === null ? 'ground.noWater' : 'ground.waterTyped',
        )}
        path="/ground/water"
        optional
      />
      <PlanField hint={t('ground.waterHighHint')} path="/ground/waterHigh" optional />
      {here !== null && (
        <Fact
          label={t('ground.waterAt', { name: ground.logs[0]?.name ?? '' })}
          note={t('ground.waterDown', { depth: format.text(model.level(at[0], at[1]) - here, 'length') })}
          value={format.text(here, 'level')}
        />
      )}
    </Panel>
  );
});
