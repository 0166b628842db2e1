/** Every caution of the table is raised by some plan, and by none of its opposite. */
import { describe, expect, it } from 'vitest';
import { compute } from '../compute/index.ts';
import type { SiteRecord } from '../log/index.ts';
import { newLog } from '../plan/blank.ts';
import { WEIGHTS } from '../results/index.ts';
import { logged } from '../testing.ts';
import { CAUTION_CODES, type CautionCode, HOLD_CODES, STANDING_CODES } from './table.ts';
import { hazard, raisedBy, site, with_ } from './testing.ts';

describe('the table of cautions', () => {
  it.each(CAUTION_CODES)('%s is raised, with numbers that are numbers', (code) => {
    const { cautions, problems } = raisedBy(code);
    // What nothing decides is told as a problem of the levels too.
    expect(problems.map((p) => p.code)).toEqual(code === 'depthUnknown' ? ['noDepth'] : []);
    const found = cautions.filter((caution) => caution.code === code);
    expect(found.length).toBeGreaterThan(0);
    for (const { values } of found)
      for (const [value] of Object.values(values ?? {})) expect(Number.isFinite(value)).toBe(true);
  });

  it('says of every one its stage, and of every hold who lifts it', () => {
    for (const code of CAUTION_CODES)
      for (const { code: raised, weight, stage, lifts } of raisedBy(code).cautions) {
        expect(stage, raised).toMatch(/^(ground|levels|dig|water|base|backfill)$/);
        if (weight === 'stop') expect(lifts, raised).not.toBeNull();
        if (weight === 'note') expect(lifts, raised).toBeNull();
        // What can hold a job up is known to the board beforehand.
        if (weight === 'stop') expect(HOLD_CODES).toContain(raised);
      }
  });

  it('is said gravest first, and to defer is said last and always', () => {
    for (const code of CAUTION_CODES) {
      const weights = raisedBy(code).cautions.map((caution) => WEIGHTS.indexOf(caution.weight));
      expect(weights).toEqual([...weights].sort((p, q) => p - q));
      expect(raisedBy(code).cautions.at(-1)!.code).toBe('defer');
    }
  });

  it('raises nothing but the standing ones on a dig that keeps to everything', () => {
    const codes = compute(site((p) => Object.assign(p.dig, { slope: 2 }))).cautions.map((c) => c.code);
    const standing: readonly CautionCode[] = [...STANDING_CODES, 'caveIn', 'ringUnknown', 'shortfall'];
    expect(codes.filter((code) => !standing.includes(code))).toEqual([]);
  });

  it('a service laid bare is warned of, one that is not stops the work', () => {
    const plan = site(with_(hazard('service')));
    const weight = (records: SiteRecord[]) =>
      compute(plan, records).cautions.find((c) => c.code === 'keepOff.service')!.weight;
    expect(weight([])).toBe('stop');
    expect(weight([logged('exposed', { hazard: 'h', bare: true })])).toBe('warn');
    expect(
      weight([
        logged('exposed', { hazard: 'h', bare: true }),
        logged('exposed', { hazard: 'h', bare: false }),
      ]),
    ).toBe('stop');
  });

  it('is of the elements concerned only', () => {
    const plan = site((p) => {
      p.ground.logs = [newLog('log-1', 'TP1', [0, 0], 4), newLog('log-2', 'TP2', [4, 6], 4)].map(
        (log, i) => ({
          ...log,
          layers: [
            { soil: 'top', top: 0, note: '' },
            { soil: 'clay', top: 0.3, note: '' },
          ],
          standing: i === 0 ? 3.5 : 0.5,
        }),
      );
      p.ground.water = null;
    });
    const wet = compute(plan).cautions.find((caution) => caution.code === 'water')!;
    expect(wet.elements).toEqual(['E2']);
  });
});
