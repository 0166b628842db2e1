/** What people dig and break: hours, what they throw and wheel, and what is broken out of the dig. */

import { OBSTRUCTIONS } from '../catalogue/obstructions.ts';
import { PRACTICE } from '../catalogue/practice.ts';
import { COMMON_SWELL } from '../catalogue/soils.ts';
import { boxesMeet, boxOf, cornerMean, edges, flat, intersect } from '../geometry/index.ts';
import type { Soil } from '../ground/index.ts';
import type { Obstruction, Plan } from '../plan/schema.ts';
import { outfallOf } from '../plan/variants.ts';
import { castsOf, type Pour, poursOf } from '../pour/index.ts';
import { BREAKING, RATES } from '../rates/index.ts';
import type { Origin } from '../results/index.ts';
import { shapeOf } from '../setout/index.ts';
import type { ElementTakeoff } from './element.ts';

/** A barrow, m³: typical. */
const BARROW = 0.06;

/** An element dug by hand. */
export interface HandDug {
  readonly id: string;
  /** Bank and loose m³. */
  readonly bank: number;
  readonly loose: number;
  /** Person-hours of digging; from a stage what lies too deep to throw. */
  readonly hours: number;
  readonly staged: boolean;
  /** While people dig there: what the machine stays off, since its opening and theirs are one. */
  readonly blocks: readonly string[];
  /** Pours that wait for it. */
  readonly pours: readonly Pick<Pour, 'id' | 'name' | 'kind' | 'number'>[];
  /** Barrow trips, m to the nearest heap, and hours of wheeling; null without a lay-down area. */
  readonly barrow: { readonly trips: number; readonly distance: number; readonly hours: number } | null;
}

/** Minutes of a barrow's round. @param distance m to the heap */
const barrowMinutes = (distance: number): number =>
  (2 * distance) / RATES.barrowWalk.likely + RATES.barrowTurn.likely;

/** m in plan from an element to the middle of the nearest heap. */
function toHeap(plan: Plan, { element }: ElementTakeoff): number | null {
  const [x, y] = shapeOf(element).label(element);
  const away = plan.site.areas
    .filter((area) => area.use === 'spoil')
    .map(({ points }) => {
      const [cx, cy] = cornerMean(flat(points));
      return Math.hypot(cx - x, cy - y);
    });
  return away.length > 0 ? Math.min(...away) : null;
}

/** What is dug by machine and opens into an element's own opening. */
const sharing = (own: ElementTakeoff, elements: readonly ElementTakeoff[]): string[] =>
  elements
    .filter(
      (other) =>
        other.live &&
        other !== own &&
        !other.element.hand &&
        other.openings.some((theirs) =>
          own.openings.some(
            (ours) => boxesMeet(boxOf(ours), boxOf(theirs)) && intersect(ours, edges(theirs)).length >= 6,
          ),
        ),
    )
    .map((other) => other.id);

/**
 * Elements marked to be dug by hand.
 * @param rate loose m³ a person and hour
 * @param deeper bank m³ of an element that lie deeper than so many m
 */
export function handDugElements(
  plan: Plan,
  elements: readonly ElementTakeoff[],
  soils: readonly Soil[],
  rate: number,
  deeper: (element: number, than: number) => number,
): HandDug[] {
  const own = elements.filter((e) => e.live && e.element.hand && e.volume > 0);
  if (own.length === 0) return [];
  const pours = poursOf(
    plan,
    castsOf(
      plan,
      elements.map(({ casts }) => ({ casts, more: 0 })),
    ),
  );
  return own.map((e): HandDug => {
    const loose = e.bySoil.reduce((sum, bank, i) => sum + bank * (1 + (soils[i]?.swell ?? COMMON_SWELL)), 0);
    const staged = e.depth > PRACTICE.throw.value;
    // Only what lies deeper than one throws is handed up twice.
    const below = staged ? Math.min(1, deeper(e.index, PRACTICE.throw.value) / e.volume) : 0;
    const distance = toHeap(plan, e);
    const trips = Math.ceil(loose / BARROW - 1e-9);
    return {
      id: e.id,
      bank: e.volume,
      loose,
      hours: (loose / rate) * (1 + (RATES.fromStage.likely - 1) * below),
      staged,
      blocks: sharing(e, elements),
      pours: pours
        .filter((pour) => pour.elements.includes(e.id))
        .map(({ id, name, kind, number }) => ({ id, name, kind, number })),
      barrow: distance === null ? null : { trips, distance, hours: (trips * barrowMinutes(distance)) / 60 },
    };
  });
}

/** Silt scraped off the bottom of a drain before stone goes in: m³ as it lies, and person-hours. */
export interface Scraped {
  readonly id: string;
  readonly volume: number;
  readonly hours: number;
}

/** Silt to scrape, by drain. @param rate m³ a person and hour: it lies loose and wet already */
export const scrapedBottoms = (elements: readonly ElementTakeoff[], rate: number): Scraped[] =>
  elements.flatMap((e): Scraped[] => {
    const silt = e.live ? (outfallOf(e.element)?.silt ?? 0) : 0;
    const volume = silt * e.bottomArea;
    return volume > 0 ? [{ id: e.id, volume, hours: volume / rate }] : [];
  });

/** Something broken out: how much it is in place and in the truck, and the hours it takes. */
export interface BrokenOut {
  readonly obstruction: Obstruction;
  readonly volume: number;
  readonly loose: number;
  readonly mass: number;
  readonly hours: number;
  /** Where rate, density and swell come from. */
  readonly from: { readonly rate: Origin; readonly density: Origin; readonly swell: Origin };
}

const told = (value: number | null): Origin => (value === null ? 'typical' : 'typed');

/** What stands in the way, broken out. */
export function brokenOut(obstructions: readonly Obstruction[]): BrokenOut[] {
  return obstructions.map((obstruction): BrokenOut => {
    const { kind, volume, by, rate, density, swell } = obstruction;
    const typical = OBSTRUCTIONS[kind];
    return {
      obstruction,
      volume,
      loose: volume * (1 + (swell ?? typical.swell)),
      mass: volume * (density ?? typical.density),
      hours: volume / (rate ?? BREAKING[kind][by].likely),
      from: { rate: told(rate), density: told(density), swell: told(swell) },
    };
  });
}
