/**
 * What the same night does with other means, what it leaves behind, and how often such a night ends dry.
 */
import { withTold } from '../../as-dug/index.ts';
import { type BottomSoil, keepsAs } from '../../base/index.ts';
import { PUMPS } from '../../catalogue/pumps.ts';
import { newPump } from '../../plan/blank.ts';
import { PATTERNS } from '../../plan/kinds.ts';
import type { Plan, SitePump } from '../../plan/schema.ts';
import { between, oneOf, openShare, seeded } from '../../random/index.ts';
import { hoursBetween, localAfter } from '../../time/index.ts';
import { courseOf, type Storm, showerOf, stormHours } from '../../water/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Difference, whatIf } from '../what-if/what-if.ts';
import { type Ground, holeAt, nightGround, readied } from './basin.ts';
import { dryAt, type NightHole, nightAt } from './night.ts';

export const MEANS = ['none', 'one', 'two', 'drain', 'failing', 'cover', 'cutOff'] as const;
export type Mean = (typeof MEANS)[number];

export interface MeanNight {
  readonly mean: Mean;
  readonly dry: boolean | null;
  /** Deepest water over what must be dry, m; hours over it. */
  readonly peak: number;
  readonly hours: number;
  /** m³ pumped, hours pumps ran, and what that takes: kWh, or litres of fuel. */
  readonly pumped: number;
  readonly pumpHours: number;
  readonly used: { readonly of: 'power' | 'fuel'; readonly amount: number } | null;
}

const inHole = (ids: readonly string[]) => (pump: SitePump) => ids.includes(pump.element);

/** The first two in the morning after the rain begins, local. */
function atTwo(start: string, zone: string): string {
  for (let h = 1; h <= 26; h++) {
    const local = localAfter(start, h, zone);
    if (local.slice(11, 13) === '02') return `${local.slice(0, 14)}00`;
  }
  return localAfter(start, 12, zone);
}

/** A plan with other means in one hole; null when a means is no other there. */
export function withMeans(plan: Plan, ids: readonly string[], mean: Mean): Plan | null {
  const { water } = plan;
  const here = water.pumps.filter(inHole(ids));
  const rest = water.pumps.filter((pump) => !ids.includes(pump.element));
  const pump = here[0] ?? newPump(plan, 'electric50', ids[0]!);
  const counted = (count: number): Plan => ({
    ...plan,
    water: { ...water, pumps: [...rest, { ...pump, count }] },
  });
  switch (mean) {
    // The pumps go; the drain itself is cut in the ground, not in the plan.
    case 'drain':
    case 'none':
      return { ...plan, water: { ...water, pumps: rest } };
    case 'one':
      return counted(1);
    case 'two':
      return counted(2);
    case 'failing':
      if (here.length === 0 || !water.storm) return null;
      return {
        ...plan,
        water: {
          ...water,
          pumps: water.pumps.map((one) =>
            one === here[0] ? { ...one, until: atTwo(water.storm!.start, water.zone) } : one,
          ),
        },
      };
    case 'cover':
      return water.cover ? null : { ...plan, water: { ...water, cover: true } };
    case 'cutOff':
      return {
        ...plan,
        water: {
          ...water,
          drained: [
            ...water.drained.filter(({ element }) => !ids.includes(element)),
            { element: ids[0]!, area: 0, points: [] },
          ],
        },
      };
  }
}

function used(pumps: readonly SitePump[], hours: number): MeanNight['used'] {
  const uses = pumps[0] ? PUMPS[pumps[0].kind].uses : null;
  return uses ? { of: uses.of, amount: uses.rate * hours * (pumps[0]?.count ?? 1) } : null;
}

/** The same ground with a drain cut from one hole to daylight. */
const ledAway = (ground: Ground, ids: readonly string[]): Ground => ({
  ...ground,
  holes: ground.holes.map((hole) => (hole.ids.includes(ids[0]!) ? { ...hole, away: true } : hole)),
});

/** The same night with each means in one hole. @param ids elements of the hole */
export function nightMeans(
  plan: Plan,
  takeoff: Takeoff,
  ids: readonly string[],
  ground: Ground = nightGround(plan, takeoff),
): MeanNight[] {
  return MEANS.flatMap((mean): MeanNight[] => {
    const other = withMeans(plan, ids, mean);
    const hole = other && nightAt(other, mean === 'drain' ? ledAway(ground, ids) : ground, ids[0]!);
    if (!hole) return [];
    return [
      {
        mean,
        dry: hole.dryBy?.dry ?? null,
        peak: Math.max(0, hole.wet.peak - hole.surface),
        hours: hole.wet.hours,
        pumped: hole.course.budget.pumped,
        pumpHours: hole.course.pumpHours,
        used: used(other.water.pumps.filter(inHole(ids)), hole.course.pumpHours),
      },
    ];
  });
}

/**
 * What standing water does to a bottom, m: silt left on it, and how far it goes soft, at once, with every
 * hour, and at most. Assumed: nothing is published; the job's own log is to settle it.
 */
const SPOILS: Record<BottomSoil, { silt: number; once: number; hourly: number; most: number }> = {
  clay: { silt: 0.01, once: 0.01, hourly: 0.002, most: 0.06 },
  silt: { silt: 0.02, once: 0.02, hourly: 0.005, most: 0.12 },
  sand: { silt: 0.005, once: 0, hourly: 0, most: 0 },
};

/** People with buckets that bail, for comparison. */
const BAILERS = 2;
const BAILED = PUMPS.bucket.curve.at(-1)!.flow;

export interface AfterElement {
  readonly id: string;
  /** m it is trimmed again below where it lay, and m³ of silt on it. */
  readonly retrim: number;
  readonly silt: number;
}

export interface After {
  /** m³ standing when it should be dry (or at the end), hours to pump it with what is there, and for two with buckets. */
  readonly standing: number;
  readonly pumpOut: number | null;
  readonly bail: number;
  readonly elements: readonly AfterElement[];
  /** m³ of silt, and hours of one person to scrape it. */
  readonly silt: number;
  readonly scrape: number;
  /** What trimming again costs against the plan as it stands; null: nothing to trim. */
  readonly change: Difference | null;
}

/** How low bottoms lie once they are trimmed again, by element, m. */
export const retrimmed = (
  { elements: all }: Pick<Takeoff, 'elements'>,
  elements: readonly AfterElement[],
): { readonly element: string; readonly low: number }[] =>
  elements.flatMap(({ id, retrim }) => {
    const own = all.find((e) => e.id === id);
    return own && retrim > 0 ? [{ element: id, low: own.low + retrim }] : [];
  });

const upTo5 = (m: number) => Math.ceil(m / 0.005 - 1e-9) * 0.005;

/** What a night leaves in one hole. */
export function afterNight(plan: Plan, takeoff: Takeoff, hole: NightHole): After {
  const { wet, course, pumps } = hole;
  const soaked = wet.first !== null && !plan.water.bedLaid;
  const elements = takeoff.elements
    .filter((e) => hole.elements.includes(e.id))
    .map((e): AfterElement => {
      const kind = keepsAs(e.bottomSoil ?? 'rock');
      const spoils = kind ? SPOILS[kind] : null;
      // What lies higher than the water came stays as it was.
      const under = soaked && wet.peak > e.dug;
      if (!spoils || !under) return { id: e.id, retrim: 0, silt: 0 };
      const deep = Math.min(spoils.most, spoils.once + spoils.hourly * wet.hours);
      return { id: e.id, retrim: upTo5(deep), silt: spoils.silt * e.bottomArea };
    });
  const silt = elements.reduce((sum, e) => sum + e.silt, 0);
  const flow = pumps.reduce((sum, pump) => sum + pump.flow, 0);
  // What is left in a sump is where it should be.
  const standing = (course.samples.at(-1)?.level ?? hole.floor) > hole.surface ? course.budget.after : 0;
  const any = elements.some((e) => e.retrim > 0);
  return {
    standing,
    pumpOut: flow > 0 ? standing / flow / 3600 : null,
    bail: standing / (BAILERS * BAILED) / 3600,
    elements,
    silt,
    scrape: silt / takeoff.work.hand.rate,
    change: any
      ? whatIf(plan, takeoff)(plan, withTold(takeoff.facts, retrimmed(takeoff, elements))).change
      : null,
  };
}

/** The same night with other means in the hole of an element, and what it leaves there; null where there is none. */
export function nightRest(
  plan: Plan,
  takeoff: Takeoff,
  element: string,
): { readonly means: MeanNight[]; readonly after: After } | null {
  const ground = nightGround(plan, takeoff);
  const hole = nightAt(plan, ground, element);
  return (
    hole && {
      means: nightMeans(plan, takeoff, hole.elements, ground),
      after: afterNight(plan, takeoff, hole),
    }
  );
}

export interface NightChance {
  /** Share of the storms after which it is dry in time. */
  readonly dry: number;
  readonly storms: number;
  /** Peak depths over what must be dry, m, in rising order. */
  readonly peaks: readonly number[];
}

/** Reduced variates of Gumbel's law for once in 2 and once in 10 years: −ln(−ln(1 − 1/T)). */
const variate = (years: number) => -Math.log(-Math.log(1 - 1 / years));

/** A day's rain of Gumbel's law through two return periods, m. @param u in (0, 1) */
export function gumbelRain({ two, ten }: { two: number; ten: number }, u: number): number {
  const scale = (ten - two) / (variate(10) - variate(2));
  const mode = two - scale * variate(2);
  return Math.max(0, mode - scale * Math.log(-Math.log(u)));
}

/** Earliest and latest a storm begins against the one expected, h; shortest and longest, against its length. */
const SHIFT = [-12, 4] as const;
const LENGTH = [0.5, 2] as const;

/** A storm of the record, drawn; and how many hours after the one expected it begins. */
function drawnStorm(plan: Plan, next: () => number): { storm: Storm; shift: number } {
  const { record, storm } = plan.water;
  const kinds = PATTERNS.filter((pattern) => pattern !== 'hourly');
  return {
    shift: between(next, SHIFT),
    storm: {
      depth: gumbelRain(record!, openShare(next)),
      hours: Math.min(24, stormHours(storm!) * between(next, LENGTH)),
      pattern: oneOf(next, kinds),
      hourly: [],
    },
  };
}

/**
 * How many of the record's worst days would end dry by the time asked, were one to fall about the hour that
 * is expected: of its depth, length, hour and pattern nothing is known but that.
 * @param progress told how far it is, 0…1
 * @returns null when there is no record, no storm or no time
 */
export function chanceDry(
  plan: Plan,
  takeoff: Takeoff,
  ids: readonly string[],
  storms = 1000,
  progress: (share: number) => void = () => {},
  seed = 7,
): NightChance | null {
  const { record, storm, dryBy, zone } = plan.water;
  if (!record || !storm || dryBy === null) return null;
  const by = hoursBetween(storm.start, dryBy, zone);
  if (by === null || by <= 0) return null;
  const ground = nightGround(plan, takeoff);
  const at = holeAt(ground, ids[0]!);
  if (at < 0) return null;
  const { basin, hole } = readied(ground, at);
  const next = seeded(seed);
  const peaks: number[] = [];
  let dry = 0;
  for (let i = 0; i < storms; i++) {
    const { storm: own, shift } = drawnStorm(plan, next);
    const course = courseOf(basin, {
      ...showerOf(own, shift),
      // One that comes early has rained already at the hour expected.
      from: Math.min(0, shift),
      hours: by,
      every: 0.5,
      longest: 600,
    });
    if (dryAt(course, hole.surface, by).dry) dry++;
    peaks.push(Math.max(0, course.peak.level - hole.surface));
    if (i % 20 === 0) progress(i / storms);
  }
  return { dry: dry / storms, storms, peaks: peaks.sort((p, q) => p - q) };
}
