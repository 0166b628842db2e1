/** The trucks of a pour by the clock: on the road, standing, letting off; when nothing came; and what plays it. */
import { Box, Flex } from '@chakra-ui/react';
import { scaleLinear } from 'd3-scale';
import { DrawingHead } from '../../../drawing/DrawingHead.tsx';
import { ink } from '../../../drawing/hatches.tsx';
import { useSize } from '../../../drawing/useSize.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Player } from '../../../ui/Player.tsx';
import { clockText } from '../../../ui/placingWords.ts';
import { usePlacing } from './usePlacing.ts';

/** How long a place is shown while it plays, ms. */
const BEAT = 160;
const ROW = 26;
const LEFT = 62;
const TOP = 24;
const letters = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;

export function PlacingView({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const made = usePlacing();
  const step = useDesk((desk) => desk.view.poured);
  const steps = made?.places.length ?? 0;
  const now = step === 0 ? null : made?.places[Math.min(step, steps) - 1];
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('pouring.drawn')}>
      <DrawingHead>
        {head}
        {made && (
          <Player
            at={Math.min(step, steps)}
            steps={steps}
            beat={BEAT}
            label={t('pouring.played', { time: '' })}
            play={t('pouring.play')}
            pause={t('rain.pause')}
            put={(poured) => store.getState().look({ poured })}
          >
            {now ? clockText(made.ends[Math.min(step, steps) - 1]!) : ''}
          </Player>
        )}
      </DrawingHead>
      {made ? <Chart /> : <Small p={3}>{t('pours.none')}</Small>}
    </Flex>
  );
}

function Chart() {
  const { t } = useTranslation();
  const format = useFormat();
  const [ref, { width }] = useSize(720, 240);
  const made = usePlacing();
  const step = useDesk((desk) => desk.view.poured);
  if (!made) return null;
  const { trucks } = made;
  const from = Math.min(...trucks.map(({ left, due, arrives }) => Math.min(left ?? arrives, due, arrives)));
  const to = Math.max(...trucks.map(({ ends }) => ends));
  const x = scaleLinear()
    .domain([from, to])
    .range([LEFT, Math.max(LEFT + 40, width - 16)]);
  const every =
    [5, 10, 15, 30, 60, 120, 240, 480].find((minutes) => (to - from) / minutes <= width / 70) ?? 720;
  const ticks: number[] = [];
  for (let at = Math.ceil(from / every) * every; at <= to; at += every) ticks.push(at);
  const high = TOP + trucks.length * ROW + 8;
  const now = step === 0 ? null : made.ends[Math.min(step, made.ends.length) - 1]!;
  return (
    <Box ref={ref} flex="1" minH={0} overflowY="auto" tabIndex={0} px={1} data-placing-chart={trucks.length}>
      {width > 0 && (
        <svg width={width} height={high} role="img" aria-label={t('pouring.title')}>
          {ticks.map((at) => (
            <g key={at}>
              <path d={`M${x(at)} ${TOP}V${high}`} stroke={ink('rule')} />
              <text x={x(at)} y={15} textAnchor="middle" fill={ink('soft')} style={letters}>
                {clockText(at)}
              </text>
            </g>
          ))}
          {trucks.map((truck, i) => {
            const y = TOP + i * ROW + 4;
            const bar = ROW - 8;
            return (
              <g key={truck.truck} data-truck-bar={truck.truck}>
                <title>
                  {`${t('pouring.comes')} ${clockText(truck.arrives)}, ${t('pouring.empty')} ${clockText(truck.ends)}`}
                </title>
                <text x={4} y={y + 14} fill={ink('ink')} style={letters}>
                  {`${truck.truck} · ${format.text(truck.volume, 'volume')}`}
                </text>
                {truck.left !== null && (
                  <path
                    d={`M${x(truck.left)} ${y + bar / 2}H${x(truck.arrives)}`}
                    stroke={ink('soft')}
                    strokeWidth={2}
                  />
                )}
                {truck.gap > 0.5 && (
                  <rect
                    x={x(truck.begins - truck.gap)}
                    y={y}
                    width={x(truck.begins) - x(truck.begins - truck.gap)}
                    height={bar}
                    fill={ink('held-wash')}
                    stroke={ink('held')}
                    strokeDasharray="4 3"
                    data-nothing-came={Math.round(truck.gap)}
                  />
                )}
                {truck.waits > 0.5 && (
                  <rect
                    x={x(truck.arrives)}
                    y={y + bar / 4}
                    width={x(truck.begins) - x(truck.arrives)}
                    height={bar / 2}
                    fill={ink('earth-wash')}
                    stroke={ink('earth')}
                  />
                )}
                <rect
                  x={x(truck.begins)}
                  y={y}
                  width={Math.max(1, x(truck.ends) - x(truck.begins))}
                  height={bar}
                  fill={ink(made.old.includes(truck.truck) ? 'held-wash' : 'placed-wash')}
                  stroke={ink(made.old.includes(truck.truck) ? 'held' : 'placed')}
                />
                <path d={`M${x(truck.due)} ${y - 3}v${bar + 6}`} stroke={ink('ink')} strokeWidth={1.4} />
              </g>
            );
          })}
          {now !== null && (
            <path
              d={`M${x(now)} ${TOP - 4}V${high}`}
              stroke={ink('chalk')}
              strokeWidth={2}
              data-now={clockText(now)}
            />
          )}
        </svg>
      )}
    </Box>
  );
}
