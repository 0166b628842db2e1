/** Printing: SI values as people read them, in either system and language. */
import { FOOT, INCH } from './factors.ts';
import { KINDS, type Kind, type System } from './kinds.ts';
import { type Lang, tongueOf, written } from './lang.ts';
import { fromSI } from './parse.ts';

export interface Printed {
  readonly number: string;
  /** Empty when the number carries its own marks (feet and inches) or has no unit. */
  readonly unit: string;
}

export interface PrintOptions {
  readonly decimals?: number;
  /** Finest part of an inch; 1 for rough sizes, else the quarters a crew reads. */
  readonly parts?: 1 | 4 | 8;
}

const formats = new Map<string, Intl.NumberFormat>();
function decimal(value: number, decimals: number, lang: Lang, least = decimals): string {
  const key = `${lang}${decimals}/${least}`;
  let format = formats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(written(lang), {
      minimumFractionDigits: least,
      maximumFractionDigits: decimals,
      useGrouping: false,
    });
    formats.set(key, format);
  }
  const shown = format.format(value);
  // A level that rounds to nothing must not read "-0.000".
  return /^-[0.,]*$/.test(shown) ? shown.slice(1) : shown;
}

/** Within this of a whole eighth of an inch a length was typed as one, m. */
const TYPED_EIGHTH = 1e-6;
/** Quarters of an inch are read on site; what was typed in eighths stays as it was typed, on screen and paper alike. */
function partsOf(metres: number): 4 | 8 {
  const eighth = INCH / 8;
  const whole = Math.abs(metres - Math.round(metres / eighth) * eighth) < TYPED_EIGHTH;
  // What rounds to no quarter is still something.
  return whole || Math.abs(metres) < eighth ? 8 : 4;
}

/**
 * Metres as feet, inches and a fraction: `2'-6 1/2"`, `7/8"`, `-3'-0"`.
 * @param metres any finite length; rounded to the nearest 1/`parts` inch
 */
export function feetInches(metres: number, parts: 1 | 4 | 8 = partsOf(metres)): string {
  const units = Math.round((Math.abs(metres) / INCH) * parts);
  const sign = metres < 0 && units > 0 ? '-' : '';
  const feet = Math.floor(units / (12 * parts));
  const rest = units - feet * 12 * parts;
  const inches = Math.floor(rest / parts);
  let top = rest - inches * parts;
  let bottom: number = parts;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const fraction = top > 0 ? `${top}/${bottom}` : '';
  if (feet === 0) {
    const whole = inches > 0 || !fraction ? String(inches) : '';
    return `${sign}${[whole, fraction].filter(Boolean).join(' ')}"`;
  }
  return `${sign}${feet}'-${inches}${fraction ? ` ${fraction}` : ''}"`;
}

/** A membrane is a third of a millimetre: thin sizes keep the decimals that make them. */
const isThin = (value: number, kind: Kind, system: System): boolean =>
  kind === 'size' && value !== 0 && Math.abs(value) < (system === 'metric' ? 0.01 : INCH / 8);
const thinNumber = (value: number, system: System, lang: Lang): string =>
  decimal(value / (system === 'metric' ? 0.001 : INCH), system === 'metric' ? 1 : 3, lang, 0);
/** Of a size that would print as none it is told how thin it is. */
const wouldVanish = (value: number, system: System): boolean =>
  Math.abs(value) < (system === 'metric' ? 0.0005 : INCH / 16);

/** One quantity as number and unit. Never prints NaN: what is not finite prints as a dash. */
export function printParts(
  value: number,
  kind: Kind,
  system: System,
  lang: Lang,
  options: PrintOptions = {},
): Printed {
  if (!Number.isFinite(value)) return { number: '–', unit: '' };
  const unit = KINDS[kind][system];
  if (kind === 'limit' && system === 'imperial') return limitParts(value);
  if (isThin(value, kind, system) && wouldVanish(value, system) && options.decimals === undefined)
    return { number: thinNumber(value, system, lang), unit: system === 'metric' ? 'mm' : 'in' };
  if (unit.feetInches && options.decimals === undefined)
    return { number: feetInches(value, options.parts), unit: '' };
  const shown = fromSI(value, kind, system);
  if (kind === 'permeability') return { number: exponent(shown, lang), unit: unit.symbol };
  // A side by its run over its rise, a fall as one speaks of it: neither is taken for the other.
  if (kind === 'slope') return { number: `${decimal(shown, 2, lang, 0)}H:1V`, unit: '' };
  if (kind === 'gradient') {
    if (Math.abs(shown) < 1e-9) return { number: '0', unit: '' };
    const run = decimal(1 / Math.abs(shown), 1, lang, 0);
    return { number: `${shown < 0 ? '-' : ''}1 ${tongueOf(lang) === 'es' ? 'en' : 'in'} ${run}`, unit: '' };
  }
  return { number: decimal(shown, options.decimals ?? unit.decimals, lang), unit: unit.symbol };
}

/** A limit within this of whole feet was written in feet, m: 1.52 is 5 ft. */
const WHOLE_FEET = 0.006;

/** A limit as its rule says it in whole feet; one written in metres in feet and inches, not over it. */
function limitParts(value: number): Printed {
  const feet = Math.round(value / FOOT);
  if (Math.abs(value - feet * FOOT) < WHOLE_FEET * Math.max(1, feet / 5))
    return { number: String(feet), unit: 'ft' };
  const quarter = INCH / 4;
  return { number: feetInches(Math.floor(value / quarter + 1e-6) * quarter, 4), unit: '' };
}

function exponent(value: number, lang: Lang): string {
  if (value === 0) return '0';
  const power = Math.floor(Math.log10(Math.abs(value)) + 1e-12);
  const mantissa = value / 10 ** power;
  return `${decimal(mantissa, 1, lang, 0)}e${power}`;
}

const DAY = 86_400;
/** How far water goes through soil in a day, coarse to fine: m, and from how much on it is told so, m. */
const SEEPS = {
  metric: [
    ['m', 1, 0.095],
    ['cm', 0.01, 0.0095],
    ['mm', 0.001, 0],
  ],
  imperial: [
    ['ft', FOOT, 0.29 * FOOT],
    ['in', INCH, 0],
  ],
} as const;

/** A permeability as a crew says it, to two figures: how far water goes through in a day. */
function perDay(value: number, system: System, lang: Lang): string {
  const far = Math.abs(value) * DAY;
  const [unit, size] = SEEPS[system].find(([, , from]) => far >= from)!;
  const shown = Number((far / size).toPrecision(2));
  const decimals = shown === 0 ? 0 : Math.max(0, 1 - Math.floor(Math.log10(shown) + 1e-12));
  const number = decimal(shown, Math.min(decimals, 6), lang, 0);
  return `${number}\u00a0${unit} ${tongueOf(lang) === 'es' ? 'al día' : 'a day'}`;
}

/** One quantity as text with its unit. */
export function printQuantity(
  value: number,
  kind: Kind,
  system: System,
  lang: Lang,
  options: PrintOptions = {},
): string {
  if (kind === 'permeability' && Number.isFinite(value)) return perDay(value, system, lang);
  const parts = printParts(value, kind, system, lang, options);
  return parts.unit
    ? `${parts.number}${parts.unit === '%' || parts.unit === '°' ? '' : '\u00a0'}${parts.unit}`
    : parts.number;
}

/** The text a field shows for editing: it parses back to the value. */
export function printEntry(value: number, kind: Kind, system: System, lang: Lang): string {
  if (
    kind === 'percent' ||
    kind === 'angle' ||
    kind === 'days' ||
    kind === 'count' ||
    kind === 'number' ||
    kind === 'price' ||
    kind === 'volumePrice' ||
    kind === 'massPrice' ||
    kind === 'areaPrice'
  )
    return decimal(fromSI(value, kind, system), 3, lang, 0);
  if (isThin(value, kind, system)) return thinNumber(value, system, lang);
  return printParts(value, kind, system, lang, {}).number;
}
