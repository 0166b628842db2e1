/** What is looked to before each pour: as the job says it, and as it was ticked in the hole. */
import { Box } from '@chakra-ui/react';
import { elementName, holdsOf, readyFor } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { pourName } from '../../ui/pourName.ts';
import { leftOf, READY_SIGNS, readyText } from '../../ui/readyWords.ts';
import { Panel, PlanField } from '../fields.tsx';

export function BeforePanel() {
  const { t } = useTranslation();
  if (useTakeoff().pours.length === 0) return null;
  return (
    <Panel fold="shut" title={t('ready.title')}>
      <PlanField path="/pour/dampen" optional />
      <Small>{t('ready.dampRisk')}</Small>
      <PlanField path="/pour/heads" optional />
      <Lists />
    </Panel>
  );
}

/** Worked out while the panel is open. */
function Lists() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const ready = useMemo(() => {
    const job = { ...takeoff, plan };
    return readyFor(job, holdsOf(job));
  }, [plan, takeoff]);
  return ready.map(({ pour, lines, free }) => {
    return (
      <details key={pour.id} data-ready-pour={pour.id} data-free={free}>
        <summary>{`${pourName(t, pour)}: ${free ? READY_SIGNS.yes : t('ready.left', { count: leftOf(lines) })}`}</summary>
        <Box as="ul" listStyleType="none" fontSize="sm">
          {lines.map((line) => (
            <li key={line.key} data-ready={line.key} data-state={line.state}>
              {READY_SIGNS[line.state]}{' '}
              {readyText(t, format, line, plan.pour.fittings, (id) => elementName(plan, id))}
            </li>
          ))}
        </Box>
      </details>
    );
  });
}
