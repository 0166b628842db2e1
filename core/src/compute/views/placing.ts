/**
 * A pour as it is placed: its trucks by the clock, the places they fill, where a joint falls and why, how fast it rises in its
 * forms. What is mixed on site comes in no truck. Rates nobody typed are typical, and said.
 */
import { area, cornerMean, type Polygon, rectangle } from '../../geometry/index.ts';
import {
  type Arrival,
  arrivals,
  barrowed,
  jointsOf,
  openTime,
  type Place,
  placingOrder,
  pressureOf,
  type Rise,
  riseIn,
  spacingOf,
  whenPlaced,
} from '../../placing/index.ts';
import type { Plan } from '../../plan/schema.ts';
import type { Pour } from '../../pour/index.ts';
import { RATES } from '../../rates/index.ts';
import type { Origin } from '../../results/index.ts';
import { axisOf } from '../../setout/index.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';
import { minutesOf } from '../../time/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** Of concrete as it comes, where nobody said, °C: assumed. */
const MILD = 20;

/** m³ an hour concrete is placed at, and where that comes from. */
export function placingRate({ pour: { placing } }: Plan): { readonly rate: number; readonly from: Origin } {
  if (placing.rate !== null) return { rate: placing.rate, from: 'typed' };
  switch (placing.by) {
    case 'chute':
      return { rate: RATES.placedChute.likely, from: 'typical' };
    case 'pump':
      return { rate: RATES.placedPump.likely, from: 'typical' };
    case 'skip':
      return { rate: RATES.placedSkip.likely, from: 'typical' };
    case 'barrow':
      return { rate: barrowed(placing.barrows, placing.distance), from: 'typical' };
  }
}

/** A joint that falls: between what, where, how long the face stood. */
export interface JointAt {
  readonly element: string;
  /** What stood; the same element: within it. */
  readonly against: string;
  readonly at: readonly [number, number];
  /** Between one layer and the next. */
  readonly layers: boolean;
  /** The truck its second face came with. */
  readonly truck: number;
  /** Minutes. */
  readonly stood: number;
  /** No joint may fall there. */
  readonly banned: boolean;
}

/** How what is cast in a wall's form rises. */
export interface RiseAt {
  readonly element: string;
  readonly cast: string;
  /** m of it, m³ on a metre of height. */
  readonly height: number;
  readonly area: number;
  /** m an hour as it is placed; Pa against the form at that. */
  readonly rate: number;
  readonly pressure: number;
  readonly liquid: boolean;
  /** What the form it was built for keeps; null: nobody typed what that is. */
  readonly keeps: Rise | null;
  /** m³ an hour at most to keep to it; null: any, or none. */
  readonly slower: number | null;
  /** It rises faster than the form keeps. */
  readonly over: boolean;
}

export interface PouredBy {
  readonly pour: Pour;
  readonly rate: number;
  readonly from: Origin;
  /** Minutes from one truck to the next. */
  readonly spacing: number;
  readonly trucks: readonly Arrival[];
  /** Minutes a face may stand, at the temperature of the concrete. */
  readonly open: number;
  readonly temperature: number;
  readonly places: readonly Place[];
  /** Minutes since midnight each is begun, and done. */
  readonly begins: readonly number[];
  readonly ends: readonly number[];
  readonly joints: readonly JointAt[];
  /** Trucks older at their end than was agreed. */
  readonly old: readonly number[];
  readonly rises: readonly RiseAt[];
}

/** Loads of a pour: full trucks, then what is left. */
function loadsOf({ ordered, loads }: Pour, truck: number): number[] {
  return Array.from({ length: loads }, (_, i) => (i < loads - 1 ? truck : ordered - (loads - 1) * truck));
}

/** Bays of a pass in plan. */
function baysOf(info: ElementTakeoff | undefined, pass: number): Polygon[] {
  const own = info?.bays?.passes[pass - 1];
  if (!info?.bays || !own) return [];
  const { length } = info.bays;
  const runs = axisOf(info.element);
  const wide = info.element.kind === 'underpin' ? (info.element.old?.thickness ?? info.element.width) : 1;
  return own.flatMap((bay) => {
    let before = 0;
    const middle = (bay - 0.5) * length;
    for (const { from, ux, uy, length: reach } of runs) {
      if (middle <= before + reach + 1e-9) {
        const s = middle - before;
        return [rectangle(from[0] + ux * s, from[1] + uy * s, length, wide, Math.atan2(uy, ux))];
      }
      before += reach;
    }
    return [];
  });
}

function risesOf(
  { pour: { forms, placing } }: Plan,
  places: readonly Place[],
  pour: Pour,
  rate: number,
): RiseAt[] {
  const temperature = placing.temperature ?? MILD;
  return pour.casts.flatMap(({ key, element, stage, bottom, top }): RiseAt[] => {
    if (stage !== 'walls' && stage !== 'rise') return [];
    const plan = places.filter((one) => one.cast === key && one.layer === 1);
    const square = plan.reduce((sum, one) => sum + area(one.plan), 0);
    if (!(square > 0)) return [];
    const height = top - bottom;
    const cast = {
      height,
      temperature,
      chemistry: forms.chemistry,
      slump: forms.slump,
      vibrated: placing.layer,
    };
    const rises = rate / square;
    const keeps = forms.permitted === null ? null : riseIn(forms.permitted, cast);
    return [
      {
        element,
        cast: key,
        height,
        area: square,
        rate: rises,
        ...pressureOf(rises, cast),
        keeps,
        slower: keeps?.keeps === 'rate' ? keeps.rate * square : null,
        over:
          keeps !== null &&
          (keeps.keeps === 'height' || (keeps.keeps === 'rate' && rises > keeps.rate + 1e-9)),
      },
    ];
  });
}

/** The worst joint between two things, and of one between its layers. */
function worst(joints: readonly JointAt[]): JointAt[] {
  const out = new Map<string, JointAt>();
  for (const joint of joints) {
    const key = [joint.element, joint.against].toSorted().join(' ') + (joint.layers ? ' layers' : '');
    const known = out.get(key);
    if (!known || joint.stood > known.stood) out.set(key, joint);
  }
  return [...out.values()].toSorted((p, q) => q.stood - p.stood);
}

/** @returns null: there is no such pour */
export function placingOf(plan: Plan, takeoff: Takeoff, id: string): PouredBy | null {
  const pour = takeoff.pours.find((one) => one.id === id);
  if (!pour) return null;
  const { placing, truck, screed } = plan.pour;
  const infos = new Map(takeoff.elements.map((info) => [info.id, info]));
  // By hand it goes as fast as its people mix, carry and place it.
  const { rate, from } = pour.mixed
    ? { rate: plan.days.people / plan.pour.hand.hours, from: 'typed' as const }
    : placingRate(plan);
  const first = minutesOf(placing.first ?? plan.dig.day.start);
  const own = placing.delays.filter((delay) => delay.pour === id);
  // What is mixed on site comes as it is mixed: one load.
  const loads = pour.mixed ? [pour.wanted] : loadsOf(pour, truck);
  const trucks = arrivals(
    loads,
    rate,
    first,
    placing.travel === null || pour.mixed ? null : placing.travel * 60,
    own.map(({ truck: number, hours, plant }) => ({ truck: number, minutes: hours * 60, plant })),
  );
  const places = placingOrder(
    pour.casts,
    (element) => infos.get(element)!.element,
    ({ element, number }) => baysOf(infos.get(element), number),
    { from: placing.from, layer: placing.layer, screed },
  );
  const begins = places.map(({ before }) => whenPlaced(trucks, before));
  const ends = places.map(({ before, volume }) => whenPlaced(trucks, before + volume));
  const temperature = placing.temperature ?? MILD;
  const open = openTime(placing.open, temperature) * 60;
  const joints = jointsOf(places, begins, ends, open).map(({ at, against, stood }): JointAt => {
    const [fresh, stale] = [places[at]!, places[against]!];
    return {
      element: fresh.element,
      against: stale.element,
      at: cornerMean(fresh.plan),
      layers: fresh.layer !== stale.layer,
      truck: trucks.findLast((one) => one.begins <= begins[at]! + 1e-6)?.truck ?? 1,
      stood,
      banned: placing.noJoint.includes(fresh.element) || placing.noJoint.includes(stale.element),
    };
  });
  const limit = placing.limit === null ? null : placing.limit * 60;
  return {
    pour,
    rate,
    from,
    spacing: spacingOf(truck, rate),
    trucks,
    open,
    temperature,
    places,
    begins,
    ends,
    joints: worst(joints),
    old:
      limit === null
        ? []
        : trucks.flatMap(({ truck: n, age }) => (age !== null && age > limit + 1e-6 ? [n] : [])),
    rises: risesOf(plan, places, pour, rate),
  };
}
