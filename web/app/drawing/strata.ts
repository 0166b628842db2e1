/** The ground along a line as paths: soils, surface and water, for screen and paper alike. */
import { type FencePost, type ProfilePiece, postAt } from '@cimiento/core';

/** Thinner than this on the drawing a soil is not drawn, px. */
const NO_LAYER = 0.4;

export interface Scale {
  readonly x: (s: number) => number;
  readonly y: (level: number) => number;
}

const point = ({ x, y }: Scale, s: number, level: number) => `${x(s).toFixed(1)} ${y(level).toFixed(1)}`;

/** One closed path a soil, by its position; empty where it is nowhere. The last runs to `bottom`, px. */
export function soilPaths(posts: readonly FencePost[], scale: Scale, bottom: number): string[] {
  const count = posts[0]?.tops.length ?? 0;
  return Array.from({ length: count }, (_, k) => {
    const under = (post: FencePost) =>
      k + 1 < count ? Math.min(bottom, scale.y(post.tops[k + 1]!)) : bottom;
    if (posts.every((post) => under(post) - scale.y(post.tops[k]!) < NO_LAYER)) return '';
    const top = posts.map((post) => point(scale, post.s, post.tops[k]!));
    const foot = posts.map((post) => `${scale.x(post.s).toFixed(1)} ${under(post).toFixed(1)}`).reverse();
    return `M${[...top, ...foot].join('L')}Z`;
  });
}

export const groundPath = (posts: readonly FencePost[], scale: Scale): string =>
  posts.length === 0 ? '' : `M${posts.map((post) => point(scale, post.s, post.ground)).join('L')}`;

/** The water line, broken where no level is known. */
export function waterPath(posts: readonly FencePost[], scale: Scale): string {
  let path = '';
  let open = false;
  for (const post of posts) {
    if (post.water !== null) path += `${open ? 'L' : 'M'}${point(scale, post.s, post.water)}`;
    open = post.water !== null;
  }
  return path;
}

/** The ground from s0 to s1 as points [s, level], its breaks between included. */
export function groundBetween(posts: readonly FencePost[], s0: number, s1: number): number[] {
  const level = (s: number) => postAt(posts, s)?.ground ?? 0;
  const out = [s0, level(s0)];
  for (const post of posts) if (post.s > s0 + 1e-9 && post.s < s1 - 1e-9) out.push(post.s, post.ground);
  return [...out, s1, level(s1)];
}

/** A closed path through points [s, level, …]. */
export function closedPath(points: readonly number[], scale: Scale): string {
  let d = '';
  for (let i = 0; i + 1 < points.length; i += 2)
    d += `${i === 0 ? 'M' : 'L'}${point(scale, points[i]!, points[i + 1]!)}`;
  return `${d}Z`;
}

/** The dug line: one stroke a run of touching pieces, from ground to ground. */
export function dugPath(pieces: readonly ProfilePiece[], posts: readonly FencePost[], scale: Scale): string {
  const ground = (s: number) => point(scale, s, postAt(posts, s)?.ground ?? 0);
  let line = '';
  let end = -Infinity;
  let level = 0;
  for (const p of pieces) {
    if (p.s0 > end + 1e-6) {
      if (end > -Infinity) line += `L${ground(end)}`;
      line += `M${ground(p.s0)}L${point(scale, p.s0, p.z0)}`;
    } else if (Math.abs(p.z0 - level) > 1e-6) line += `L${point(scale, p.s0, p.z0)}`;
    line += `L${point(scale, p.s1, p.z1)}`;
    end = p.s1;
    level = p.z1;
  }
  return end > -Infinity ? `${line}L${ground(end)}` : line;
}
