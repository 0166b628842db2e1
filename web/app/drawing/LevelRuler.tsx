/** Levels down the left of a drawing, at steps that read well in the person's units. */

import { roundLevel, useFormat } from '../ui/format.tsx';
import { ink } from './hatches.tsx';
import { niceStep } from './view.ts';

/** Room it takes, px. */
export const RULER = 46;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
/** Least distance between two numbers, px. */
const APART = 26;

export function LevelRuler({
  y,
  low,
  high,
  height,
}: {
  y: (level: number) => number;
  low: number;
  high: number;
  height: number;
}) {
  const format = useFormat();
  const perMetre = y(0) - y(1);
  const step = niceStep(Math.max(0.1, APART / perMetre), format.system);
  const marks: number[] = [];
  for (let n = Math.ceil(low / step); n * step <= high; n++) marks.push(n * step);
  return (
    <g pointerEvents="none">
      <rect x={0} y={0} width={RULER} height={height} fill={ink('paper')} />
      {marks.map((level) => (
        <g key={level}>
          <path d={`M${RULER - 6} ${y(level)}H${RULER}`} stroke={ink('ink')} />
          <text x={RULER - 8} y={y(level) + 4} textAnchor="end" fill={ink('ink')} style={figure}>
            {roundLevel(format, level, 1)}
          </text>
        </g>
      ))}
      <path d={`M${RULER} 0V${height}`} stroke={ink('ink')} strokeWidth={1.2} />
    </g>
  );
}
