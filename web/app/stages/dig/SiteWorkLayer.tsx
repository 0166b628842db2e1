/** The room round the dig on the plan: the plot, lay-down areas, ways and gates; areas are dragged. */
import type { SiteArea } from '@cimiento/core';
import { ink } from '../../desk/hatches.tsx';
import { useDesk, useDeskStore } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { arrowMove, trackPointer, worldAt } from '../../drawing/pointer.ts';
import { polygonPath, type View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useFormat } from '../../parts/format.tsx';

type Place = readonly [number, number];
const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
const round2 = (value: number) => Math.round(value * 100) / 100;

interface Props {
  readonly view: View;
  readonly hold: (still: boolean) => void;
}

export function SiteWorkLayer({ view, hold }: Props) {
  const site = useDesk((desk) => desk.plan.site);
  const stage = useDesk((desk) => desk.stage);
  const movable = stage === 'dig' || stage === 'setout';
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
          <text
            x={view.x(path.points[0]![0]) + 6}
            y={view.y(path.points[0]![1]) + 4}
            fill={ink('soft')}
            style={label}
          >
            {path.name}
          </text>
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
          <text
            x={view.x(gate.at[0])}
            y={view.y(gate.at[1]) - 8}
            textAnchor="middle"
            fill={ink('ink')}
            style={label}
          >
            {gate.name}
          </text>
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
  const laid = useTakeoff().work.layDown.areas.find((entry) => entry.id === area.id);
  const wrong = laid && (laid.rehandled > 0.05 || laid.tooNear);
  const [mx, my] = area.points
    .reduce<[number, number]>(([x, y], p) => [x + p[0], y + p[1]], [0, 0])
    .map((sum) => sum / area.points.length) as [number, number];
  const put = (points: readonly Place[], key: string) =>
    store.getState().edit((d) => {
      const target = d.site.areas.find((entry) => entry.id === area.id);
      if (target) target.points = points.map(([x, y]) => [round2(x), round2(y)] as const);
    }, key);
  const drag = (event: React.PointerEvent<SVGElement>, corner: number | null) => {
    const svg = event.currentTarget.ownerSVGElement;
    if (event.button !== 0 || !svg) return;
    event.stopPropagation();
    store.getState().look({ area: area.id });
    const from = worldAt(svg, view, event);
    const start = area.points;
    const key = `area:${area.id}:${event.timeStamp}`;
    hold(true);
    trackPointer(
      event.currentTarget,
      event.pointerId,
      (e) => {
        const to = worldAt(svg, view, e);
        const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
        put(
          start.map((p, i) => (corner === null || corner === i ? ([p[0] + dx, p[1] + dy] as const) : p)),
          key,
        );
      },
      () => {
        hold(false);
        store.getState().settle();
      },
    );
  };
  const nudge = (event: React.KeyboardEvent) => {
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      return store.getState().look({ area: area.id });
    }
    if (event.key === 'Delete') {
      event.stopPropagation();
      return store.getState().edit((d) => {
        d.site.areas = d.site.areas.filter((entry) => entry.id !== area.id);
      });
    }
    const way = arrowMove(event.key, format.system === 'metric' ? 0.25 : 0.3048);
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    put(
      area.points.map(([x, y]) => [x + way[0], y + way[1]] as const),
      `area-nudge:${area.id}`,
    );
  };
  return (
    <g
      data-lay-down={area.id}
      {...(movable && {
        'data-drag': true,
        role: 'button',
        tabIndex: 0,
        'aria-pressed': picked,
        'aria-label': t('site.area', { name: area.name }),
        style: { cursor: 'grab' },
        onPointerDown: (event: React.PointerEvent<SVGElement>) => drag(event, null),
        onKeyDown: nudge,
      })}
    >
      <path
        d={polygonPath(view, area.points.flat())}
        fill={ink('earth-wash')}
        fillOpacity={0.75}
        stroke={wrong ? ink('held') : picked ? ink('chalk') : ink('earth')}
        strokeWidth={picked ? 2.4 : 1.6}
        strokeDasharray="6 4"
      />
      <text
        x={view.x(mx)}
        y={view.y(my) + 4}
        textAnchor="middle"
        fill={wrong ? ink('held') : ink('earth')}
        stroke={ink('paper')}
        strokeWidth={3}
        paintOrder="stroke"
        style={label}
      >
        {`${area.name} · ${format.text(laid?.holds ?? 0, 'volume')}`}
      </text>
      {picked &&
        movable &&
        area.points.map((p, i) => (
          <circle
            // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the outline
            key={i}
            cx={view.x(p[0])}
            cy={view.y(p[1])}
            r={7}
            fill={ink('sheet')}
            stroke={ink('chalk')}
            strokeWidth={2}
            onPointerDown={(event) => drag(event, i)}
          />
        ))}
    </g>
  );
}
