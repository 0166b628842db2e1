/** The list the competent person goes through before anybody goes in. */
import { name, object, oneOf, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { finger } from '../measures.ts';

/** What is looked at, in the order one walks. */
export const MORNING_ITEMS = [
  'sides',
  'ladder',
  'edge',
  'spoil',
  'water',
  'gas',
  'services',
  'lighting',
  'call',
] as const;
export type MorningItem = (typeof MORNING_ITEMS)[number];
/** In order; not in order: nobody goes in; does not apply here. */
export const MORNING_ANSWERS = ['good', 'bad', 'none'] as const;
export type MorningAnswer = (typeof MORNING_ANSWERS)[number];

const answer = oneOf(MORNING_ANSWERS);

export const morningValue = checked(
  object({
    who: name,
    items: object({
      sides: answer,
      ladder: answer,
      edge: answer,
      spoil: answer,
      water: answer,
      gas: answer,
      services: answer,
      lighting: answer,
      call: answer,
    } satisfies Record<MorningItem, typeof answer>),
    note: text(400),
    finger,
  }),
);

export const morning = recordKind<typeof morningValue>()({
  measures: {},
  onPlacement: false,
  book: 'looks',
  fold: nothing,
  said: ({ who, items, note }) => {
    const bad = MORNING_ITEMS.filter((item) => items[item] === 'bad');
    return [
      { sentence: bad.length === 0 ? 'record.morningGood' : 'record.morningBad', parts: { who } },
      ...bad.map((item) => ({ word: `morning.item.${item}` as const })),
      note,
    ];
  },
});
