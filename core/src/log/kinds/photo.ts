/**
 * A photo: what it shows, in words. The thing and the place it is of stand on the record; the picture itself is
 * kept beside the records, under the record's id.
 */
import { between, object, text } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';

/** What a photo and its thumbnail may take, bytes, and how long their longer sides are, px. */
export const PHOTO = { most: 300_000, mostThumb: 30_000, side: 1600, thumbSide: 320 } as const;

export const photoValue = checked(
  object({
    text: text(400),
    /** px. */
    width: between(1, 20_000),
    height: between(1, 20_000),
    /** Bytes. */
    size: between(1, PHOTO.most),
  }),
);

export const photo = recordKind<typeof photoValue>()({
  measures: {},
  onPlacement: false,
  fold: nothing,
  said: ({ text }) => [text],
});
