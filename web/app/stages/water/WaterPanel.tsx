/** Will it flood: the pits below water and the inflow to hold, low, likely and high. */
import { Box } from '@chakra-ui/react';
import { useDesk } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';

export function WaterPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const { pits, water } = useTakeoff();
  return (
    <>
      <Panel title={t('water.title')} aside={t('water.aside')}>
        {water.from === 'logs' ? (
          <Small fontSize="sm">{t('water.fromLogs')}</Small>
        ) : (
          <PlanField path="/ground/water" optional />
        )}
        <PlanField hint={t('ground.waterHighHint')} path="/ground/waterHigh" optional />
        {pits.length === 0 && (
          <Small fontSize="sm">{t(water.from === null ? 'water.none' : 'water.below')}</Small>
        )}
      </Panel>
      {pits.map((pit) => (
        <Panel
          key={pit.elements.join()}
          title={pit.elements.map((i) => plan.elements[i]?.name).join(', ')}
          aside={t(`water.${pit.method}`)}
        >
          <Fact label={t('water.likely')} value={format.text(pit.inflow[1], 'flow')} />
          <Fact
            label={t('water.range')}
            value={`${format.parts(pit.inflow[0], 'flow').number} – ${format.text(pit.inflow[2], 'flow')}`}
          />
          <Fact label={t('water.hold')} value={format.text(pit.holdLevel, 'level')} />
          <Fact
            label={t('water.size')}
            value={`${format.text(pit.a, 'length')} × ${format.text(pit.b, 'length')}`}
          />
          <Fact label={t('input.permeability')} value={format.text(pit.k[1], 'permeability')} />
        </Panel>
      ))}
      {pits.length > 0 && (
        <Box pb={3}>
          <Small fontSize="sm">{t('water.note')}</Small>
        </Box>
      )}
    </>
  );
}
