/** Pours: what is cast together, what it takes, how many trucks bring it. */
import type { Plan } from '../plan/schema.ts';
import { castRanks } from './cast-order.ts';
import { castOf, POUR_KINDS, type PourKind } from './kinds.ts';
import { deliveryOf, wantedOf } from './place.ts';

export interface Pour {
  readonly id: string;
  /** As somebody named it; null: by its kind. */
  readonly name: string | null;
  readonly kind: PourKind | null;
  readonly elements: readonly string[];
  /** m³. */
  readonly neat: number;
  /** Of it what makes up bottoms that were found low. */
  readonly low: number;
  /** What stays in line, hopper and forms, ordered beside it. */
  readonly stays: number;
  /** What has to come, waste with it, before it is rounded up to the plant's step. */
  readonly wanted: number;
  readonly ordered: number;
  readonly loads: number;
  /** Half the band the shots leave, at 95 %, m³ of what is ordered before it is rounded; null: no shot tells. */
  readonly band: number | null;
  /** Bottoms of it that are cast on and not shot. */
  readonly unshot: number;
  /** How full the last truck comes. */
  readonly lastFill: number;
}

/** What was found of a bottom that is cast on. */
export interface Found {
  readonly low: number;
  readonly half: number | null;
}

/** m³ a line holds: what stays in it when the pour is done. */
export const lineHolds = ({
  length,
  diameter,
}: {
  readonly length: number;
  readonly diameter: number;
}): number => (Math.PI / 4) * diameter ** 2 * length;

/** m³ of each pour that do not come out where they are wanted, as far as somebody has said. */
export const staysOf = ({ pour: { line, hopper, gaps } }: Plan): number =>
  (line ? lineHolds(line) : 0) + (hopper ?? 0) + (gaps ?? 0);

/**
 * Pours of a job: those somebody named, then what is left with its like. Pours without concrete are
 * left out. An element named twice is cast in the first.
 * @param concrete of every element, m³, by position, with what makes up its bottom where that is cast with it
 * @param found of every element what makes up its bottom, m³, and half the band its shots leave of that; null: not shot
 */
export function poursOf(plan: Plan, concrete: readonly number[], found: readonly Found[] = []): Pour[] {
  const { together, waste, step, truck } = plan.pour;
  const left = new Set(plan.elements.flatMap((element, i) => (concrete[i]! > 0 ? [element.id] : [])));
  const positions = new Map(plan.elements.map((element, i) => [element.id, i]));
  const volume = new Map(plan.elements.map((element, i) => [element.id, concrete[i]!]));
  const pour = (
    id: string,
    name: string | null,
    kind: PourKind | null,
    wanted: readonly string[],
  ): Pour[] => {
    const elements = wanted.filter((element) => left.delete(element));
    if (elements.length === 0) return [];
    const neat = elements.reduce((sum, element) => sum + volume.get(element)!, 0);
    const stays = staysOf(plan);
    const needed = wantedOf(neat, waste, stays);
    const delivered = deliveryOf(neat, waste, step, truck, stays);
    const lastFill = delivered.loads > 0 ? (delivered.ordered - (delivered.loads - 1) * truck) / truck : 0;
    // Bottoms are shot apart from one another: their bands add up as squares.
    const own = elements.map((one) => found[positions.get(one)!]);
    const low = own.reduce((sum, one) => sum + (one?.low ?? 0), 0);
    const known = own.flatMap((one) => one?.half ?? []);
    const band = known.length > 0 ? Math.hypot(...known) * (1 + waste) : null;
    const unshot = elements.length - known.length;
    return [
      { id, name, kind, elements, neat, low, stays, wanted: needed, ...delivered, band, unshot, lastFill },
    ];
  };
  const all = [
    ...together.flatMap(({ id, name, elements }) => pour(id, name, null, elements)),
    ...POUR_KINDS.flatMap((kind) =>
      pour(
        kind,
        null,
        kind,
        plan.elements.filter((element) => castOf(element).pours === kind).map((element) => element.id),
      ),
    ),
  ];
  if (plan.pour.order.length === 0) return all;
  // A pour is cast when the first of it is.
  const rank = castRanks(plan);
  const first = ({ elements }: Pour) => Math.min(...elements.map((id) => rank[positions.get(id)!]!));
  return all.sort((p, q) => first(p) - first(q));
}
