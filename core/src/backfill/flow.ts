/**
 * Where soil goes, as one picture: out of the ground by soil, through heaps, back into the holes, on top, away; what
 * comes by truck, and old concrete apart. Bank, loose and tamped of every stream; they close over what was dug.
 */
import { mixedLoads } from '../dig/index.ts';
import type { Plan } from '../plan/schema.ts';
import type { Job } from '../takeoff/job.ts';
import { bankToCompacted } from '../units/index.ts';
import { type Fitness, fitnesses } from './fitness.ts';
import { type Spoil, spoilOf } from './spoil.ts';

/** Into the holes; on top of them; kept though nothing asks for it; to soft spots and round the walls; away. */
export const FLOW_ENDS = ['holes', 'top', 'spare', 'elsewhere', 'away'] as const;
export type FlowEnd = (typeof FLOW_ENDS)[number];

export interface Stream {
  /** A soil by its id; what is bought; what is broken out. */
  readonly from: { readonly soil: string } | 'broughtIn' | 'broken' | 'stone';
  readonly to: FlowEnd;
  /** How it goes back: as it is, once dried or mixed. Null: it does not. */
  readonly use: Fitness['use'] | null;
  /** m³ in each state; a state it is never in is what it would be. */
  readonly bank: number;
  readonly loose: number;
  readonly tamped: number;
}

export interface SoilFlow {
  readonly spoil: Spoil;
  readonly streams: readonly Stream[];
  readonly loads: { readonly out: number; readonly in: number; readonly broken: number };
  /** What trucks and bought fill cost; null where a price is wanting for what there is. */
  readonly cost: number | null;
}

const NONE = 1e-9;

type Flowing = Pick<Job, 'spoil' | 'strips' | 'soils' | 'broken'>;

/** Spoil shared anew under another state of the soils. */
const sharedAgain = (plan: Plan, { spoil, strips, soils }: Flowing, rained: boolean): Spoil =>
  spoilOf(
    plan,
    fitnesses(plan, soils, rained),
    spoil.strata.map(({ bank }, k) => bank - (strips.soils[k] ?? 0)),
    spoil.need,
    strips.soils,
  );

/** @param rained on heaps that lie open */
export function flowOf(plan: Plan, job: Flowing, rained = false): SoilFlow {
  const spoil = rained ? sharedAgain(plan, job, true) : job.spoil;
  const streams: Stream[] = [];
  const { need } = spoil;
  // What goes back below the topsoil fills holes first, then what is asked for elsewhere.
  let room = Math.max(0, need.hole - need.foot - need.floorRoom - spoil.topsoilBack);
  let onTop = spoil.topsoilBack;
  const put = (stream: Stream) => {
    if (stream.bank > NONE) streams.push(stream);
  };
  spoil.strata.forEach(({ soil, keptBank, hauledBank }, i) => {
    const { use } = spoil.fits[i]!;
    const from = { soil: soil.layer.id };
    const stream = (to: FlowEnd, bank: number, how: Stream['use']) =>
      put({
        from,
        to,
        use: how,
        bank,
        loose: bank * (1 + soil.swell),
        tamped: bankToCompacted(bank as typeof keptBank, soil.shrink),
      });
    const solid = 1 - soil.shrink;
    if (use === 'topsoil') {
      const back = Math.min(onTop, keptBank * solid);
      onTop -= back;
      stream('top', back / solid, use);
      stream('spare', keptBank - back / solid, null);
    } else {
      const back = Math.min(room, keptBank * solid);
      room -= back;
      stream('holes', back / solid, use);
      stream('elsewhere', keptBank - back / solid, use);
    }
    stream('away', hauledBank, null);
  });
  const { tamped, bank, loose, loads } = spoil.broughtIn;
  const part = tamped > 0 ? Math.min(room, tamped) / tamped : 0;
  const bought = (to: FlowEnd, share: number) =>
    put({
      from: 'broughtIn',
      to,
      use: null,
      bank: bank * share,
      loose: loose * share,
      tamped: tamped * share,
    });
  bought('holes', part);
  bought('elsewhere', 1 - part);
  put({ from: 'stone', to: 'holes', use: null, bank: need.foot, loose: need.foot, tamped: need.foot });
  const broken = job.broken.items.reduce(
    (sum, item) => ({ volume: sum.volume + item.volume, loose: sum.loose + item.loose }),
    { volume: 0, loose: 0 },
  );
  put({
    from: 'broken',
    to: 'away',
    use: null,
    bank: broken.volume,
    loose: broken.loose,
    tamped: broken.volume,
  });
  const out = mixedLoads(plan.spoil.trucks, spoil.hauledLoose, spoil.hauledMass).reduce(
    (sum, one) => sum + one.loads,
    0,
  );
  return {
    spoil,
    streams,
    loads: { out, in: loads, broken: job.broken.loads },
    cost: costOf(plan, out + job.broken.loads, loose),
  };
}

/** Nothing is priced that nobody gave a price; nothing costs nothing. */
function costOf({ prices }: Plan, loads: number, loose: number): number | null {
  const of = (amount: number, price: number | null) =>
    amount <= NONE ? 0 : price === null ? null : amount * price;
  const [haul, fill] = [of(loads, prices.load), of(loose, prices.fill)];
  return haul === null || fill === null ? null : haul + fill;
}
