/** Steel as it was drawn, counted; and what is set in before the pour. */
import { Flex } from '@chakra-ui/react';
import {
  elementName,
  FITTINGS,
  type Fitting,
  type FittingKind,
  nextName,
  type Plan,
  type Problem,
  STEEL_KINDS,
  STEEL_PLACES,
  type Steel,
  type SteelTakeoff,
  type SteelView,
  startOf,
  steelOf,
} from '@cimiento/core';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import type { Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { type Format, useFormat } from '../../ui/format.tsx';
import { NameRow } from '../../ui/NameRow.tsx';
import { fittingText, steelText } from '../../ui/steelWords.ts';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { problemText } from '../../ui/words.ts';
import { Panel, PlanField } from '../fields.tsx';

/** A new mark, with what bars start from; its lap nobody has said. */
function newSteel(plan: Plan, element: string): Steel {
  const start = (id: Parameters<typeof startOf>[0]) => startOf(id, plan.system);
  const taken = plan.pour.steel.flatMap(({ id, name }) => [id, name]);
  const id = nextName('S', taken);
  return {
    id,
    name: id,
    element,
    kind: 'along',
    where: 'base',
    diameter: start('/pour/steel/*/diameter'),
    spacing: start('/pour/steel/*/spacing'),
    count: null,
    rows: 1,
    cover: start('/pour/steel/*/cover'),
    bends: start('/pour/steel/*/bends'),
    length: null,
    lap: null,
    stock: start('/pour/steel/*/stock'),
    sheet: null,
    supports: null,
  };
}

const newFitting = (plan: Plan, element: string): Fitting => ({
  id: nextName(
    'set-',
    plan.pour.fittings.map(({ id }) => id),
  ),
  element,
  kind: 'anchor',
  size: '',
  place: '',
  count: null,
  spacing: null,
  level: null,
});

const elementOptions = ({ elements }: Plan) => elements.map(({ id, name }) => ({ value: id, label: name }));

/** Steel and what is set in, counted once for both. */
export function SteelPanels() {
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const takeoff = useTakeoff();
  const view = useMemo(() => steelOf(plan, takeoff), [plan, takeoff]);
  const cast = takeoff.elements.filter(({ casts }) => casts.length > 0);
  // A new one starts in what is picked, else in the first thing that is cast.
  const first = (cast.find(({ id }) => id === picked) ?? cast[0])?.id ?? null;
  return (
    <>
      <SteelPanel view={view} first={first} />
      <FittingsPanel view={view} first={first} />
    </>
  );
}

interface Counted {
  readonly view: SteelView;
  readonly first: string | null;
}

function SteelPanel({ view: { steel, problems }, first }: Counted) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const marks = useDesk((desk) => desk.plan.pour.steel);
  const mass = steel.reduce((sum, one) => sum + one.bought, 0);
  return (
    <Panel
      fold="shut"
      title={t('steel.title')}
      aside={mass > 0 ? format.text(mass, 'weighing', { decimals: 0 }) : undefined}
    >
      {marks.length === 0 && <Small>{t('steel.none')}</Small>}
      {marks.map((mark, at) => (
        <Mark
          key={mark.id}
          mark={mark}
          at={at}
          counted={steel.find(({ id }) => id === mark.id) ?? null}
          problem={problems.find(({ path }) => path.startsWith(`/pour/steel/${at}/`)) ?? null}
        />
      ))}
      {first !== null && (
        <Button
          size="sm"
          look="quiet"
          onClick={() =>
            store.getState().edit((d) => {
              d.pour.steel.push(newSteel(d, first));
            })
          }
        >
          <Plus size={14} aria-hidden /> {t('steel.add')}
        </Button>
      )}
    </Panel>
  );
}

interface MarkProps {
  readonly mark: Steel;
  readonly at: number;
  readonly counted: SteelTakeoff | null;
  readonly problem: Problem | null;
}

function Mark({ mark, at, counted, problem }: MarkProps) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const path = `/pour/steel/${at}`;
  const put = (change: (own: Steel) => void, key?: string) =>
    store.getState().edit((d) => {
      const own = d.pour.steel[at];
      if (own) change(own);
    }, key);
  return (
    <details data-steel={mark.id}>
      <summary>
        {`${mark.name}, ${elementName(plan, mark.element)}: ${counted ? steelText(t, format, mark, counted) : t('steel.notYet')}`}
      </summary>
      {problem && (
        <Small color="held" role="alert" data-steel-problem={problem.code}>
          {problemText(t, format, problem)}
        </Small>
      )}
      <NameRow
        label={t('steel.mark')}
        name={mark.name}
        rename={(value) =>
          put((own) => {
            own.name = value;
          }, `steel:${mark.id}`)
        }
        removeLabel={t('steel.remove', { name: mark.name })}
        remove={() =>
          store.getState().edit((d) => {
            d.pour.steel.splice(at, 1);
          })
        }
      />
      <Choice
        label={t('steel.element')}
        value={mark.element}
        options={elementOptions(plan)}
        onChange={(value) =>
          put((own) => {
            own.element = value;
          })
        }
      />
      <Choice
        label={t('steel.kind')}
        value={mark.kind}
        options={STEEL_KINDS.map((value) => ({ value, label: t(`steel.kinds.${value}`) }))}
        onChange={(value) =>
          put((own) => {
            own.kind = value;
            if (value === 'mesh')
              own.sheet ??= {
                width: startOf('/pour/steel/*/sheet/width', plan.system),
                mass: startOf('/pour/steel/*/sheet/mass', plan.system),
              };
            if (value === 'starters') own.length ??= startOf('/pour/steel/*/length', plan.system);
            else own.length = null;
          })
        }
      />
      <Choice
        label={t('steel.where')}
        value={mark.where}
        options={STEEL_PLACES.map((value) => ({ value, label: t(`steel.places.${value}`) }))}
        onChange={(value) =>
          put((own) => {
            own.where = value;
          })
        }
      />
      {mark.kind === 'mesh' ? (
        <>
          <PlanField path={`${path}/sheet/width`} />
          <PlanField path={`${path}/sheet/mass`} />
        </>
      ) : (
        <>
          <PlanField path={`${path}/diameter`} />
          <PlanField path={`${path}/spacing`} optional />
          <PlanField path={`${path}/count`} optional />
          {mark.kind === 'starters' && <PlanField path={`${path}/length`} optional />}
          <PlanField path={`${path}/bends`} />
        </>
      )}
      <PlanField path={`${path}/rows`} />
      <PlanField path={`${path}/cover`} />
      <PlanField path={`${path}/lap`} optional />
      <PlanField path={`${path}/stock`} />
      <PlanField path={`${path}/supports`} optional />
      {counted && mark.kind !== 'mesh' && (
        <Small>{t('steel.mass', { mass: format.text(counted.mass, 'weighing', { decimals: 0 }) })}</Small>
      )}
    </details>
  );
}

function FittingsPanel({ view: { fittings }, first }: Counted) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const list = plan.pour.fittings;
  return (
    <Panel fold="shut" title={t('fitting.title')} aside={list.length > 0 ? String(list.length) : undefined}>
      {list.length === 0 && <Small>{t('fitting.none')}</Small>}
      {list.map((one, at) => (
        <SetIn key={one.id} one={one} at={at} text={sayFitting(t, format, plan, one, fittings)} />
      ))}
      {first !== null && (
        <Flex>
          <Button
            size="sm"
            look="quiet"
            onClick={() =>
              store.getState().edit((d) => {
                d.pour.fittings.push(newFitting(d, first));
              })
            }
          >
            <Plus size={14} aria-hidden /> {t('fitting.add')}
          </Button>
        </Flex>
      )}
    </Panel>
  );
}

const sayFitting = (t: Say, format: Format, plan: Plan, one: Fitting, counted: SteelView['fittings']) =>
  [
    elementName(plan, one.element),
    fittingText(t, format, one, counted.find(({ id }) => id === one.id) ?? null),
  ].join(': ');

function SetIn({ one, at, text }: { one: Fitting; at: number; text: string }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const path = `/pour/fittings/${at}`;
  const put = (change: (own: Fitting) => void, key?: string) =>
    store.getState().edit((d) => {
      const own = d.pour.fittings[at];
      if (own) change(own);
    }, key);
  return (
    <details data-fitting={one.id}>
      <summary>{text}</summary>
      <Choice
        label={t('fitting.kind')}
        value={one.kind}
        options={FITTINGS.map((value) => ({ value, label: t(`fitting.kinds.${value}`) }))}
        onChange={(value: FittingKind) =>
          put((own) => {
            own.kind = value;
          })
        }
      />
      <Choice
        label={t('steel.element')}
        value={one.element}
        options={elementOptions(plan)}
        onChange={(value) =>
          put((own) => {
            own.element = value;
          })
        }
      />
      {(['size', 'place'] as const).map((field) => (
        <TextField
          key={field}
          label={t(`fitting.${field}`)}
          value={one[field]}
          maxLength={field === 'size' ? 60 : 120}
          onChange={({ target: { value } }) =>
            put((own) => {
              own[field] = value;
            }, `fitting:${one.id}:${field}`)
          }
        />
      ))}
      {one.kind !== 'waterstop' && (
        <>
          <PlanField path={`${path}/count`} optional />
          <PlanField path={`${path}/spacing`} optional />
        </>
      )}
      <PlanField path={`${path}/level`} optional />
      <Button
        size="sm"
        look="quiet"
        onClick={() =>
          store.getState().edit((d) => {
            d.pour.fittings.splice(at, 1);
          })
        }
      >
        <Trash2 size={14} aria-hidden /> {t('steel.remove', { name: t(`fitting.kinds.${one.kind}`) })}
      </Button>
    </details>
  );
}
