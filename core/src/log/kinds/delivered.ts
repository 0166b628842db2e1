/** A delivery by its ticket: what was ordered, what came, what was left over, and when it was due and came. */
import { object, oneOf, orNull, text, within } from '../../plan/parts.ts';
import { nothing } from '../fold.ts';
import { checked, recordKind } from '../kind.ts';
import { day, time } from '../measures.ts';

export const DELIVERIES = ['stone', 'lean', 'concrete'] as const;
export type Delivery = (typeof DELIVERIES)[number];
/** What it is counted in: m³ of what is cast, kg of stone. */
export const DELIVERED_IN = { stone: 'mass', lean: 'volume', concrete: 'volume' } as const;

const measures = {
  deliveredVolume: { kind: 'volume', min: 0.05, max: 1000 },
  deliveredMass: { kind: 'mass', min: 50, max: 2_000_000 },
  leftVolume: { kind: 'volume', min: 0, max: 1000 },
  leftMass: { kind: 'mass', min: 0, max: 2_000_000 },
} as const;
const most = { kind: 'number', min: 0, max: 2_000_000 } as const;

export const deliveredValue = checked(
  object({
    day,
    of: oneOf(DELIVERIES),
    /** m³, of stone kg; null: nobody wrote the order down. */
    ordered: orNull(within(most)),
    came: within(most),
    left: within(most),
    due: orNull(time),
    arrived: orNull(time),
    ticket: text(80),
  }),
  ({ of, came, left }) => {
    const { min, max } = of === 'stone' ? measures.deliveredMass : measures.deliveredVolume;
    if (came < min || came > max) return { code: 'range', at: '/came', value: came };
    return left > came ? { code: 'leftOver', at: '/left', value: left } : null;
  },
);

export const delivered = recordKind<typeof deliveredValue>()({
  measures,
  onPlacement: false,
  fold: nothing,
  said: ({ of, ordered, came, left, ticket }) => [
    {
      sentence: left > 0 ? 'record.deliveredLeft' : 'record.deliveredValue',
      parts: {
        what: { word: `record.of.${of}` },
        ordered: { quantity: ordered, kind: DELIVERED_IN[of] },
        came: { quantity: came, kind: DELIVERED_IN[of] },
        left: { quantity: left, kind: DELIVERED_IN[of] },
      },
    },
    ticket,
  ],
});
