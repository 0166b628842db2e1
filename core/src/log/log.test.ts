import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { currentPlan } from '../plan/migrate.ts';
import { honeyHouse, logged } from '../testing.ts';
import { validateRecords } from '../validation/validate.ts';
import { inTime, standing } from './causal-order.ts';
import { factsOf } from './facts.ts';
import { RECORD_KIND_IDS, type RecordKindId, type SiteRecord } from './kinds.ts';
import { recordsBefore } from './legacy.ts';

const day = (volume: number, hours = 8, machine = 'm') => ({ machine, when: '', volume, hours });

describe('records folded', () => {
  it('count days by machine, the last tape either way round, the last look at the frost', () => {
    const records = [
      logged('dug', day(60)),
      logged('dug', day(70)),
      logged('dug', day(20, 4, 'other')),
      logged('taped', { from: 'A', to: 'B', distance: 9.01 }),
      logged('taped', { from: 'B', to: 'A', distance: 9.02 }),
      logged('frozen', { depth: 0.3, from: 'typed', when: '' }),
      logged('frozen', { depth: 0.4, from: 'feed', when: '' }),
      logged('laidBare', { hazard: 'pipe', bare: true }),
      logged('laidBare', { hazard: 'cable', bare: true }),
      logged('laidBare', { hazard: 'cable', bare: false }),
    ];
    const facts = factsOf(records);
    expect(facts.dug.get('m')!.map((d) => d.volume)).toEqual([60, 70]);
    expect(facts.dug.get('other')).toHaveLength(1);
    expect(facts.taped).toEqual([{ from: 'B', to: 'A', distance: 9.02 }]);
    expect(facts.frozen).toMatchObject({ depth: 0.4, from: 'feed' });
    expect([...facts.exposed]).toEqual(['pipe']);
    expect(factsOf([...records, logged('frozen', { depth: 0, from: 'typed', when: '' })]).frozen).toBeNull();
  });

  it('take the newest of a chain of corrections, in the place of what it corrects; none when taken back', () => {
    const first = logged('dug', day(60));
    const second = logged('dug', day(70));
    const better = logged('dug', day(66), { corrects: first.id });
    const best = logged('dug', day(65), { corrects: better.id });
    expect(
      factsOf([first, second, better, best])
        .dug.get('m')!
        .map((d) => d.volume),
    ).toEqual([65, 70]);
    const back = logged('dug', null, { corrects: best.id });
    expect(
      factsOf([first, second, better, best, back])
        .dug.get('m')!
        .map((d) => d.volume),
    ).toEqual([70]);
    const again = logged('dug', day(64), { corrects: back.id });
    expect(
      factsOf([first, back, best, better, again])
        .dug.get('m')!
        .map((d) => d.volume),
    ).toEqual([64]);
  });

  it('cut a circle of corrections, and let one of something unknown or of another kind stand for itself', () => {
    const circle = [
      logged('note', { text: 'a' }, { id: 'p', corrects: 'q' }),
      logged('note', { text: 'b' }, { id: 'q', corrects: 'p' }),
    ];
    expect(standing(circle).length).toBeGreaterThan(0);
    const lone = logged('note', { text: 'c' }, { corrects: 'nowhere' });
    expect(standing([lone])).toEqual([lone]);
    const dug = logged('dug', day(5));
    const odd = logged('note', { text: 'd' }, { corrects: dug.id });
    expect(factsOf([dug, odd]).dug.get('m')).toHaveLength(1);
  });

  it('say the same in whatever order they come, and however often', () => {
    const value = (kind: RecordKindId, n: number) =>
      ({
        dug: day(1 + n),
        handDug: { volume: 1 + n, hours: 2 },
        lab: { bed: 'b', layer: `l${n % 2}`, grains: 2.6 + n / 100, points: [] },
        trial: { bed: 'b', layer: 'l', thickness: 0.1 + n / 100, by: 'density' as const, readings: [] },
        bottom: { feel: 'firm' as const, wet: 'damp' as const, frozen: n % 2 > 0, asLogged: true },
        cone: {
          soil: 'other' as const,
          readings: [
            { blows: 0, depth: 0 },
            { blows: 5 + n, depth: 0.1 },
          ],
        },
        recharge: {
          length: 1,
          width: 1,
          water: 99,
          readings: [
            { minutes: 0, level: 98 },
            { minutes: 5 + n, level: 98.2 },
          ],
        },
        laid: { bed: 'b', layer: 'l', lift: 1 + (n % 3), on: 'sound' as const, reason: '', moisture: null },
        density: { bed: 'b', layer: 'l', lift: 1 + (n % 3), wet: 1900 + n, moisture: 0.08, cone: null },
        rework: { bed: 'b', layer: 'l', lift: 1 + (n % 3), what: 'rolled' as const },
        release: { bed: 'b', layer: 'l', lift: 1 + (n % 3), who: 'x', reason: '' },
        taped: { from: 'A', to: `C${n % 3}`, distance: 1 + n },
        frozen: { depth: (n % 4) / 10, from: 'typed' as const, when: '' },
        laidBare: { hazard: `h${n % 2}`, bare: n % 3 > 0 },
        note: { text: `${n}` },
      })[kind];
    const drawn = fc.array(
      fc.record({
        kind: fc.constantFrom(...RECORD_KIND_IDS),
        n: fc.nat(40),
        corrects: fc.option(fc.nat(20)),
        withdrawn: fc.boolean(),
      }),
      { maxLength: 25 },
    );
    fc.assert(
      fc.property(drawn, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (list, order) => {
        const made: SiteRecord[] = [];
        for (const { kind, n, corrects, withdrawn } of list) {
          const before = corrects === null ? undefined : made[corrects];
          const own = before?.kind ?? kind;
          made.push(
            logged(own, before && withdrawn ? null : value(own, n), { corrects: before?.id ?? null }),
          );
        }
        const shuffled = made
          .map((record) => [order.next().value as number, record] as const)
          .sort((p, q) => p[0] - q[0])
          .map(([, record]) => record);
        const told = (records: readonly SiteRecord[]) => {
          const { dug, taped, frozen, exposed, lab, trials, bottoms, lifts } = factsOf(records);
          const sets = { lab: [...lab], trials: [...trials], bottoms: [...bottoms], lifts: [...lifts] };
          return { dug: [...dug], taped: [...taped], frozen, exposed: [...exposed].sort(), ...sets };
        };
        const sorted = (t: ReturnType<typeof told>) => ({
          ...t,
          dug: t.dug.sort(([p], [q]) => (p < q ? -1 : 1)),
        });
        expect(sorted(told(shuffled))).toEqual(sorted(told(made)));
        expect(inTime(shuffled)).toEqual(inTime(made));
        expect(standing(made).every((record) => record.value !== null)).toBe(true);
      }),
    );
  });
});

describe('the takeoff of plan and records', () => {
  it('paces the machine by three logged days, and says a service laid bare is no stop', () => {
    const plan = honeyHouse();
    const { machine } = plan.dig;
    const typical = compute(plan).work.machines[0]!;
    const three = [60, 70, 80].map((volume) => logged('dug', day(volume, 10, machine)));
    const paced = compute(plan, three).work.machines[0]!;
    expect(paced.strata.every((s) => s.output.from === 'logged')).toBe(true);
    expect(paced.strata[0]!.output.rate).toBeCloseTo(210 / 30 / (typical.slowed.length > 0 ? 1.2 : 1), 1);
    expect(compute(plan, three.slice(0, 2)).work.machines[0]!.hours).toBe(typical.hours);
    expect(compute(plan, three).figures.dig).toEqual(compute(plan).figures.dig);
  });
});

describe('records out of an old plan', () => {
  const old = () => {
    const plan = JSON.parse(JSON.stringify(honeyHouse())) as Record<string, unknown> & {
      version: number;
      dig: { machines: Record<string, unknown>[] };
      setout: Record<string, unknown>;
      ground: { frost: Record<string, unknown>; hazards: Record<string, unknown>[] };
    };
    plan.version = 5;
    plan.dig.machines[0]!.logged = [
      { when: '2026-03-04', volume: 52, hours: 7 },
      { when: 'Thursday', volume: 60, hours: 8 },
      { when: '', volume: 'much', hours: 8 },
    ];
    plan.setout.measured = [{ from: 'A', to: 'B', distance: 14.402 }];
    plan.ground.frost.frozen = { depth: 0.4, from: 'feed', when: '2026-01-09' };
    plan.ground.hazards[0]!.confirmed = true;
    return plan;
  };
  it('are all there, dated where a day was written, the same every time', () => {
    const records = recordsBefore(old());
    expect(validateRecords(records)).toMatchObject({ ok: true });
    expect(records.map(({ kind }) => kind)).toEqual(['dug', 'dug', 'taped', 'frozen', 'laidBare']);
    expect(records[0]!.at).toBe('2026-03-04T00:00:00.000Z');
    expect(records[1]!.at.startsWith('1970')).toBe(true);
    expect(recordsBefore(old())).toEqual(records);
    const facts = factsOf(records);
    expect(facts.frozen?.depth).toBe(0.4);
    expect(facts.exposed.size).toBe(1);
  });
  it('are gone from the plan, and there are none in a new one', () => {
    const plan = currentPlan(old())!;
    expect(JSON.stringify(plan)).not.toMatch(/"(logged|measured|frozen|confirmed)"/);
    expect(recordsBefore(plan)).toEqual([]);
    for (const nonsense of [null, 3, 'x', [], { dig: { machines: 4 } }])
      expect(recordsBefore(nonsense)).toEqual([]);
  });
});

describe('records from outside', () => {
  const good = logged('taped', { from: 'A', to: 'B', distance: 3 });
  const problemsOf = (list: unknown) => {
    const read = validateRecords(list);
    return read.ok ? [] : read.problems.map((p) => `${p.path} ${p.code}`);
  };
  it('are let in when whole', () => {
    expect(problemsOf([good])).toEqual([]);
    expect(problemsOf([])).toEqual([]);
    expect(problemsOf([good, logged('taped', null, { corrects: good.id })])).toEqual([]);
  });
  it.each<[string, unknown, string]>([
    ['no list', { 0: good }, '/records type'],
    ['a kind nobody knows', [{ ...good, kind: 'sung' }], '/records/0/kind choice'],
    ['no kind at all', [7], '/records/0/kind choice'],
    [
      'a distance of nothing',
      [{ ...good, value: { from: 'A', to: 'B', distance: 0 } }],
      '/records/0/value/distance range',
    ],
    ['a value missing', [{ ...good, value: { from: 'A', to: 'B' } }], '/records/0/value/distance missing'],
    ['a field too many', [{ ...good, sung: 1 }], '/records/0/sung unknownField'],
    ['a moment that is none', [{ ...good, at: '2026-13-44T25:61:00Z' }], '/records/0/at notADate'],
    ['a moment in words', [{ ...good, at: 'yesterday' }], '/records/0/at id'],
    ['one id twice', [good, good], '/records/1/id duplicateId'],
    ['taking back nothing', [{ ...good, value: null }], '/records/0/value missing'],
    ['half a character', [logged('note', { text: 'a\ud800' })], '/records/0/value/text text'],
    ['a place far off', [{ ...good, place: [1e9, 0] }], '/records/0/place/0 range'],
  ])('with %s are refused at the field', (_what, list, problem) => {
    expect(problemsOf(list)).toEqual([problem]);
  });
  it('more than a job holds are refused before they are looked at', () => {
    expect(problemsOf(Array.from({ length: 20_001 }, () => 0))).toEqual(['/records tooMany']);
  });
});
