/** What the log teaches of the crew's own rates, with the days behind each: it counts once the lead takes it. */
import { Flex } from '@chakra-ui/react';
import { ENOUGH, leaveLesson, type Proposal, proposalsOf, takeLesson } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { clockOf } from '../../ui/today.ts';
import { Fact, Panel } from '../fields.tsx';

const keyOf = (proposal: Proposal): string =>
  [
    proposal.of,
    ...('machine' in proposal ? [proposal.machine] : []),
    ...('soil' in proposal ? [proposal.soil] : []),
  ].join('-');
/** What the plan goes by is what the log now says. */
const isTaken = ({ now, value }: Proposal): boolean => now !== null && Math.abs(now - value) < 1e-9;

export function TeachesPanel() {
  const { t } = useTranslation();
  const plan = useShownPlan();
  const records = useDesk((desk) => desk.records);
  const told = useMemo(() => proposalsOf(plan, records, clockOf(plan.water.zone)), [plan, records]);
  if (told.length === 0) return null;
  const open = told.filter((one) => !isTaken(one)).length;
  return (
    <Panel
      fold="shut"
      title={t('teaches.title')}
      aside={open > 0 ? t('teaches.toTake', { count: open }) : undefined}
    >
      {told.map((one) => (
        <Row key={keyOf(one)} proposal={one} />
      ))}
      <Small>{t('teaches.how')}</Small>
    </Panel>
  );
}

function Row({ proposal }: { proposal: Proposal }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const { dig } = useShownPlan();
  const { days, value, low, high, now } = proposal;
  const said = (of: number): string => {
    if (proposal.of === 'swell') return format.text(of, 'percent');
    if (proposal.of === 'trip')
      return t('teaches.aTrip', { minutes: format.text(of, 'number', { decimals: 0 }) });
    return t('teaches.anHour', { volume: format.text(of, 'volume') });
  };
  const name = (): string => {
    switch (proposal.of) {
      case 'output': {
        const machine = dig.machines.find(({ id }) => id === proposal.machine)?.name ?? proposal.machine;
        return proposal.soil === null
          ? machine
          : t('teaches.inSoil', { machine, soil: t(`soil.${proposal.soil}`) });
      }
      case 'swell':
        return t('teaches.swell', { soil: t(`soil.${proposal.soil}`) });
      default:
        return t(`teaches.${proposal.of}`);
    }
  };
  const own = isTaken(proposal);
  return (
    <div data-teaches={keyOf(proposal)} data-days={days} data-taken={own}>
      <Fact
        label={name()}
        note={[
          t('teaches.days', { count: days }),
          ...(days > 1 ? [t('teaches.spread', { low: said(low), high: said(high) })] : []),
          ...(days < ENOUGH ? [t('teaches.few')] : []),
          own
            ? t('teaches.taken')
            : now === null
              ? t('teaches.nowTypical')
              : t('teaches.nowIs', { value: said(now) }),
        ].join(' · ')}
        value={said(value)}
      />
      <Flex justify="end">
        {own ? (
          proposal.of !== 'trip' && (
            <Button size="sm" look="quiet" onClick={() => edit((draft) => leaveLesson(draft, proposal))}>
              {t('teaches.leave')}
            </Button>
          )
        ) : (
          <Button
            size="sm"
            aria-label={t('teaches.takeNamed', { value: said(value), name: name() })}
            onClick={() => edit((draft) => takeLesson(draft, proposal))}
          >
            {t('teaches.take')}
          </Button>
        )}
      </Flex>
    </div>
  );
}
