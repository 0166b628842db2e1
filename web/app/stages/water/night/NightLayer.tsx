/** On the plan: the ground that drains into the hole of what is picked, and the ditches that cut it off. */
import { ink } from '../../../desk/hatches.tsx';
import { useDesk } from '../../../desk/store.ts';
import type { View } from '../../../drawing/view.ts';
import { useHole } from './use.ts';

const words = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

export function NightLayer({ view, here }: { view: View; here: boolean }) {
  const ditches = useDesk((desk) => desk.plan.water.ditches);
  return (
    <g pointerEvents="none">
      {here && <Ground view={view} />}
      {ditches.map(({ id, name, points }) => (
        <g key={id} data-cut-off={id}>
          <path
            d={points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${view.x(x)} ${view.y(y)}`).join('')}
            fill="none"
            stroke={ink('water')}
            strokeWidth={3}
            strokeDasharray="9 4"
          />
          <text
            x={view.x(points[0]![0]) + 5}
            y={view.y(points[0]![1]) - 5}
            fill={ink('water')}
            stroke={ink('paper')}
            strokeWidth={3}
            paintOrder="stroke"
            style={words}
          >
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}

function Ground({ view }: { view: View }) {
  const { hole } = useHole();
  const places = hole?.ground.places ?? [];
  if (places.length === 0 || !hole) return null;
  const half = (hole.ground.step * view.scale) / 2;
  const square = ([x, y]: readonly [number, number]) =>
    `M${(view.x(x) - half).toFixed(1)} ${(view.y(y) - half).toFixed(1)}h${(2 * half).toFixed(1)}v${(2 * half).toFixed(1)}h${(-2 * half).toFixed(1)}z`;
  return <path d={places.map(square).join('')} fill={ink('water')} opacity={0.16} data-draining />;
}
