/**
 * Three hundred made-up jobs that mix every kind of foundation: what is dug is split without loss, what is
 * laid and cast is counted once, the proofs by other routes agree, and the same job elsewhere, turned or
 * mirrored is the same job.
 */
import { describe, expect, it } from 'vitest';
import { layerValues } from '../plan/beds.ts';
import { newUnderpin } from '../plan/blank.ts';
import type { Element } from '../plan/elements.ts';
import type { BedLayer, Plan } from '../plan/schema.ts';
import {
  drawnCases,
  named,
  pad,
  placed,
  plainPlan,
  raft,
  seeded,
  soilsDown,
  stone,
  strip,
  tank,
  told,
  unbalanced,
  unlike,
  unworked,
} from '../testing.ts';
import { compute } from './compute.ts';
import type { Takeoff } from './takeoff.ts';

const JOBS = drawnCases(300);
type Point = readonly [number, number];

function job(seed: number): Plan {
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
    const kinds: (() => Element)[] = [
      () => strip(line(4), { bed: bed(), stem: 0.2 }),
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

const add = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0);

/** What does not add up of what is laid and cast; empty when all does. */
function unlaid(takeoff: Takeoff): string[] {
  const out: string[] = [];
  const same = (what: string, one: number, other: number) => {
    if (Math.abs(one - other) > 1e-6) out.push(`${what}: ${one} / ${other}`);
  };
  const layers = takeoff.beds.flatMap((bed) => bed.layers);
  const cast = (lean: boolean) =>
    add(layers.filter(({ layer }) => layerValues(layer).cast === lean).map(({ volume }) => volume));
  // Stone in the beds and a drain's own are all the stone there is.
  const own = add(
    takeoff.elements.map(
      (e) => e.stone - add(e.layers.filter((l) => !layerValues(l.layer).cast).map((l) => l.volume)),
    ),
  );
  const backIn = (lean: boolean) =>
    add(takeoff.soft.filter((spot) => spot.cast === lean).map(({ volume }) => volume));
  same('taken out and put back', takeoff.overdig.soft, backIn(false) + backIn(true));
  same('stone', takeoff.stone.volume, cast(false) + own + backIn(false));
  const irregular = add(layers.map(({ area, unevenness }) => area * unevenness));
  same('lean', takeoff.lean.volume, cast(true) + irregular + backIn(true));
  same('pours', add(takeoff.pours.map((pour) => pour.neat)), takeoff.concrete.neat);
  same('orders', add(takeoff.pours.map((pour) => pour.ordered)), takeoff.concrete.ordered);
  same('trucks', add(takeoff.pours.map((pour) => pour.loads)), takeoff.concrete.loads);
  // What is told of the hole to fill again adds up to it, term by term; it is never less than none.
  const [hole] = takeoff.figures.keep.workings.filter(({ step }) => step === 'void');
  const [first, ...less] = hole!.inputs.map(({ value }) => value);
  same('hole to fill', Math.max(0, first! - add(less)), hole!.value);
  for (const e of takeoff.elements) {
    if (!e.live) continue;
    for (const laid of e.layers) if (laid.volume < -1e-9) out.push(`${e.id} ${laid.layer.id} below nought`);
    same(
      `${e.id} stack`,
      e.underside - e.formation,
      e.underSlab + add(e.layers.map((l) => l.layer.thickness)),
    );
    same(`${e.id} string`, e.fromString, e.string.level - e.dug);
  }
  return out;
}

describe('mixed jobs', () => {
  it('balance, are proved by other routes, and are the same job wherever they lie', () => {
    const wrong: string[] = [];
    let alive = 0;
    for (let seed = 1; seed <= JOBS; seed++) {
      const plan = job(seed);
      const here = compute(plan);
      alive += here.elements.filter((e) => e.live).length;
      const said = [...unbalanced(here, plan), ...unlaid(here), ...unworked(here)];
      const turn = 6.28 * seeded(seed + 500)();
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      for (const [way, map, angle, mirrored] of [
        ['turned', ([x, y]: Point) => [x * cos - y * sin + 40, x * sin + y * cos - 70], turn, false],
        ['mirrored', ([x, y]: Point) => [x, -y], 0, true],
      ] as const) {
        const there = compute(placed(plan, (point) => map(point) as [number, number], angle, mirrored));
        said.push(...unlike(told(here), told(there)).map((what) => `${way} ${what}`));
      }
      if (said.length > 0) wrong.push(`seed ${seed}: ${said.slice(0, 3).join('; ')}`);
    }
    expect(alive).toBeGreaterThan(2 * JOBS);
    expect(wrong.length, wrong.slice(0, 12).join('\n')).toBe(0);
  }, 600_000);
});
