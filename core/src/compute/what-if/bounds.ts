/**
 * How far what nobody has said could move each headline figure: the plan worked out again with every
 * assumption at either end of what it is usually. The ends are assumed, and said to be.
 */
import type { SoilKind } from '../../catalogue/soils.ts';
import { FIGURE_IDS, type FigureId } from '../../figures/index.ts';
import { isAssumed } from '../../plan/assumed.ts';
import type { Plan } from '../../plan/schema.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { whatIf } from './what-if.ts';

/** What is not known: an assumption by its pointer, frost and water while nobody has looked. */
export type Unsaid = string;

interface Ends {
  readonly what: Unsaid;
  readonly plans: readonly Plan[];
}

/** Soils at the ends of what one meets: what runs, what stands. */
const SOIL_ENDS: readonly SoilKind[] = ['softClay', 'sand', 'gravel'];
/** Least and most of a frost depth, m, and of water below the ground, m, where winters and wet ground are. */
const FROST_ENDS = [0.4, 1.4] as const;
const WATER_ENDS = [0.5, 3] as const;
/** Shares of a number taken as its ends. */
const HALF = [0.5, 1.5] as const;
/** Truck bodies one meets, m³. */
const BODIES = [5, 14] as const;

const withSoil = (plan: Plan, kind: SoilKind): Plan => ({
  ...plan,
  ground: {
    ...plan.ground,
    soils: plan.ground.soils.map((soil) => (soil.kind === 'topsoil' ? soil : { ...soil, kind })),
  },
});

function endsOf(plan: Plan, takeoff: Takeoff): Ends[] {
  const out: Ends[] = [];
  const { levels, spoil, ground, pour, dig } = plan;
  if (takeoff.frost.depth === null)
    out.push({
      what: 'frost',
      plans: FROST_ENDS.map((local) => ({
        ...plan,
        ground: { ...ground, frost: { ...ground.frost, local } },
      })),
    });
  if (takeoff.water.from === null) {
    const surface = Math.min(...takeoff.elements.map((e) => e.groundLow));
    if (Number.isFinite(surface))
      out.push({
        what: 'water',
        plans: WATER_ENDS.map((below) => ({ ...plan, ground: { ...ground, water: surface - below } })),
      });
  }
  if (isAssumed(plan, '/ground/logs/0'))
    out.push({ what: '/ground/logs/0', plans: SOIL_ENDS.map((kind) => withSoil(plan, kind)) });
  if (isAssumed(plan, '/levels/cover') && levels.cover !== null)
    out.push({
      what: '/levels/cover',
      plans: HALF.map((share) => ({ ...plan, levels: { ...levels, cover: levels.cover! * share } })),
    });
  if (isAssumed(plan, '/dig/room'))
    out.push({
      what: '/dig/room',
      plans: HALF.map((share) => ({ ...plan, dig: { ...dig, room: dig.room * share } })),
    });
  if (isAssumed(plan, '/spoil/trucks/0'))
    out.push({
      what: '/spoil/trucks/0',
      plans: BODIES.map((body) => ({
        ...plan,
        spoil: {
          ...spoil,
          trucks: spoil.trucks.map((truck, i) =>
            i === 0 ? { ...truck, body, payload: (truck.payload * body) / truck.body } : truck,
          ),
        },
      })),
    });
  if (isAssumed(plan, '/pour/waste'))
    out.push({
      what: '/pour/waste',
      plans: [0, 2 * pour.waste].map((waste) => ({ ...plan, pour: { ...pour, waste } })),
    });
  return out;
}

export interface Bound {
  readonly low: number;
  readonly high: number;
  /** What moves it most. */
  readonly by: Unsaid;
}
/** By figure; one that nothing moves is not in it. */
export type Bounds = Readonly<Partial<Record<FigureId, Bound>>>;

/** Less than a thousandth of it, a figure has not moved. */
const STILL = 1e-3;

/** @param progress told how far it is, 0…1 */
export function boundsOf(plan: Plan, takeoff: Takeoff, progress: (share: number) => void = () => {}): Bounds {
  const ends = endsOf(plan, takeoff);
  const ask = whatIf(plan, takeoff);
  const out: Partial<Record<FigureId, Bound & { readonly most: number }>> = {};
  ends.forEach(({ what, plans }, i) => {
    progress(i / ends.length);
    for (const other of plans) {
      const { takeoff: told } = ask(other);
      if (told.problems.length > takeoff.problems.length) continue;
      for (const id of FIGURE_IDS) {
        const [was, is] = [takeoff.figures[id], told.figures[id]];
        const before = out[id] ?? { low: was.value, high: was.value, by: what, most: 0 };
        const moved = Math.abs(is.value - was.value);
        if (moved <= STILL * Math.max(1, Math.abs(was.value))) continue;
        out[id] = {
          low: Math.min(before.low, is.value),
          high: Math.max(before.high, is.value),
          ...(moved > before.most ? { by: what, most: moved } : { by: before.by, most: before.most }),
        };
      }
    }
  });
  return Object.fromEntries(
    Object.entries(out).map(([id, { low, high, by }]) => [id, { low, high, by }]),
  ) as Bounds;
}
