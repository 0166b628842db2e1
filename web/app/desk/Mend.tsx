/** What would mend a caution, and what that comes to: one press. */
import { Box } from '@chakra-ui/react';
import { CHANGES_NOTHING, type Mend as Found, type Mended, mendOf, type Plan } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { Button } from '../parts/controls.tsx';
import { useFormat } from '../parts/format.tsx';
import { DifferenceLine } from '../stages/levels/DifferenceLine.tsx';
import { useLookedFor } from './ask/useLookedFor.ts';
import { useMend } from './ask/whatif.ts';
import { useDeskStore } from './store.ts';
import { useShownPlan, useTakeoff } from './takeoff.ts';

type MendedTo = Found['to'];

export function Mend({ code }: { code: Mended }) {
  return CHANGES_NOTHING.has(code) ? <Said code={code} /> : <Costed code={code} />;
}

/** A press that changes figures, and what it comes to. */
function Costed({ code }: { code: Mended }) {
  const plan = useShownPlan();
  const { ref, looked } = useLookedFor();
  const cost = useMend(looked ? plan : null, code);
  return (
    <Box ref={ref} minH="1px">
      {cost && (
        <Press code={code} to={cost.to}>
          <DifferenceLine change={cost.change} currency={plan.prices.currency} />
        </Press>
      )}
    </Box>
  );
}

/** A press that only says that something is so. */
function Said({ code }: { code: Mended }) {
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const mend = useMemo(() => mendOf(plan, takeoff, code), [plan, takeoff, code]);
  return mend && <Press code={code} to={mend.to} />;
}

function Press({ code, to, children }: { code: Mended; to: MendedTo; children?: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
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
      {children}
    </Box>
  );
}
