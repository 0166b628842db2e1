/** Names of elements on the plan: where each may stand at this scale. */
import { type Element, isOutlined, isRun, labelPlace, pointsOf, sizesOf } from '@cimiento/core';
import { type Name, nameSize } from '../../drawing/labels.tsx';
import { about, along, beside, type Patch, type Spot } from '../../drawing/names.ts';
import type { View } from '../../drawing/view.ts';

/** A name may be this much longer than what it stands on, px: a pad's name stands over the pad. */
const LARGER = 26;
/** With more elements than this no lines lead to names: they would hide the plan. */
const MOST_LED = 40;
/** A pad larger than this, px, has room for others' names over it. */
const LARGE_MARK = 90;

/** What an element takes up on the drawing, where it is small. */
function markOf(element: Element, view: View): Patch | null {
  if (isRun(element) || isOutlined(element)) return null;
  const { along: l, across: w } = sizesOf(element);
  const turn = 'angle' in element ? (element.angle * Math.PI) / 180 : 0;
  const [c, s] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))];
  const [x, y] = labelPlace(element);
  return {
    x: view.x(x),
    y: view.y(y),
    width: (l * c + w * s) * view.scale,
    height: (l * s + w * c) * view.scale,
  };
}

/** @param length of it as drawn, px */
function spotsOf(
  element: Element,
  view: View,
  size: { width: number; height: number },
  { drawn, length, led }: { drawn: Patch | null; length: number; led: boolean },
): Spot[] {
  const [east, north] = labelPlace(element);
  const middle = { x: view.x(east), y: view.y(north) };
  const mark = drawn ?? { ...middle, width: 6, height: 6 };
  const off = led ? about(mark, size) : beside(mark, size.width, size.height);
  if (size.width > length + LARGER) return led ? off : [];
  if (isRun(element)) {
    const points = pointsOf(element).map(([x, y]) => [view.x(x), view.y(y)] as const);
    // Numbered bays stand on the run itself: its name stands beside them.
    if (element.kind === 'underpin') {
      const wide = view.scale * (element.old?.thickness ?? element.width);
      const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
      // Off all of it, where neither side has room.
      const whole: Patch = {
        x: (Math.min(...xs) + Math.max(...xs)) / 2,
        y: (Math.min(...ys) + Math.max(...ys)) / 2,
        width: Math.max(...xs) - Math.min(...xs) + wide,
        height: Math.max(...ys) - Math.min(...ys) + wide,
      };
      return [...besideRun(points, middle, size, wide), ...about(whole, size)];
    }
    return [middle, ...along(points), ...(led ? off : [])];
  }
  return [middle, ...(isOutlined(element) ? within(element, view) : []), ...off];
}

/** To either side of a run's middle, clear of what is as wide as it. @param wide px */
function besideRun(
  points: readonly (readonly [number, number])[],
  { x, y }: Spot,
  size: { width: number; height: number },
  wide: number,
): Spot[] {
  const [from, to] = [points[0]!, points.at(-1)!];
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
  const [nx, ny] = [(to[1] - from[1]) / length, (from[0] - to[0]) / length];
  const out = wide / 2 + (Math.abs(nx) * size.width + Math.abs(ny) * size.height) / 2 + 4;
  return [1, -1].map((side) => ({ x: x + side * nx * out, y: y + side * ny * out }));
}

/** Places about the middle of an outline, a quarter of its size apart, nearest first. */
function within(element: Element, view: View): Spot[] {
  const points = pointsOf(element);
  const xs = points.map((p) => view.x(p[0]));
  const ys = points.map((p) => view.y(p[1]));
  const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const [x, y] = labelPlace(element);
  return QUARTERS.map(([i, j]) => ({ x: view.x(x) + (i * w) / 4, y: view.y(y) + (j * h) / 4 }));
}
const QUARTERS = [
  [0, 1],
  [0, -1],
  [1, 0],
  [-1, 0],
  [1, 1],
  [-1, 1],
  [1, -1],
  [-1, -1],
] as const;

/**
 * @param press what a press on an element's name does, @param tap a press and release
 * @returns a name an element, the longest drawn first
 */
export function elementNames(
  elements: readonly Element[],
  view: View,
  picked: string | null,
  press: (event: React.PointerEvent<SVGElement>, element: Element) => void,
  tap: (id: string) => void,
): readonly Name[] {
  const led = elements.length <= MOST_LED;
  return elements.map((element) => {
    const size = nameSize(element.name, 14, true);
    const here = element.id === picked;
    const mark = markOf(element, view);
    const { along: l, across: w } = sizesOf(element);
    const long = Math.max(l, w);
    return {
      id: element.id,
      text: element.name,
      colour: 'ink',
      size: 14,
      framed: true,
      picked: here,
      ...size,
      spots: spotsOf(element, view, size, { drawn: mark, length: long * view.scale, led: led || here }),
      // What is drawn longest is named first: a house's walls before the pads beside it.
      rank: 1 / (1 + long),
      marks: mark && Math.max(mark.width, mark.height) < LARGE_MARK ? [mark] : [],
      press: (event) => press(event, element),
      tap: () => tap(element.id),
    };
  });
}
