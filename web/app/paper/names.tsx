/** Names on a drawing of a sheet: placed so that none covers another, over all that is drawn. */
import { G, Line, Rect, Text } from '@react-pdf/renderer';
import { edge, type Patch, placeNames, type Wish } from '../drawing/names.ts';

export interface PaperName extends Wish {
  readonly text: string;
  /** Of the letters, pt. */
  readonly size: number;
  readonly colour: string;
}

/** In the figures' narrow face a letter is about so wide, in its height. */
const LETTER = 0.46;
/** About how wide a text is, with air beside it, pt. */
export const paperWidth = (text: string, size: number): number => text.length * size * LETTER + 4;
/** What a name takes, pt. */
export const paperSize = (text: string, size: number) => ({
  width: paperWidth(text, size),
  height: size + 1.5,
});

export function PlacedNames({
  names,
  fixed = [],
  width,
  height,
  line,
}: {
  names: readonly PaperName[];
  /** What is drawn there already. */
  fixed?: readonly Patch[];
  width: number;
  height: number;
  /** Colour of the lines that lead to names. */
  line: string;
}) {
  const stands = placeNames(names, fixed, { width, height });
  return names.map((name) => {
    const spot = stands.get(name.id);
    if (!spot) return null;
    const from = spot.to && edge({ ...name, ...spot }, spot.to);
    return (
      <G key={name.id}>
        {from && spot.to && (
          <Line x1={from[0]} y1={from[1]} x2={spot.to[0]} y2={spot.to[1]} stroke={line} strokeWidth={0.5} />
        )}
        {/* Under its letters no line is seen. */}
        <Rect
          x={spot.x - name.width / 2}
          y={spot.y - name.height / 2}
          width={name.width}
          height={name.height}
          fill="#ffffff"
        />
        <Text
          x={spot.x}
          y={spot.y + name.size * 0.36}
          textAnchor="middle"
          style={{ fontSize: name.size, fontFamily: 'Figures' }}
          fill={name.colour}
        >
          {name.text}
        </Text>
      </G>
    );
  });
}
