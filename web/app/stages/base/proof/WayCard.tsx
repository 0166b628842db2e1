/** One of several ways side by side: what it costs, what is said of it, and a press that takes it. */
import { Flex } from '@chakra-ui/react';
import type { Difference } from '@cimiento/core';
import type { ReactNode } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { DifferenceLine } from '../../../ui/DifferenceLine.tsx';
import { WayFrame } from '../../WayFrame.tsx';

interface Props {
  readonly id: string;
  readonly title: string;
  /** Of the plan as it stands. */
  readonly here: boolean;
  /** What marks it, and what a press on the others says. */
  readonly now: string;
  readonly choose: string;
  readonly say: string;
  readonly change: Difference;
  readonly take: () => void;
  readonly children?: ReactNode;
}

export function WayCard({ id, title, here, now, choose, say, change, take, children }: Props) {
  const { t } = useTranslation();
  const currency = useDesk((desk) => desk.plan.prices.currency);
  return (
    <WayFrame here={here} data-way={id}>
      <Flex justify="space-between" align="center" gap={2}>
        <strong>{title}</strong>
        {here ? (
          <Small>{now}</Small>
        ) : (
          <Button size="sm" aria-label={choose} onClick={take}>
            {t('low.take')}
          </Button>
        )}
      </Flex>
      {!here && <DifferenceLine change={change} currency={currency} />}
      {children}
      <Small>{say}</Small>
    </WayFrame>
  );
}
