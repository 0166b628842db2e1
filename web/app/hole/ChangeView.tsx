/** Word from an inspector or an engineer: what is to be otherwise, what that comes to, and whether it is in the plan. */
import { Box, Flex } from '@chakra-ui/react';
import {
  CHANGE_WHATS,
  type ChangeWhat,
  type HoleView,
  type Ordered,
  parseQuantity,
  type RegisteredChange,
  type Role,
  withOrdered,
} from '@cimiento/core';
import { useEffect, useMemo, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Asker } from '../state/ask/asker.ts';
import type { AnswerOf } from '../state/ask/questions.ts';
import { recordOf } from '../state/records.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { momentText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { roleText } from '../ui/holdWords.ts';
import { dayThere, today } from '../ui/today.ts';
import { cautionTitle } from '../ui/words.ts';
import { AmountsLine } from './AmountsLine.tsx';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';
import { RoleField, WhoField } from './people.tsx';

const kindOf = (what: ChangeWhat) => (what === 'level' ? 'level' : 'size');

export function ChangeView({ view, at, asker }: { view: HoleView; at: string | null; asker: Asker }) {
  const { t } = useTranslation();
  const [adding, setAdding] = useState(at !== null);
  return (
    <Box display="grid" gap={2.5} px={3} pb={4} data-change-view>
      {adding ? (
        <Add view={view} at={at} asker={asker} onDone={() => setAdding(false)} />
      ) : (
        <Press look="main" onClick={() => setAdding(true)}>
          {t('change.add')}
        </Press>
      )}
      <Box fontSize="lg" fontWeight={600}>
        {t('change.register')}
      </Box>
      {view.register.length === 0 && <Box fontSize="md">{t('change.none')}</Box>}
      {view.register.toReversed().map((one) => (
        <Entry key={one.record.id} entry={one} view={view} />
      ))}
    </Box>
  );
}

function Add({
  view,
  at,
  asker,
  onDone,
}: {
  view: HoleView;
  at: string | null;
  asker: Asker;
  onDone: () => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const records = useDesk((desk) => desk.records);
  const [what, setWhat] = useState<ChangeWhat>('level');
  const [element, setElement] = useState(at ?? view.things[0]?.id ?? null);
  const [thing, setThing] = useState<string | null>(null);
  const [text, setText] = useState('');
  const [who, setWho] = useState('');
  const [role, setRole] = useState<Role>('inspector');
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [answer, setAnswer] = useState<AnswerOf<'ordered'> | null>(null);
  const neighbours = plan.ground.hazards.filter(({ kind }) => kind === 'footing');
  const kind = kindOf(what);
  const parsed = parseQuantity(text, kind, format.system, format.lang);
  const to = parsed.ok ? parsed.value : null;
  const ordered: Ordered | null = useMemo(
    () =>
      to === null
        ? null
        : {
            what,
            to,
            element: what === 'cutBack' || what === 'step' ? null : element,
            thing: what === 'cutBack' ? (thing ?? neighbours[0]?.id ?? null) : null,
            who: who.trim() || '-',
            why: why.trim(),
            when: today(plan.water.zone),
          },
    [what, to, element, thing, who, why, neighbours[0]?.id, plan.water.zone],
  );
  const asked = ordered && `${ordered.what}/${ordered.to}/${ordered.element}/${ordered.thing}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked is told by its text, not by who said it
  useEffect(() => {
    setAnswer(null);
    if (ordered)
      void asker.ask({ plan, records }, 'ordered', [ordered], { topic: 'ordered' }).then(setAnswer);
  }, [asked, plan, records, asker]);
  const log = () => {
    if (!ordered) return setProblem(t(`field.${parsed.ok ? 'empty' : parsed.code}`, { text }));
    if (who.trim() === '') return setProblem(t('hold.noWho'));
    const value = {
      word: crypto.randomUUID().slice(0, 36),
      what,
      thing: ordered.thing,
      from: answer?.from ?? null,
      to: ordered.to,
      who: who.trim(),
      role,
      why: why.trim(),
      amounts: answer ? answer.amounts.map(({ of, change }) => ({ of, change })) : [],
      cost: answer?.change.cost ?? null,
    };
    store.getState().deliver(recordOf(store.getState(), 'change', value, { element: ordered.element }));
    onDone();
  };
  return (
    <Box display="grid" gap={2.5} data-change-form>
      {what !== 'cutBack' && what !== 'step' && (
        <Label text={t('change.element')}>
          <Pick value={element ?? ''} name="element" onChange={(e) => setElement(e.target.value)}>
            {view.things.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Pick>
        </Label>
      )}
      <Label text={t('change.whatLabel')}>
        <Pick value={what} name="what" onChange={(e) => setWhat(e.target.value as ChangeWhat)}>
          {CHANGE_WHATS.map((one) => (
            <option key={one} value={one}>
              {t(`change.what.${one}`)}
            </option>
          ))}
        </Pick>
      </Label>
      {what === 'cutBack' && neighbours.length > 0 && (
        <Pick aria-label={t('change.element')} value={thing ?? ''} onChange={(e) => setThing(e.target.value)}>
          {neighbours.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Pick>
      )}
      <Label
        text={`${t('change.to')}${answer?.from != null ? ` (${t('change.now', { value: format.text(answer.from, kind) })})` : ''}`}
      >
        <Typed
          value={text}
          name="to"
          inputMode="decimal"
          maxLength={30}
          onChange={(e) => setText(e.target.value)}
        />
      </Label>
      {answer && (
        <Word data-comes-to="">
          {t('change.comes')}
          <AmountsLine amounts={answer.amounts} cost={answer.change.cost} currency={plan.prices.currency} />
          {answer.stops.map((stop) => (
            <Box key={stop.code} color="held" fontWeight={600}>
              {t('shot.moreStop', { what: cautionTitle(t, format, stop) })}
            </Box>
          ))}
        </Word>
      )}
      <WhoField value={who} onChange={setWho} />
      <RoleField label={t('hold.as')} value={role} onChange={setRole} />
      <Label text={t('change.why')}>
        <Typed value={why} name="why" maxLength={400} onChange={(e) => setWhy(e.target.value)} />
      </Label>
      {problem && <Word tone="stop">{problem}</Word>}
      <Press look="main" onClick={log} data-log-change>
        {t('change.log')}
      </Press>
      <Press look="quiet" onClick={onDone}>
        {t('inHole.cancel')}
      </Press>
    </Box>
  );
}

function Entry({
  entry: { record, amounts, state, why },
  view,
}: {
  entry: RegisteredChange;
  view: HoleView;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const currency = useDesk((desk) => desk.plan.prices.currency);
  const { value, element, at } = record;
  const { what, from, to, who, role, thing } = value;
  const kind = kindOf(what);
  const settle = (how: 'taken' | 'aside') => {
    if (how === 'taken') {
      const ordered = {
        what,
        to,
        thing,
        element,
        who,
        why: value.why,
        when: dayThere(at, store.getState().plan.water.zone),
      };
      store.getState().edit((draft) => {
        Object.assign(draft, withOrdered(store.getState().plan, ordered));
      });
      store.getState().settle();
    }
    store
      .getState()
      .deliver(recordOf(store.getState(), 'settled', { word: value.word, how, why: '' }, { element }));
  };
  return (
    <Word tone={state === 'open' ? 'note' : 'good'} data-change={value.word} data-state={state}>
      {element ? `${view.things.find(({ id }) => id === element)?.name ?? element}: ` : ''}
      {t(`change.what.${what}`)} {from === null ? '' : `${format.text(from, kind)} → `}
      {format.text(to, kind)}
      <Box fontSize="md" fontWeight={500}>
        {who}, {roleText(t, role)}, {momentText(format.lang, at)}
        {value.why && `: ${value.why}`}
      </Box>
      {(amounts.length > 0 || value.cost !== null) && (
        <AmountsLine amounts={amounts} cost={value.cost} currency={currency} />
      )}
      {state === 'open' ? (
        <Flex gap={2} mt={2}>
          <Press onClick={() => settle('taken')} data-take-in>
            {t('change.takeIn')}
          </Press>
          <Press look="quiet" onClick={() => settle('aside')}>
            {t('change.setAside')}
          </Press>
        </Flex>
      ) : (
        <Box fontSize="md">
          {t(`change.how.${state}`)}
          {why && `: ${why}`}
        </Box>
      )}
    </Word>
  );
}
