/** Set-ups of a level or laser: read on a mark, checked back to it, with the receiver that reads for one. */
import { Box, Flex } from '@chakra-ui/react';
import { type HoleView, parseQuantity, type SetUp } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { recordOf } from '../state/records.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { useFormat } from '../ui/format.tsx';
import { Label, Press, Typed, Word } from './parts.tsx';
import { Receiver } from './Receiver.tsx';

export function LevelsView({ view, onDone }: { view: HoleView; onDone: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const datum = useDesk((desk) => desk.plan.datum);
  const [mark, setMark] = useState(datum.name || 'BM');
  const [level, setLevel] = useState(format.parts(datum.level, 'level').number);
  const [reading, setReading] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const log = () => {
    const [at, read] = [
      parseQuantity(level, 'level', format.system, format.lang),
      parseQuantity(reading, 'taped', format.system, format.lang),
    ];
    if (!at.ok) return setProblem(`${t('shot.markLevel')}: ${t(`field.${at.code}`, { text: level })}`);
    if (!read.ok) return setProblem(`${t('shot.backsight')}: ${t(`field.${read.code}`, { text: reading })}`);
    store.getState().deliver(
      recordOf(store.getState(), 'setup', {
        mark: mark.trim() || 'BM',
        level: at.value,
        backsight: read.value,
      }),
    );
    onDone();
  };
  return (
    <Box display="grid" gap={2.5} px={3} pb={4} data-levels-view>
      {view.setUps.toReversed().map((setUp) => (
        <One key={setUp.id} setUp={setUp} />
      ))}
      <Box fontSize="lg" fontWeight={600}>
        {t('shot.newSetup')}
      </Box>
      <Label text={t('shot.mark')}>
        <Typed value={mark} name="mark" maxLength={80} onChange={(e) => setMark(e.target.value)} />
      </Label>
      <Label text={t('shot.markLevel')}>
        <Typed value={level} name="level" inputMode="decimal" onChange={(e) => setLevel(e.target.value)} />
      </Label>
      <Label text={t('shot.backsight')}>
        <Typed
          value={reading}
          name="backsight"
          inputMode="decimal"
          onChange={(e) => setReading(e.target.value)}
        />
      </Label>
      {problem && <Word tone="stop">{problem}</Word>}
      <Press look="main" onClick={log} data-log-setup>
        {t('shot.useSetup')}
      </Press>
    </Box>
  );
}

function One({ setUp }: { setUp: SetUp }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const own = useDesk((desk) => desk.records).find(({ id }) => id === setUp.id);
  const [reading, setReading] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const backsight = own?.kind === 'setup' && own.value ? own.value.backsight : 0;
  const size = (v: number) => format.text(Math.abs(v), 'size');
  const check = () => {
    const read = parseQuantity(reading, 'taped', format.system, format.lang);
    if (!read.ok) return setSaid(t(`field.${read.code}`, { text: reading }));
    store
      .getState()
      .deliver(recordOf(store.getState(), 'checkShot', { setup: setUp.id, reading: read.value }));
    setReading('');
    setSaid(null);
  };
  const bad = setUp.doubted.length > 0;
  return (
    <Word tone={bad ? 'stop' : 'note'} data-setup={setUp.id} data-doubted={String(setUp.doubted.length)}>
      {setUp.mark} · {t('shot.height', { level: format.text(setUp.height, 'level') })}
      <Box fontSize="md" fontWeight={500}>
        {setUp.off === null
          ? t('shot.checkNone')
          : t(bad ? 'shot.checkBad' : 'shot.checkGood', { off: size(setUp.off) })}
        {bad && ` ${t('shot.doubted', { count: setUp.doubted.length })}`}
      </Box>
      <Label text={t('shot.check', { mark: setUp.mark })}>
        <Flex gap={2}>
          <Typed
            value={reading}
            name="check"
            inputMode="decimal"
            onChange={(e) => setReading(e.target.value)}
          />
          <Press w="auto" flex="none" onClick={check} data-log-check>
            {t('shot.ok')}
          </Press>
        </Flex>
      </Label>
      <Receiver
        place={setUp.id}
        expected={backsight}
        onReading={(read) => setReading(format.parts(read, 'taped').number)}
      />
      {said && <Box fontSize="md">{said}</Box>}
    </Word>
  );
}
