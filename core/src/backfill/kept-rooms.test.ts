/** Rooms are kept by the cut they lie in: an edit of what stands there is told as if nothing had been kept. */
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { mixedJob } from '../compute/testing.ts';
import type { Plan } from '../plan/schema.ts';
import { demo, drawnCases, seeded } from '../testing.ts';
import { sidedRooms } from './fill.ts';
import { builtOf, roomsIn } from './room.ts';

/** The same job on ground a hair higher than any before: nothing of it is known. */
let hairs = 0;
function unknown(plan: Plan): Plan {
  const { surface } = plan.ground;
  if (surface.kind !== 'plane') throw new Error('a plane is wanted');
  hairs++;
  return {
    ...plan,
    ground: { ...plan.ground, surface: { ...surface, level: surface.level + hairs * 1e-11 } },
  };
}

/** Edits of what stands in the holes and lies on their bottoms; what is dug stays as it is, or nearly. */
const EDITS: readonly ((plan: Plan, next: () => number) => void)[] = [
  (plan) => {
    for (const { rising } of plan.elements) if (rising) rising.thickness += 0.05;
  },
  (plan, next) => {
    const bed = plan.beds[Math.floor(next() * plan.beds.length)];
    if (bed?.layers[0]) bed.layers[0].thickness += 0.02;
  },
  (plan) => {
    plan.pour.order = plan.elements.map(({ id }) => id).reverse();
  },
  (plan, next) => {
    const element = plan.elements[Math.floor(next() * plan.elements.length)];
    if (element) element.thickness += 0.03;
  },
  (plan) => {
    plan.backfill.surround = { over: 0.1, when: 'always', cloth: true, pipe: 0.1 };
  },
  (plan) => {
    plan.backfill.topsoil = 0.15;
  },
];

const told = (plan: Plan): number[] => {
  const { spoil, strips } = compute(plan);
  const { need } = spoil;
  return [
    strips.bank,
    need.hole,
    need.foot,
    need.floorRoom,
    need.topsoilMost,
    spoil.keptLoose,
    spoil.backfill,
  ];
};

describe('rooms that are kept', () => {
  it('never show: every edit is told as on ground nobody has seen', () => {
    for (let seed = 1; seed <= drawnCases(80); seed++) {
      const next = seeded(seed + 500);
      let plan = mixedJob(seed);
      told(plan);
      for (let step = 0; step < 4; step++) {
        plan = structuredClone(plan);
        EDITS[Math.floor(next() * EDITS.length)]!(plan, next);
        const [kept, anew] = [told(plan), told(unknown(plan))];
        kept.forEach((value, i) => {
          expect(Math.abs(value - anew[i]!), `job ${seed}, edit ${step}, figure ${i}`).toBeLessThan(1e-6);
        });
      }
    }
  });

  it('are the same things as long as the same stands in the same cut, and others once it does not', () => {
    const { solid, hole } = compute(demo('honey-house'));
    const at = solid.cuts.findIndex(({ cells }) => cells.length > 0);
    const of = (pieces = hole.taken.pieces, bands = hole.taken.bands[at]!) =>
      roomsIn(solid.cuts[at]!, bands, builtOf(pieces));
    const first = of();
    expect(of(structuredClone(hole.taken.pieces))).toBe(first);
    expect(of([])).not.toBe(first);
    expect(of().map((room) => room.under([]))).toEqual(first.map((room) => room.under([])));
    const lifted = hole.taken.bands[at]!.map((band) => ({ ...band, to: { ...band.to, c: band.to.c + 0.1 } }));
    if (lifted.length > 0) expect(of(hole.taken.pieces, lifted)).not.toBe(first);
  });

  it('share out between the sides of a wall what the whole has', () => {
    const takeoff = compute(demo('honey-house'));
    const asked = {
      solid: takeoff.strips.filled,
      elements: takeoff.elements,
      taken: takeoff.hole.taken,
      bays: takeoff.hole.bays,
    };
    const rooms = sidedRooms({ hole: asked });
    const sum = rooms.reduce((total, { room }) => total + room.under([]), 0);
    expect(sum).toBeCloseTo(takeoff.spoil.backfill, 6);
    // Asked a second time they answer out of what they know.
    expect(sidedRooms({ hole: asked }).reduce((total, { room }) => total + room.under([]), 0)).toBe(sum);
  });
});
