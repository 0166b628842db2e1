import { describe, expect, it } from 'vitest';
import { area, unionArea } from '../geometry/index.ts';
import { named, pad, strip } from '../testing.ts';
import { axisLength, footingPieces, footprints } from './footprint.ts';
import { parseRuns } from './runs.ts';

const plan = (elements: ReturnType<typeof named>, half: number, end = 0) =>
  unionArea(
    footprints(
      elements,
      () => ({ half, end }),
      (p) => [p.length, p.width],
    ).flat(),
  );

describe('footprints', () => {
  it('of separate walls close their corners: ring 14.4 × 8.4 with a cross wall, 1.2 wide, is 63.36 m²', () => {
    const walls = named(
      strip([
        [0, 8.4],
        [14.4, 8.4],
      ]),
      strip([
        [0, 0],
        [14.4, 0],
      ]),
      strip([
        [14.4, 0],
        [14.4, 8.4],
      ]),
      strip([
        [0, 0],
        [0, 8.4],
      ]),
      strip([
        [6, 0],
        [6, 8.4],
      ]),
    );
    expect(plan(walls, 0.6)).toBeCloseTo(45.6 * 1.2 + 7.2 * 1.2, 9);
    // Ends may not run past the corner: the outline stays 15.6 × 9.6.
    expect(plan(walls, 0.6, 0.3)).toBeCloseTo(63.36, 9);
  });

  it('of one closed ring equal those of its four walls', () => {
    const ring = named(
      strip(
        [
          [0, 0],
          [14.4, 0],
          [14.4, 8.4],
          [0, 8.4],
        ],
        { closed: true },
      ),
    );
    expect(plan(ring, 0.6)).toBeCloseTo(45.6 * 1.2, 9);
    expect(axisLength(ring[0] as never)).toBeCloseTo(45.6, 12);
  });

  it('of a bent strip are mitred: an equilateral triangle ring is perimeter × width', () => {
    const h = (Math.sqrt(3) / 2) * 10;
    const ring = named(
      strip(
        [
          [0, 0],
          [10, 0],
          [5, h],
        ],
        { closed: true },
      ),
    );
    expect(plan(ring, 0.3)).toBeCloseTo(30 * 0.6, 9);
  });

  it('of a slight bend lose nothing on the outside', () => {
    const turn = 0.1;
    const bent = named(
      strip([
        [0, 0],
        [10, 0],
        [10 + 10 * Math.cos(turn), 10 * Math.sin(turn)],
      ]),
    );
    // Both legs are extended by half·tan(θ/2); what they share is that kite, so the area is 20 × width.
    expect(plan(bent, 0.5)).toBeCloseTo(20, 2);
  });

  it('of a free end reach out by the working space, and of a T stop at the far side', () => {
    expect(
      plan(
        named(
          strip([
            [0, 0],
            [10, 0],
          ]),
        ),
        0.5,
        0.25,
      ),
    ).toBeCloseTo(10.5, 9);
    const tee = named(
      strip([
        [0, 0],
        [10, 0],
      ]),
      strip([
        [5, 0],
        [5, 4],
      ]),
    );
    expect(plan(tee, 0.5)).toBeCloseTo(10 + 4 - 0.5, 9);
  });

  it('of a skew T reach the far side without passing it', () => {
    const tee = named(
      strip([
        [0, 0],
        [20, 0],
      ]),
      strip([
        [10, 0],
        [16, 6],
      ]),
    );
    const slant = Math.hypot(6, 6);
    // Beyond the near side line (y = 0.5) the stem is a parallelogram with one square end.
    const beyond = plan(tee, 0.5) - 20;
    expect(beyond).toBeGreaterThan(slant - 0.5 * Math.SQRT2 - 0.3);
    expect(beyond).toBeLessThan(slant);
  });

  it('of pads follow their turn, and points given twice do no harm', () => {
    const [pieces] = footingPieces(named(pad(3, 4, 2, 1, { angle: 30 })));
    expect(area(pieces![0]!)).toBeCloseTo(2, 12);
    const doubled = named(
      strip([
        [0, 0],
        [0, 0],
        [10, 0],
        [10, 0],
      ]),
    );
    expect(plan(doubled, 0.5)).toBeCloseTo(10, 9);
    expect(
      footingPieces(
        named(
          strip([
            [1, 1],
            [1, 1],
          ]),
        ),
      )[0],
    ).toEqual([]);
  });
});

describe('typed runs', () => {
  const read = (text: string, system: 'metric' | 'imperial' = 'metric', lang: 'en' | 'es' = 'en') =>
    parseRuns(text, [0, 0], system, lang);

  it.each([
    [
      '8.4 E, 6 N',
      [
        [0, 0],
        [8.4, 0],
        [8.4, 6],
      ],
    ],
    [
      '8.4 east; 6 north',
      [
        [0, 0],
        [8.4, 0],
        [8.4, 6],
      ],
    ],
    [
      '6 N 4 R 2 L',
      [
        [0, 0],
        [0, 6],
        [4, 6],
        [4, 8],
      ],
    ],
    [
      '5 m E 5 m NE',
      [
        [0, 0],
        [5, 0],
        [8.535533906, 3.535533906],
      ],
    ],
    [
      '10 N30E',
      [
        [0, 0],
        [5, 8.660254038],
      ],
    ],
  ])('%s', (text, points) => {
    expect(read(text)).toEqual({ ok: true, points, closed: false });
  });

  it('closes when it comes back to the start, or when told to', () => {
    expect(read('8.4 E, 6 N, 8.4 W, 6 S')).toMatchObject({ closed: true, points: { length: 4 } });
    expect(read('8.4 E, 6 N, 8.4 W, close')).toMatchObject({ closed: true, points: { length: 4 } });
  });

  it('takes Spanish headings and decimal commas, and feet and inches', () => {
    expect(read('8,4 E, 6 N, 8,4 O', 'metric', 'es')).toMatchObject({
      points: [
        [0, 0],
        [8.4, 0],
        [8.4, 6],
        [0, 6],
      ],
    });
    expect(read('3 este; 2 I', 'metric', 'es')).toMatchObject({
      points: [
        [0, 0],
        [3, 0],
        [3, 2],
      ],
    });
    expect(read(`27'-6" E, 12' N`, 'imperial')).toMatchObject({
      points: [
        [0, 0],
        [8.382, 0],
        [8.382, 3.6576],
      ],
    });
  });

  it.each([
    ['', 'empty'],
    ['8.4', 'heading'],
    ['8.4 Q', 'heading'],
    ['x E', 'length'],
    ['-3 E', 'length'],
    ['0 E', 'length'],
    ['4 L', 'firstTurn'],
    [`${'1 E;'.repeat(250)}`, 'tooMany'],
  ])('refuses %s', (text, code) => {
    const runs = read(text);
    expect(runs.ok).toBe(false);
    if (!runs.ok) expect(runs.problem.code).toBe(code);
  });
});
