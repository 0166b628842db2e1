/**
 * A job as somebody standing in it asks for it: how deep from the string, what is wanted where the rod is held, what
 * was shot, what stops it and who has still to see what. Small enough to be kept on a phone and shown before
 * anything is worked out anew.
 */

import {
  type AsDug,
  type Band,
  type BottomShot,
  CHECK_TOLERANCE,
  type Limits,
  type LowPiece,
  levelling,
  limitsOf,
  type SetUp,
  type Shot,
  trimOf,
  type Verdict,
  type WantedPiece,
  wantedAt,
} from '../../as-dug/index.ts';
import { type NextLaid, nextLaid } from '../../base/index.ts';
import { BED_MATERIALS } from '../../catalogue/index.ts';
import type { CautionCode } from '../../cautions/index.ts';
import { ownBottoms, rulesOf } from '../../dig/index.ts';
import type { Polygon } from '../../geometry/index.ts';
import {
  coveredUnseen,
  type Hold,
  heightOver,
  holdsOf,
  laddersAlong,
  type ReadyLine,
  readyFor,
  shotsWanted,
  surfacesOf,
  surfaceVerdict,
  type WayTrouble,
  wayTroubles,
} from '../../holds/index.ts';
import type { BookedRecord, ShotSurface } from '../../log/index.ts';
import type { ElementKind, Support } from '../../plan/kinds.ts';
import type { Fitting, Plan } from '../../plan/schema.ts';
import { type StringLevel, stringsOf } from '../../plan/strings.ts';
import type { BuiltAs, Pour } from '../../pour/index.ts';
import type { Caution } from '../../results/index.ts';
import { shapeOf } from '../../setout/index.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';
import { digInputs } from '../pipeline/compute.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type FillCard, type Filling, fillingOf } from '../views/filling.ts';
import { type RegisteredChange, registerOf } from './ordered.ts';

type Place = readonly [number, number];

/** A surface that can be shot, and how far it lies over the bottom. */
export interface HoleSurface extends Limits {
  readonly on: ShotSurface;
  readonly height: number;
}

/** Something dug, as it is asked for in the hole. */
export interface HoleThing {
  readonly id: string;
  readonly name: string;
  readonly kind: ElementKind;
  readonly built: BuiltAs;
  readonly string: StringLevel;
  /** Deepest level wanted, how far that is below the string and below the ground, m. */
  readonly wanted: number;
  readonly fromString: number;
  readonly depth: number;
  readonly stepped: boolean;
  /** The rule that decides its depth; null when nothing does. */
  readonly rule: string | null;
  readonly width: number;
  readonly bottomLength: number | null;
  readonly passes: number;
  readonly bucket: number;
  readonly support: Support;
  readonly slope: number;
  readonly inBays: boolean;
  readonly underside: number;
  readonly next: NextLaid;
  readonly surfaces: readonly HoleSurface[];
  /** High spots up to this are trimmed by hand. */
  readonly trim: number;
  /** Places to shoot in the order one walks, and the level wanted of the bottom there. */
  readonly places: readonly { readonly at: Place; readonly wanted: number }[];
  /** Its bottom with the level wanted over it. */
  readonly bottom: readonly WantedPiece[];
  readonly opening: readonly Polygon[];
  readonly label: Place;
  /** Shots of the bottom that count, and of what lies on it. */
  readonly shots: readonly BottomShot[];
  readonly laidShots: readonly (Shot & { readonly verdict: Verdict | null })[];
  readonly low: number;
  readonly high: number;
  readonly band: Band | null;
  readonly map: readonly LowPiece[];
  readonly oddOne: BottomShot | null;
  /** What is low made up, m³, with what, and its price; null where nobody typed one. */
  readonly makeUp: { readonly volume: number; readonly cost: number | null };
  /** Ladders, m along it; none where nobody needs one. */
  readonly ladders: readonly number[];
  /** The lift that is filled next, once it is cast; null: none, or not asked. */
  readonly fill: FillCard | null;
}

export interface HoleView {
  readonly things: readonly HoleThing[];
  readonly strings: readonly StringLevel[];
  readonly makeUpWith: Plan['pour']['makeUp'];
  readonly holds: readonly Hold[];
  readonly pours: readonly (Pick<Pour, 'id' | 'name' | 'kind' | 'number'> & {
    readonly lines: readonly ReadyLine[];
    readonly free: boolean;
  })[];
  /** What is set in before pours: named in the lines above by its id. */
  readonly fittings: readonly Pick<Fitting, 'id' | 'kind' | 'size' | 'place'>[];
  /** Bottoms that lie under something already and were never released. */
  readonly covered: readonly Hold[];
  readonly stops: readonly Caution<CautionCode>[];
  readonly setUps: readonly SetUp[];
  readonly looks: readonly BookedRecord<'looks'>[];
  readonly register: readonly RegisteredChange[];
  readonly ways: readonly WayTrouble[];
  /** What of lists is done, by hold and element. */
  readonly ticked: ReadonlyMap<string, readonly string[]>;
}

const NO_SHOTS: Pick<AsDug, 'shots' | 'low' | 'high' | 'band' | 'pieces' | 'oddOne'> = {
  shots: [],
  low: 0,
  high: 0,
  band: null,
  pieces: [],
  oddOne: null,
};

/** What a m³ of make-up costs; stone is priced by the tonne. */
function makeUpPrice({ pour, prices }: Plan): number | null {
  if (pour.makeUp !== 'stone') return prices[pour.makeUp];
  return prices.stone === null ? null : (prices.stone * BED_MATERIALS.crushed.density) / 1000;
}

function thingOf(
  plan: Plan,
  takeoff: Takeoff,
  info: ElementTakeoff,
  bottom: readonly WantedPiece[],
  shots: readonly Shot[],
  filling: Filling | null,
): HoleThing {
  const { element, id, width, string, formation, low } = info;
  const { shots: own, pieces, ...found } = takeoff.asDug.get(id) ?? NO_SHOTS;
  const wantedOf = (at: Place) => wantedAt(bottom, at)?.level ?? formation;
  const price = makeUpPrice(plan);
  const rules = rulesOf(plan);
  return {
    id,
    name: element.name,
    kind: element.kind,
    string,
    wanted: formation,
    fromString: string.level - formation,
    depth: info.depth - low,
    stepped: info.steps !== null,
    rule: info.decision?.governs ?? null,
    width: width.dug,
    bottomLength: info.bottomLength,
    passes: width.passes,
    bucket: width.bucket,
    support: info.support,
    slope: info.slope,
    built: info.built,
    inBays: info.bays !== null,
    underside: info.underside,
    next: nextLaid(info, info.cards),
    surfaces: surfacesOf(info).map((on) => ({ on, height: heightOver(info, on), ...limitsOf(plan, on) })),
    trim: trimOf(plan, element.trim),
    places: shotsWanted(info).map((at) => ({ at, wanted: wantedOf(at) })),
    bottom,
    opening: info.openings,
    label: shapeOf(element).label(element),
    shots: own,
    laidShots: shots
      .filter((shot) => shot.element === id && shot.on !== 'formation')
      .map((shot) => ({
        ...shot,
        verdict:
          shot.level === null || !shot.place
            ? null
            : surfaceVerdict(plan, info, shot.on, shot.level, wantedOf(shot.place)),
      })),
    low: found.low,
    high: found.high,
    band: found.band,
    map: pieces,
    oddOne: found.oddOne,
    makeUp: { volume: info.makeUp, cost: price === null ? null : price * info.makeUp },
    ladders: info.depth >= rules.ladderDepth ? laddersAlong(info.length, rules.ladderTravel) : [],
    fill: fillNext(filling, id),
  };
}

/** What is filled next there; nothing while nothing was cast. */
function fillNext(filling: Filling | null, id: string): FillCard | null {
  const fill = filling?.elements.find(({ info }) => info.id === id);
  return fill?.gate.every(({ code }) => code !== 'notCast') ? fill.next : null;
}

/**
 * @param takeoff of the plan, with what was logged
 * @param today the day it is asked; null: what is filled next is not asked
 */
export function holeView(plan: Plan, takeoff: Takeoff, today: string | null = null): HoleView {
  const dug = takeoff.elements.filter(({ live, element }) => live && shapeOf(element).founded);
  const [site, , founded] = digInputs(plan);
  const bottoms = ownBottoms(site, founded, new Set(dug.map(({ index }) => index)));
  const { setUps, shots } = levelling(takeoff.facts.levels, plan.levels.limits.check ?? CHECK_TOLERANCE);
  const job = { ...takeoff, plan };
  const holds = holdsOf(job);
  const filling = today === null ? null : fillingOf(plan, takeoff, today);
  return {
    things: dug.map((info) => thingOf(plan, takeoff, info, bottoms[info.index]!, shots, filling)),
    strings: stringsOf(plan),
    makeUpWith: plan.pour.makeUp,
    holds,
    pours: readyFor(job, holds).map(({ pour: { id, name, kind, number }, lines, free }) => ({
      id,
      name,
      kind,
      number,
      lines,
      free,
    })),
    fittings: plan.pour.fittings.map(({ id, kind, size, place }) => ({ id, kind, size, place })),
    covered: coveredUnseen(job, holds),
    stops: takeoff.cautions.filter(({ weight }) => weight === 'stop'),
    setUps,
    looks: takeoff.facts.looks,
    register: registerOf(takeoff),
    ways: wayTroubles(plan),
    ticked: new Map([...takeoff.facts.ticked].map(([key, { done }]) => [key, done])),
  };
}
