import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CUBIC_YARD, FOOT, INCH, POUND_PER_CUBIC_FOOT, SHORT_TON, US_GALLON, YARD } from './factors.ts';
import { KINDS, type Kind, type System } from './kinds.ts';
import type { Lang } from './lang.ts';
import { fromSI, parseQuantity, toSI } from './parse.ts';
import { feetInches, printEntry, printParts, printQuantity } from './print.ts';
import { bank, bankToLoose, compacted, compactedToBank } from './volume.ts';

const read = (text: string, kind: Kind = 'size', system: System = 'metric', lang: Lang = 'en') => {
  const parsed = parseQuantity(text, kind, system, lang);
  return parsed.ok ? parsed.value : parsed.code;
};

describe('factors', () => {
  it('agree with their definitions', () => {
    expect(CUBIC_YARD).toBeCloseTo(YARD ** 3, 12);
    expect(FOOT).toBeCloseTo(12 * INCH, 15);
    expect(US_GALLON).toBeCloseTo(231 * INCH ** 3, 15);
    expect(POUND_PER_CUBIC_FOOT).toBeCloseTo(16.01846337, 8);
    expect(SHORT_TON).toBeCloseTo(2000 * 0.45359237, 9);
  });
});

describe('typed entry', () => {
  it.each([
    ['600', 0.6],
    ['0.6 m', 0.6],
    ['60 cm', 0.6],
    ['60cm', 0.6],
    ["2'", 0.6096],
    [`2' 6"`, 0.762],
    [`2'-6 1/2"`, 0.7747],
    ['30 1/2 in', 0.7747],
    ['7/8"', 0.022225],
    ['2 ft 6 in', 0.762],
    ['2′ 6″', 0.762],
    ['30½"', 0.7747],
    ['0,6 m', 0.6],
    ['1,200', 1.2],
    ['-25', -0.025],
    ['−25', -0.025],
    ['  600  ', 0.6],
    ['600 MM', 0.6],
    [`2'6"`, 0.762],
    ['1.5e2', 0.15],
  ])('reads %s as a size', (text, metres) => {
    expect(read(text)).toBeCloseTo(metres, 12);
  });

  it('gives a bare number the unit of the field', () => {
    expect(read('600', 'size', 'metric')).toBeCloseTo(0.6, 12);
    expect(read('24', 'size', 'imperial')).toBeCloseTo(0.6096, 12);
    expect(read('8.4', 'length', 'metric')).toBe(8.4);
    expect(read('8', 'length', 'imperial')).toBeCloseTo(2.4384, 12);
  });

  it('takes the comma as decimal in Spanish and between groups of three in English', () => {
    expect(read('1,200', 'size', 'metric', 'es')).toBeCloseTo(0.0012, 12);
    expect(read('1.234,5', 'length', 'metric', 'es')).toBe(1234.5);
    expect(read('100.500', 'level', 'metric', 'es')).toBe(100.5);
    expect(read('8,4', 'length', 'metric', 'en')).toBe(8.4);
  });

  it('reads other kinds', () => {
    expect(read('1.5yd3', 'volume')).toBeCloseTo(1.5 * CUBIC_YARD, 12);
    expect(read('1.5 m³', 'volume')).toBe(1.5);
    expect(read('1:60', 'gradient')).toBeCloseTo(1 / 60, 12);
    expect(read('-1:60', 'gradient')).toBeCloseTo(-1 / 60, 12);
    expect(read('2 %', 'gradient')).toBe(0.02);
    expect(read('13 t', 'mass')).toBe(13_000);
    expect(parseQuantity('13 ton', 'mass', 'metric', 'en')).toMatchObject({ ok: false, code: 'whichTon' });
    expect(parseQuantity('13 ton', 'mass', 'imperial', 'en')).toMatchObject({ ok: true });
    // 100 a yd³ is 130.80 a m³.
    const price = parseQuantity('100', 'volumePrice', 'imperial', 'en');
    expect(price.ok && price.value).toBeCloseTo(130.795, 3);
    expect(read('1.5:1', 'slope')).toBe(1.5);
    expect(read('1.5H:1V', 'slope')).toBe(1.5);
    expect(read('0.75 h : 1 v', 'slope')).toBe(0.75);
    expect(read('1 in 60', 'gradient')).toBeCloseTo(1 / 60, 12);
    expect(read('-1 en 60', 'gradient')).toBeCloseTo(-1 / 60, 12);
    expect(read('25 %', 'percent')).toBe(0.25);
    expect(read('25', 'percent')).toBe(0.25);
    expect(read('32 F', 'temperature')).toBe(0);
    expect(read('14', 'temperature', 'imperial')).toBeCloseTo(-10, 12);
    expect(read('2e-5', 'permeability')).toBe(2e-5);
    expect(read('0.002 cm/s', 'permeability')).toBeCloseTo(2e-5, 15);
    expect(read('13 tn', 'mass')).toBeCloseTo(13 * SHORT_TON, 9);
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['abc', 'notANumber'],
    ['6 x', 'unknownUnit'],
    ['600 kg', 'unknownUnit'],
    ['1e309', 'notFinite'],
    ['NaN', 'notANumber'],
    ['Infinity', 'notANumber'],
    ['1/0', 'notANumber'],
    ['1:0', 'notANumber'],
    ['9'.repeat(80), 'tooLong'],
    ["2' 6' 3", 'notANumber'],
    ['--5', 'notANumber'],
  ])('refuses %s', (text, code) => {
    expect(read(text)).toBe(code);
  });

  it('never throws and never answers with a number that is not finite', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 80 }),
        fc.constantFrom(...(Object.keys(KINDS) as Kind[])),
        fc.constantFrom<System>('metric', 'imperial'),
        (text, kind, system) => {
          const parsed = parseQuantity(text, kind, system, 'en');
          expect(!parsed.ok || Number.isFinite(parsed.value)).toBe(true);
        },
      ),
    );
  });
});

describe('printing', () => {
  it.each([
    [0.7747, `2'-6 1/2"`],
    [0.022225, '7/8"'],
    [0.6096, `2'-0"`],
    [0.3047, `1'-0"`],
    [-0.9144, `-3'-0"`],
    [0.0254, '1"'],
    [0.001, '0"'],
    [-0.0001, '0"'],
  ])('prints %d m as %s', (metres, text) => {
    expect(feetInches(metres)).toBe(text);
  });

  it('carries into the next inch and foot', () => {
    expect(feetInches(12 * INCH - 0.0001)).toBe(`1'-0"`);
    expect(feetInches(0.3175 - 0.0001, 4)).toBe(`1'-0 1/2"`);
  });

  it.each([
    [1.52, '5 ft'],
    [1.524, '5 ft'],
    [6.1, '20 ft'],
    [1.22, '4 ft'],
    [7.6, '25 ft'],
    [0.61, '2 ft'],
    // What was written in metres is told no larger than it is.
    [1.2, `3'-11"`],
    [1, `3'-3 1/4"`],
    [0.7747, `2'-6 1/2"`],
  ])('tells a limit of %d m in feet in feet: %s', (metres, text) => {
    expect(printQuantity(metres, 'limit', 'imperial', 'en').replace(/\u00a0/g, ' ')).toBe(text);
    expect(printQuantity(metres, 'limit', 'metric', 'en')).toBe(
      printQuantity(metres, 'length', 'metric', 'en'),
    );
  });

  it('shows no decimals nobody can measure, and never NaN or a minus nought', () => {
    expect(printQuantity(0.6, 'size', 'metric', 'en')).toBe('600\u00a0mm');
    expect(printQuantity(12.345, 'volume', 'metric', 'es')).toBe('12,3\u00a0m³');
    expect(printParts(Number.NaN, 'volume', 'metric', 'en').number).toBe('–');
    expect(printParts(-0.0001, 'level', 'metric', 'en').number).toBe('0.000');
    expect(printQuantity(-1 / 60, 'gradient', 'metric', 'en')).toBe('-1 in 60');
    // 2e-5 · 86 400 = 1.728 m; 1.4e-5 is 1.21 m or 3.97 ft; what is tighter in millimetres, or inches.
    expect(printQuantity(2e-5, 'permeability', 'metric', 'es-ES')).toBe('1,7\u00a0m al día');
    expect(printQuantity(1.4e-5, 'permeability', 'metric', 'es-MX')).toBe('1.2\u00a0m al día');
    expect(printQuantity(1.4e-5, 'permeability', 'imperial', 'en-US')).toBe('4\u00a0ft a day');
    expect(printQuantity(1e-3, 'permeability', 'metric', 'en')).toBe('86\u00a0m a day');
    expect(printQuantity(1e-9, 'permeability', 'metric', 'en')).toBe('0.086\u00a0mm a day');
    expect(printQuantity(1e-7, 'permeability', 'imperial', 'en-US')).toBe('0.34\u00a0in a day');
    expect(printEntry(2e-5, 'permeability', 'metric', 'es-ES')).toBe('2e-5');
  });

  it('tells water in gallons to who reads feet', () => {
    // 1 m³ is 264.17 US gallons.
    expect(printQuantity(1, 'water', 'imperial', 'en-US')).toBe('264\u00a0gal');
    expect(printQuantity(1.26, 'water', 'metric', 'es-ES')).toBe('1,3\u00a0m³');
  });

  it('keeps what makes a thin size: a 0.3 mm membrane, a 1/16 in sheet', () => {
    expect(printEntry(0.0003, 'size', 'metric', 'en')).toBe('0.3');
    expect(printEntry(0.0003, 'size', 'imperial', 'en')).toBe('0.012');
    expect(printEntry(0.0015, 'size', 'imperial', 'es')).toBe('0,059');
    expect(printEntry(0, 'size', 'metric', 'en')).toBe('0');
  });

  it('prints for editing what parses back, to the printed precision', () => {
    const kinds: [Kind, number][] = [
      ['size', 0.0032],
      ['length', 0.006],
      ['level', 0.0032],
      ['volume', 0.05],
      ['slope', 0.006],
      ['percent', 1e-4],
      ['temperature', 0.06],
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.double({ min: -80, max: 300, noNaN: true }),
        fc.constantFrom<System>('metric', 'imperial'),
        fc.constantFrom<Lang>('en', 'es'),
        ([kind, close], value, system, lang) => {
          const parsed = parseQuantity(printEntry(value, kind, system, lang), kind, system, lang);
          expect(parsed.ok).toBe(true);
          if (parsed.ok) expect(Math.abs(parsed.value - value)).toBeLessThan(close);
        },
      ),
    );
  });

  it('converts there and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(KINDS) as Kind[])),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (kind, value) => {
          expect(fromSI(toSI(value, kind, 'imperial'), kind, 'imperial')).toBeCloseTo(value, 6);
        },
      ),
    );
  });
});

describe('states of a soil volume', () => {
  it('bulks and shrinks by FM 5-434', () => {
    // 100 bank m³ of clay at 43 %: 143 loose. 90 compacted m³ at 10 % shrink take 100 bank.
    expect(bankToLoose(bank(100), 0.43)).toBeCloseTo(143, 12);
    expect(compactedToBank(compacted(90), 0.1)).toBeCloseTo(100, 12);
    // Rock stays bulkier: 130 compacted come of 100 bank at −30 %.
    expect(compactedToBank(compacted(130), -0.3)).toBeCloseTo(100, 12);
  });
});
