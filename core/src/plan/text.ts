/**
 * Text a plan can hold: whole characters that every store, sheet and file can carry. Half a pair
 * (an emoji cut in two), NUL and other control characters are not.
 */

const BROKEN = /(?![\t\n\r])[\p{Cc}\p{Cs}]/u;
const BROKEN_ALL = new RegExp(BROKEN.source, 'gu');

/** What the schema asks of every text; patterns are read with the u flag. */
export const WHOLE_TEXT = '^(?:[^\\p{Cc}\\p{Cs}]|[\\t\\n\\r])*$';

export const isWholeText = (text: string): boolean => !BROKEN.test(text);

/** Made when first needed: it takes a tenth of a second on a phone, and hardly any text is cut. */
let graphemes: Intl.Segmenter | null = null;

/**
 * Text without what cannot be kept, cut to a length between characters a person would tell apart.
 * @param most code points, as the schema counts
 */
export function wholeText(text: string, most = Infinity): string {
  const whole = text.replace(BROKEN_ALL, '');
  if (whole.length <= most) return whole;
  let out = '';
  let length = 0;
  graphemes ??= new Intl.Segmenter(undefined, { granularity: 'grapheme' });
  for (const { segment } of graphemes.segment(whole)) {
    length += [...segment].length;
    if (length > most) break;
    out += segment;
  }
  return out;
}

/** A value with every text in it made whole; the value itself when nothing had to be done. */
export function wholeValue<T>(value: T): T {
  if (typeof value === 'string') return (isWholeText(value) ? value : wholeText(value)) as T;
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) {
    // Long lists of numbers (surveys) hold no text.
    if (value.every((entry) => typeof entry === 'number')) return value;
    const made = value.map(wholeValue);
    return made.some((entry, i) => entry !== value[i]) ? (made as T) : value;
  }
  const entries = Object.entries(value);
  const made = entries.map(([key, entry]) => [key, wholeValue(entry)] as const);
  return made.some(([, entry], i) => entry !== entries[i]![1]) ? (Object.fromEntries(made) as T) : value;
}
