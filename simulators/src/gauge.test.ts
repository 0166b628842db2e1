import { describe, expect, it } from 'vitest';
import { gaugeReading } from './gauge.ts';

describe('the simulated gauge', () => {
  const read = (i: number) => gaugeReading({ place: `S1/lift 1/${i}`, maximum: 2000, optimum: 0.09 });
  const all = Array.from({ length: 2000 }, (_, i) => read(i));

  it('gives one place one reading, near a well rolled lift', () => {
    expect(all).toEqual(Array.from({ length: 2000 }, (_, i) => read(i)));
    for (const reading of all) {
      if (!reading) continue;
      const share = reading.wet / (1 + reading.moisture) / 2000;
      expect(share).toBeGreaterThan(0.929);
      expect(share).toBeLessThan(0.991);
      expect(reading.moisture).toBeGreaterThan(0);
    }
    expect(new Set(all.map((reading) => reading?.wet)).size).toBeGreaterThan(100);
  });

  it('now and then does not answer', () => {
    const silent = all.filter((reading) => reading === null).length;
    expect(silent).toBeGreaterThan(40);
    expect(silent).toBeLessThan(180);
  });
});
