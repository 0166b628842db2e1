/** When each truck is wanted: machine and trucks by the clock, and every load with its hour. */
import { Box, Flex } from '@chakra-ui/react';
import { clockAfter, minutesOf, type TruckTimes, truckTimes } from '@cimiento/core';
import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { ink } from '../../drawing/hatches.tsx';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { clockText } from '../../ui/clock.ts';
import { Input, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Verdict } from '../../ui/Verdict.tsx';
import { PlanField } from '../fields.tsx';
import { useOrder } from './useOrder.ts';

const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
/** Left for the names of the rows, and a row's height, px. */
const NAMES = 62;
const ROW = 24;
const TOP = 22;

export const FLEETS = Array.from({ length: 8 }, (_, i) => ({ value: String(i + 1), label: String(i + 1) }));

export function TrucksView({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const order = useOrder();
  // Until an order is worked out, and where none exists, digs come as they are listed.
  const ids = order?.ok ? order.steps.map((step) => step.id) : plan.elements.map((e) => e.id);
  const key = ids.join(' ');
  const times = useMemo(() => truckTimes(plan, takeoff, key.split(' ')), [plan, takeoff, key]);
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('trucks.title')}>
      <DrawingHead>
        {head}
        <Small>{order?.ok ? t('trucks.inOrder') : t('trucks.asListed')}</Small>
      </DrawingHead>
      <Box flex="1" minH={0} overflowY="auto" px={3} pb={2} tabIndex={0} data-trucks={times.loads.length}>
        <Fields />
        <Waiting times={times} />
        {times.digs.length > 0 && <Chart times={times} />}
        <Loads times={times} />
      </Box>
    </Flex>
  );
}

/** The working day and the trucks that run. */
function Fields() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const day = useDesk((desk) => desk.plan.dig.day);
  const fleet = useDesk((desk) => desk.plan.spoil.fleet);
  const { edit } = store.getState();
  return (
    <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(176px, 1fr))" gap={2} pb={1.5}>
      <label>
        <Box as="span" fontSize="sm">
          {t('trucks.start')}
        </Box>
        <Input
          type="time"
          value={day.start}
          required
          onChange={(event) => {
            const start = event.target.value;
            // While it is being typed the browser gives nothing.
            if (start)
              edit((d) => {
                d.dig.day.start = start;
              }, 'day-start');
          }}
          onBlur={store.getState().settle}
        />
      </label>
      <PlanField stacked path="/dig/day/hours" />
      <PlanField stacked path="/spoil/trip" />
      <Choice
        beside={false}
        label={t('trucks.fleet')}
        value={String(fleet)}
        options={FLEETS}
        onChange={(next) =>
          edit((d) => {
            d.spoil.fleet = Number(next);
          })
        }
      />
    </Box>
  );
}

function Waiting({ times }: { times: TruckTimes }) {
  const { t } = useTranslation();
  const format = useFormat();
  const fleet = useDesk((desk) => desk.plan.spoil.fleet);
  if (times.loads.length === 0) return <Small fontSize="sm">{t('trucks.none')}</Small>;
  const waits = times.machineWaits > 1 / 60;
  return (
    <Verdict ok={!waits} name={waits ? 'waits' : 'ok'}>
      {waits
        ? t('trucks.machineWaits', { hours: format.text(times.machineWaits, 'hours') })
        : t('trucks.nobodyWaits')}
      {times.enough !== null && times.enough !== fleet && ` ${t('trucks.enough', { count: times.enough })}`}
    </Verdict>
  );
}

/** Machine above, trucks under it, hours of work along; nights are lines. */
function Chart({ times }: { times: TruckTimes }) {
  const { t } = useTranslation();
  const plan = useShownPlan();
  const [frame, { width }] = useSize(760, 120);
  const { day } = plan.dig;
  const back = plan.spoil.trip / 60;
  const fleet = Math.max(0, ...times.loads.map((load) => load.truck + 1));
  const height = TOP + ROW * (fleet + 1) + 6;
  const x = scaleLinear([0, Math.max(0.5, times.ends)], [NAMES, width - 10]);
  const at = (hours: number) => clockText(clockAfter(hours, day).minutes);
  const ticks = hourTicks(times.ends, day.start, day.hours, (width - NAMES) / 58);
  const name = (id: string) => plan.elements.find((e) => e.id === id)?.name ?? '';
  const y = (row: number) => TOP + ROW * row;
  return (
    <Box ref={frame} position="relative" h={`${height}px`}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={t('trucks.chart')}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
      >
        {ticks.map((hours) => (
          <g key={hours}>
            <path d={`M${x(hours)} ${TOP - 4}V${height}`} stroke={ink('rule')} />
            <text x={x(hours)} y={13} textAnchor="middle" fill={ink('ink')} style={label}>
              {at(hours)}
            </text>
          </g>
        ))}
        {Array.from({ length: Math.floor(times.ends / day.hours - 1e-9) }, (_, i) => (i + 1) * day.hours).map(
          (night) => (
            <path key={night} d={`M${x(night)} 0V${height}`} stroke={ink('ink')} strokeWidth={2} />
          ),
        )}
        <text x={0} y={y(0) + 16} fill={ink('ink')} style={label}>
          {t('machine.title')}
        </text>
        {times.digs.map((dig, i) => (
          <g key={dig.id}>
            <rect
              x={x(dig.from)}
              y={y(0) + 2}
              width={Math.max(1, x(dig.to) - x(dig.from))}
              height={ROW - 5}
              fill={ink(i % 2 === 0 ? 'earth-wash' : 'earth-deep')}
              stroke={ink('earth')}
            />
          </g>
        ))}
        {times.loads
          .filter((load) => load.from - load.wanted > 1e-6)
          .map((load) => (
            <rect
              key={load.wanted}
              x={x(load.wanted)}
              y={y(0) + 2}
              width={x(load.from) - x(load.wanted)}
              height={ROW - 5}
              fill={ink('held')}
              opacity={0.85}
              data-waits
            />
          ))}
        {times.digs
          .filter((dig) => x(dig.to) - x(dig.from) > 7 * name(dig.id).length)
          .map((dig) => (
            <text
              key={dig.id}
              x={x(dig.from) + 4}
              y={y(0) + 16}
              fill={ink('ink')}
              stroke={ink('paper')}
              strokeWidth={3}
              style={{ ...label, paintOrder: 'stroke' }}
            >
              {name(dig.id)}
            </text>
          ))}
        {Array.from({ length: fleet }, (_, truck) => truck).map((truck) => (
          <text key={truck} x={0} y={y(truck + 1) + 16} fill={ink('ink')} style={label}>
            {t('trucks.truck', { n: truck + 1 })}
          </text>
        ))}
        {times.loads.map((load, i) => (
          <g key={load.from} data-load={i + 1}>
            <path
              d={`M${x(load.full)} ${y(load.truck + 1) + 12}H${Math.min(width - 10, x(load.full + back))}`}
              stroke={ink('soft')}
              strokeWidth={2}
              strokeDasharray="3 4"
            />
            <rect
              x={x(load.from)}
              y={y(load.truck + 1) + 3}
              width={Math.max(2, x(load.full) - x(load.from))}
              height={ROW - 7}
              fill={ink('placed-wash')}
              stroke={ink('placed')}
            />
            <text
              x={Math.min(x(load.from) + 4, width - 18)}
              y={y(load.truck + 1) + 16}
              fill={ink('ink')}
              style={label}
            >
              {i + 1}
            </text>
          </g>
        ))}
      </svg>
    </Box>
  );
}

/** Whole and half hours of the clock, as hours of work, no more than fit. */
function hourTicks(ends: number, start: string, day: number, most: number): number[] {
  const step = [0.5, 1, 2, 4, 8, 24].find((size) => ends / size <= most) ?? 48;
  const out: number[] = [];
  for (let first = 0; first < ends + 1e-9; first += day) {
    const off = (((minutesOf(start) / 60) % step) + step) % step;
    for (let h = off === 0 ? 0 : step - off; h < day - 1e-9 && first + h <= ends + 1e-9; h += step)
      out.push(first + h);
  }
  return out;
}

/** Every load: when it is wanted, by which truck, from what. */
function Loads({ times }: { times: TruckTimes }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const { day } = plan.dig;
  const name = (id: string) => plan.elements.find((e) => e.id === id)?.name ?? '';
  const when = (hours: number, ending = false) => clockAfter(hours, day, ending);
  const several = new Set(times.trucks.map((truck) => truck.id)).size > 1;
  return (
    <Box as="ol" display="grid" gridTemplateColumns="repeat(auto-fill, minmax(300px, 1fr))" columnGap={4}>
      {times.loads.map((load, i) => {
        const wanted = when(load.wanted);
        const full = when(load.full, true);
        return (
          <Flex
            as="li"
            key={load.from}
            gap={2}
            align="baseline"
            fontSize="sm"
            borderBottomWidth="1px"
            borderStyle="solid"
            borderColor="rule"
            data-load-row={i + 1}
          >
            <Box as="span" fontFamily="figure" fontWeight={600} w="20px" textAlign="right">
              {i + 1}
            </Box>
            <Box as="span" fontFamily="figure" fontWeight={600} fontSize="md" whiteSpace="nowrap">
              {times.ends > day.hours && `${t('trucks.day', { n: wanted.day })} `}
              {clockText(wanted.minutes)}
            </Box>
            <Box as="span" flex="1" color="soft" fontSize="xs">
              {t('trucks.load', {
                // Its name only where trucks differ.
                truck: several
                  ? `${t('trucks.truck', { n: load.truck + 1 })}, ${times.trucks[i]?.name ?? ''}`
                  : t('trucks.truck', { n: load.truck + 1 }),
                full: `${full.day === wanted.day ? '' : `${t('trucks.day', { n: full.day })} `}${clockText(full.minutes)}`,
                from: load.ids.map(name).join(', '),
              })}
              {load.heaped && ` · ${t('trucks.heaped')}`}
              {load.fill < 0.995 && ` · ${format.text(load.fill, 'percent', { decimals: 0 })}`}
              {load.from - load.wanted > 1 / 120 && (
                <Box as="strong" color="held">
                  {' '}
                  {t('trucks.late', { minutes: Math.round(60 * (load.from - load.wanted)) })}
                </Box>
              )}
            </Box>
          </Flex>
        );
      })}
    </Box>
  );
}
