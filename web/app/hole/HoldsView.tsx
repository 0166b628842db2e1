/** Holds of a job, kind by kind; one of them with what it needs, and the visit that lets it go or refuses it. */
import { Box, Flex } from '@chakra-ui/react';
import { type Hold, type HoleView, isOpen, ROLES, type Role, visitCounts } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { recordOf } from '../state/records.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { useFormat } from '../ui/format.tsx';
import { handOn } from './answers.ts';
import { Finger } from './Finger.tsx';
import { holdName, momentText, needText, roleText } from './holdWords.ts';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';
import { useWhere } from './where.ts';

/** Kinds in the order of the work, each with its holds. */
function byKind(holds: readonly Hold[]): Map<string, Hold[]> {
  const out = new Map<string, Hold[]>();
  for (const hold of holds) out.set(hold.hold, [...(out.get(hold.hold) ?? []), hold]);
  return out;
}

export function HoldsView({ view }: { view: HoleView }) {
  const { t } = useTranslation();
  const { go } = useWhere();
  return (
    <Box display="grid" gap={2} px={3} pb={4} data-holds>
      {view.pours.map(({ id, name, kind, holds }) => (
        <Word key={id} tone={holds.length > 0 ? 'stop' : 'good'} data-pour={id}>
          {holds.length > 0
            ? t('hold.pourHeld', {
                pour: name ?? t(`pours.kind.${(kind ?? 'footings') as 'footings'}`),
                what: listText(holds.map((hold) => holdName(t, view, hold))),
              })
            : t('hold.pourFree', { pour: name ?? t(`pours.kind.${(kind ?? 'footings') as 'footings'}`) })}
        </Word>
      ))}
      {[...byKind(view.holds)].map(([id, holds]) => {
        const open = holds.filter(isOpen);
        const kind = holds[0]!.kind === 'own' ? holds[0]!.name : t(`hold.kind.${holds[0]!.kind as 'bottom'}`);
        return (
          <details key={id} open={open.some(({ state }) => state === 'refused' || state === 'asked')}>
            <summary
              style={{ minHeight: 48, fontSize: '1.125rem', fontWeight: 600, paddingTop: 10 }}
              data-kind={id}
            >
              {open.length > 0
                ? t('hold.all', { kind, open: open.length, count: holds.length })
                : t('hold.allDone', { kind, count: holds.length })}
            </summary>
            <Box display="grid" gap={1.5} pt={1}>
              {holds.map((hold) => (
                <Press
                  key={hold.element ?? ''}
                  justifyContent="space-between"
                  data-hold={`${hold.hold}/${hold.element ?? ''}`}
                  data-state={hold.state}
                  look={hold.state === 'refused' ? 'held' : 'plain'}
                  onClick={() => go({ doing: 'hold', hold: hold.hold, at: hold.element })}
                >
                  <span>{holdName(t, view, hold)}</span>
                  <Box as="span" fontWeight={500} fontSize="md">
                    {t(`hold.state.${hold.state}`)}
                  </Box>
                </Press>
              ))}
            </Box>
          </details>
        );
      })}
    </Box>
  );
}

/** So many are named; the rest are counted. */
const NAMED = 4;
const listText = (names: readonly string[]) =>
  names.length <= NAMED ? names.join(', ') : `${names.slice(0, NAMED).join(', ')} +${names.length - NAMED}`;

export function HoldView({ view, hold }: { view: HoleView; hold: Hold }) {
  const { t } = useTranslation();
  const { lang } = useFormat();
  const store = useDeskStore();
  const jobName = useDesk((desk) => desk.plan.name);
  const [here, setHere] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const name = holdName(t, view, hold);
  const wanting = hold.needs.filter(({ met }) => !met);
  const ask = async () => {
    const text = t('hold.askText', {
      job: jobName,
      what: name,
      before: t(`hold.before.${hold.before}`),
      needs: hold.needs.map((need) => needText(t, need)).join(' · '),
    });
    const record = recordOf(
      store.getState(),
      'asked',
      { hold: hold.hold, role: hold.role, when: '' },
      { element: hold.element },
    );
    store.getState().deliver(record);
    const how = await handOn({ title: name, text });
    setSaid(how === 'left' ? null : text);
  };
  const { visit, asked } = hold;
  return (
    <Box display="grid" gap={2} px={3} pb={4} data-hold-view={hold.hold} data-state={hold.state}>
      <Box fontFamily="figure" fontWeight={600} fontSize="3xl" lineHeight={1.1}>
        {name}
      </Box>
      <Word tone={hold.state === 'refused' ? 'stop' : isOpen(hold) ? 'note' : 'good'}>
        {t(`hold.state.${hold.state}`)} · {t('hold.beforeWhat')} {t(`hold.before.${hold.before}`)} ·{' '}
        {roleText(t, hold.role)}
        {asked && (
          <Box fontWeight={500}>
            {t('hold.asked', { role: roleText(t, asked.value.role), when: momentText(asked.at, lang) })}
          </Box>
        )}
        {visit && (
          <Box fontWeight={500}>
            {t('hold.last', {
              verdict: t(`hold.verdict.${visit.value.verdict}`),
              who: visit.value.who,
              role: roleText(t, visit.value.role),
              when: momentText(visit.at, lang),
            })}
            {visit.value.what && `: ${visit.value.what}`}
          </Box>
        )}
      </Word>
      {hold.strict && <Word>{t('hold.only', { role: roleText(t, hold.role) })}</Word>}
      <Box as="ul" fontSize="lg" lineHeight={1.5} listStyleType="none">
        {hold.needs.map((need) => (
          <li key={need.code} data-need={need.code} data-met={need.met}>
            {need.met ? '✓' : '✗'} {needText(t, need)}
          </li>
        ))}
      </Box>
      {said && <Word tone="good">{said}</Word>}
      {here ? (
        <Visit hold={hold} wanting={wanting.length > 0} onDone={() => setHere(false)} />
      ) : (
        <>
          <Press look="main" onClick={() => setHere(true)} data-visit>
            {t('hold.visit')}
          </Press>
          {isOpen(hold) && <Press onClick={() => void ask()}>{t('hold.ask')}</Press>}
        </>
      )}
    </Box>
  );
}

function Visit({ hold, wanting, onDone }: { hold: Hold; wanting: boolean; onDone: () => void }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const [who, setWho] = useState('');
  const [role, setRole] = useState<Role>(hold.role);
  const [what, setWhat] = useState('');
  const [finger, setFinger] = useState('');
  const [verdict, setVerdict] = useState<'released' | 'refused' | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const needsReason = verdict === 'released' && (wanting || role !== hold.role);
  const sign = () => {
    if (verdict === null) return;
    if (who.trim() === '') return setProblem(t('hold.noWho'));
    if (verdict === 'refused' && what.trim() === '') return setProblem(t('hold.noWork'));
    const counts = visitCounts(hold, { verdict, role, what });
    if (counts === 'notTheirs') return setProblem(t('hold.notTheirs', { role: roleText(t, hold.role) }));
    if (counts === 'noReason') return setProblem(t('hold.noReason'));
    store
      .getState()
      .deliver(
        recordOf(
          store.getState(),
          'visit',
          { hold: hold.hold, verdict, who: who.trim(), role, what: what.trim(), finger },
          { element: hold.element },
        ),
      );
    onDone();
  };
  return (
    <Box display="grid" gap={2.5} data-visit-form>
      <Label text={t('hold.who')}>
        <Typed
          value={who}
          maxLength={80}
          autoComplete="name"
          name="who"
          onChange={(e) => setWho(e.target.value)}
        />
      </Label>
      <Label text={t('hold.as')}>
        <Pick value={role} name="role" onChange={(e) => setRole(e.target.value as Role)}>
          {ROLES.map((one) => (
            <option key={one} value={one}>
              {roleText(t, one)}
            </option>
          ))}
        </Pick>
      </Label>
      <Flex gap={2}>
        <Press aria-pressed={verdict === 'released'} onClick={() => setVerdict('released')}>
          {t('hold.release')}
        </Press>
        <Press look="held" aria-pressed={verdict === 'refused'} onClick={() => setVerdict('refused')}>
          {t('hold.refuse')}
        </Press>
      </Flex>
      {(verdict === 'refused' || needsReason) && (
        <Label text={t(verdict === 'refused' ? 'hold.whatToDo' : 'hold.whyAllTheSame')}>
          <Typed value={what} maxLength={400} name="what" onChange={(e) => setWhat(e.target.value)} />
        </Label>
      )}
      <Finger value="" onSigned={setFinger} />
      {problem && (
        <Word tone="stop" data-visit-problem="">
          {problem}
        </Word>
      )}
      <Press look="main" disabled={verdict === null} onClick={sign} data-sign>
        {t('hold.sign')}
      </Press>
      <Press look="quiet" onClick={onDone}>
        {t('inHole.cancel')}
      </Press>
    </Box>
  );
}
