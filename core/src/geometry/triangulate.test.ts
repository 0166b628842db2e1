import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '../testing.ts';
import { type Mesh, triangulate } from './triangulate.ts';

const meshOf = (coords: number[], lines: number[][] = []): Mesh => {
  const made = triangulate(Float64Array.from(coords), lines);
  if (!made.ok) throw new Error(made.fault.code);
  return made.mesh;
};
const faultOf = (coords: number[], lines: number[][] = []) => {
  const made = triangulate(Float64Array.from(coords), lines);
  return made.ok ? null : made.fault;
};
const corners = (mesh: Mesh, t: number) => [0, 1, 2].map((k) => mesh.triangles[3 * t + k]!);
const areaOf = (mesh: Mesh) => {
  let sum = 0;
  for (let t = 0; t < mesh.triangles.length / 3; t++) {
    const [a, b, c] = corners(mesh, t).map((p) => [mesh.coords[2 * p]!, mesh.coords[2 * p + 1]!] as const);
    sum += Math.abs((b![0] - a![0]) * (c![1] - a![1]) - (c![0] - a![0]) * (b![1] - a![1])) / 2;
  }
  return sum;
};
const hasEdge = (mesh: Mesh, p: number, q: number) =>
  mesh.triangles.some((from, e) => {
    const to = mesh.triangles[e % 3 === 2 ? e - 2 : e + 1];
    return (from === p && to === q) || (from === q && to === p);
  });
const grid = (n: number) => Array.from({ length: n * n }, (_, i) => [i % n, Math.floor(i / n)]).flat();
const cloud = (n: number, seed: number) => {
  const random = seeded(seed);
  return Array.from({ length: 2 * n }, () => random() * 100);
};

describe('triangulate', () => {
  it('covers a square once', () => {
    const mesh = meshOf([0, 0, 4, 0, 4, 3, 0, 3]);
    expect(mesh.triangles).toHaveLength(6);
    expect(areaOf(mesh)).toBeCloseTo(12, 12);
  });

  it('turns the diagonal where a breakline asks', () => {
    const square = [0, 0, 4, 0, 4.2, 3, 0, 3];
    expect(hasEdge(meshOf(square, [[0, 2]]), 0, 2)).toBe(true);
    expect(hasEdge(meshOf(square, [[1, 3]]), 1, 3)).toBe(true);
    expect(hasEdge(meshOf(square, [[1, 3]]), 0, 2)).toBe(false);
  });

  it('runs a breakline through the points that lie on it', () => {
    const mesh = meshOf(grid(7), [[0, 48]]);
    for (let i = 0; i < 6; i++) expect(hasEdge(mesh, i * 8, (i + 1) * 8)).toBe(true);
    expect(areaOf(mesh)).toBeCloseTo(36, 9);
  });

  it('forces long lines through random clouds without losing area or a twin', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const coords = cloud(60, seed);
        const before = meshOf(coords);
        const mesh = meshOf(coords, [[0, 1]]);
        expect(areaOf(mesh)).toBeCloseTo(areaOf(before), 6);
        expect(hasEdge(mesh, 0, 1)).toBe(true);
        mesh.halfedges.forEach((twin, e) => {
          if (twin !== -1) expect(mesh.halfedges[twin]).toBe(e);
        });
      }),
      { numRuns: 60, seed: 7 },
    );
  });

  it('names the same place measured twice, points on one line, and breaklines that cross', () => {
    expect(faultOf([0, 0, 1, 0, 1, 1, 1, 0])).toEqual({ code: 'duplicateSpot', at: 3, other: 1 });
    expect(faultOf([0, 0, 1, 1, 2, 2, 3, 3])).toEqual({ code: 'collinear' });
    const square = [0, 0, 4, 0, 4, 4, 0, 4, 9, 9];
    expect(
      faultOf(square, [
        [0, 2],
        [1, 3],
      ]),
    ).toEqual({ code: 'breaklinesCross', line: 1, from: 1, to: 3 });
    expect(faultOf(square, [[0, 7]])).toEqual({ code: 'breaklineSpot', line: 0, at: 7 });
  });
});
