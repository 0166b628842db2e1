/** Holds of a job: who still has to see what, what that needs first, and what waits for it. */
import { holdKey, TICK_LISTS } from '../log/index.ts';
import { HELD_WORK, type HeldWork, HOLD_KINDS, type HoldKind, type Role } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import type { Pour } from '../pour/index.ts';
import type { ElementTakeoff } from '../takeoff/index.ts';
import { type HeldJob, HOLDS } from './kinds.ts';
import { type Hold, type HoldState, isOpen, type Look, type Need, visitCounts } from './visits.ts';

interface Asking {
  readonly hold: string;
  readonly element: string | null;
}
const of = <K extends Look['kind']>(looks: readonly Look[], kind: K, { hold, element }: Asking) =>
  looks.findLast(
    (look): look is Extract<Look, { readonly kind: K }> =>
      look.kind === kind && 'hold' in look.value && look.value.hold === hold && look.element === element,
  ) ?? null;

/** A hold of which nobody asked yet how it stands. */
type Plain = Omit<Hold, 'due' | 'state' | 'visit' | 'asked'>;

function stateOf(plain: Plain, looks: readonly Look[]): Pick<Hold, 'state' | 'visit' | 'asked'> {
  const visit = of(looks, 'visit', plain);
  const asked = of(looks, 'asked', plain);
  const since = visit && asked ? looks.indexOf(asked) > looks.indexOf(visit) : asked !== null;
  const counts = visit ? visitCounts(plain, visit.value) : null;
  const open: HoldState = plain.needs.every(({ met }) => met) ? 'ready' : 'wanting';
  if (counts === 'released' || counts === 'overridden') return { state: counts, visit, asked: null };
  if (since) return { state: 'asked', visit, asked };
  return { state: counts === 'refused' ? 'refused' : open, visit, asked: null };
}

/** Whose eyes a kind needs on a job; null: nobody's there. */
function roleOf({ holds }: Plan, kind: HoldKind): Role | null {
  const own = holds.by.find(({ hold }) => hold === kind)?.role;
  return own === undefined ? HOLDS[kind].role : own === 'none' ? null : own;
}

/** A list of the kind, and how much of it is gone through. */
function ticks(kind: HoldKind, info: ElementTakeoff | null, job: HeldJob): Need[] {
  const { facts } = job;
  const list = (TICK_LISTS[kind] as readonly string[]).filter(
    (item) => info === null || (HOLDS[kind].asks?.(item, info, job) ?? true),
  );
  if (list.length === 0) return [];
  const done = facts.ticked.get(holdKey(kind, info?.id ?? null))?.done ?? [];
  const have = list.filter((item) => done.includes(item)).length;
  return [{ code: 'ticked', have, of: list.length, met: have === list.length }];
}

/**
 * Every hold of a job, in the order the work is done.
 * @param job a takeoff with its plan
 */
export function holdsOf(job: HeldJob): readonly Hold[] {
  const { plan, elements, facts } = job;
  const hold = (plain: Plain): Hold => ({
    ...plain,
    due: false,
    ...stateOf(plain, facts.looks),
  });
  const kinds = HOLD_KINDS.flatMap((kind): Hold[] => {
    const row = HOLDS[kind];
    const role = roleOf(plan, kind);
    if (role === null) return [];
    const some = elements.filter((info) => row.applies(info, job));
    const one = (info: ElementTakeoff | null) =>
      hold({
        hold: kind,
        kind,
        name: '',
        element: info?.id ?? null,
        before: row.before,
        role,
        strict: row.strict ?? false,
        needs: [...row.needs(info, job), ...ticks(kind, info, job)],
      });
    if (row.ofJob) return some.length > 0 ? [one(null)] : [];
    return some.map(one);
  });
  const own = plan.holds.own.flatMap(({ id, name, role, before, elements: ids }): Hold[] => {
    const plain = {
      hold: id,
      kind: 'own',
      name,
      before,
      role,
      strict: role === 'engineer',
      needs: [],
    } as const;
    return ids.length === 0
      ? [hold({ ...plain, element: null })]
      : ids.map((element) => hold({ ...plain, element }));
  });
  return withDue(job, [...kinds, ...own]);
}

/** What is to be seen before work is come to, by what it is seen before. */
const AFTER: Readonly<Record<HeldWork, readonly HoldKind[]>> = {
  dig: [],
  cover: ['setout'],
  pour: ['bottom', 'lift'],
  backfill: ['forms'],
  pumpOff: ['forms'],
  postsOut: ['bay'],
};

/** Elements on whose bottom something lies. */
const laidOn = (elements: HeldJob['elements']): ReadonlySet<string> =>
  new Set(elements.flatMap(({ id, cards }) => (cards.some(({ state }) => state !== 'toCome') ? [id] : [])));

/** Says of each whether the work has come to it. */
function withDue({ facts, asDug, elements }: HeldJob, holds: readonly Hold[]): Hold[] {
  const laid = laidOn(elements);
  const seen = (kind: HoldKind, element: string | null) => {
    const own = holds.filter(
      (hold) => hold.kind === kind && (element === null || hold.element === element || hold.element === null),
    );
    return (
      own.length === 0 ||
      (element === null ? own.some((hold) => !isOpen(hold)) : own.every((hold) => !isOpen(hold)))
    );
  };
  const begun = ({ hold, kind, element, visit, asked, state }: Hold) => {
    if (visit || asked || !isOpen({ state })) return true;
    if (element === null) return false;
    if (kind === 'bottom') return asDug.has(element) || facts.bottom.has(element);
    return kind === 'lift' && hold === kind && laid.has(element);
  };
  return holds.map((hold) => ({
    ...hold,
    due:
      begun(hold) ||
      hold.before === 'dig' ||
      (hold.before !== 'cover' && AFTER[hold.before].every((kind) => seen(kind, hold.element))),
  }));
}

/** Work in its order: what waits for a look waits for those of the work before it too. */
const ORDER: readonly HeldWork[] = HELD_WORK;

/** Pours with what still holds each, named. */
export function heldPours(
  pours: readonly Pour[],
  holds: readonly Hold[],
): { readonly pour: Pour; readonly holds: readonly Hold[] }[] {
  const before = ORDER.slice(0, ORDER.indexOf('pour') + 1);
  return pours.map((pour) => ({
    pour,
    holds: holds.filter(
      (hold) =>
        isOpen(hold) &&
        before.includes(hold.before) &&
        hold.element !== null &&
        pour.elements.includes(hold.element),
    ),
  }));
}

/** Looks still open at which something has been covered already: what lies there nobody has seen. */
export function coveredUnseen({ elements }: HeldJob, holds: readonly Hold[]): readonly Hold[] {
  const covered = laidOn(elements);
  return holds.filter(
    (hold) => isOpen(hold) && hold.kind === 'bottom' && hold.element !== null && covered.has(hold.element),
  );
}
