/** What would mend a caution, and what that comes to: one press. */
import { Box } from '@chakra-ui/react';
import { CHANGES_NOTHING, type Remedy as Found, type Plan, type Remedied, remedyFor } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useLookedFor } from '../state/ask/useLookedFor.ts';
import { useRemedy } from '../state/ask/whatif.ts';
import { useDeskStore } from '../state/store.ts';
import { useShownPlan, useTakeoff } from '../state/takeoff.ts';
import { Button } from '../ui/controls.tsx';
import { DifferenceLine } from '../ui/DifferenceLine.tsx';
import { useFormat } from '../ui/format.tsx';

type MendedTo = Found['to'];

export function Remedy({ code }: { code: Remedied }) {
  return CHANGES_NOTHING.has(code) ? <Said code={code} /> : <Costed code={code} />;
}

/** A press that changes figures, and what it comes to. */
function Costed({ code }: { code: Remedied }) {
  const plan = useShownPlan();
  const { ref, looked } = useLookedFor();
  const cost = useRemedy(looked ? plan : null, code);
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
function Said({ code }: { code: Remedied }) {
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const mend = useMemo(() => remedyFor(plan, takeoff, code), [plan, takeoff, code]);
  return mend && <Press code={code} to={mend.to} />;
}

function Press({ code, to, children }: { code: Remedied; to: MendedTo; children?: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const said = 'name' in to ? to.name : format.text(...to);
  const take = () => {
    const mended = remedyFor(plan, takeoff, code);
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
        {t(`remedy.${code}`, { to: said })}
      </Button>
      {children}
    </Box>
  );
}
