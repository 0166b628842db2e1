/** The bottom as it was found at formation, what to do with it, and when to trim it. */
import { bottomAnswer, bottomKeeps, FEELS, minutesOf, type SoilKind, WETNESSES } from '@cimiento/core';
import { useState } from 'react';
import { useLog } from '../../../desk/records.ts';
import { useTakeoff } from '../../../desk/takeoff.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { clockText } from '../../../parts/clock.ts';
import { Button, Small } from '../../../parts/controls.tsx';
import { useFormat } from '../../../parts/format.tsx';
import { Choice, TextField } from '../../../parts/TextField.tsx';
import { Panel, Toggle } from '../../fields.tsx';

/** Soils that drink the water of fresh concrete when they are dry. */
const DRINKS: readonly SoilKind[] = ['sand', 'siltySand', 'gravel'];
const CLOCK = /^([01]?\d|2[0-3]):([0-5]\d)$/;

export function BottomFound({ index }: { index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const { elements, facts } = useTakeoff();
  const info = elements[index];
  const [feel, setFeel] = useState<(typeof FEELS)[number]>('firm');
  const [wet, setWet] = useState<(typeof WETNESSES)[number]>('damp');
  const [frozen, setFrozen] = useState(false);
  const [asLogged, setAsLogged] = useState(true);
  const [cover, setCover] = useState('');
  if (!info?.live) return null;
  const found = facts.bottoms.get(info.id) ?? null;
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
