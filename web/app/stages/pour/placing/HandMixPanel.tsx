/** What is mixed by hand: bags, sand, stone and water of each pour that comes in no truck. */
import { Box, Stack } from '@chakra-ui/react';
import { byHand, type Takeoff } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { pourName } from '../../../ui/pourName.ts';
import { Panel, PlanField } from '../../fields.tsx';

const FIELDS = ['cement', 'sand', 'stone', 'bag', 'water', 'batch', 'hours'] as const;

export function HandMixPanel() {
  const { t } = useTranslation();
  const { pours } = useTakeoff();
  const mixed = pours.filter((pour) => pour.mixed);
  if (useDesk((desk) => desk.plan.elements.length === 0)) return null;
  return (
    <Panel fold="shut" title={t('handMix.title')}>
      {mixed.length === 0 && <Small>{t('handMix.none')}</Small>}
      {mixed.map((pour) => (
        <Mixed key={pour.id} pour={pour} />
      ))}
      {FIELDS.map((field) => (
        <PlanField key={field} path={`/pour/hand/${field}`} />
      ))}
      <Small>{t('handMix.burns')}</Small>
    </Panel>
  );
}

function Mixed({ pour }: { pour: Takeoff['pours'][number] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const { cement, sand, stone, bag, water, batch, hours } = plan.pour.hand;
  const { people } = plan.days;
  const made = byHand(
    pour.wanted,
    { parts: [cement, sand, stone], bag, water, batch, hours },
    people,
    plan.dig.day.hours,
  );
  const volume = (value: number) => format.text(value, 'volume');
  return (
    <Stack gap={0.5} data-by-hand={pour.id}>
      <Box fontWeight={600}>
        {pourName(t, pour)}:{' '}
        {t('handMix.bags', { count: made.bags, mass: format.text(made.cement, 'weighing', { decimals: 0 }) })}
      </Box>
      <Small>
        {t('handMix.loose', {
          sand: volume(made.sand),
          stone: volume(made.stone),
          water: `${format.text(made.water, 'number', { decimals: 0 })} L`,
        })}
      </Small>
      <Small>
        {t('handMix.batches', {
          batches: made.batches,
          batch: format.text(batch, 'capacity'),
          bags: format.text(made.bagsEach, 'number', { decimals: 2 }),
          barrows: made.barrows,
        })}
      </Small>
      <Small>
        {t('handMix.rounds', {
          people,
          rounds: made.rounds,
          days: made.days,
          hours: format.text(made.hours, 'hours'),
        })}
      </Small>
    </Stack>
  );
}
