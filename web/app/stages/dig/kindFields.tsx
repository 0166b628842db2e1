/** The sizes each kind of element has on screen: one row a kind. */
import {
  axisLength,
  baysOf,
  type Element,
  type ElementKind,
  type ElementOf,
  newStrip,
  newUnderpin,
  type Plan,
  STRIP_USES,
  type Strip,
  startOf,
  type Underpin,
} from '@cimiento/core';
import type { FC } from 'react';
import { useDeskStore } from '../../desk/store.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Small } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Choice } from '../../parts/TextField.tsx';
import { Fact, PlanField, Toggle } from '../fields.tsx';

interface Own<E extends Element> {
  readonly element: E;
  readonly index: number;
}
const pathOf = ({ index }: { readonly index: number }) => `/elements/${index}`;

/** Changes an element that is still of its kind. */
function usePut<E extends Element>({ element, index }: Own<E>) {
  const store = useDeskStore();
  return (change: (e: E) => void) =>
    store.getState().edit((d) => {
      const target = d.elements[index];
      if (target?.kind === element.kind) change(target as E);
    });
}

/** What a run is for: carrying a wall, draining, or going under an old wall. */
const USES = [...STRIP_USES, 'underpin'] as const;
type Use = (typeof USES)[number];

/** The same axis for another use, with what the two have in common. */
function usedFor(plan: Plan, element: Strip | Underpin, use: Use): Strip | Underpin {
  if (use !== 'underpin' && element.kind === 'strip') return { ...element, use };
  const { id, name, group, thickness, method, floor, stem, slope, room, bucket, low, trim, level, support } =
    element;
  const { points, closed, width, stepped, key } = element;
  const same = { id, name, group, thickness, method, floor, stem, slope, room, bucket, low, trim, level };
  const run = { ...same, support, points, closed, width, stepped, key };
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
      <PlanField label={t(drain ? 'dig.surround' : 'dig.thickness')} path={`${path}/thickness`} />
      {drain && <PlanField hint={t('dig.fallHint')} path={`${path}/fall`} />}
      {!drain && (
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

const UnderpinFields: FC<Own<Underpin>> = (own) => {
  const { t } = useTranslation();
  const path = pathOf(own);
  return (
    <>
      <RunUse {...own} />
      <PlanField label={t('dig.width')} path={`${path}/width`} />
      <PlanField label={t('dig.thickness')} path={`${path}/thickness`} />
      <PlanField hint={t('dig.bayHint')} path={`${path}/bay`} />
      <BayPasses run={axisLength(own.element)} longest={own.element.bay} />
    </>
  );
};

const FIELDS_OF: { readonly [K in ElementKind]: FC<Own<ElementOf[K]>> } = {
  strip: StripFields,
  underpin: UnderpinFields,
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
  raft: (own) => {
    const { t } = useTranslation();
    const put = usePut(own);
    const store = useDeskStore();
    const path = pathOf(own);
    const { edge } = own.element;
    return (
      <>
        <PlanField label={t('dig.slab')} path={`${path}/thickness`} />
        <Toggle
          label={t('dig.edge')}
          on={edge !== null}
          onChange={(on) =>
            put((e) => {
              const { system } = store.getState().plan;
              e.edge = on
                ? {
                    depth: startOf('/elements/*/edge/depth', system),
                    width: startOf('/elements/*/edge/width', system),
                  }
                : null;
            })
          }
        />
        {edge && (
          <>
            <PlanField path={`${path}/edge/depth`} />
            <PlanField path={`${path}/edge/width`} />
          </>
        )}
      </>
    );
  },
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

/** Bays of an underpinned run and the passes they are dug in. */
function BayPasses({ run, longest }: { run: number; longest: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { count, length, passes } = baysOf(run, longest);
  return (
    <>
      <Fact
        label={t('dig.bays', { count })}
        note={passes.map((pass) => pass.join(' ')).join(' · ')}
        value={format.text(length, 'length')}
      />
      <Small>{t('dig.bayNote')}</Small>
    </>
  );
}
