/** Holds by name and role, the morning list, and word from others: worked by hand. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compute, holeView, orderedCost, orderedFrom, registerOf } from '../compute/index.ts';
import { area } from '../geometry/index.ts';
import {
  factsOf,
  MORNING_ITEMS,
  type RecordValue,
  type SiteRecord,
  TICK_LISTS,
  withOrdered,
} from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { bedded, lean, logged, named, plainPlan, stone, strip, tank } from '../testing.ts';
import { coveredUnseen, heldPours, holdsOf } from './holds.ts';
import { laddersAlong, morningOf } from './morning.ts';
import { permitTroubles, wayTroubles } from './papers.ts';
import { shotsWanted } from './shots.ts';
import { type Hold, isOpen, visitCounts } from './visits.ts';

const seven = (change: (p: Plan) => void = () => {}) =>
  plainPlan((p) => {
    p.dig.slope = 0;
    p.elements = named(
      ...Array.from({ length: 7 }, (_, i) =>
        strip([
          [0, 5 * i],
          [6, 5 * i],
        ]),
      ),
    );
    change(p);
  });
const holdsWith = (plan: Plan, records: readonly SiteRecord[]) => {
  const takeoff = compute(plan, records);
  return { takeoff, holds: holdsOf({ ...takeoff, plan }) };
};

const visit = (
  element: string | null,
  more: Partial<RecordValue<'visit'>> = {},
  about: Partial<SiteRecord> = {},
) =>
  logged(
    'visit',
    {
      hold: 'bottom',
      verdict: 'released',
      who: 'R. Vado',
      role: 'inspector',
      what: '',
      finger: '',
      ...more,
    },
    { element, ...about },
  );
/** A bottom shot all over, as wanted, and felt firm. */
const readied = (plan: Plan, id: string): SiteRecord[] => {
  const info = compute(plan).elements.find((e) => e.id === id)!;
  return [
    ...shotsWanted(info).map((place) =>
      logged(
        'shot',
        { on: 'formation', from: { by: 'tape', string: 101, reading: 101 - info.formation } },
        { element: id, place },
      ),
    ),
    logged('bottom', { feel: 'firm', wet: 'damp', frozen: false, asLogged: true }, { element: id }),
  ];
};
const bottoms = (holds: readonly Hold[]) => holds.filter(({ kind }) => kind === 'bottom');

describe('seven bottoms', () => {
  const plan = seven((p) => {
    p.pour.together = [
      { id: 'm', name: 'Monday', elements: ['E1', 'E2', 'E3', 'E4', 'E5', 'E6'] },
      { id: 't', name: 'Tuesday', elements: ['E7'] },
    ];
    p.holds.by = [
      { hold: 'forms', role: 'none' },
      { hold: 'lean', role: 'none' },
    ];
  });
  const ids = plan.elements.map(({ id }) => id);
  const six = ids.slice(0, 6).flatMap((id) => [...readied(plan, id), visit(id)]);

  it('six released: only the pour over the seventh is held, by name', () => {
    const { takeoff, holds } = holdsWith(plan, six);
    const held = heldPours(takeoff.pours, holds);
    expect(held.map(({ pour, holds: open }) => [pour.name, open.map(({ element }) => element)])).toEqual([
      ['Monday', []],
      ['Tuesday', ['E7']],
    ]);
  });
  it('want shots, shots that are good, and a bottom that was felt', () => {
    const { holds } = holdsWith(plan, readied(plan, 'E1').slice(1));
    const [first, second] = bottoms(holds);
    expect(first!.state).toBe('wanting');
    expect(first!.needs.find(({ code }) => code === 'shotAll')).toMatchObject({ met: false });
    expect(first!.needs.filter(({ met }) => met).map(({ code }) => code)).toEqual([
      'shotGood',
      'shotSure',
      'bottomFound',
    ]);
    expect(second!.needs.find(({ code }) => code === 'shotAll')).toMatchObject({ have: 0 });
    expect(bottoms(holdsWith(plan, readied(plan, 'E1')).holds)[0]!.state).toBe('ready');
  });
  it('are refused with what to do, asked for again, and released on the second visit', () => {
    const ready = readied(plan, 'E1');
    const refused = visit('E1', { verdict: 'refused', what: 'deeper at the east end' });
    const asked = logged('asked', { hold: 'bottom', role: 'inspector', when: 'tomorrow' }, { element: 'E1' });
    const state = (...records: SiteRecord[]) => bottoms(holdsWith(plan, [...ready, ...records]).holds)[0]!;
    expect(state(refused)).toMatchObject({ state: 'refused', visit: { value: { who: 'R. Vado' } } });
    expect(state(refused, asked)).toMatchObject({ state: 'asked' });
    expect(state(refused, asked, visit('E1'))).toMatchObject({ state: 'released', asked: null });
  });
  it('let go with something wanting takes a name and a reason', () => {
    const without = bottoms(holdsWith(plan, [visit('E1')]).holds)[0]!;
    expect(without.state).toBe('wanting');
    const reason = bottoms(holdsWith(plan, [visit('E1', { what: 'rain is coming' })]).holds)[0]!;
    expect(reason.state).toBe('overridden');
  });
  it('seen before a shot was found in doubt are to be seen again', () => {
    const setup = logged('setup', { mark: 'M', level: 100, backsight: 1.5 });
    const info = compute(plan).elements[0]!;
    const shots = shotsWanted(info).map((place) =>
      logged(
        'shot',
        { on: 'formation', from: { by: 'rod', setup: setup.id, reading: 101.5 - info.formation, offset: 0 } },
        { element: 'E1', place },
      ),
    );
    const felt = readied(plan, 'E1').at(-1)!;
    const check = (reading: number) => logged('checkShot', { setup: setup.id, reading });
    const state = (...more: SiteRecord[]) =>
      bottoms(holdsWith(plan, [setup, ...shots, felt, visit('E1'), ...more]).holds)[0]!.state;
    expect(state(check(1.501))).toBe('released');
    expect(state(check(1.512))).toBe('wanting');
  });
  it('covered before they were released are named', () => {
    const bed = seven((p) => bedded(p, stone(0.15)));
    const lift = compute(bed).elements[0]!.cards[0]!;
    const laid = logged(
      'laid',
      { on: 'sound', reason: '', moisture: null },
      { element: 'E1', placement: lift.name },
    );
    const { takeoff, holds } = holdsWith(bed, [laid]);
    expect(coveredUnseen({ ...takeoff, plan: bed }, holds).map(({ element }) => element)).toEqual(['E1']);
  });
});

describe('what an engineer owns', () => {
  const plan = plainPlan((p) => {
    p.elements = named(
      tank([
        [0, 0],
        [4, 0],
        [4, 3],
        [0, 3],
      ]),
    );
  });
  const leak = (records: readonly SiteRecord[]) =>
    holdsWith(plan, records).holds.find(({ kind }) => kind === 'leak')!;
  const gone = logged('ticked', { hold: 'leak', done: [...TICK_LISTS.leak] }, { element: 'E1' });
  it('is let go by the engineer and by nobody else, whatever the reason', () => {
    const by = (role: RecordValue<'visit'>['role'], what = '') => [
      gone,
      visit('E1', { hold: 'leak', role, what }),
    ];
    expect(leak([]).needs).toEqual([{ code: 'ticked', have: 0, of: 3, met: false }]);
    expect(leak(by('lead', 'we are in a hurry')).state).toBe('ready');
    expect(leak(by('inspector', 'looks dry')).state).toBe('ready');
    expect(leak(by('engineer')).state).toBe('released');
  });
  it('stays open through anything others sign, in any order', () => {
    const roles = fc.constantFrom('lead', 'competent', 'inspector', 'owner' as const);
    fc.assert(
      fc.property(fc.array(fc.tuple(roles, fc.string({ maxLength: 5 })), { maxLength: 8 }), (list) => {
        const records = list.map(([role, what]) => visit('E1', { hold: 'leak', role: role as 'lead', what }));
        expect(isOpen(leak(records))).toBe(true);
      }),
      { numRuns: 30 },
    );
  });
  it('may be asked of nobody on a job, and of others on another', () => {
    const other = plainPlan((p) => {
      p.elements = named(
        tank([
          [0, 0],
          [4, 0],
          [4, 3],
        ]),
      );
      p.holds.by = [{ hold: 'leak', role: 'none' }];
      p.holds.own = [{ id: 'sleeves', name: 'Sleeves', role: 'owner', before: 'pour', elements: ['E1'] }];
    });
    const { holds } = holdsWith(other, []);
    expect(holds.some(({ kind }) => kind === 'leak')).toBe(false);
    expect(holds.at(-1)).toMatchObject({ kind: 'own', name: 'Sleeves', role: 'owner', state: 'ready' });
  });
  it('tells who may not before it is logged', () => {
    const plain = { role: 'engineer', strict: true, needs: [] } as const;
    const ask = (role: 'lead' | 'engineer', what = '') =>
      visitCounts(plain, { verdict: 'released', role, what });
    expect(ask('lead', 'why')).toBe('notTheirs');
    expect(ask('engineer')).toBe('released');
  });
});

describe('the morning list', () => {
  const items = (bad: readonly string[] = []) =>
    Object.fromEntries(
      MORNING_ITEMS.map((item) => [item, bad.includes(item) ? 'bad' : 'good']),
    ) as RecordValue<'morning'>['items'];
  const list = (at: string, bad: readonly string[] = []) =>
    logged('morning', { who: 'A. Lindo', items: items(bad), note: '', finger: '' }, { at });
  const happened = (at: string, what: 'rain' | 'frost' | 'fall') =>
    logged('happened', { what, note: '' }, { at });
  const state = (now: string, ...records: SiteRecord[]) =>
    morningOf(factsOf(records).looks, (at) => at.slice(0, 10), now);
  const [seventh, noon] = ['2026-11-30T07:00:00.000Z', '2026-11-30T12:00:00.000Z'];
  it('is wanting until somebody has been through it today, and again after rain, frost or a fallen side', () => {
    expect(state(noon).state).toBe('none');
    expect(state(noon, list('2026-11-29T07:00:00.000Z')).state).toBe('none');
    expect(state(noon, list(seventh)).state).toBe('good');
    for (const what of ['rain', 'frost', 'fall'] as const)
      expect(state(noon, list(seventh), happened('2026-11-30T09:00:00.000Z', what))).toMatchObject({
        state: 'again',
        after: what,
      });
    expect(
      state(
        noon,
        list(seventh),
        happened('2026-11-30T09:00:00.000Z', 'rain'),
        list('2026-11-30T09:30:00.000Z'),
      ).state,
    ).toBe('good');
  });
  it('says what is not in order', () => {
    expect(state(noon, list(seventh, ['ladder', 'water']))).toMatchObject({
      state: 'bad',
      bad: ['ladder', 'water'],
    });
  });
  it('counts ladders by length: 14 m at 7.6 is one, in the middle; nobody walks farther than that', () => {
    expect(laddersAlong(14, 7.6)).toEqual([7]);
    expect(laddersAlong(15.2, 7.6)).toEqual([7.6]);
    expect(laddersAlong(15.3, 7.6)).toHaveLength(2);
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 200, noNaN: true }),
        fc.double({ min: 1, max: 20, noNaN: true }),
        (length, travel) => {
          const at = laddersAlong(length, travel);
          const stops = [0, length, ...at.slice(1).map((s, i) => (s + at[i]!) / 2)];
          for (const stop of stops)
            expect(Math.min(...at.map((s) => Math.abs(s - stop)))).toBeLessThanOrEqual(travel + 1e-6);
        },
      ),
    );
  });
});

describe('word from others', () => {
  const keyed = () =>
    plainPlan((p) => {
      p.dig.slope = 0;
      p.dig.room = 0;
      p.dig.buckets = [0.3, 0.6];
      p.elements = named(
        strip(
          [
            [0, 0],
            [11, 0],
          ],
          { key: { width: 0.3, depth: 0.9 }, width: 0.6 },
        ),
      );
    });
  const order = { element: 'E1', thing: null, who: 'Eng. Sol', why: '', when: '2026-11-30' } as const;
  it('a key of 900 made 650 over 11 m, 0.30 wide, is 0.825 m³ less', () => {
    const plan = keyed();
    const takeoff = compute(plan);
    const key = { ...order, what: 'key', to: 0.65 } as const;
    expect(orderedFrom(plan, takeoff, key)).toBe(0.9);
    expect(orderedCost(plan, takeoff, key).of.dig).toBeCloseTo(-0.825, 6);
  });
  it('goes into the plan as what it is about, and as nothing else', () => {
    const plan = keyed();
    bedded(plan, stone(0.15), lean(0.05, 0.1));
    const width = withOrdered(plan, { ...order, what: 'width', to: 0.8 });
    expect(width.levels.instructions).toMatchObject([
      { width: 0.8, level: null, who: 'Eng. Sol', elements: ['E1'] },
    ]);
    expect(compute(width).elements[0]!.width.needed).toBeGreaterThan(compute(plan).elements[0]!.width.needed);
    const level = withOrdered(plan, { ...order, what: 'level', to: 98 });
    expect(compute(level).elements[0]!.underside).toBeCloseTo(98, 9);
    expect(
      compute(withOrdered(plan, { ...order, what: 'bed', to: 0.3 })).elements[0]!.layers[0]!.layer.thickness,
    ).toBe(0.3);
    expect(withOrdered(plan, { ...order, what: 'thickness', to: 0.4 }).elements[0]!.thickness).toBe(0.4);
    expect(withOrdered(plan, { ...order, what: 'step', to: 0.4 }).levels.steps.height).toBe(0.4);
  });
  it('leaves the bed of the others as it is', () => {
    const plan = seven((p) => bedded(p, stone(0.15)));
    const made = withOrdered(plan, { ...order, what: 'bed', to: 0.3 });
    const thick = compute(made).elements.map((e) => e.layers[0]!.layer.thickness);
    expect(thick).toEqual([0.3, ...Array.from({ length: 6 }, () => 0.15)]);
  });
  it('stands in a register until it is taken in or set aside', () => {
    const change = (word: string) =>
      logged('change', {
        word,
        what: 'level',
        thing: null,
        from: 98.5,
        to: 98,
        who: 'x',
        role: 'engineer',
        why: '',
        amounts: [],
        cost: null,
      });
    const records = [
      change('w1'),
      change('w2'),
      change('w3'),
      logged('settled', { word: 'w1', how: 'taken', why: '' }),
      logged('settled', { word: 'w3', how: 'aside', why: 'he took it back' }),
    ];
    expect(registerOf(compute(keyed(), records)).map(({ state }) => state)).toEqual([
      'taken',
      'open',
      'aside',
    ]);
  });
});

describe('ways in and papers', () => {
  const way = (more: Partial<Plan['site']['ways'][number]>) => {
    const plan = plainPlan((p) => {
      p.dig.machines[0]!.width = 1.5;
      p.site.ways = [
        {
          id: 'w',
          name: 'Side',
          width: null,
          height: null,
          lawn: false,
          boards: false,
          leave: null,
          cleaned: false,
          ...more,
        },
      ];
    });
    return wayTroubles(plan).map(({ code }) => code);
  };
  it('are told of where machine and trucks do not fit, and where nobody has given leave', () => {
    expect(way({})).toEqual([]);
    expect(way({ width: 1.8 })).toEqual(['narrow']);
    expect(way({ width: 1.79 })).toEqual(['narrow', 'narrow']);
    expect(way({ width: 2.8, height: 3.4 })).toEqual(['low']);
    expect(way({ lawn: true })).toEqual(['noBoards']);
    expect(way({ lawn: true, boards: true, leave: { who: 'M. Paz', when: '' } })).toEqual(['noLeave']);
    expect(way({ leave: { who: 'M. Paz', when: '2026-11-02' } })).toEqual([]);
  });
  it('are wanting, or over the day after they end', () => {
    const permits = (held: boolean, until: string, today: string) =>
      permitTroubles(
        { permits: [{ id: 'p', kind: 'permit', name: '', number: '', until, held }] },
        today,
      ).map(({ code }) => code);
    expect(permits(false, '', '2026-11-30')).toEqual(['missing']);
    expect(permits(true, '', '2026-11-30')).toEqual([]);
    expect(permits(true, '2026-11-30', '2026-11-30')).toEqual([]);
    expect(permits(true, '2026-11-30', '2026-12-01')).toEqual(['over']);
  });
});

describe('a job as the hole has it', () => {
  const plan = seven();
  const takeoff = compute(plan, [...readied(plan, 'E1'), visit('E1')]);
  const view = holeView(plan, takeoff);
  it('says of each thing what the takeoff says', () => {
    expect(view.things.map(({ id }) => id)).toEqual(plan.elements.map(({ id }) => id));
    view.things.forEach((thing, i) => {
      const info = takeoff.elements[i]!;
      expect(thing.fromString).toBeCloseTo(info.string.level - info.formation, 9);
      for (const { wanted } of thing.places) expect(wanted).toBeCloseTo(info.formation, 9);
      const bottom = thing.bottom.reduce((sum, { plan: piece }) => sum + area(piece), 0);
      expect(bottom).toBeCloseTo(info.bottomArea, 6);
    });
    expect(view.things[0]!.shots).toHaveLength(view.things[0]!.places.length);
  });
  it('is plain data: what a phone keeps and reads again is the same', () => {
    expect(structuredClone(view)).toEqual(view);
  });
  it('comes to a look when the work does', () => {
    const due = (records: readonly SiteRecord[]) =>
      holdsOf({ ...compute(plan, records), plan })
        .filter(({ due: now }) => now)
        .map(({ hold, element }) => `${hold}/${element ?? ''}`);
    expect(due([])).toEqual(['setout/']);
    expect(due(readied(plan, 'E1'))).toEqual(['setout/', 'bottom/E1']);
    expect(due([...readied(plan, 'E1'), visit('E1')])).toEqual(['setout/', 'bottom/E1', 'forms/E1', 'pour/']);
  });
});
