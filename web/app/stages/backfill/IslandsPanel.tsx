/** What is left between openings and stands on paper only, with what it takes to dig it out with the rest. */
import { Box, Stack } from '@chakra-ui/react';
import { elementName, type Takeoff } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Panel, PlanField } from '../fields.tsx';
import { addIslands, addPit } from './strips.ts';
import { useIslands } from './useIslands.ts';

/** Hours of the machine for so much more, at its mean rate on this job; null: it digs nothing. */
function hoursFor({ work, figures }: Takeoff, machine: string, bank: number): number | null {
  const own = work.machines.find((one) => one.machine === machine) ?? work.machines[0];
  const dug = figures.dig.value;
  return own && dug > 0 && own.hours > 0 ? (bank * own.hours) / dug : null;
}

export function IslandsPanel() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const { islands, pit } = useIslands();
  const takes = useTakes();
  return (
    <Panel
      fold="shut"
      title={t('backfill.islands')}
      aside={islands.length > 0 ? String(islands.length) : undefined}
    >
      {islands.length === 0 && <Small>{t('backfill.islandsNone')}</Small>}
      {islands.length > 1 && (
        <Button size="sm" look="held" onClick={() => edit((d) => addIslands(d, islands))}>
          {t('backfill.takeOutAll')}
        </Button>
      )}
      <details open={islands.length < 3}>
        <Box as="summary" cursor="pointer" fontSize="sm" py={1}>
          {islands
            .map(({ elements }) => names(plan, elements))
            .filter((one, i, all) => all.indexOf(one) === i)
            .join(' · ')}
        </Box>
        <Stack gap={2} pt={1}>
          {islands.map((island) => (
            <Island key={island.plan.join()} island={island} takes={takes(island.bank, island.loose)} />
          ))}
        </Stack>
      </details>
      {pit && (
        <>
          <Small>
            {t('backfill.pit')}: {takes(pit.bank, pit.loose)}
          </Small>
          <Button size="sm" look="quiet" onClick={() => edit((d) => void addPit(d, pit.outline, pit.level))}>
            {t('backfill.pitTake')}
          </Button>
        </>
      )}
      <PlanField path="/backfill/leastStanding" hint={t('backfill.leastHint')} optional />
    </Panel>
  );
}

const names = (plan: Parameters<typeof elementName>[0], ids: readonly string[]) =>
  [...new Set(ids)].map((id) => elementName(plan, id)).join('–');

/** m³, loads, hours and money of taking so much more out. */
function useTakes() {
  const { t } = useTranslation();
  const format = useFormat();
  const takeoff = useTakeoff();
  const { spoil, dig, prices } = useDesk((desk) => desk.plan);
  return (bank: number, loose: number): string => {
    const body = spoil.trucks[0]?.body ?? 1;
    const loads = Math.ceil(loose / body - 1e-9);
    const hours = hoursFor(takeoff, dig.machine, bank);
    const cost =
      prices.load === null && prices.dig === null
        ? null
        : bank * (prices.dig ?? 0) + loads * (prices.load ?? 0);
    return [
      t('backfill.takesOut', {
        bank: format.text(bank, 'volume'),
        count: loads,
        hours: hours === null ? '–' : format.text(Math.max(0.1, hours), 'hours'),
      }),
      ...(cost === null ? [] : [`${format.text(cost, 'price', { decimals: 0 })} ${prices.currency}`.trim()]),
    ].join(' · ');
  };
}

function Island({
  island,
  takes,
}: {
  island: ReturnType<typeof useIslands>['islands'][number];
  takes: string;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const size = (of: number) => format.text(of, 'length');
  return (
    <Box
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor="held"
      pl={2}
      data-island={island.elements.join('-')}
    >
      <Box fontSize="sm">
        {t('backfill.island', {
          names: names(plan, island.elements),
          width: size(island.width),
          height: size(island.height),
        })}{' '}
        <Small as="span">{t('backfill.islandAsk', { least: size(island.least) })}</Small>
      </Box>
      <Small>{takes}</Small>
      <Button size="sm" look="quiet" px={0} onClick={() => edit((d) => addIslands(d, [island]))}>
        {t('backfill.takeOut')}
      </Button>
    </Box>
  );
}
