/**
 * The first minute of a job: what a person would say on the phone, and the whole plan that stands on it.
 * What nobody says stays assumed or unknown, never silently typical.
 */
import { HAZARDS } from '../catalogue/hazards.ts';
import type { SoilKind } from '../catalogue/soils.ts';
import {
  blankPlan,
  newBed,
  newBox,
  newDam,
  newLayer,
  newPad,
  newRaft,
  newRising,
  newStrip,
  newUnderpin,
  withFloor,
} from './blank.ts';
import type { Element } from './elements.ts';
import { startOf } from './fields.ts';
import type { Plan } from './schema.ts';

/**
 * What is dug: a house on a ring of strips, pads in a grid or round an outline, one trench, a slab on its drained
 * bed, a box in the ground, a wall by itself or beside a stream, an old wall underpinned in bays.
 */
export const FIRST_KINDS = [
  'ring',
  'pads',
  'round',
  'trench',
  'slab',
  'box',
  'wall',
  'stream',
  'underpin',
] as const;
export type FirstKind = (typeof FIRST_KINDS)[number];

export interface FirstSaid {
  readonly kind: FirstKind | null;
  /** m; of a trench and a wall its length alone. Null: not said. */
  readonly length: number | null;
  readonly width: number | null;
  /** Of a wall by itself, or of the old one over an underpinning, m; null: not said. */
  readonly thick: number | null;
  /** How wide and how thick the footings are, m; null: not said. */
  readonly footing: { readonly width: number | null; readonly thickness: number | null };
  /** From pad to pad round an outline, m, as near as whole steps come; null: not said. */
  readonly apart: number | null;
  /** The bottom of the old wall, and of what goes under it, below the ground, m; null: not known. */
  readonly old: number | null;
  readonly down: number | null;
  /** How far the stream runs from the wall and how deep, and how high it floods over the ground, m; null: not known. */
  readonly stream: {
    readonly away: number | null;
    readonly deep: number | null;
    readonly flood: number | null;
  };
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
  /** Services or neighbours near; null: nobody has looked. */
  readonly near: boolean | null;
  /** Who is called when something happens, and the number. */
  readonly call: string;
}

/** Somebody who has said nothing yet. */
export const NOTHING_SAID: FirstSaid = {
  kind: null,
  length: null,
  width: null,
  thick: null,
  footing: { width: null, thickness: null },
  apart: null,
  old: null,
  down: null,
  stream: { away: null, deep: null, flood: null },
  cross: 0,
  along: 3,
  across: 2,
  frost: null,
  soil: null,
  water: null,
  near: null,
  call: '',
};

/** Sizes where none is said, m: assumed. */
const USUAL: Record<FirstKind, readonly [number, number]> = {
  ring: [10, 8],
  pads: [8, 4],
  round: [8, 4],
  trench: [10, 0],
  slab: [8, 6],
  box: [4, 3],
  wall: [10, 0],
  stream: [10, 0],
  underpin: [6, 0],
};
/** From pad to pad round an outline, m: assumed. */
const USUAL_APART = 2.5;
/** A stream nobody paced the way to, m off the wall: assumed. */
const USUAL_AWAY = 3;
/** Stone under a slab that nobody said the thickness of, m: assumed. */
const USUAL_BED = 0.2;
/** A drain round a slab runs so far off its edge, m: assumed. */
const DRAIN_OFF = 0.5;
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

/** Places round an outline from a corner, each corner once, as near `apart` as whole steps come, m. */
function around(length: number, width: number, apart: number): At[] {
  const points = corners(length, width);
  return points.flatMap(([x, y], i) => {
    const [u, v] = points[(i + 1) % points.length]!;
    const steps = Math.max(1, Math.round(Math.hypot(u - x, v - y) / apart));
    const share = (k: number, from: number, to: number) =>
      Math.round((from + ((to - from) * k) / steps) * 1e6) / 1e6;
    return Array.from({ length: steps }, (_, k): At => [share(k, x, u), share(k, y, v)]);
  });
}

/** A footing as wide and thick as was said. */
function sized(element: Element, { footing: { width, thickness } }: FirstSaid): Element {
  if (element.kind === 'raft' || element.kind === 'box' || element.kind === 'ramp') return element;
  if (element.kind === 'strip' && element.use !== 'footing') return element;
  return {
    ...element,
    ...(width !== null && (element.kind === 'pad' ? { width, length: width } : { width })),
    ...(thickness !== null && { thickness }),
  };
}

/** Level of the ground a new job stands on. */
const groundOf = ({ ground: { surface }, datum }: Plan): number =>
  surface.kind === 'plane' ? surface.level : datum.level;

/** An old wall in bays; one whose bottom nobody knows is counted as an open trench, and says so. */
function underpinning(plan: Plan, length: number, { thick, old, down }: FirstSaid): Element {
  const run = newUnderpin(plan, [
    [0, 0],
    [length, 0],
  ]);
  const ground = groundOf(plan);
  const start = (key: 'thickness' | 'access' | 'gap') => startOf(`/elements/*/old/${key}`, plan.system);
  return {
    ...run,
    ...(thick !== null && { width: thick }),
    level: down === null ? null : ground - down,
    old:
      old === null
        ? null
        : {
            underside: ground - old,
            thickness: thick ?? start('thickness'),
            inside: ground,
            access: start('access'),
            gap: start('gap'),
          },
  };
}

/** A stream beside a wall with a dam of bags before it: as deep as it was said to run. */
function withStream(plan: Plan, length: number, { away, deep, flood }: FirstSaid['stream']): Plan {
  const ground = groundOf(plan);
  const y = -(away ?? USUAL_AWAY);
  return {
    ...plan,
    ground: {
      ...plan.ground,
      hazards: [
        {
          id: 'stream',
          name: 'ST1',
          kind: 'stream',
          points: [
            [-length / 2, y],
            [length * 1.5, y],
          ],
          keepOff: HAZARDS.stream.keepOff,
          depth: null,
          level: flood === null ? null : ground + flood,
          projection: null,
          crossing: null,
        },
      ],
    },
    water: {
      ...plan.water,
      dam: { ...newDam(plan), length, ...(deep !== null && { depth: deep }) },
    },
  };
}

/** Stone that drains under a slab, as thick as is usual. */
function withDrainedBed(plan: Plan): Plan {
  const bed = newBed(plan);
  const layer = { ...newLayer('clear', [], plan.system), purpose: 'frost' as const, thickness: USUAL_BED };
  return { ...plan, beds: [{ ...bed, layers: [layer] }] };
}

function elementsOf(plan: Plan, said: FirstSaid, kind: FirstKind): Element[] {
  const [length, width] = [said.length ?? USUAL[kind][0], said.width ?? USUAL[kind][1]];
  const made: Element[] = [];
  // Names are given by what is there already.
  const add = (make: (plan: Plan) => Element) => made.push(sized(make({ ...plan, elements: made }), said));
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
    case 'round':
      for (const at of around(length, width, said.apart ?? USUAL_APART)) add((p) => newPad(p, at));
      break;
    case 'trench':
      add((p) =>
        newStrip(p, [
          [0, 0],
          [length, 0],
        ]),
      );
      break;
    case 'underpin':
      add((p) => underpinning(p, length, said));
      break;
    case 'wall':
    case 'stream':
      add((p) => {
        const strip = newStrip(p, [
          [0, 0],
          [length, 0],
        ]);
        const thick = said.thick ?? USUAL_WALL;
        return { ...strip, rising: newRising(p, thick), width: Math.max(strip.width, FOOT * thick) };
      });
      break;
    case 'slab':
      // The stone is the slab's own, never the drain's.
      add((p) => ({ ...newRaft(p, corners(length, width)), bed: p.beds[0]?.id ?? null }));
      add((p) => ({
        ...newStrip(
          p,
          corners(length, width).map(
            ([x, y]): At => [x + (x > 0 ? DRAIN_OFF : -DRAIN_OFF), y + (y > 0 ? DRAIN_OFF : -DRAIN_OFF)],
          ),
          true,
        ),
        use: 'drain',
        bed: null,
      }));
      break;
    case 'box':
      add((p) => newBox(p, corners(length, width)));
      break;
  }
  return made;
}

/** Kinds that stand on footings whose sizes are asked. */
export const FOOTED: readonly FirstKind[] = ['ring', 'pads', 'round', 'trench', 'wall', 'stream', 'underpin'];
/** A wall's: its thickness is asked, and its footing is as wide as that asks. */
export const WALLED: readonly FirstKind[] = ['wall', 'stream', 'underpin'];
const sizesUnsaid = ({ length, thick }: FirstSaid, kind: FirstKind) =>
  length === null || (WALLED.includes(kind) && thick === null);

/** A new job with all that was said. */
export function firstPlan(name: string, system: Plan['system'], said: FirstSaid): Plan {
  const plan = blankPlan(name, system);
  const { kind } = said;
  const { ground } = plan;
  const [top, below] = ground.soils;
  const settled: string[] = [];
  if (said.soil !== null && said.soil !== 'topsoil') settled.push('/ground/logs/0');
  if (said.near === false) settled.push('/ground/hazards');
  // What a kind brings with it is there because somebody chose it.
  if (said.kind === 'slab') settled.push('/beds');
  if (said.kind === 'stream') settled.push('/ground/hazards');
  const log = ground.logs[0]!;
  const deep = said.water === null ? log.bottom : Math.max(log.bottom, said.water + 0.5);
  const withGround: Plan = {
    ...plan,
    assumed: [
      ...plan.assumed.filter((pointer) => !settled.includes(pointer)),
      // A size nobody said is ours.
      ...(kind !== null && sizesUnsaid(said, kind) ? ['/elements/0'] : []),
      ...(kind !== null && FOOTED.includes(kind) && !sizesUnsaid(said, kind)
        ? (['width', 'thickness'] as const).flatMap((size) =>
            said.footing[size] === null && !(size === 'width' && WALLED.includes(kind))
              ? [`/elements/0/${size}`]
              : [],
          )
        : []),
      ...(said.kind === 'slab' ? ['/beds/0/layers/0/thickness'] : []),
      ...(said.kind === 'stream' && said.stream.deep === null ? ['/water/dam/depth'] : []),
    ],
    emergencyContact: said.call,
    ground: {
      ...ground,
      soils: [top!, { ...below!, kind: said.soil ?? below!.kind }],
      logs: [{ ...log, bottom: deep, strike: said.water, standing: said.water }],
      knownTo: Math.max(ground.knownTo, deep),
      frost: { ...ground.frost, local: said.frost },
    },
  };
  if (kind === null) return withGround;
  // A slab lies as deep as its floor says, not under the frost like a footing.
  const made =
    said.kind === 'slab'
      ? withDrainedBed(withFloor(withGround, 'F1', 'S1'))
      : said.kind === 'stream'
        ? withStream(withGround, said.length ?? USUAL.stream[0], said.stream)
        : withGround;
  return { ...made, elements: elementsOf(made, said, kind) };
}
