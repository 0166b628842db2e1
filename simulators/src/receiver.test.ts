/** A laser receiver: scattered a little, within its rod, until its battery is empty. */
import { describe, expect, it } from 'vitest';
import { receiverReading } from './receiver.ts';

const ask = (taken: number, expected = 1.8) => receiverReading({ place: 'job/T1', expected, taken });

describe('a laser receiver', () => {
  it('reads the beam a millimetre or two apart, and the same again when asked the same', () => {
    const reads = Array.from({ length: 80 }, (_, i) => ask(i)).flatMap((one) =>
      one.ok ? [one.reading] : [],
    );
    expect(reads.length).toBe(80);
    const mean = reads.reduce((sum, one) => sum + one, 0) / reads.length;
    expect(Math.abs(mean - 1.8)).toBeLessThan(0.001);
    expect(new Set(reads).size).toBeGreaterThan(3);
    expect(Math.max(...reads) - Math.min(...reads)).toBeLessThan(0.012);
    expect(ask(7)).toEqual(ask(7));
  });
  it('finds no beam over or under its rod', () => {
    for (const expected of [-0.4, 5.3])
      expect(ask(0, expected)).toMatchObject({ ok: false, fault: 'outOfRange' });
  });
  it('runs down, never up, and then reads nothing', () => {
    const charge = Array.from({ length: 300 }, (_, i) => ask(i).battery);
    charge.slice(1).forEach((one, i) => {
      expect(one).toBeLessThanOrEqual(charge[i]!);
    });
    expect(ask(299)).toEqual({ ok: false, fault: 'empty', battery: 0 });
  });
});
