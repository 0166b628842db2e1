/** The ground once it is filled: how it falls, the hump left to settle, plinths, and roof water that runs into a hole. */
import { elementName, gutters, plinthsLow, raisedRound, startOf } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';

export function AfterPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const after = useDesk((desk) => desk.plan.backfill.after);
  const plan = useShownPlan();
  const { elements } = useTakeoff();
  const deepest = Math.max(0, ...elements.map((info) => (info.live ? info.depth : 0)));
  return (
    <Panel fold="shut" title={t('backfill.after')}>
      <Toggle
        label={t('backfill.afterSaid')}
        on={after !== null}
        onChange={(on) =>
          edit((d) => {
            d.backfill.after = on
              ? {
                  fall: startOf('/backfill/after/fall', d.system),
                  length: startOf('/backfill/after/length', d.system),
                  hump: startOf('/backfill/after/hump', d.system),
                  plinth: startOf('/backfill/after/plinth', d.system),
                }
              : null;
          })
        }
      />
      {after && (
        <>
          <PlanField path="/backfill/after/fall" />
          <PlanField path="/backfill/after/length" />
          <PlanField path="/backfill/after/hump" />
          <PlanField path="/backfill/after/plinth" />
          <Fact label={t('backfill.atWall')} value={format.text(after.fall * after.length, 'size')} />
          <Fact label={t('backfill.raised')} value={format.text(raisedRound(plan, elements), 'volume')} />
          <Fact label={t('backfill.humpHigh')} value={format.text(after.hump * deepest, 'size')} />
          {plinthsLow(plan, elements).map(({ id, plinth }) => (
            <Small key={id} color="held" data-plinth={id}>
              {t('backfill.plinthLow', {
                name: elementName(plan, id),
                value: format.text(plinth, 'size'),
                least: format.text(after.plinth, 'size'),
              })}
            </Small>
          ))}
        </>
      )}
      {gutters(plan, elements).map(({ id, name, element }) => (
        <Small key={id} color="held">
          {t('backfill.gutter', { name, into: elementName(plan, element) })}
        </Small>
      ))}
    </Panel>
  );
}
