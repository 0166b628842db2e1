/**
 * The same job shifted, turned, mirrored or read in the other units is the same job: five hundred
 * drawn ones, each put somewhere else in each of these ways, have the same figures.
 */
import { describe, expect, it } from 'vitest';
import { newLog, newRising } from '../../plan/blank.ts';
import type { Element } from '../../plan/elements.ts';
import type { Plan } from '../../plan/schema.ts';
import {
  bedded,
  drawnCases,
  lean,
  named,
  pad,
  placed,
  plainPlan,
  raft,
  ramp,
  seeded,
  stone,
  strip,
  tank,
  told,
  unlike,
} from '../../testing.ts';
import { compute } from './compute.ts';

type Point = readonly [number, number];

/** A made-up job of any kinds of element, soils, water, climate, surface and site. */
function job(seed: number): Plan {
  const next = seeded(seed);
  const some = <T>(...of: readonly T[]): T => of[Math.floor(next() * of.length)]!;
  return plainPlan((p) => {
    const jitter = (by: number) => (next() - 0.5) * 2 * by;
    if (next() < 0.4)
      p.ground.surface = { kind: 'plane', level: 100, gradeEast: jitter(0.1), gradeNorth: jitter(0.1) };
    else {
      p.ground.surface = { kind: 'spots', points: [], breaklines: [] };
      // Half of them on an exact grid, where every square has two diagonals as good as each other.
      const rough = next() < 0.5 ? 0 : 0.8;
      for (let i = 0; i < 6; i++)
        for (let j = 0; j < 5; j++)
          p.ground.surface.points.push([
            -6 + 4 * i + jitter(rough),
            -6 + 4 * j + jitter(rough),
            100 + jitter(0.3),
          ]);
    }
    p.ground.soils = (['topsoil', 'softClay', 'sand', 'gravellyClay'] as const).map((kind, i) => ({
      id: `s${i}`,
      name: '',
      kind,
      values: {},
      hand: null,
    }));
    const count = 1 + Math.floor(next() * 3);
    p.ground.logs = Array.from({ length: count }, (_, i) => ({
      ...newLog(`l${i}`, `TP${i + 1}`, [jitter(8) + 4 * i, jitter(8)], 4.5),
      layers: [
        { soil: 's0', top: 0, note: '' },
        ...(next() < 0.8 ? [{ soil: 's1', top: 0.2 + 0.2 * next(), note: '' }] : []),
        { soil: 's2', top: 0.6 + 0.6 * next(), note: '' },
        ...(next() < 0.7 ? [{ soil: 's3', top: 1.5 + next(), note: '' }] : []),
      ],
      standing: next() < 0.6 ? 0.7 + next() : null,
    }));
    p.ground.knownTo = 5;
    p.ground.frost.local = 0.7 + 0.6 * next();
    if (next() < 0.3)
      p.ground.frost.climate = { index: 700, days: 110, mean: 5, nFactor: 0.8, record: [], shape: [] };
    p.dig.corners = some('mitred', 'rounded');
    p.dig.slope = some(0, 0.75, 1, 1.5);
    p.dig.support = some('slope', 'slope', 'bench', 'shore');
    const layers = [...(next() < 0.5 ? [BASE] : []), ...(next() < 0.5 ? [lean(0.06, 0.08)] : [])];
    const at = (): Point => [2 + jitter(6), 2 + jitter(6)];
    const off = (from: Point, angle: number, by: number): Point => [
      from[0] + by * Math.cos(angle),
      from[1] + by * Math.sin(angle),
    ];
    const outline = (): Point[] => {
      const [from, angle] = [at(), next() * 6.28];
      const [w, h, a, b] = [3 + next(), 2.5 + next(), 1.2 + next(), 1 + next()];
      const place = (u: number, v: number): Point => off(off(from, angle, u), angle + Math.PI / 2, v);
      const corners: (readonly [number, number])[] =
        next() < 0.5
          ? [
              [0, 0],
              [w, 0],
              [w, h],
              [0, h],
            ]
          : [
              [0, 0],
              [w, 0],
              [w, b],
              [a, b],
              [a, h],
              [0, h],
            ];
      return corners.map(([u, v]) => place(u, v));
    };
    const elements: Element[] = [];
    for (let n = 1 + Math.floor(next() * 4); n > 0; n--) {
      const kind = next();
      if (kind < 0.45) {
        const [from, angle] = [at(), next() * 6.28];
        const to = off(from, angle, 3 + 4 * next());
        const third = off(to, angle + 1.2, 2 + 2 * next());
        elements.push(
          strip([from, to, ...(next() < 0.5 ? [third] : [])], {
            width: 0.5 + 0.5 * next(),
            stepped: next() < 0.3,
            closed: next() < 0.2,
            rising: next() < 0.5 ? newRising(p, 0.25) : null,
          }),
        );
      } else if (kind < 0.7) elements.push(pad(...at(), 1 + next(), 1 + next(), { angle: 180 * next() }));
      else if (kind < 0.85) elements.push(raft(outline(), { edge: some(null, { depth: 0.25, width: 0.4 }) }));
      else elements.push(tank(outline(), { height: 1.4, roof: 0.15 }));
    }
    p.elements = named(...elements);
    const boxed = p.elements.find((e) => e.kind === 'box');
    if (boxed && boxed.kind === 'box' && next() < 0.5)
      p.elements = [
        ...p.elements,
        { ...ramp(boxed.id, boxed.outline[0]!, 360 * next()), id: 'ramp', name: 'ramp' },
      ];
    bedded(p, ...layers);
    p.ground.hazards = [];
    if (next() < 0.4)
      p.ground.softSpots = [
        {
          id: 'w',
          name: 'W',
          points: [at(), at(), at()],
          depth: 0.2 + 0.4 * next(),
          material: 'crushed',
          compactor: 'rammer',
          cement: null,
        },
      ];
    if (next() < 0.4) p.site.areas = [{ id: 'a', name: 'A', use: 'spoil', points: [at(), at(), at()] }];
  });
}

const BASE = stone(0.25, { density: 1900, looseFactor: 1.25, topSize: 0.04 });

describe('the same job', () => {
  it('has the same figures wherever it lies, however it is turned, mirrored, and in either units', () => {
    const wrong: string[] = [];
    for (let seed = 1; seed <= drawnCases(500); seed++) {
      const plan = job(seed);
      const next = seeded(seed + 10_000);
      const here = compute(plan);
      const codes = here.cautions.map((c) => c.code).sort();
      const turn = next() * 2 * Math.PI;
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const [dx, dy] = [400 * (next() - 0.5), 400 * (next() - 0.5)];
      const ways: Record<string, Plan> = {
        shifted: placed(plan, ([x, y]) => [x + dx, y + dy], 0, false),
        turned: placed(plan, ([x, y]) => [x * cos - y * sin, x * sin + y * cos], turn, false),
        mirrored: placed(plan, ([x, y]) => [x, -y], 0, true),
        feet: { ...plan, system: 'imperial' },
      };
      for (const [way, other] of Object.entries(ways)) {
        const there = compute(other);
        const off = unlike(told(here), told(there));
        const theirs = there.cautions.map((c) => c.code).sort();
        if (String(codes) !== String(theirs)) off.push(`cautions ${codes} / ${theirs}`);
        if (off.length > 0) wrong.push(`seed ${seed} ${way}: ${off.slice(0, 4).join('; ')}`);
      }
    }
    expect(wrong.length, wrong.slice(0, 12).join('\n')).toBe(0);
  }, 600_000);
});
