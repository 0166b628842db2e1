/** What is cast and cures, what time makes ready to ask for, and the leak test of a box. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type CureRow, cureOf, elementName, leakOf, type ReadyToAsk, type Takeoff } from '@cimiento/core';
import { useMemo, useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { dayText } from '../../../ui/days.ts';
import { useFormat } from '../../../ui/format.tsx';
import { pourName } from '../../../ui/pourName.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { today } from '../../../ui/today.ts';
import { Panel, PlanField } from '../../fields.tsx';

export function CurePanel() {
  const { t } = useTranslation();
  if (useDesk((desk) => desk.plan.elements.length === 0)) return null;
  return (
    <Panel fold="shut" title={t('cure.title')}>
      <Cures />
      <PlanField path="/pour/cure/wet" />
      <PlanField path="/pour/cure/cold" />
      <PlanField path="/pour/cure/warm" />
      <PlanField path="/pour/cure/load" optional />
    </Panel>
  );
}

function Cures() {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const day = today(plan.water.zone);
  const rows = useMemo(() => cureOf(plan, takeoff, day), [plan, takeoff, day]);
  if (rows.length === 0) return <Small>{t('cure.none')}</Small>;
  return rows.map((row) => <Cured key={row.pour.id} row={row} day={day} />);
}

function Cured({ row, day }: { row: CureRow; day: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const days = (list: readonly string[]) => list.map((one) => dayText(format.lang, one)).join(', ');
  const put = (on: string, done: boolean) => log('wetted', { pour: row.pour.id, day: on, done, note: '' });
  const asked = row.unsaid.at(-1) ?? null;
  return (
    <Stack gap={1} data-cure={row.pour.id}>
      <Box fontWeight={600}>
        {pourName(t, row.pour)}, {t('cure.castOn', { day: dayText(format.lang, row.cast) })}
      </Box>
      <Small>
        {t('cure.keptOf', { kept: row.kept.length, wanted: row.wanted })}
        {row.missed.length > 0 && ` · ${t('cure.missed', { days: days(row.missed) })}`}
        {row.unsaid.length > 0 && ` · ${t('cure.unsaid', { days: days(row.unsaid) })}`}
      </Small>
      {row.cold.length > 0 && <Small>{t('cure.coldDays', { days: days(row.cold) })}</Small>}
      {row.frost.map(({ day: on, low }) => (
        <Small key={on} color="held">
          {t('cure.frost', { day: dayText(format.lang, on), low: format.text(low, 'temperature') })}
        </Small>
      ))}
      {asked !== null && (
        <Flex gap={1}>
          <Button size="sm" onClick={() => put(asked, true)}>
            {t('cure.wetToday', { day: dayText(format.lang, asked) })}
          </Button>
          <Button size="sm" look="quiet" onClick={() => put(asked, false)}>
            {t('cure.notWet')}
          </Button>
        </Flex>
      )}
      {row.ready.map((ready) => (
        <Ready key={ready.what} ready={ready} day={day} />
      ))}
    </Stack>
  );
}

function Ready({ ready }: { ready: ReadyToAsk; day: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const role = t(`hold.role.${ready.role}`);
  const said = ready.let
    ? t('cure.let')
    : ready.on === null
      ? t('cure.noDays')
      : ready.due
        ? ready.hold?.state === 'asked'
          ? t('cure.asked', { role })
          : t('cure.askNow', { role })
        : t('cure.askOn', { role, day: dayText(format.lang, ready.on) });
  return (
    <Flex
      justify="space-between"
      gap={2}
      fontSize="sm"
      data-ready-to={ready.what}
      data-due={ready.due}
      data-let={ready.let}
    >
      <Box>{t(`cure.ready.${ready.what}`)}</Box>
      <Box color={ready.due && !ready.let ? 'earth' : 'soft'} textAlign="right">
        {said}
      </Box>
    </Flex>
  );
}

/** Boxes are filled with water before anything is filled against them. */
export function LeakPanel() {
  const { t } = useTranslation();
  const { elements } = useTakeoff();
  const any = useDesk((desk) => desk.plan.elements.some(({ kind }) => kind === 'box'));
  if (!any) return null;
  const boxes = elements.filter(({ element }) => element.kind === 'box');
  return (
    <Panel fold="shut" title={t('leak.title')}>
      {boxes.map((info) => (
        <Tested key={info.id} info={info} />
      ))}
      <Small>{t('leak.never')}</Small>
      <PlanField path="/pour/leak/share" />
      <PlanField path="/pour/leak/most" />
      <PlanField path="/pour/leak/days" />
      <PlanField path="/pour/leak/soak" />
    </Panel>
  );
}

function Tested({ info }: { info: Takeoff['elements'][number] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const plan = useDesk((desk) => desk.plan);
  const { facts } = useTakeoff();
  const [depth, setDepth] = useState<number | null>(null);
  const day = today(plan.water.zone);
  const readings = (facts.leak.get(info.id) ?? []).toSorted((p, q) => (p.day < q.day ? -1 : 1));
  const test = leakOf(readings, plan.pour.leak, day);
  const size = (value: number) => format.text(value, 'taped');
  return (
    <Stack gap={1} data-leak={info.id} data-state={test.state}>
      <Box fontWeight={600}>{t('leak.box', { name: elementName(plan, info.id) })}</Box>
      <Small color={test.state === 'leaks' ? 'held' : 'soft'}>
        {t(`leak.${test.state}`, {
          fallen: size(test.fallen),
          allowed: size(test.allowed),
          stood: test.stood,
          day: test.readOn === null ? '' : dayText(format.lang, test.readOn),
        })}
      </Small>
      <QuantityField label={t('leak.depth')} range="leakDepth" value={depth} onCommit={setDepth} optional />
      <Button
        size="sm"
        disabled={depth === null}
        onClick={() => {
          if (depth === null) return;
          log('leak', { day, depth }, { element: info.id });
          setDepth(null);
        }}
      >
        {t('leak.log')}
      </Button>
    </Stack>
  );
}
