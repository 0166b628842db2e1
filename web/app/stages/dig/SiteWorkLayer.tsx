/** The room round the dig on the plan: the plot, lay-down areas, ways and gates; areas are dragged. */
import type { SiteArea } from '@cimiento/core';
import { useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { type Name, nameSize, useLabels } from '../../drawing/labels.tsx';
import { along, beside, ledTo } from '../../drawing/names.ts';
import { OutlineOnPlan } from '../../drawing/OutlineOnPlan.tsx';
import { polygonPath, type View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';

interface Props {
  readonly view: View;
  readonly hold: (still: boolean) => void;
}

export function SiteWorkLayer({ view, hold }: Props) {
  const site = useDesk((desk) => desk.plan.site);
  const stage = useDesk((desk) => desk.stage);
  const movable = stage === 'dig' || stage === 'setout';
  const names = useMemo(
    (): Name[] => [
      ...site.paths.map((path) => {
        const size = nameSize(path.name, 13);
        const points = path.points.map(([x, y]) => [view.x(x), view.y(y)] as const);
        return {
          id: `path:${path.id}`,
          text: path.name,
          colour: 'soft',
          size: 13,
          ...size,
          spots: points.length > 1 ? along(points) : [{ x: points[0]![0] + 20, y: points[0]![1] }],
          rank: 2,
        };
      }),
      ...site.gates.map((gate) => {
        const size = nameSize(gate.name, 13);
        const mark = {
          x: view.x(gate.at[0]),
          y: view.y(gate.at[1]),
          width: gate.width * view.scale + 4,
          height: 14,
        };
        const [right, left, over, under, ...corners] = beside(mark, size.width, size.height, 1);
        return {
          id: `gate:${gate.id}`,
          text: gate.name,
          colour: 'ink',
          size: 13,
          ...size,
          spots: [over!, under!, right!, left!, ...corners, ...ledTo(mark, size.width, size.height)],
          rank: 1,
          marks: [mark],
        };
      }),
    ],
    [site.paths, site.gates, view],
  );
  useLabels('site', names);
  return (
    <g pointerEvents={movable ? undefined : 'none'}>
      {site.boundary.length > 1 && (
        <path
          d={polygonPath(view, site.boundary.flat())}
          fill="none"
          stroke={ink('ink')}
          strokeWidth={1.6}
          strokeDasharray="16 5 3 5"
          pointerEvents="none"
          data-plot
        />
      )}
      {site.paths.map((path) => (
        <g key={path.id} pointerEvents="none" data-path={path.id}>
          <path
            d={path.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${view.x(x)} ${view.y(y)}`).join('')}
            fill="none"
            stroke={ink('soft')}
            strokeWidth={path.width * view.scale}
            strokeLinejoin="round"
            opacity={0.16}
          />
        </g>
      ))}
      {site.areas.map((area) => (
        <Area key={area.id} area={area} view={view} hold={hold} movable={movable} />
      ))}
      {site.gates.map((gate) => (
        <g key={gate.id} pointerEvents="none" data-gate={gate.id}>
          <path
            d={`M${view.x(gate.at[0]) - (gate.width / 2) * view.scale} ${view.y(gate.at[1])}h${gate.width * view.scale}`}
            stroke={ink('paper')}
            strokeWidth={5}
          />
          <path
            d={`M${view.x(gate.at[0]) - (gate.width / 2) * view.scale} ${view.y(gate.at[1]) - 6}v12M${view.x(gate.at[0]) + (gate.width / 2) * view.scale} ${view.y(gate.at[1]) - 6}v12`}
            stroke={ink('ink')}
            strokeWidth={2.4}
          />
        </g>
      ))}
    </g>
  );
}

function Area({ area, view, hold, movable }: Props & { area: SiteArea; movable: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const picked = useDesk((desk) => desk.view.area === area.id);
  const stage = useDesk((desk) => desk.stage);
  const laid = useTakeoff().work.layDown.areas.find((entry) => entry.id === area.id);
  const wrong = laid && (laid.rehandled > 0.05 || laid.tooNear);
  const { edit, look } = store.getState();
  return (
    <g data-lay-down={area.id}>
      <OutlineOnPlan
        id={area.id}
        points={area.points}
        view={view}
        hold={hold}
        movable={movable}
        picked={picked}
        label={t('site.area', { name: area.name })}
        text={
          // How much it takes is asked where the soil goes.
          stage === 'dig' || stage === 'backfill'
            ? `${area.name} · ${format.text(laid?.holds ?? 0, 'volume')}`
            : area.name
        }
        fill={ink('earth-wash')}
        colour={wrong ? 'held' : 'earth'}
        pick={() => look({ area: area.id })}
        put={(points, key) =>
          edit((d) => {
            const target = d.site.areas.find((entry) => entry.id === area.id);
            if (target) target.points = [...points];
          }, key)
        }
        remove={() =>
          edit((d) => {
            d.site.areas = d.site.areas.filter((entry) => entry.id !== area.id);
          })
        }
      />
    </g>
  );
}
