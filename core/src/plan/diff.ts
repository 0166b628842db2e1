/**
 * Differences between two plans, value by value, and putting them on a third. Things that carry
 * an id (elements, soils, trucks, floor layers) are matched by it, so moving one in a list or
 * deleting its neighbour is not a change of its values.
 */
import type { Plan } from './schema.ts';

/** One changed value. `from` is absent for something added, `to` for something removed. */
export interface PlanChange {
  readonly path: string;
  readonly from?: unknown;
  readonly to?: unknown;
}

type Item = Record<string, unknown> & { id: string };
const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isItems = (value: unknown): value is Item[] =>
  Array.isArray(value) && value.every((item) => isRecord(item) && typeof item.id === 'string');

/** Equal as JSON, whatever the order of keys: the database keeps its own. */
export function sameValue(p: unknown, q: unknown): boolean {
  if (p === q) return true;
  if (Array.isArray(p) && Array.isArray(q))
    return p.length === q.length && p.every((value, i) => sameValue(value, q[i]));
  if (!isRecord(p) || !isRecord(q)) return false;
  const keys = Object.keys(p);
  return keys.length === Object.keys(q).length && keys.every((key) => key in q && sameValue(p[key], q[key]));
}

function walk(from: unknown, to: unknown, path: string, out: PlanChange[]): void {
  if (sameValue(from, to)) return;
  if (isItems(from) && isItems(to) && (from.length > 0 || to.length > 0)) {
    for (const item of from) {
      const other = to.find((candidate) => candidate.id === item.id);
      if (other) walk(item, other, `${path}/${item.id}`, out);
      else out.push({ path: `${path}/${item.id}`, from: item });
    }
    for (const item of to)
      if (!from.some((candidate) => candidate.id === item.id))
        out.push({ path: `${path}/${item.id}`, to: item });
    return;
  }
  if (isRecord(from) && isRecord(to)) {
    for (const key of new Set([...Object.keys(from), ...Object.keys(to)]))
      walk(from[key], to[key], `${path}/${key}`, out);
    return;
  }
  out.push({ path, ...(from !== undefined && { from }), ...(to !== undefined && { to }) });
}

/** Every value that differs between two plans. Order within lists is not compared. */
export function planChanges(from: Plan, to: Plan): PlanChange[] {
  const out: PlanChange[] = [];
  walk(from, to, '', out);
  return out;
}

/** The document with changes put on it. A change of something since removed is left out. */
export function applyChanges(plan: Plan, changes: readonly PlanChange[]): Plan {
  const document = structuredClone(plan) as unknown as Record<string, unknown>;
  for (const { path, to } of changes) {
    const keys = path.split('/').slice(1);
    const last = keys.pop();
    if (last === undefined) continue;
    let place: unknown = document;
    for (const key of keys) {
      if (Array.isArray(place)) place = isItems(place) ? place.find((item) => item.id === key) : undefined;
      else place = isRecord(place) ? place[key] : undefined;
    }
    if (Array.isArray(place)) {
      const index = place.findIndex((item) => isRecord(item) && item.id === last);
      if (to === undefined) {
        if (index >= 0) place.splice(index, 1);
      } else if (index >= 0) place[index] = structuredClone(to);
      else place.push(structuredClone(to));
    } else if (isRecord(place)) {
      if (to === undefined) delete place[last];
      else place[last] = structuredClone(to);
    }
  }
  return document as unknown as Plan;
}

export interface Collision {
  readonly path: string;
  readonly base: unknown;
  readonly theirs: unknown;
  readonly mine: unknown;
}

const overlaps = (p: string, q: string) => p === q || p.startsWith(`${q}/`) || q.startsWith(`${p}/`);

/**
 * Two people's edits of one revision. What only I changed goes on top of theirs; where both
 * changed the same value nobody is overwritten in silence: it is listed.
 * @returns `merged` holds theirs wherever the two collide
 */
export function mergePlans(
  base: Plan,
  theirs: Plan,
  mine: Plan,
): { merged: Plan; collisions: Collision[]; theirChanges: PlanChange[] } {
  const theirChanges = planChanges(base, theirs);
  const collisions: Collision[] = [];
  const clean: PlanChange[] = [];
  for (const change of planChanges(base, mine)) {
    const rival = theirChanges.find((other) => overlaps(other.path, change.path));
    if (!rival) clean.push(change);
    else if (!sameValue(rival.to, change.to) || rival.path !== change.path)
      collisions.push({ path: change.path, base: change.from, theirs: rival.to, mine: change.to });
  }
  return { merged: applyChanges(theirs, clean), collisions, theirChanges };
}
