/** A pour as it is placed, in words: the same on the desk and on paper. */
import { elementName, type JointAt, type Plan, type PouredBy, type RiseAt } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';

/** Minutes since midnight as a clock shows them. */
export function clockText(minutes: number): string {
  const whole = Math.round(minutes);
  const two = (value: number) => String(value).padStart(2, '0');
  const day = ((whole % 1440) + 1440) % 1440;
  return `${two(Math.floor(day / 60))}:${two(day % 60)}`;
}

/** How often a truck comes, and by what rate. */
export const everyText = (t: Say, format: Format, made: PouredBy): string =>
  `${made.pour.mixed ? t('pouring.onSite') : t('pouring.every', { minutes: Math.round(made.spacing) })}, ${t(
    made.from === 'typed' ? 'pouring.at_typed' : 'pouring.at_typical',
    { rate: format.text(made.rate, 'volume') },
  )}`;

/** What is told of a truck beside its clock. */
export const truckNotes = (
  t: Say,
  format: Format,
  made: PouredBy,
  own: PouredBy['trucks'][number],
  limit: number | null,
) => [
  ...(own.gap > 0.5 ? [t('pouring.gap', { minutes: Math.round(own.gap) })] : []),
  ...(own.waits > 0.5 ? [t('pouring.waits', { minutes: Math.round(own.waits) })] : []),
  ...(own.age === null ? [] : [t('pouring.age', { minutes: Math.round(own.age) })]),
  ...(made.old.includes(own.truck) && limit !== null
    ? [t('pouring.tooOld', { limit: format.text(limit, 'hours') })]
    : []),
];

export function jointText(t: Say, plan: Plan, joint: JointAt): string {
  const words = {
    element: elementName(plan, joint.element),
    against: elementName(plan, joint.against),
    minutes: Math.round(joint.stood),
    truck: joint.truck,
  };
  if (joint.layers) return t('pouring.jointLayers', words);
  return joint.element === joint.against ? t('pouring.jointWithin', words) : t('pouring.joint', words);
}

/** How many layers the highest of it is vibrated in; null: nothing is cast. */
export function layersText(t: Say, format: Format, { places, pour }: PouredBy, reach: number): string | null {
  const most = places.reduce((deep, { layers }) => Math.max(deep, layers), 0);
  const key = places.find(({ layers }) => layers === most)?.cast;
  const own = pour.casts.find((cast) => cast.key === key);
  if (!own) return null;
  const words = {
    count: most,
    thickness: format.text((own.top - own.bottom) / most, 'size'),
    reach: format.text(reach, 'size'),
  };
  return most > 1 ? t('pouring.vibrated', words) : t('pouring.vibratedOne', words);
}

/** How fast a form fills, and what it keeps. */
export function riseText(
  t: Say,
  format: Format,
  plan: Plan,
  rise: RiseAt,
): { readonly rises: string; readonly keeps: string | null } {
  const { keeps } = rise;
  const number = (value: number) => format.text(value, 'number', { decimals: 2 });
  const rises = t('pouring.rise', {
    element: elementName(plan, rise.element),
    rate: number(rise.rate),
    pressure: format.text(rise.pressure, 'pressure', { decimals: 1 }),
  });
  return {
    rises: rise.liquid ? `${rises}, ${t('pouring.riseLiquid')}` : rises,
    keeps:
      keeps === null
        ? null
        : keeps.keeps === 'any'
          ? t('pouring.keepsAny')
          : keeps.keeps === 'height'
            ? t('pouring.keepsHeight', { height: format.text(keeps.height, 'length') })
            : t('pouring.keepsRate', {
                rate: number(keeps.rate),
                volume: format.text(rise.slower ?? 0, 'volume'),
              }),
  };
}
