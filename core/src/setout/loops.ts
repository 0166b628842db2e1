/** Loops of sides between corners. */
import { area as areaOf } from '../geometry/index.ts';

/** A corner of a network of sides: its name tells it from the others. */
interface Corner {
  readonly name: string;
  readonly at: readonly [number, number];
}

/** A loop encloses at least this, m². */
const SOMETHING = 1e-3;

/** The corners of every loop the sides make round ground none of them crosses, anticlockwise. */
export function loopsOf<P extends Corner>(sides: readonly { readonly from: P; readonly to: P }[]): P[][] {
  const near = new Map<P, P[]>();
  const join = (p: P, q: P) => near.set(p, [...(near.get(p) ?? []), q]);
  for (const { from, to } of sides) {
    join(from, to);
    join(to, from);
  }
  const angle = (p: P, q: P) => Math.atan2(q.at[1] - p.at[1], q.at[0] - p.at[0]);
  for (const [p, list] of near) list.sort((q, r) => angle(p, q) - angle(p, r));
  const walked = new Set<string>();
  const key = (p: P, q: P) => `${p.name}→${q.name}`;
  const out: P[][] = [];
  for (const [start, list] of near)
    for (const second of list) {
      if (walked.has(key(start, second))) continue;
      const loop: P[] = [];
      let [p, q] = [start, second];
      while (!walked.has(key(p, q))) {
        walked.add(key(p, q));
        loop.push(p);
        // On with the sharpest turn left: the side before the one come by, round the corner.
        const round = near.get(q)!;
        const next = round[(round.indexOf(p) + round.length - 1) % round.length]!;
        [p, q] = [q, next];
      }
      if (areaOf(loop.flatMap((corner) => corner.at)) > SOMETHING && new Set(loop).size === loop.length)
        out.push(loop);
    }
  return out;
}
