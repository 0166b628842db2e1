/** An outline on the plan that is picked, dragged by its corners or as a whole, and moved with the arrows. */
import { useMemo } from 'react';
import { useDeskStore } from '../state/store.ts';
import { useFormat } from '../ui/format.tsx';
import { ink } from './hatches.tsx';
import { type Name, nameSize, useLabels } from './labels.tsx';
import { about, type Spot } from './names.ts';
import { arrowMove, trackPointer, worldAt } from './pointer.ts';
import { polygonPath, type View } from './view.ts';

type Place = readonly [number, number];
const round2 = (value: number) => Math.round(value * 100) / 100;

/** Under this it is small, px. */
const SMALL = 120;

interface Props {
  /** Told apart from others by it; its edits are undone together. */
  readonly id: string;
  readonly points: readonly Place[];
  readonly view: View;
  /** Keeps the plan's window still while something is dragged. */
  readonly hold: (still: boolean) => void;
  readonly movable: boolean;
  readonly picked: boolean;
  readonly label: string;
  readonly text: string;
  readonly fill: string;
  /** A name of the theme's colours. */
  readonly colour: string;
  readonly pick: () => void;
  readonly put: (points: readonly Place[], key: string) => void;
  readonly remove: () => void;
}

export function OutlineOnPlan(props: Props) {
  const { id, points, view, hold, movable, picked, label, text, fill, colour, pick, put, remove } = props;
  const format = useFormat();
  const store = useDeskStore();
  const xs = points.map((p) => view.x(p[0]));
  const ys = points.map((p) => view.y(p[1]));
  // In a small one the words would lie under its corners: they stand beside it.
  const small = Math.max(...xs) - Math.min(...xs) < SMALL || Math.max(...ys) - Math.min(...ys) < SMALL / 2;
  const names = useMemo((): readonly Name[] => {
    const size = nameSize(text, 13);
    const px = points.map((p) => view.x(p[0]));
    const py = points.map((p) => view.y(p[1]));
    const [west, east, top, foot] = [Math.min(...px), Math.max(...px), Math.min(...py), Math.max(...py)];
    const box = { x: (west + east) / 2, y: (top + foot) / 2, width: east - west, height: foot - top };
    const mean = (of: readonly number[]) => of.reduce((sum, v) => sum + v, 0) / of.length;
    const middle = { x: mean(px), y: mean(py) };
    const inside: Spot[] =
      box.width < size.width + 8 || box.width < SMALL || box.height < SMALL / 2
        ? []
        : [0, -1, 1, -2, 2].map((k) => ({ x: middle.x, y: middle.y + k * (size.height + 4) }));
    return [
      {
        id: `outline:${id}`,
        text,
        colour,
        size: 13,
        ...size,
        spots: [...inside, ...about(box, size)],
        rank: picked ? -1 : 1.5,
      },
    ];
  }, [id, text, colour, points, view, picked]);
  // Names keep off the corners it is dragged by.
  const marks = useMemo(
    () =>
      picked && movable
        ? points.map((p) => ({ x: view.x(p[0]), y: view.y(p[1]), width: 16, height: 16 }))
        : undefined,
    [picked, movable, points, view],
  );
  useLabels(`outline:${id}`, names, marks);
  const moved = (to: readonly Place[], key: string) =>
    put(
      to.map(([x, y]) => [round2(x), round2(y)] as const),
      key,
    );
  const drag = (event: React.PointerEvent<SVGElement>, corner: number | null) => {
    const svg = event.currentTarget.ownerSVGElement;
    if (event.button !== 0 || !svg) return;
    event.stopPropagation();
    pick();
    const from = worldAt(svg, view, event);
    const key = `outline:${id}:${event.timeStamp}`;
    hold(true);
    trackPointer(
      event.currentTarget,
      event.pointerId,
      (e) => {
        const to = worldAt(svg, view, e);
        const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
        moved(
          points.map((p, i) => (corner === null || corner === i ? ([p[0] + dx, p[1] + dy] as const) : p)),
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
      return pick();
    }
    if (event.key === 'Delete') {
      event.stopPropagation();
      return remove();
    }
    const way = arrowMove(event.key, format.system === 'metric' ? 0.25 : 0.3048);
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    moved(
      points.map(([x, y]) => [x + way[0], y + way[1]] as const),
      `outline-nudge:${id}`,
    );
  };
  return (
    <g
      data-outline={id}
      {...(movable && {
        'data-drag': true,
        role: 'button',
        tabIndex: 0,
        'aria-pressed': picked,
        'aria-label': label,
        style: { cursor: 'grab' },
        onPointerDown: (event: React.PointerEvent<SVGElement>) => drag(event, null),
        onKeyDown: nudge,
      })}
    >
      <path
        d={polygonPath(view, points.flat())}
        fill={fill}
        fillOpacity={0.75}
        stroke={picked && !small ? ink('chalk') : ink(colour)}
        strokeWidth={picked ? 2.6 : 1.6}
        strokeDasharray="6 4"
      />
      {picked &&
        movable &&
        points.map((p, i) => (
          <circle
            // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the outline
            key={i}
            cx={view.x(p[0])}
            cy={view.y(p[1])}
            r={small ? 5 : 7}
            fill={ink('sheet')}
            stroke={ink('chalk')}
            strokeWidth={2}
            onPointerDown={(event) => drag(event, i)}
          />
        ))}
    </g>
  );
}
