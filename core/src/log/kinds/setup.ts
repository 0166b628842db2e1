/**
 * A level or laser set up: read on a mark whose level is known. What is shot from it names this record.
 */
import { name, object, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { markLevel, rodReading } from '../measures.ts';

const measures = { markLevel, rodReading } as const;

export const setupValue = checked(
  object({
    mark: name,
    level: within(markLevel),
    /** Read on the mark, m: height of instrument = level + reading. */
    backsight: within(rodReading),
  }),
);

export const setup = recordKind<typeof setupValue>()({
  measures,
  onPlacement: false,
  book: 'levels',
  fold: nothing,
  said: ({ mark, level, backsight }) => [
    {
      sentence: 'record.setupValue',
      parts: {
        mark,
        level: { quantity: level, kind: 'level' },
        reading: { quantity: backsight, kind: 'taped' },
      },
    },
  ],
});
