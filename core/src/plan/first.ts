/**
 * The first minute of a job: what a person would say on the phone, and the whole plan that stands on it.
 * What nobody says stays assumed or unknown, never silently typical.
 */
import type { SoilKind } from '../catalogue/soils.ts';
import { blankPlan, newBox, newPad, newRaft, newStrip, withFloor } from './blank.ts';
import type { Element } from './elements.ts';
import type { Plan } from './schema.ts';

/** What is dug: a house on a ring of strips, pads in a grid, one trench, a slab, a box in the ground, a wall by itself. */
export const FIRST_KINDS = ['ring', 'pads', 'trench', 'slab', 'box', 'wall'] as const;
export type FirstKind = (typeof FIRST_KINDS)[number];

export interface FirstSaid {
  readonly kind: FirstKind | null;
  /** m; of a trench and a wall its length alone. Null: not said. */
  readonly length: number | null;
  readonly width: number | null;
  /** Of a wall by itself, m; null: not said. */
  readonly thick: number | null;
  /** Cross walls of a ring, and pads along and across. */
  readonly cross: number;
  readonly along: number;
  readonly across: number;
  /** Frost depth, m; null: not known. */
  readonly frost: number | null;
  /** As felt in the hand or known from next door; null: nobody knows. */
  readonly soil: SoilKind | null;
  /** Water seen so far below the ground, m; null: none seen, which is not none. */
  readonly water: number | null;
}

/** Sizes where none is said, m: assumed. */
const USUAL: Record<FirstKind, readonly [number, number]> = {
  ring: [10, 8],
  pads: [8, 4],
  trench: [10, 0],
  slab: [8, 6],
  box: [4, 3],
  wall: [10, 0],
};
/** A wall nobody said the thickness of, m: assumed. */
const USUAL_WALL = 0.25;
/** A footing stands out of its wall by as much as the wall is thick, to either side: a rule of thumb, assumed. */
const FOOT = 3;

type At = [number, number];
const corners = (x: number, y: number): At[] => [
  [0, 0],
  [x, 0],
  [x, y],
  [0, y],
];

function elementsOf(plan: Plan, said: FirstSaid, kind: FirstKind): Element[] {
  const [length, width] = [said.length ?? USUAL[kind][0], said.width ?? USUAL[kind][1]];
  const made: Element[] = [];
  // Names are given by what is there already.
  const add = (make: (plan: Plan) => Element) => made.push(make({ ...plan, elements: made }));
  switch (kind) {
    case 'ring':
      add((p) => newStrip(p, corners(length, width), true));
      for (let i = 1; i <= said.cross; i++) {
        const x = (length * i) / (said.cross + 1);
        add((p) =>
          newStrip(p, [
            [x, 0],
            [x, width],
          ]),
        );
      }
      break;
    case 'pads': {
      const place = (i: number, of: number, over: number) => (of > 1 ? (over * i) / (of - 1) : 0);
      for (let j = 0; j < said.across; j++)
        for (let i = 0; i < said.along; i++)
          add((p) => newPad(p, [place(i, said.along, length), place(j, said.across, width)]));
      break;
    }
    case 'trench':
      add((p) =>
        newStrip(p, [
          [0, 0],
          [length, 0],
        ]),
      );
      break;
    case 'wall':
      add((p) => {
        const strip = newStrip(p, [
          [0, 0],
          [length, 0],
        ]);
        const stem = said.thick ?? USUAL_WALL;
        return { ...strip, stem, width: Math.max(strip.width, FOOT * stem) };
      });
      break;
    case 'slab':
      add((p) => newRaft(p, corners(length, width)));
      break;
    case 'box':
      add((p) => newBox(p, corners(length, width)));
      break;
  }
  return made;
}

/** A new job with all that was said. */
export function firstPlan(name: string, system: Plan['system'], said: FirstSaid): Plan {
  const plan = blankPlan(name, system);
  const { ground } = plan;
  const [top, below] = ground.soils;
  const settled: string[] = [];
  if (said.soil !== null && said.soil !== 'topsoil') settled.push('/ground/logs/0');
  const log = ground.logs[0]!;
  const deep = said.water === null ? log.bottom : Math.max(log.bottom, said.water + 0.5);
  const withGround: Plan = {
    ...plan,
    assumed: [
      ...plan.assumed.filter((pointer) => !settled.includes(pointer)),
      // A size nobody said is ours.
      ...(said.kind !== null && (said.length === null || (said.kind === 'wall' && said.thick === null))
        ? ['/elements/0']
        : []),
    ],
    ground: {
      ...ground,
      soils: [top!, { ...below!, kind: said.soil ?? below!.kind }],
      logs: [{ ...log, bottom: deep, strike: said.water, standing: said.water }],
      knownTo: Math.max(ground.knownTo, deep),
      frost: { ...ground.frost, local: said.frost },
    },
  };
  if (said.kind === null) return withGround;
  // A slab lies as deep as its floor says, not under the frost like a footing.
  const made = said.kind === 'slab' ? withFloor(withGround, 'F1', 'S1') : withGround;
  return { ...made, elements: elementsOf(made, said, said.kind) };
}
