/** What keeps a soil out of the stone that drains it: cloth, stone or none, by its grading. */
import { Flex, Stack } from '@chakra-ui/react';
import {
  assumedGrading,
  clothLimits,
  FILTER_STONES,
  FILTERS,
  type FilterStone,
  type Grading,
  type Plan,
  type Problem,
  SOILS,
  STONE_GRADINGS,
  startOf,
  sticky,
  stoneFaults,
  stoneLimits,
} from '@cimiento/core';
import { readGradingCsv } from '@cimiento/formats';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../../ui/controls.tsx';
import { FilePick } from '../../../ui/FilePick.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { problemText, soilName } from '../../../ui/words.ts';
import { Panel, PlanField, Toggle } from '../../fields.tsx';
import { WayFrame } from '../../WayFrame.tsx';
import { GradingChart } from './GradingChart.tsx';

type FilterOf = Plan['water']['filters'][number];
type Soil = Plan['ground']['soils'][number];

const MOST = 24;

/** What a soil's filter is before anybody has said anything. */
const blank = (soil: string): FilterOf => ({
  soil,
  grading: [],
  by: null,
  stone: 'concreteSand',
  woven: false,
  reason: '',
});

export function FilterPanel() {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const { soils } = plan.ground;
  const [picked, pick] = useState<string | null>(null);
  const soil = soils.find(({ id }) => id === (picked ?? plan.water.filters[0]?.soil)) ?? soils.at(-1)!;
  const at = plan.water.filters.findIndex((one) => one.soil === soil.id);
  return (
    <Panel title={t('filter.title')} fold="shut">
      <Choice
        label={t('filter.of')}
        value={soil.id}
        options={soils.map((one) => ({ value: one.id, label: soilName(t, plan, one) }))}
        onChange={pick}
      />
      <One key={soil.id} soil={soil} at={at} />
    </Panel>
  );
}

function One({ soil, at }: { soil: Soil; at: number }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const kept = useDesk((desk) => desk.plan.water.filters[at]);
  const own = kept ?? blank(soil.id);
  const typed = own.grading.length >= 2;
  const grading: Grading | null = typed ? own.grading : assumedGrading(soil.kind);
  const put = (change: (filter: FilterOf) => void, key?: string) =>
    edit((d) => {
      const list = d.water.filters;
      const index = list.findIndex((one) => one.soil === soil.id);
      if (index >= 0) change(list[index] as FilterOf);
      else {
        const made = structuredClone(own) as FilterOf;
        change(made);
        list.push(made as (typeof list)[number]);
      }
    }, key);
  return (
    <Stack gap={2} data-filter={soil.id}>
      <Small data-grading={typed ? 'typed' : grading ? 'assumed' : 'none'}>
        {t(typed ? 'filter.typed' : grading ? 'filter.assumed' : 'filter.noGrading')}
      </Small>
      {grading && <GradingChart soil={grading} stone={STONE_GRADINGS[own.stone]} />}
      {grading && <Criteria soil={soil} grading={grading} own={own} put={put} />}
      <Schools soil={soil} />
      {FILTERS.map((by) => (
        <WayFrame key={by} here={own.by === by} data-filter-by={by}>
          <Flex justify="space-between" align="center" gap={2}>
            <strong>{t(`night.filters.${by}`)}</strong>
            {own.by === by ? (
              <Small>{t('rain.now')}</Small>
            ) : (
              <Button
                size="sm"
                aria-label={t('rain.takeNamed', { mean: t(`night.filters.${by}`) })}
                onClick={() =>
                  put((filter) => {
                    filter.by = by;
                  })
                }
              >
                {t('rain.take')}
              </Button>
            )}
          </Flex>
        </WayFrame>
      ))}
      {own.by !== null && (
        <TextField
          label={t('dewatering.reason')}
          value={own.reason}
          maxLength={400}
          onChange={(event) =>
            put((filter) => {
              filter.reason = event.target.value;
            }, `filter-reason:${soil.id}`)
          }
        />
      )}
      <Sieves at={at} count={own.grading.length} put={put} />
    </Stack>
  );
}

type Put = (change: (filter: FilterOf) => void, key?: string) => void;

/** What the published criteria ask of stone and of cloth for this soil. */
function Criteria({ soil, grading, own, put }: { soil: Soil; grading: Grading; own: FilterOf; put: Put }) {
  const { t } = useTranslation();
  const format = useFormat();
  const known = useTakeoff().soils.find(({ layer }) => layer.id === soil.id);
  const k = known?.k[1] ?? Math.sqrt(SOILS[soil.kind].k[0] * SOILS[soil.kind].k[1]);
  const limits = stoneLimits(grading);
  const cloth = clothLimits(grading, k, own.woven);
  // To two figures or so: no sieve is read closer.
  const mm = (m: number) =>
    format.text(m, 'grain', { decimals: m >= 0.01 ? 0 : m >= 0.001 ? 1 : m >= 1e-4 ? 2 : 3 });
  if (!limits || !cloth) return <Small color="held">{t('filter.short')}</Small>;
  const faults = stoneFaults(limits, STONE_GRADINGS[own.stone]);
  return (
    <>
      <strong>{t('filter.stone')}</strong>
      <Small data-stone-limits={limits.base}>
        {t('filter.stoneAsks', {
          least: mm(limits.least),
          most: mm(limits.most),
          fines: format.text(limits.fines, 'percent'),
        })}
      </Small>
      <Choice<FilterStone>
        label={t('filter.sold')}
        value={own.stone}
        options={FILTER_STONES.map((value) => ({ value, label: t(`filter.stones.${value}`) }))}
        onChange={(stone) =>
          put((filter) => {
            filter.stone = stone;
          })
        }
      />
      <Small color={faults.length > 0 ? 'held' : 'placed'} data-stone-faults={faults.join() || 'fits'}>
        {faults.length > 0 ? faults.map((fault) => t(`filter.fault.${fault}`)).join(' ') : t('filter.fits')}
      </Small>
      <strong>{t('night.filters.cloth')}</strong>
      <Toggle
        label={t('filter.woven')}
        on={own.woven}
        onChange={(woven) =>
          put((filter) => {
            filter.woven = woven;
          })
        }
      />
      <Small data-cloth={cloth.most}>
        {[
          t('filter.clothMost', { most: mm(cloth.most) }),
          cloth.least === null
            ? t('filter.clothOneSize')
            : t('filter.clothLeast', { least: mm(cloth.least) }),
          t('filter.clothK', {
            k: format.text(cloth.k, 'permeability'),
            severe: format.text(cloth.severe, 'permeability'),
          }),
        ].join(' ')}
      </Small>
      {cloth.least !== null && cloth.least > cloth.most && (
        <Small color="held">{t('filter.clothNone')}</Small>
      )}
    </>
  );
}

/** The two schools, and what each risks in this soil. */
function Schools({ soil }: { soil: Soil }) {
  const { t } = useTranslation();
  const clay = sticky(soil.kind);
  return (
    <Small data-sticky={clay}>
      {t(clay ? 'filter.sticky' : 'filter.loose')} {t('filter.source')}
    </Small>
  );
}

/** A sieve test, typed row by row or read from a file. */
function Sieves({ at, count, put }: { at: number; count: number; put: Put }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { plan } = useDeskStore().getState();
  const [problem, setProblem] = useState<Problem | null>(null);
  const take = async (file: File) => {
    const read = readGradingCsv(await file.text());
    setProblem(read.ok ? null : read.problem);
    if (read.ok)
      put((filter) => {
        filter.grading = read.grading.map((point) => ({ ...point }));
      });
  };
  return (
    <>
      {Array.from({ length: at < 0 ? 0 : count }, (_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a sieve is known by its place
        <Flex key={i} gap={2} role="group" aria-label={t('proof.point', { n: i + 1 })}>
          <PlanField stacked path={`/water/filters/${at}/grading/${i}/size`} />
          <PlanField stacked path={`/water/filters/${at}/grading/${i}/passing`} />
        </Flex>
      ))}
      <Flex gap={2} wrap="wrap">
        {count < MOST && (
          <Button
            size="sm"
            onClick={() =>
              put((filter) => {
                const last = filter.grading.at(-1);
                filter.grading.push(
                  last
                    ? { size: Math.min(0.3, 2 * last.size), passing: last.passing }
                    : {
                        size: startOf('/water/filters/*/grading/*/size', plan.system),
                        passing: startOf('/water/filters/*/grading/*/passing', plan.system),
                      },
                );
              })
            }
          >
            {t('filter.addSieve')}
          </Button>
        )}
        <FilePick accept=".csv,.txt,text/csv" name="grading" onFile={(file) => void take(file)}>
          {t('filter.csv')}
        </FilePick>
        {count > 0 && (
          <Button
            size="sm"
            look="quiet"
            onClick={() =>
              put((filter) => {
                filter.grading = [];
              })
            }
          >
            {t('filter.forget')}
          </Button>
        )}
      </Flex>
      {problem && <FieldError role="alert">{problemText(t, format, problem)}</FieldError>}
    </>
  );
}
