/** Lift cards: from laid to released, by what was logged. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { bedLift, type SiteRecord } from '../log/index.ts';
import { mayCover, type PlacementState } from '../placement/index.ts';
import type { BedLayer } from '../plan/schema.ts';
import { bedded, logged, named, plainPlan, stone, strip } from '../testing.ts';
import { validateRecords } from '../validation/validate.ts';
import { bottomAnswer, bottomKeeps } from './bottom.ts';
import { compactorChoices } from './compactors.ts';

const TARGET = { share: 0.95, maximum: 1960, area: 50 };
const on = { element: 'E1', placement: bedLift({ bed: 'bed-1', layer: 'layer-1', lift: 1 }) };
const laid = () => logged('laid', { on: 'sound', reason: '', moisture: null }, on);
const gauge = (dry: number, moisture = 0.08) =>
  logged('density', { wet: dry * (1 + moisture), moisture, cone: null }, on);
const rework = () => logged('rework', { what: 'rolled' }, on);
const release = (reason = '') => logged('release', { who: 'Eng. Sol', reason }, on);

/** A trench 20 m long, 1 m wide at its bottom, on 0.30 of stone in lifts as they come. */
const cardsOf = (records: readonly SiteRecord[], layer: Partial<BedLayer> = {}) => {
  const plan = plainPlan((p) => {
    p.dig.slope = 0;
    p.dig.room = 0.2;
    p.elements = named(
      strip(
        [
          [0, 0],
          [20, 0],
        ],
        { width: 0.6 },
      ),
    );
    bedded(p, stone(0.3, { target: TARGET, ...layer }));
  });
  return compute(plan, records).elements[0]!.cards;
};
const stateAfter = (...records: SiteRecord[]): PlacementState => cardsOf(records)[0]!.state;

describe('the card of a lift', () => {
  it('has its lifts with their levels, from formation up', () => {
    const cards = cardsOf([]);
    expect(cards.map(({ lift, count, thickness }) => [lift, count, thickness])).toEqual([
      [1, 2, 0.15],
      [2, 2, 0.15],
    ]);
    const { formation, underside } = compute(
      plainPlan((p) => {
        p.elements = named(
          strip(
            [
              [0, 0],
              [20, 0],
            ],
            { width: 0.6 },
          ),
        );
        bedded(p, stone(0.3));
      }),
    ).elements[0]!;
    expect(cards[0]!.bottom).toBeCloseTo(formation, 9);
    expect(cards[1]!.top).toBeCloseTo(underside, 9);
    // 20 × 1.0 m: one test for 50 m², two for 15.
    expect(cards[0]!.wanted).toBe(1);
    expect(cardsOf([], { target: { ...TARGET, area: 15 } })[0]!.wanted).toBe(2);
    expect(cardsOf([], { target: null })[0]!.wanted).toBe(0);
  });

  it('goes from open to laid, tested and released; 1.89 of 1.96 passes 95 %, 1.84 fails', () => {
    expect(stateAfter()).toBe('toCome');
    expect(stateAfter(laid())).toBe('placed');
    expect(stateAfter(laid(), gauge(1890))).toBe('passed');
    expect(stateAfter(laid(), gauge(1840))).toBe('failed');
    expect(stateAfter(laid(), gauge(1890), release())).toBe('released');
    expect(cardsOf([laid(), gauge(1890)])[0]!.tests[0]!.share).toBeCloseTo(0.9643, 4);
  });

  it('that failed needs its rework and its retest: a second test does not outvote it', () => {
    expect(stateAfter(laid(), gauge(1840), gauge(1890))).toBe('failed');
    expect(stateAfter(laid(), gauge(1840), rework())).toBe('reworked');
    expect(stateAfter(laid(), gauge(1840), rework(), release())).toBe('reworked');
    expect(stateAfter(laid(), gauge(1840), rework(), gauge(1890))).toBe('passed');
    expect(stateAfter(laid(), gauge(1890), release(), gauge(1800))).toBe('failed');
  });

  it('is not released untested but by a named person with a reason', () => {
    expect(stateAfter(laid(), release())).toBe('placed');
    expect(stateAfter(laid(), release('rain coming, seen rolled'))).toBe('overridden');
    const free = cardsOf([laid(), release()], { target: null });
    expect(free[0]!.state).toBe('released');
  });

  it('wants as many tests as the specification, all since its last rework', () => {
    const two = { target: { ...TARGET, area: 15 } };
    const state = (...records: SiteRecord[]) => cardsOf(records, two)[0]!.state;
    expect(state(laid(), gauge(1890))).toBe('placed');
    expect(state(laid(), gauge(1890), gauge(1900))).toBe('passed');
    expect(state(laid(), gauge(1890), rework(), gauge(1900))).toBe('reworked');
  });

  it('names a test before it was laid, a hole that is none, and more soil than fits without air', () => {
    const cone = { before: 6, after: 4.6, cone: 1.6, sand: 1480, soil: 1.68 };
    const noHole = () => logged('density', { wet: 2000, moisture: 0.09, cone }, on);
    const faults = (...records: SiteRecord[]) => cardsOf(records)[0]!.tests.map((test) => test.fault);
    expect(faults(gauge(1890), laid())).toEqual(['notLaid']);
    expect(faults(laid(), noHole())).toEqual(['noHole']);
    expect(faults(laid(), gauge(2400, 0.12))).toEqual(['overAir']);
    expect(stateAfter(laid(), noHole())).toBe('placed');
    // Turned away at the door as well.
    expect(validateRecords([noHole()])).toMatchObject({
      ok: false,
      problems: [{ code: 'holeEmpty', path: '/records/0/value/cone/after' }],
    });
  });

  it('is held against the laboratory once there is one, and says the water it wants', () => {
    const points = [
      [0.07, 1850],
      [0.09, 1930],
      [0.11, 1960],
      [0.13, 1920],
    ].map(([moisture, density]) => ({ moisture: moisture!, density: density! }));
    const lab = logged('lab', { bed: 'bed-1', layer: 'layer-1', grains: 2.68, points });
    const dryish = logged('laid', { on: 'sound', reason: '', moisture: 0.07 }, on);
    const [card] = cardsOf([lab, dryish, gauge(1850)], { target: { ...TARGET, maximum: null } });
    expect(card!.tests[0]!.share).toBeLessThan(0.95);
    // 20 × 1.0 × 0.15 m³ at 95 % of the maximum, from 7 % to the optimum near 10.7.
    expect(card!.water).toBeGreaterThan(3 * 1860 * 0.03);
    expect(card!.water).toBeLessThan(3 * 1870 * 0.045);
    expect(cardsOf([dryish], { target: { ...TARGET, maximum: null } })[0]!.water).toBeNull();
    expect(
      cardsOf([laid(), gauge(1850)], { target: { ...TARGET, maximum: null } })[0]!.tests[0]!.passes,
    ).toBeNull();
  });

  it('waits for the lift below it', () => {
    expect(cardsOf([])[1]!.waits).toBe(true);
    expect(cardsOf([laid(), gauge(1890), release()])[1]!.waits).toBe(false);
  });

  it('is never covered without a pass or a reason, whatever is logged in whatever order', () => {
    const events = fc.constantFrom('laid', 'pass', 'fail', 'rework', 'release', 'reason');
    fc.assert(
      fc.property(fc.array(events, { maxLength: 12 }), (list) => {
        const made = list.map((event) => {
          if (event === 'laid') return laid();
          if (event === 'pass') return gauge(1900);
          if (event === 'fail') return gauge(1800);
          if (event === 'rework') return rework();
          return release(event === 'reason' ? 'said so' : '');
        });
        const [card] = cardsOf(made);
        // The twin looks back from the end, over what came once it was laid.
        const begun = list.indexOf('laid');
        const since = begun < 0 ? [] : list.slice(begun + 1);
        const last = (...what: readonly string[]) =>
          Math.max(...what.map((one) => since.lastIndexOf(one as (typeof list)[number])));
        if (card!.state === 'released')
          expect(since.slice(last('rework', 'fail') + 1, last('release', 'reason')).includes('pass')).toBe(
            true,
          );
        if (mayCover(card!.state)) {
          expect(last('release', 'reason')).toBeGreaterThan(last('fail', 'rework'));
          expect(last('pass', 'reason')).toBeGreaterThanOrEqual(0);
        }
        if (since.length > 0 && last('fail') > last('rework', 'reason'))
          expect(mayCover(card!.state)).toBe(false);
      }),
      { numRuns: 200, seed: 8 },
    );
  });
});

describe('records of proof at the door', () => {
  const refused = (record: SiteRecord) => {
    const read = validateRecords([record]);
    return read.ok ? [] : read.problems.map((problem) => `${problem.path} ${problem.code}`);
  };
  it('of a lift on mud without a reason, a release by nobody, moisture of 140 %, are refused', () => {
    const wrong = (record: SiteRecord, change: object) =>
      refused({ ...record, value: { ...record.value, ...change } } as SiteRecord);
    expect(refused(laid())).toEqual([]);
    expect(wrong(laid(), { on: 'mud' }).length).toBeGreaterThan(0);
    expect(wrong(laid(), { on: 'mud', reason: 'pump broke, stone pressed in' })).toEqual([]);
    expect(wrong(release(), { who: '' })).toEqual(['/records/0/value/who blank']);
    expect(wrong(gauge(1900), { moisture: 1.4 })).toEqual(['/records/0/value/moisture range']);
    expect(wrong(laid(), { lift: 0 })).not.toEqual([]);
  });
  it('a laboratory test of two points or all on one side is refused', () => {
    const lab = (...rows: readonly (readonly [number, number])[]) =>
      refused(
        logged('lab', {
          bed: 'b',
          layer: 'l',
          grains: 2.68,
          points: rows.map(([moisture, density]) => ({ moisture, density })),
        }),
      );
    expect(lab([0.08, 1900], [0.1, 1950])).toEqual(['/records/0/value/points tooFew']);
    expect(lab([0.06, 1700], [0.08, 1780], [0.1, 1850], [0.12, 1910])).toEqual([
      '/records/0/value/points labOneSided',
    ]);
  });
});

describe('compactors side by side', () => {
  it('put those that do nothing for the soil last, and count a strip as its passes walk it', () => {
    const choices = compactorChoices(stone(0.8, { cohesive: false, topSize: 0.03 }), 14.4, 1.2);
    const heavy = choices.find((choice) => choice.compactor === 'plateHeavy')!;
    // 0.80 at 0.40: two lifts. 1.2 m by 0.65 with a tenth over: two strips. 14.4·2·4·2/24/0.75 min.
    expect(heavy.lifts.count).toBe(2);
    expect(heavy.hours * 60).toBeCloseTo((14.4 * 2 * 4 * 2) / 24 / 0.75, 9);
    const clay = compactorChoices(stone(0.8, { cohesive: true }), 14.4, 1.2);
    expect(clay.findIndex((choice) => choice.unsuited)).toBeGreaterThan(0);
    expect(clay.slice(clay.findIndex((choice) => choice.unsuited)).every((choice) => choice.unsuited)).toBe(
      true,
    );
  });
});

describe('a bottom as it was found', () => {
  const found = (more: object) =>
    bottomAnswer({ feel: 'firm', wet: 'damp', frozen: false, asLogged: true, ...more }, true);
  it('is told what to do, the gravest first', () => {
    expect(found({ wet: 'water', feel: 'soft', frozen: true })).toBe('drain');
    expect(found({ frozen: true, feel: 'soft' })).toBe('thaw');
    expect(found({ feel: 'soft' })).toBe('takeOut');
    expect(found({ feel: 'yields' })).toBe('trimAgain');
    expect(found({ asLogged: false })).toBe('ask');
    expect(found({})).toBe('trimLate');
    expect(bottomAnswer({ feel: 'firm', wet: 'dry', frozen: false, asLogged: true }, false)).toBe('goOn');
  });
  it('keeps a day in dry clay, none under water (assumed)', () => {
    expect(bottomKeeps('stiffClay', 'dry')).toBe(24);
    expect(bottomKeeps('stiffClay', 'seeping')).toBe(8);
    expect(bottomKeeps('silt', 'damp')).toBe(4);
    expect(bottomKeeps('sand', 'water')).toBe(0);
    expect(bottomKeeps('rock', 'water')).toBe(Number.POSITIVE_INFINITY);
  });
});
