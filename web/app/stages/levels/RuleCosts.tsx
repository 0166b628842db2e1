/** The depth rules ranked: level, margin to the next, and what each would cost if it decided. */
import { Box, Flex } from '@chakra-ui/react';
import type { Difference } from '@cimiento/core';
import { useState } from 'react';
import { useRuleCosts } from '../../desk/ask/whatif.ts';
import { useDesk } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { type Format, useFormat } from '../../parts/format.tsx';
import { QuantityField } from '../../parts/QuantityField.tsx';
import { Panel } from '../fields.tsx';

const signed = (format: Format, value: number, kind: 'volume' | 'count' | 'mass'): string => {
  const text = format.text(Math.abs(value), kind);
  return Math.abs(value) < 1e-9 ? `±${text}` : `${value > 0 ? '+' : '−'}${text}`;
};

/** Volumes, loads, concrete and money of a change, in one line. */
export function DifferenceLine({ change, currency }: { change: Difference; currency: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const parts = [
    t('cost.dig', { volume: signed(format, change.dig, 'volume') }),
    ...(change.loads === 0 ? [] : [t('cost.loads', { loads: signed(format, change.loads, 'count') })]),
    ...(Math.abs(change.concrete) < 0.005
      ? []
      : [t('cost.concrete', { volume: signed(format, change.concrete, 'volume') })]),
    ...(Math.abs(change.walls) > 0.005
      ? [t('cost.walls', { volume: signed(format, change.walls, 'volume') })]
      : []),
  ];
  return (
    <Small>
      {parts.join(' · ')}
      {change.cost !== null && Math.abs(change.cost) >= 0.5 && (
        <Box as="span" fontWeight={600}>
          {' '}
          · {change.cost > 0 ? '+' : '−'}
          {format.text(Math.abs(change.cost), 'price', { decimals: 0 })} {currency}
        </Box>
      )}
    </Small>
  );
}

export function RuleCosts() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
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
    <Panel title={t('cost.title')} aside={t('decides.of', { name: element.name })}>
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
            range="/elements/*/low"
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
