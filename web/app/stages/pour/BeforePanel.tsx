/** What is looked to before each pour: as the job says it, and as it was ticked in the hole. */
import { Box } from '@chakra-ui/react';
import { holdsOf, readyFor } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { pourName } from '../../ui/pourName.ts';
import { READY_SIGNS, readyText } from '../../ui/readyWords.ts';
import { Panel, PlanField } from '../fields.tsx';

export function BeforePanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const ready = useMemo(() => {
    const job = { ...takeoff, plan };
    return readyFor(job, holdsOf(job));
  }, [plan, takeoff]);
  if (takeoff.pours.length === 0) return null;
  const nameOf = (id: string) => plan.elements.find((one) => one.id === id)?.name ?? id;
  return (
    <Panel fold="shut" title={t('ready.title')}>
      <PlanField path="/pour/dampen" optional />
      <Small>{t('ready.dampRisk')}</Small>
      <PlanField path="/pour/heads" optional />
      {ready.map(({ pour, lines, free }, i) => {
        const left = lines.filter(({ state }) => state === 'ask' || state === 'no').length;
        return (
          <details key={pour} data-ready-pour={pour} data-free={free}>
            <summary>
              {`${pourName(t, takeoff.pours[i]!)}: ${free ? READY_SIGNS.yes : t('ready.left', { count: left })}`}
            </summary>
            <Box as="ul" listStyleType="none" fontSize="sm">
              {lines.map((line) => (
                <li key={line.key} data-ready={line.key} data-state={line.state}>
                  {READY_SIGNS[line.state]} {readyText(t, format, line, plan.pour.fittings, nameOf)}
                </li>
              ))}
            </Box>
          </details>
        );
      })}
    </Panel>
  );
}
