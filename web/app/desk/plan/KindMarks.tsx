/** What some kinds of element have of their own on the plan: numbered bays, outlets, hands. */
import { fallOf, type Strip, segmentsOf, type Takeoff } from '@cimiento/core';
import { memo } from 'react';
import { BAY_INKS } from '../../drawing/bayInks.ts';
import { ink } from '../../drawing/hatches.tsx';
import type { View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useBays } from '../../state/bays.ts';
import { label } from './Marks.tsx';

type Info = Takeoff['elements'][number];

/** Bays narrower than this on screen carry no number, px. */
const LEAST_BAY = 14;

/** Bays of a run under an old wall, numbered along it, each by how far it is; those of the first pass have a bold edge. */
export const Bays = memo(function Bays({ view, info }: { view: View; info: Info }) {
  const { bays, element } = info;
  const { t } = useTranslation();
  const states = useBays(element.id);
  if (!bays || element.kind !== 'underpin') return null;
  const first = new Set(bays.passes[0]);
  const half = (element.old?.thickness ?? element.width) / 2;
  const runs = segmentsOf(element);
  const cells: { n: number; corners: (readonly [number, number])[]; at: readonly [number, number] }[] = [];
  let n = 0;
  let before = 0;
  for (const run of runs) {
    while (n < bays.count && (n + 0.5) * bays.length <= before + run.length + 1e-9) {
      const [from, to] = [n * bays.length - before, (n + 1) * bays.length - before];
      const at = (s: number, o: number) =>
        [run.from[0] + run.ux * s - run.uy * o, run.from[1] + run.uy * s + run.ux * o] as const;
      cells.push({
        n: n + 1,
        corners: [at(from, half), at(to, half), at(to, -half), at(from, -half)],
        at: at((from + to) / 2, 0),
      });
      n++;
    }
    before += run.length;
  }
  return (
    <g pointerEvents="none" data-bays-drawn={bays.count}>
      {cells.map((cell) => (
        <g key={cell.n}>
          <path
            d={`M${cell.corners.map(([x, y]) => `${view.x(x)} ${view.y(y)}`).join('L')}Z`}
            fill={ink(BAY_INKS[states.get(cell.n) ?? 'toCome'])}
            stroke={ink(states.get(cell.n) === 'refused' ? 'held' : 'placed')}
            strokeWidth={first.has(cell.n) ? 2.4 : 1.2}
            data-bay-state={states.get(cell.n)}
          >
            <title>{t(`underpin.state.${states.get(cell.n) ?? 'toCome'}`)}</title>
          </path>
          {bays.length * view.scale > LEAST_BAY && (
            <text
              x={view.x(cell.at[0])}
              y={view.y(cell.at[1]) + 5}
              textAnchor="middle"
              fill={ink(states.get(cell.n) === 'released' ? 'paper' : 'ink')}
              style={label}
            >
              {cell.n}
            </text>
          )}
        </g>
      ))}
    </g>
  );
});

/** Which way a drain runs, and where it lets go. */
export const Outlet = memo(function Outlet({ view, element }: { view: View; element: Strip }) {
  if (element.points.length < 2) return null;
  const points = fallOf(element) < 0 ? element.points.toReversed() : element.points;
  const [end, before] = [points.at(-1)!, points.at(-2)!];
  const [x, y] = [view.x(end[0]), view.y(end[1])];
  const angle = (Math.atan2(y - view.y(before[1]), x - view.x(before[0])) * 180) / Math.PI;
  return (
    <g
      transform={`translate(${x} ${y}) rotate(${angle})`}
      pointerEvents="none"
      data-outlet={element.outfall?.where ?? 'none'}
    >
      <path d="M-18 0H6M-2 -6L7 0L-2 6" fill="none" stroke={ink('water')} strokeWidth={2} />
      {element.outfall && <circle cx={13} cy={0} r={4} fill={ink('water')} />}
    </g>
  );
});
