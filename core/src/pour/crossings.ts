/**
 * Pipes and cables that lie in what is cast: how far they run through it, and what it leaves out for them.
 *
 * Along each piece of a service's line the prisms of what is cast are gone through in the order that decides
 * whose shared room is: what one takes no later one takes again, and what is hollow holds nothing. What is left
 * out is the section within the concrete (a circle cut by two levels, a square) times the length, so exact for
 * a level line; that a line leaves a face at a slant is left away.
 */
import { clipLine, edges, type Prism } from '../geometry/index.ts';
import type { CROSSINGS } from '../plan/kinds.ts';
import type { Hazard } from '../plan/schema.ts';
import type { CastStage } from './kinds.ts';

export type CrossingHow = (typeof CROSSINGS)[number];

/** A service across what is cast of an element. */
export interface Crossing {
  readonly hazard: string;
  /** Position of the element in the plan. */
  readonly owner: number;
  /** Its footing, or the wall on it. */
  readonly part: 'concrete' | 'rising';
  /** Null: nobody has said what is done with it. */
  readonly how: CrossingHow | null;
  /** How it lies to what is cast there; null: nobody knows its level. */
  readonly lies: 'over' | 'through' | 'under' | null;
  /** m of its line over what is cast, in plan. */
  readonly length: number;
  /** Lowest and highest of what is cast along it. */
  readonly bottom: number;
  readonly top: number;
  /** m³ left out of what is cast; shared room once. And of each stage of it. */
  readonly leftOut: number;
  readonly shares: readonly LeftOut[];
}

/** m³ left out of a stage of what is cast. */
export interface LeftOut {
  readonly stage: CastStage;
  /** Which pass or rise; null: of all of the stage, by their volumes. */
  readonly number: number | null;
  readonly volume: number;
}

/** A piece of what is cast or stays hollow, in the order that decides whose shared room is. */
export interface CrossedPrism extends Prism {
  readonly owner: number;
  readonly what: string;
  readonly stage?: CastStage;
  readonly number?: number | null;
}

/** m³ left out for some services together. */
export const leftOutOf = (crossings: readonly Crossing[]): number =>
  crossings.reduce((sum, { leftOut }) => sum + leftOut, 0);

type Range = readonly [low: number, high: number];

/** What of a range others have not taken. */
function freeOf(range: Range, taken: readonly Range[]): Range[] {
  let free: Range[] = [range];
  for (const [low, high] of taken)
    free = free.flatMap(([from, to]): Range[] =>
      high <= from || low >= to
        ? [[from, to]]
        : [...(low > from ? [[from, low] as const] : []), ...(high < to ? [[high, to] as const] : [])],
    );
  return free;
}

/** m² of a circle or a square about a level that lie below another level. */
export function sectionBelow(round: boolean, across: number, middle: number, level: number): number {
  const r = across / 2;
  const h = Math.min(r, Math.max(-r, level - middle));
  if (!round) return across * (h + r);
  return r * r * (Math.PI / 2 + Math.asin(h / r)) + h * Math.sqrt(Math.max(0, r * r - h * h));
}

/** What takes room in what is cast: how wide, and whether it is round; null: nothing does, or nobody has said. */
function openingOf({ crossing }: Hazard): { readonly across: number; readonly round: boolean } | null {
  if (!crossing || crossing.how === 'divert') return null;
  if (crossing.how === 'keep') return { across: crossing.size, round: true };
  return { across: crossing.opening, round: crossing.how === 'sleeve' };
}

/**
 * Every service that runs over, through or under what is cast.
 * @param prisms in the order that decides whose shared room is; owners are positions of elements
 */
export function crossingsOf(hazards: readonly Hazard[], prisms: readonly CrossedPrism[]): Crossing[] {
  const services = hazards.filter(({ kind }) => kind === 'service');
  const walled = services.length === 0 ? [] : prisms.map((prism) => ({ ...prism, walls: edges(prism.plan) }));
  return services.flatMap((hazard): Crossing[] => {
    const { crossing } = hazard;
    const level = crossing?.level ?? null;
    const opening = openingOf(hazard);
    const size = crossing ? Math.max(crossing.size, opening?.across ?? 0) : 0;
    const found = new Map<string, { -readonly [K in keyof Crossing]: Crossing[K] }>();
    hazard.points.slice(1).forEach((q, i) => {
      const p = hazard.points[i]!;
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
      if (long === 0) return;
      const [ux, uy] = [(q[0] - p[0]) / long, (q[1] - p[1]) / long];
      const met = walled.flatMap((prism) => {
        const chord = prism.top > prism.bottom ? clipLine(...p, ux, uy, [0, long], prism.walls) : null;
        return chord ? [{ prism, chord }] : [];
      });
      const cuts = [...new Set(met.flatMap(({ chord }) => chord))].sort((a, b) => a - b);
      cuts.slice(1).forEach((to, k) => {
        const from = cuts[k]!;
        const taken: Range[] = [];
        const seen = new Set<string>();
        for (const { prism, chord } of met) {
          if (chord[0] >= to || chord[1] <= from) continue;
          const free = freeOf([prism.bottom, prism.top], taken);
          taken.push([prism.bottom, prism.top]);
          if ((prism.what !== 'concrete' && prism.what !== 'rising') || free.length === 0) continue;
          const length = to - from;
          const key = `${prism.owner}/${prism.what}`;
          const known = found.get(key) ?? {
            hazard: hazard.id,
            owner: prism.owner,
            part: prism.what,
            how: crossing?.how ?? null,
            lies: null,
            length: 0,
            bottom: Infinity,
            top: -Infinity,
            leftOut: 0,
            shares: [],
          };
          found.set(key, known);
          if (!seen.has(key)) known.length += length;
          seen.add(key);
          known.bottom = Math.min(known.bottom, prism.bottom);
          known.top = Math.max(known.top, prism.top);
          if (level === null) continue;
          const lies =
            level - size / 2 >= prism.top ? 'over' : level + size / 2 <= prism.bottom ? 'under' : 'through';
          if (known.lies === null || lies === 'through') known.lies = lies;
          if (!opening) continue;
          const volume =
            length *
            free.reduce(
              (sum, [low, high]) =>
                sum +
                sectionBelow(opening.round, opening.across, level, high) -
                sectionBelow(opening.round, opening.across, level, low),
              0,
            );
          known.leftOut += volume;
          // A laid wall is cast in no stage.
          if (prism.stage && volume > 0)
            known.shares = [
              ...known.shares,
              { stage: prism.stage, number: prism.number === undefined ? 1 : prism.number, volume },
            ];
        }
      });
    });
    // A wall it does not run through is not in its way.
    return [...found.values()].filter(
      ({ part, lies }) => part === 'concrete' || lies === null || lies === 'through',
    );
  });
}
