/** Bottoms dug low, made up with stone, lean concrete or more footing: side by side. */

import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLowWays } from '../../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Panel } from '../../fields.tsx';
import { WayCard } from './WayCard.tsx';

export function LowBottom() {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const { madeUp } = useTakeoff();
  const ways = useLowWays(plan);
  if (madeUp <= 0) return null;
  return (
    <Panel title={t('low.title')} aside={t('low.aside', { volume: format.text(madeUp, 'volume') })}>
      {ways === null && <Small>{t('ways.working')}</Small>}
      {ways?.map(({ way, here, change, pour, hours }) => (
        <WayCard
          key={way}
          id={way}
          title={t(`pour.with.${way}`)}
          here={here}
          now={t('low.now')}
          choose={t('low.choose', { way: t(`pour.with.${way}`) })}
          say={t(`low.say.${way}`)}
          change={change}
          take={() =>
            edit((d) => {
              d.pour.makeUp = way;
            })
          }
        >
          <Small>
            {[
              `${t('low.pour')} ${format.text(pour.ordered, 'volume')}`,
              t('pour.loads', { count: pour.loads }),
              `${t('low.hours')}: ${hours !== null ? format.text(hours, 'hours') : t(way === 'lean' ? 'low.wait' : 'low.none')}`,
            ].join(' · ')}
          </Small>
        </WayCard>
      ))}
    </Panel>
  );
}
