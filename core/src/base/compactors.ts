/** The crew's choice of compactors side by side for one layer. */
import { COMPACTOR_IDS, COMPACTORS, type CompactorId } from '../catalogue/compactors.ts';
import type { BedLayer, OwnCompactor } from '../plan/schema.ts';
import { COMPACTOR_SPEED, RATES } from '../rates/index.ts';
import { type Lifts, liftsOf } from './lifts.ts';
import { compactingTime, stripsAcross } from './pace.ts';

/** Width of plate or foot, m: typical for the size. */
const WIDTH: Record<CompactorId, number> = {
  plateLight: 0.35,
  plateMedium: 0.5,
  plateReversible: 0.5,
  plateHeavy: 0.65,
  rammer: 0.28,
  trenchRoller: 0.85,
  handTamper: 0.25,
};
/** Share of a strip gone over twice: typical. */
const OVERLAP = 0.1;

export interface CompactorChoice {
  readonly compactor: CompactorId;
  /** The crew's own of this kind. */
  readonly own: OwnCompactor | null;
  readonly lifts: Lifts;
  /** Hours of one person. */
  readonly hours: number;
  /** Does nothing for this soil, or goes past what it usually manages. */
  readonly unsuited: boolean;
  /** Wider than what is to be compacted. */
  readonly tooWide: boolean;
}

/**
 * Every compactor on one layer over a run of a length and width, m, quickest of the suited first.
 * @param crew their own, whose width and speed are taken where there is one of the kind
 */
export function compactorChoices(
  layer: BedLayer,
  length: number,
  width: number,
  crew: readonly OwnCompactor[] = [],
): CompactorChoice[] {
  const all = COMPACTOR_IDS.flatMap((compactor): CompactorChoice[] => {
    // What a trial has shown, it has shown for the compactor it was made with.
    const own = { ...layer, compactor, proven: layer.compactor === compactor ? layer.proven : null };
    const lifts = liftsOf(own);
    if (!lifts) return [];
    const mine = crew.find(({ kind }) => kind === compactor) ?? null;
    const walk = mine
      ? { width: mine.width, speed: mine.speed * 60 }
      : { width: WIDTH[compactor], speed: COMPACTOR_SPEED[compactor].likely };
    const minutes = compactingTime({
      length,
      width,
      plate: walk.width,
      overlap: OVERLAP,
      passes: lifts.passes[1],
      lifts: lifts.count,
      speed: walk.speed,
      efficiency: RATES.compactorWorks.likely,
    });
    return [
      {
        compactor,
        own: mine,
        lifts,
        hours: minutes / 60,
        unsuited: lifts.unsuited || lifts.stoneTooLarge,
        tooWide: walk.width > width + 1e-9,
      },
    ];
  });
  const worse = (choice: CompactorChoice) => Number(choice.unsuited) + Number(choice.tooWide);
  return all.sort((p, q) => worse(p) - worse(q) || p.hours - q.hours);
}

/**
 * Minutes one person is at one lift of a layer, and the strips side by side; null for what is not compacted.
 * @param area of the lift, m²; @param width it is walked across, m
 */
export function liftPace(
  layer: BedLayer,
  area: number,
  width: number,
  crew: readonly OwnCompactor[],
): { readonly minutes: number; readonly strips: number } | null {
  const { compactor } = layer;
  if (compactor === null || width <= 0) return null;
  const own = compactorChoices(layer, area / width, width, crew).find((one) => one.compactor === compactor);
  if (!own) return null;
  const plate = own.own?.width ?? WIDTH[compactor];
  return {
    minutes: (own.hours * 60) / own.lifts.count,
    strips: stripsAcross(width, plate, OVERLAP),
  };
}

/** A compactor of the crew's own, as is typical of its kind until they say otherwise. */
export const newCompactor = (kind: CompactorId, name: string): OwnCompactor => {
  const [low, high] = COMPACTORS[kind].mass ?? [10, 10];
  return {
    kind,
    name,
    mass: (low + high) / 2,
    width: WIDTH[kind],
    speed: COMPACTOR_SPEED[kind].likely / 60,
  };
};
