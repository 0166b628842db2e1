/** Holds of a job, kind by kind; one of them with what it needs, and the visit that lets it go or refuses it. */

import { Box, Flex } from '@chakra-ui/react';
import {
  HELD_WORK,
  type Hold,
  type HoldKind,
  type HoleView,
  isOpen,
  nextName,
  ROLES,
  type Role,
  TICK_LISTS,
  type Tick,
  visitCounts,
} from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useJobId } from '../state/jobId.ts';
import { recordOf } from '../state/records.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { momentText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { holdName, needText, roleText } from '../ui/holdWords.ts';
import { handOn } from './answers.ts';
import { Finger } from './Finger.tsx';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';
import { RoleField, WhoField } from './people.tsx';
import { ReadyList } from './ReadyList.tsx';
import { useTicks } from './ticks.ts';
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
      {view.pours.map((pour) => (
        <ReadyList key={pour.id} view={view} pour={pour} />
      ))}
      {[...byKind(view.holds.filter(({ due }) => due))].map(([id, holds]) => {
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
      <Later view={view} />
      <AddHold view={view} />
      <SheetPress />
    </Box>
  );
}

/** What the work has not come to yet: counted, and named when it is asked. */
function Later({ view }: { view: HoleView }) {
  const { t } = useTranslation();
  const { go } = useWhere();
  const later = view.holds.filter(({ due }) => !due);
  if (later.length === 0) return null;
  return (
    <details>
      <summary style={{ minHeight: 48, fontSize: '1.125rem', paddingTop: 10 }} data-later={later.length}>
        {t('hold.later', { count: later.length })}
      </summary>
      <Box display="grid" gap={1.5} pt={1}>
        {later.map((hold) => (
          <Press
            key={`${hold.hold}/${hold.element}`}
            fontSize="md"
            data-hold={`${hold.hold}/${hold.element ?? ''}`}
            onClick={() => go({ doing: 'hold', hold: hold.hold, at: hold.element })}
          >
            {holdName(t, view, hold)}
          </Press>
        ))}
      </Box>
    </details>
  );
}

/** The sheet for whoever comes, handed on by the phone or opened. */
function SheetPress() {
  const { t } = useTranslation();
  const jobId = useJobId();
  const name = useDesk((desk) => desk.plan.name);
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const give = async () => {
    const answer = await fetch(`/jobs/${jobId}/inspection.pdf?zone=${encodeURIComponent(zone)}`).catch(
      () => null,
    );
    const title = `${name} – ${t('hold.sheet')}`;
    const file = answer?.ok
      ? new File([await answer.blob()], `${title}.pdf`, { type: 'application/pdf' })
      : undefined;
    await handOn({ title, text: title, ...(file && { file }) });
  };
  return (
    <Press onClick={() => void give()} data-inspection-sheet>
      {t('hold.sheet')} (PDF)
    </Press>
  );
}

/** One more that this job asks for: named, with whose eyes, before what, of what. */
function AddHold({ view }: { view: HoleView }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const [name, setName] = useState('');
  const [role, setRole] = useState<Role>('inspector');
  const [before, setBefore] = useState<Hold['before']>('cover');
  const [element, setElement] = useState('');
  const add = () => {
    edit((d) => {
      const id = nextName(
        'hold-',
        d.holds.own.map((one) => one.id),
      );
      d.holds.own.push({ id, name: name.trim(), role, before, elements: element === '' ? [] : [element] });
    });
    setName('');
  };
  return (
    <details>
      <summary style={{ minHeight: 48, fontSize: '1.125rem', fontWeight: 600, paddingTop: 10 }}>
        {t('hold.add')}
      </summary>
      <Box display="grid" gap={2} pt={1}>
        <Label text={t('hold.own')}>
          <Typed value={name} name="own" maxLength={80} onChange={(e) => setName(e.target.value)} />
        </Label>
        <RoleField label={t('hold.whose')} value={role} onChange={setRole} />
        <Label text={t('hold.beforeWhat')}>
          <Pick value={before} onChange={(e) => setBefore(e.target.value as Hold['before'])}>
            {HELD_WORK.map((one) => (
              <option key={one} value={one}>
                {t(`hold.before.${one}`)}
              </option>
            ))}
          </Pick>
        </Label>
        <Label text={t('change.element')}>
          <Pick value={element} onChange={(e) => setElement(e.target.value)}>
            <option value="">{t('hold.ofJob')}</option>
            {view.things.map(({ id, name: of }) => (
              <option key={id} value={id}>
                {of}
              </option>
            ))}
          </Pick>
        </Label>
        <Press disabled={name.trim() === ''} onClick={add} data-add-hold>
          {t('hold.add')}
        </Press>
      </Box>
    </details>
  );
}

/** Whose eyes a kind needs on this job: as usual, or as its specification says. */
function Whose({ hold }: { hold: Hold }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const by = useDesk((desk) => desk.plan.holds.by);
  if (hold.kind === 'own') return null;
  const kind = hold.kind;
  return (
    <Label text={t('hold.whose')}>
      <Pick
        value={by.find((one) => one.hold === kind)?.role ?? ''}
        onChange={(e) =>
          edit((d) => {
            const role = e.target.value as Role | 'none' | '';
            d.holds.by = [
              ...d.holds.by.filter((one) => one.hold !== kind),
              ...(role === '' ? [] : [{ hold: kind, role }]),
            ];
          })
        }
      >
        <option value="">{t('hold.usual', { role: roleText(t, hold.role) })}</option>
        {ROLES.map((one) => (
          <option key={one} value={one}>
            {roleText(t, one)}
          </option>
        ))}
        <option value="none">{t('hold.role.none')}</option>
      </Pick>
    </Label>
  );
}

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
            {t('hold.asked', { role: roleText(t, asked.value.role), when: momentText(lang, asked.at) })}
          </Box>
        )}
        {visit && (
          <Box fontWeight={500}>
            {t('hold.last', {
              verdict: t(`hold.verdict.${visit.value.verdict}`),
              who: visit.value.who,
              role: roleText(t, visit.value.role),
              when: momentText(lang, visit.at),
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
      {hold.kind !== 'own' && TICK_LISTS[hold.kind].length > 0 && isOpen(hold) && (
        <Ticks key={`${hold.hold}/${hold.element}`} hold={hold} kind={hold.kind} view={view} />
      )}
      {said && <Word tone="good">{said}</Word>}
      {here ? (
        <Visit hold={hold} wanting={wanting.length > 0} onDone={() => setHere(false)} />
      ) : (
        <>
          <Press look="main" onClick={() => setHere(true)} data-visit>
            {t('hold.visit')}
          </Press>
          {isOpen(hold) && <Press onClick={() => void ask()}>{t('hold.ask')}</Press>}
          <Whose hold={hold} />
        </>
      )}
    </Box>
  );
}

/** A list to go through before somebody is asked to look. */
function Ticks({ hold, kind, view }: { hold: Hold; kind: HoldKind; view: HoleView }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const list: readonly Tick[] = TICK_LISTS[kind];
  const logged = view.ticked.get(`${hold.hold}/${hold.element ?? ''}`) ?? [];
  const { done, changed, toggle } = useTicks(logged, list);
  const log = () =>
    store
      .getState()
      .deliver(
        recordOf(store.getState(), 'ticked', { hold: hold.hold, done: [...done] }, { element: hold.element }),
      );
  return (
    <Box display="grid" gap={1.5} data-ticks={kind}>
      {list.map((item) => (
        <Press
          key={item}
          justifyContent="flex-start"
          fontSize="md"
          aria-pressed={done.includes(item)}
          onClick={() => toggle(item)}
          data-tick={item}
        >
          {done.includes(item) ? '✓' : '○'} {t(`hold.tick.${item}`)}
        </Press>
      ))}
      {changed && (
        <Press look="main" onClick={log} data-log-ticks>
          {t('hold.logTicks')}
        </Press>
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
      <WhoField value={who} onChange={setWho} />
      <RoleField label={t('hold.as')} value={role} onChange={setRole} />
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
