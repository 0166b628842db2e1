/** Water under pressure below a tight layer, once it was struck. */

import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { Panel, PlanField } from '../../fields.tsx';

/** A tight layer ends so far under the deepest bottom, and its water rises so far over it, at first, m. */
const FIRST = { under: 1, rises: 1.5 } as const;

export function PressurePanel() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const confined = useDesk((desk) => desk.plan.ground.confined);
  const { elements } = useTakeoff();
  const lowest = Math.min(...elements.filter(({ live }) => live).map(({ lowest: level }) => level));
  if (!confined)
    return Number.isFinite(lowest) ? (
      <Panel title={t('night.confined')} fold="shut">
        <Small>{t('dewatering.confinedHow')}</Small>
        <Button
          onClick={() =>
            edit((d) => {
              const top = Math.round((lowest - FIRST.under) * 100) / 100;
              d.ground.confined = { top, level: top + FIRST.rises };
            })
          }
        >
          {t('dewatering.addConfined')}
        </Button>
      </Panel>
    ) : null;
  return (
    <Panel title={t('night.confined')}>
      <PlanField path="/ground/confined/top" />
      <PlanField path="/ground/confined/level" />
      <Button
        look="quiet"
        onClick={() =>
          edit((d) => {
            d.ground.confined = null;
          })
        }
      >
        {t('dewatering.removeConfined')}
      </Button>
    </Panel>
  );
}
