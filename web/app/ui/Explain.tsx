/** A word of the books, said plainly: one press opens two lines and a small drawing. */
import { Box } from '@chakra-ui/react';
import { ink } from '../drawing/hatches.tsx';
import { useTranslation } from '../messages/useTranslation.ts';

interface Stroke {
  readonly d: string;
  readonly colour: 'ink' | 'earth' | 'water' | 'chalk' | 'held' | 'placed';
  readonly dashed?: true;
}

/** What each looks like, on 120 × 48. */
const DRAWINGS = {
  // Slim pipes in a row, the water pulled down between them.
  wellpoints: [
    { d: 'M4 12H116', colour: 'earth' },
    { d: 'M20 6V40M60 6V40M100 6V40M20 6H100', colour: 'ink' },
    { d: 'M4 18Q20 42 40 32Q60 46 80 32Q100 42 116 18', colour: 'water' },
  ],
  // A rod knocked in: so much for each blow.
  cbr: [
    { d: 'M4 14H116', colour: 'earth' },
    { d: 'M40 2V30L36 38L40 46L44 38L40 30M32 2H48', colour: 'ink' },
    { d: 'M72 20H84M72 28H96M72 36H108', colour: 'chalk' },
  ],
  // The air's cold, and how much of it gets through grass and through bare ground.
  nFactor: [
    { d: 'M4 22H116', colour: 'earth' },
    { d: 'M30 4V18M26 14L30 18L34 14M90 4V18M86 14L90 18L94 14', colour: 'chalk' },
    { d: 'M22 22l3-6l3 6l3-6l3 6l3-6l3 6', colour: 'placed' },
    { d: 'M30 24V30M90 24V42', colour: 'water' },
  ],
  // Ice lenses that lift the ground over them.
  heaveGroup: [
    { d: 'M4 22H40Q60 8 80 22H116', colour: 'earth' },
    { d: 'M44 28H76M40 34H80M46 40H74', colour: 'water' },
    { d: 'M60 20V8M56 12L60 8L64 12', colour: 'held' },
  ],
  // Most lie near the middle, two in three between the marks.
  deviation: [
    { d: 'M8 42C40 42 44 8 60 8C76 8 80 42 112 42', colour: 'ink' },
    { d: 'M44 42V28M76 42V28', colour: 'chalk', dashed: true },
    { d: 'M4 44H116', colour: 'earth' },
  ],
  // Years' worst storms on their line: the rarer, the deeper.
  gumbel: [
    { d: 'M10 44V6M10 44H116', colour: 'ink' },
    { d: 'M14 40L112 10', colour: 'chalk', dashed: true },
    { d: 'M22 38h.1M34 33h.1M46 31h.1M60 25h.1M76 22h.1M98 13h.1', colour: 'water' },
  ],
  // A neighbour's footing, and the slope its load goes down by.
  influence: [
    { d: 'M4 14H116', colour: 'earth' },
    { d: 'M20 4V24H12V30H36V24H28V4', colour: 'ink' },
    { d: 'M36 30L76 46', colour: 'held', dashed: true },
    { d: 'M84 14V34H112V14', colour: 'chalk' },
  ],
} as const satisfies Record<string, readonly Stroke[]>;

export type Term = keyof typeof DRAWINGS;

export function Explain({ term }: { term: Term }) {
  const { t } = useTranslation();
  const strokes: readonly Stroke[] = DRAWINGS[term];
  return (
    <details data-explains={term}>
      <Box as="summary" fontSize="xs" color="soft" cursor="pointer">
        {t(`explain.${term}.ask`)}
      </Box>
      <Box fontSize="sm" display="flex" gap={2} alignItems="start">
        <svg width="120" height="48" viewBox="0 0 120 48" aria-hidden style={{ flexShrink: 0 }}>
          {strokes.map(({ d, colour, dashed }) => (
            <path
              key={d}
              d={d}
              fill="none"
              stroke={ink(colour)}
              strokeWidth={colour === 'water' && term === 'gumbel' ? 4 : 1.8}
              strokeLinecap="round"
              strokeDasharray={dashed ? '4 3' : undefined}
            />
          ))}
        </svg>
        <p>{t(`explain.${term}.text`)}</p>
      </Box>
    </details>
  );
}
