/** Logging what was dug in a day, by a machine or by people. */
import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Button } from '../../ui/controls.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';

/** A day to log: it counts once both figures are typed, and nothing is made up for it. */
export function NewDay({
  add,
  what,
  ranges,
  onLogged,
}: {
  /** What the button says that opens it, and what the volume is called. */
  add: string;
  what: string;
  ranges: readonly ['dugVolume', 'dugHours'] | readonly ['handLoose', 'handHours'];
  onLogged: (volume: number, hours: number) => void;
}) {
  const { t } = useTranslation();
  const [open, setOpen] = useState(false);
  const [volume, setVolume] = useState<number | null>(null);
  const [hours, setHours] = useState<number | null>(null);
  if (!open)
    return (
      <Button size="sm" onClick={() => setOpen(true)}>
        {add}
      </Button>
    );
  const close = () => {
    setOpen(false);
    setVolume(null);
    setHours(null);
  };
  return (
    <Flex gap={2} align="end" data-new-day>
      <QuantityField stacked optional label={what} range={ranges[0]} value={volume} onCommit={setVolume} />
      <QuantityField
        stacked
        optional
        label={t('workday.hours')}
        range={ranges[1]}
        value={hours}
        onCommit={setHours}
      />
      <Button
        size="sm"
        look="main"
        disabled={volume === null || hours === null}
        onClick={() => {
          if (volume === null || hours === null) return;
          onLogged(volume, hours);
          close();
        }}
      >
        {t('workday.log')}
      </Button>
      <Button size="sm" look="quiet" onClick={close}>
        {t('workday.leave')}
      </Button>
    </Flex>
  );
}
