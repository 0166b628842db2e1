/**
 * Typed entry: reads what people write on site and answers in SI.
 * Accepts `600`, `0.6 m`, `60 cm`, `2'`, `2' 6"`, `2'-6 1/2"`, `30 1/2 in`, `7/8"`, `1.5yd3`,
 * a decimal comma, and ratios such as `1:60`, `1.5:1`, `25 %`.
 */
import { FOOT, INCH } from './factors.ts';
import { KINDS, type Kind, type System, WRITTEN } from './kinds.ts';
import { decimalSign, type Lang } from './lang.ts';

export type ParseProblem = 'empty' | 'tooLong' | 'notANumber' | 'unknownUnit' | 'notFinite' | 'whichTon';
export type Parsed =
  | { readonly ok: true; readonly value: number }
  | { readonly ok: false; readonly code: ParseProblem; readonly text: string };

const LONGEST = 64;
const VULGAR: Record<string, string> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
};

/** Folds the ways one mark is written into one: quotes, dashes, superscripts, vulgar fractions. */
function fold(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (mark) => VULGAR[mark] ?? mark)
    .replace(/[\u00a0\u202f\u2009]/g, ' ')
    .replace(/''|[”“″]/g, '"')
    .replace(/[’‘′]/g, "'")
    .replace(/[−–—]/g, '-')
    .replace(/³/g, '3')
    .replace(/²/g, '2')
    .replace(/\^/g, '')
    .replace(/í/g, 'i')
    .trim();
}

/**
 * One plain number. A comma is a decimal comma, except in English between groups of three
 * ("1,200" is twelve hundred); a point is a thousands mark only when a comma follows it.
 */
function plainNumber(text: string, lang: Lang): number | null {
  let digits = text.replace(/ /g, '');
  if (/^[+-]?\d{1,3}(,\d{3})+(\.\d+)?$/.test(digits) && decimalSign(lang) === '.')
    digits = digits.replace(/,/g, '');
  else if (/^[+-]?\d{1,3}(\.\d{3})*,\d+$/.test(digits)) digits = digits.replace(/\./g, '').replace(',', '.');
  else digits = digits.replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/.test(digits) ? Number(digits) : null;
}

/** A number that may carry a fraction: `30 1/2`, `7/8`, `-3-1/4`. */
function mixedNumber(text: string, lang: Lang): number | null {
  const fraction = /^([+-]?)(?:(\d+)[ -]+)?(\d+)\/(\d+)$/.exec(text.trim());
  if (!fraction) return plainNumber(text.trim(), lang);
  const bottom = Number(fraction[4]);
  if (bottom === 0) return null;
  const value = Number(fraction[2] ?? 0) + Number(fraction[3]) / bottom;
  return fraction[1] === '-' ? -value : value;
}

/** Feet and inches written together, in metres; null when the text is not of that form. */
function feetAndInches(text: string, lang: Lang): number | null {
  const match =
    /^([+-]?)\s*([\d.,]+)\s*(?:'|ft|feet|foot|pies?)\s*-?\s*([\d.,/ -]+?)\s*(?:"|in|inches|inch|pulg)?$/.exec(
      text,
    );
  if (!match?.[2] || !match[3]?.trim()) return null;
  const feet = plainNumber(match[2], lang);
  const inches = mixedNumber(match[3], lang);
  if (feet === null || inches === null || inches < 0) return null;
  return (match[1] === '-' ? -1 : 1) * (feet * FOOT + inches * INCH);
}

function ratio(text: string, kind: Kind, lang: Lang): number | null {
  const match =
    kind === 'slope'
      ? /^([^:h]+?)\s*h?\s*:\s*([^:v]+?)\s*v?$/i.exec(text)
      : /^([^:]+?)\s*(?::|\s(?:in|en)\s)\s*([^:]+)$/i.exec(text);
  if (!match?.[1] || !match[2]) return null;
  const left = plainNumber(match[1], lang);
  const right = plainNumber(match[2], lang);
  if (left === null || right === null || right === 0) return null;
  // A fall is written 1:60 (rise : run); a trench side H:V, run over rise.
  return kind === 'slope' || kind === 'gradient' ? left / right : null;
}

/**
 * Reads one typed quantity.
 * @param text what was typed
 * @param kind the kind of quantity the field holds; a bare number takes its unit
 * @returns the value in SI, or a named problem with the text as typed
 */
export function parseQuantity(text: string, kind: Kind, system: System, lang: Lang): Parsed {
  const bad = (code: ParseProblem): Parsed => ({ ok: false, code, text: text.slice(0, LONGEST) });
  if (text.length > LONGEST) return bad('tooLong');
  const written = fold(text);
  if (written === '') return bad('empty');
  const done = (value: number | null): Parsed =>
    value === null
      ? bad('notANumber')
      : Number.isFinite(value)
        ? { ok: true, value: value + 0 }
        : bad('notFinite');

  const asLength = kind === 'size' || kind === 'length' || kind === 'level' || kind === 'taped';
  if (asLength) {
    const both = feetAndInches(written, lang);
    if (both !== null) return done(both);
  }
  if (written.includes(':') || (kind === 'gradient' && /\s(in|en)\s/.test(written)))
    return done(ratio(written, kind, lang));

  const split = /^(.*?\d[.,]?|[.,]\d+)\s*([a-z%°"'][a-z0-9%°"'·/]*)?$/.exec(written);
  // "1e309" must reach the number reader whole, not as 1 with a unit of e309.
  const whole = plainNumber(written, lang);
  if (whole !== null || !split) {
    if (whole === null) return bad('notANumber');
    return done(toSI(whole, kind, system));
  }
  const number = mixedNumber(split[1] ?? '', lang);
  if (number === null) return bad('notANumber');
  const symbol = split[2];
  if (!symbol) return done(toSI(number, kind, system));
  if (kind === 'temperature') {
    if (symbol === '°c' || symbol === 'c') return done(number);
    if (symbol === '°f' || symbol === 'f') return done(((number - 32) * 5) / 9);
    return bad('unknownUnit');
  }
  if (kind === 'gradient' && symbol === '%') return done(number / 100);
  // A ton is 907 kg in feet and inches, and in metres who knows: it is asked.
  if (kind === 'mass' && system === 'metric' && (symbol === 'ton' || symbol === 'tons'))
    return bad('whichTon');
  const factor = WRITTEN[kind]?.[symbol];
  return factor === undefined ? bad('unknownUnit') : done(number * factor);
}

/** A number in the unit the kind shows in this system, in SI. */
export function toSI(value: number, kind: Kind, system: System): number {
  const unit = KINDS[kind][system];
  return value * unit.factor + (unit.offset ?? 0);
}

/** An SI value as a number in the unit the kind shows in this system. */
export function fromSI(value: number, kind: Kind, system: System): number {
  const unit = KINDS[kind][system];
  return (value - (unit.offset ?? 0)) / unit.factor;
}
