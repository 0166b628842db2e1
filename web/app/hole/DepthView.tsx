/** A depth changed in the hole: the underside as it was decided there, by whom and why. */
import { Box } from '@chakra-ui/react';
import { FIELDS, type HoleThing, outOfRange, parseQuantity, withOrdered } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDeskStore } from '../state/store.ts';
import { useFormat } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import { Label, Press, Typed, Word } from './parts.tsx';
import { WhoField } from './people.tsx';

const RANGE = FIELDS['/levels/instructions/*/level'];

export function DepthView({ thing, onDone }: { thing: HoleThing; onDone: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const [text, setText] = useState(format.parts(thing.underside, 'level').number);
  const [who, setWho] = useState('');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const put = () => {
    const parsed = parseQuantity(text, 'level', format.system, format.lang);
    if (!parsed.ok) return setProblem(t(`field.${parsed.code}`, { text }));
    if (outOfRange(RANGE, parsed.value))
      return setProblem(
        t('field.range', { min: format.text(RANGE.min, 'level'), max: format.text(RANGE.max, 'level') }),
      );
    if (who.trim() === '') return setProblem(t('hold.noWho'));
    const { edit, settle, plan } = store.getState();
    const ordered = {
      what: 'level',
      to: parsed.value,
      thing: null,
      element: thing.id,
      who: who.trim(),
      why: why.trim(),
      when: today(plan.water.zone),
    } as const;
    edit((draft) => {
      Object.assign(draft, withOrdered(plan, ordered));
    });
    settle();
    onDone();
  };
  return (
    <Box display="grid" gap={2.5} px={3} pb={4} data-depth-view>
      <Box fontFamily="figure" fontWeight={600} fontSize="3xl">
        {thing.name}
      </Box>
      <Label text={t('inHole.depthUnderside')}>
        <Typed value={text} name="underside" inputMode="decimal" onChange={(e) => setText(e.target.value)} />
      </Label>
      <WhoField value={who} onChange={setWho} />
      <Label text={t('change.why')}>
        <Typed value={why} name="why" maxLength={400} onChange={(e) => setWhy(e.target.value)} />
      </Label>
      {problem && <Word tone="stop">{problem}</Word>}
      <Press look="main" onClick={put} data-put-depth>
        {t('change.takeIn')}
      </Press>
    </Box>
  );
}
