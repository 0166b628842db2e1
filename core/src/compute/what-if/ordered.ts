/** Word from an inspector or an engineer put into a plan, and what that comes to. */

import { COMPARED, type ComparedId } from '../../figures/index.ts';
import { type BookedRecord, type Ordered, withOrdered } from '../../log/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { keyOf } from '../../plan/variants.ts';
import type { Kind } from '../../units/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import { type Difference, whatIf } from './what-if.ts';

/** What stands in the plan now of what is ordered, m; null where there is no such thing. */
export function orderedFrom(plan: Plan, takeoff: Takeoff, { what, element, thing }: Ordered): number | null {
  const info = takeoff.elements.find(({ id }) => id === element);
  switch (what) {
    case 'level':
      return info?.live ? info.underside : null;
    case 'width':
      return info && 'width' in info.element ? info.element.width : null;
    case 'thickness':
      return info?.element.thickness ?? null;
    case 'key':
      return info ? (keyOf(info.element)?.depth ?? null) : null;
    case 'step':
      return plan.levels.steps.height;
    case 'bed':
      return info?.layers[0]?.layer.thickness ?? null;
    case 'cutBack':
      return plan.ground.hazards.find(({ id }) => id === thing)?.projection ?? null;
  }
}

/** What an order comes to against the plan as it stands. */
export const orderedCost = (plan: Plan, takeoff: Takeoff, ordered: Ordered): Difference =>
  whatIf(plan, takeoff)(withOrdered(plan, ordered)).change;

/** An amount a change moves, SI. */
export interface ChangedAmount {
  readonly of: ComparedId;
  readonly kind: Kind;
  readonly change: number;
}

/** Whether a stop of that kind stands over the whole job, or over the element if one is given. */
const isStopped = (cautions: Takeoff['cautions'], code: string, element: string | null): boolean =>
  cautions.some(
    (one) =>
      one.weight === 'stop' &&
      one.code === code &&
      (one.elements.length === 0 || (element !== null && one.elements.includes(element))),
  );

/** What it comes to, and what it would bring that holds people up: a stop that is not there now. */
export function orderedComesTo(
  plan: Plan,
  takeoff: Takeoff,
  ordered: Ordered,
): {
  readonly change: Difference;
  /** What of it is worth telling, in order. */
  readonly amounts: readonly ChangedAmount[];
  readonly stops: readonly Takeoff['cautions'][number][];
} {
  const { takeoff: other, change } = whatIf(plan, takeoff)(withOrdered(plan, ordered));
  const known = (code: string, id: string | null) => isStopped(takeoff.cautions, code, id);
  const stops = other.cautions.filter(
    ({ weight, code, elements }) =>
      weight === 'stop' &&
      (elements.length === 0 ? !known(code, null) : elements.some((id) => !known(code, id))),
  );
  const amounts = COMPARED.flatMap(({ id, kind, least }): ChangedAmount[] =>
    Math.abs(change.of[id]) >= least ? [{ of: id, kind, change: change.of[id] }] : [],
  );
  return { change, amounts, stops };
}

/** What digging an element on from where it stands now brings: stops that are not there yet, and how deep it is then. */
export function digOn(
  plan: Plan,
  takeoff: Takeoff,
  id: string,
  by: number,
): { readonly stops: readonly Takeoff['cautions'][number][]; readonly depth: number } {
  const info = takeoff.elements.find((one) => one.id === id);
  if (!info) return { stops: [], depth: 0 };
  const now = withOrdered(plan, {
    what: 'level',
    to: info.underside + by,
    thing: null,
    element: id,
    who: '-',
    why: '',
    when: '',
  });
  const standing = whatIf(plan, takeoff)(now).takeoff.cautions;
  return {
    depth: info.depth,
    stops: takeoff.cautions.filter(
      ({ weight, code, elements }) =>
        weight === 'stop' &&
        (elements.length === 0 || elements.includes(id)) &&
        !isStopped(standing, code, id),
    ),
  };
}

/** An order with what became of it. */
export interface RegisteredChange {
  readonly record: Extract<BookedRecord<'changes'>, { readonly kind: 'change' }>;
  /** What it came to when it was said. */
  readonly amounts: readonly ChangedAmount[];
  readonly state: 'open' | 'taken' | 'aside';
  readonly why: string;
}

/** The register of changes, in the order they were said. */
export const registerOf = ({ facts }: Pick<Takeoff, 'facts'>): RegisteredChange[] =>
  facts.changes.flatMap((record): RegisteredChange[] => {
    if (record.kind !== 'change') return [];
    const settled = facts.settled.get(record.value.word);
    const amounts = COMPARED.flatMap(({ id, kind }): ChangedAmount[] => {
      const change = record.value.amounts.find(({ of }) => of === id)?.change ?? 0;
      return change === 0 ? [] : [{ of: id, kind, change }];
    });
    return [{ record, amounts, state: settled?.how ?? 'open', why: settled?.why ?? '' }];
  });
