/** What people work on under the thing picked: trimmed ground, lean on stakes, lean on stone; and the stakes. */
import { leanStakes } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useWorkingWays } from '../../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Fact, Panel, PlanField } from '../../fields.tsx';
import { workOn } from '../beds.ts';
import { WayCard } from './WayCard.tsx';

export function WorkingLevel({ index }: { index: number }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const info = useTakeoff().elements[index];
  const ways = useWorkingWays(plan, index);
  const element = plan.elements[index];
  if (!element || !info?.live || info.bays) return null;
  return (
    <Panel fold="shut" title={t('working.title')}>
      <Stakes index={index} />
      {ways === null && <Small>{t('ways.working')}</Small>}
      {ways?.map(({ way, here, change }) => (
        <WayCard
          key={way}
          id={way}
          title={t(`working.way.${way}`)}
          here={here}
          now={t('working.now')}
          choose={t('working.choose', { way: t(`working.way.${way}`) })}
          say={t(`working.say.${way}`)}
          change={change}
          take={() => edit((d) => workOn(d, element.id, way))}
        />
      ))}
      {element.method === 'formed' && <Small>{t('working.gaps')}</Small>}
    </Panel>
  );
}

/** Stakes of its lean concrete: how many, how far apart, how far their tops lie below the string. */
function Stakes({ index }: { index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const info = useTakeoff().elements[index];
  const stakes = info && leanStakes(plan, info);
  if (!info || !stakes) return null;
  const { along, across, spacing, top } = stakes;
  return (
    <>
      <PlanField path="/pour/screed" />
      <Fact
        label={t('working.stakes')}
        note={t('working.stakesNote', { along, across, spacing: format.text(spacing, 'length') })}
        value={String(along * across)}
      />
      <Fact label={t('working.tops')} value={format.text(info.string.level - top, 'length')} />
    </>
  );
}
