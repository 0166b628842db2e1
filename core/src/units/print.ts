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
  /** Finest part of an inch: eighths at the desk, quarters in the field, 1 for rough sizes. */
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

/**
 * Metres as feet, inches and a fraction: `2'-6 1/2"`, `7/8"`, `-3'-0"`.
 * @param metres any finite length; rounded to the nearest 1/`parts` inch
 */
export function feetInches(metres: number, parts: 1 | 4 | 8 = 8): string {
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

/** One quantity as text with its unit. */
export function printQuantity(
  value: number,
  kind: Kind,
  system: System,
  lang: Lang,
  options: PrintOptions = {},
): string {
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
  // A membrane is a third of a millimetre: thin sizes keep the decimals that make them.
  const thin = kind === 'size' && value !== 0 && Math.abs(value) < (system === 'metric' ? 0.01 : INCH / 8);
  if (thin) return decimal(fromSI(value, kind, system), system === 'metric' ? 1 : 3, lang, 0);
  return printParts(value, kind, system, lang, {}).number;
}
