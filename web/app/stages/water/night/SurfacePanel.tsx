/** Water that comes to the ground beside the dig, and where it runs: wash-out, downpipes, yards. */
import { Stack } from '@chakra-ui/react';
import { SURFACE_KINDS, surfaceRuns } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { NameRow } from '../../../ui/NameRow.tsx';
import { Choice } from '../../../ui/TextField.tsx';
import { Panel, PlanField } from '../../fields.tsx';

const MOST = 30;

export function SurfacePanel() {
  const { t } = useTranslation();
  const { look } = useDeskStore().getState();
  const surface = useDesk((desk) => desk.plan.water.surface);
  const placing = useDesk((desk) => desk.view.placing?.what === 'surface');
  return (
    <Panel
      title={t('dewatering.surface')}
      fold="shut"
      aside={surface.length > 0 ? String(surface.length) : undefined}
    >
      <Small>{t('dewatering.surfaceHow')}</Small>
      {surface.map(({ id }, index) => (
        <One key={id} index={index} />
      ))}
      {surface.length < MOST && (
        <Button
          aria-pressed={placing}
          onClick={() => look({ placing: placing ? null : { what: 'surface' } })}
        >
          {t(placing ? 'dewatering.surfacePress' : 'dewatering.addSurface')}
        </Button>
      )}
    </Panel>
  );
}

function One({ index }: { index: number }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useShownPlan();
  const { elements } = useTakeoff();
  const one = plan.water.surface[index];
  if (!one) return null;
  const into = surfaceRuns(plan, elements).find(({ id }) => id === one.id)?.element ?? null;
  const hole = elements.find(({ id }) => id === into)?.element.name;
  const path = `/water/surface/${index}`;
  return (
    <Stack
      gap={1.5}
      borderLeftWidth="3px"
      borderStyle="solid"
      borderColor="water"
      pl={2}
      data-surface={one.id}
    >
      <NameRow
        label={t('dig.name')}
        name={one.name}
        rename={(name) =>
          edit((d) => {
            d.water.surface[index]!.name = name;
          }, `surface-name:${one.id}`)
        }
        removeLabel={t('rain.removePump', { name: one.name })}
        remove={() =>
          edit((d) => {
            d.water.surface.splice(index, 1);
          })
        }
      />
      <Choice
        label={t('night.surface')}
        value={one.kind}
        options={SURFACE_KINDS.map((value) => ({ value, label: t(`night.surfaces.${value}`) }))}
        onChange={(kind) =>
          edit((d) => {
            d.water.surface[index]!.kind = kind;
          })
        }
      />
      {one.kind !== 'washOut' && <PlanField path={`${path}/area`} />}
      <PlanField path={`${path}/at/0`} />
      <PlanField path={`${path}/at/1`} />
      <Small color={into ? 'held' : 'soft'} data-runs={into ?? 'away'}>
        {into ? t('dewatering.runsInto', { name: hole ?? into }) : t('dewatering.runsAway')}
      </Small>
    </Stack>
  );
}
