/** What would mend a caution, and what that comes to: one press. */
import { Box } from '@chakra-ui/react';
import { type Mended, mendOf, type Plan } from '@cimiento/core';
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
  const { to } = cost;
  const said = 'name' in to ? to.name : format.text(...to);
  const take = () => {
    const mended = mendOf(plan, takeoff, code);
    if (!mended) return;
    // What it changed, and nothing else: what is typed meanwhile elsewhere stays.
    edit((d) => {
      const changed = Object.entries(mended.plan).filter(([key, value]) => value !== plan[key as keyof Plan]);
      Object.assign(d, structuredClone(Object.fromEntries(changed)));
    });
  };
  return (
    <Box mt={1} data-mend={code}>
      <Button size="sm" onClick={take}>
        {t(`mend.${code}`, { to: said })}
      </Button>
      <DifferenceLine change={cost.change} currency={plan.prices.currency} />
    </Box>
  );
}
