/** Names beside a drawing of layers, each led to its own, spread apart where the layers are thin. */
import { BrokenText, LINE } from './BrokenText.tsx';
import { ink } from './hatches.tsx';
import { linesOf } from './lines.ts';
import { spread } from './spread.ts';

export interface Beside {
  readonly key: string;
  readonly text: string;
  /** Where what it names stands, px. */
  readonly at: number;
  /** A figure, rather than a thing by its name. */
  readonly figure?: boolean;
  /** What is not as it should be is told by its colour too. */
  readonly wrong?: boolean;
}

const WORDS = { fontFamily: 'Barlow', fontWeight: 500, fontSize: 12.5 } as const;
const FIGURE = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13.5 } as const;
/** From name to name of one line, px. */
const APART = 17;

/**
 * @param from where what is named ends, px
 * @param label where the names begin, px
 * @param width of the drawing, px, which no name leaves
 */
export function NamesBeside({
  names,
  from,
  label,
  width,
  height,
}: {
  names: readonly Beside[];
  from: number;
  label: number;
  width: number;
  height: number;
}) {
  const broken = (text: string) => linesOf(text, width - label - 4, WORDS.fontSize);
  const two = names.some(({ text }) => broken(text).length > 1);
  return spread(
    names.map((name) => ({ item: name, at: name.at })),
    two ? 2 * LINE : APART,
    10,
    height - (two ? LINE + 8 : 8),
  ).map(({ item, at, drawn }) => (
    <g key={item.key} pointerEvents="none">
      <path
        d={`M${from} ${at}L${label - 4} ${drawn}`}
        stroke={ink(item.wrong ? 'held' : 'soft')}
        strokeWidth={0.8}
      />
      <BrokenText
        lines={broken(item.text)}
        x={label}
        y={drawn + 4}
        fill={ink(item.wrong ? 'held' : 'ink')}
        style={item.figure ? FIGURE : WORDS}
      />
    </g>
  ));
}
