/**
 * Bays under an old wall in time: how far each is by the log, which keep which shut, and what may be done next. No two
 * neighbours are open or uncured; a pass waits until the one before is packed and let go by whose eyes the job says. A
 * bay that was refused keeps its neighbours shut, and its pass from being cast. Nothing here designs underpinning.
 */
import type { HeldJob } from '../holds/index.ts';
import { type BayStep, bayKey } from '../log/index.ts';
import { traitsOf } from '../plan/variants.ts';
import { coldDays, curedAt } from '../pour/index.ts';

const BAY_STATES = ['toCome', 'open', 'refused', 'seen', 'poured', 'cured', 'packed', 'released'] as const;
export type BayState = (typeof BAY_STATES)[number];

/** A bay is so far, or farther; one that was refused is open. */
export const isPast = (state: BayState, than: BayState): boolean =>
  BAY_STATES.indexOf(state) >= BAY_STATES.indexOf(than);

export interface BayNow {
  readonly element: string;
  readonly bay: number;
  readonly pass: number;
  readonly state: BayState;
  /** Who saw, refused or let it go, and what he wants done. */
  readonly who: string;
  readonly what: string;
  /** When it has cured, ms since 1970; null: it is not cast. */
  readonly cures: number | null;
  /** Bays that keep it shut, or from going on. */
  readonly keptBy: readonly number[];
  /** What may be done of it now; null: nothing. */
  readonly next: Exclude<BayStep, 'refused'> | 'pour' | null;
}

/** Bays left whole between two that are open. */
const WHOLE_BETWEEN = 2;
/** Where the job asks for nobody's eyes anybody may let a bay go. */
const bayRole = ({ holds }: HeldJob['plan']) =>
  holds.by.find(({ hold }) => hold === 'bay')?.role ?? 'engineer';

/** @param now ms since 1970 */
export function baysNow(job: HeldJob, now: number): BayNow[] {
  const { plan, elements, facts, pours } = job;
  const role = bayRole(plan);
  const cold = coldDays(plan, facts.weather);
  return elements.flatMap(({ id, element, bays, live }): BayNow[] => {
    if (!live || !bays || !traitsOf(element).inBays) return [];
    const passOf = (bay: number) => bays.passes.findIndex((own) => own.includes(bay)) + 1;
    const castAt = new Map(
      pours.flatMap(({ casts }) =>
        casts.flatMap(({ element: own, stage, number, key }) => {
          const at = own === id && stage === 'pass' ? facts.poured.get(key)?.at : undefined;
          return at === undefined ? [] : [[number, Date.parse(at)] as const];
        }),
      ),
    );
    const found = Array.from({ length: bays.count }, (_, i) => {
      const bay = i + 1;
      const last = facts.bay.get(bayKey(id, bay));
      const at = castAt.get(passOf(bay)) ?? null;
      const cures = at === null ? null : curedAt(at, plan.days.bayCure, cold, plan.water.zone);
      return { bay, last, cures, state: stateOf(last, cures, now, role) };
    });
    const of = (bay: number) => found[bay - 1]!.state;
    const openBay = (state: BayState) => state !== 'toCome' && state !== 'released';
    return found.map(({ bay, last, cures, state }): BayNow => {
      const pass = passOf(bay);
      const near = found.flatMap((other) =>
        other.bay !== bay && Math.abs(other.bay - bay) <= WHOLE_BETWEEN && openBay(other.state)
          ? [other.bay]
          : [],
      );
      const before = bays.passes
        .slice(0, pass - 1)
        .flatMap((own) => own.filter((one) => of(one) !== 'released'));
      const refused = bays.passes[pass - 1]!.filter((one) => one !== bay && of(one) === 'refused');
      const keptBy =
        state === 'toCome'
          ? [...new Set([...near, ...before])].toSorted((p, q) => p - q)
          : state === 'seen'
            ? refused
            : near;
      return {
        element: id,
        bay,
        pass,
        state,
        who: last?.who ?? '',
        what: last?.what ?? '',
        cures,
        keptBy,
        next: nextOf(state, keptBy.length > 0),
      };
    });
  });
}

function stateOf(
  last: { readonly state: BayStep; readonly role: string } | undefined,
  cures: number | null,
  now: number,
  role: string,
): BayState {
  if (last?.state === 'refused') return 'refused';
  // Cast over a bay nobody let go on: it is cast.
  if (cures === null) return last?.state === 'seen' ? 'seen' : last === undefined ? 'toCome' : 'open';
  // Let go by somebody else it waits for whose word it is.
  if (last?.state === 'released') return role === 'none' || last.role === role ? 'released' : 'packed';
  if (last?.state === 'packed') return 'packed';
  return now >= cures ? 'cured' : 'poured';
}

function nextOf(state: BayState, kept: boolean): BayNow['next'] {
  switch (state) {
    case 'toCome':
      return kept ? null : 'dug';
    case 'open':
    case 'refused':
      return 'seen';
    case 'seen':
      return kept ? null : 'pour';
    case 'cured':
      return 'packed';
    case 'packed':
      return 'released';
    default:
      return null;
  }
}
