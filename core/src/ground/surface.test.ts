import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { named, pad, plainPlan, seeded, strip, unbalanced } from '../testing.ts';
import { contours } from './contours.ts';
import { planeSurface, type Surface, spotSurface, surfaceOf } from './surface.ts';
import { takeSurvey } from './take-survey.ts';
import { thinSurvey } from './thin.ts';

type Spot = readonly [number, number, number];
const surface = (points: readonly Spot[], lines: readonly (readonly number[])[] = []): Surface => {
  const made = spotSurface(points, lines);
  if (!made.ok) throw new Error(made.fault.code);
  return made.surface;
};
const cloud = (count: number, seed: number, size = 100): Spot[] => {
  const next = seeded(seed);
  return Array.from({ length: count }, () => [next() * size, next() * size, 90 + next() * 8]);
};

/** The slow twin: the triangle a point lies in, found by trying them all, and its plane by weights. */
function slowLevel(made: Surface, x: number, y: number): number | null {
  for (const t of made.triangles) {
    const [ax, ay, az, bx, by, bz, cx, cy, cz] = t as unknown as number[];
    const det = (by! - cy!) * (ax! - cx!) + (cx! - bx!) * (ay! - cy!);
    const u = ((by! - cy!) * (x - cx!) + (cx! - bx!) * (y - cy!)) / det;
    const v = ((cy! - ay!) * (x - cx!) + (ax! - cx!) * (y - cy!)) / det;
    if (u >= -1e-12 && v >= -1e-12 && u + v <= 1 + 1e-12) return u * az! + v * bz! + (1 - u - v) * cz!;
  }
  return null;
}

describe('a surface through spots', () => {
  it('is the plane through its triangle everywhere, to 1e-9', () => {
    const made = surface(cloud(400, 11));
    const next = seeded(12);
    let inside = 0;
    for (let i = 0; i < 400; i++) {
      const [x, y] = [next() * 100, next() * 100];
      const slow = slowLevel(made, x, y);
      if (slow === null) continue;
      inside++;
      expect(Math.abs(made.level(x, y) - slow)).toBeLessThan(1e-9);
    }
    expect(inside).toBeGreaterThan(350);
  });

  it('passes through its spots', () => {
    const points = cloud(60, 3);
    const made = surface(points);
    for (const [x, y, z] of points) expect(made.level(x, y)).toBeCloseTo(z, 9);
  });

  it('beyond its hull holds the level of the nearest place on it', () => {
    const made = surface([
      [0, 0, 10],
      [10, 0, 12],
      [10, 10, 12],
      [0, 10, 10],
    ]);
    expect(made.level(5, -7)).toBeCloseTo(11, 9);
    expect(made.level(-4, 3)).toBeCloseTo(10, 9);
    expect(made.level(13, 14)).toBeCloseTo(12, 9);
    expect(made.level(5, 5)).toBeCloseTo(11, 9);
  });

  it('follows a breakline: a ridge that Delaunay alone would cut across', () => {
    // A ridge along y = 0 with its ends far apart and low spots close to its middle.
    const points: Spot[] = [
      [-20, 0, 5],
      [20, 0, 5],
      [0, 3, 0],
      [0, -3, 0],
    ];
    expect(surface(points).level(0, 0)).toBeCloseTo(0, 9);
    expect(surface(points, [[0, 1]]).level(0, 0)).toBeCloseTo(5, 9);
  });

  it('is the same however the spots are ordered', () => {
    const points = cloud(80, 5);
    const a = surface(points);
    const b = surface([...points].reverse());
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 95, noNaN: true }),
        fc.double({ min: 5, max: 95, noNaN: true }),
        (x, y) => {
          expect(a.level(x, y)).toBeCloseTo(b.level(x, y), 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is triangulated once for one description', () => {
    const spec = { kind: 'spots' as const, points: cloud(30, 8), breaklines: [] };
    expect(surfaceOf(spec)).toBe(surfaceOf(spec));
  });
});

describe('digging under spots', () => {
  const digOf = (ground: Parameters<typeof surfaceOf>[0], side: number) =>
    compute(
      plainPlan((p) => {
        p.ground.surface = ground;
        p.ground.soils = p.ground.soils.slice(1);
        p.ground.logs[0]!.layers = [{ soil: 'subsoil', top: 0, note: '' }];
        p.dig.slope = side;
        p.levels.instructions = [
          { id: 'w', level: 97.4, width: null, who: 'x', when: '', why: '', elements: [] },
        ];
        p.elements = named(
          strip([
            [2, 2],
            [11, 3],
          ]),
          pad(6, 8, 2, 1.4, { angle: 25 }),
        );
      }),
    );

  it.each([0, 0.75])('of spots on a plane is the dig under that plane, sides %s', (side) => {
    const level = (x: number, y: number) => 100 - 0.03 * x + 0.02 * y;
    const next = seeded(4);
    const points = Array.from({ length: 90 }, (): Spot => {
      const [x, y] = [next() * 40 - 14, next() * 40 - 14];
      return [x, y, level(x, y)];
    });
    const spots = digOf({ kind: 'spots', points, breaklines: [] }, side);
    const plane = digOf({ kind: 'plane', level: 100, gradeEast: -0.03, gradeNorth: 0.02 }, side);
    expect(spots.problems).toEqual([]);
    expect(spots.figures.dig.value / plane.figures.dig.value).toBeCloseTo(1, 9);
    expect(unbalanced(spots)).toEqual([]);
  });

  it('of rough ground agrees with a fine grid within 0.3 %, and balances', () => {
    const next = seeded(21);
    for (let n = 0; n < 4; n++) {
      const points = Array.from(
        { length: 70 },
        (): Spot => [next() * 30 - 8, next() * 30 - 8, 99.6 + next() * 0.8],
      );
      const takeoff = digOf({ kind: 'spots', points, breaklines: [] }, 1);
      expect(unbalanced(takeoff)).toEqual([]);
      const made = surface(points);
      const { parts, cuts } = takeoff.solid;
      expect(cuts.flatMap((cut) => cut.cells).length).toBeGreaterThan(10);
      // The envelope from its definition: E = min(f + max(0, d)/m), sampled.
      const step = 0.05;
      let slow = 0;
      for (let x = -4; x < 18; x += step)
        for (let y = -4; y < 15; y += step) {
          let face = Infinity;
          for (const part of parts) {
            let out = 0;
            for (let i = 0; i < part.bottom.length; i += 2) {
              const j = (i + 2) % part.bottom.length;
              const dx = part.bottom[j]! - part.bottom[i]!;
              const dy = part.bottom[j + 1]! - part.bottom[i + 1]!;
              const away = ((x - part.bottom[i]!) * dy - (y - part.bottom[i + 1]!) * dx) / Math.hypot(dx, dy);
              out = Math.max(out, away);
            }
            face = Math.min(face, part.floor.c + out / part.slope);
          }
          slow += Math.max(0, made.level(x, y) - face) * step * step;
        }
      expect(Math.abs(takeoff.figures.dig.value / slow - 1)).toBeLessThan(0.003);
    }
  }, 30_000);

  it('warns where it reaches beyond the survey', () => {
    const near: Spot[] = [
      [3, 0, 100],
      [9, 0, 100],
      [6, 9, 100],
    ];
    const takeoff = digOf({ kind: 'spots', points: near, breaklines: [] }, 0);
    expect(takeoff.cautions.find((c) => c.code === 'beyondSurvey')?.elements).toContain('E1');
  });
});

describe('contours', () => {
  it('of a plane lie where it has their level', () => {
    const made = surface([
      [0, 0, 0],
      [10, 0, 1],
      [10, 10, 1],
      [0, 10, 0],
    ]);
    const lines = contours(made.triangles, 0.25);
    expect(lines.map((line) => line.level)).toEqual(
      [0, 0.25, 0.5, 0.75].slice(lines[0]!.level === 0 ? 0 : 1),
    );
    for (const { level, pieces } of lines.filter((line) => line.level > 0)) {
      for (let i = 0; i < pieces.length; i += 2) expect(pieces[i]).toBeCloseTo(level * 10, 9);
      const length = pieces.reduce(
        (sum, _, i) =>
          i % 4 === 0 ? sum + Math.hypot(pieces[i + 2]! - pieces[i]!, pieces[i + 3]! - pieces[i + 1]!) : sum,
        0,
      );
      expect(length).toBeCloseTo(10, 9);
    }
  });
  it('of level ground are none', () => {
    expect(contours([Float64Array.of(0, 0, 1, 4, 0, 1, 0, 4, 1)], 0.5)).toEqual([]);
    expect(planeSurface({ a: 0, b: 0, c: 4 }).triangles).toEqual([]);
  });
});

describe('a survey from a file', () => {
  const hills = (count: number, seed: number): Spot[] =>
    cloud(count, seed, 200).map(([x, y]) => [x, y, 100 + 3 * Math.sin(x / 40) + 2 * Math.cos(y / 30)]);

  it('is thinned to what makes its shape, and says how far off the rest is', () => {
    const points = hills(12_000, 9);
    const { kept, off } = thinSurvey(points, 0.02, 4000, []);
    expect(kept.length).toBeLessThan(4000);
    expect(off).toBeLessThanOrEqual(0.02);
    // By another route: every spot against the surface through those kept.
    const made = surface(kept.map((i) => points[i]!));
    const worst = Math.max(...points.map(([x, y, z]) => Math.abs(made.level(x, y) - z)));
    expect(worst).toBeCloseTo(off, 6);
  });

  it('is moved to an origin of the job when its own lies far away', () => {
    const points = hills(50, 2).map(([x, y, z]): Spot => [x + 501_200, y + 4_649_700, z]);
    const result = takeSurvey({ points, breaklines: [] }, [0, 0]);
    if (!result.ok) throw new Error(result.problem.code);
    const { surface: taken, origin } = result.taken;
    expect(origin.map((value) => value % 100)).toEqual([0, 0]);
    expect(taken.points[0]![0] + origin[0]).toBeCloseTo(points[0]![0], 3);
    expect(taken.points[0]![1] + origin[1]).toBeCloseTo(points[0]![1], 3);
    // The next file of the same survey lands beside the first.
    const again = takeSurvey({ points, breaklines: [] }, origin);
    expect(again.ok && again.taken.origin).toEqual(origin);
  });

  it('drops a spot measured twice, and names two levels in one place', () => {
    const points: Spot[] = [
      [0, 0, 1],
      [5, 0, 1],
      [0, 5, 1],
      [5.00002, 0, 1.001],
    ];
    const once = takeSurvey({ points, breaklines: [[0, 3]] }, [0, 0]);
    expect(once.ok && [once.taken.kept, once.taken.doubled]).toEqual([3, 1]);
    points[3] = [5.00002, 0, 2];
    expect(takeSurvey({ points, breaklines: [] }, [0, 0])).toMatchObject({
      ok: false,
      problem: { code: 'spotsDiffer', params: { at: 4, other: 2 } },
    });
  });

  it('names what cannot be a surface', () => {
    const line: Spot[] = [
      [0, 0, 1],
      [1, 1, 1],
      [2, 2, 1],
    ];
    expect(takeSurvey({ points: line, breaklines: [] }, [0, 0])).toMatchObject({
      problem: { code: 'collinear' },
    });
    const far: Spot[] = [
      [0, 0, 1],
      [1, 0, 1],
      [0, 1, 1],
      [0, 9000, 1],
    ];
    expect(takeSurvey({ points: far, breaklines: [] }, [0, 0])).toMatchObject({
      problem: { code: 'spotFar' },
    });
  });
});
