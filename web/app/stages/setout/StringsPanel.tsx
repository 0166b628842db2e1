/** How boards and strings are put up, and how far a tape may be off. */
import { TAPE_AT } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useFormat } from '../../ui/format.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';
import { useSetout } from './useSetout.ts';

export function StringsPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const { boards } = useSetout();
  const levels = new Set(boards.lines.map((line) => line.level.toFixed(4)));
  return (
    <Panel fold="shut" title={t('boards.panel')} aside={t('boards.count', { count: boards.lines.length })}>
      <PlanField hint={t('boards.offsetHint')} path="/setout/offset" />
      <PlanField path="/setout/tension" />
      <PlanField path="/setout/weight" />
      <PlanField path="/setout/tolerance" />
      <PlanField
        hint={t('boards.temperatureHint', { at: format.text(TAPE_AT, 'temperature', { decimals: 0 }) })}
        path="/setout/temperature"
        optional
      />
      {boards.crossings.length > 0 && (
        <Fact
          label={t('boards.crossings', { count: boards.crossings.length })}
          note={t('boards.levels', { count: levels.size })}
          value={format.text(Math.min(...boards.crossings.map((c) => c.apart)), 'size')}
        />
      )}
    </Panel>
  );
}
