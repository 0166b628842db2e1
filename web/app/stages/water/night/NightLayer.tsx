/** On the plan: the ground that drains into the hole of what is picked, what cuts it off, and water let go beside it. */
import { surfaceRuns } from '@cimiento/core';
import { ink } from '../../../desk/hatches.tsx';
import { useDesk } from '../../../desk/store.ts';
import { useShownPlan, useTakeoff } from '../../../desk/takeoff.ts';
import type { View } from '../../../drawing/view.ts';
import { useHole } from './use.ts';

const words = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

export function NightLayer({ view, here }: { view: View; here: boolean }) {
  const ditches = useDesk((desk) => desk.plan.water.ditches);
  return (
    <g pointerEvents="none">
      {here && <Ground view={view} />}
      <Drawn view={view} />
      <Surface view={view} />
      <Sumps view={view} />
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

/** Ground drawn by hand that drains into a hole. */
function Drawn({ view }: { view: View }) {
  const drained = useDesk((desk) => desk.plan.water.drained);
  return drained.map(({ element, points }) =>
    points.length === 0 ? null : (
      <path
        key={element}
        d={`${points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${view.x(x)} ${view.y(y)}`).join('')}${points.length > 2 ? 'Z' : ''}`}
        fill={ink('water')}
        fillOpacity={0.14}
        stroke={ink('water')}
        strokeDasharray="4 3"
        data-drawn={element}
      />
    ),
  );
}

/** Sumps that have a place, as large as they are. */
function Sumps({ view }: { view: View }) {
  const pumps = useDesk((desk) => desk.plan.water.pumps);
  return pumps.map(({ id, name, sump }) => {
    if (!sump.at) return null;
    const side = Math.max(10, Math.sqrt(sump.area) * view.scale);
    const [x, y] = [view.x(sump.at[0]), view.y(sump.at[1])];
    return (
      <g key={id} data-sump={id}>
        <rect
          x={x - side / 2}
          y={y - side / 2}
          width={side}
          height={side}
          fill={ink('water')}
          opacity={0.7}
          stroke={ink('ink')}
        />
        <text
          x={x + side / 2 + 3}
          y={y + 4}
          fill={ink('water')}
          stroke={ink('paper')}
          strokeWidth={3}
          paintOrder="stroke"
          style={words}
        >
          {name}
        </text>
      </g>
    );
  });
}

/** Water let go on the ground, and the way it runs. */
function Surface({ view }: { view: View }) {
  const plan = useShownPlan();
  const { elements } = useTakeoff();
  const { surface } = plan.water;
  if (surface.length === 0) return null;
  return surfaceRuns(plan, elements).map(({ id, element, way }) => {
    const one = surface.find((own) => own.id === id)!;
    const colour = ink(element === null ? 'water' : 'held');
    const [x, y] = [view.x(one.at[0]), view.y(one.at[1])];
    return (
      <g key={id} data-surface-mark={id}>
        <path
          d={way
            .map((at, i) => `${i === 0 ? 'M' : 'L'}${view.x(at[0]).toFixed(1)} ${view.y(at[1]).toFixed(1)}`)
            .join('')}
          fill="none"
          stroke={colour}
          strokeWidth={2}
          strokeDasharray="2 4"
        />
        <path d={`M${x} ${y - 8}L${x + 6} ${y + 3}A6 6 0 1 1 ${x - 6} ${y + 3}Z`} fill={colour} />
        <text
          x={x + 9}
          y={y + 4}
          fill={colour}
          stroke={ink('paper')}
          strokeWidth={3}
          paintOrder="stroke"
          style={words}
        >
          {one.name}
        </text>
      </g>
    );
  });
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
