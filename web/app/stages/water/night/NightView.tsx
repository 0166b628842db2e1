/** The night on a chart: rain from above, water in the hole from below, what is dry by when; and played. */
import { Box, Flex } from '@chakra-ui/react';
import { type Element, levelAt, localAfter, type Measured, type Night, type NightHole } from '@cimiento/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState } from 'react';
import { DrawingHead } from '../../../drawing/DrawingHead.tsx';
import { ink } from '../../../drawing/hatches.tsx';
import { useSize } from '../../../drawing/useSize.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useNight } from '../../../state/ask/whatif.ts';
import { useDesk } from '../../../state/store.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { type InstrumentKind, Instruments, type Said } from './Instruments.tsx';
import { NightPlayer } from './NightPlayer.tsx';
import { clock, lasting, namesOf, STEPS, useHole } from './use.ts';

const PAD = { left: 62, right: 92, top: 12, bottom: 24 } as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
/** So far under what must be dry the chart goes down: what goes on in a sump is not its matter, m. */
const UNDER = 0.12;

export function NightView({ head }: { head: React.ReactNode; element: Element | undefined }) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const answer = useNight(plan);
  const { night, hole } = useHole();
  const step = useDesk((desk) => desk.view.hour);
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('lower.night')}>
      <DrawingHead>
        {head}
        <NightPlayer />
      </DrawingHead>
      {answer && !answer.ok && (
        <Small fontSize="sm" px={3} data-no-night={answer.fault}>
          {t(`rain.noNight.${answer.fault}`)}
        </Small>
      )}
      {answer === null && (
        <Small px={3} role="status">
          {t('rain.working')}
        </Small>
      )}
      {night && hole && (
        <>
          <Verdict night={night} hole={hole} />
          <Heard
            key={`${night.start}:${hole.elements[0]}`}
            night={night}
            hole={hole}
            hour={step === 0 ? null : step / STEPS}
          />
        </>
      )}
    </Flex>
  );
}

/** The chart with what instruments say beside it. */
function Heard(shown: { night: Night; hole: NightHole; hour: number | null }) {
  const [said, setSaid] = useState<Said>({});
  const hear = (kind: InstrumentKind, readings: readonly Measured[]) =>
    setSaid((before) => ({ ...before, [kind]: readings }));
  return (
    <>
      <Instruments night={shown.night} hole={shown.hole} said={said} hear={hear} />
      <Chart {...shown} said={said} />
    </>
  );
}

/** Dry in time, or how deep; and how sure the ground lets one be. */
function Verdict({ night, hole }: { night: Night; hole: NightHole }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const { dryBy, dryLow, dryHigh, wet, surface, water } = hole;
  const depth = format.text(Math.max(0, wet.peak - surface), 'size');
  const hours = lasting(format, wet.hours);
  if (!dryBy) return <Small px={3}>{t('rain.noTime', { depth, hours })}</Small>;
  const time = clock(localAfter(night.start, dryBy.at, plan.water.zone));
  const never = wet.first === null;
  const said = dryBy.dry
    ? never
      ? t('rain.dryAlways', { time })
      : t('rain.dry', { time, hours: lasting(format, dryBy.margin) })
    : t('rain.wet', { time, depth: format.text(dryBy.margin, 'size') });
  const sure =
    water === null
      ? t('rain.unknownWater')
      : dryLow === dryHigh
        ? t('rain.firm')
        : t(dryBy.dry ? 'rain.unsure' : 'rain.unsureWet');
  return (
    <Flex px={3} gap={2} align="baseline" wrap="wrap" data-night={dryBy.dry ? 'dry' : 'wet'}>
      <Box
        as="strong"
        fontFamily="figure"
        fontSize="lg"
        color={dryBy.dry && water !== null ? 'placed' : 'held'}
      >
        {said}
      </Box>
      <Small color={water === null ? 'held' : 'soft'}>{sure}</Small>
    </Flex>
  );
}

interface Mark {
  readonly key: 'bottom' | 'bedTop' | 'outside' | 'rim';
  readonly level: number;
  readonly colour: 'earth' | 'water' | 'held';
}

function Chart({
  night,
  hole,
  hour,
  said,
}: {
  night: Night;
  hole: NightHole;
  hour: number | null;
  said: Said;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const [frame, { width, height }] = useSize(700, 220);
  const { course, surface, floor, rim, water, dryBy, wet } = hole;
  const bottom = Math.max(floor, surface) - UNDER;
  const { zone, bedLaid } = plan.water;
  const levels = course.samples.map(({ level }) => Math.max(bottom, level));
  const marks: readonly Mark[] = [
    { key: bedLaid ? ('bedTop' as const) : ('bottom' as const), level: surface, colour: 'earth' as const },
    ...(water !== null && water > floor - 0.6 && water < rim
      ? [{ key: 'outside' as const, level: water, colour: 'water' as const }]
      : []),
    ...(wet.peak > rim - 0.05 ? [{ key: 'rim' as const, level: rim, colour: 'held' as const }] : []),
  ];
  const measured = (said.level ?? []).filter(({ value }) => value < rim + 1);
  const all = [
    ...levels,
    ...measured.map(({ value }) => Math.max(bottom, value)),
    ...marks.map(({ level }) => level),
  ];
  const [low, high] = [bottom, Math.max(...all, surface + 0.1) + 0.06];
  const x = scaleLinear([0, night.hours], [PAD.left, width - PAD.right]);
  const y = scaleLinear([low, high], [height - PAD.bottom, PAD.top]);
  const most = Math.max(1e-6, ...night.rain);
  // Rain hangs from above, over a quarter of the height.
  const drop = scaleLinear([0, most], [0, (height - PAD.bottom - PAD.top) / 4]);
  const shown = line<(typeof course.samples)[number]>()
    .x(({ at }) => x(at))
    .y(({ level }) => y(Math.max(bottom, level)));
  const every = night.hours > 40 ? 12 : night.hours > 16 ? 3 : 2;
  const ticks = Array.from({ length: Math.floor(night.hours / every) + 1 }, (_, i) => i * every);
  const names = namesOf(plan, hole.elements);
  const { budget } = course;
  const volume = (m3: number) => format.text(m3, 'water');
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${t('rain.chart', { names })}: ${t('rain.peak', {
          depth: format.text(Math.max(0, wet.peak - surface), 'size'),
          time: clock(localAfter(night.start, wet.peakAt, zone)),
          hours: lasting(format, wet.hours),
        })}`}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        data-chart="night"
      >
        <title>
          {t('rain.budget', {
            rain: volume(budget.rain),
            runoff: volume(budget.runoff),
            seeped: volume(budget.seeped),
            pumped: volume(budget.pumped),
            drained: volume(budget.drained),
            soaked: volume(budget.soaked),
            spilt: volume(budget.spilt),
          })}
        </title>
        {y.ticks(4).map((level) => (
          <g key={level}>
            <path d={`M${PAD.left} ${y(level)}H${width - PAD.right}`} stroke={ink('rule')} />
            <text x={PAD.left - 6} y={y(level) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
              {format.text(level, 'level')}
            </text>
          </g>
        ))}
        {ticks.map((at) => (
          <text key={at} x={x(at)} y={height - 7} textAnchor="middle" fill={ink('ink')} style={figure}>
            {clock(localAfter(night.start, at, zone))}
          </text>
        ))}
        {night.rain.map((mm, i) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: an hour is known by its place
            key={i}
            x={x(i) + 1}
            y={PAD.top}
            width={Math.max(1, x(i + 1) - x(i) - 2)}
            height={drop(mm)}
            fill={ink('water')}
            opacity={0.45}
          />
        ))}
        <text
          x={width - PAD.right - 4}
          y={PAD.top + 10}
          textAnchor="end"
          fill={ink('water')}
          stroke={ink('paper')}
          strokeWidth={3}
          paintOrder="stroke"
          style={figure}
        >
          {`${format.text(most, 'size')}/h`}
        </text>
        {marks.map(({ key, level, colour }) => (
          <g key={key}>
            <path
              d={`M${PAD.left} ${y(level)}H${width - PAD.right}`}
              stroke={ink(colour)}
              strokeWidth={1.6}
              strokeDasharray={key === 'bottom' || key === 'bedTop' ? undefined : '4 4'}
            />
            <text x={width - PAD.right + 6} y={y(level) + 4} fill={ink(colour)} style={figure}>
              {t(`rain.${key}`)}
            </text>
          </g>
        ))}
        <path
          d={`${shown(course.samples) ?? ''}L${x(night.hours)} ${y(low)}L${x(0)} ${y(low)}Z`}
          fill={ink('water')}
          opacity={0.18}
        />
        <path d={shown(course.samples) ?? ''} fill="none" stroke={ink('water')} strokeWidth={2.2} />
        <path
          d={measured.map(({ at, value }) => `M${x(at) - 1.5} ${y(Math.max(bottom, value))}h3`).join('')}
          stroke={ink('held')}
          strokeWidth={3}
          data-measured={measured.length}
        />
        {dryBy && (
          <g>
            <path
              d={`M${x(dryBy.at)} ${PAD.top}V${height - PAD.bottom}`}
              stroke={ink(dryBy.dry ? 'placed' : 'held')}
              strokeWidth={2}
            />
            <text
              x={x(dryBy.at) - 5}
              y={PAD.top + 24}
              textAnchor="end"
              fill={ink(dryBy.dry ? 'placed' : 'held')}
              stroke={ink('paper')}
              strokeWidth={3}
              paintOrder="stroke"
              style={figure}
            >
              {t('rain.dryBy', { time: clock(localAfter(night.start, dryBy.at, zone)) })}
            </text>
          </g>
        )}
        {hour !== null && (
          <circle
            cx={x(hour)}
            cy={y(Math.max(bottom, levelAt(course.samples, hour)))}
            r={5}
            fill={ink('chalk')}
            data-played
          />
        )}
      </svg>
    </Box>
  );
}
