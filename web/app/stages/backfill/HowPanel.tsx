/** How it is filled: lifts, machines, tests, the foot, damp, floors and one-sided walls; and what comes by truck. */
import { Box, Stack } from '@chakra-ui/react';
import {
  BED_MATERIAL_IDS,
  COMPACTOR_IDS,
  type CompactorId,
  DAMP_PROOFS,
  FLOOR_SIDES,
  SURROUND_WHEN,
  sidesOf,
  startOf,
} from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { type Draft, useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { compactorText } from '../../ui/plant.ts';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { today } from '../../ui/today.ts';
import { Panel, PlanField, Toggle } from '../fields.tsx';

export function HowPanel() {
  const { t } = useTranslation();
  return (
    <Panel fold="shut" title={t('backfill.how')}>
      <Lifts />
      <Foot />
      <PickedWall />
      <BringIn />
    </Panel>
  );
}

/** A choice of compactors that puts one into the plan. */
function Machine({
  label,
  value,
  put,
}: {
  label: string;
  value: CompactorId;
  put: (draft: Draft, value: CompactorId) => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  return (
    <Choice
      label={label}
      value={value}
      options={COMPACTOR_IDS.map((id) => ({ value: id, label: compactorText(t, format, id) }))}
      onChange={(next) => edit((d) => put(d, next))}
    />
  );
}

function Lifts() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const { compactor, near, target } = useDesk((desk) => desk.plan.backfill);
  return (
    <>
      <PlanField path="/backfill/maxLift" hint={t('backfill.maxLiftHint')} optional />
      <Machine
        label={t('backfill.compactor')}
        value={compactor}
        put={(d, value) => {
          d.backfill.compactor = value;
        }}
      />
      <Machine
        label={t('backfill.near')}
        value={near.compactor}
        put={(d, value) => {
          d.backfill.near.compactor = value;
        }}
      />
      <PlanField path="/backfill/near/width" />
      <PlanField path="/backfill/difference" />
      <PlanField path="/backfill/cureDays" />
      <Toggle
        label={t('backfill.tested')}
        on={target !== null}
        onChange={(on) =>
          edit((d) => {
            d.backfill.target = on
              ? {
                  share: startOf('/backfill/target/share', d.system),
                  maximum: null,
                  area: startOf('/backfill/target/area', d.system),
                  points: startOf('/backfill/target/points', d.system),
                }
              : null;
          })
        }
      />
      {target && (
        <>
          <PlanField path="/backfill/target/share" />
          <PlanField path="/backfill/target/maximum" optional />
          <PlanField path="/backfill/target/area" />
          <PlanField path="/backfill/target/points" />
        </>
      )}
      <PlanField path="/backfill/topsoil" hint={t('backfill.topsoilHint')} optional />
    </>
  );
}

function Foot() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const { surround, damp } = useDesk((desk) => desk.plan.backfill);
  return (
    <>
      <Toggle
        label={t('backfill.foot')}
        on={surround !== null}
        onChange={(on) =>
          edit((d) => {
            d.backfill.surround = on
              ? {
                  over: startOf('/backfill/surround/over', d.system),
                  when: 'always',
                  cloth: true,
                  pipe: startOf('/backfill/surround/pipe', d.system),
                }
              : null;
          })
        }
      />
      {surround && (
        <>
          <PlanField path="/backfill/surround/over" />
          <PlanField path="/backfill/surround/pipe" />
          <Choice
            label={t('backfill.when')}
            value={surround.when}
            options={SURROUND_WHEN.map((value) => ({ value, label: t(`backfill.whens.${value}`) }))}
            onChange={(value) =>
              edit((d) => {
                if (d.backfill.surround) d.backfill.surround.when = value;
              })
            }
          />
          <Toggle
            label={t('backfill.cloth')}
            on={surround.cloth}
            onChange={(on) =>
              edit((d) => {
                if (d.backfill.surround) d.backfill.surround.cloth = on;
              })
            }
          />
        </>
      )}
      <Choice
        label={t('backfill.damp')}
        value={damp}
        options={DAMP_PROOFS.map((value) => ({ value, label: t(`backfill.damps.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.backfill.damp = value;
          })
        }
      />
    </>
  );
}

/** Of what is picked: where a floor lies over it, and whether an engineer has it filled on one side. */
function PickedWall() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const info = useTakeoff().elements.find(({ id }) => id === picked);
  if (!info?.live) return null;
  const { floors, oneSided } = plan.backfill;
  const said = floors.find(({ element }) => element === info.id)?.side ?? 'none';
  const two = sidesOf(info.element).includes('left');
  const at = oneSided.findIndex(({ element }) => element === info.id);
  const own = oneSided[at];
  return (
    <Stack gap={1.5} borderLeftWidth="3px" borderStyle="solid" borderColor="chalk" pl={2}>
      <strong>{info.element.name}</strong>
      <Choice
        label={t('backfill.floor')}
        value={said}
        options={
          two
            ? (['none', ...FLOOR_SIDES] as const).map((value) => ({
                value,
                label: t(`backfill.floors.${value}`),
              }))
            : [
                { value: 'none' as const, label: t('backfill.floors.no') },
                { value: 'both' as const, label: t('backfill.floors.allRound') },
              ]
        }
        onChange={(side) =>
          edit((d) => {
            d.backfill.floors = d.backfill.floors.filter(({ element }) => element !== info.id);
            if (side !== 'none') d.backfill.floors.push({ element: info.id, side });
          })
        }
      />
      {sidesOf(info.element).length > 1 && (
        <Toggle
          label={t('backfill.oneSided')}
          on={at >= 0}
          onChange={(on) =>
            edit((d) => {
              d.backfill.oneSided = d.backfill.oneSided.filter(({ element }) => element !== info.id);
              if (on)
                d.backfill.oneSided.push({
                  element: info.id,
                  who: t('backfill.engineer'),
                  when: today(d.water.zone),
                  height: Math.min(info.depth, startOf('/backfill/oneSided/*/height', d.system)),
                  drainage: '–',
                });
            })
          }
        />
      )}
      {own && (
        <>
          <Small>{t('backfill.oneSidedHint')}</Small>
          {(['who', 'when', 'drainage'] as const).map((field) => (
            <TextField
              key={field}
              label={t(
                field === 'who'
                  ? 'backfill.engineer'
                  : field === 'when'
                    ? 'fields.when'
                    : 'backfill.drainage',
              )}
              value={own[field]}
              maxLength={field === 'drainage' ? 400 : field === 'who' ? 80 : 40}
              onChange={({ target }) => {
                if (target.value || field === 'when')
                  edit((d) => {
                    d.backfill.oneSided[at]![field] = target.value;
                  }, `one-sided:${info.id}:${field}`);
              }}
            />
          ))}
          <PlanField path={`/backfill/oneSided/${at}/height`} />
        </>
      )}
    </Stack>
  );
}

function BringIn() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const material = useDesk((desk) => desk.plan.backfill.bringIn.material);
  const money = useDesk((desk) => desk.plan.prices.currency);
  return (
    <details>
      <Box as="summary" cursor="pointer" fontSize="sm" py={1}>
        {t('backfill.bringIn')}
      </Box>
      <Stack gap={2} pt={1}>
        <Choice
          label={t('backfill.material')}
          value={material}
          options={BED_MATERIAL_IDS.filter((id) => id !== 'lean').map((value) => ({
            value,
            label: t(`bedMaterial.${value}`),
          }))}
          onChange={(value) =>
            edit((d) => {
              d.backfill.bringIn.material = value;
            })
          }
        />
        <PlanField path="/backfill/bringIn/body" />
        <PlanField path="/backfill/bringIn/swell" />
        <PlanField path="/backfill/bringIn/shrink" />
        <PlanField path="/prices/fill" label={t('backfill.price')} money={money} optional />
      </Stack>
    </details>
  );
}
