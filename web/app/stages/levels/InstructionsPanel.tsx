/** The engineer's word: typed instructions on level or width, for some elements or all. */
import { Box, Flex } from '@chakra-ui/react';
import { nextName } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useInstructionCosts } from '../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useLookedAt } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { DifferenceLine } from '../../ui/DifferenceLine.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Panel, PlanField } from '../fields.tsx';

export function InstructionsPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const costs = useInstructionCosts(plan);
  const words = plan.levels.instructions;
  const { edit } = store.getState();
  const info = useLookedAt();
  const add = () =>
    edit((d) => {
      d.levels.instructions.push({
        id: nextName(
          'word-',
          words.map((word) => word.id),
        ),
        level: Math.round((info?.underside ?? d.levels.string - 1.5) * 1000) / 1000,
        width: null,
        who: t('levels.engineer'),
        when: '',
        why: '',
        elements: [],
      });
    });
  return (
    <Panel title={t('levels.instruction')} aside={t('word.aside')}>
      {words.map((word, i) => {
        const change = costs?.find((cost) => cost.id === word.id)?.change ?? null;
        const set = (key: 'who' | 'when' | 'why') => (event: React.ChangeEvent<HTMLInputElement>) => {
          const { value } = event.target;
          if (key !== 'who' || value)
            edit((d) => {
              d.levels.instructions[i]![key] = value;
            }, `word-${key}:${word.id}`);
        };
        const only = word.elements[0] ?? '';
        return (
          <Flex
            key={word.id}
            direction="column"
            gap={1.5}
            borderLeftWidth="3px"
            borderStyle="solid"
            borderColor="held"
            pl={2}
            data-word={word.id}
          >
            <Flex gap={1.5} align="end">
              <Box flex="1">
                <TextField label={t('levels.who')} value={word.who} maxLength={80} onChange={set('who')} />
              </Box>
              <Button
                look="quiet"
                aria-label={t('word.remove', { who: word.who })}
                onClick={() =>
                  edit((d) => {
                    d.levels.instructions.splice(i, 1);
                  })
                }
              >
                <Trash2 size={15} aria-hidden />
              </Button>
            </Flex>
            <PlanField hint={t('word.open')} path={`/levels/instructions/${i}/level`} optional />
            <PlanField hint={t('word.open')} path={`/levels/instructions/${i}/width`} optional />
            <Choice
              label={t('word.for')}
              value={word.elements.length > 1 ? '*' : only}
              options={[
                { value: '', label: t('word.all') },
                ...(word.elements.length > 1
                  ? [{ value: '*', label: t('word.some', { count: word.elements.length }) }]
                  : []),
                ...plan.elements.map((e) => ({ value: e.id, label: e.name })),
              ]}
              onChange={(value) =>
                value !== '*' &&
                edit((d) => {
                  d.levels.instructions[i]!.elements = value === '' ? [] : [value];
                })
              }
            />
            <TextField label={t('levels.when')} type="date" value={word.when} onChange={set('when')} />
            <TextField label={t('levels.why')} value={word.why} maxLength={400} onChange={set('why')} />
            {change && (
              <Box data-word-change>
                <Small>{t('word.changes')}</Small>
                <DifferenceLine change={change} currency={plan.prices.currency} />
              </Box>
            )}
          </Flex>
        );
      })}
      <Button onClick={add}>{t('word.add')}</Button>
    </Panel>
  );
}
