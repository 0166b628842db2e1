/** How the water of a hole may be held, side by side; when it begins, what it does around, where it goes. */

import { Flex } from '@chakra-ui/react';
import {
  APART,
  type DewateredHole,
  DISCHARGES,
  type Discharge,
  HOLDINGS,
  type Holding,
  holds,
  trickles,
} from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDewatering } from '../../../state/ask/whatif.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { Explain } from '../../../ui/Explain.tsx';
import { type Format, useFormat } from '../../../ui/format.tsx';
import { pumpText } from '../../../ui/plant.ts';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { Fact, Panel } from '../../fields.tsx';
import { WayFrame } from '../../WayFrame.tsx';
import { lasting } from './use.ts';

export function DewateringPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const held = useDewatering(plan);
  const taken = plan.water.holding?.by;
  const hole = held?.find(({ elements }) => elements.includes(element)) ?? held?.[0];
  if (held === null) return null;
  const trickle = hole !== undefined && trickles(hole.inflow);
  return (
    <>
      {hole && (
        <Panel title={t('dewatering.title')}>
          {trickle && <Small data-trickle>{t('dewatering.trickle')}</Small>}
          {/* What cannot hold it is not offered; what the plan has taken stays in sight. */}
          {HOLDINGS.filter((by) => (!trickle && holds(hole, by)) || by === taken).map((by) => (
            <Way key={by} by={by} hole={hole} />
          ))}
          {!trickle && <Begins hole={hole} />}
          <Around hole={hole} />
          <Goes hole={hole} />
        </Panel>
      )}
    </>
  );
}

function Way({ by, hole }: { by: Holding; hole: DewateredHole }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const holding = useDesk((desk) => desk.plan.water.holding);
  const here = holding?.by === by;
  const able = holds(hole, by);
  return (
    <WayFrame here={here} data-holding={by} data-able={able}>
      <Flex justify="space-between" align="start" gap={2}>
        <details>
          <summary>
            <strong>{t(`night.holdings.${by}`)}</strong>
          </summary>
          <WaySaid by={by} hole={hole} able={able} format={format} />
          {by === 'wellpoints' && <Explain term="wellpoints" />}
        </details>
        {here ? (
          <Small>{t('rain.now')}</Small>
        ) : (
          <Button
            size="sm"
            aria-label={t('rain.takeNamed', { mean: t(`night.holdings.${by}`) })}
            onClick={() =>
              edit((d) => {
                d.water.holding = { by, reason: holding?.reason ?? '' };
              })
            }
          >
            {t('rain.take')}
          </Button>
        )}
      </Flex>
      {here && (
        <TextField
          label={t('dewatering.reason')}
          value={holding.reason}
          maxLength={400}
          onChange={(event) =>
            edit((d) => {
              if (d.water.holding) d.water.holding.reason = event.target.value;
            }, 'holding-reason')
          }
        />
      )}
    </WayFrame>
  );
}

function WaySaid({
  by,
  hole,
  able,
  format,
}: {
  by: Holding;
  hole: DewateredHole;
  able: boolean;
  format: Format;
}) {
  const { t } = useTranslation();
  const length = (m: number) => format.text(m, 'length');
  const { pumps, points, ring, gravity, lift, inflow } = hole;
  const lines: string[] = [];
  if (by === 'sump')
    for (const { kind, count, flow } of pumps)
      lines.push(
        count === null
          ? t('dewatering.pumpCannot', { pump: pumpText(t, format, kind), lift: length(lift) })
          : t('dewatering.pumpHolds', {
              pump: pumpText(t, format, kind),
              count,
              flow: format.text(flow, 'flow'),
            }),
      );
  if (by === 'ring')
    lines.push(
      t('dewatering.ring', {
        length: length(ring.length),
        drop: format.text(ring.drop, 'size'),
        stone: format.text(ring.stone, 'volume'),
      }),
    );
  if (by === 'gravity')
    lines.push(
      gravity
        ? t(gravity.low ? 'dewatering.gravityLow' : 'dewatering.gravityHigh', { name: gravity.name })
        : t('dewatering.gravityNone'),
    );
  if (by === 'wellpoints') {
    lines.push(
      t('dewatering.points', {
        count: points.count,
        spacing: length(points.spacing),
        lift: length(points.lift),
        most: length(points.most),
      }),
    );
    if (points.tooClose) lines.push(t('dewatering.pointsClose', { least: length(APART.least) }));
    if (points.stages > 1) lines.push(t('dewatering.pointsStages', { count: points.stages }));
  }
  if (by === 'sump') lines.push(t('dewatering.spare', { flow: format.text(inflow[2], 'flow') }));
  return (
    <>
      {lines.map((line) => (
        <Small key={line} color={able ? 'soft' : 'held'}>
          {line}
        </Small>
      ))}
    </>
  );
}

/** How long before the dig it must be drawn down. */
function Begins({ hole: { before } }: { hole: DewateredHole }) {
  const { t } = useTranslation();
  const format = useFormat();
  if (!before) return null;
  const [low, likely, high] = before.hours;
  const said = (hours: number | null | undefined) =>
    hours == null ? t('dewatering.never') : lasting(format, hours);
  return (
    <div data-before={likely ?? 'never'}>
      <Fact
        label={t('dewatering.before')}
        note={t('dewatering.beforeNote', {
          low: said(low),
          high: said(high),
        })}
        value={said(likely)}
      />
    </div>
  );
}

/** How far water falls under what stands near. */
function Around({ hole: { around } }: { hole: DewateredHole }) {
  const { t } = useTranslation();
  const format = useFormat();
  return (
    <details>
      <summary>{t('dewatering.near')}</summary>
      {around.map(({ hazard, name, distance, fall }) => (
        <div key={hazard} data-around={hazard}>
          <Fact
            label={t('dewatering.around', { name })}
            note={t('dewatering.aroundNote', {
              distance: format.text(distance, 'length'),
              low: format.text(Math.min(...fall), 'size'),
              high: format.text(Math.max(...fall), 'size'),
            })}
            value={format.text(fall[1], 'size')}
          />
        </div>
      ))}
      <Small>{t(around.length > 0 ? 'dewatering.aroundHow' : 'dewatering.aroundNone')}</Small>
    </details>
  );
}

/** Where pumped water goes, who has allowed it, and what must settle first. */
function Goes({ hole: { settles } }: { hole: DewateredHole }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const discharge = useDesk((desk) => desk.plan.water.discharge);
  const open = 'open' as const;
  return (
    <>
      <Choice<Discharge | typeof open>
        label={t('night.discharge')}
        value={discharge?.to ?? open}
        options={[
          { value: open, label: t('dewatering.open') },
          ...DISCHARGES.map((value) => ({ value, label: t(`night.discharges.${value}`) })),
        ]}
        onChange={(to) =>
          edit((d) => {
            d.water.discharge = to === open ? null : { to, allowedBy: d.water.discharge?.allowedBy ?? '' };
          })
        }
      />
      {discharge && (
        <>
          <TextField
            label={t('dewatering.allowedBy')}
            value={discharge.allowedBy}
            maxLength={120}
            onChange={(event) =>
              edit((d) => {
                if (d.water.discharge) d.water.discharge.allowedBy = event.target.value;
              }, 'discharge-allowed')
            }
          />
          <Small color={discharge.allowedBy === '' ? 'held' : 'soft'} data-discharge={discharge.to}>
            {t(`dewatering.who.${discharge.to}`)}
          </Small>
        </>
      )}
      {discharge && <Small>{t('dewatering.settles', { area: format.text(settles, 'area') })}</Small>}
    </>
  );
}
