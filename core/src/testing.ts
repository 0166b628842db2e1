/** Plans for tests: small, level, and with nothing left to chance. Not part of the core's door. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankPlan, newPad, newStrip } from './plan/blank.ts';
import type { Element, Pad, Plan, Strip } from './plan/schema.ts';

/** A level metric job whose one rule is a frost depth; base and blinding off. */
export function plainPlan(change: (plan: Plan) => void = () => {}): Plan {
  const plan = blankPlan('Test', 'metric');
  plan.ground.frost.local = 0.9;
  plan.levels.cover = null;
  change(plan);
  return plan;
}

export const strip = (points: Strip['points'], more: Partial<Strip> = {}): Strip => ({
  ...newStrip(blankPlan('x', 'metric'), points),
  ...more,
});
export const pad = (x: number, y: number, length: number, width: number, more: Partial<Pad> = {}): Pad => ({
  ...newPad(blankPlan('x', 'metric'), [x, y], length, width),
  ...more,
});

/** Elements with ids and names of their own. */
export const named = (...elements: Element[]): Element[] =>
  elements.map((element, i) => ({ ...element, id: `E${i + 1}`, name: `E${i + 1}` }));

export function demo(name: 'honey-house' | 'bell-frame'): Plan {
  return JSON.parse(readFileSync(join(import.meta.dirname, `../../demo/${name}.json`), 'utf8')) as Plan;
}

/** A small seeded generator (mulberry32), so that random cases are the same every time. */
export function seeded(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
