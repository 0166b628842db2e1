/** How thick and how many passes: the stone bed in lifts. */
import { COMPACTOR_IDS } from '@cimiento/core';
import { useDesk, useDeskStore } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Choice, TextField } from '../../parts/TextField.tsx';
import { compactorText } from '../../parts/words.ts';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';

export function BasePanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { bed } = useDesk((desk) => desk.plan);
  const { lifts, stone } = useTakeoff();
  const { edit } = store.getState();
  const numbers = ['thickness', 'topSize', 'density', 'looseFactor'] as const;
  return (
    <Panel title={t('base.title')}>
      <Toggle
        label={t('base.has')}
        on={bed !== null}
        onChange={(on) =>
          edit((d) => {
            d.bed = on
              ? {
                  name: t('base.stone'),
                  thickness: 0.15,
                  density: 2000,
                  looseFactor: 1.2,
                  topSize: 0.031,
                  compactor: 'plateMedium',
                  maxLift: null,
                }
              : null;
          })
        }
      />
      {bed === null && <Small fontSize="sm">{t('base.none')}</Small>}
      {bed && (
        <>
          <TextField
            label={t('base.name')}
            value={bed.name}
            maxLength={80}
            onChange={(event) =>
              edit((d) => {
                d.bed!.name = event.target.value;
              }, 'stone-name')
            }
          />
          {numbers.map((key) => (
            <PlanField key={key} label={t(`base.${key}`)} path={`/bed/${key}`} />
          ))}
          <Choice
            label={t('base.compactor')}
            value={bed.compactor}
            options={COMPACTOR_IDS.map((value) => ({ value, label: compactorText(t, value) }))}
            onChange={(value) =>
              edit((d) => {
                d.bed!.compactor = value;
              })
            }
          />
          <PlanField hint={t('base.maxLiftHint')} path="/bed/maxLift" optional />
          {lifts && (
            <>
              <Fact
                label={t('base.lifts')}
                value={`${lifts.count} × ${format.text(lifts.thickness, 'size')}`}
              />
              <Fact label={t('base.spread')} value={format.text(lifts.loose, 'size')} />
              <Fact
                label={t('base.passes')}
                note={t('base.trial')}
                value={`${lifts.passes[0]} – ${lifts.passes[1]} – ${lifts.passes[2]}`}
              />
              <Fact label={t('base.volume')} value={format.text(stone.volume, 'volume')} />
              <Fact label={t('base.mass')} value={format.text(stone.mass, 'mass')} />
            </>
          )}
        </>
      )}
    </Panel>
  );
}
