/** What is seldom typed of a trench or pad: its drawn level, how low it was found, its name, and taking it away. */

import { type Element, FORMS, stringFor } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { removeElement } from '../../state/removeElement.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { PlanField } from '../fields.tsx';
import { isNarrow, type Own, usePut } from './own.ts';

const RisingFields = later(() => import('./kindParts.ts'), 'RisingFields');

/** How low the bottom was found: as it was shot, or told here of the whole of it. */
function FoundLow({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const found = useTakeoff().asDug.get(element) ?? null;
  const known = found ? Math.round(found.mean * 1000) / 1000 : 0;
  const [typed, setTyped] = useState<number | null>(null);
  const measured = found?.shots.filter(({ level }) => level !== null).length ?? 0;
  return (
    <>
      <QuantityField
        label={t('dig.low')}
        hint={t('dig.lowHint')}
        range="low"
        value={typed ?? known}
        onCommit={setTyped}
        onSettle={() => {
          // A record cannot be undone: it is made when the field is left, not at every figure.
          if (typed !== null && typed !== known)
            log('shot', { on: 'formation', from: { by: 'said', low: typed } }, { element });
          setTyped(null);
        }}
      />
      {found && measured > 0 && (
        <Small data-found={element}>
          {t('dig.found', {
            count: measured,
            low: format.text(found.low, 'volume', { decimals: 2 }),
            high: format.text(found.high, 'volume', { decimals: 2 }),
          })}
        </Small>
      )}
    </>
  );
}

/** What is seldom typed, its name, and taking it away. */
export function More({ element, index, inBays }: Own<Element> & { inBays: boolean }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const put = usePut({ element, index });
  const handTrim = useDesk((desk) => desk.plan.dig.handTrim);
  const info = useTakeoff().elements[index];
  const path = `/elements/${index}`;
  return (
    <>
      {FORMS[element.kind] !== 'ramp' && !inBays && (
        <PlanField label={t('dig.level')} hint={t('dig.levelHint')} path={`${path}/level`} optional />
      )}
      <FoundLow element={element.id} />
      <PlanField
        hint={t('dig.handTrimHint')}
        path={`${path}/trim`}
        placeholder={handTrim ?? info?.trim}
        optional
      />
      <StringChoice element={element} index={index} />
      {isNarrow(element, inBays) && <RisingFields element={element} index={index} />}
      <TextField
        label={t('dig.name')}
        value={element.name}
        maxLength={80}
        onChange={(event) => {
          const { value } = event.target;
          if (value)
            put((e) => {
              e.name = value;
            }, `name:${element.id}`);
        }}
      />
      <TextField
        label={t('dig.group')}
        hint={t('dig.groupHint')}
        value={element.group}
        maxLength={40}
        onChange={(event) => {
          const { value } = event.target;
          put((e) => {
            e.group = value;
          }, `group:${element.id}`);
        }}
      />
      <Button
        look="held"
        onClick={() => {
          store.getState().edit((d) => removeElement(d, element.id));
          store.getState().pick(store.getState().plan.elements[Math.max(0, index - 1)]?.id ?? null);
        }}
      >
        <Trash2 size={15} aria-hidden /> {t('dig.remove', { name: element.name })}
      </Button>
    </>
  );
}

/** The string its depths are measured from. */
function StringChoice({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut({ element, index });
  const plan = useDesk((desk) => desk.plan);
  const { strings, string } = plan.levels;
  if (strings.length === 0) return null;
  const floors = stringFor(plan, { ...element, string: null });
  return (
    <Choice
      label={t('strings.hangsOn')}
      value={element.string ?? ''}
      options={[
        {
          value: '',
          label:
            floors.name === null
              ? t('strings.own', { level: format.text(string, 'level') })
              : t('strings.asFloor', { name: floors.name }),
        },
        ...strings.map((one) => ({ value: one.id, label: one.name })),
      ]}
      onChange={(value) =>
        put((e) => {
          e.string = value === '' ? null : value;
        })
      }
    />
  );
}
