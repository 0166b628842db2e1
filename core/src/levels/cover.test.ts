/**
 * Wherever a footing's plan lies it lies at or below what the rules ask: at corners, tees and where
 * a strip runs on to the far side of another, stepped or not, on planes and on rough ground.
 */
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { at, boxOf, edges } from '../geometry/index.ts';
import { groundModel } from '../ground/index.ts';
import type { Plan } from '../plan/schema.ts';
import { drawnCases, named, pad, plainPlan, seeded, strip, tilt } from '../testing.ts';

/** How far the worst place of any footing lies above what the rules ask there, m. */
function worstOver(plan: Plan, asked: number, step = 0.05): number {
  const takeoff = compute(plan);
  expect(takeoff.problems).toEqual([]);
  const model = groundModel(plan);
  let worst = -Infinity;
  takeoff.elements.forEach(({ footings }) => {
    footings.forEach(({ plan: piece, underside }) => {
      const walls = edges(piece);
      const { x0, y0, x1, y1 } = boxOf(piece);
      for (let x = x0; x <= x1 + step; x += step)
        for (let y = y0; y <= y1 + step; y += step) {
          const inside = [Math.min(x, x1), Math.min(y, y1)] as const;
          if (walls.some((wall) => at(wall, ...inside) > 1e-9)) continue;
          worst = Math.max(worst, underside - (model.level(...inside) - asked));
        }
      for (let v = 0; v < piece.length; v += 2)
        worst = Math.max(worst, underside - (model.level(piece[v]!, piece[v + 1]!) - asked));
    });
  });
  return worst;
}

const ASKED = 0.9 + 0.1;

describe('a footing has its cover', () => {
  it('at the outer corner of two stepped strips on ground that falls 15 % both ways', () => {
    const plan = plainPlan((p) => {
      tilt(p, -0.15, -0.15);
      p.ground.frost.local = 1;
      p.elements = named(
        strip(
          [
            [0, 0],
            [8, 0],
          ],
          { width: 1, stepped: true },
        ),
        strip(
          [
            [8, 0],
            [8, 6],
          ],
          { width: 1, stepped: true },
        ),
      );
    });
    const takeoff = compute(plan);
    // The outer corner at (8.5, −0.5): ground 100 − 0.15·8.5 + 0.15·0.5 = 98.8; asked 97.7.
    const low = (x: number, y: number) =>
      Math.min(
        ...takeoff.elements.flatMap(({ footings }) =>
          footings.flatMap(({ plan: piece, underside }) =>
            edges(piece).every((wall) => at(wall, x, y) <= 1e-9) ? [underside] : [],
          ),
        ),
      );
    expect(low(8.5 - 1e-6, -0.5 + 1e-6)).toBeLessThanOrEqual(97.7 + 1e-6);
    expect(worstOver(plan, 1.1)).toBeLessThanOrEqual(1e-6);
  });

  it('on a hundred and fifty drawn rings, tees, corners and pads', () => {
    for (let seed = 1; seed <= drawnCases(150); seed++) {
      const next = seeded(seed);
      const turn = next() * 2 * Math.PI;
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const to = (x: number, y: number): [number, number] => [5 + x * cos - y * sin, x * sin + y * cos - 2];
      const plan = plainPlan((p) => {
        if (next() < 0.5) tilt(p, 0.4 * (next() - 0.5), 0.4 * (next() - 0.5));
        else {
          p.ground.surface = { kind: 'spots', points: [], breaklines: [] };
          for (let i = 0; i < 5; i++)
            for (let j = 0; j < 5; j++)
              p.ground.surface.points.push([
                ...to(-6 + 5.3 * i + next(), -6 + 5.3 * j + next()),
                100 + 1.2 * (next() - 0.5),
              ]);
        }
        p.levels.string = 110;
        const more = () => ({ width: 0.5 + next(), stepped: next() < 0.8 });
        const [w, h] = [5 + 5 * next(), 4 + 4 * next()];
        p.elements = named(
          strip([to(0, 0), to(w, 0), to(w, h), to(0, h)], { ...more(), closed: next() < 0.5 }),
          strip([to(0.3 * w, 0), to(0.3 * w + (next() - 0.5), h)], more()),
          strip([to(w, 0.4 * h), to(w + 4, 0.4 * h + next())], more()),
          pad(...to(w + 4, 0.4 * h), 1 + next(), 1 + next(), { angle: 90 * next() }),
        );
      });
      expect(worstOver(plan, ASKED, 0.11), `seed ${seed}`).toBeLessThanOrEqual(1e-6);
    }
  });
});
