/**
 * Fresh concrete against a form: what it presses with at a rise, and how fast it may rise in a form built for so much.
 * ACI 347R-14 (SI) for walls, concrete of 24 kN/m³. Outside what that covers it presses like a liquid of its full height.
 * Forms are not designed here: what a form was built for is typed from whoever designed it.
 */

/** N/m³, of plain concrete. */
const WEIGHT = 24_000;
/** Pa: never taken less where the formulas hold. */
const LEAST = 30_000;
const KPA = 1000;
/** m/h: the formula changes, and no formula holds beyond. */
const SLOW = 2.1;
const FAST = 4.5;
/** m: higher walls take the formula of the fast ones. */
const LOW_WALL = 4.2;
/** m: runnier, or vibrated deeper, it presses like a liquid. */
const MOST_SLUMP = 0.175;
const DEEPEST_HEAD = 1.2;

export interface Rising {
  /** m of wall cast at once. */
  readonly height: number;
  /** Of the concrete as it comes, °C. */
  readonly temperature: number;
  /** Of cement and admixtures, 1 to 1.4: plain to slow, retarded or blended (ACI 347R, chemistry coefficients). */
  readonly chemistry: number;
  /** m; null: nobody has said, it is within what the formulas cover (assumed). */
  readonly slump: number | null;
  /** m, how deep the vibrator goes. */
  readonly vibrated: number;
}

/** What the whole height presses with as a liquid, Pa. */
const liquidOf = (height: number): number => WEIGHT * height;

/** kPa of a rate in m/h, as published. */
const slowRise = (rate: number, { temperature }: Rising) => 7.2 + (785 * rate) / (temperature + 17.8);
const fastRise = (rate: number, { temperature }: Rising) =>
  7.2 + 1156 / (temperature + 17.8) + (244 * rate) / (temperature + 17.8);
const isRunny = ({ slump, vibrated }: Rising) =>
  (slump !== null && slump > MOST_SLUMP + 1e-9) || vibrated > DEEPEST_HEAD + 1e-9;

/** @param rate m an hour @returns Pa, and whether it is that of a liquid */
export function pressureOf(
  rate: number,
  cast: Rising,
): { readonly pressure: number; readonly liquid: boolean } {
  const full = liquidOf(cast.height);
  if (isRunny(cast) || rate > FAST + 1e-9) return { pressure: full, liquid: true };
  const formula =
    rate <= SLOW + 1e-9 && cast.height <= LOW_WALL + 1e-9 ? slowRise(rate, cast) : fastRise(rate, cast);
  const pressure = Math.max(LEAST, cast.chemistry * formula * KPA);
  return pressure >= full ? { pressure: full, liquid: true } : { pressure, liquid: false };
}

export type Rise =
  /** It may be filled as fast as it comes: the form holds it as a liquid. */
  | { readonly keeps: 'any' }
  /** m an hour at most. */
  | { readonly keeps: 'rate'; readonly rate: number }
  /** No rate keeps it: cast no higher than this at once, m. */
  | { readonly keeps: 'height'; readonly height: number };

/** How fast concrete may rise in a form. @param permitted Pa it was built for, > 0 */
export function riseIn(permitted: number, cast: Rising): Rise {
  if (liquidOf(cast.height) <= permitted + 1e-9) return { keeps: 'any' };
  const onlyHeight: Rise = { keeps: 'height', height: permitted / WEIGHT };
  if (permitted < LEAST - 1e-9 || isRunny(cast)) return onlyHeight;
  const left = permitted / KPA / cast.chemistry - 7.2;
  const warm = cast.temperature + 17.8;
  const slow = (left * warm) / 785;
  const fast = ((left - 1156 / warm) * warm) / 244;
  const isLow = cast.height <= LOW_WALL + 1e-9;
  const rate = fast >= SLOW || !isLow ? Math.min(fast, FAST) : Math.min(slow, SLOW);
  return rate > 1e-9 ? { keeps: 'rate', rate } : onlyHeight;
}
