/** What an edit changed in the tally, for who hears the page: said once the edit rests, not at each key. */
import { Box } from '@chakra-ui/react';
import { FIGURE_IDS, type FigureId, type Takeoff } from '@cimiento/core';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { type Format, useFormat } from '../../ui/format.tsx';

/** An edit rests after so long, ms. */
const REST = 1800;

type Figures = Takeoff['figures'];

interface Changed {
  readonly id: FigureId;
  readonly text: string;
  readonly way: 'up' | 'down' | 'now';
  readonly by: string;
}

/** Figures that print otherwise than before, with how far they went. */
function changes(before: Figures, now: Figures, format: Format): Changed[] {
  return FIGURE_IDS.flatMap((id): Changed[] => {
    const [was, is] = [before[id], now[id]];
    if (!is.known) return [];
    const text = format.text(is.value, is.kind);
    if (!was.known) return [{ id, text, way: 'now', by: '' }];
    if (text === format.text(was.value, is.kind)) return [];
    const by = format.text(Math.abs(is.value - was.value), is.kind);
    return [{ id, text, way: is.value > was.value ? 'up' : 'down', by }];
  });
}

export function TallySaid({ figures }: { figures: Figures }) {
  const { t } = useTranslation();
  const format = useFormat();
  const last = useRef(figures);
  const [said, setSaid] = useState('');
  useEffect(() => {
    if (last.current === figures) return;
    const timer = setTimeout(() => {
      const words = changes(last.current, figures, format).map(({ id, text, way, by }) =>
        t(`tally.said.${way}`, { name: t(`tally.${id}.name`), text, by }),
      );
      last.current = figures;
      if (words.length > 0) setSaid(words.join('; '));
    }, REST);
    return () => clearTimeout(timer);
  }, [figures, format, t]);
  return (
    <Box srOnly role="status" data-tally-said>
      {said}
    </Box>
  );
}
