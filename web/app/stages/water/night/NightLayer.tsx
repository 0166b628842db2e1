/** On the plan: the ground that drains into the hole of what is picked, what cuts it off, and water discharged beside it. */
import { surfaceRuns } from '@cimiento/core';
import { useMemo } from 'react';
import { ink } from '../../../drawing/hatches.tsx';
import { type Name, nameAbout, nameSize, useLabels } from '../../../drawing/labels.tsx';
import { along } from '../../../drawing/names.ts';
import type { View } from '../../../drawing/view.ts';
import { useDesk } from '../../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../../state/takeoff.ts';
import { useHole } from './use.ts';

/** A name about a mark of a size, px. */
const nameAt = (id: string, text: string, x: number, y: number, side: number, colour: string): Name =>
  nameAbout(id, text, { colour, size: 12, rank: 0.5 }, { x, y, width: side, height: side });

export function NightLayer({ view, here }: { view: View; here: boolean }) {
  const ditches = useDesk((desk) => desk.plan.water.ditches);
  const names = useMemo(
    () =>
      ditches.map(({ id, name, points }): Name => {
        const size = nameSize(name, 12);
        const line = points.map(([x, y]) => [view.x(x), view.y(y)] as const);
        return {
          id: `ditch:${id}`,
          text: name,
          colour: 'water',
          size: 12,
          ...size,
          spots: along(line, size),
          rank: 0.5,
        };
      }),
    [ditches, view],
  );
  useLabels('ditches', names);
  return (
    <g pointerEvents="none">
      {here && <Ground view={view} />}
      <Drawn view={view} />
      <Surface view={view} />
      <Sumps view={view} />
      {ditches.map(({ id, points }) => (
        <g key={id} data-cut-off={id}>
          <path
            d={points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${view.x(x)} ${view.y(y)}`).join('')}
            fill="none"
            stroke={ink('water')}
            strokeWidth={3}
            strokeDasharray="9 4"
          />
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

const sumpSide = (area: number, view: View) => Math.max(10, Math.sqrt(area) * view.scale);

/** Sumps that have a place, as large as they are. */
function Sumps({ view }: { view: View }) {
  const pumps = useDesk((desk) => desk.plan.water.pumps);
  const names = useMemo(
    () =>
      pumps.flatMap(({ id, name, sump: { at, area } }) =>
        at ? [nameAt(`sump:${id}`, name, view.x(at[0]), view.y(at[1]), sumpSide(area, view), 'water')] : [],
      ),
    [pumps, view],
  );
  useLabels('sumps', names);
  return pumps.map(({ id, sump }) => {
    if (!sump.at) return null;
    const side = sumpSide(sump.area, view);
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
      </g>
    );
  });
}

/** Water discharged on the ground, and the way it runs. */
function Surface({ view }: { view: View }) {
  const plan = useShownPlan();
  const { elements } = useTakeoff();
  const runs = useMemo(() => {
    const { surface } = plan.water;
    return surface.length === 0
      ? []
      : surfaceRuns(plan, elements).map((run) => ({
          ...run,
          one: surface.find((own) => own.id === run.id)!,
          colour: run.element === null ? 'water' : 'held',
        }));
  }, [plan, elements]);
  const names = useMemo(
    () =>
      runs.map(({ id, one, colour }) =>
        nameAt(`surface:${id}`, one.name, view.x(one.at[0]), view.y(one.at[1]), 18, colour),
      ),
    [runs, view],
  );
  useLabels('surface', names);
  return runs.map(({ id, one, colour, way }) => {
    const [x, y] = [view.x(one.at[0]), view.y(one.at[1])];
    return (
      <g key={id} data-surface-mark={id}>
        <path
          d={way
            .map((at, i) => `${i === 0 ? 'M' : 'L'}${view.x(at[0]).toFixed(1)} ${view.y(at[1]).toFixed(1)}`)
            .join('')}
          fill="none"
          stroke={ink(colour)}
          strokeWidth={2}
          strokeDasharray="2 4"
        />
        <path d={`M${x} ${y - 8}L${x + 6} ${y + 3}A6 6 0 1 1 ${x - 6} ${y + 3}Z`} fill={ink(colour)} />
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
