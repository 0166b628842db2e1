/** How much concrete: blinding, footings, waste and what to order. */

import { startOf, staysOf } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';
import { BeforePanel } from './BeforePanel.tsx';
import { PoursPanel } from './PoursPanel.tsx';
import { CurePanel, FormsPanel, HandMixPanel, LeakPanel, PlacingPanel } from './placing/index.ts';
import { SteelPanels } from './SteelPanel.tsx';

export function PourPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const { pour } = plan;
  const { lean, concrete, elements } = useTakeoff();
  const { edit } = store.getState();
  const typical = Math.max(0, ...elements.flatMap((e) => e.layers.map((layer) => layer.unevenness)));
  return (
    <>
      <PoursPanel />
      <Panel fold="shut" title={t('pour.blinding')}>
        {lean.volume === 0 && <Small fontSize="sm">{t('pour.inBeds')}</Small>}
        <PlanField
          hint={t('pour.irregularityHint')}
          path="/pour/irregularity"
          placeholder={typical || undefined}
          optional
        />
        <Choice
          label={t('pour.makeUp')}
          value={pour.makeUp}
          options={(['stone', 'lean', 'concrete'] as const).map((value) => ({
            value,
            label: t(`pour.with.${value}`),
          }))}
          onChange={(value) =>
            edit((d) => {
              d.pour.makeUp = value;
            })
          }
        />
        <Fact label={t('pour.lean')} value={format.text(lean.volume, 'volume')} />
      </Panel>
      <Panel title={t('pour.order')}>
        <PlanField path="/pour/waste" />
        <PlanField path="/pour/step" />
        <PlanField path="/pour/truck" />
        <Fact label={t('pour.neat')} value={format.text(concrete.neat, 'volume')} />
        <Fact
          label={t('pour.orderConcrete')}
          note={t('pour.loads', { count: concrete.loads })}
          value={format.text(concrete.ordered, 'volume')}
        />
        {lean.ordered > 0 && (
          <Fact
            label={t('pour.orderLean')}
            note={t('pour.loads', { count: lean.loads })}
            value={format.text(lean.ordered, 'volume')}
          />
        )}
      </Panel>
      <Panel
        fold="shut"
        title={t('pour.stays')}
        aside={staysOf(plan) > 0 ? format.text(staysOf(plan), 'volume') : undefined}
      >
        <Toggle
          label={t('pour.hasLine')}
          on={pour.line !== null}
          onChange={(on) =>
            edit((d) => {
              d.pour.line = on
                ? {
                    length: startOf('/pour/line/length', d.system),
                    diameter: startOf('/pour/line/diameter', d.system),
                  }
                : null;
            })
          }
        />
        {pour.line && (
          <>
            <PlanField path="/pour/line/length" />
            <PlanField path="/pour/line/diameter" />
          </>
        )}
        <PlanField path="/pour/hopper" hint={t('pour.eachPour')} optional />
        <PlanField path="/pour/gaps" hint={t('pour.eachPour')} optional />
      </Panel>
      <PlacingPanel />
      <FormsPanel />
      <HandMixPanel />
      <CurePanel />
      <LeakPanel />
      <SteelPanels />
      <BeforePanel />
    </>
  );
}
