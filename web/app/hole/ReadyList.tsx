/** What is looked to before a pour: what the job says, and what whoever stands there ticks. */
import { Box } from '@chakra-ui/react';
import type { HoleView } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { recordOf } from '../state/records.ts';
import { useDeskStore } from '../state/store.ts';
import { useFormat } from '../ui/format.tsx';
import { pourName } from '../ui/pourName.ts';
import { leftOf, READY_SIGNS, readyText } from '../ui/readyWords.ts';
import { Press } from './parts.tsx';
import { useTicks } from './ticks.ts';

export function ReadyList({ view, pour }: { view: HoleView; pour: HoleView['pours'][number] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { id, lines, free } = pour;
  const logged = lines.filter(({ state }) => state === 'ticked').map(({ key }) => key);
  const nameOf = (element: string) => view.things.find((one) => one.id === element)?.name ?? element;
  const asked = lines.flatMap(({ key, state }) => (state === 'ask' || state === 'ticked' ? [key] : []));
  const { done, changed, toggle } = useTicks(logged, asked);
  const log = () =>
    store.getState().deliver(recordOf(store.getState(), 'readied', { pour: id, done: [...done] }));
  return (
    <details data-pour={id} data-free={free}>
      <summary style={{ minHeight: 48, fontSize: '1.125rem', fontWeight: 600, paddingTop: 10 }}>
        {READY_SIGNS[free ? 'yes' : 'no']} {pourName(t, pour)}
        <Box as="span" fontWeight={500} fontSize="md">
          {free ? '' : ` · ${t('ready.left', { count: leftOf(lines) })}`}
        </Box>
      </summary>
      <Box display="grid" gap={1.5} pt={1}>
        {lines.map((line) => {
          const text = readyText(t, format, line, view.fittings, nameOf);
          const { key, state } = line;
          if (state === 'yes' || state === 'no')
            return (
              <Box
                key={key}
                fontSize="lg"
                lineHeight={1.4}
                color={state === 'no' ? 'stop' : undefined}
                data-ready={key}
                data-state={state}
              >
                {READY_SIGNS[state]} {text}
              </Box>
            );
          const on = done.includes(key);
          return (
            <Press
              key={key}
              justifyContent="flex-start"
              textAlign="left"
              fontSize="md"
              aria-pressed={on}
              onClick={() => toggle(key)}
              data-ready={key}
              data-state={on ? 'ticked' : 'ask'}
            >
              {READY_SIGNS[on ? 'ticked' : 'ask']} {text}
            </Press>
          );
        })}
        {changed && (
          <Press look="main" onClick={log} data-log-ready>
            {t('ready.tick')}
          </Press>
        )}
      </Box>
    </details>
  );
}
