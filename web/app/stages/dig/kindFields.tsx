/** The sizes each kind of element has on screen: one row a kind. */
import {
  type Element,
  type ElementKind,
  type ElementOf,
  newStrip,
  newUnderpin,
  type Plan,
  STRIP_USES,
  type Strip,
  type Underpin,
} from '@cimiento/core';
import type { FC } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDeskStore } from '../../state/store.ts';
import { later } from '../../ui/later.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { PlanField, Toggle } from '../fields.tsx';
import { type Own, pathOf, usePut } from './own.ts';

const parts = () => import('./kindParts.ts');
const DrainFields = later(parts, 'DrainFields');
const StoneFields = later(parts, 'StoneFields');
const SlabFields = later(parts, 'SlabFields');
const UnderpinFields = later(parts, 'UnderpinFields');

/** What a run is for: carrying a wall, draining, or going under an old wall. */
const USES = [...STRIP_USES, 'underpin'] as const;
type Use = (typeof USES)[number];

/** The same axis for another use, with what the two have in common. */
function usedFor(plan: Plan, element: Strip | Underpin, use: Use): Strip | Underpin {
  // A drain brings its own stone: nothing is dug below it for a bed.
  const bed = use === 'drain' ? null : element.bed;
  if (use !== 'underpin' && element.kind === 'strip') return { ...element, use, bed };
  const { id, name, group, thickness, method, floor, rising, slope, room, bucket, trim, level, support } =
    element;
  const { hand, string } = element;
  const { points, closed, width, stepped, key } = element;
  const same = { id, name, group, thickness, method, floor, rising, slope, room, bucket, trim, level };
  const run = { ...same, support, bed, hand, string, points, closed, width, stepped, key };
  return use === 'underpin'
    ? { ...newUnderpin(plan, points), ...run }
    : { ...newStrip(plan, points), ...run, use };
}

function RunUse({ element, index }: Own<Strip | Underpin>) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = () => store.getState().plan;
  return (
    <Choice
      label={t('dig.use')}
      value={element.kind === 'underpin' ? 'underpin' : element.use}
      options={USES.map((value) => ({ value, label: t(`dig.uses.${value}`) }))}
      onChange={(use) =>
        store.getState().edit((d) => {
          const target = d.elements[index];
          if (target?.kind === 'strip' || target?.kind === 'underpin')
            d.elements[index] = usedFor(plan(), target, use);
        })
      }
    />
  );
}

const StripFields: FC<Own<Strip>> = (own) => {
  const { t } = useTranslation();
  const put = usePut(own);
  const { element } = own;
  const path = pathOf(own);
  const drain = element.use === 'drain';
  return (
    <>
      <RunUse {...own} />
      <PlanField label={t(drain ? 'dig.drainWidth' : 'dig.width')} path={`${path}/width`} />
      <PlanField
        label={t(element.use === 'footing' ? 'dig.thickness' : 'dig.surround')}
        path={`${path}/thickness`}
      />
      {drain && <DrainFields {...own} />}
      {element.use === 'stone' && <StoneFields {...own} />}
      {element.use === 'footing' && (
        <Toggle
          label={t('dig.key')}
          on={element.key !== null}
          onChange={(on) =>
            put((e) => {
              e.key = on ? { width: Math.min(0.3, e.width), depth: 0.3 } : null;
            })
          }
        />
      )}
      {element.key && (
        <>
          <PlanField path={`${path}/key/width`} />
          <PlanField path={`${path}/key/depth`} />
        </>
      )}
    </>
  );
};

const FIELDS_OF: { readonly [K in ElementKind]: FC<Own<ElementOf[K]>> } = {
  strip: StripFields,
  underpin: (own) => (
    <>
      <RunUse {...own} />
      <UnderpinFields {...own} />
    </>
  ),
  pad: (own) => {
    const { t } = useTranslation();
    const path = pathOf(own);
    return (
      <>
        <PlanField label={t('dig.width')} path={`${path}/width`} />
        <PlanField path={`${path}/length`} />
        <PlanField label={t('dig.thickness')} path={`${path}/thickness`} />
      </>
    );
  },
  raft: SlabFields,
  box: (own) => {
    const { t } = useTranslation();
    const path = pathOf(own);
    return (
      <>
        <PlanField path={`${path}/height`} />
        <PlanField path={`${path}/wall`} />
        <PlanField label={t('dig.boxBase')} path={`${path}/thickness`} />
        <PlanField path={`${path}/roof`} />
      </>
    );
  },
  ramp: (own) => {
    const { t } = useTranslation();
    const path = pathOf(own);
    return (
      <>
        <PlanField label={t('dig.rampWidth')} path={`${path}/width`} />
        <PlanField hint={t('dig.gradeHint')} path={`${path}/grade`} />
      </>
    );
  },
};

/** The sizes a shape has, by its kind. */
export function KindFields({ element, index }: Own<Element>) {
  const Fields = FIELDS_OF[element.kind] as FC<Own<Element>>;
  return <Fields element={element} index={index} />;
}
