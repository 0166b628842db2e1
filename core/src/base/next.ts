/** What is laid next in a dug bottom: the lowest lift not released yet, else the next layer, else the footing. */
import { mayCover } from '../placement/index.ts';
import type { LaidBed, LiftCard } from './cards.ts';

type Layer = LaidBed['layers'][number];

export type NextLaid =
  | { readonly what: 'lift'; readonly card: LiftCard; readonly top: number }
  /** Laid in one go, as lean concrete is; whether it lies already nobody has said. */
  | { readonly what: 'layer'; readonly layer: Layer; readonly top: number }
  | { readonly what: 'footing'; readonly top: number };

/**
 * @param bed an element's layers from formation up, and the top of its footing, m
 * @param cards its lifts, from formation up
 */
export function nextLaid(
  { layers, top }: { readonly layers: readonly Layer[]; readonly top: number },
  cards: readonly LiftCard[],
): NextLaid {
  for (const layer of layers) {
    const own = cards.filter((card) => card.layer.id === layer.layer.id);
    if (own.length === 0) return { what: 'layer', layer, top: layer.top };
    const card = own.find(({ state }) => !mayCover(state));
    if (card) return { what: 'lift', card, top: card.top };
  }
  return { what: 'footing', top };
}
