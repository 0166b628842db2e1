/**
 * The order in which records happened: by cause first, by clock where there is no other word. Phones'
 * clocks are off by minutes; what corrects a thing came after it all the same.
 *
 * Not covered: two people who knew nothing of one another, with clocks that are off. Their records stand
 * in the order of their clocks, the same for every reader.
 */
import type { SiteRecord } from './record.ts';

const smaller = <T>(p: T, q: T): number => (p < q ? -1 : p > q ? 1 : 0);

/**
 * When each record happened, ms: by the clock of who made it, but after what it corrects and after the
 * newest its maker knew of. Where some claim to come after one another in a circle, the one with the
 * earliest clock (the smaller id where clocks agree) begins it.
 */
function moments(records: readonly SiteRecord[]): Map<SiteRecord, number> {
  const byId = new Map(records.map((record) => [record.id, record]));
  const causes = ({ corrects, after }: SiteRecord): SiteRecord[] =>
    [corrects, after].flatMap((id) => (id === null ? [] : (byId.get(id) ?? [])));
  const effects = new Map<SiteRecord, SiteRecord[]>();
  const waits = new Map<SiteRecord, number>();
  for (const record of byId.values()) {
    const own = causes(record);
    waits.set(record, own.length);
    for (const cause of own) effects.set(cause, [...(effects.get(cause) ?? []), record]);
  }
  const done = new Map<SiteRecord, number>();
  const happen = (first: SiteRecord) => {
    const ready = [first];
    for (let record = ready.pop(); record; record = ready.pop()) {
      if (done.has(record)) continue;
      const before = causes(record).flatMap((cause) => done.get(cause) ?? []);
      done.set(record, Math.max(Date.parse(record.at), ...before.map((moment) => moment + 1)));
      for (const effect of effects.get(record) ?? []) {
        const left = waits.get(effect)! - 1;
        waits.set(effect, left);
        if (left === 0) ready.push(effect);
      }
    }
  };
  for (const record of byId.values()) if (waits.get(record) === 0) happen(record);
  // What is left is in a circle, or after one.
  if (done.size < byId.size)
    for (const record of [...byId.values()].sort((p, q) => smaller(p.at, q.at) || smaller(p.id, q.id)))
      happen(record);
  return done;
}

const ordered = new WeakMap<readonly SiteRecord[], SiteRecord[]>();

/** Records in the order they happened, each id once; the same for every reader. The same list gives the same order. */
export function inTime(records: readonly SiteRecord[]): readonly SiteRecord[] {
  const known = ordered.get(records);
  if (known) return known;
  const at = moments(records);
  const made = [...at.keys()].sort((p, q) => at.get(p)! - at.get(q)! || smaller(p.id, q.id));
  ordered.set(records, made);
  return made;
}

/**
 * The records that stand: of each chain of corrections the newest, unless it withdraws. A correction
 * of a record that is not there, or of one of another kind, stands for itself. Two corrections of one
 * record: the later stands. They keep the place in time of what they correct.
 * The same list gives the same answer.
 */
export function standing(records: readonly SiteRecord[]): readonly SiteRecord[] {
  const known = stand.get(records);
  if (known) return known;
  const made = standingOf(records);
  stand.set(records, made);
  return made;
}

const stand = new WeakMap<readonly SiteRecord[], readonly SiteRecord[]>();

function standingOf(records: readonly SiteRecord[]): SiteRecord[] {
  const byId = new Map(records.map((record) => [record.id, record]));
  const roots = new Map<string, string>();
  /** Names the chain a record is of: its first record, or of a circle the smallest id in it. */
  const rootOf = (record: SiteRecord): string => {
    const way = new Set<string>();
    let root: string | undefined;
    for (let at: SiteRecord | undefined = record; at && root === undefined; ) {
      root = roots.get(at.id);
      if (root !== undefined) break;
      if (way.has(at.id)) {
        const ids = [...way];
        root = ids.slice(ids.indexOf(at.id)).sort()[0];
        break;
      }
      way.add(at.id);
      const before: SiteRecord | undefined = at.corrects === null ? undefined : byId.get(at.corrects);
      if (!before) root = at.corrects ?? at.id;
      else if (before.kind !== at.kind) root = at.id;
      at = before;
    }
    for (const id of way) roots.set(id, root!);
    return root!;
  };
  const newest = new Map<string, SiteRecord>();
  for (const record of inTime(records)) newest.set(rootOf(record), record);
  return [...newest.values()].filter((record) => record.value !== null);
}
