/** What is cast together, and what each pour takes. */
import { Box } from '@chakra-ui/react';
import type { Takeoff } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { ranges } from '../../ui/ranges.ts';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, Panel } from '../fields.tsx';
import { WaitsToBeSeen } from '../WaitsToBeSeen.tsx';
import { movePour } from './pours.ts';

export function PoursPanel() {
  const { t } = useTranslation();
  const { pours } = useTakeoff();
  return (
    <Panel title={t('pours.title')} aside={String(pours.length)}>
      {pours.length === 0 && <Small fontSize="sm">{t('pours.none')}</Small>}
      {pours.map((pour) => (
        <PourRow key={pour.id} pour={pour} />
      ))}
      <Move />
    </Panel>
  );
}

function PourRow({ pour }: { pour: Takeoff['pours'][number] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const elements = useDesk((desk) => desk.plan.elements);
  const names = elements.filter((e) => pour.elements.includes(e.id)).map((e) => e.name);
  return (
    <Box data-pour={pour.id}>
      <Fact
        label={pour.name ?? t(`pours.kind.${pour.kind ?? 'footings'}`)}
        note={`${ranges(names)} · ${t('pours.order', { order: format.text(pour.ordered, 'volume') })}, ${t('pour.loads', { count: pour.loads })}`}
        value={format.text(pour.neat, 'volume')}
      />
      <WaitsToBeSeen
        of={({ before, element }) =>
          element !== null && pour.elements.includes(element) && before !== 'backfill'
        }
      />
    </Box>
  );
}

/** With what the thing picked is cast. */
function Move() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const picked = useDesk((desk) => desk.picked);
  const plan = useDesk((desk) => desk.plan);
  const element = plan.elements.find((e) => e.id === picked);
  const { together } = plan.pour;
  if (!element) return null;
  const now = together.find((pour) => pour.elements.includes(element.id));
  return (
    <Choice
      label={t('pours.move', { name: element.name })}
      value={now?.id ?? ''}
      options={[
        { value: '', label: t('pours.own') },
        ...together.map((pour) => ({ value: pour.id, label: pour.name })),
        { value: 'new', label: t('pours.new') },
      ]}
      onChange={(to) =>
        store
          .getState()
          .edit((d) => movePour(d, element.id, to, t('pours.name', { n: d.pour.together.length + 1 })))
      }
    />
  );
}
