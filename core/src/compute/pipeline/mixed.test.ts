/**
 * Three hundred made-up jobs that mix every kind of foundation: what is dug is split without loss, what is
 * laid and cast is counted once, the proofs by other routes agree, and the same job elsewhere, turned or
 * mirrored is the same job.
 */
import { describe, expect, it } from 'vitest';
import { layerValues } from '../../plan/beds.ts';
import { drawnCases, placed, seeded, told, unbalanced, unlike, unworked } from '../../testing.ts';
import { mixedJob } from '../testing.ts';
import { compute } from './compute.ts';
import type { Takeoff } from './takeoff.ts';

const JOBS = drawnCases(300);
type Point = readonly [number, number];

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
      const plan = mixedJob(seed);
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
