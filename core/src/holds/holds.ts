/** Holds of a job: who still has to see what, what that needs first, and what waits for it. */
import { type HeldWork, HOLD_KINDS, type HoldKind, type Role } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import type { Pour } from '../pour/index.ts';
import type { ElementTakeoff } from '../takeoff/index.ts';
import { type HeldJob, HOLDS } from './kinds.ts';
import { type Hold, type HoldState, isOpen, type Look, visitCounts } from './visits.ts';

interface Asking {
  readonly hold: string;
  readonly element: string | null;
}
const of = <K extends Look['kind']>(looks: readonly Look[], kind: K, { hold, element }: Asking) =>
  looks.findLast(
    (look): look is Extract<Look, { readonly kind: K }> =>
      look.kind === kind && 'hold' in look.value && look.value.hold === hold && look.element === element,
  ) ?? null;

function stateOf(
  plain: Omit<Hold, 'state' | 'visit' | 'asked'>,
  looks: readonly Look[],
): Pick<Hold, 'state' | 'visit' | 'asked'> {
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

/**
 * Every hold of a job, in the order the work is done.
 * @param job a takeoff with its plan
 */
export function holdsOf(job: HeldJob): readonly Hold[] {
  const { plan, elements, facts } = job;
  const hold = (plain: Omit<Hold, 'state' | 'visit' | 'asked'>): Hold => ({
    ...plain,
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
        needs: row.needs(info, job),
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
  return [...kinds, ...own];
}

/** Work in its order: what waits for a look waits for those of the work before it too. */
const ORDER: readonly HeldWork[] = ['dig', 'cover', 'pour', 'backfill'];

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
  const covered = new Set(
    elements.flatMap(({ id, cards }) => (cards.some(({ state }) => state !== 'toCome') ? [id] : [])),
  );
  return holds.filter(
    (hold) => isOpen(hold) && hold.kind === 'bottom' && hold.element !== null && covered.has(hold.element),
  );
}
