/**
 * Where crews disagree about filling, side by side with what each way takes: own soil or bought, a drain always or where
 * water rises, a barrier or sand against damp, machine or hands, cloth or none. The lead and the engineer choose.
 */
import {
  fillLifts,
  fillParts,
  fitnesses,
  floorOver,
  type Spoil,
  sidesOf,
  spoilOf,
  standsIn,
} from '../../backfill/index.ts';
import { compactorChoices } from '../../base/index.ts';
import { BED_MATERIALS, PRACTICE } from '../../catalogue/index.ts';
import { loadsOf, mixedLoads } from '../../dig/index.ts';
import { perimeter } from '../../geometry/index.ts';
import { newLayer } from '../../plan/blank.ts';
import type { Plan } from '../../plan/schema.ts';
import { boxElementOf } from '../../plan/variants.ts';
import { sizesOf } from '../../setout/index.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';
import type { Kind } from '../../units/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { Filling } from './filling.ts';

export const FILL_SCHOOLS = ['soil', 'drain', 'damp', 'tamping', 'cloth'] as const;
export type FillSchool = (typeof FILL_SCHOOLS)[number];
export type FillWay =
  | 'own'
  | 'bringIn'
  | 'always'
  | 'water'
  | 'barrier'
  | 'sand'
  | 'machine'
  | 'byHand'
  | 'cloth'
  | 'noCloth';

export interface WayTaken {
  readonly way: FillWay;
  /** It is what the plan says. */
  readonly chosen: boolean;
  /** What it takes, by what that is called. */
  readonly takes: readonly {
    readonly what: 'stone' | 'loadsIn' | 'loadsOut' | 'area' | 'sand' | 'pipe' | 'hours' | 'lifts';
    readonly value: number;
    readonly kind: Kind;
  }[];
  /** Null: something of it has no price. */
  readonly cost: number | null;
}

/** A sand break is so thick, m: practice. */
const SAND_BREAK = 0.15;

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
const times = (amount: number, price: number | null) =>
  amount === 0 ? 0 : price === null ? null : amount * price;
const both = (p: number | null, q: number | null) => (p === null || q === null ? null : p + q);

/** m of a side's wall: along a run, or a share of a box's. */
function sideLength({ element }: ElementTakeoff): number {
  const box = boxElementOf(element);
  return box ? perimeter(box.outline) / 4 : sizesOf(element).along;
}

/** m² of walls that are filled against. */
const wallArea = ({ elements }: Filling): number =>
  sum(
    elements.flatMap(({ info, sides }) =>
      standsIn(info.element)
        ? sides.map(({ stages }) => {
            const soil = stages.filter(({ stage }) => stage !== 'floorRoom');
            const top = Math.max(...soil.map((one) => one.top), info.underside);
            return sideLength(info) * Math.max(0, top - info.underside);
          })
        : [],
    ),
  );

/** Stone at the foot and what goes with it, when it lies there always or only where water rises. */
function drainWay(
  plan: Plan,
  takeoff: Takeoff,
  topsoil: number,
  when: 'always' | 'water',
  way: FillWay,
): WayTaken {
  const { surround } = plan.backfill;
  const own = { ...(surround ?? { over: 0.15, cloth: true, pipe: 0.1 }), when };
  const tried: Plan = { ...plan, backfill: { ...plan.backfill, surround: own } };
  const hole = { solid: takeoff.strips.filled, elements: takeoff.elements, ...takeoff.hole };
  const foot = fillParts({ plan: tried, hole, stacks: takeoff.stacks }, topsoil).filter(
    ({ stage }) => stage === 'foot',
  );
  const volume = sum(foot.map((part) => part.volume));
  const pipe = sum(
    foot.map(({ owner }) => (takeoff.elements[owner] ? sideLength(takeoff.elements[owner]) : 0)),
  );
  const { density, looseFactor } = BED_MATERIALS.clear;
  const truck = plan.spoil.trucks[0]!;
  return {
    way,
    chosen: surround?.when === when,
    takes: [
      { what: 'stone', value: volume * density, kind: 'mass' },
      { what: 'loadsIn', value: loadsOf(truck, volume * looseFactor, volume * density).loads, kind: 'count' },
      { what: 'pipe', value: pipe, kind: 'length' },
    ],
    cost: times((volume * density) / 1000, plan.prices.stone),
  };
}

function soilWay(plan: Plan, { spoil, strips, soils }: Takeoff, way: 'own' | 'bringIn'): WayTaken {
  const tried: Plan = { ...plan, backfill: { ...plan.backfill, with: way } };
  const shared: Spoil = spoilOf(
    tried,
    fitnesses(tried, soils),
    spoil.strata.map(({ bank }, k) => bank - (strips.soils[k] ?? 0)),
    spoil.need,
    strips.soils,
  );
  const out = sum(
    mixedLoads(plan.spoil.trucks, shared.hauledLoose, shared.hauledMass).map(({ loads }) => loads),
  );
  return {
    way,
    chosen: plan.backfill.with === way,
    takes: [
      { what: 'loadsIn', value: shared.broughtIn.loads, kind: 'count' },
      { what: 'loadsOut', value: out, kind: 'count' },
    ],
    cost: both(times(shared.broughtIn.loose, plan.prices.fill), times(out, plan.prices.load)),
  };
}

/** Lifts and hours of one person, by machine or with a hand tamper. */
function tampingWay(plan: Plan, filling: Filling, way: 'machine' | 'byHand'): WayTaken {
  let hours = 0;
  let lifts = 0;
  const hand: Plan = {
    ...plan,
    backfill: {
      ...plan.backfill,
      compactor: 'handTamper',
      near: { ...plan.backfill.near, compactor: 'handTamper' },
    },
  };
  for (const { info, sides } of filling.elements)
    for (const { stages, cards } of sides)
      for (const { stage, volume, bottom, top } of stages) {
        const card = cards.find((one) => one.part === stage);
        if (!card || (stage !== 'toTop' && stage !== 'toFloor')) continue;
        const height = top - bottom;
        const own = way === 'machine' ? card.lifts : fillLifts(hand, height, filling.cohesive, null);
        const compactor = own.tampings.at(-1)!.compactor;
        const area = volume / height;
        const length = Math.max(1, sideLength(info));
        const layer = {
          ...newLayer('own', [], plan.system),
          thickness: height,
          compactor,
          cohesive: filling.cohesive,
          maxLift: own.thickness,
        };
        const choice = compactorChoices(layer, length, Math.max(0.2, area / length), plan.compactors).find(
          (one) => one.compactor === compactor,
        );
        hours += choice?.hours ?? 0;
        lifts += own.count;
      }
  return {
    way,
    chosen: (plan.backfill.compactor === 'handTamper') === (way === 'byHand'),
    takes: [
      { what: 'lifts', value: lifts, kind: 'count' },
      { what: 'hours', value: hours, kind: 'hours' },
    ],
    cost: null,
  };
}

/** Cloth between the stone at the foot and the soil: its top and its side, with laps and waste. */
function clothArea(plan: Plan, filling: Filling): number {
  const over = plan.backfill.surround?.over ?? 0.15;
  return (
    (1 + PRACTICE.clothWaste.value) *
    sum(
      filling.elements.flatMap(({ info, sides }) =>
        sides
          .filter(({ side }) => sidesOf(info.element).includes(side) && !floorOver(plan, info, side))
          .map(() => {
            const high = info.element.thickness + over;
            const wide = Math.max(0, (info.width.dug - (info.element.rising?.thickness ?? 0)) / 2);
            return sideLength(info) * (high + wide + PRACTICE.clothLap.value);
          }),
      ),
    )
  );
}

/** Every pair of ways. @param filling of the same plan and takeoff */
export function fillSchools(
  plan: Plan,
  takeoff: Takeoff,
  filling: Filling,
): readonly (readonly [FillSchool, readonly WayTaken[]])[] {
  const wall = wallArea(filling);
  const cloth = clothArea(plan, filling);
  const { damp, surround } = plan.backfill;
  return [
    ['soil', [soilWay(plan, takeoff, 'own'), soilWay(plan, takeoff, 'bringIn')]],
    [
      'drain',
      [
        drainWay(plan, takeoff, filling.topsoil, 'always', 'always'),
        drainWay(plan, takeoff, filling.topsoil, 'water', 'water'),
      ],
    ],
    [
      'damp',
      [
        {
          way: 'barrier',
          chosen: damp === 'barrier',
          takes: [{ what: 'area', value: wall, kind: 'area' }],
          cost: null,
        },
        {
          way: 'sand',
          chosen: damp === 'sand',
          takes: [{ what: 'sand', value: wall * SAND_BREAK, kind: 'volume' }],
          cost: times((wall * SAND_BREAK * BED_MATERIALS.sand.density) / 1000, plan.prices.stone),
        },
      ],
    ],
    ['tamping', [tampingWay(plan, filling, 'machine'), tampingWay(plan, filling, 'byHand')]],
    [
      'cloth',
      [
        {
          way: 'cloth',
          chosen: surround?.cloth === true,
          takes: [{ what: 'area', value: cloth, kind: 'area' }],
          cost: null,
        },
        { way: 'noCloth', chosen: surround?.cloth === false, takes: [], cost: 0 },
      ],
    ],
  ];
}
