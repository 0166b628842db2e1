import { compute, proofsOf } from '@cimiento/core';
import { validatePlan } from '@cimiento/core/validate';
import { describe, expect, it } from 'vitest';
import { random, simulatedJob } from './job.ts';

describe('the simulated job', () => {
  it.each([1, 8, 60, 400])('of %i elements is a valid plan whose takeoff balances', (count) => {
    const plan = simulatedJob(count);
    expect(plan.elements).toHaveLength(count);
    expect(validatePlan(JSON.parse(JSON.stringify(plan)))).toEqual({ ok: true, plan });
    const takeoff = compute(plan);
    expect(takeoff.problems).toEqual([]);
    expect(proofsOf(plan, takeoff).filter((check) => !check.ok)).toEqual([]);
    expect(takeoff.elements.every((e) => e.live)).toBe(true);
  });

  it('is the same for the same seed and another for another', () => {
    expect(simulatedJob(60, 5)).toEqual(simulatedJob(60, 5));
    expect(simulatedJob(60, 5)).not.toEqual(simulatedJob(60, 6));
    const next = random(3);
    const numbers = Array.from({ length: 1000 }, next);
    expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...numbers)).toBeLessThan(1);
    expect(new Set(numbers).size).toBe(1000);
  });
});
