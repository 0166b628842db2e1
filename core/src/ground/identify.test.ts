import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HAND } from '../catalogue/soils.ts';
import type { Hand } from '../plan/schema.ts';
import { plainPlan, soilsDown } from '../testing.ts';
import { identify } from './identify.ts';
import { soilsOf } from './soil.ts';

describe('a soil in the hand', () => {
  it.each<[string, Hand, string, string]>([
    ['stones that roll no thread', { grain: 'gravel', thread: 'none' }, 'GW', 'gravel'],
    ['stones in putty', { grain: 'gravel', thread: 'medium' }, 'GC', 'gravellyClay'],
    ['clean sand', { grain: 'sand', thread: 'none' }, 'SP', 'sand'],
    ['sand with a weak thread', { grain: 'sand', thread: 'weak' }, 'SM', 'siltySand'],
    ['flour that shines', { grain: 'silt', shine: 'fast' }, 'ML', 'silt'],
    [
      'putty that shines is silt all the same',
      { grain: 'clay', shine: 'fast', thread: 'weak' },
      'ML',
      'silt',
    ],
    ['tough putty', { grain: 'clay', thread: 'tough', ribbon: 'long' }, 'CH', 'stiffClay'],
    [
      'putty that holds',
      { grain: 'clay', thread: 'medium', ribbon: 'medium', thumb: 'firm' },
      'CL',
      'stiffClay',
    ],
    ['putty the thumb goes into', { grain: 'clay', thread: 'medium', thumb: 'soft' }, 'CL', 'softClay'],
    ['roots and smell', { grain: 'organic' }, 'OL', 'topsoil'],
  ])('%s', (_name, hand, uscs, kind) => {
    expect(identify(hand)).toMatchObject({ uscs, kind });
  });

  it('is class B only when it holds together, is firm, and was looked at for water', () => {
    const firm: Hand = { grain: 'clay', thread: 'medium', thumb: 'firm' };
    expect(identify({ ...firm, seep: 'dry' }).slopeClass).toBe('B');
    expect(identify(firm).slopeClass).toBe('C');
    expect(identify({ ...firm, seep: 'seeps' }).slopeClass).toBe('C');
    expect(identify({ ...firm, seep: 'dry', thumb: 'soft' }).slopeClass).toBe('C');
    expect(identify({ grain: 'sand', thread: 'none', thumb: 'hard', seep: 'dry' }).slopeClass).toBe('C');
    // 0.5 tsf is 47.88 kPa: a reading outweighs the thumb, both ways.
    expect(identify({ ...firm, seep: 'dry', thumb: 'soft', penetrometer: 60_000 }).slopeClass).toBe('B');
    expect(identify({ ...firm, seep: 'dry', penetrometer: 40_000 }).slopeClass).toBe('C');
  });

  it('soft or weeping clay goes back only once dried', () => {
    const clay: Hand = { grain: 'clay', thread: 'medium', seep: 'dry' };
    expect(identify({ ...clay, thumb: 'firm' }).backfill).toBe('yes');
    expect(identify({ ...clay, thumb: 'soft' }).backfill).toBe('afterDrying');
    expect(identify({ ...clay, thumb: 'firm', seep: 'seeps' }).backfill).toBe('afterDrying');
    expect(identify({ grain: 'silt' }).backfill).toBe('no');
  });

  const any: fc.Arbitrary<Hand> = fc.record(
    {
      grain: fc.constantFrom(...HAND.grain),
      thread: fc.constantFrom(...HAND.thread),
      ribbon: fc.constantFrom(...HAND.ribbon),
      shine: fc.constantFrom(...HAND.shine),
      thumb: fc.constantFrom(...HAND.thumb),
      seep: fc.constantFrom(...HAND.seep),
      penetrometer: fc.double({ min: 0, max: 500_000, noNaN: true }),
    },
    { requiredKeys: [] },
  );
  it('is never class A or rock, never better with water, and always says why', () => {
    fc.assert(
      fc.property(any, (hand) => {
        const found = identify(hand);
        expect(['B', 'C']).toContain(found.slopeClass);
        expect(identify({ ...hand, seep: 'seeps' }).slopeClass).toBe('C');
        expect(found.reasons.length).toBeGreaterThan(0);
        if (!hand.grain) expect(found).toMatchObject({ uscs: null, kind: null, slopeClass: 'C' });
      }),
    );
  });

  it('lowers the class of its kind, never raises it, and a test typed overrides both', () => {
    const classOf = (kind: 'stiffClay' | 'sand', hand: Hand | null, typed?: 'A' | 'C') => {
      const plan = plainPlan((p) => {
        soilsDown(p, ['s', kind, 0, typed ? { slopeClass: typed } : {}]);
        p.ground.soils[0]!.hand = hand;
      });
      const [soil] = soilsOf(plan);
      return [soil!.slopeClass, soil!.classFrom];
    };
    expect(classOf('stiffClay', null)).toEqual(['B', 'typical']);
    expect(classOf('stiffClay', { grain: 'clay', thumb: 'soft' })).toEqual(['C', 'hand']);
    expect(classOf('sand', { grain: 'clay', thread: 'medium', thumb: 'hard', seep: 'dry' })).toEqual([
      'C',
      'typical',
    ]);
    expect(classOf('stiffClay', { grain: 'clay', thumb: 'soft' }, 'A')).toEqual(['A', 'typed']);
  });
});
