/** How deep from the string: string, floors, bearing, cover, steps, neighbours, the engineer's word. */
import { Box, Flex } from '@chakra-ui/react';
import { type FloorSpec, isAssumed, isRun, LEAST_LAP, SPLASH, traitsOf } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { Explain } from '../../ui/Explain.tsx';
import { useFormat } from '../../ui/format.tsx';
import { NameRow } from '../../ui/NameRow.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';
import { addFloor, removeFloor } from './floors.ts';
import { InstructionsPanel } from './InstructionsPanel.tsx';
import { RuleCosts } from './RuleCosts.tsx';
import { ShallowPanel } from './ShallowPanel.tsx';
import { StringsPanel } from './StringsPanel.tsx';

export function LevelsPanel() {
  const { t } = useTranslation();
  const { datum } = useDesk((desk) => desk.plan);
  const coverAssumed = useDesk((desk) => isAssumed(desk.plan, '/levels/cover'));
  const slabs = useDesk((desk) => desk.plan.elements.some((element) => traitsOf(element).byFloor));
  const store = useDeskStore();
  return (
    <>
      <RuleCosts />
      <Panel title={t('levels.string')}>
        <TextField
          label={t('levels.datumName')}
          value={datum.name}
          maxLength={80}
          onChange={(event) =>
            store.getState().edit((d) => {
              d.datum.name = event.target.value;
            }, 'datum-name')
          }
        />
        <PlanField path="/datum/level" />
        <PlanField path="/levels/string" />
        <PlanField
          hint={t(coverAssumed ? 'levels.coverAssumed' : 'levels.coverHint')}
          path="/levels/cover"
          optional
        />
        {slabs && (
          <PlanField hint={t('levels.splashHint')} path="/levels/splash" placeholder={SPLASH} optional />
        )}
      </Panel>
      <StringsPanel />
      <Bearing />
      <Floors />
      <Carries />
      <Neighbour />
      <InstructionsPanel />
      <ShallowPanel />
      <Prices />
    </>
  );
}

function Bearing() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { levels, ground } = useDesk((desk) => desk.plan);
  const { bearing } = levels;
  return (
    <Panel title={t('levels.bearing')}>
      <Choice
        label={t('levels.bearingSoil')}
        value={bearing?.soil ?? ''}
        options={[
          { value: '', label: t('levels.noBearing') },
          ...ground.soils.map((soil) => ({ value: soil.id, label: soil.name || t(`soil.${soil.kind}`) })),
        ]}
        onChange={(soil) =>
          store.getState().edit((d) => {
            d.levels.bearing = soil === '' ? null : { soil, embedment: d.levels.bearing?.embedment ?? 0.15 };
          })
        }
      />
      {bearing && <PlanField path="/levels/bearing/embedment" />}
    </Panel>
  );
}

function Floors() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const floors = useDesk((desk) => desk.plan.levels.floors);
  const { stacks } = useTakeoff();
  const { edit } = store.getState();
  return (
    <Panel fold="shut" title={t('levels.floor')}>
      {floors.map((floor, i) => {
        const stack = stacks.find((s) => s.floor.id === floor.id);
        return (
          <Flex
            key={floor.id}
            direction="column"
            gap={1.5}
            borderLeftWidth="3px"
            borderStyle="solid"
            borderColor="placed"
            pl={2}
            data-floor={floor.id}
          >
            <NameRow
              label={t('levels.floorName')}
              name={floor.name}
              rename={(name) =>
                edit((d) => {
                  d.levels.floors[i]!.name = name;
                }, `floor-name:${floor.id}`)
              }
              removeLabel={t('levels.removeFloor', { name: floor.name })}
              remove={() => edit((d) => removeFloor(d, floor.id))}
            />
            {floors.length > 1 && (
              <Choice
                label={t('levels.measured')}
                value={floor.above ?? ''}
                options={[
                  { value: '', label: t('levels.fromDatum') },
                  ...floors
                    .filter((other) => other.id !== floor.id)
                    .map((other) => ({ value: other.id, label: t('levels.over', { name: other.name }) })),
                ]}
                onChange={(value) =>
                  edit((d) => {
                    const target = d.levels.floors[i]!;
                    const now = stack?.level ?? target.level;
                    const under = stacks.find((s) => s.floor.id === value)?.level ?? 0;
                    target.above = value === '' ? null : value;
                    // The floor stays where it is; only how it is said changes.
                    target.level = Math.round((value === '' ? now : now - under) * 1e6) / 1e6;
                  })
                }
              />
            )}
            <FloorString floor={floor} index={i} />
            <PlanField
              label={t(floor.above === null ? 'levels.floorLevel' : 'levels.floorOver')}
              path={`/levels/floors/${i}/level`}
            />
            <Choice
              label={t('levels.count')}
              value={floor.count}
              options={(['down', 'up'] as const).map((value) => ({
                value,
                label: t(`levels.counted.${value}`),
              }))}
              onChange={(count) =>
                edit((d) => {
                  d.levels.floors[i]!.count = count;
                })
              }
            />
            {stack?.courses && (
              <Choice
                label={t('levels.landing')}
                value={floor.landing}
                options={(['deepen', 'cut', 'bed'] as const).map((value) => ({
                  value,
                  label: t(`levels.landings.${value}`),
                }))}
                onChange={(landing) =>
                  edit((d) => {
                    d.levels.floors[i]!.landing = landing;
                  })
                }
              />
            )}
            {stack && (
              <Fact label={t('levels.stackUnderside')} value={format.text(stack.underside, 'level')} />
            )}
          </Flex>
        );
      })}
      {floors.length < 8 && (
        <Button
          onClick={() =>
            edit((d) => {
              addFloor(d, `${t('levels.floorName')} ${floors.length + 1}`, t('material.slab'));
            })
          }
        >
          {t('levels.addFloor')}
        </Button>
      )}
    </Panel>
  );
}

/** The string a floor hangs on, when there are several. */
function FloorString({ floor, index }: { floor: FloorSpec; index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const strings = useDesk((desk) => desk.plan.levels.strings);
  if (strings.length === 0) return null;
  return (
    <Choice
      label={t('strings.hangsOn')}
      value={floor.string ?? ''}
      options={[
        { value: '', label: t('strings.job') },
        ...strings.map((one) => ({ value: one.id, label: one.name })),
      ]}
      onChange={(value) =>
        store.getState().edit((d) => {
          d.levels.floors[index]!.string = value === '' ? null : value;
        })
      }
    />
  );
}

/** Of the element picked: its floor, how the courses come out, and whether it steps. */
function Carries() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const takeoff = useTakeoff();
  const { edit } = store.getState();
  const i = plan.elements.findIndex((e) => e.id === picked);
  const element = plan.elements[i];
  const info = takeoff.elements[i];
  if (!element || !info) return null;
  const { floors } = plan.levels;
  const fit = info.decision?.courses ?? null;
  return (
    <Panel title={t('carries.title', { name: element.name })}>
      {floors.length > 0 && (
        <Choice
          label={t('carries.floor')}
          value={element.floor ?? ''}
          options={[
            { value: '', label: t('carries.first', { name: floors[0]?.name ?? '' }) },
            ...floors.map((floor) => ({ value: floor.id, label: floor.name })),
          ]}
          onChange={(floor) =>
            edit((d) => {
              d.elements[i]!.floor = floor === '' ? null : floor;
            })
          }
        />
      )}
      {info.decision?.closure != null && info.live && (
        <Fact
          label={t(info.decision.closure >= 0 ? 'carries.closure' : 'carries.clash')}
          value={format.text(Math.abs(info.decision.closure), 'size')}
        />
      )}
      {fit && (
        <Small fontSize="sm">
          {fit.left === 0
            ? t('carries.even', { count: fit.count })
            : t('carries.odd', {
                count: fit.count,
                left: format.text(fit.left, 'size'),
                cut: fit.cut === null ? '–' : format.text(fit.cut, 'size'),
                bed: fit.bed === null ? '–' : format.text(fit.bed, 'size'),
              })}
        </Small>
      )}
      {isRun(element) && (
        <>
          <Toggle
            label={t('carries.stepped')}
            on={element.stepped}
            onChange={(on) => {
              edit((d) => {
                const target = d.elements[i];
                if (target && isRun(target)) target.stepped = on;
              });
              const { look, view } = store.getState();
              if (on) look({ lower: { ...view.lower, levels: 'long' } });
            }}
          />
          {element.stepped && (
            <>
              <PlanField
                hint={t('carries.heightHint')}
                path="/levels/steps/height"
                placeholder={info.steps?.height}
                optional
              />
              <PlanField
                hint={t('carries.lapHint', { least: format.text(LEAST_LAP, 'limit') })}
                path="/levels/steps/lap"
                placeholder={info.steps?.lap}
                optional
              />
              <PlanField path="/levels/steps/tread" placeholder={info.steps?.tread} optional />
              {info.steps && (
                <Fact
                  label={t('carries.steps')}
                  note={t('carries.stepsNote', {
                    low: format.text(info.steps.low, 'level'),
                    high: format.text(info.steps.high, 'level'),
                  })}
                  value={String(info.steps.count)}
                />
              )}
              {!info.steps && info.decision?.instruction && <Small>{t('carries.wordStops')}</Small>}
            </>
          )}
        </>
      )}
    </Panel>
  );
}

const INFLUENCES = [
  { value: '1', label: '45°', tangent: 1 },
  { value: '0.5', label: '1 : 2', tangent: 0.5 },
] as const;

/** A neighbour's footing bounds the dig from below. */
function Neighbour() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { hazards } = useDesk((desk) => desk.plan.ground);
  const influence = useDesk((desk) => desk.plan.levels.influence);
  const elements = useDesk((desk) => desk.plan.elements);
  const { clashes } = useTakeoff();
  const footings = hazards.filter((hazard) => hazard.kind === 'footing');
  if (footings.length === 0) return null;
  return (
    <Panel fold="shut" title={t('neighbour.title')}>
      <Explain term="influence" />
      <Choice
        label={t('neighbour.influence')}
        value={INFLUENCES.find((entry) => entry.tangent === influence)?.value ?? ''}
        options={[
          ...INFLUENCES,
          ...(INFLUENCES.some((entry) => entry.tangent === influence)
            ? []
            : [{ value: '', label: format.text(influence, 'number') }]),
        ]}
        onChange={(value) =>
          store.getState().edit((d) => {
            d.levels.influence = INFLUENCES.find((entry) => entry.value === value)?.tangent ?? influence;
          })
        }
      />
      {footings.map((hazard) => {
        const own = clashes.filter((clash) => clash.hazard === hazard.id && clash.what !== 'keepOff');
        return (
          <Box key={hazard.id} fontSize="sm">
            <strong>{hazard.name}.</strong>{' '}
            {own.length === 0
              ? t('neighbour.clear')
              : own.map((clash) => (
                  <Box as="p" key={clash.element + clash.what}>
                    {t(`hazard.clash.${clash.what}`, {
                      name: elements.find((e) => e.id === clash.element)?.name ?? '',
                      distance: format.text(clash.distance, 'length'),
                      limit: format.text(clash.limit, clash.what === 'cutBack' ? 'size' : 'level'),
                      by: format.text(clash.by, 'size'),
                    })}
                  </Box>
                ))}
            {own.some((clash) => clash.what === 'influence') && <Small>{t('neighbour.ways')}</Small>}
          </Box>
        );
      })}
    </Panel>
  );
}

/** What things cost here: without prices a change shows volumes only. */
function Prices() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const currency = useDesk((desk) => desk.plan.prices.currency);
  const priced = useDesk(({ plan: { prices } }) =>
    Object.values(prices).some((price) => typeof price === 'number'),
  );
  return (
    <Panel fold="shut" title={t('prices.title')}>
      <TextField
        label={t('prices.currency')}
        value={currency}
        maxLength={8}
        onChange={(event) =>
          store.getState().edit((d) => {
            d.prices.currency = event.target.value;
          }, 'currency')
        }
      />
      {(['dig', 'load', 'stone', 'lean', 'concrete', 'shoring', 'machineHour'] as const).map((key) => (
        <PlanField key={key} path={`/prices/${key}`} money={currency} optional />
      ))}
      {currency.trim() === '' && priced && <Small>{t('prices.which')}</Small>}
    </Panel>
  );
}
