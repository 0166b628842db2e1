/** Pumps in the hole of what is picked: kind, number, hose, sump, floats, when they are there. */

import { Flex, Stack } from '@chakra-ui/react';
import { NOISE_AT, newPump, PUMP_IDS, PUMPS, type SitePump, SUMP_FILLS } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { NameRow } from '../../../ui/NameRow.tsx';
import { pumpText } from '../../../ui/plant.ts';
import { Choice } from '../../../ui/TextField.tsx';
import { Panel, PlanField } from '../../fields.tsx';
import { useHole } from './use.ts';
import { WhenField } from './When.tsx';

const MOST_POINTS = 12;

export function PumpsPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const { hole } = useHole();
  const ids = hole?.elements.includes(element) ? hole.elements : [element];
  const { pumps } = plan.water;
  const here = pumps.filter((pump) => ids.includes(pump.element));
  const name = plan.elements.find((e) => e.id === element)?.name ?? '';
  return (
    <Panel title={t('rain.pumps', { name })} aside={here.length > 0 ? String(here.length) : undefined}>
      {here.length === 0 && <Small>{t('rain.noPumps')}</Small>}
      {here.map((pump) => (
        <One key={pump.id} pump={pump} index={pumps.indexOf(pump)} />
      ))}
      {pumps.length < 20 && (
        <Button
          onClick={() =>
            edit((d) => {
              d.water.pumps.push(newPump(d, 'electric50', element));
            })
          }
        >
          {t('rain.addPump')}
        </Button>
      )}
    </Panel>
  );
}

function One({ pump, index }: { pump: SitePump; index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit, look } = useDeskStore().getState();
  const path = `/water/pumps/${index}`;
  const put = (change: (target: SitePump) => void, key?: string) =>
    edit((d) => change(d.water.pumps[index]!), key);
  return (
    <Stack gap={1.5} borderLeftWidth="3px" borderStyle="solid" borderColor="water" pl={2} data-pump={pump.id}>
      <NameRow
        label={t('dig.name')}
        name={pump.name}
        rename={(name) =>
          put((target) => {
            target.name = name;
          }, `pump-name:${pump.id}`)
        }
        removeLabel={t('rain.removePump', { name: pump.name })}
        remove={() =>
          edit((d) => {
            d.water.pumps.splice(index, 1);
          })
        }
      />
      <Choice
        label={t('night.pumpKind')}
        value={pump.kind}
        options={PUMP_IDS.map((value) => ({ value, label: pumpText(t, format, value) }))}
        onChange={(kind) =>
          put((target) => {
            target.kind = kind;
            target.hose.diameter = PUMPS[kind].hose;
          })
        }
      />
      <PlanField path={`${path}/count`} />
      <Said pump={pump} />
      <PlanField path={`${path}/hose/length`} />
      {pump.kind !== 'bucket' && <PlanField path={`${path}/hose/diameter`} />}
      <PlanField optional path={`${path}/outlet`} />
      <PlanField path={`${path}/sump/depth`} />
      <PlanField path={`${path}/sump/area`} />
      <Choice
        label={t('night.sumpFilled')}
        value={pump.sump.filled}
        options={SUMP_FILLS.map((value) => ({ value, label: t(`night.sumpFills.${value}`) }))}
        onChange={(filled) =>
          put((target) => {
            target.sump.filled = filled;
          })
        }
      />
      {pump.sump.at ? (
        <>
          <PlanField path={`${path}/sump/at/0`} />
          <PlanField path={`${path}/sump/at/1`} />
        </>
      ) : (
        <Button size="sm" onClick={() => look({ placing: { what: 'sump', id: pump.id } })}>
          {t('dewatering.placeSump')}
        </Button>
      )}
      {pump.kind !== 'bucket' && <Curve pump={pump} path={path} put={put} />}
      <PlanField path={`${path}/start`} />
      <PlanField path={`${path}/stop`} />
      <WhenField
        label={t('night.from')}
        value={pump.from}
        onChange={(value) =>
          put((target) => {
            target.from = value;
          }, `pump-from:${pump.id}`)
        }
      />
      <WhenField
        label={t('night.until')}
        value={pump.until}
        onChange={(value) =>
          put((target) => {
            target.until = value;
          }, `pump-until:${pump.id}`)
        }
      />
    </Stack>
  );
}

/** The maker's curve, point by point; begun as what is typical of its kind. */
function Curve({
  pump,
  path,
  put,
}: {
  pump: SitePump;
  path: string;
  put: (change: (target: SitePump) => void) => void;
}) {
  const { t } = useTranslation();
  const { curve } = pump;
  return (
    <>
      {curve.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a point is known by its place
        <Flex key={i} gap={2} role="group" aria-label={t('proof.point', { n: i + 1 })}>
          <PlanField stacked path={`${path}/curve/${i}/flow`} />
          <PlanField stacked path={`${path}/curve/${i}/head`} />
        </Flex>
      ))}
      <Flex gap={2} wrap="wrap">
        {curve.length < MOST_POINTS && (
          <Button
            size="sm"
            onClick={() =>
              put((target) => {
                const last = target.curve.at(-1);
                if (!last) target.curve = PUMPS[target.kind].curve.map((point) => ({ ...point }));
                else target.curve.push({ flow: last.flow, head: 0 });
              })
            }
          >
            {t(curve.length === 0 ? 'dewatering.curve' : 'dewatering.addPoint')}
          </Button>
        )}
        {curve.length > 0 && (
          <Button
            size="sm"
            look="quiet"
            onClick={() =>
              put((target) => {
                target.curve = [];
              })
            }
          >
            {t('dewatering.forgetCurve')}
          </Button>
        )}
      </Flex>
    </>
  );
}

/** What it moves here, or by how much it cannot. */
function Said({ pump }: { pump: SitePump }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { night } = useHole();
  const said = night?.holes.flatMap(({ pumps }) => pumps).find((one) => one.id === pump.id);
  if (!said) return null;
  const lift = format.text(said.lift, 'length');
  if (said.lift > said.most)
    return (
      <Small color="held" data-cannot>
        {t('rain.cannot', {
          lift,
          most: format.text(said.most, 'length'),
          by: format.text(said.lift - said.most, 'length'),
        })}
      </Small>
    );
  const { noise } = PUMPS[pump.kind];
  return (
    <Small data-moves>
      {[
        t('rain.moves', { flow: format.text(said.flow, 'flow'), lift }),
        ...(pump.curve.length === 0 ? [t('rain.curveTypical')] : []),
        ...(noise > 0
          ? [t('rain.noise', { noise, away: format.text(NOISE_AT, 'length', { decimals: 0 }) })]
          : []),
      ].join(' · ')}
    </Small>
  );
}
