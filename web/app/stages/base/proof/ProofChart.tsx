/** The laboratory test of the bed under what is picked: points, curve, its top, and the line of no air. */
import { Box, Flex } from '@chakra-ui/react';
import {
  type BedLayer,
  bedOf,
  densityAt,
  type Element,
  layerKey,
  proctor,
  zeroAirVoids,
} from '@cimiento/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { DrawingHead } from '../../../drawing/DrawingHead.tsx';
import { ink } from '../../../drawing/hatches.tsx';
import { useSize } from '../../../drawing/useSize.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useShownPlan, useTakeoff } from '../../../state/takeoff.ts';
import { Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { layerName } from '../../../ui/words.ts';

const PAD = { left: 58, right: 96, top: 14, bottom: 28 } as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;

export function ProofChart({ head, element }: { head: React.ReactNode; element: Element | undefined }) {
  const { t } = useTranslation();
  const plan = useShownPlan();
  const { facts } = useTakeoff();
  const bed = element ? bedOf(plan, element) : (plan.beds[0] ?? null);
  const layer = bed?.layers.find((one) => facts.lab.has(layerKey({ bed: bed.id, layer: one.id }))) ?? null;
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('proof.chart')}>
      <DrawingHead>
        {head}
        {layer && <Small>{layerName(t, layer)}</Small>}
      </DrawingHead>
      {bed && layer ? (
        <Chart bed={bed.id} layer={layer} />
      ) : (
        <Small fontSize="sm" px={3}>
          {t('proof.noLab')}
        </Small>
      )}
    </Flex>
  );
}

function Chart({ bed, layer }: { bed: string; layer: BedLayer }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { facts } = useTakeoff();
  const [frame, { width, height }] = useSize(600, 260);
  const test = facts.lab.get(layerKey({ bed, layer: layer.id }))!;
  const found = proctor(test.points, test.grains);
  if (!found.ok) return null;
  const moistures = test.points.map((p) => p.moisture);
  const [low, high] = [Math.min(...moistures) - 0.01, Math.max(...moistures) + 0.01];
  const densities = test.points.map((p) => p.density);
  const [least, most] = [Math.min(...densities), Math.max(...densities, found.maximum)];
  const room = Math.max(20, (most - least) * 0.25);
  const x = scaleLinear([low, high], [PAD.left, width - PAD.right]);
  const y = scaleLinear([least - room, most + room], [height - PAD.bottom, PAD.top]);
  const stepsFrom = (from: number, to: number) =>
    Array.from({ length: 61 }, (_, i) => from + ((to - from) * i) / 60);
  const shown = line<number>()
    .x((w) => x(w))
    .y((w) => y(densityAt(found, w)));
  const air = line<number>()
    .defined((w) => zeroAirVoids(w, test.grains) <= most + room)
    .x((w) => x(w))
    .y((w) => y(zeroAirVoids(w, test.grains)));
  const wanted = layer.target && layer.target.share * found.maximum;
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={`${t('proof.chart')}: ${t('proof.labResult', { maximum: format.text(found.maximum, 'density'), optimum: format.text(found.optimum, 'percent') })}`}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        data-chart="proctor"
      >
        {y.ticks(5).map((density) => (
          <g key={density}>
            <path d={`M${PAD.left} ${y(density)}H${width - PAD.right}`} stroke={ink('rule')} />
            <text x={PAD.left - 6} y={y(density) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
              {format.parts(density, 'density').number}
            </text>
          </g>
        ))}
        <text x={6} y={PAD.top - 2} fill={ink('soft')} style={figure}>
          {format.parts(most, 'density').unit}
        </text>
        {x.ticks(6).map((moisture) => (
          <text
            key={moisture}
            x={x(moisture)}
            y={height - 9}
            textAnchor="middle"
            fill={ink('ink')}
            style={figure}
          >
            {format.text(moisture, 'percent', { decimals: 0 })}
          </text>
        ))}
        <path
          d={air(stepsFrom(low, high)) ?? ''}
          fill="none"
          stroke={ink('water')}
          strokeWidth={1.4}
          strokeDasharray="6 4"
        />
        <text x={width - PAD.right + 6} y={PAD.top + 12} fill={ink('water')} style={figure}>
          {t('proof.noAir')}
        </text>
        {wanted !== null && wanted > least - room && (
          <g>
            <path
              d={`M${PAD.left} ${y(wanted)}H${width - PAD.right}`}
              stroke={ink('held')}
              strokeDasharray="3 3"
            />
            <text x={width - PAD.right + 6} y={y(wanted) + 4} fill={ink('held')} style={figure}>
              {t('proof.wanted', { share: format.text(layer.target!.share, 'percent', { decimals: 0 }) })}
            </text>
          </g>
        )}
        <path
          d={shown(stepsFrom(Math.min(...moistures), Math.max(...moistures))) ?? ''}
          fill="none"
          stroke={ink('chalk')}
          strokeWidth={2.2}
        />
        <path
          d={`M${x(found.optimum)} ${y(found.maximum)}V${height - PAD.bottom}`}
          stroke={ink('chalk')}
          strokeDasharray="2 3"
        />
        {test.points.map((point, i) => (
          <circle
            // biome-ignore lint/suspicious/noArrayIndexKey: points have no other name
            key={i}
            cx={x(point.moisture)}
            cy={y(point.density)}
            r={4}
            fill={found.above.includes(i) ? ink('held') : ink('sheet')}
            stroke={found.above.includes(i) ? ink('held') : ink('ink')}
            strokeWidth={1.6}
          />
        ))}
        <text
          x={x(found.optimum)}
          y={y(found.maximum) - 8}
          textAnchor="middle"
          fill={ink('chalk')}
          style={figure}
        >
          {format.text(found.maximum, 'density')}
        </text>
      </svg>
    </Box>
  );
}
