/** Ways crews disagree about, side by side with what each takes. */
import { Box } from '@chakra-ui/react';
import { fillSchools } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Th } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Panel } from '../fields.tsx';
import { useFilling } from './useFilling.ts';

export function SchoolsPanel() {
  const { t } = useTranslation();
  return (
    <Panel fold="shut" title={t('backfill.schools')}>
      <Table />
    </Panel>
  );
}

function Table() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const filling = useFilling();
  const schools = useMemo(() => fillSchools(plan, takeoff, filling), [plan, takeoff, filling]);
  return (
    <Box as="table" fontSize="sm" w="full">
      <tbody>
        {schools.map(([school, ways]) =>
          ways.map(({ way, chosen, takes, cost }, i) => (
            <tr key={way} data-way={way} data-chosen={chosen}>
              {i === 0 && (
                <Th scope="rowgroup" rowSpan={ways.length} verticalAlign="top" pr={2}>
                  {t(`backfill.school.${school}`)}
                </Th>
              )}
              <Box as="td" verticalAlign="top" pb={1} fontWeight={chosen ? 600 : 400}>
                {t(`backfill.way.${way}`)}
                {chosen && ` (${t('backfill.chosen')})`}
              </Box>
              <Box as="td" textAlign="right" verticalAlign="top" fontFamily="figure">
                {[
                  ...takes.map(
                    ({ what, value, kind }) =>
                      `${t(`backfill.takes.${what}`)} ${kind === 'count' ? Math.round(value) : format.text(value, kind)}`,
                  ),
                  ...(cost === null || cost === 0
                    ? []
                    : [`${format.text(cost, 'price', { decimals: 0 })} ${plan.prices.currency}`.trim()]),
                ].join(' · ')}
              </Box>
            </tr>
          )),
        )}
      </tbody>
    </Box>
  );
}
