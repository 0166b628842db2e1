/** The lift that is filled next: how thick, how far under the string, what stops it, and that it was laid. */
import { Box } from '@chakra-ui/react';
import type { FillCard, HoleThing } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { recordOf } from '../state/records.ts';
import { useDeskStore } from '../state/store.ts';
import { sideText, stopText, tampingText } from '../ui/fillWords.ts';
import { useFormat } from '../ui/format.tsx';
import { Label, Press, Typed } from './parts.tsx';

export function FillNext({ thing, card }: { thing: HoleThing; card: FillCard }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const [who, setWho] = useState('');
  const [why, setWhy] = useState('');
  const [despite, setDespite] = useState(false);
  const stopped = card.stops.length > 0;
  const told = who.trim() !== '' && why.trim() !== '';
  const log = () =>
    store.getState().deliver(
      recordOf(
        store.getState(),
        'laid',
        {
          on: 'sound',
          reason: '',
          moisture: null,
          ...(stopped && { despite: { who: who.trim(), reason: why.trim() } }),
        },
        { element: thing.id, placement: card.name },
      ),
    );
  return (
    <Box display="grid" gap={1.5} data-fill-next={card.name}>
      <Box fontSize="xl" fontWeight={600}>
        {t('backfill.next', {
          side: sideText(t, card),
          lift: card.lift,
          count: card.count,
        })}
      </Box>
      <Box fontSize="lg">
        {t('backfill.nextNote', {
          thickness: format.text(card.thickness, 'size'),
          loose: format.text(card.loose, 'size'),
          fromString: format.text(thing.string.level - card.top, 'length'),
        })}
      </Box>
      {card.part !== 'topsoil' && <Box fontSize="md">{tampingText(t, format, card)}</Box>}
      {card.stops.map((stop) => (
        <Box key={`${stop.code}${stop.hold?.hold ?? ''}`} fontSize="lg" color="stop" data-fill-stop>
          {stopText(t, format, stop)}
        </Box>
      ))}
      {stopped && despite && (
        <>
          <Label text={t('backfill.despiteWho')}>
            <Typed value={who} maxLength={80} onChange={({ target }) => setWho(target.value)} />
          </Label>
          <Label text={t('backfill.despiteWhy')}>
            <Typed value={why} maxLength={400} onChange={({ target }) => setWhy(target.value)} />
          </Label>
        </>
      )}
      {stopped && !despite ? (
        <Press look="held" onClick={() => setDespite(true)}>
          {t('backfill.despite')}
        </Press>
      ) : (
        <Press look={stopped ? 'held' : 'main'} disabled={stopped && !told} onClick={log}>
          {t('proof.logLaid')}
        </Press>
      )}
    </Box>
  );
}
