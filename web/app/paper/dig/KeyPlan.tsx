/**
 * The key plan: what is dug and what is under it, turned so that the job lies straight on the page, with
 * running dimensions along two sides to find it all again.
 */
import {
  boxOf,
  type Element,
  flatsOf,
  type Hazard,
  isOutlined,
  isRun,
  labelPlace,
  type Mark,
  type Plan,
  type Running,
  segmentsOf,
  sizesOf,
  type Takeoff,
  unionBox,
} from '@cimiento/core';
import { G, Line, Path, Rect, Svg, Text } from '@react-pdf/renderer';
import { about, along, type Patch } from '../../drawing/names.ts';
import { spread } from '../../drawing/spread.ts';
import { polygonPath, type View, viewOf } from '../../drawing/view.ts';
import type { Format } from '../../ui/format.tsx';
import { type PaperName, PlacedNames, paperSize, paperWidth } from '../names.tsx';
import { CHALK, EARTH, HELD, INK } from './marks.tsx';

type Point = readonly [number, number];

/** Room for the dimensions, left and below, pt. */
const FOOT = 30;
const LEFT = { metric: 46, imperial: 64 } as const;
/** Of names, pt. */
const NAME = 9.5;

/** Turns places on the ground into the job's own frame, and back is never needed. */
const turner =
  ({ ux, uy }: Pick<Running, 'ux' | 'uy'>) =>
  ([x, y]: Point): Point => [x * ux + y * uy, y * ux - x * uy];

const eachPoint = (polygon: readonly number[], turn: (p: Point) => Point): number[] => {
  const out: number[] = [];
  for (let i = 0; i + 1 < polygon.length; i += 2) out.push(...turn([polygon[i]!, polygon[i + 1]!]));
  return out;
};

/** Where an element's name may stand, and what of it other names keep off. @param at of the ground on the page */
function nameOf(element: Element, view: View, at: (p: Point) => Point): PaperName {
  const [x, y] = at(labelPlace(element));
  const size = paperSize(element.name, NAME);
  const { along: long, across } = sizesOf(element);
  const small = !isRun(element) && !isOutlined(element);
  const mark: Patch = { x, y, width: across * view.scale, height: across * view.scale };
  const fits = size.width <= Math.max(long, across) * view.scale + 14;
  return {
    id: element.id,
    text: element.name,
    size: NAME,
    colour: INK,
    ...size,
    spots: [
      ...(fits ? [{ x, y }] : []),
      ...(isRun(element) && fits ? along(element.points.map(at)) : []),
      ...about(mark, size, 1),
    ],
    rank: 1 / (1 + long),
    marks: small ? [mark] : [],
  };
}

/** The name of a hazard whose points lie so on the page. */
function hazardName({ id, name }: Hazard, points: readonly Point[]): PaperName {
  const size = paperSize(name, NAME);
  const [x, y] = points[0]!;
  const line = points.length > 1;
  const mark = { x, y, width: 8, height: 8 };
  return {
    id: `hazard:${id}`,
    text: name,
    size: NAME,
    colour: HELD,
    ...size,
    spots: line ? along(points, size, 2) : about(mark, size),
    rank: 0,
    marks: line ? [] : [mark],
  };
}

export function KeyPlan({
  plan,
  takeoff,
  running,
  width,
  height,
  format,
}: {
  plan: Plan;
  takeoff: Takeoff;
  running: Running;
  width: number;
  height: number;
  format: Format;
}) {
  const turn = turner(running);
  const turned = (polygons: readonly (readonly number[])[]) => polygons.map((p) => eachPoint(p, turn));
  const openings = turned(takeoff.elements.flatMap((e) => e.openings));
  const footings = turned(takeoff.elements.flatMap((e) => e.footings.map((piece) => piece.plan)));
  const flats = turned(flatsOf(takeoff.solid));
  const shown = [...openings, ...footings].filter((p) => p.length > 0);
  if (shown.length === 0) return null;
  const box = unionBox(shown.map((p) => boxOf(p)));
  const left = LEFT[format.system];
  const inner = { width: width - left, height: height - FOOT };
  const fitted = viewOf(box, inner.width, inner.height, { k: 1, x: 0, y: 0 }, 10);
  const view: View = { ...fitted, x: (east) => fitted.x(east) + left };
  const at = (p: Point): Point => {
    const [x, y] = turn(p);
    return [view.x(x), view.y(y)];
  };
  const join = (polygons: readonly (readonly number[])[]) =>
    polygons.map((polygon) => polygonPath(view, polygon)).join('');
  const hazards = plan.ground.hazards.map((hazard) => ({ hazard, points: hazard.points.map(at) }));
  const inWindow = ([x, y]: Point) => x > left && x < width && y > 0 && y < inner.height;
  const names = [
    ...plan.elements.map((element) => nameOf(element, view, at)),
    ...hazards.flatMap(({ hazard, points }) => (points.some(inWindow) ? [hazardName(hazard, points)] : [])),
  ];
  return (
    <Svg width={width} height={height}>
      <Path d={join(openings)} fill="#f6e3d4" stroke={EARTH} strokeWidth={0.9} />
      <Path d={join(openings)} fill="#f6e3d4" stroke="none" />
      <Path d={join(flats)} fill="#e9c4a4" stroke="#e9c4a4" strokeWidth={0.4} />
      <Path d={join(footings)} fill="#cfdad6" stroke={INK} strokeWidth={0.4} />
      {plan.elements.filter(isRun).flatMap((element) =>
        segmentsOf(element).map((run) => {
          const [[x1, y1], [x2, y2]] = [at(run.from), at(run.to)];
          return (
            <Line
              key={`${element.id}${x1},${y1}`}
              x1={x1}
              y1={y1}
              x2={x2}
              y2={y2}
              stroke={CHALK}
              strokeWidth={0.6}
              strokeDasharray="6 2 1 2"
            />
          );
        }),
      )}
      {hazards.map(({ hazard, points }) => (
        <Path
          key={hazard.id}
          d={
            points.length > 1
              ? points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('')
              : `M${points[0]![0] - 3} ${points[0]![1] - 3}h6v6h-6Z`
          }
          fill="none"
          stroke={HELD}
          strokeWidth={1.6}
          strokeDasharray={points.length > 1 ? '7 2 1 2' : ''}
        />
      ))}
      {/* Nothing of the drawing may run on under the dimensions. */}
      <Rect x={0} y={0} width={left - 2} height={height} fill="#ffffff" />
      <Rect x={0} y={inner.height} width={width} height={FOOT} fill="#ffffff" />
      <Tapes
        running={running}
        at={at}
        view={view}
        left={left}
        foot={inner.height}
        width={width}
        format={format}
      />
      <PlacedNames
        names={names}
        fixed={[
          { x: width - 12, y: 16, width: 24, height: 34 },
          { x: left / 2, y: height / 2, width: left, height },
        ]}
        width={width}
        height={inner.height}
        line={INK}
      />
      <North x={width - 12} y={18} ux={running.ux} uy={running.uy} />
    </Svg>
  );
}

/** North of the turned drawing. */
function North({ x, y, ux, uy }: { x: number; y: number; ux: number; uy: number }) {
  // North on the page: (0, 1) turned into the job's frame, down the page being positive.
  const [nx, ny] = [uy, -ux];
  const tip: Point = [x + nx * 11, y + ny * 11];
  const foot = (side: number): Point => [x - nx * 8 - ny * 4 * side, y - ny * 8 + nx * 4 * side];
  return (
    <G>
      <Path
        d={`M${tip.join(' ')}L${foot(1).join(' ')}L${x - nx * 5} ${y - ny * 5}L${foot(-1).join(' ')}Z`}
        fill={INK}
      />
      <Text
        x={x + nx * 15}
        y={y + ny * 15 + 2.5}
        textAnchor="middle"
        style={{ fontSize: 8, fontFamily: 'Figures' }}
        fill={INK}
      >
        N
      </Text>
    </G>
  );
}

const TAPE = { size: 9, gap: 3 } as const;

interface Ticked {
  readonly item: Mark;
  readonly at: number;
  /** Where its distance stands; null where there is no room for it. */
  readonly drawn: number | null;
}

/** Distances on a tape: led apart where all find room; else those that stand clear, the ends first. */
function readable(
  marks: readonly { item: Mark; at: number }[],
  gap: number,
  low: number,
  high: number,
): Ticked[] {
  if ((marks.length - 1) * gap <= high - low) return spread(marks, gap, low, high);
  const told = new Set<number>();
  const taken: number[] = [];
  for (const i of [0, marks.length - 1, ...marks.keys()]) {
    const { at } = marks[i]!;
    if (told.has(i) || taken.some((other) => Math.abs(other - at) < gap)) continue;
    told.add(i);
    taken.push(at);
  }
  return marks.map((mark, i) => ({ ...mark, drawn: told.has(i) ? mark.at : null }));
}

/** Two tapes: ticks at every place along and across, their distances spread so that none covers another. */
function Tapes({
  running,
  at,
  view,
  left,
  foot,
  width,
  format,
}: {
  running: Running;
  at: (p: Point) => Point;
  view: View;
  left: number;
  foot: number;
  width: number;
  format: Format;
}) {
  const [x0, y0] = at(running.origin);
  const say = (mark: Mark) =>
    mark.at === 0
      ? '0'
      : format.system === 'metric'
        ? format.parts(mark.at, 'length').number
        : format.text(mark.at, 'length');
  const across = readable(
    running.across.map((item) => ({ item, at: y0 - item.at * view.scale })),
    TAPE.size + 1,
    TAPE.size,
    foot - 4,
  );
  const widest = Math.max(...running.along.map((mark) => paperWidth(say(mark), TAPE.size))) + TAPE.gap;
  const along = readable(
    running.along.map((item) => ({ item, at: x0 + item.at * view.scale })),
    widest,
    left - 6,
    width - 16,
  );
  return (
    <G>
      <Line x1={left - 6} y1={foot} x2={width} y2={foot} stroke={INK} strokeWidth={0.8} />
      <Line x1={left - 6} y1={0} x2={left - 6} y2={foot} stroke={INK} strokeWidth={0.8} />
      {along.map(({ item, at: x, drawn }) => (
        <G key={item.at}>
          <Path
            d={`M${x} ${foot - 4}V${foot + 4}${drawn === null ? '' : `L${drawn} ${foot + 12}`}`}
            fill="none"
            stroke={INK}
            strokeWidth={0.7}
          />
          {drawn !== null && (
            <Text
              x={drawn}
              y={foot + 21}
              textAnchor="middle"
              style={{ fontSize: TAPE.size, fontFamily: 'Figures' }}
              fill={INK}
            >
              {say(item)}
            </Text>
          )}
        </G>
      ))}
      {across.map(({ item, at: y, drawn }) => (
        <G key={item.at}>
          <Path
            d={`M${left - 2} ${y}H${left - 9}${drawn === null ? '' : `L${left - 14} ${drawn}`}`}
            fill="none"
            stroke={INK}
            strokeWidth={0.7}
          />
          {drawn !== null && (
            <Text
              x={left - 16}
              y={drawn + 3}
              textAnchor="end"
              style={{ fontSize: TAPE.size, fontFamily: 'Figures' }}
              fill={INK}
            >
              {say(item)}
            </Text>
          )}
        </G>
      ))}
    </G>
  );
}
