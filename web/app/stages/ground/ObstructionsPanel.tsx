/** What stands in the way of the bucket: broken out, hauled by itself. */
import { Stack } from '@chakra-ui/react';
import {
  BREAKERS,
  BREAKING,
  nextName,
  OBSTRUCTION_KINDS,
  OBSTRUCTIONS,
  type Obstruction,
  startOf,
  type Takeoff,
} from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { type Draft, useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { NameRow } from '../../ui/NameRow.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';

export function ObstructionsPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const obstructions = useDesk((desk) => desk.plan.ground.obstructions);
  const { broken } = useTakeoff();
  const add = (d: Draft) => {
    d.ground.obstructions.push({
      id: nextName(
        'obstruction-',
        d.ground.obstructions.map((one) => one.id),
      ),
      name: t('obstruction.kind.boulder'),
      kind: 'boulder',
      volume: startOf('/ground/obstructions/*/volume', d.system),
      by: 'hammer',
      rate: null,
      density: null,
      swell: null,
      element: null,
    });
  };
  return (
    <Panel fold="shut" title={t('obstruction.title')} aside={String(obstructions.length)}>
      {obstructions.length === 0 && <Small>{t('obstruction.none')}</Small>}
      {obstructions.map((one, i) => (
        <One key={one.id} one={one} index={i} item={broken.items[i]} />
      ))}
      {broken.loads > 0 && <Fact label={t('obstruction.loads')} value={String(broken.loads)} />}
      {obstructions.length < 60 && (
        <Button onClick={() => store.getState().edit(add)}>{t('obstruction.add')}</Button>
      )}
    </Panel>
  );
}

interface Own {
  readonly one: Obstruction;
  readonly index: number;
}

function One({ one, index, item }: Own & { item: Takeoff['broken']['items'][number] | undefined }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  return (
    <Stack
      gap={1.5}
      borderLeftWidth="3px"
      borderStyle="solid"
      borderColor="earth"
      pl={2}
      data-obstruction={one.id}
    >
      <NameRow
        label={t('dig.name')}
        name={one.name}
        rename={(name) =>
          edit((d) => {
            d.ground.obstructions[index]!.name = name;
          }, `obstruction-name:${one.id}`)
        }
        removeLabel={t('obstruction.remove', { name: one.name })}
        remove={() =>
          edit((d) => {
            d.ground.obstructions.splice(index, 1);
          })
        }
      />
      <Choices one={one} index={index} />
      <Values one={one} index={index} />
      {item && (
        <>
          <Fact label={t('obstruction.loose')} value={format.text(item.loose, 'volume')} />
          <Fact label={t('obstruction.mass')} value={format.text(item.mass, 'mass')} />
          <Fact label={t('obstruction.hours')} value={format.text(item.hours, 'hours')} />
        </>
      )}
    </Stack>
  );
}

function Choices({ one, index }: Own) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const elements = useDesk((desk) => desk.plan.elements);
  const put = (change: (target: Obstruction) => void) =>
    store.getState().edit((d) => change(d.ground.obstructions[index]!));
  return (
    <>
      <Choice
        label={t('obstruction.what')}
        value={one.kind}
        options={OBSTRUCTION_KINDS.map((value) => ({ value, label: t(`obstruction.kind.${value}`) }))}
        onChange={(kind) =>
          put((target) => {
            target.kind = kind;
          })
        }
      />
      <Choice
        label={t('obstruction.by')}
        value={one.by}
        options={BREAKERS.map((value) => ({ value, label: t(`obstruction.breaker.${value}`) }))}
        onChange={(by) =>
          put((target) => {
            target.by = by;
          })
        }
      />
      <Choice
        label={t('obstruction.element')}
        value={one.element ?? ''}
        options={[
          { value: '', label: t('obstruction.whole') },
          ...elements.map((element) => ({ value: element.id, label: element.name })),
        ]}
        onChange={(value) =>
          put((target) => {
            target.element = value === '' ? null : value;
          })
        }
      />
    </>
  );
}

function Values({ one, index }: Own) {
  const { t } = useTranslation();
  const path = `/ground/obstructions/${index}`;
  const typical = OBSTRUCTIONS[one.kind];
  const values = { rate: BREAKING[one.kind][one.by].likely, density: typical.density, swell: typical.swell };
  return (
    <>
      <PlanField path={`${path}/volume`} />
      {(['rate', 'density', 'swell'] as const).map((key) => (
        <PlanField
          key={key}
          hint={t('obstruction.typical')}
          path={`${path}/${key}`}
          placeholder={values[key]}
          optional
        />
      ))}
    </>
  );
}
