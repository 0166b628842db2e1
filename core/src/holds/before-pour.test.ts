/** What is looked to before a pour: answered by the job where it can be, ticked where it cannot. */
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { SiteRecord } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { demo, logged, named, plainPlan, strip, tank } from '../testing.ts';
import { dampening, readyFor } from './before-pour.ts';
import { holdsOf } from './holds.ts';
import { shotsWanted } from './shots.ts';

/** 78 m of footing 0.6 wide on dry ground. */
const footing = (change: (p: Plan) => void = () => {}): Plan =>
  plainPlan((p) => {
    p.assumed = [];
    p.elements = named(
      strip(
        [
          [0, 0],
          [78, 0],
        ],
        { width: 0.6, level: 98.5 },
      ),
    );
    change(p);
  });
function ready(plan: Plan, records: readonly SiteRecord[] = []) {
  const job = { ...compute(plan, records), plan };
  return readyFor(job, holdsOf(job));
}
const states = (plan: Plan, records: readonly SiteRecord[] = [], pour = 0) =>
  Object.fromEntries(ready(plan, records)[pour]!.lines.map(({ key, state }) => [key, state]));
const on = { element: 'E1' };
const found = (more: object = {}) =>
  logged('bottom', { feel: 'firm', wet: 'dry', frozen: false, asLogged: true, ...more } as never, on);
const seen = (hold: string, role: 'inspector' | 'lead', element: string | null = 'E1') =>
  logged('visit', { hold, verdict: 'released', who: 'Ana Sol', role, what: 'seen', finger: '' }, { element });

describe('before the pour', () => {
  it('78 × 0.6 m at 2 L/m² is 94 L in one barrel', () => {
    expect(dampening(78 * 0.6, 0.002)).toEqual({ litres: expect.closeTo(93.6, 9), barrels: 1 });
    expect(dampening(150, 0.002)).toEqual({ litres: expect.closeTo(300, 9), barrels: 2 });
    const wetted = ready(footing((p) => Object.assign(p.pour, { dampen: 0.002 })))[0]!;
    expect(wetted.lines.find(({ code }) => code === 'damp')!.values.litres).toBeCloseTo(93.6, 9);
  });
  it('asks what nobody knows, says no to what is known not to be so', () => {
    expect(states(footing())).toMatchObject({
      seen: 'no',
      firm: 'ask',
      level: 'ask',
      dry: 'ask',
      damp: 'ask',
      forms: 'no',
      steel: 'ask',
      looks: 'yes',
      access: 'ask',
      washOut: 'ask',
      weather: 'ask',
      vibrators: 'ask',
      light: 'ask',
    });
    expect(states(footing(), [found({ feel: 'soft', wet: 'water' })])).toMatchObject({
      firm: 'no',
      dry: 'no',
    });
    expect(states(footing(), [found()])).toMatchObject({ firm: 'yes', dry: 'yes' });
    expect(states(footing(), [seen('bottom', 'inspector')])).toMatchObject({ seen: 'yes' });
    const heads = (n: number) => states(footing((p) => Object.assign(p.pour, { heads: n }))).vibrators;
    expect([heads(1), heads(2)]).toEqual(['no', 'yes']);
  });
  it('takes the bottom’s level from its shots', () => {
    const plan = footing();
    const info = compute(plan).elements[0]!;
    const shots = (off: number) =>
      shotsWanted(info).map((at, i) =>
        logged(
          'shot',
          {
            on: 'formation',
            from: { by: 'string', string: null, tape: 101 - info.formation + off },
            place: at,
          } as never,
          { ...on, at: `2026-05-01T08:${10 + i}:00Z` },
        ),
      );
    const said = states(plan, shots(0)).level;
    expect(['yes', 'no', 'ask']).toContain(said);
  });
  it('is free when every line is so or ticked, and not before', () => {
    const plan = footing((p) => {
      p.pour.heads = 2;
      p.pour.fittings = [
        { id: 'w1', element: 'E1', kind: 'dowel', size: '', place: '', count: 4, spacing: null, level: null },
      ];
    });
    const records = [found(), seen('bottom', 'inspector'), seen('forms', 'inspector')];
    const left = ready(plan, records)[0]!.lines.filter(({ state }) => state === 'ask' || state === 'no');
    expect(left.map(({ key }) => key)).toEqual([
      'level',
      'damp',
      'steel',
      'w1',
      'access',
      'washOut',
      'weather',
      'light',
    ]);
    const ticked = logged('readied', { pour: 'footings', done: left.map(({ key }) => key) });
    expect(ready(plan, [...records, ticked])[0]!.free).toBe(true);
    // Light unticked holds it.
    const dark = logged('readied', {
      pour: 'footings',
      done: left.flatMap(({ key }) => (key === 'light' ? [] : [key])),
    });
    expect(ready(plan, [...records, dark])[0]!.free).toBe(false);
    // A tick says nothing against what is known.
    expect(states(plan, [...records, ticked, found({ wet: 'water' })]).dry).toBe('no');
  });
  it('asks of walls on a base for their joint, not for the bottom', () => {
    const plan = plainPlan((p) => {
      p.elements = named(
        tank(
          [
            [0, 0],
            [4, 0],
            [4, 3],
            [0, 3],
          ],
          { level: 97.5, roof: 0.2 },
        ),
      );
    });
    const codes = (pour: number) => ready(plan)[pour]!.lines.map(({ code }) => code);
    expect(codes(0)).toContain('seen');
    expect(codes(0)).not.toContain('joint');
    expect(codes(1)).toContain('joint');
    expect(codes(1)).not.toContain('seen');
  });
  it('sees wash-out that runs into the hole, in the demo it is drawn in', () => {
    const vault = demo('cheese-vault');
    const runs = ready(vault).flatMap(({ lines }) => lines.filter(({ code }) => code === 'washOut'));
    expect(runs.length).toBeGreaterThan(0);
  });
});
