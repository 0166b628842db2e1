/** The depth rules ranked: level, margin to the next, and what each would cost if it decided. */
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useRuleCosts } from '../../state/ask/whatif.ts';
import { useDesk } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { DifferenceLine } from '../../ui/DifferenceLine.tsx';
import { useFormat } from '../../ui/format.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Panel } from '../fields.tsx';

export function RuleCosts() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const picked = useDesk((desk) => desk.picked);
  const takeoff = useTakeoff();
  const [deeper, setDeeper] = useState(0.15);
  const at = takeoff.elements.findIndex((e) => e.id === picked);
  const index = at >= 0 ? at : takeoff.elements.findIndex((e) => e.live);
  const info = takeoff.elements[index];
  const costs = useRuleCosts(plan, index, deeper);
  const element = plan.elements[index];
  if (!info?.decision || !element) return null;
  const { candidates } = info.decision;
  return (
    <Panel fold="shut" title={t('cost.title')}>
      <Box as="ol" data-rules>
        {candidates.map((candidate, i) => {
          const next = candidates[i + 1];
          const cost = costs?.find(
            (entry) => entry.rule === candidate.rule && Math.abs(entry.level - candidate.level) < 1e-9,
          );
          return (
            <Box
              as="li"
              key={candidate.rule}
              data-rule={candidate.rule}
              py={1}
              borderBottomWidth="1px"
              borderStyle="solid"
              borderColor="rule"
            >
              <Flex justify="space-between" gap={2} fontWeight={i === 0 ? 600 : 400}>
                <span>{t(`rule.${candidate.rule}`)}</span>
                <Box as="span" fontFamily="figure" fontSize="md" fontWeight={600}>
                  {format.text(candidate.level, 'level')}
                </Box>
              </Flex>
              {i === 0 ? (
                <Small>
                  {next
                    ? t(next.level >= candidate.level ? 'cost.governs' : 'cost.overrides', {
                        margin: format.text(Math.abs(next.level - candidate.level), 'size'),
                        rule: t(`rule.${next.rule}`),
                      })
                    : t('cost.only')}
                </Small>
              ) : (
                cost && <DifferenceLine change={cost.change} currency={plan.prices.currency} />
              )}
            </Box>
          );
        })}
      </Box>
      {info.steps ? (
        <Small>{t('cost.stepped')}</Small>
      ) : (
        <Box data-rule="deeper">
          <QuantityField
            label={t('cost.deeper')}
            range="low"
            value={deeper}
            onCommit={(next) => setDeeper(next ?? 0.15)}
          />
          {costs
            ?.filter((entry) => entry.rule === 'deeper')
            .map((entry) => (
              <DifferenceLine key={entry.rule} change={entry.change} currency={plan.prices.currency} />
            ))}
        </Box>
      )}
      <Small>{t('cost.against')}</Small>
    </Panel>
  );
}
