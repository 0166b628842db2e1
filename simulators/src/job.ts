/**
 * A made-up job of any size from a seed: rows of houses, each a ring of strips with a cross wall
 * and pads beside it. For benches and tests that need more than the demos hold.
 */
import {
  blankPlan,
  type Element,
  newBed,
  newLayer,
  newPad,
  newStrip,
  type Plan,
  seeded,
} from '@cimiento/core';

/** Numbers from a seed, the same everywhere. */
export const random = seeded;

/** Strips and pads of one house at (x, y); sizes in metres. */
function house(plan: Plan, x: number, y: number, next: () => number): Element[] {
  const round = (value: number) => Math.round(value * 20) / 20;
  const w = round(8 + next() * 6);
  const h = round(6 + next() * 4);
  const cross = round(w * (0.3 + next() * 0.4));
  const wall = (from: readonly [number, number], to: readonly [number, number]) =>
    newStrip(plan, [
      [x + from[0], y + from[1]],
      [x + to[0], y + to[1]],
    ]);
  return [
    wall([0, 0], [w, 0]),
    wall([0, h], [w, h]),
    wall([0, 0], [0, h]),
    wall([w, 0], [w, h]),
    wall([cross, 0], [cross, h]),
    newPad(plan, [x + w + 2.5, y + h * 0.25]),
    newPad(plan, [x + w + 2.5, y + h * 0.75]),
    { ...newPad(plan, [x + w / 2, y - 3], round(1.5 + next() * 2), 1.4), angle: Math.round(next() * 90) },
  ];
}

/**
 * A job of `count` elements, 8 a house, houses on a 22 × 17 m grid.
 * @returns a valid metric plan with sloping ground, water, a stone bed and blinding
 */
export function simulatedJob(count: number, seed = 1): Plan {
  const plan = blankPlan(`Simulated ${count}`, 'metric');
  const next = random(seed);
  plan.ground.surface = { kind: 'plane', level: 100, gradeEast: -1 / 80, gradeNorth: 1 / 120 };
  plan.ground.soils.push({
    id: 'deep',
    name: '',
    kind: 'gravellyClay',
    values: { permeability: 1e-5 },
    hand: null,
  });
  plan.ground.logs[0]!.layers.push({ soil: 'deep', top: 1.6, note: '' });
  plan.ground.water = 98.9;
  plan.ground.frost.local = 0.9;
  const bed = newBed(plan);
  const stone = { ...bed.layers[0]!, name: 'Stone', thickness: 0.2 };
  plan.beds = [{ ...bed, layers: [stone, { ...newLayer('lean', [stone.id], 'metric'), thickness: 0.05 }] }];
  const elements: Element[] = [];
  for (let n = 0; elements.length < count; n++)
    elements.push(
      ...house(plan, (n % 4) * 22, Math.floor(n / 4) * 17, next).map((e) => ({
        ...e,
        group: `house ${n + 1}`,
      })),
    );
  plan.elements = elements
    .slice(0, count)
    .map((element, i) => ({ ...element, id: `E${i + 1}`, name: `E${i + 1}` }));
  return plan;
}

/**
 * The same job on surveyed ground: about `triangles` triangles of jittered spots over it, and five
 * soils logged at four corners.
 */
export function simulatedSurvey(count: number, triangles: number, seed = 1): Plan {
  const plan = simulatedJob(count, seed);
  const next = random(seed + 7);
  const points = plan.elements.flatMap((e) =>
    e.kind === 'strip' ? e.points : e.kind === 'pad' ? [e.at] : [],
  );
  const [x0, x1] = [Math.min(...points.map((p) => p[0])) - 8, Math.max(...points.map((p) => p[0])) + 8];
  const [y0, y1] = [Math.min(...points.map((p) => p[1])) - 8, Math.max(...points.map((p) => p[1])) + 8];
  const cell = Math.sqrt(((x1 - x0) * (y1 - y0)) / (triangles / 2));
  const spots: [number, number, number][] = [];
  for (let x = x0; x <= x1 + cell / 2; x += cell)
    for (let y = y0; y <= y1 + cell / 2; y += cell) {
      const [east, north] = [x + cell * 0.3 * (next() - 0.5), y + cell * 0.3 * (next() - 0.5)];
      spots.push([east, north, 100 - east / 80 + north / 120 + 0.1 * (next() - 0.5)]);
    }
  plan.ground.surface = { kind: 'spots', points: spots, breaklines: [] };
  const extra = (['siltySand', 'gravel'] as const).map((kind, i) => ({
    id: `extra-${i + 1}`,
    name: '',
    kind,
    values: {},
    hand: null,
  }));
  plan.ground.soils.push(...extra);
  const base = plan.ground.logs[0]!;
  plan.ground.logs = (
    [
      [x0 + 5, y0 + 5],
      [x1 - 5, y0 + 5],
      [x0 + 5, y1 - 5],
      [x1 - 5, y1 - 5],
    ] as const
  ).map((at, i) => ({
    ...base,
    id: `log-${i + 1}`,
    name: `TP${i + 1}`,
    at,
    layers: plan.ground.soils.map((soil, k) => ({
      soil: soil.id,
      top: k === 0 ? 0 : 0.25 + 0.4 * (k - 1) + 0.1 * next(),
      note: '',
    })),
  }));
  plan.ground.water = null;
  return plan;
}
