/** Pins, boards and strings on the plan. */
import { useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { type Name, nameSize, useLabels } from '../../drawing/labels.tsx';
import { beside, ledTo } from '../../drawing/names.ts';
import type { View } from '../../drawing/view.ts';
import { useSetout } from './useSetout.ts';

export function SetoutLayer({ view }: { view: View }) {
  const { points, boards, adjustment } = useSetout();
  const culprit = adjustment.ok ? null : adjustment.culprit?.corner;
  const names = useMemo((): Name[] => {
    const near = (
      id: string,
      text: string,
      [x, y]: readonly [number, number],
      colour: string,
      large: boolean,
    ) => {
      const size = large ? 13 : 11;
      const mark = { x: view.x(x), y: view.y(y), width: 12, height: 12 };
      const tag = nameSize(text, size);
      return {
        id,
        text,
        colour,
        size,
        ...tag,
        spots: [
          ...beside(mark, tag.width, tag.height, 1).reverse(),
          ...(large ? ledTo(mark, tag.width, tag.height) : []),
        ],
        rank: large ? 0 : 3,
        marks: [mark],
      };
    };
    return [
      ...boards.lines.flatMap((line) =>
        [...line.boards, ...line.steps].map((board) =>
          near(`board:${line.name}:${board.name}`, board.name, board.from, 'ink', false),
        ),
      ),
      ...points
        .filter((point) => point.kind === 'corner')
        .map((point) => near(`pin:${point.name}`, point.name, point.at, 'held', true)),
    ];
  }, [boards, points, view]);
  useLabels('setout', names);
  return (
    <g pointerEvents="none" aria-hidden>
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
          </g>
        ))}
    </g>
  );
}
