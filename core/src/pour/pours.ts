/** Pours: what is cast together, what it takes, how many trucks bring it. */
import type { Element } from '../plan/elements.ts';
import type { Plan } from '../plan/schema.ts';
import { traitsOf } from '../plan/variants.ts';
import { castRanks } from './cast-order.ts';
import { type CastStage, POUR_KINDS, type PourKind, pourKindOf } from './kinds.ts';
import { type CastIn, deliveryOf, wantedOf } from './place.ts';

/** What of an element is cast at once. */
export interface Cast {
  /** Its name among all casts: its element's id, and what of it where that is not the first. */
  readonly key: string;
  readonly element: string;
  readonly stage: CastStage;
  readonly number: number;
  /** Levels, m, and m³, with what makes up its bottom where that is cast with it. */
  readonly bottom: number;
  readonly top: number;
  readonly volume: number;
}

/** The name of a cast: `P1`, `Vault.walls`, `Porch.pass.2`. */
export const castKeyOf = (element: string, stage: CastStage, number: number): string =>
  stage === 'first' || (stage === 'pass' && number === 1)
    ? element
    : stage === 'pass' || stage === 'rise'
      ? `${element}.${stage}.${number}`
      : `${element}.${stage}`;

/** The element of a cast's name. */
export const elementOfCast = (key: string): string => key.split('.', 1)[0]!;

export interface Pour {
  readonly id: string;
  /** As somebody named it; null: by its kind, and of passes and rises which. */
  readonly name: string | null;
  readonly kind: PourKind | null;
  readonly number: number | null;
  readonly elements: readonly string[];
  readonly casts: readonly Cast[];
  /** What stands under it is cast in an earlier turn: pours change places within one. */
  readonly turn: number;
  /** m³. */
  readonly neat: number;
  /** Of it what makes up bottoms that were found low. */
  readonly low: number;
  /** What stays in line, hopper and forms, ordered beside it. */
  readonly stays: number;
  /** What has to come, waste with it, before it is rounded up to the plant's step. */
  readonly wanted: number;
  /** Mixed on site: what is wanted is what is made, in no truck. */
  readonly mixed: boolean;
  readonly ordered: number;
  readonly loads: number;
  /** Half the band the shots leave, at 95 %, m³ of what is ordered before it is rounded; null: no shot tells. */
  readonly band: number | null;
  /** Bottoms of it that are cast on and not shot. */
  readonly unshot: number;
  /** How full the last truck comes. */
  readonly lastFill: number;
  /** All of it was cast, by the log; and what it took, m³, where somebody measured. */
  readonly cast: boolean;
  readonly used: number | null;
  /** Elements of which what stands under it is neither cast yet nor cast with it. */
  readonly waits: readonly string[];
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

/** What was cast by the log, by the name of each cast. */
type Poured = ReadonlyMap<string, { readonly volume: number | null }>;

/** What each cast stands on of the same element: the one before it, from the bottom up. */
function underOf(casts: readonly Cast[]): ReadonlyMap<string, string> {
  const last = new Map<string, string>();
  const out = new Map<string, string>();
  for (const { key, element } of casts) {
    const under = last.get(element);
    if (under !== undefined) out.set(key, under);
    last.set(element, key);
  }
  return out;
}

/** m³ that casts took by the log, what was cast with others with it; null where nobody measured. */
function usedFor(own: readonly Cast[], poured: Poured): number | null {
  const known = [...new Set(own.flatMap(({ key }) => poured.get(key) ?? []))].flatMap(
    ({ volume }) => volume ?? [],
  );
  return known.length > 0 ? known.reduce((sum, volume) => sum + volume, 0) : null;
}

/** Elements of which what lies under a cast is neither cast with it nor yet. */
function waitsOf(own: readonly Cast[], below: ReadonlyMap<string, string>, poured: Poured): string[] {
  const keys = new Set(own.map(({ key }) => key));
  const open = own.filter(({ key }) => {
    const under = below.get(key);
    return under !== undefined && !keys.has(under) && !poured.has(under);
  });
  return [...new Set(open.map(({ element }) => element))];
}

/** In which turn something is cast: not before what it stands on. */
function turnOf(element: Element, { stage, number }: Cast, named: boolean): number {
  switch (stage) {
    case 'first':
      // A floor comes when the walls round it stand, unless somebody says with what it is cast.
      return (traitsOf(element).byFloor || traitsOf(element).onGround) && !named ? TURNS.floor : 0;
    case 'pass':
      return number - 1;
    case 'walls':
      return TURNS.walls;
    case 'rise':
      return TURNS.walls + number;
    case 'roof':
      return TURNS.roof;
    default:
      return TURNS[stage];
  }
}
/** Passes and rises are fewer than what lies between. */
const TURNS = { walls: 10, cells: 10_000, beam: 10_001, roof: 10_002, floor: 10_003 } as const;

/** What is cast of every element, from the bottom up, by position: those without concrete left out. */
export const castsOf = (
  plan: Plan,
  of: readonly { readonly casts: readonly CastIn[]; readonly more: number }[],
): Cast[] =>
  plan.elements.flatMap(({ id }, i) => {
    const { casts, more } = of[i]!;
    return casts.flatMap(({ stage, number, bottom, top, volume }, k): Cast[] => {
      const whole = volume + (k === 0 ? more : 0);
      const key = castKeyOf(id, stage, number);
      return whole > 0 ? [{ key, element: id, stage, number, bottom, top, volume: whole }] : [];
    });
  });

/**
 * Pours of a job: those somebody named, then what is left with its like. Pours without concrete are
 * left out. A cast named twice is in the first.
 * @param casts of every element, with what makes up its bottom where that is cast with it
 * @param found of every element what makes up its bottom, m³, and half the band its shots leave of that; null: not shot
 * @param poured what was cast already
 */
export function poursOf(
  plan: Plan,
  casts: readonly Cast[],
  found: readonly Found[] = [],
  poured: Poured = new Map(),
): Pour[] {
  const { together, waste, step, truck, orders } = plan.pour;
  const left = new Map(casts.map((cast) => [cast.key, cast]));
  const positions = new Map(plan.elements.map((element, i) => [element.id, i]));
  const elementOf = ({ element }: Cast) => plan.elements[positions.get(element)!]!;
  const stays = staysOf(plan);
  const below = underOf(casts);
  const pour = (
    id: string,
    name: string | null,
    like: { kind: PourKind; number: number | null } | null,
    wanted: readonly string[],
  ): Pour[] => {
    const own = wanted.flatMap((key) => {
      const cast = left.get(key);
      return cast && left.delete(key) ? [cast] : [];
    });
    if (own.length === 0) return [];
    const neat = own.reduce((sum, { volume }) => sum + volume, 0);
    const mixed = orders.find((order) => order.id === id)?.mixed ?? false;
    const needed = wantedOf(neat, waste, stays);
    const delivered = mixed ? { ordered: needed, loads: 0 } : deliveryOf(neat, waste, step, truck, stays);
    // Only what is cast on a bottom is cast on what was shot; bottoms are shot apart, so bands add up as squares.
    const bottoms = own
      .filter(({ stage }) => stage === 'first')
      .map(({ element }) => found[positions.get(element)!]);
    const known = bottoms.flatMap((one) => one?.half ?? []);
    return [
      {
        id,
        name,
        kind: like?.kind ?? null,
        number: like?.number ?? null,
        elements: [...new Set(own.map(({ element }) => element))],
        casts: own,
        turn: Math.max(...own.map((cast) => turnOf(elementOf(cast), cast, name !== null))),
        neat,
        low: bottoms.reduce((sum, one) => sum + (one?.low ?? 0), 0),
        stays,
        wanted: needed,
        mixed,
        ...delivered,
        band: known.length > 0 ? Math.hypot(...known) * (1 + waste) : null,
        unshot: bottoms.length - known.length,
        lastFill: delivered.loads > 0 ? (delivered.ordered - (delivered.loads - 1) * truck) / truck : 0,
        cast: own.every(({ key }) => poured.has(key)),
        used: usedFor(own, poured),
        waits: waitsOf(own, below, poured),
      },
    ];
  };
  const kindOf = (cast: Cast) => pourKindOf(elementOf(cast), cast.stage);
  const all = [
    ...together.flatMap(({ id, name, elements }) => pour(id, name, null, elements)),
    ...POUR_KINDS.flatMap((kind) => {
      const like = casts.filter((cast) => kindOf(cast) === kind);
      const numbers = [...new Set(like.map(({ number }) => number))].sort((a, b) => a - b);
      return numbers.flatMap((number) =>
        pour(
          number === 1 ? kind : `${kind}.${number}`,
          null,
          { kind, number: numbers.length > 1 ? number : null },
          like.filter((cast) => cast.number === number).map(({ key }) => key),
        ),
      );
    }),
  ];
  // A pour is cast when the first of it is, and never before what it stands on.
  const rank = castRanks(plan);
  const first = ({ elements }: Pour) => Math.min(...elements.map((id) => rank[positions.get(id)!]!));
  const said = plan.pour.order.length > 0;
  return all.sort((p, q) => p.turn - q.turn || (said ? first(p) - first(q) : 0));
}
