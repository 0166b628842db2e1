/** Whether people dig it, and how long that takes. */

import { type Element, elementName, type HandDug } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { pourName } from '../../ui/pourName.ts';
import { Fact, PlanField, Toggle } from '../fields.tsx';
import { NewDay } from './NewDay.tsx';
import { type Own, usePut } from './own.ts';

export function HandField(own: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const { hand } = useTakeoff().work;
  const work = hand.elements.find((one) => one.id === own.element.id);
  const loose = work ? format.text(work.loose, 'volume') : '';
  const barrow =
    work?.barrow &&
    t('byHand.barrow', {
      count: work.barrow.trips,
      distance: format.text(work.barrow.distance, 'length', { decimals: 0 }),
    });
  return (
    <>
      <Toggle
        label={t('byHand.dug')}
        on={own.element.hand}
        onChange={(on) =>
          put((e) => {
            e.hand = on;
          })
        }
      />
      {work && (
        <Fact
          label={t('byHand.hours')}
          note={[
            t('byHand.note', {
              loose,
              rate: format.text(hand.rate, 'volume'),
              from: t(`origin.${hand.from}`),
            }),
            work.staged ? t('byHand.staged') : '',
            barrow ?? '',
          ]
            .filter(Boolean)
            .join(' · ')}
          value={format.text(work.hours, 'hours')}
        />
      )}
      {work && <Blocks work={work} />}
      {own.element.hand && <HandLog element={own.element.id} />}
    </>
  );
}

/** What waits while people dig there: machines keep off, and what is cast with it. */
function Blocks({ work: { blocks, pours } }: { work: HandDug }) {
  const { t } = useTranslation();
  const plan = useShownPlan();
  const names = blocks.map((id) => elementName(plan, id));
  const waits = pours.map((pour) => pourName(t, pour));
  if (names.length === 0 && waits.length === 0) return null;
  return (
    <Small data-blocks>
      {[
        names.length > 0 ? t('byHand.blocks', { names: names.join(', ') }) : '',
        waits.length > 0 ? t('byHand.waits', { names: waits.join(', ') }) : '',
      ]
        .filter(Boolean)
        .join(' ')}
    </Small>
  );
}

/** Their own pace: typed, or from what they log. */
function HandLog({ element }: { element: string }) {
  const { t } = useTranslation();
  const { hand } = useTakeoff().work;
  const log = useLog();
  return (
    <>
      <PlanField hint={t('byHand.rateHint')} path="/dig/handRate" placeholder={hand.rate} optional />
      <NewDay
        add={t('byHand.add')}
        what={t('byHand.loose')}
        ranges={['handLoose', 'handHours']}
        onLogged={(volume, hours) => log('handDug', { volume, hours }, { element })}
      />
    </>
  );
}
