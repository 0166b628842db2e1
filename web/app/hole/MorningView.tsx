/** The morning list: walked through by the competent person, by name, before anybody goes in. */
import { Box, Flex } from '@chakra-ui/react';
import {
  HAPPENINGS,
  type HoleView,
  MORNING_ANSWERS,
  MORNING_ITEMS,
  type MorningAnswer,
  type MorningItem,
  type RecordValue,
} from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { recordOf } from '../state/records.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { momentText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { Finger } from './Finger.tsx';
import { useMorning } from './morningState.ts';
import { Label, Press, Typed, Word } from './parts.tsx';
import { WhoField } from './people.tsx';

const WORDS = { good: 'goodAnswer', bad: 'badAnswer', none: 'noneAnswer' } as const;

export function MorningView({ view, onDone }: { view: HoleView; onDone: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const call = useDesk((desk) => desk.plan.emergencyContact);
  const state = useMorning(view);
  const [who, setWho] = useState('');
  const [items, setItems] = useState<Partial<Record<MorningItem, MorningAnswer>>>({});
  const [note, setNote] = useState('');
  const [finger, setFinger] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const wanting = MORNING_ITEMS.filter((item) => !items[item]);
  const log = () => {
    if (who.trim() === '') return setProblem(t('hold.noWho'));
    if (wanting.length > 0)
      return setProblem(
        t('morning.wanting', { items: wanting.map((item) => t(`morning.item.${item}`)).join(', ') }),
      );
    const value: RecordValue<'morning'> = {
      who: who.trim(),
      items: items as RecordValue<'morning'>['items'],
      note: note.trim(),
      finger,
    };
    store.getState().deliver(recordOf(store.getState(), 'morning', value));
    onDone();
  };
  const happen = (what: (typeof HAPPENINGS)[number]) =>
    store.getState().deliver(recordOf(store.getState(), 'happened', { what, note: '' }));
  const ladders = view.things.filter(({ ladders: own }) => own.length > 0);
  return (
    <Box display="grid" gap={2.5} px={3} pb={4} data-morning-view>
      {state.list && state.state === 'good' && (
        <Word tone="good">
          {t('morning.good', { who: state.list.value.who, when: momentText(format.lang, state.list.at) })}
        </Word>
      )}
      {MORNING_ITEMS.map((item) => (
        <Box key={item} data-item={item}>
          <Box fontSize="lg" fontWeight={600}>
            {t(`morning.item.${item}`)}
          </Box>
          {item === 'sides' && <Box fontSize="md">{t('morning.frost')}</Box>}
          {item === 'call' && call !== '' && <Box fontSize="md">{call}</Box>}
          {item === 'ladder' && ladders.length > 0 && (
            <Box fontSize="md" data-ladders>
              {ladders
                .slice(0, 6)
                .map(({ name, ladders: at }) =>
                  t('morning.ladders', {
                    count: at.length,
                    name,
                    at: at
                      .map((s) => format.text(s, 'length', format.system === 'metric' ? { decimals: 1 } : {}))
                      .join(', '),
                  }),
                )
                .join(' ')}
              {ladders.length > 6 && ` +${ladders.length - 6}`}
            </Box>
          )}
          <Flex gap={1.5} mt={1}>
            {MORNING_ANSWERS.map((one) => (
              <Press
                key={one}
                aria-pressed={items[item] === one}
                look={one === 'bad' ? 'held' : 'plain'}
                data-answer={one}
                onClick={() => setItems((now) => ({ ...now, [item]: one }))}
                fontSize="md"
              >
                {t(`morning.${WORDS[one]}`)}
              </Press>
            ))}
          </Flex>
        </Box>
      ))}
      <WhoField value={who} onChange={setWho} />
      <Label text={t('morning.note')}>
        <Typed value={note} maxLength={400} onChange={(e) => setNote(e.target.value)} />
      </Label>
      <Finger value="" onSigned={setFinger} />
      {problem && <Word tone="stop">{problem}</Word>}
      <Press look="main" onClick={log} data-log-morning>
        {t('morning.done')}
      </Press>
      <Box fontSize="lg" fontWeight={600} pt={2}>
        {t('morning.happened')}
      </Box>
      <Flex gap={1.5}>
        {HAPPENINGS.map((what) => (
          <Press key={what} onClick={() => happen(what)} data-happened={what} fontSize="md">
            {t(`morning.after.${what}`)}
          </Press>
        ))}
      </Flex>
    </Box>
  );
}
