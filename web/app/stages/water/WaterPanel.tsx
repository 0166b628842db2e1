/** Will it flood: the holes below water and the inflow to hold, low, likely and high. */
import { Box } from '@chakra-ui/react';
import { useShownPlan, useTakeoff } from '../../desk/takeoff.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';

export function WaterPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const { holes, water } = useTakeoff();
  return (
    <>
      <Panel title={t('water.title')} aside={t('water.aside')}>
        {water.from === 'logs' ? (
          <Small fontSize="sm">{t('water.fromLogs')}</Small>
        ) : (
          <PlanField path="/ground/water" optional />
        )}
        <PlanField hint={t('ground.waterHighHint')} path="/ground/waterHigh" optional />
        {holes.length === 0 && (
          <Small fontSize="sm">{t(water.from === null ? 'water.none' : 'water.below')}</Small>
        )}
      </Panel>
      {holes.map((hole) => (
        <Panel
          key={hole.elements.join()}
          title={hole.elements.map((i) => plan.elements[i]?.name).join(', ')}
          aside={t(`water.${hole.method}`)}
        >
          <Fact label={t('water.likely')} value={format.text(hole.inflow[1], 'flow')} />
          <Fact
            label={t('water.range')}
            value={`${format.parts(hole.inflow[0], 'flow').number} – ${format.text(hole.inflow[2], 'flow')}`}
          />
          <Fact label={t('water.hold')} value={format.text(hole.holdLevel, 'level')} />
          <Fact
            label={t('water.size')}
            value={`${format.text(hole.a, 'length')} × ${format.text(hole.b, 'length')}`}
          />
          <Fact label={t('input.permeability')} value={format.text(hole.k[1], 'permeability')} />
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
