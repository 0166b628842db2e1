/** What of an element is shot: where, and what is wanted there on each surface. */
import { limitsOf, shotPlaces, trimOf, type Verdict, verdictOf } from '../as-dug/index.ts';
import type { ShotSurface } from '../log/index.ts';
import { layerValues } from '../plan/beds.ts';
import type { Plan } from '../plan/schema.ts';
import type { ElementTakeoff } from '../takeoff/index.ts';

/** Places to shoot of an element, in the order one walks. */
export const shotsWanted = ({ element, width, bottoms }: ElementTakeoff) =>
  shotPlaces(element, width.dug, bottoms);

/** How far a surface lies over formation, m. */
export function heightOver({ layers, formation, top }: ElementTakeoff, on: ShotSurface): number {
  const laid = (cast: boolean) =>
    layers.reduce((sum, { layer }) => sum + (cast || !layerValues(layer).cast ? layer.thickness : 0), 0);
  switch (on) {
    case 'formation':
      return 0;
    case 'bed':
      return laid(false);
    case 'lean':
      return laid(true);
    case 'footing':
      return top - formation;
  }
}

/** Surfaces an element has, from the ground up. */
export const surfacesOf = ({ layers, concrete }: ElementTakeoff): readonly ShotSurface[] => [
  'formation',
  ...(layers.some(({ layer }) => !layerValues(layer).cast) ? (['bed'] as const) : []),
  ...(layers.some(({ layer }) => layerValues(layer).cast) ? (['lean'] as const) : []),
  ...(concrete > 0 ? (['footing'] as const) : []),
];

/** What a level shot on a surface says. @param wanted of formation there, m */
export const surfaceVerdict = (
  plan: Plan,
  info: ElementTakeoff,
  on: ShotSurface,
  level: number,
  wanted: number,
): Verdict =>
  verdictOf(level, wanted + heightOver(info, on), limitsOf(plan, on), trimOf(plan, info.element.trim));
