/** The wall on a strip, the column on a pad: how high, of what, and what that takes. */
import {
  CELL_FILLS,
  cementOf,
  type Element,
  FORMS,
  FREEBOARD,
  floodLevel,
  makesOf,
  newRising,
  type Plan,
  RISING_MAKES,
  RISING_TOPS,
  risesOf,
  startOf,
} from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, PlanField, Toggle } from '../fields.tsx';
import { type Own, pathOf, usePut } from './own.ts';

/** What its top can be told by in this job. */
const topsOf = (plan: Plan, now: string) =>
  RISING_TOPS.filter(
    (top) =>
      top === now ||
      (top === 'flood' ? floodLevel(plan) !== null : top !== 'floor' || plan.levels.floors.length > 0),
  );

export function RisingFields({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const top = useTakeoff().elements[index]?.top ?? 0;
  const put = usePut({ element, index });
  const form = FORMS[element.kind] === 'pad' ? 'pad' : 'strip';
  const { rising } = element;
  const path = `${pathOf({ index })}/rising`;
  const start = () => newRising(store.getState().plan);
  const change = (to: (own: NonNullable<Element['rising']>) => void) =>
    put((e) => {
      if (e.rising) to(e.rising);
    });
  return (
    <>
      <Toggle
        label={t(`rising.has.${form}`)}
        on={rising !== null}
        onChange={(on) =>
          put((e) => {
            e.rising = on ? start() : null;
          })
        }
      />
      {rising && (
        <>
          <PlanField label={t('fields.thickness')} path={`${path}/thickness`} />
          {form === 'pad' && <PlanField hint={t('rising.longHint')} path={`${path}/long`} optional />}
          <Choice
            label={t('rising.topIs')}
            value={rising.top}
            options={topsOf(plan, rising.top).map((value) => ({ value, label: t(`rising.tops.${value}`) }))}
            onChange={(value) =>
              change((own) => {
                own.top = value;
                // What tells it is never left open: it starts from where the wall stands.
                if (value === 'height') own.height ??= newHeight(plan);
                if (value === 'level') own.level ??= Math.round((top + newHeight(plan)) * 100) / 100;
              })
            }
          />
          {rising.top === 'height' && <PlanField path={`${path}/height`} />}
          {rising.top === 'level' && <PlanField path={`${path}/level`} />}
          {rising.top === 'floor' && <PlanField path={`${path}/over`} placeholder={0} optional />}
          {rising.top === 'flood' && (
            <PlanField path={`${path}/over`} placeholder={plan.water.freeboard ?? FREEBOARD} optional />
          )}
          <Choice
            label={t('rising.made')}
            value={rising.made}
            options={RISING_MAKES.map((value) => ({ value, label: t(`rising.makes.${value}`) }))}
            onChange={(value) =>
              change((own) => {
                own.made = value;
              })
            }
          />
          {rising.made === 'cast' ? (
            <PlanField hint={t('rising.riseHint')} path={`${path}/rise`} optional />
          ) : (
            <>
              <PlanField path={`${path}/units/length`} />
              <PlanField path={`${path}/units/height`} />
              <PlanField path={`${path}/units/joint`} />
              <PlanField path={`${path}/units/cells`} />
              <Choice
                label={t('rising.fill')}
                value={rising.units.fill}
                options={CELL_FILLS.map((value) => ({ value, label: t(`rising.fills.${value}`) }))}
                onChange={(value) =>
                  change((own) => {
                    own.units.fill = value;
                  })
                }
              />
            </>
          )}
          <PlanField path={`${path}/beam`} optional />
          <Takes index={index} />
        </>
      )}
    </>
  );
}

const newHeight = (plan: Plan) => startOf('/elements/*/rising/height', plan.system);

/** What it takes as it is made, and what it would take made otherwise. */
function Takes({ index }: { index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const info = useTakeoff().elements[index];
  const own = info?.element.rising;
  if (!info?.rising || !own) return null;
  const { top, bottom, volume } = info.rising;
  if (top === null || volume === null) return <Small data-rising="open">{t('rising.open')}</Small>;
  const beam = info.casts.find(({ stage }) => stage === 'beam')?.volume ?? 0;
  const high = top - bottom - (own.beam ?? 0);
  const { concrete, laid, stone, stoneMortar } = makesOf(own, volume - beam, high);
  const rises = risesOf(bottom, top - (own.beam ?? 0), own.rise);
  const say = (value: number) => format.text(value, 'volume', { decimals: 2 });
  const units = Math.round(laid.units);
  const takes = {
    cast: [
      t('rising.casts', { volume: say(concrete) }),
      ...(rises.length > 1
        ? [
            t('rising.inRises', {
              count: rises.length,
              each: format.text(rises[0]!.top - rises[0]!.bottom, 'size'),
            }),
          ]
        : []),
    ],
    laid: [
      t('rising.units', { count: units, bought: format.text(laid.bought, 'count') }),
      t('rising.mortar', { volume: say(laid.mortar) }),
      t('rising.courses', { count: format.text(laid.courses, 'number', { decimals: 1 }) }),
      ...(laid.fill === 'none'
        ? []
        : [t('rising.filled', { volume: say(laid.cells), fill: t(`rising.fills.${laid.fill}`) })]),
      ...(laid.cement > 0
        ? [t('rising.cement', { mass: format.text(laid.cement, 'weighing', { decimals: 0 }) })]
        : []),
    ],
    stone: [t('rising.stone', { volume: say(stone) }), t('rising.mortar', { volume: say(stoneMortar) })],
  };
  return (
    <>
      <Small data-rising="takes">
        {[
          t('rising.topAt', {
            level: format.text(top, 'level'),
            height: format.text(top - bottom, 'size'),
          }),
          ...takes[own.made],
        ].join(' · ')}
      </Small>
      <details>
        <summary>{t('rising.makesTitle')}</summary>
        <Fact label={t('rising.ofConcrete')} value={say(concrete)} />
        <Fact
          label={t('rising.ofUnits')}
          note={takes.laid.slice(1).join(' · ')}
          value={format.text(laid.bought, 'count')}
        />
        <Fact
          label={t('rising.ofCells')}
          note={t('rising.cellsOf', {
            cement: format.text(cementOf(laid.cells), 'weighing', { decimals: 0 }),
          })}
          value={say(laid.cells)}
        />
        <Fact label={t('rising.ofStone')} note={takes.stone[1] ?? ''} value={say(stone)} />
      </details>
    </>
  );
}
