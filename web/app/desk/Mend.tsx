/** What would mend a caution, and what that comes to: one press. */
import { Box } from '@chakra-ui/react';
import { type Mended, mendOf } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { Button } from '../parts/controls.tsx';
import { useFormat } from '../parts/format.tsx';
import { DifferenceLine } from '../stages/levels/DifferenceLine.tsx';
import { useMend } from './ask/whatif.ts';
import { useDeskStore } from './store.ts';
import { useShownPlan, useTakeoff } from './takeoff.ts';

export function Mend({ code }: { code: Mended }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const cost = useMend(plan, code);
  if (!cost) return null;
  const [value, kind] = cost.to;
  const take = () => {
    const mended = mendOf(plan, takeoff, code);
    if (!mended) return;
    edit((d) => {
      d.elements = structuredClone(mended.plan.elements) as typeof d.elements;
      d.levels.floors = structuredClone(mended.plan.levels.floors) as typeof d.levels.floors;
    });
  };
  return (
    <Box mt={1} data-mend={code}>
      <Button size="sm" onClick={take}>
        {t(`mend.${code}`, { to: format.text(value, kind) })}
      </Button>
      <DifferenceLine change={cost.change} currency={plan.prices.currency} />
    </Box>
  );
}
