/** Hoes by size, to start a plan from. */

interface Size {
  /** Operating mass, t. */
  readonly mass: number;
  readonly reach: readonly (readonly [depth: number, reach: number])[];
  readonly dumpHeight: number;
  readonly width: number;
  readonly bucket: number;
}

/**
 * Hoes by size: round figures to start from, to be replaced by the sheet of the machine hired.
 * Reach is from the slew centre to the teeth, by depth below the tracks.
 */
const MACHINE_SIZES: readonly Size[] = [
  {
    mass: 2,
    reach: [
      [0, 3.9],
      [0.8, 3.8],
      [1.6, 3.2],
      [2.3, 1.8],
    ],
    dumpHeight: 2.5,
    width: 1,
    bucket: 0.05,
  },
  {
    mass: 4,
    reach: [
      [0, 5.4],
      [1, 5.3],
      [2.2, 4.5],
      [3.2, 2.4],
    ],
    dumpHeight: 3.6,
    width: 1.8,
    bucket: 0.12,
  },
  {
    mass: 8,
    reach: [
      [0, 6.6],
      [1.5, 6.4],
      [3, 5.4],
      [4.1, 3],
    ],
    dumpHeight: 5,
    width: 2.3,
    bucket: 0.28,
  },
  {
    mass: 14,
    reach: [
      [0, 8.3],
      [2, 8.1],
      [4, 6.9],
      [5.5, 3.8],
    ],
    dumpHeight: 6.2,
    width: 2.6,
    bucket: 0.55,
  },
  {
    mass: 22,
    reach: [
      [0, 9.8],
      [2.5, 9.6],
      [5, 8],
      [6.6, 4.5],
    ],
    dumpHeight: 6.7,
    width: 3,
    bucket: 1,
  },
];

/** A machine of about a size with typical figures. */
export function typicalMachine(id: string, mass: number) {
  const size = MACHINE_SIZES.reduce((best, next) =>
    Math.abs(next.mass - mass) < Math.abs(best.mass - mass) ? next : best,
  );
  return {
    id,
    name: `${size.mass} t`,
    reach: size.reach.map(([depth, reach]) => ({ depth, reach })),
    dumpHeight: size.dumpHeight,
    width: size.width,
    bucket: size.bucket,
    cycle: null,
    efficiency: null,
  };
}
