/** Said where something would be covered: who has still to see what lies there. */
import { Box } from '@chakra-ui/react';
import { type Hold, holdsOf, isOpen } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDesk } from '../state/store.ts';
import { useTakeoff } from '../state/takeoff.ts';
import { Small } from '../ui/controls.tsx';

/** @param of which of a job's holds are meant */
export function WaitsToBeSeen({ of }: { of: (hold: Hold) => boolean }) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const holds = useMemo(() => holdsOf({ ...takeoff, plan }), [takeoff, plan]);
  const open = holds.filter((hold) => isOpen(hold) && of(hold));
  if (open.length === 0) return null;
  const names = open.map((hold) => {
    const what = hold.kind === 'own' ? hold.name : t(`hold.kind.${hold.kind}`);
    const element = plan.elements.find(({ id }) => id === hold.element);
    return `${what}${element ? ` ${element.name}` : ''} (${t(`hold.role.${hold.role}`)})`;
  });
  return (
    <details data-waits-seen={open.length}>
      <Box as="summary" fontSize="sm" color="held" cursor="pointer">
        {t('hold.waits', { count: open.length })}
      </Box>
      <Small>{names.join(', ')}</Small>
    </details>
  );
}
