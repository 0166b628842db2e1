/** Pins, boards and strings on the plan. */

import { ink } from '../../desk/hatches.tsx';
import type { View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useSetout } from './useSetout.ts';

const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;

export function SetoutLayer({ view }: { view: View }) {
  const { t } = useTranslation();
  const { points, boards, adjustment } = useSetout();
  const culprit = adjustment.ok ? null : adjustment.culprit?.corner;
  return (
    <g pointerEvents="none" aria-label={t('boards.title')}>
      {boards.lines.map((line) => {
        const [a, b] = line.boards;
        return (
          <g key={line.name} data-line={line.name}>
            <path
              d={`M${view.x(a.at[0])} ${view.y(a.at[1])}L${view.x(b.at[0])} ${view.y(b.at[1])}`}
              stroke={ink('chalk')}
              strokeWidth={0.9}
            />
            {[...line.boards, ...line.steps].map((board) => (
              <g key={board.name}>
                <path
                  d={`M${view.x(board.from[0])} ${view.y(board.from[1])}L${view.x(board.to[0])} ${view.y(board.to[1])}`}
                  stroke={'blocked' in board && board.blocked ? ink('held') : ink('ink')}
                  strokeWidth={4}
                />
                <text
                  x={view.x(board.from[0]) + 5}
                  y={view.y(board.from[1]) - 5}
                  fill={ink('ink')}
                  stroke={ink('paper')}
                  strokeWidth={3}
                  paintOrder="stroke"
                  style={{ ...label, fontSize: 11 }}
                >
                  {board.name}
                </text>
              </g>
            ))}
          </g>
        );
      })}
      {points
        .filter((point) => point.kind === 'corner' || point.name === culprit)
        .map((point) => (
          <g key={point.name} data-pin={point.name}>
            <circle
              cx={view.x(point.at[0])}
              cy={view.y(point.at[1])}
              r={culprit === point.name ? 8 : 4}
              fill={culprit === point.name ? ink('held') : ink('sheet')}
              stroke={ink('held')}
              strokeWidth={1.6}
            />
            {point.kind === 'corner' && (
              <text
                x={view.x(point.at[0]) - 12}
                y={view.y(point.at[1]) + 16}
                fill={ink('held')}
                stroke={ink('paper')}
                strokeWidth={3.5}
                paintOrder="stroke"
                style={label}
              >
                {point.name}
              </text>
            )}
          </g>
        ))}
    </g>
  );
}
