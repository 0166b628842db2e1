/** A soil's grading and a filter stone's, over the logarithm of the size. */
import { Box } from '@chakra-ui/react';
import { type Grading, regraded } from '@cimiento/core';
import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { ink } from '../../../drawing/hatches.tsx';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useFormat } from '../../../ui/format.tsx';

const [WIDTH, HEIGHT] = [300, 150];
const PAD = { left: 30, right: 8, top: 8, bottom: 20 } as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;
const x = scaleLog([1e-6, 0.1], [PAD.left, WIDTH - PAD.right]);
const y = scaleLinear([0, 1], [HEIGHT - PAD.bottom, PAD.top]);
const SIZES = [1e-6, 1e-5, 1e-4, 1e-3, 1e-2, 1e-1] as const;
const shown = line<Grading[number]>()
  .x(({ size }) => x(size))
  .y(({ passing }) => y(passing));

export function GradingChart({ soil, stone }: { soil: Grading; stone: Grading }) {
  const { t } = useTranslation();
  const format = useFormat();
  // What the rules go by: of a soil with gravel only what is finer than that.
  const fine = regraded(soil);
  const stony = fine !== soil;
  const curves = [
    { key: 'soil', points: soil, colour: ink('earth'), dash: stony ? '1 3' : undefined },
    ...(stony ? [{ key: 'fine', points: fine, colour: ink('earth'), dash: undefined }] : []),
    { key: 'stone', points: stone, colour: ink('placed'), dash: '6 3' },
  ] as const;
  return (
    <Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={t('filter.chart')}
        style={{ width: '100%', height: 'auto' }}
        data-chart="grading"
      >
        {[0, 0.5, 1].map((share) => (
          <g key={share}>
            <path d={`M${PAD.left} ${y(share)}H${WIDTH - PAD.right}`} stroke={ink('rule')} />
            <text x={PAD.left - 4} y={y(share) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
              {format.parts(share, 'percent', { decimals: 0 }).number}
            </text>
          </g>
        ))}
        {SIZES.map((size) => (
          <g key={size}>
            <path d={`M${x(size)} ${PAD.top}V${HEIGHT - PAD.bottom}`} stroke={ink('rule')} />
            <text
              x={x(size)}
              y={HEIGHT - 6}
              textAnchor={size === 0.1 ? 'end' : 'middle'}
              fill={ink('ink')}
              style={figure}
            >
              {size === 0.1
                ? format.text(size, 'grain', { decimals: 0 })
                : format.parts(size, 'grain', { decimals: Math.max(0, Math.round(-3 - Math.log10(size))) })
                    .number}
            </text>
          </g>
        ))}
        {curves.map(({ key, points, colour, dash }) => (
          <path
            key={key}
            d={shown(points) ?? ''}
            fill="none"
            stroke={colour}
            strokeWidth={2}
            strokeDasharray={dash}
          />
        ))}
        <text x={PAD.left + 6} y={PAD.top + 12} fill={ink('earth')} style={figure}>
          {t(stony ? 'filter.soilFine' : 'filter.soilCurve', { size: format.text(0.00475, 'grain') })}
        </text>
        <text x={PAD.left + 6} y={PAD.top + 26} fill={ink('placed')} style={figure}>
          {t('filter.stoneCurve')}
        </text>
      </svg>
    </Box>
  );
}
