/** Whether people dig it, and how long that takes. */
import type { Element } from '@cimiento/core';
import { useTakeoff } from '../../desk/takeoff.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useFormat } from '../../parts/format.tsx';
import { Fact, Toggle } from '../fields.tsx';
import { type Own, usePut } from './own.ts';

export function HandField(own: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const work = useTakeoff().work.hand.elements.find((one) => one.id === own.element.id);
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
          note={[t(work.staged ? 'byHand.staged' : 'byHand.note', { loose }), barrow ?? '']
            .filter(Boolean)
            .join(' · ')}
          value={format.text(work.hours, 'hours')}
        />
      )}
    </>
  );
}
