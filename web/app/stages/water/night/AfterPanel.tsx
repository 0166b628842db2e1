/** What the night leaves in the hole of what is picked, and the press that takes it into the plan. */
import { type MeanNight, retrimmed } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useNightRest } from '../../../state/ask/whatif.ts';
import { useLog } from '../../../state/records.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { DifferenceLine } from '../../../ui/DifferenceLine.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Fact, Panel } from '../../fields.tsx';
import { lasting, useHole } from './use.ts';

export function AfterPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const takeoff = useTakeoff();
  const plan = useDesk((desk) => desk.plan);
  const { hole } = useHole();
  const rest = useNightRest(plan.water.storm ? plan : null, hole?.elements[0] ?? element);
  if (!hole || !rest) return null;
  const { standing, pumpOut, bail, elements, silt, scrape, change } = rest.after;
  if (standing < 0.01 && silt < 0.001 && change === null)
    return (
      <Panel title={t('rain.after')}>
        <Small>{t('rain.afterDry')}</Small>
      </Panel>
    );
  const deepest = Math.max(0, ...elements.map(({ retrim }) => retrim));
  const take = () => {
    for (const { element: of, low } of retrimmed(takeoff, elements))
      log('shot', { on: 'formation', from: { by: 'said', low } }, { element: of });
  };
  return (
    <Panel title={t('rain.after')}>
      {standing >= 0.01 && (
        <Fact
          label={t('rain.standing')}
          note={[
            pumpOut === null ? t('rain.noPumpOut') : t('rain.pumpOut', { hours: lasting(format, pumpOut) }),
            t('rain.bail', { hours: lasting(format, bail) }),
          ].join(' · ')}
          value={format.text(standing, 'water')}
        />
      )}
      {silt > 0 && (
        <Fact
          label={t('rain.silt')}
          note={t('rain.scrape', { hours: lasting(format, scrape) })}
          value={format.text(silt, 'volume')}
        />
      )}
      {change ? (
        <>
          <Fact label={t('rain.retrim')} value={format.text(deepest, 'size')} />
          <DifferenceLine change={change} currency={plan.prices.currency} />
          <Early means={rest.means} />
          <Button onClick={take}>{t('rain.takeAfter')}</Button>
        </>
      ) : (
        <Small>{t('rain.retrimNone')}</Small>
      )}
      <Small>{t('rain.assumed')}</Small>
    </Panel>
  );
}

/** What the same night costs when it is pumped from the first hour, against the cost of waiting. */
function Early({ means }: { means: readonly MeanNight[] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const pumped = means.filter(({ mean }) => mean === 'one' || mean === 'two');
  const saves = pumped.find(({ hours }) => hours === 0);
  if (pumped.length === 0) return null;
  if (!saves) return <Small data-early="no">{t('dewatering.earlyNot')}</Small>;
  const { pumpHours, used } = saves;
  return (
    <Small data-early={saves.mean}>
      {t('dewatering.early', {
        hours: lasting(format, pumpHours),
        fuel: used
          ? `, ${t(`rain.${used.of}`, { amount: format.text(used.amount, 'number', { decimals: 1 }) })}`
          : '',
      })}
    </Small>
  );
}
