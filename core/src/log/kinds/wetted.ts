/** A day of keeping fresh concrete wet: done, or missed. */
import { bool, castKey, object, text } from '../../plan/parts.ts';
import { lastBy } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day } from '../measures.ts';

export const wettedValue = checked(
  object({
    /** The pour's id. */
    pour: castKey,
    day,
    done: bool(),
    note: text(200),
  }),
);

/** Names a day of a pour in the facts. */
export const wettedKey = (pour: string, on: string): string => `${pour} ${on}`;

export const wetted = recordKind<typeof wettedValue>()({
  measures: {},
  onPlacement: false,
  fold: lastBy(({ value }) => wettedKey(value.pour, value.day)),
  said: ({ day: on, done, note }) => [
    { sentence: done ? 'record.wettedValue' : 'record.wettedMissed', parts: { day: on } },
    note,
  ],
});
