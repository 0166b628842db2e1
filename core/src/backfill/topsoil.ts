/** Topsoil back on top: from how much there is, how thick it lies. */
import { type Asked, fillParts, type Sided } from './fill.ts';

/** How thick topsoil lies when so much of it goes back: found by trying, to a hair. */
export function topsoilThickness(asked: Asked, wanted: number, rooms: readonly Sided[]): number {
  if (wanted <= 0) return 0;
  const laid = (thickness: number) =>
    fillParts(asked, thickness, rooms).reduce(
      (sum, { stage, volume }) => (stage === 'topsoil' ? sum + volume : sum),
      0,
    );
  let [low, high] = [0, 0.25];
  while (laid(high) < wanted && high < 64) [low, high] = [high, high * 2];
  if (laid(high) <= wanted) return high;
  let [less, more] = [laid(low) - wanted, laid(high) - wanted];
  for (let i = 0; i < 60 && high - low > 1e-12; i++) {
    // Where it goes between both by their heights, and halves what is left every third time.
    const at = i % 3 === 2 ? (low + high) / 2 : low - (less * (high - low)) / (more - less);
    const off = laid(at) - wanted;
    if (Math.abs(off) < 1e-10) return at;
    if (off < 0) [low, less] = [at, off];
    else [high, more] = [at, off];
  }
  return (low + high) / 2;
}
