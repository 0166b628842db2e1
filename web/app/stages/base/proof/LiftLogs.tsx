/** What is logged of a lift beside its tests: laid, reworked, released. */
import { Flex } from '@chakra-ui/react';
import { GROUNDS, type LiftCard, REWORKS } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { Button } from '../../../ui/controls.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';

/** A lift of a bed or of fill. */
export type Placed = Pick<LiftCard, 'element' | 'name' | 'state' | 'wanted'>;
interface Own {
  readonly card: Placed;
}
/** What a record of a lift hangs on. */
export const onLift = ({ element, name }: Placed) => ({ element, placement: name });

interface Laid extends Own {
  /** Laid before it was let: by whose name and reason; null: it is let. */
  readonly despite?: { readonly who: string; readonly reason: string } | null;
}

/** Says that a lift was laid, on what, and how moist it was. */
export function LogLaid({ card, despite = null }: Laid) {
  const { t } = useTranslation();
  const log = useLog();
  const [on, setOn] = useState<(typeof GROUNDS)[number]>('sound');
  const [reason, setReason] = useState('');
  const [moisture, setMoisture] = useState<number | null>(null);
  const sound = on === 'sound';
  return (
    <Flex direction="column" gap={2}>
      <Choice
        label={t('proof.on')}
        value={on}
        options={GROUNDS.map((value) => ({ value, label: t(`proof.ground.${value}`) }))}
        onChange={setOn}
      />
      {!sound && (
        <TextField
          label={t('proof.reason')}
          value={reason}
          maxLength={400}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      <QuantityField
        optional
        label={t('proof.moisture')}
        range="moisture"
        value={moisture}
        onCommit={setMoisture}
      />
      <Button
        look={despite ? 'held' : 'main'}
        disabled={(!sound && reason.trim() === '') || despite?.who === '' || despite?.reason === ''}
        onClick={() =>
          log(
            'laid',
            { on, reason: sound ? '' : reason.trim(), moisture, ...(despite && { despite }) },
            onLift(card),
          )
        }
      >
        {t('proof.logLaid')}
      </Button>
    </Flex>
  );
}

export function LogRework({ card }: Own) {
  const { t } = useTranslation();
  const log = useLog();
  const [what, setWhat] = useState<(typeof REWORKS)[number]>('rolled');
  return (
    <Flex direction="column" gap={2}>
      <Choice
        label={t('proof.rework')}
        value={what}
        options={REWORKS.map((value) => ({ value, label: t(`proof.reworks.${value}`) }))}
        onChange={setWhat}
      />
      <Button onClick={() => log('rework', { what }, onLift(card))}>{t('proof.logRework')}</Button>
    </Flex>
  );
}

/** Released by a named person; before it has passed only with a reason. */
export function LogRelease({ card }: Own) {
  const { t } = useTranslation();
  const log = useLog();
  const [who, setWho] = useState('');
  const [reason, setReason] = useState('');
  const free = card.state === 'passed' || (card.wanted === 0 && card.state === 'placed');
  return (
    <Flex direction="column" gap={2}>
      <TextField
        label={t('proof.who')}
        value={who}
        maxLength={80}
        onChange={(event) => setWho(event.target.value)}
      />
      {!free && (
        <TextField
          label={t('proof.overrideReason')}
          value={reason}
          maxLength={400}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      <Button
        look={free ? 'main' : 'held'}
        disabled={who.trim() === '' || (!free && reason.trim() === '')}
        onClick={() => log('release', { who: who.trim(), reason: free ? '' : reason.trim() }, onLift(card))}
      >
        {t('proof.logRelease')}
      </Button>
    </Flex>
  );
}
