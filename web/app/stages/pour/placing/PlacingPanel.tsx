/** How a pour is brought and placed: its way and rate, trucks by the clock, where a joint falls, how fast a form fills. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { elementName, type PouredBy, placingRate, type RiseAt } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useJobId } from '../../../state/jobId.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import {
  clockText,
  everyText,
  jointText,
  layersText,
  riseText,
  truckNotes,
} from '../../../ui/placingWords.ts';
import { pourName } from '../../../ui/pourName.ts';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { Panel, PlanField, Toggle } from '../../fields.tsx';
import { useChosenPour, usePlacing } from './usePlacing.ts';

/** What can hurt while concrete is placed. */
const WATCHED = ['lineTied', 'atEdge', 'lifting', 'noneBetween', 'burns'] as const;
const WAYS = ['chute', 'barrow', 'pump', 'skip'] as const;

export function PlacingPanel() {
  const { t } = useTranslation();
  // What is typed wrong leaves nothing worked out: its field stays.
  if (useDesk((desk) => desk.plan.elements.length === 0)) return null;
  return (
    <Panel fold="shut" title={t('pouring.title')}>
      <Which />
      <Come />
      <NoJoint />
      <details>
        <Box as="summary" cursor="pointer" fontSize="sm">
          {t('pouring.how')}
        </Box>
        <Way />
      </details>
      <details>
        <Box as="summary" cursor="pointer" fontSize="sm">
          {t('pouring.watch.title')}
        </Box>
        <Box as="ul" listStyleType="none" fontSize="sm" data-watch>
          {WATCHED.map((code) => (
            <li key={code}>{t(`pouring.watch.${code}`)}</li>
          ))}
        </Box>
      </details>
    </Panel>
  );
}

/** Which pour is looked at, here and in the drawing. */
export function Which() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { pours } = useTakeoff();
  const chosen = useChosenPour();
  if (!chosen || pours.length < 2) return null;
  return (
    <Choice
      label={t('pouring.which')}
      value={chosen.id}
      options={pours.map((pour) => ({ value: pour.id, label: pourName(t, pour) }))}
      onChange={(pour) => store.getState().look({ pour, poured: 0 })}
    />
  );
}

function Way() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const { placing } = plan.pour;
  const { edit, look } = store.getState();
  return (
    <Stack gap={2} pt={2}>
      <Choice
        label={t('pouring.by')}
        value={placing.by}
        options={WAYS.map((value) => ({ value, label: t(`pouring.ways.${value}`) }))}
        onChange={(by) =>
          edit((d) => {
            d.pour.placing.by = by;
          })
        }
      />
      {placing.by === 'barrow' && (
        <>
          <PlanField path="/pour/placing/distance" />
          <PlanField path="/pour/placing/barrows" />
        </>
      )}
      <PlanField
        path="/pour/placing/rate"
        optional
        placeholder={placing.rate === null ? placingRate(plan).rate : undefined}
      />
      <Flex gap={2} align="center" wrap="wrap">
        <Button size="sm" onClick={() => look({ placing: { what: 'letOff' } })}>
          {t('pouring.fromPlace')}
        </Button>
        <Small>
          {placing.from === null
            ? t('pouring.fromNone')
            : `${t('pouring.from')} ${placing.from.map((one) => one.toFixed(1)).join(' / ')}`}
        </Small>
      </Flex>
      <TextField
        label={t('pouring.first')}
        type="time"
        value={placing.first ?? plan.dig.day.start}
        onChange={({ target }) =>
          edit((d) => {
            d.pour.placing.first = target.value || null;
          }, 'field:/pour/placing/first')
        }
      />
      <PlanField path="/pour/placing/travel" optional />
      <PlanField path="/pour/placing/limit" optional />
      <PlanField path="/pour/placing/open" />
      <PlanField path="/pour/placing/temperature" optional placeholder={20} />
      <PlanField path="/pour/placing/layer" />
      <PlanField path="/pour/placing/reach" />
    </Stack>
  );
}

/** Trucks one by one, each with how late it is. */
function Come() {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const jobId = useJobId();
  const made = usePlacing();
  if (!made) return null;
  const { open, temperature } = made;
  return (
    <Stack gap={1.5} data-poured-by={made.pour.id}>
      <Box fontWeight={600}>{everyText(t, format, made)}</Box>
      <Small>
        {t('pouring.fresh', {
          minutes: Math.round(open),
          temperature: format.text(temperature, 'temperature'),
        })}
      </Small>
      {made.spacing > open + 1e-6 && !made.pour.mixed && (
        <Small color="held">{t('pouring.openShort', { minutes: Math.round(made.spacing) })}</Small>
      )}
      {!made.pour.mixed &&
        made.trucks.map((truck) => <TruckRow key={truck.truck} made={made} truck={truck} />)}
      <Joints made={made} />
      <Layers made={made} />
      {/* What a form was built for is for others to say: until they have, nothing is told of how fast it may fill. */}
      {made.rises.length > 0 &&
        (plan.pour.forms.permitted === null ? (
          <Small>{t('pouring.keepsNone')}</Small>
        ) : (
          made.rises.map((rise) => <Rises key={rise.cast} rise={rise} />)
        ))}
      <a
        href={`/jobs/${jobId}/pour-sheet.pdf?pour=${encodeURIComponent(made.pour.id)}`}
        target="_blank"
        rel="noreferrer"
      >
        {t('pouring.sheet')}
      </a>
    </Stack>
  );
}

/** More trucks than this stand in the drawing only. */
const MOST_ROWS = 24;

function TruckRow({ made, truck: own }: { made: PouredBy; truck: PouredBy['trucks'][number] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const pour = made.pour.id;
  const { truck } = own;
  const delay = useDesk((desk) =>
    desk.plan.pour.placing.delays.find((one) => one.pour === pour && one.truck === truck),
  );
  const limit = useDesk((desk) => desk.plan.pour.placing.limit);
  if (truck > MOST_ROWS) return null;
  const put = ({ hours, plant }: { readonly hours?: number | null; readonly plant?: boolean }) =>
    store.getState().edit((d) => {
      const { delays } = d.pour.placing;
      const at = delays.findIndex((one) => one.pour === pour && one.truck === truck);
      if (hours === null) {
        if (at >= 0) delays.splice(at, 1);
        return;
      }
      const known = delays[at];
      const next = { pour, truck, hours: hours ?? known?.hours ?? 0, plant: plant ?? known?.plant ?? false };
      if (known) Object.assign(known, next);
      else delays.push(next);
    }, `delay:${pour}:${truck}`);
  const told = [
    `${t('pouring.due')} ${clockText(own.due)}`,
    `${t('pouring.comes')} ${clockText(own.arrives)}`,
    `${t('pouring.begins')} ${clockText(own.begins)}`,
    `${t('pouring.empty')} ${clockText(own.ends)}`,
    ...truckNotes(t, format, { ...made, old: [] }, own, limit),
  ];
  return (
    <Box
      data-truck={truck}
      data-gap={Math.round(own.gap)}
      borderTopWidth="1px"
      borderStyle="solid"
      borderColor="rule"
      pt={1}
    >
      <Flex gap={2} align="baseline" justify="space-between">
        <Box fontWeight={600} flex="1">
          {t('pouring.truck')} {truck}, {format.text(own.volume, 'volume')}
        </Box>
        <Small>{t('pouring.late')}</Small>
        <QuantityField
          label={`${t('pouring.late')}, ${t('pouring.truck')} ${truck}`}
          bare
          optional
          width="92px"
          range="/pour/placing/delays/*/hours"
          value={delay?.hours ?? null}
          onCommit={(hours) => put({ hours })}
          onSettle={store.getState().settle}
        />
      </Flex>
      <Small>{told.join(' · ')}</Small>
      {made.old.includes(truck) && (
        <Small color="held">{t('pouring.tooOld', { limit: format.text(limit ?? 0, 'hours') })}</Small>
      )}
      {delay !== undefined && (
        <Toggle label={t('pouring.plant')} on={delay.plant} onChange={(plant) => put({ plant })} />
      )}
      {own.waits > made.open / 2 && (
        <Small color="held">{t('pouring.early', { truck, minutes: Math.round(own.waits) })}</Small>
      )}
    </Box>
  );
}

function Joints({ made }: { made: PouredBy }) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  if (made.joints.length === 0) return <Small>{t('pouring.noJoints')}</Small>;
  return (
    <Stack gap={1}>
      {made.joints.map((joint) => (
        <Box
          key={`${joint.element} ${joint.against} ${joint.layers}`}
          borderLeftWidth="4px"
          borderStyle="solid"
          borderColor={joint.banned ? 'held' : 'earth'}
          pl={2}
          fontSize="sm"
          data-joint={joint.element}
          data-banned={joint.banned}
        >
          {jointText(t, plan, joint)}
          {joint.banned && <Small color="held">{t('pouring.jointBanned')}</Small>}
        </Box>
      ))}
      <Small>{t('pouring.jointDo')}</Small>
    </Stack>
  );
}

/** In how many layers it is vibrated. */
function Layers({ made }: { made: PouredBy }) {
  const { t } = useTranslation();
  const format = useFormat();
  const reach = useDesk((desk) => desk.plan.pour.placing.reach);
  const said = layersText(t, format, made, reach);
  return said === null ? null : <Small>{said}</Small>;
}

function Rises({ rise }: { rise: RiseAt }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const { rises, keeps } = riseText(t, format, plan, rise);
  return (
    <Box fontSize="sm" data-rise={rise.element} data-over={rise.over}>
      {rises}
      {keeps !== null && <Small color={rise.over ? 'held' : 'soft'}>{keeps}</Small>}
    </Box>
  );
}

/** Whether the thing picked bears a joint. */
function NoJoint() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const picked = useDesk((desk) => desk.picked);
  const plan = useDesk((desk) => desk.plan);
  if (picked === null) return null;
  return (
    <Toggle
      label={t('pouring.noJointHere', { name: elementName(plan, picked) })}
      on={plan.pour.placing.noJoint.includes(picked)}
      onChange={(on) =>
        store.getState().edit((d) => {
          const { placing } = d.pour;
          placing.noJoint = on ? [...placing.noJoint, picked] : placing.noJoint.filter((id) => id !== picked);
        })
      }
    />
  );
}
