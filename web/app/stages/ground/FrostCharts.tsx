/** Frost through the design winter, and the freezing index of every winter on record. */
import { Box, Flex } from '@chakra-ui/react';
import { fromSI, frostCurve, toSI } from '@cimiento/core';
import { scaleBand, scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { useSize } from '../../drawing/useSize.ts';
import { niceStep } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useGround, useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';

const PAD = { left: 46, right: 14, top: 10, bottom: 24 } as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

export function FrostCharts({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const { frost } = useTakeoff();
  const record = useDesk((desk) => desk.plan.ground.frost.climate?.record);
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('lower.frost')}>
      <Box px={3} py={1}>
        {head}
      </Box>
      {frost.climate ? (
        <Flex flex="1" minH={0} direction={{ base: 'column', md: 'row' }}>
          <Flex direction="column" flex="1" minW={0} minH="150px">
            <Small px={3}>{t('frost.through')}</Small>
            <DepthChart />
          </Flex>
          {record && record.length > 0 && (
            <Flex direction="column" flex="1" minW={0} minH="150px">
              <Small px={3}>{t('frost.byYear')}</Small>
              <IndexChart />
            </Flex>
          )}
        </Flex>
      ) : (
        <Small fontSize="sm" p={4}>
          {t('frost.noClimate')}
        </Small>
      )}
    </Flex>
  );
}

function DepthChart() {
  const { t } = useTranslation();
  const format = useFormat();
  const { frost } = useTakeoff();
  const [frame, { width, height }] = useSize(400, 220);
  const model = useGround();
  const plan = useShownPlan();
  const curve = useMemo(() => frostCurve(plan, model, frost), [plan, model, frost]);
  const last = curve[curve.length - 1];
  if (!last) return null;
  const deepest = Math.max(...curve.map((moment) => moment.depth), frost.local ?? 0, 0.1);
  const x = scaleLinear([0, last.day], [PAD.left, width - PAD.right]);
  const y = scaleLinear([0, deepest * 1.12], [PAD.top, height - PAD.bottom]);
  const outline = line<(typeof curve)[number]>()
    .x((moment) => x(moment.day))
    .y((moment) => y(moment.depth));
  const frozen = area<(typeof curve)[number]>()
    .x((moment) => x(moment.day))
    .y0(y(0))
    .y1((moment) => y(moment.depth));
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${t('frost.through')}: ${t('frost.reaches', { depth: format.text(frost.computed ?? 0, 'length') })}`}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        data-chart="depth"
      >
        {stepsTo(deepest * 1.12, niceStep(deepest / 6, format.system)).map((depth) => (
          <g key={depth}>
            <path d={`M${PAD.left} ${y(depth)}H${width - PAD.right}`} stroke={ink('rule')} />
            <text x={PAD.left - 6} y={y(depth) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
              {format.parts(depth, 'length').number}
            </text>
          </g>
        ))}
        {x.ticks(6).map((day) => (
          <text key={day} x={x(day)} y={height - 8} textAnchor="middle" fill={ink('ink')} style={figure}>
            {day}
          </text>
        ))}
        <text x={width - PAD.right} y={height - 8} textAnchor="end" fill={ink('soft')} style={figure}>
          {t('frost.days')}
        </text>
        <path d={frozen(curve) ?? ''} fill={ink('chalk-wash')} />
        <path d={outline(curve) ?? ''} fill="none" stroke={ink('chalk')} strokeWidth={2.2} />
        <Level y={y(frost.computed ?? 0)} width={width} colour={ink('chalk')}>
          {t('frost.computedLine', { depth: format.text(frost.computed ?? 0, 'length') })}
        </Level>
        {frost.local !== null && (
          <Level y={y(frost.local)} width={width} colour={ink('held')}>
            {t('frost.localLine', { depth: format.text(frost.local, 'length') })}
          </Level>
        )}
      </svg>
    </Box>
  );
}

/** Whole steps from nought up to a value. */
const stepsTo = (most: number, step: number) =>
  Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, i) => i * step);

function Level({
  y,
  width,
  colour,
  children,
}: {
  y: number;
  width: number;
  colour: string;
  children: React.ReactNode;
}) {
  return (
    <g pointerEvents="none">
      <path
        d={`M${PAD.left} ${y}H${width - PAD.right}`}
        stroke={colour}
        strokeDasharray="5 4"
        strokeWidth={1.2}
      />
      <text x={PAD.left + 6} y={y - 4} fill={colour} style={{ ...figure, fontSize: 13 }}>
        {children}
      </text>
    </g>
  );
}

function IndexChart() {
  const { t } = useTranslation();
  const format = useFormat();
  const { frost } = useTakeoff();
  const record = useDesk((desk) => desk.plan.ground.frost.climate?.record ?? []);
  const [frame, { width, height }] = useSize(400, 220);
  const most = Math.max(...record.map((winter) => winter.index), frost.climate?.index ?? 0, 1);
  const x = scaleBand(
    record.map((winter) => winter.winter),
    [PAD.left, width - PAD.right],
  ).padding(0.2);
  const y = scaleLinear([0, most * 1.1], [height - PAD.bottom, PAD.top]);
  const every = Math.ceil(record.length / 6);
  const chosen = frost.winter?.of ?? [];
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${t('frost.byYear')}: ${frost.winter ? t(`frost.rule.${frost.winter.rule}`, { of: chosen.join(', ') }) : ''}`}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        data-chart="index"
      >
        {scaleLinear([0, fromSI(most * 1.1, 'degreeDays', format.system)], [0, 1])
          .ticks(4)
          .map((shown) => toSI(shown, 'degreeDays', format.system))
          .map((index) => (
            <g key={index}>
              <path d={`M${PAD.left} ${y(index)}H${width - PAD.right}`} stroke={ink('rule')} />
              <text x={PAD.left - 6} y={y(index) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
                {format.parts(index, 'degreeDays').number}
              </text>
            </g>
          ))}
        {record.map((winter, i) => {
          const picked = chosen.includes(winter.winter);
          const left = x(winter.winter) ?? 0;
          return (
            <g key={winter.winter}>
              <rect
                x={left}
                y={y(winter.index)}
                width={x.bandwidth()}
                height={Math.max(0, y(0) - y(winter.index))}
                fill={picked ? ink('chalk') : ink('chalk-wash')}
                stroke={ink('chalk')}
                strokeWidth={0.8}
              />
              {i % every === 0 && (
                <text
                  x={left + x.bandwidth() / 2}
                  y={height - 8}
                  textAnchor="middle"
                  fill={ink('ink')}
                  style={figure}
                >
                  {winter.winter}
                </text>
              )}
            </g>
          );
        })}
        {frost.climate && (
          <Level y={y(frost.climate.index)} width={width} colour={ink('held')}>
            {t('frost.designLine', { index: format.text(frost.climate.index, 'degreeDays') })}
          </Level>
        )}
      </svg>
    </Box>
  );
}
