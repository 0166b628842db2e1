/** The bottom as it was found at formation, what to do with it, and when to trim it. */
import {
  bottomAnswer,
  bottomKeeps,
  FEELS,
  localAfter,
  minutesOf,
  type SoilKind,
  WETNESSES,
} from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useNight } from '../../../state/ask/whatif.ts';
import { useLog } from '../../../state/records.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { clockText } from '../../../ui/clock.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { Panel, Toggle } from '../../fields.tsx';

/** Soils that drink the water of fresh concrete when they are dry. */
const DRINKS: readonly SoilKind[] = ['sand', 'siltySand', 'gravel'];
const CLOCK = /^([01]?\d|2[0-3]):([0-5]\d)$/;

/** The time of day the night expected brings water onto a bottom; null when it brings none. */
function useUnderWater(id: string | null): string | null {
  const plan = useDesk((desk) => desk.plan);
  const answer = useNight(plan.water.storm && id !== null ? plan : null);
  if (!answer?.ok || id === null) return null;
  const first = answer.night.holes.find(({ elements }) => elements.includes(id))?.wet.first ?? null;
  return first === null ? null : localAfter(answer.night.start, first, plan.water.zone).slice(11);
}

export function BottomFound({ index }: { index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const { elements, facts } = useTakeoff();
  const info = elements[index];
  const under = useUnderWater(info?.live ? info.id : null);
  const [feel, setFeel] = useState<(typeof FEELS)[number]>('firm');
  const [wet, setWet] = useState<(typeof WETNESSES)[number]>('damp');
  const [frozen, setFrozen] = useState(false);
  const [asLogged, setAsLogged] = useState(true);
  const [cover, setCover] = useState('');
  if (!info?.live) return null;
  const found = facts.bottom.get(info.id) ?? null;
  const answer = found && bottomAnswer(found, info.softBottom);
  const keeps = found && info.bottomSoil ? bottomKeeps(info.bottomSoil, found.wet) : null;
  const ends = keeps !== null && keeps > 0 && Number.isFinite(keeps);
  // Minutes after midnight of the day it is covered; less than nought: the day before.
  const from = ends && CLOCK.test(cover.trim()) ? minutesOf(cover.trim()) - Math.round(60 * keeps) : null;
  return (
    <Panel fold="shut" title={t('proof.bottom')}>
      {answer && (
        <Small fontSize="sm" data-answer={answer}>
          {t(`proof.answer.${answer}`)}
        </Small>
      )}
      {keeps !== null && keeps > 0 && (
        <Small>
          {ends
            ? t('proof.keeps', { hours: format.text(keeps, 'hours', { decimals: 0 }) })
            : t('proof.keepsLong')}
        </Small>
      )}
      {under !== null && (
        <Small color="held" data-under-water>
          {t('proof.underWater', { time: under })}
        </Small>
      )}
      {found?.wet === 'dry' && info.bottomSoil && DRINKS.includes(info.bottomSoil) && (
        <Small data-dampen>{t('base.dampen')}</Small>
      )}
      {ends && (
        <TextField
          label={t('proof.cover')}
          value={cover}
          placeholder="09:00"
          maxLength={5}
          onChange={(event) => setCover(event.target.value)}
        />
      )}
      {from !== null && (
        <Small fontSize="sm" data-not-before>
          {t(from < 0 ? 'proof.notBeforeDay' : 'proof.notBefore', { time: clockText(from) })}
        </Small>
      )}
      <Choice
        label={t('proof.feel')}
        value={feel}
        options={FEELS.map((value) => ({ value, label: t(`proof.feels.${value}`) }))}
        onChange={setFeel}
      />
      <Choice
        label={t('proof.wetness')}
        value={wet}
        options={WETNESSES.map((value) => ({ value, label: t(`proof.wets.${value}`) }))}
        onChange={setWet}
      />
      <Toggle label={t('proof.frozen')} on={frozen} onChange={setFrozen} />
      <Toggle label={t('proof.asLogged')} on={asLogged} onChange={setAsLogged} />
      <Button onClick={() => log('bottom', { feel, wet, frozen, asLogged }, { element: info.id })}>
        {t('proof.logBottom')}
      </Button>
    </Panel>
  );
}
