/** One crew hands over to another: what is done, what is not, what the next keep off; both signed. */
import { name, object, said, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day, finger } from '../measures.ts';

export const handoverValue = checked(
  object({
    day,
    from: name,
    to: name,
    done: said,
    open: text(400),
    keepOff: text(400),
    fromFinger: finger,
    toFinger: finger,
  }),
);

export const handover = recordKind<typeof handoverValue>()({
  measures: {},
  onPlacement: false,
  fold: nothing,
  said: ({ from, to, done, open, keepOff }) => [
    { sentence: 'record.handoverValue', parts: { from, to } },
    done,
    ...(open.trim() === '' ? [] : [{ sentence: 'record.handoverOpen' as const, parts: { open } }]),
    ...(keepOff.trim() === '' ? [] : [{ sentence: 'record.handoverKeepOff' as const, parts: { keepOff } }]),
  ],
});
