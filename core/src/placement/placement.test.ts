/** One idea of what is laid, cast or filled: a bed, the footing on it and the fill about it, by what was logged. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bedLift, factsOf, type SiteRecord } from '../log/index.ts';
import { logged } from '../testing.ts';
import { mayCover, type Placement, standsOf } from './index.ts';

const part = (name: string, stage: Placement['stage'], covers: readonly string[], wanted = 0): Placement => ({
  element: 'E1',
  name,
  stage,
  bottom: 0,
  top: 0.2,
  volume: 1,
  wanted,
  covers,
});
const lift = bedLift({ bed: 'b', layer: 'l', lift: 1 });
/** A tested lift, lean on it, a wall poured on that, and two lifts of fill against the wall. */
const PARTS = [
  part(lift, 'base', [], 1),
  part('lean/1', 'base', [lift]),
  part('pour/1', 'base', ['lean/1']),
  part('fill/1', 'backfill', ['pour/1'], 1),
  part('fill/2', 'backfill', ['fill/1'], 1),
];
const on = (placement: string) => ({ element: 'E1', placement });
const laid = (name: string) => logged('laid', { on: 'sound', reason: '', moisture: null }, on(name));
const test = (name: string, wet: number) => logged('density', { wet, moisture: 0.1, cone: null }, on(name));
const release = (name: string, reason = '') => logged('release', { who: 'x', reason }, on(name));
const standing = (...records: readonly SiteRecord[]) => {
  const stands = standsOf(
    PARTS,
    factsOf(records),
    () =>
      ({ value }) =>
        value.wet >= 2000,
  );
  return new Map(PARTS.map(({ name }, i) => [name, stands[i]!]));
};

describe('what is laid, cast or filled', () => {
  it('is to come, placed, tested and released, whatever kind of work it is', () => {
    expect([...standing().values()].map(({ state }) => state)).toEqual(PARTS.map(() => 'toCome'));
    const base = [laid(lift), test(lift, 2100), release(lift), laid('lean/1'), release('lean/1')];
    const stands = standing(...base, laid('pour/1'), release('pour/1'), laid('fill/1'), test('fill/1', 1900));
    expect([...stands.values()].map(({ state }) => state)).toEqual([
      'released',
      'released',
      'released',
      'failed',
      'toCome',
    ]);
    expect([...stands.values()].map(({ covered }) => covered)).toEqual([true, true, true, false, false]);
    expect(stands.get('fill/1')!.waits).toBe(false);
    expect(stands.get('fill/2')!.waits).toBe(true);
    expect(stands.get('fill/1')!.laid?.placement).toBe('fill/1');
  });
  it('waits for what it lies on until that is released, whatever is logged of it in whatever order', () => {
    const names = PARTS.map(({ name }) => name);
    const event = fc.record({
      name: fc.constantFrom(...names),
      what: fc.constantFrom('laid', 'good', 'bad', 'release', 'reason'),
    });
    fc.assert(
      fc.property(fc.array(event, { maxLength: 25 }), (events) => {
        const stands = standing(
          ...events.map(({ name, what }) => {
            if (what === 'laid') return laid(name);
            if (what === 'good' || what === 'bad') return test(name, what === 'good' ? 2100 : 1800);
            return release(name, what === 'reason' ? 'rain' : '');
          }),
        );
        for (const { name, covers, wanted } of PARTS) {
          const { state, waits, covered, release: last } = stands.get(name)!;
          const own = events.filter((one) => one.name === name);
          expect(waits).toBe(covers.some((under) => !mayCover(stands.get(under)!.state)));
          expect(covered).toBe(
            PARTS.some((p) => p.covers.includes(name) && stands.get(p.name)!.state !== 'toCome'),
          );
          expect(state === 'toCome').toBe(
            !own.some(({ what }) => what === 'laid') &&
              !own.some(({ what }) => what === 'good' || what === 'bad'),
          );
          if (state === 'released' && wanted > 0) expect(own.some(({ what }) => what === 'good')).toBe(true);
          if (state === 'overridden') expect(own.some(({ what }) => what === 'reason')).toBe(true);
          if (mayCover(state)) expect(last).not.toBeNull();
        }
      }),
    );
  });
});
