/** The laser receiver that ships as a stand-in: pressed it reads, until it is out of range or its battery is empty. */
import { Box } from '@chakra-ui/react';
import { receiverReading } from '@cimiento/simulators';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useJobId } from '../state/jobId.ts';
import { useFormat } from '../ui/format.tsx';
import { Press } from './parts.tsx';

export function Receiver({
  place,
  expected,
  onReading,
}: {
  /** What tells this place from another. */
  place: string;
  /** What it would read there if it read right, m. */
  expected: number;
  onReading: (reading: number) => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const jobId = useJobId();
  const [taken, setTaken] = useState(0);
  const [said, setSaid] = useState<string | null>(null);
  const take = () => {
    const answer = receiverReading({ place: `${jobId}/${place}`, expected, taken });
    setTaken(taken + 1);
    if (answer.ok) onReading(answer.reading);
    const battery = t('shot.receiverBattery', {
      share: format.text(answer.battery, 'percent', { decimals: 0 }),
    });
    const fault = answer.ok ? '' : t(answer.fault === 'empty' ? 'shot.receiverEmpty' : 'shot.receiverOut');
    setSaid([fault, battery].filter(Boolean).join(' '));
  };
  return (
    <Box>
      <Press look="quiet" onClick={take} data-receiver>
        {t('shot.receiver')}: {t('shot.take')}
      </Press>
      {said && (
        <Box fontSize="md" data-receiver-said>
          {said}
        </Box>
      )}
    </Box>
  );
}
