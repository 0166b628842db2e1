/** A drain: where it discharges, its fall, its pipe and the stone round it; a stone footing: pipe and beam. */

import { Box } from '@chakra-ui/react';
import { fallOf, OUTLETS, type Strip, startOf, stoneFootingLifts } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useConcreteInstead } from '../../state/ask/whatif.ts';
import { useDesk } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { DifferenceLine } from '../../ui/DifferenceLine.tsx';
import { useFormat } from '../../ui/format.tsx';
import { usualPlate } from '../../ui/plant.ts';
import { Choice } from '../../ui/TextField.tsx';
import { fallText } from '../../ui/words.ts';
import { Fact, PlanField, Toggle } from '../fields.tsx';
import { type Own, pathOf, usePut } from './own.ts';

export function DrainFields(own: Own<Strip>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const { element } = own;
  const path = pathOf(own);
  const { outfall } = element;
  const { elements, work } = useTakeoff();
  const info = elements[own.index];
  const scraped = work.hand.scraped.find((one) => one.id === element.id);
  return (
    <>
      <Toggle
        label={t('drain.has')}
        on={outfall !== null}
        onChange={(on) =>
          put((e) => {
            // As low as it is dug now: it stays where it is until somebody says otherwise.
            const level = Math.round((info?.dug ?? 0) * 1000) / 1000 + (e.pipe?.bedding ?? 0);
            e.outfall = on ? { level, head: null, where: 'daylight', silt: 0 } : null;
          })
        }
      />
      {outfall && (
        <>
          <Choice
            label={t('drain.where')}
            value={outfall.where}
            options={OUTLETS.map((value) => ({ value, label: t(`drain.outlets.${value}`) }))}
            onChange={(where) =>
              put((e) => {
                if (e.outfall) e.outfall.where = where;
              })
            }
          />
          <PlanField path={`${path}/outfall/level`} />
          <PlanField hint={t('drain.headHint')} path={`${path}/outfall/head`} optional />
          <PlanField hint={t('drain.siltHint')} path={`${path}/outfall/silt`} />
        </>
      )}
      {scraped && (
        <Fact
          label={t('drain.scrape')}
          note={t('drain.scrapeHours', { hours: format.text(scraped.hours, 'hours') })}
          value={format.text(scraped.volume, 'volume')}
        />
      )}
      {outfall?.head == null ? (
        <PlanField hint={t('dig.fallHint')} path={`${path}/fall`} />
      ) : (
        <Fact label={t('drain.fallIs')} value={fallText(t, format, fallOf(element))} />
      )}
      <Pipe {...own} />
    </>
  );
}

/** The pipe in the stone, and cloth round it. */
function Pipe(own: Own<Strip>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const info = useTakeoff().elements[own.index];
  const { pipe, wrapped } = own.element;
  const path = pathOf(own);
  return (
    <>
      <Toggle
        label={t('drain.hasPipe')}
        on={pipe !== null}
        onChange={(on) =>
          put((e) => {
            e.pipe = on
              ? {
                  diameter: startOf('/elements/*/pipe/diameter', system),
                  bedding: startOf('/elements/*/pipe/bedding', system),
                }
              : null;
          })
        }
      />
      {pipe && (
        <>
          <PlanField path={`${path}/pipe/diameter`} />
          <PlanField path={`${path}/pipe/bedding`} />
        </>
      )}
      <Toggle
        label={t('drain.wrapped')}
        on={wrapped}
        onChange={(on) =>
          put((e) => {
            e.wrapped = on;
          })
        }
      />
      {info?.live && <Fact label={t('drain.stone')} value={format.text(info.stone, 'volume')} />}
      {info?.live && info.wrap > 0 && (
        <Fact label={t('drain.cloth')} value={format.text(info.wrap, 'area')} />
      )}
    </>
  );
}

/** A concrete strip on the same line, beside it. */
function InConcrete({ index }: { index: number }) {
  const { t } = useTranslation();
  const plan = useShownPlan();
  const change = useConcreteInstead(plan, index);
  return (
    <Box data-in-concrete>
      <strong>{t('stoneFooting.inConcrete')}</strong>{' '}
      {change ? (
        <DifferenceLine change={change} currency={plan.prices.currency} />
      ) : (
        <Small>{t('ways.working')}</Small>
      )}
    </Box>
  );
}

export function StoneFields(own: Own<Strip>) {
  const { t } = useTranslation();
  const format = useFormat();
  const lifts = stoneFootingLifts(own.element.thickness);
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const path = pathOf(own);
  return (
    <>
      <Toggle
        label={t('stoneFooting.beam')}
        on={own.element.beam !== null}
        onChange={(on) =>
          put((e) => {
            e.beam = on
              ? {
                  width: startOf('/elements/*/beam/width', system),
                  height: startOf('/elements/*/beam/height', system),
                }
              : null;
          })
        }
      />
      {own.element.beam && (
        <>
          <PlanField path={`${path}/beam/width`} />
          <PlanField path={`${path}/beam/height`} />
        </>
      )}
      <PlanField hint={t('dig.fallHint')} path={`${path}/fall`} />
      <Pipe {...own} />
      <Fact
        label={t('base.lifts')}
        note={t('stoneFooting.lifts', { passes: lifts.passes.join('–'), mass: usualPlate(format) })}
        value={`${lifts.count} × ${format.text(lifts.thickness, 'size')}`}
      />
      <InConcrete index={own.index} />
      <Small>{t('stoneFooting.note')}</Small>
    </>
  );
}
