/** How wide and steep: the numbers of the thing picked. */
import { Stack } from '@chakra-ui/react';
import { type Element, FORMS, SUPPORTS } from '@cimiento/core';
import { Suspense } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { bottomText } from '../../ui/words.ts';
import { Fact, Panel, PlanField } from '../fields.tsx';
import { KindFields } from './kindFields.tsx';
import { isNarrow, type Own, usePut } from './own.ts';

const HandField = later(() => import('./HandField.tsx'), 'HandField');
const More = later(() => import('./panels.ts'), 'More');

export function DigPanel() {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const index = plan.elements.findIndex((e) => e.id === picked);
  const element = plan.elements[index];
  return element ? (
    <Numbers element={element} index={index} />
  ) : (
    <Small fontSize="sm" pb={3}>
      {t('dig.pickOne')}
    </Small>
  );
}

function Numbers({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const info = useTakeoff().elements[index];
  const inBays = (info?.bays ?? null) !== null;
  return (
    <Panel
      title={t(`kinds.title.${element.kind}`, { name: element.name })}
      aside={info && `${format.text(info.length, 'length')} · ${format.text(info.volume, 'volume')}`}
    >
      <KindFields key={element.kind} element={element} index={index} />
      <Width element={element} index={index} inBays={inBays} />
      {!inBays && <Sides element={element} index={index} />}
      {FORMS[element.kind] !== 'ramp' && (
        <Suspense>
          <HandField element={element} index={index} />
        </Suspense>
      )}
      <details>
        <summary style={{ fontSize: '0.875rem', cursor: 'pointer' }}>{t('dig.more')}</summary>
        <Stack gap={2} pt={2}>
          <Suspense>
            <More element={element} index={index} inBays={inBays} />
          </Suspense>
        </Stack>
      </details>
    </Panel>
  );
}

/** How wide it is dug, with which bucket. */
function Width({ element, index, inBays }: Own<Element> & { inBays: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut({ element, index });
  const { room, buckets } = useDesk((desk) => desk.plan.dig);
  const info = useTakeoff().elements[index];
  const narrow = isNarrow(element, inBays);
  const passes =
    info && t('dig.passes', { count: info.width.passes, bucket: format.text(info.width.bucket, 'size') });
  return (
    <>
      {narrow && (
        <Choice
          label={t('dig.method')}
          value={element.method}
          options={(['formed', 'trenchFill'] as const).map((value) => ({ value, label: t(`dig.${value}`) }))}
          onChange={(value) =>
            put((e) => {
              e.method = value;
            })
          }
        />
      )}
      {FORMS[element.kind] !== 'ramp' && element.method === 'formed' && !inBays && (
        <PlanField hint={t('dig.eachSide')} path={`/elements/${index}/room`} placeholder={room} optional />
      )}
      {narrow && (
        <Choice
          label={t('dig.bucket')}
          value={element.bucket === null ? '' : String(element.bucket)}
          options={[
            { value: '', label: t('dig.bestBucket') },
            ...buckets.map((b) => ({ value: String(b), label: format.text(b, 'size') })),
          ]}
          onChange={(value) =>
            put((e) => {
              e.bucket = value === '' ? null : Number(value);
            })
          }
        />
      )}
      {info && (
        <Fact
          label={t('dig.bottomWidth')}
          note={narrow && passes ? passes : ''}
          value={bottomText(info, format)}
        />
      )}
    </>
  );
}

/** What keeps its sides up, and how steep they are. */
function Sides({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut({ element, index });
  const { support, slope } = useDesk((desk) => desk.plan.dig);
  const info = useTakeoff().elements[index];
  return (
    <>
      <Choice
        label={t('dig.support')}
        value={element.support ?? ''}
        options={[
          { value: '' as const, label: t('dig.asJob', { what: t(`ways.${support}`) }) },
          ...SUPPORTS.map((value) => ({ value, label: t(`ways.${value}`) })),
        ]}
        onChange={(value) =>
          put((e) => {
            e.support = value === '' ? null : value;
          })
        }
      />
      {(element.support ?? support) === 'slope' && (
        <PlanField
          label={t('dig.side')}
          hint={
            info
              ? t('dig.sideHint', {
                  steepest: format.text(info.rule.steepest, 'slope'),
                  class: info.rule.slopeClass,
                })
              : ''
          }
          path={`/elements/${index}/slope`}
          placeholder={slope}
          optional
        />
      )}
    </>
  );
}
