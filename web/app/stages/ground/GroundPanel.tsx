/** What is under me: surface, soils by depth, water, frost. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { nextName, SOIL_KINDS, SOILS, type SoilKind } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import { useDesk, useDeskStore } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { Button, Input, Select, Small } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';

export function GroundPanel() {
  return (
    <>
      <Surface />
      <Soils />
      <WaterLevel />
      <Frost />
    </>
  );
}

const Surface = memo(function Surface() {
  const { t } = useTranslation();
  const _surface = useDesk((desk) => desk.plan.ground.surface);
  return (
    <Panel title={t('ground.surface')} aside={t('ground.surfaceAside')}>
      <PlanField label={t('ground.level')} path="/ground/surface/level" />
      <PlanField
        label={t('ground.gradeEast')}
        hint={t('ground.gradeHint')}
        path="/ground/surface/gradeEast"
      />
      <PlanField label={t('ground.gradeNorth')} path="/ground/surface/gradeNorth" />
    </Panel>
  );
});

const Soils = memo(function Soils() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const soils = useDesk((desk) => desk.plan.ground.soils);
  const _base = useDesk((desk) => desk.plan.ground.base);
  const { edit } = store.getState();
  return (
    <Panel title={t('ground.soils')} aside={t('ground.soilsAside')}>
      {soils.map((soil, i) => (
        <Stack
          key={soil.id}
          gap={1.5}
          borderLeftWidth="10px"
          borderStyle="solid"
          borderColor={`soil.${soil.kind}`}
          pl={2}
          pb={1}
        >
          <Flex gap={1.5}>
            <Input
              aria-label={t('ground.soilName')}
              value={soil.name}
              placeholder={t(`soil.${soil.kind}`)}
              maxLength={80}
              onChange={(event) =>
                edit((d) => {
                  d.ground.soils[i]!.name = event.target.value;
                }, `soil-name:${soil.id}`)
              }
            />
            <Button
              look="quiet"
              aria-label={t('ground.removeSoil', { name: soil.name || t(`soil.${soil.kind}`) })}
              disabled={soils.length === 1}
              onClick={() =>
                edit((d) => {
                  d.ground.soils.splice(i, 1);
                  // The soil that is now first reaches the surface.
                  const [first] = d.ground.soils;
                  if (first) first.top = 0;
                  if (d.levels.bearing?.soil === soil.id) d.levels.bearing = null;
                })
              }
            >
              <Trash2 size={15} aria-hidden />
            </Button>
          </Flex>
          <Select
            aria-label={t('ground.soilKind')}
            value={soil.kind}
            onChange={(event) =>
              edit((d) => {
                d.ground.soils[i]!.kind = event.target.value as SoilKind;
              })
            }
          >
            {SOIL_KINDS.map((kind) => (
              <option key={kind} value={kind}>
                {t(`soil.${kind}`)} · {SOILS[kind].uscs}
              </option>
            ))}
          </Select>
          {i > 0 && <PlanField label={t('ground.top')} path={`/ground/soils/${i}/top`} />}
          <details>
            <summary style={{ fontSize: '0.8rem', cursor: 'pointer' }}>{t('ground.values')}</summary>
            <Stack gap={1.5} pt={1.5}>
              {(['swell', 'shrink', 'density', 'repose', 'permeability'] as const).map((value) => {
                const typical = SOILS[soil.kind];
                const placeholder =
                  value === 'permeability' ? Math.sqrt(typical.k[0] * typical.k[1]) : typical[value];
                return (
                  <PlanField
                    key={value}
                    label={t(`input.${value}`)}
                    hint={soil.values[value] === undefined ? t('origin.typical') : t('origin.typed')}
                    path={`/ground/soils/${i}/values/${value}`}
                    placeholder={placeholder}
                    optional
                  />
                );
              })}
            </Stack>
          </details>
        </Stack>
      ))}
      <Button
        onClick={() =>
          edit((d) => {
            const last = d.ground.soils[d.ground.soils.length - 1];
            const top = (last?.top ?? 0) + 0.5;
            d.ground.soils.push({
              id: nextName(
                'soil-',
                d.ground.soils.map((s) => s.id),
              ),
              name: '',
              kind: 'stiffClay',
              top,
              values: {},
            });
            d.ground.base = Math.max(d.ground.base, top + 1);
          })
        }
      >
        {t('ground.addSoil')}
      </Button>
      <PlanField label={t('ground.base')} hint={t('ground.baseHint')} path="/ground/base" />
    </Panel>
  );
});

const WaterLevel = memo(function WaterLevel() {
  const { t } = useTranslation();
  const format = useFormat();
  const water = useDesk((desk) => desk.plan.ground.water);
  const surface = useDesk((desk) => desk.plan.ground.surface);
  return (
    <Panel title={t('ground.water')}>
      <PlanField
        label={t('ground.waterLevel')}
        hint={
          water === null
            ? t('ground.noWater')
            : t('ground.waterDown', { depth: format.text(surface.level - water, 'length') })
        }
        path="/ground/water"
        optional
      />
    </Panel>
  );
});

const Frost = memo(function Frost() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const frost = useDesk((desk) => desk.plan.ground.frost);
  const result = useTakeoff().frost;
  const { climate } = frost;
  const set = (key: 'index' | 'days' | 'mean' | 'nFactor') => (
    <PlanField key={key} label={t(`ground.climate.${key}`)} path={`/ground/frost/climate/${key}`} />
  );
  return (
    <Panel title={t('ground.frost')} aside={result.governs && t(`ground.governs.${result.governs}`)}>
      <PlanField
        label={t('ground.frostLocal')}
        hint={t('ground.frostLocalHint')}
        path="/ground/frost/local"
        optional
      />
      <PlanField label={t('ground.frostMargin')} path="/ground/frost/margin" />
      <Toggle
        label={t('ground.byClimate')}
        on={climate !== null}
        onChange={(on) =>
          store.getState().edit((d) => {
            d.ground.frost.climate = on ? { index: 300, days: 100, mean: 8, nFactor: 0.7 } : null;
          })
        }
      />
      {climate && (
        <>
          {(['index', 'days', 'mean', 'nFactor'] as const).map(set)}
          {result.computed !== null && (
            <Fact
              label={t('ground.frostComputed')}
              note="Aldrich & Paynter 1953; Kersten 1949"
              value={format.text(result.computed, 'length')}
            />
          )}
        </>
      )}
      {result.depth !== null ? (
        <Fact label={t('ground.frostDesign')} value={format.text(result.depth, 'length')} />
      ) : (
        <Box>
          <Small>{t('ground.noFrost')}</Small>
        </Box>
      )}
    </Panel>
  );
});
