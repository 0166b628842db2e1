/**
 * Names on the plan. Each layer says what it would name and where; they are placed together, so that
 * no layer's names lie over another's, and drawn over all.
 */
import { createContext, memo, useContext, useLayoutEffect, useMemo, useSyncExternalStore } from 'react';
import { ink } from './hatches.tsx';
import { about, edge, type Patch, placeNames, type Wish } from './names.ts';
import type { View } from './view.ts';

export interface Name extends Wish {
  readonly text: string;
  /** A name of the theme's colours. */
  readonly colour: string;
  /** Px. */
  readonly size: number;
  /** In a frame, as an element's; else with a halo. */
  readonly framed?: boolean;
  readonly picked?: boolean;
  readonly press?: (event: React.PointerEvent<SVGElement>) => void;
  readonly tap?: () => void;
}

interface Wanted {
  readonly names: readonly Name[];
  /** Drawn by the layer itself: names keep off it. */
  readonly marks: readonly Patch[];
}

export interface LabelBoard {
  readonly put: (owner: string, wanted: Wanted | null) => void;
  readonly subscribe: (hear: () => void) => () => void;
  readonly all: () => readonly Wanted[];
}

const NONE: readonly Wanted[] = [];

/** Where layers hang up what they would name. */
export function makeLabelBoard(): LabelBoard {
  const owners = new Map<string, Wanted>();
  const hearers = new Set<() => void>();
  let all = NONE;
  return {
    put(owner, wanted) {
      if (wanted) owners.set(owner, wanted);
      else owners.delete(owner);
      all = [...owners.values()];
      for (const hear of hearers) hear();
    },
    subscribe(hear) {
      hearers.add(hear);
      return () => hearers.delete(hear);
    },
    all: () => all,
  };
}

export const LabelsOf = createContext<LabelBoard | null>(null);

const NO_NAMES: readonly Name[] = [];
const NO_MARKS: readonly Patch[] = [];

/**
 * A layer's names and marks, placed with all others'.
 * @param names kept by the caller as long as they are the same
 */
export function useLabels(
  owner: string,
  names: readonly Name[] = NO_NAMES,
  marks: readonly Patch[] = NO_MARKS,
): void {
  const board = useContext(LabelsOf);
  useLayoutEffect(() => {
    board?.put(owner, { names, marks });
    return () => board?.put(owner, null);
  }, [board, owner, names, marks]);
}

const FONT = 'Barlow Condensed';
let pen: CanvasRenderingContext2D | null | undefined;
const widths = new Map<string, number>();
/** Widths kept at most. */
const MOST_WIDTHS = 4000;

/** How wide a text is drawn, px. */
export function textWidth(text: string, size: number): number {
  const key = `${size}:${text}`;
  const known = widths.get(key);
  if (known !== undefined) return known;
  pen ??= typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d');
  if (!pen) return text.length * size * 0.5;
  pen.font = `600 ${size}px "${FONT}"`;
  const width = pen.measureText(text).width;
  // Before the font has come another, wider one is measured.
  if (document.fonts.status === 'loaded') {
    if (widths.size > MOST_WIDTHS) widths.clear();
    widths.set(key, width);
  }
  return width;
}

/** Round a text in a frame, px, and how high the frame is. */
const FRAME = { side: 7, height: 20 } as const;

/** The size a name takes. */
export const nameSize = (text: string, size: number, framed = false) => ({
  width: textWidth(text, size) + (framed ? 2 * FRAME.side : 4),
  height: framed ? FRAME.height : size + 1,
});

/** A name with a halo about a mark. */
export function nameAbout(
  id: string,
  text: string,
  { colour, size, rank }: Pick<Name, 'colour' | 'size' | 'rank'>,
  mark: Patch,
): Name {
  const tag = nameSize(text, size);
  return { id, text, colour, size, rank, ...tag, spots: about(mark, tag), marks: [mark] };
}

/** North arrow and scale bar stand still over the plan. */
const stillMarks = (view: View): readonly Patch[] => [
  { x: view.width - 26, y: 28, width: 24, height: 46 },
  { x: 88, y: view.height - 13, width: 176, height: 20 },
];

export const Labels = memo(function Labels({ view, first }: { view: View; first: string | null }) {
  const board = useContext(LabelsOf)!;
  const all = useSyncExternalStore(board.subscribe, board.all, () => NONE);
  const placed = useMemo(() => {
    const names = all.flatMap((wanted) => wanted.names);
    const marks = [...stillMarks(view), ...all.flatMap((wanted) => wanted.marks)];
    const stands = placeNames(names, marks, view, first);
    return names.flatMap((name) => {
      const at = stands.get(name.id);
      return at ? [{ name, at }] : [];
    });
  }, [all, view, first]);
  return (
    <g aria-hidden data-labels={placed.length}>
      {placed.map(({ name, at }) =>
        at.to ? (
          <Leader key={name.id} from={edge({ ...name, ...at }, at.to)} to={at.to} colour={name.colour} />
        ) : null,
      )}
      {placed.map(({ name, at }) => (
        <Tag key={name.id} name={name} x={at.x} y={at.y} />
      ))}
    </g>
  );
});

const Leader = memo(function Leader({
  from,
  to,
  colour,
}: {
  from: readonly [number, number];
  to: readonly [number, number];
  colour: string;
}) {
  return (
    <g pointerEvents="none">
      <path d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}`} stroke={ink(colour)} strokeWidth={0.9} />
      <circle cx={to[0]} cy={to[1]} r={1.8} fill={ink(colour)} />
    </g>
  );
});

const Tag = memo(function Tag({ name, x, y }: { name: Name; x: number; y: number }) {
  const { width, height, framed, picked, press, tap } = name;
  return (
    <g
      transform={`translate(${x} ${y})`}
      data-name-of={name.id}
      {...(press
        ? { 'data-drag': true, onPointerDown: press, onClick: tap, style: { cursor: 'grab' } }
        : { pointerEvents: 'none' })}
    >
      <rect
        x={-width / 2}
        y={-height / 2}
        width={width}
        height={height}
        rx={3}
        fill={framed ? (picked ? ink('chalk') : ink('sheet')) : 'none'}
        stroke={framed ? ink('ink') : 'none'}
        strokeWidth={0.8}
      />
      <text
        textAnchor="middle"
        y={name.size * 0.35}
        fill={framed ? (picked ? ink('on-chalk') : ink('ink')) : ink(name.colour)}
        style={{ fontFamily: FONT, fontWeight: 600, fontSize: name.size }}
        {...(!framed && { stroke: ink('paper'), strokeWidth: 3.2, paintOrder: 'stroke' })}
      >
        {name.text}
      </text>
    </g>
  );
});
