/** The site on the plan: contours, spots, logs, hazards with what is kept off them, the fence line. */
import { contours, type Hazard, type SurfaceSpec } from '@cimiento/core';
import { memo, useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { type Name, nameAbout, nameSize, useLabels } from '../../drawing/labels.tsx';
import { about, along, type Spot } from '../../drawing/names.ts';
import { arrowMove, trackPointer, worldAt } from '../../drawing/pointer.ts';
import { niceStep, type View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround } from '../../state/takeoff.ts';
import { roundLevel, useFormat } from '../../ui/format.tsx';

type Place = readonly [number, number];
const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
/** Spots are drawn one by one up to this many; more would hide the plan. */
const MOST_SPOTS_DRAWN = 400;
const round2 = (value: number) => Math.round(value * 100) / 100;

/** Contours and spots, behind the dig. */
export function SurfaceLayer({ view }: { view: View }) {
  const stage = useDesk((desk) => desk.stage);
  const surface = useDesk((desk) => desk.plan.ground.surface);
  const here = stage === 'ground';
  return (
    <g pointerEvents="none">
      <Contours view={view} faint={!here} />
      {here && surface.kind === 'spots' && <Spots view={view} surface={surface} />}
    </g>
  );
}

/** @param hold keeps the plan's window still while something is dragged */
export function SiteLayer({ view, hold }: { view: View; hold: (still: boolean) => void }) {
  const stage = useDesk((desk) => desk.stage);
  const here = stage === 'ground';
  return (
    <g pointerEvents={here ? undefined : 'none'}>
      <Hazards view={view} hold={hold} movable={here} />
      {here && <FenceLine view={view} hold={hold} />}
      <Logs view={view} hold={hold} movable={here} />
    </g>
  );
}

const Contours = memo(function Contours({ view, faint }: { view: View; faint: boolean }) {
  const format = useFormat();
  const { surface } = useGround();
  const { triangles } = surface;
  const [low, high] = useMemo(() => {
    let least = Infinity;
    let most = -Infinity;
    for (const t of triangles)
      for (const k of [2, 5, 8]) {
        least = Math.min(least, t[k]!);
        most = Math.max(most, t[k]!);
      }
    return [least, most];
  }, [triangles]);
  // A dozen lines over the site, at a level that reads well.
  const step = triangles.length > 0 ? niceStep(Math.max(0.05, (high - low) / 12), format.system) : 1;
  const lines = useMemo(() => contours(triangles, step), [triangles, step]);
  return (
    <g pointerEvents="none" opacity={faint ? 0.45 : 1} data-contours={lines.length}>
      {lines.map(({ level, pieces }) => {
        let d = '';
        for (let i = 0; i < pieces.length; i += 4)
          d += `M${view.x(pieces[i]!).toFixed(1)} ${view.y(pieces[i + 1]!).toFixed(1)}L${view.x(pieces[i + 2]!).toFixed(1)} ${view.y(pieces[i + 3]!).toFixed(1)}`;
        const whole = Math.abs(level / (5 * step) - Math.round(level / (5 * step))) < 1e-6;
        return (
          <g key={level}>
            <path d={d} fill="none" stroke={ink('note')} strokeWidth={whole ? 1.3 : 0.7} opacity={0.75} />
          </g>
        );
      })}
      {!faint && <ContourNames view={view} lines={lines} />}
    </g>
  );
});

/** Pieces of a contour its number is tried on. */
const TRIED = 12;

/** Numbers on contours, each where there is room along its line. */
function ContourNames({ view, lines }: { view: View; lines: ReturnType<typeof contours> }) {
  const format = useFormat();
  const names = useMemo(
    () =>
      lines.map(({ level, pieces }): Name => {
        const text = roundLevel(format, level, 2);
        const spots: Spot[] = [];
        const every = 4 * Math.max(1, Math.floor(pieces.length / 4 / TRIED));
        for (let i = 0; i + 3 < pieces.length; i += every)
          spots.push({
            x: (view.x(pieces[i]!) + view.x(pieces[i + 2]!)) / 2,
            y: (view.y(pieces[i + 1]!) + view.y(pieces[i + 3]!)) / 2,
          });
        return {
          id: `contour:${level}`,
          text,
          colour: 'note',
          size: 11,
          ...nameSize(text, 11),
          spots,
          rank: 9,
        };
      }),
    [lines, view, format],
  );
  useLabels('contours', names);
  return null;
}

function Spots({ view, surface }: { view: View; surface: Extract<SurfaceSpec, { kind: 'spots' }> }) {
  if (surface.points.length > MOST_SPOTS_DRAWN) return null;
  const lines = surface.breaklines
    .map((line) =>
      line.flatMap((i) => surface.points[i] ?? []).length > 0
        ? line
            .map((i, k) => {
              const p = surface.points[i];
              return p ? `${k === 0 ? 'M' : 'L'}${view.x(p[0])} ${view.y(p[1])}` : '';
            })
            .join('')
        : '',
    )
    .join('');
  return (
    <g pointerEvents="none">
      <path d={lines} fill="none" stroke={ink('note')} strokeWidth={2} strokeDasharray="7 3" />
      {surface.points.map(([x, y]) => (
        <path
          key={`${x} ${y}`}
          d={`M${view.x(x) - 3} ${view.y(y)}h6M${view.x(x)} ${view.y(y) - 3}v6`}
          stroke={ink('note')}
          strokeWidth={1.2}
        />
      ))}
    </g>
  );
}

interface Held {
  readonly view: View;
  readonly hold: (still: boolean) => void;
}

/** Follows a pointer over the plan; `put` gets the place it comes to, in world metres. */
function useDragPlace({ view, hold }: Held) {
  const store = useDeskStore();
  return (event: React.PointerEvent<SVGElement>, from: Place, put: (to: Place) => void) => {
    const svg = event.currentTarget.ownerSVGElement;
    if (event.button !== 0 || !svg) return;
    event.stopPropagation();
    const start = worldAt(svg, view, event);
    hold(true);
    trackPointer(
      event.currentTarget,
      event.pointerId,
      (e) => {
        const now = worldAt(svg, view, e);
        put([round2(from[0] + now[0] - start[0]), round2(from[1] + now[1] - start[1])]);
      },
      () => {
        hold(false);
        store.getState().settle();
      },
    );
  };
}

/** Arrow keys move a place by the field's step. */
const nudged = (event: React.KeyboardEvent, [x, y]: Place, step: number): Place | null => {
  const way = arrowMove(event.key, step);
  return way ? [round2(x + way[0]), round2(y + way[1])] : null;
};

const LOG_NAME = { colour: 'ink', size: 13, rank: 0 } as const;

function Logs({ view, hold, movable }: Held & { movable: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const logs = useDesk((desk) => desk.plan.ground.logs);
  const assumed = useDesk((desk) => desk.plan.assumed);
  const picked = useDesk((desk) => desk.view.log);
  const drag = useDragPlace({ view, hold });
  const move = (id: string, to: Place) =>
    store.getState().edit((d) => {
      const log = d.ground.logs.find((entry) => entry.id === id);
      if (log) log.at = to;
    }, `log-at:${id}`);
  const pick = (id: string) => {
    const { look, view: now } = store.getState();
    look({ log: id, lower: { ...now.lower, ground: 'pit' } });
  };
  const names = useMemo(
    () =>
      logs.map((log) =>
        nameAbout(`log:${log.id}`, log.name, LOG_NAME, {
          x: view.x(log.at[0]),
          y: view.y(log.at[1]),
          width: 18,
          height: 18,
        }),
      ),
    [logs, view],
  );
  useLabels('logs', names);
  return logs.map((log, i) => {
    // A pit nobody has dug is drawn as a pencil would.
    const pencil = assumed.includes(`/ground/logs/${i}`);
    const x = view.x(log.at[0]);
    const y = view.y(log.at[1]);
    const here = movable && log.id === picked;
    return (
      <g
        key={log.id}
        data-log={log.id}
        data-pencil={pencil || undefined}
        {...(movable && {
          'data-drag': true,
          role: 'button',
          tabIndex: 0,
          'aria-label': t('site.log', { name: log.name }),
          'aria-pressed': here,
          style: { cursor: 'grab' },
          onPointerDown: (event: React.PointerEvent<SVGElement>) => {
            pick(log.id);
            drag(event, log.at, (to) => move(log.id, to));
          },
          onKeyDown: (event: React.KeyboardEvent) => {
            if (event.key === 'Enter' || event.key === ' ') {
              event.preventDefault();
              pick(log.id);
              return;
            }
            // The key that deletes must not reach the trench that is picked.
            if (event.key === 'Delete') {
              event.stopPropagation();
              store.getState().edit((d) => {
                if (d.ground.logs.length > 1)
                  d.ground.logs = d.ground.logs.filter((entry) => entry.id !== log.id);
              });
              return;
            }
            const to = nudged(event, log.at, format.system === 'metric' ? 0.05 : 0.0254);
            if (!to) return;
            event.preventDefault();
            event.stopPropagation();
            move(log.id, to);
          },
        })}
      >
        <rect
          x={x - 8}
          y={y - 8}
          width={16}
          height={16}
          fill={ink('sheet')}
          stroke={here ? ink('chalk') : ink('ink')}
          strokeWidth={here ? 2.4 : 1.4}
          strokeDasharray={pencil ? '3 2' : undefined}
        />
        <path
          d={`M${x - 8} ${y + 8}V${y}H${x + 8}V${y + 8}Z`}
          fill={here ? ink('chalk') : ink('ink')}
          opacity={pencil ? 0.3 : 1}
        />
      </g>
    );
  });
}

/** Pixels a metre from which the plan has room for the names of what is not being edited. */
const ROOMY = 18;

/** The line of a hazard, by kind: no two kinds share a stroke. */
const STROKES: Record<Hazard['kind'], { colour: string; dash?: string; width: number }> = {
  service: { colour: 'held', dash: '10 3 2 3 2 3', width: 2.2 },
  footing: { colour: 'ink', width: 5 },
  crest: { colour: 'earth', dash: '2 3', width: 5 },
  tree: { colour: 'placed', width: 3 },
  rock: { colour: 'soft', width: 3 },
  stream: { colour: 'water', width: 4 },
  overhead: { colour: 'held', dash: '16 6', width: 1.6 },
  well: { colour: 'water', width: 3 },
};

function Hazards({ view, hold, movable }: Held & { movable: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const hazards = useDesk((desk) => desk.plan.ground.hazards);
  const picked = useDesk((desk) => desk.view.hazard);
  const drag = useDragPlace({ view, hold });
  const move = (id: string, point: number, to: Place) =>
    store.getState().edit((d) => {
      const hazard = d.ground.hazards.find((entry) => entry.id === id);
      if (hazard) hazard.points = hazard.points.map((p, i) => (i === point ? to : p));
    }, `hazard-at:${id}:${point}`);
  const named = movable || view.scale > ROOMY;
  const names = useMemo(
    () =>
      (named ? hazards : []).map((hazard): Name => {
        const said = hazard.crossing
          ? `${hazard.name} · ${t(`crossing.hows.${hazard.crossing.how}`)}`
          : hazard.name;
        const size = nameSize(said, 13);
        const points = hazard.points.map(([x, y]) => [view.x(x), view.y(y)] as const);
        const mark = { x: points[0]![0], y: points[0]![1], width: 14, height: 14 };
        return {
          id: `hazard:${hazard.id}`,
          text: said,
          colour: STROKES[hazard.kind].colour,
          size: 13,
          ...size,
          // The name of a line stays in the picture while the line may be.
          spots: points.length > 1 ? along(points, size) : about(mark, size),
          rank: 0.5,
          marks: points.length > 1 ? [] : [mark],
        };
      }),
    [hazards, view, named, t],
  );
  useLabels('hazards', names);
  return hazards.map((hazard) => {
    const { colour, dash, width } = STROKES[hazard.kind];
    const here = movable && hazard.id === picked;
    const d =
      hazard.points.length === 1
        ? `M${view.x(hazard.points[0]![0])} ${view.y(hazard.points[0]![1])}h0.01`
        : hazard.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${view.x(x)} ${view.y(y)}`).join('');
    const body = (hazard.projection ?? 0) * 2 * view.scale;
    return (
      <g
        key={hazard.id}
        data-hazard={hazard.id}
        {...(movable && {
          'data-drag': true,
          role: 'button',
          tabIndex: 0,
          'aria-pressed': here,
          'aria-label': t('site.hazard', { name: hazard.name }),
          style: { cursor: 'pointer' },
          onPointerDown: (event: React.PointerEvent) => {
            event.stopPropagation();
            store.getState().look({ hazard: hazard.id });
          },
          onKeyDown: (event: React.KeyboardEvent) => {
            if (event.key === 'Delete') {
              event.stopPropagation();
              store.getState().edit((d) => {
                d.ground.hazards = d.ground.hazards.filter((entry) => entry.id !== hazard.id);
              });
              return;
            }
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            store.getState().look({ hazard: hazard.id });
          },
        })}
      >
        <path
          d={d}
          fill="none"
          stroke={ink(colour)}
          strokeWidth={2 * hazard.keepOff * view.scale}
          strokeLinecap="round"
          strokeLinejoin="round"
          opacity={0.1}
          pointerEvents="none"
        />
        {hazard.kind === 'footing' && body > 1 && (
          <path d={d} fill="none" stroke="url(#plan-concrete)" strokeWidth={body} pointerEvents="none" />
        )}
        <path d={d} fill="none" stroke="transparent" strokeWidth={14} strokeLinecap="round" />
        <path
          d={d}
          fill="none"
          stroke={here ? ink('chalk') : ink(colour)}
          strokeWidth={hazard.points.length === 1 ? 12 : width}
          strokeLinecap={hazard.points.length === 1 ? 'round' : 'butt'}
          strokeDasharray={dash}
        />
        {here &&
          hazard.points.map((point, i) => (
            // biome-ignore lint/a11y/useSemanticElements: a drawn shape cannot be a button element
            <circle
              // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the line
              key={i}
              data-hazard-point={i}
              role="button"
              tabIndex={0}
              aria-label={t('site.point', { name: hazard.name, n: i + 1 })}
              cx={view.x(point[0])}
              cy={view.y(point[1])}
              r={7}
              fill={ink('sheet')}
              stroke={ink('chalk')}
              strokeWidth={2}
              style={{ cursor: 'grab' }}
              onPointerDown={(event) => drag(event, point, (to) => move(hazard.id, i, to))}
              onKeyDown={(event) => {
                const to = nudged(event, point, format.system === 'metric' ? 0.05 : 0.0254);
                if (!to) return;
                event.preventDefault();
                event.stopPropagation();
                move(hazard.id, i, to);
              }}
            />
          ))}
      </g>
    );
  });
}

function FenceLine({ view, hold }: Held) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const ends = useDesk((desk) => desk.view.fence);
  const drag = useDragPlace({ view, hold });
  if (!ends) return null;
  const move = (which: 0 | 1, to: Place) => {
    const now = store.getState().view.fence ?? ends;
    store.getState().look({ fence: which === 0 ? [to, now[1]] : [now[0], to] });
  };
  return (
    <g>
      <path
        d={`M${view.x(ends[0][0])} ${view.y(ends[0][1])}L${view.x(ends[1][0])} ${view.y(ends[1][1])}`}
        stroke={ink('ink')}
        strokeWidth={1.6}
        strokeDasharray="12 4 3 4"
        pointerEvents="none"
      />
      {ends.map((end, i) => (
        // biome-ignore lint/a11y/useSemanticElements: a drawn shape cannot be a button element
        <g
          key={i === 0 ? 'from' : 'to'}
          data-drag
          role="button"
          tabIndex={0}
          aria-label={t(i === 0 ? 'fence.from' : 'fence.to')}
          style={{ cursor: 'grab' }}
          onPointerDown={(event) => drag(event, end, (to) => move(i as 0 | 1, to))}
          onKeyDown={(event) => {
            const to = nudged(event, end, 0.05);
            if (!to) return;
            event.preventDefault();
            event.stopPropagation();
            move(i as 0 | 1, to);
          }}
        >
          <circle
            cx={view.x(end[0])}
            cy={view.y(end[1])}
            r={11}
            fill={ink('sheet')}
            stroke={ink('ink')}
            strokeWidth={1.5}
          />
          <text x={view.x(end[0])} y={view.y(end[1]) + 5} textAnchor="middle" fill={ink('ink')} style={label}>
            {i === 0 ? 'F' : 'F′'}
          </text>
        </g>
      ))}
    </g>
  );
}
