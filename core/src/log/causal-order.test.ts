import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { logged } from '../testing.ts';
import { inTime, standing } from './causal-order.ts';
import { factsOf } from './facts.ts';
import { bedLift } from './placement.ts';
import type { SiteRecord } from './record.ts';

const NOON = Date.UTC(2026, 4, 4, 12);
const at = (minutes: number) => new Date(NOON + minutes * 60_000).toISOString();
const note = (id: string, minutes: number, more: Partial<SiteRecord> = {}) =>
  logged('note', { text: id }, { id, at: at(minutes), ...more });
const ids = (records: readonly SiteRecord[]) => records.map(({ id }) => id);

describe('the order of records', () => {
  it('puts a correction after what it corrects though its phone is two minutes slow', () => {
    const dug = logged('dug', { machine: 'm', when: '', volume: 60, hours: 8 }, { id: 'a', at: at(0) });
    const right = logged(
      'dug',
      { machine: 'm', when: '', volume: 66, hours: 8 },
      { id: 'b', at: at(-2), corrects: 'a' },
    );
    const back = logged('dug', null, { id: 'c', at: at(-2), corrects: 'b' });
    expect(
      factsOf([dug, right])
        .dug.get('m')
        ?.map(({ volume }) => volume),
    ).toEqual([66]);
    expect(factsOf([dug, right, back]).dug.get('m')).toBeUndefined();
    expect(ids(inTime([back, right, dug]))).toEqual(['a', 'b', 'c']);
  });
  it('puts what was made knowing of another after it: a test after its lift, on a slow phone too', () => {
    const on = { element: 'e', placement: bedLift({ bed: 'b', layer: 'l', lift: 1 }) };
    const laid = logged(
      'laid',
      { on: 'sound', reason: '', moisture: null },
      { id: 'laid', ...on, at: at(0) },
    );
    const rework = logged('rework', { what: 'rolled' }, { id: 'rework', ...on, at: at(-5), after: 'laid' });
    expect([...factsOf([rework, laid]).histories.values()].map(ids)).toEqual([['laid', 'rework']]);
  });
  it('lets the later of two corrections stand, the larger id where clocks agree', () => {
    const first = note('a', 0);
    const two = [note('b', 3, { corrects: 'a' }), note('c', 2, { corrects: 'a' })];
    expect(ids(standing([first, ...two]))).toEqual(['b']);
    const tied = [note('b', 2, { corrects: 'a' }), note('c', 2, { corrects: 'a' })];
    expect(ids(standing([first, ...tied]))).toEqual(['c']);
    expect(ids(standing([...tied.reverse(), first]))).toEqual(['c']);
  });
  it('of a circle lets one stand, begun by the earliest clock', () => {
    const circle = [
      note('p', 5, { corrects: 'r' }),
      note('q', 1, { corrects: 'p' }),
      note('r', 2, { corrects: 'q' }),
    ];
    expect(ids(inTime(circle))).toEqual(['q', 'r', 'p']);
    expect(ids(standing(circle))).toEqual(['p']);
    const self = note('s', 0, { corrects: 's', after: 's' });
    expect(standing([self])).toEqual([self]);
  });
  it('of twenty thousand corrections in a row lets the last stand', () => {
    const chain = Array.from({ length: 20_000 }, (_, i) =>
      note(`n${i}`, -i, { corrects: i === 0 ? null : `n${i - 1}`, after: i === 0 ? null : `n${i - 1}` }),
    );
    expect(ids(standing([...chain].reverse()))).toEqual(['n19999']);
  });

  it('never puts a record before its cause, keeps the clocks’ order else, and is the same for every reader', () => {
    const drawn = fc.array(
      fc.record({
        minutes: fc.integer({ min: -600, max: 600 }),
        /** Its phone's clock is off by so much. */
        off: fc.integer({ min: -30, max: 30 }),
        corrects: fc.option(fc.nat(30)),
        after: fc.option(fc.nat(30)),
      }),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(drawn, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (list, order) => {
        // Whoever made one knew only of earlier ones.
        const made: SiteRecord[] = [];
        for (const [i, { minutes, off, corrects, after }] of list.entries())
          made.push(
            note(`n${i}`, minutes + off, {
              corrects: made[corrects ?? -1]?.id ?? null,
              after: made[after ?? -1]?.id ?? null,
            }),
          );
        const found = inTime(made);
        const place = new Map(found.map((record, i) => [record.id, i]));
        expect(found).toHaveLength(made.length);
        for (const { id, corrects, after } of made)
          for (const cause of [corrects, after])
            if (cause !== null) expect(place.get(id)!).toBeGreaterThan(place.get(cause)!);
        // Those nobody's word puts later stand by their clocks.
        const free = found.filter(({ corrects, after }) => corrects === null && after === null);
        expect([...free].sort((p, q) => Date.parse(p.at) - Date.parse(q.at)).map((p) => p.at)).toEqual(
          free.map((p) => p.at),
        );
        const shuffled = made
          .map((record) => [order.next().value as number, record] as const)
          .sort((p, q) => p[0] - q[0])
          .map(([, record]) => record);
        expect(ids(inTime(shuffled))).toEqual(ids(found));
        expect(ids(standing(shuffled))).toEqual(ids(standing(made)));
        // Of one chain one stands at the most: the one nobody corrected, when nobody forked it.
        const corrected = new Set(made.map((record) => record.corrects));
        const forked = made.some(
          (p, i) => p.corrects !== null && made.some((q, j) => j > i && q.corrects === p.corrects),
        );
        if (!forked) for (const { id } of standing(made)) expect(corrected.has(id)).toBe(false);
      }),
    );
  });
});
