/** The same night with other means in the hole of what is picked: side by side, each one press away. */
import { Box, Flex } from '@chakra-ui/react';
import { DRAIN_PIPE, type Mean, type MeanNight, type Plan, withMeans } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useNightRest } from '../../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Panel } from '../../fields.tsx';
import { WayFrame } from '../../WayFrame.tsx';
import { lasting, useHole } from './use.ts';

/** What stands in the plan already. */
function isHere(plan: Plan, ids: readonly string[], mean: Mean): boolean {
  const here = plan.water.pumps.filter((pump) => ids.includes(pump.element));
  const count = here.reduce((sum, pump) => sum + pump.count, 0);
  if (mean === 'none') return count === 0;
  if (mean === 'one') return count === 1;
  return mean === 'two' && count === 2;
}

export function MeansPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const { hole } = useHole();
  const rest = useNightRest(plan.water.storm ? plan : null, hole?.elements[0] ?? element);
  if (!hole) return null;
  const take = (mean: Mean) => {
    const other = withMeans(plan, hole.elements, mean);
    if (!other) return;
    edit((d) => {
      d.water = structuredClone(other.water) as typeof d.water;
    });
  };
  return (
    <Panel title={t('rain.means')}>
      {rest === null && <Small>{t('rain.working')}</Small>}
      {rest?.means.map((one) => (
        <Card key={one.mean} one={one} here={isHere(plan, hole.elements, one.mean)} take={take} />
      ))}
    </Panel>
  );
}

function Card({ one, here, take }: { one: MeanNight; here: boolean; take: (mean: Mean) => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { mean, dry, peak, hours, pumped, pumpHours, used } = one;
  const facts = [
    hours > 0
      ? t('rain.meanFacts', { depth: format.text(peak, 'size'), hours: lasting(format, hours) })
      : t('rain.meanNever'),
    // Less than is shown is not told.
    ...(pumped >= 0.05
      ? [
          t('rain.meanPumped', {
            volume: format.text(pumped, 'water'),
            hours: lasting(format, pumpHours),
          }),
        ]
      : []),
    ...(used && used.amount > 0.05
      ? [t(`rain.${used.of}`, { amount: format.text(used.amount, 'number', { decimals: 1 }) })]
      : []),
  ];
  return (
    <WayFrame here={here} data-mean={mean} data-dry={dry ?? 'unasked'}>
      <Flex justify="space-between" align="center" gap={2}>
        <strong>{t(`rain.mean.${mean}`)}</strong>
        {dry !== null && (
          <Box as="span" fontWeight={600} color={dry ? 'placed' : 'held'}>
            {t(dry ? 'rain.meanDry' : 'rain.meanWet')}
          </Box>
        )}
        {here ? (
          <Small>{t('rain.now')}</Small>
        ) : (
          mean !== 'failing' &&
          mean !== 'drain' && (
            <Button
              size="sm"
              aria-label={t('rain.takeNamed', { mean: t(`rain.mean.${mean}`) })}
              onClick={() => take(mean)}
            >
              {t('rain.take')}
            </Button>
          )
        )}
      </Flex>
      <Small>{facts.join(' · ')}</Small>
      {mean === 'drain' && (
        <Small>{t('dewatering.drainHow', { pipe: format.text(DRAIN_PIPE, 'size', { parts: 1 }) })}</Small>
      )}
    </WayFrame>
  );
}
