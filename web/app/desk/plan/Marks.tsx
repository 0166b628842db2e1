/** What is drawn round the dig on the plan: grid, dimensions of what is picked, the cut, north, scale. */
import { type Element, isOutlined, isRun, pointsOf, type Section, segmentsOf, tidy } from '@cimiento/core';
import { memo, useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { textWidth, useLabels } from '../../drawing/labels.tsx';
import { type Patch, slanted } from '../../drawing/names.ts';
import { niceLength, type View } from '../../drawing/view.ts';
import { type Format, useFormat } from '../../ui/format.tsx';

export const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 14 } as const;

export const Grid = memo(function Grid({ view }: { view: View }) {
  const step = niceLength(Math.max(1, 36 / view.scale));
  const lines: string[] = [];
  const west = view.east(0);
  const east = view.east(view.width);
  const south = view.north(view.height);
  const north = view.north(0);
  for (let x = Math.ceil(west / step) * step; x <= east; x += step)
    lines.push(`M${view.x(x).toFixed(1)} 0V${view.height}`);
  for (let y = Math.ceil(south / step) * step; y <= north; y += step)
    lines.push(`M0 ${view.y(y).toFixed(1)}H${view.width}`);
  return <path d={lines.join('')} stroke={ink('rule')} strokeWidth={1} fill="none" pointerEvents="none" />;
});

interface Dimension {
  /** What it measures, on the drawing, px. */
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** Away from what it measures. */
  readonly normal: readonly [number, number];
  readonly off: number;
  readonly text: string;
  readonly at: readonly [number, number];
  /** Degrees; read from below or from the right. */
  readonly angle: number;
}

/** Under this a dimension is not drawn, px. */
const LEAST = 46;

function dimensionsOf(element: Element, view: View, format: Format): Dimension[] {
  const outlined = isOutlined(element);
  const runs = isRun(element)
    ? segmentsOf(element).map((run) => ({ from: run.from, to: run.to, length: run.length }))
    : element.kind === 'pad'
      ? padSides(element)
      : !isOutlined(element)
        ? []
        : tidy(element.outline).map((from, i, corners) => {
            const to = corners[(i + 1) % corners.length]!;
            return { from, to, length: Math.hypot(to[0] - from[0], to[1] - from[1]) };
          });
  const half = (isRun(element) || element.kind === 'pad' ? element.width / 2 : 0) * view.scale;
  return runs
    .filter((run) => run.length * view.scale > LEAST)
    .map((run) => {
      const from = [view.x(run.from[0]), view.y(run.from[1])] as const;
      const to = [view.x(run.to[0]), view.y(run.to[1])] as const;
      const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
      let nx = (to[1] - from[1]) / length;
      let ny = -(to[0] - from[0]) / length;
      // An outline is measured on its outside; a lone run above, or to the right.
      if (outlined) [nx, ny] = [-nx, -ny];
      else if (ny > 0.01 || (Math.abs(ny) <= 0.01 && nx < 0)) [nx, ny] = [-nx, -ny];
      const off = Math.max(26, half + 20);
      const angle = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
      return {
        from,
        to,
        normal: [nx, ny] as const,
        off,
        text: format.text(run.length, 'length'),
        at: [(from[0] + to[0]) / 2 + nx * off, (from[1] + to[1]) / 2 + ny * off] as const,
        angle: angle > 90.5 || angle <= -89.5 ? angle + 180 : angle,
      };
    });
}

/** Round a dimension's text, px. */
const DIMENSION = { side: 3, height: 18 } as const;

/** Length of each run of the picked strip; both sizes of a picked pad. */
export function PickedDimensions({ view, element }: { view: View; element: Element | undefined }) {
  const format = useFormat();
  const dimensions = useMemo(
    () => (element ? dimensionsOf(element, view, format) : []),
    [element, view, format],
  );
  // Names keep off its texts and off the ends it is dragged by.
  const marks = useMemo(
    (): Patch[] => [
      ...dimensions.flatMap(({ at, text, angle }) =>
        slanted(
          at[0],
          at[1],
          textWidth(text, 14) + 2 * DIMENSION.side,
          DIMENSION.height,
          (angle * Math.PI) / 180,
        ),
      ),
      ...(element && (isRun(element) || isOutlined(element))
        ? pointsOf(element).map(([x, y]) => ({ x: view.x(x), y: view.y(y), width: 16, height: 16 }))
        : []),
    ],
    [dimensions, element, view],
  );
  useLabels('dimensions', undefined, marks);
  return (
    <g pointerEvents="none">
      {dimensions.map(({ from: [x0, y0], to: [x1, y1], normal: [nx, ny], off, text, at, angle }) => {
        const width = textWidth(text, 14) + 2 * DIMENSION.side;
        return (
          <g key={`${x0},${y0},${x1},${y1}`}>
            <path
              d={`M${x0 + nx * off} ${y0 + ny * off}L${x1 + nx * off} ${y1 + ny * off}M${x0 + nx * 10} ${y0 + ny * 10}L${x0 + nx * (off + 5)} ${y0 + ny * (off + 5)}M${x1 + nx * 10} ${y1 + ny * 10}L${x1 + nx * (off + 5)} ${y1 + ny * (off + 5)}`}
              stroke={ink('ink')}
              strokeWidth={0.8}
            />
            <g transform={`translate(${at[0]} ${at[1]}) rotate(${angle})`}>
              <rect
                x={-width / 2}
                y={-DIMENSION.height / 2}
                width={width}
                height={DIMENSION.height}
                fill={ink('paper')}
              />
              <text textAnchor="middle" y={5} fill={ink('ink')} style={label}>
                {text}
              </text>
            </g>
          </g>
        );
      })}
    </g>
  );
}

function padSides(pad: Extract<Element, { kind: 'pad' }>) {
  const angle = (pad.angle * Math.PI) / 180;
  const ux = Math.cos(angle);
  const uy = Math.sin(angle);
  const at = (along: number, across: number) =>
    [pad.at[0] + along * ux - across * uy, pad.at[1] + along * uy + across * ux] as const;
  const { length: l, width: w } = pad;
  return [
    { from: at(-l / 2, 0), to: at(l / 2, 0), length: l },
    { from: at(0, -w / 2), to: at(0, w / 2), length: w },
  ];
}

interface End {
  readonly x: number;
  readonly y: number;
  readonly letter: readonly [number, number];
}
/** Room for the letters of a cut moves in steps of this, px. */
const STEP = 8;
const inSteps = (px: number): number => Math.round(px / STEP) * STEP;

export function CutMark({ view, section }: { view: View; section: Section }) {
  const [a, b] = useMemo((): readonly [End, End] => {
    const end = (side: -1 | 1) => {
      const x = view.x(section.x + side * section.half * section.dx);
      const y = view.y(section.y + side * section.half * section.dy);
      return { x, y, letter: [x + side * 9 * section.dx, y - side * 9 * section.dy] as const };
    };
    return [end(-1), end(1)];
  }, [view, section]);
  // The cut is another at every edit and a hair longer: names make room in steps, and are not placed anew each time.
  const [ax, ay] = a.letter.map(inSteps) as [number, number];
  const [bx, by] = b.letter.map(inSteps) as [number, number];
  const marks = useMemo(
    () =>
      [[ax, ay] as const, [bx, by] as const].map(([x, y]) => ({ x, y, width: 12 + STEP, height: 14 + STEP })),
    [ax, ay, bx, by],
  );
  useLabels('cut', undefined, marks);
  return (
    <g pointerEvents="none">
      <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke={ink('ink')} strokeWidth={1.8} strokeDasharray="14 5" />
      {[a, b].map(({ letter: [x, y] }, i) => (
        <text
          key={i === 0 ? 'a' : 'b'}
          x={x}
          y={y + 5}
          textAnchor="middle"
          fill={ink('ink')}
          stroke={ink('paper')}
          strokeWidth={3}
          paintOrder="stroke"
          style={label}
        >
          A
        </text>
      ))}
    </g>
  );
}

export function Compass({ width }: { width: number }) {
  return (
    <g transform={`translate(${width - 26} 12)`} pointerEvents="none">
      <path d="M0 12L7 34L0 29L-7 34Z" fill={ink('ink')} />
      <text textAnchor="middle" y={8} fill={ink('ink')} style={{ ...label, fontSize: 13 }}>
        N
      </text>
    </g>
  );
}

export function ScaleBar({ view }: { view: View }) {
  const format = useFormat();
  const metres =
    format.system === 'metric'
      ? niceLength(110 / view.scale)
      : niceLength(110 / view.scale / 0.3048) * 0.3048;
  const length = metres * view.scale;
  return (
    <g transform={`translate(14 ${view.height - 12})`} pointerEvents="none">
      <path d={`M0 -5V0H${length}V-5M${length / 2} -3V0`} fill="none" stroke={ink('ink')} strokeWidth={1.2} />
      <text x={length + 6} y={1} fill={ink('ink')} style={{ ...label, fontSize: 12 }}>
        {format.text(metres, 'length', format.system === 'metric' ? { decimals: metres < 1 ? 2 : 0 } : {})}
      </text>
    </g>
  );
}
