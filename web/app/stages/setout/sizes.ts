/** "7.2 m x 3.8 m", or one size for a square: what people write for a rectangle. */
import { FIELDS, type Lang, parseQuantity, type System } from '@cimiento/core';

/** @returns length and width, m; null when it is not two sizes a plan may hold */
export function parseSizes(
  text: string,
  kind: 'size' | 'length',
  system: System,
  lang: Lang,
): readonly [number, number] | null {
  const parts = text.trim() === '' ? [] : text.split(/\s*[x×]\s*|\s+por\s+|\s+by\s+/i);
  const sizes = parts.map((part) => parseQuantity(part, kind, system, lang));
  const [length, width] = sizes.map((size) => (size.ok ? size.value : Number.NaN));
  if (length === undefined || sizes.length > 2) return null;
  const both = [length, width ?? length] as const;
  const most = kind === 'size' ? FIELDS['/elements/*/width'].max : FIELDS['/elements/*/at/0'].max;
  return both.every((value) => value >= FIELDS['/elements/*/length'].min && value <= most) ? both : null;
}
