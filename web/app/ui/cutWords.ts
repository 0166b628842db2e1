/** A cut list in words: like pieces of stock together. */
import type { PourForms } from '@cimiento/core';
import type { Format } from './format.tsx';

type CutList = PourForms['sets'][number]['cut'];

export interface CutLine {
  readonly key: string;
  readonly count: number;
  readonly stock: string;
  readonly cuts: string;
  readonly left: string | null;
}

/** Left over of a stock length that is worth telling, m. */
const WORTH = 0.005;

export function cutText(format: Format, { stocks }: CutList): CutLine[] {
  const out = new Map<string, CutLine>();
  for (const { stock, cuts, left } of stocks) {
    const said = cuts.map(({ length }) => format.text(length, 'taped')).join(' + ');
    const key = `${stock} ${said}`;
    const known = out.get(key);
    out.set(key, {
      key,
      count: (known?.count ?? 0) + 1,
      stock: format.text(stock, 'length'),
      cuts: said,
      left: left > WORTH ? format.text(left, 'taped') : null,
    });
  }
  return [...out.values()];
}
