/** What the last shot says, and what digging on brings: never over a stop. */
import { Box, Flex } from '@chakra-ui/react';
import type { HoleThing } from '@cimiento/core';
import { useEffect, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Asker } from '../state/ask/asker.ts';
import type { AnswerOf } from '../state/ask/questions.ts';
import type { DeskStore } from '../state/store.ts';
import { byText, verdictText } from '../ui/answers.ts';
import { useFormat } from '../ui/format.tsx';
import { cautionTitle } from '../ui/words.ts';
import { Press, Word } from './parts.tsx';
import type { Logged } from './places.ts';

export function Answer({
  answer,
  thing,
  asker,
  store,
  onBack,
}: {
  answer: Logged;
  thing: HoleThing;
  asker: Asker;
  store: DeskStore;
  onBack: () => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const { verdict } = answer;
  const [more, setMore] = useState<AnswerOf<'digOn'> | null>(null);
  const dig = verdict.word === 'dig' && answer.on === 'formation' ? verdict.off : 0;
  useEffect(() => {
    setMore(null);
    if (dig <= 0) return;
    const { plan, records } = store.getState();
    void asker.ask({ plan, records }, 'digOn', [thing.id, dig], { topic: 'digOn' }).then(setMore);
  }, [asker, store, thing.id, dig]);
  const tone = verdict.word === 'good' ? 'good' : verdict.word === 'dig' ? 'note' : 'stop';
  const by = byText(format, dig);
  return (
    <Word tone={tone} data-verdict={verdict.word}>
      <Flex align="center" justify="space-between" gap={2}>
        <Box
          fontFamily="figure"
          fontWeight={600}
          fontSize="44px"
          lineHeight={1}
          role="status"
          data-verdict-text
        >
          {verdictText(t, format, verdict)}
        </Box>
        <Press look="quiet" w="auto" flex="none" onClick={onBack}>
          {t('shot.takeBack')}
        </Press>
      </Flex>
      {more && (
        <Box fontSize="md" fontWeight={500} mt={1} data-dig-on>
          {more.stops.length === 0 ? t('shot.moreNothing', { by }) : t('shot.more', { by })}
          {more.stops.map((stop) => (
            <Box key={stop.code} color="held" fontWeight={600}>
              {t('shot.moreStop', { what: cautionTitle(t, format, stop) })}
            </Box>
          ))}{' '}
          {t('shot.depthNow', { depth: format.text(more.depth, 'length') })}
        </Box>
      )}
    </Word>
  );
}
