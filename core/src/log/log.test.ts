import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import { leaveLesson, proposalsOf, takeLesson } from '../day/index.ts';
import { frozenNow } from '../ground/design-frost.ts';
import { currentPlan } from '../plan/migrate.ts';
import { DAY_VALUES, honeyHouse, logged } from '../testing.ts';
import { validateRecords } from '../validation/validate.ts';
import { inTime, standing } from './causal-order.ts';
import { factsOf } from './facts.ts';
import { RECORD_KIND_IDS, type RecordKindId, type RecordValue, recordKindOf } from './kinds/index.ts';
import { MORNING_ITEMS } from './kinds/morning.ts';
import { recordsBefore, upgradedRecord } from './legacy.ts';
import { bedLift } from './placement.ts';
import type { SiteRecord } from './record.ts';

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
      logged('exposed', { hazard: 'pipe', bare: true }),
      logged('exposed', { hazard: 'cable', bare: true }),
      logged('exposed', { hazard: 'cable', bare: false }),
    ];
    const facts = factsOf(records);
    expect(facts.dug.get('m')!.map((d) => d.volume)).toEqual([60, 70]);
    expect(facts.dug.get('other')).toHaveLength(1);
    expect(facts.taped).toEqual([{ from: 'B', to: 'A', distance: 9.02 }]);
    expect(facts.frozen).toMatchObject({ depth: 0.4, from: 'feed' });
    expect([...facts.exposed.values()]).toEqual([
      { hazard: 'pipe', bare: true },
      { hazard: 'cable', bare: false },
    ]);
    const thawed = factsOf([...records, logged('frozen', { depth: 0, from: 'typed', when: '' })]);
    expect(frozenNow(thawed)).toBeNull();
    expect(frozenNow(facts)).toMatchObject({ depth: 0.4 });
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

  const lift = (n: number) => bedLift({ bed: 'b', layer: 'l', lift: 1 + (n % 3) });
  it('say the same in whatever order they come, and however often', () => {
    const value = (kind: RecordKindId, n: number) =>
      ({
        dug: day(1 + n),
        wetted: { pour: 'footings', day: '2026-10-14' as const, done: n % 2 === 0, note: '' },
        leak: { day: '2026-10-14' as const, depth: 2 + n / 100 },
        bay: { bay: 1 + n, state: 'dug' as const, who: '', role: 'lead' as const, what: '' },
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
        risingHead: {
          length: 1,
          width: 1,
          water: 99,
          readings: [
            { minutes: 0, level: 98 },
            { minutes: 5 + n, level: 98.2 },
          ],
        },
        laid: { on: 'sound' as const, reason: '', moisture: null },
        density: { wet: 1900 + n, moisture: 0.08, cone: null },
        rework: { what: 'rolled' as const },
        release: { who: 'x', reason: '' },
        taped: { from: 'A', to: `C${n % 3}`, distance: 1 + n },
        frozen: { depth: (n % 4) / 10, from: 'typed' as const, when: '' },
        exposed: { hazard: `h${n % 2}`, bare: n % 3 > 0 },
        setup: { mark: 'M', level: 100 + n, backsight: 1.4 },
        checkShot: { setup: `s${n % 3}`, reading: 1.4 + n / 1000 },
        shot: { on: 'formation' as const, from: { by: 'said' as const, low: n / 1000 } },
        visit: {
          hold: 'bottom',
          verdict: n % 2 > 0 ? ('released' as const) : ('refused' as const),
          who: 'x',
          role: 'inspector' as const,
          what: `${n}`,
          finger: '',
        },
        asked: { hold: 'bottom', role: 'inspector' as const, when: `${n}` },
        morning: {
          who: 'x',
          items: Object.fromEntries(
            MORNING_ITEMS.map((item) => [item, n % 2 > 0 ? 'good' : 'bad']),
          ) as RecordValue<'morning'>['items'],
          note: '',
          finger: '',
        },
        happened: { what: 'rain' as const, note: `${n}` },
        change: {
          word: `w${n % 3}`,
          what: 'level' as const,
          thing: null,
          from: null,
          to: 98,
          who: 'x',
          role: 'engineer' as const,
          why: `${n}`,
          amounts: [],
          cost: null,
        },
        settled: { word: `w${n % 3}`, how: 'taken' as const, why: `${n}` },
        ticked: { hold: 'forms', done: [`t${n}`] },
        poured: { pour: 'footings', casts: [`E${n % 3}`], volume: 1 + n, note: '' },
        readied: { pour: 'footings', done: [`t${n}`] },
        ...DAY_VALUES,
        worked: { ...DAY_VALUES.worked, hours: 1 + (n % 8) },
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
            logged(own, before && withdrawn ? null : (value(own, n) as never), {
              corrects: before?.id ?? null,
              placement: recordKindOf(own).onPlacement ? lift(n) : null,
            }),
          );
        }
        const shuffled = made
          .map((record) => [order.next().value as number, record] as const)
          .sort((p, q) => p[0] - q[0])
          .map(([, record]) => record);
        const told = (records: readonly SiteRecord[]) =>
          Object.fromEntries(
            Object.entries(factsOf(records)).map(([name, known]) => [
              name,
              known instanceof Map ? new Map([...known].sort(([p], [q]) => (p < q ? -1 : 1))) : known,
            ]),
          );
        expect(told(shuffled)).toEqual(told(made));
        expect(inTime(shuffled)).toEqual(inTime(made));
        expect(standing(made).every((record) => record.value !== null)).toBe(true);
      }),
    );
  });
});

describe('records that come one by one', () => {
  const first = [
    logged('dug', day(60)),
    logged('cone', { soil: 'other', readings: [] }, { element: 'E1' }),
    logged('taped', { from: 'A', to: 'B', distance: 9 }),
  ];
  it('fold alone: what they say nothing of stays the object it was, and a note moves nothing', () => {
    const before = factsOf(first);
    expect(factsOf([...first, logged('note', { text: 'rain at noon' })])).toBe(before);
    const after = factsOf([...first, logged('cone', { soil: 'other', readings: [] }, { element: 'E2' })]);
    expect(after.dug).toBe(before.dug);
    expect(after.taped).toBe(before.taped);
    expect(after.cone.get('E1')).toBe(before.cone.get('E1'));
    expect([...before.cone.keys()]).toEqual(['E1']);
    expect([...after.cone.keys()]).toEqual(['E1', 'E2']);
  });
  it('say what they would all at once, corrected and out of order too', () => {
    const step = fc.record({
      volume: fc.integer({ min: 1, max: 90 }),
      early: fc.boolean(),
      corrects: fc.option(fc.nat(9)),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        const records: SiteRecord[] = [];
        for (const { volume, early, corrects } of steps) {
          const before = corrects === null ? undefined : records[corrects];
          const at = early ? { at: '2025-06-01T00:00:00.000Z' } : {};
          records.push(logged('dug', day(volume), { corrects: before?.id ?? null, ...at }));
          const anew = structuredClone(records);
          expect([...factsOf([...records]).dug]).toEqual([...factsOf(anew).dug]);
          factsOf([...records]);
        }
      }),
    );
  });
});

describe('records as they were written earlier', () => {
  const old = { ...logged('note', { text: '' }), element: 'E1' };
  const of = { bed: 'bed-1', layer: 'layer-1', lift: 2 };
  const read = (kind: string, value: unknown) => {
    const { placement: _none, ...rest } = old;
    const answer = validateRecords([{ ...rest, kind, value }]);
    return answer.ok ? answer.records[0] : answer.problems;
  };
  it('name the lift of a bed within their value: it is what they hang on', () => {
    const on = { element: 'E1', placement: 'bed/bed-1/layer-1/2' };
    expect(read('laid', { ...of, on: 'sound', reason: '', moisture: null })).toMatchObject({
      ...on,
      kind: 'laid',
      value: { on: 'sound', reason: '', moisture: null },
    });
    expect(read('release', { ...of, who: 'x', reason: '' })).toMatchObject({ ...on, value: { who: 'x' } });
    expect(read('rework', { ...of, what: 'rolled' })).toMatchObject({ ...on, value: { what: 'rolled' } });
    expect(read('density', { ...of, wet: 2000, moisture: 0.1, cone: null })).toMatchObject(on);
  });
  it('have other names for a service laid bare and for a pit that fills', () => {
    expect(read('laidBare', { hazard: 'h', bare: true })).toMatchObject({ kind: 'exposed' });
    const pit = {
      length: 1,
      width: 1,
      water: 99,
      readings: [
        { minutes: 0, level: 98 },
        { minutes: 5, level: 98.2 },
      ],
    };
    expect(read('recharge', pit)).toMatchObject({ kind: 'risingHead', value: pit });
  });
  it('are the same read once more, whatever they are', () => {
    for (const record of [
      old,
      logged('rework', { what: 'rolled' }, { placement: bedLift(of) }),
      null,
      3,
      { kind: 'x' },
    ])
      expect(upgradedRecord(upgradedRecord(record))).toEqual(upgradedRecord(record));
  });
});

describe('the takeoff of plan and records', () => {
  it('paces the machine by what was taken of its days, never by the days alone, and says a service laid bare is no stop', () => {
    const plan = honeyHouse();
    const { machine } = plan.dig;
    const typical = compute(plan).work.machines[0]!;
    const three = [60, 70, 80].map((volume) => logged('dug', day(volume, 10, machine)));
    expect(compute(plan, three).work.machines[0]!.hours).toBe(typical.hours);
    const [told] = proposalsOf(plan, three, 'UTC');
    takeLesson(plan, told!);
    const paced = compute(plan, three).work.machines[0]!;
    expect(paced.strata.every((s) => s.output.from === 'measured')).toBe(true);
    expect(paced.strata[0]!.output.rate).toBeCloseTo(210 / 30, 9);
    leaveLesson(plan, told!);
    expect(compute(plan, three).work.machines[0]!.hours).toBe(typical.hours);
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
    expect(records.map(({ kind }) => kind)).toEqual(['dug', 'dug', 'taped', 'frozen', 'exposed']);
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
