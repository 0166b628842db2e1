/** What cautions hold, the first told and the others counted; pressed, each with who lifts it and what to do. */
import { Box } from '@chakra-ui/react';
import type { HoleView } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useFormat } from '../ui/format.tsx';
import { roleText } from '../ui/holdWords.ts';
import { ranges } from '../ui/ranges.ts';
import { cautionText, cautionTitle } from '../ui/words.ts';
import { Word } from './parts.tsx';

export function CautionStops({
  view,
  stops,
  whole,
}: {
  view: HoleView;
  stops: HoleView['stops'];
  /** Of the whole job: it says which things each is of. */
  whole: boolean;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const [open, setOpen] = useState(false);
  const [first] = stops;
  if (!first) return null;
  const names = (ids: readonly string[]) =>
    !whole || ids.length === 0 || ids.length >= view.things.length
      ? ''
      : ` (${ranges(ids.map((id) => view.things.find((thing) => thing.id === id)?.name ?? id))})`;
  return (
    <Word tone="stop" data-cautions={String(stops.length)} onPress={() => setOpen(!open)} expanded={open}>
      {open ? (
        stops.map((stop) => {
          const { title, text } = cautionText(t, format, stop);
          return (
            <Box key={`${stop.code}${stop.elements.join()}`} mb={2}>
              {title}
              {names(stop.elements)}
              <Box fontWeight={500} fontSize="md">
                {text} {stop.lifts && `${roleText(t, stop.lifts)}.`}
              </Box>
            </Box>
          );
        })
      ) : (
        <>
          {cautionTitle(t, format, first)}
          {stops.length > 1 && ` +${stops.length - 1}`}
        </>
      )}
    </Word>
  );
}
