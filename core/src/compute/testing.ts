/** Made-up jobs for drawn tests. Not part of the core's door. */
import { newRising, newUnderpin } from '../plan/blank.ts';
import type { Element, Rising } from '../plan/elements.ts';
import type { BedLayer, Plan } from '../plan/schema.ts';
import { named, pad, plainPlan, raft, seeded, soilsDown, stone, strip, tank } from '../testing.ts';

type Point = readonly [number, number];

/** A made-up job that mixes every kind of foundation; the same seed gives the same one. */
export function mixedJob(seed: number): Plan {
  const next = seeded(seed);
  const some = <T>(...values: readonly T[]): T => values[Math.floor(next() * values.length)]!;
  return plainPlan((p) => {
    p.ground.surface = {
      kind: 'plane',
      level: 100,
      gradeEast: 0.06 * (next() - 0.5),
      gradeNorth: 0.04 * next(),
    };
    soilsDown(
      p,
      ['t', 'topsoil', 0],
      ['s', some('silt', 'sand', 'stiffClay'), 0.25],
      ['c', 'gravellyClay', 1.1],
    );
    p.ground.frost.local = 0.6 + 0.5 * next();
    p.dig.slope = some(0, 0.75, 1.5);
    p.dig.room = 0.4 * next();
    p.levels.string = 101.5;
    p.levels.strings = [{ id: 'low', name: 'Low', level: 101.2 }];
    p.levels.floors = [
      {
        id: 'f',
        name: 'F',
        level: 100 + 0.3 * (next() - 0.5),
        above: null,
        string: some(null, 'low'),
        count: 'down',
        landing: 'deepen',
        layers: [
          { id: 'a', name: 'slab', material: 'slab', thickness: 0.12, joint: null },
          ...(next() < 0.5
            ? [{ id: 'b', name: 'board', material: 'insulation' as const, thickness: 0.06, joint: null }]
            : []),
        ],
      },
    ];
    const layer = (): BedLayer =>
      stone(0.06 + 0.3 * next(), {
        material: some('crushed', 'sand', 'clear', 'lean'),
        projection: some(null, null, 0.1 * next()),
      });
    p.beds = Array.from({ length: 1 + Math.floor(next() * 3) }, (_, i) => ({
      id: `b${i}`,
      name: `B${i}`,
      layers: Array.from({ length: 1 + Math.floor(next() * 3) }, (_layer, j) => ({
        ...layer(),
        id: `l${j}`,
      })),
      onOldBase: next() < 0.2,
      cloth: some(null, { around: next() < 0.5, lap: 0.3, waste: 0.05 }),
    }));
    const bed = () => some(null, ...p.beds.map((one) => one.id));
    const at = (): Point => [12 * next(), 12 * next()];
    const line = (length: number): [Point, Point] => {
      const [x, y] = at();
      const angle = 6.28 * next();
      return [
        [x, y],
        [x + length * Math.cos(angle), y + length * Math.sin(angle)],
      ];
    };
    const box = (): Point[] => {
      const [[x, y], [u, v]] = line(3 + 2 * next());
      const [dx, dy] = [u - x, v - y];
      const share = 0.5 + 0.4 * next();
      return [
        [x, y],
        [u, v],
        [u - dy * share, v + dx * share],
        [x - dy * share, y + dx * share],
      ];
    };
    const pipe = () => some(null, { diameter: 0.1, bedding: 0.05 });
    const rising = (): Rising | null => {
      const wall = newRising(p, 0.2);
      wall.top = some('ground', 'height', 'level', 'floor', 'flood');
      wall.height = 0.3 + 1.2 * next();
      wall.level = 100.2 + 0.6 * next();
      wall.over = some(null, 0.2);
      wall.made = some('cast', 'cast', 'laid');
      wall.rise = some(null, 0.25, 0.6);
      wall.units.fill = some('none', 'concrete', 'stone');
      wall.beam = some(null, null, 0.2);
      return some(null, wall, wall, wall);
    };
    const kinds: (() => Element)[] = [
      () => strip(line(4), { bed: bed(), rising: rising() }),
      () => pad(...at(), 1.2, 1, { angle: 180 * next(), bed: bed(), hand: next() < 0.4 }),
      () =>
        strip(line(5), {
          use: 'drain',
          width: 0.4,
          thickness: 0.3,
          outfall: {
            level: 98.9 + 0.4 * next(),
            head: some(null, 99.6),
            silt: some(0, 0.05),
            where: 'ditch',
          },
          fall: some(0, 0.01, -0.01),
          pipe: pipe(),
          hand: next() < 0.4,
        }),
      () =>
        strip(line(4), {
          use: 'stone',
          thickness: 0.6,
          pipe: pipe(),
          bed: bed(),
          beam: some(null, { width: 0.3, height: 0.3 }),
        }),
      () =>
        raft(box(), {
          founding: 'floor',
          edge: some(null, { depth: 0.2, width: 0.3 }),
          bed: bed(),
          boards: some(null, {
            zone: some('whole' as const, 'edge' as const, 'apron' as const),
            thickness: 0.05,
            width: 0.3 + 0.5 * next(),
          }),
          crossfall: some(null, { grade: 0.02, toward: 360 * next() - 180 }),
        }),
      () => raft(box(), { edge: null, bed: bed() }),
      () => tank(box(), { height: 1.3, bed: bed() }),
      () => ({
        ...newUnderpin(p, line(5)),
        bay: 1.1,
        level: 98.4,
        bed: bed(),
        old: some(null, { underside: 99.3, thickness: 0.5, inside: 99.7, access: 0.9, gap: 0.05 }),
      }),
    ];
    p.elements = named(...Array.from({ length: 2 + Math.floor(next() * 4) }, () => some(...kinds)()));
    if (next() < 0.5)
      p.ground.softSpots = Array.from({ length: 1 + Math.floor(next() * 3) }, (_, i) => ({
        id: `w${i}`,
        name: `W${i}`,
        points: box(),
        depth: 0.1 + 0.6 * next(),
        material: some('crushed', 'sand', 'lean'),
        compactor: some(null, 'rammer'),
        cement: null,
      }));
    if (next() < 0.5)
      p.ground.obstructions = [
        {
          id: 'o',
          name: 'O',
          kind: 'slab',
          volume: 0.2,
          by: 'hand',
          rate: null,
          density: null,
          swell: null,
          element: some(null, 'E1'),
        },
      ];
  });
}
