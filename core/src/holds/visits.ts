/** A hold as it stands, and what a visit makes of it. */
import type { BookedRecord } from '../log/record.ts';
import type { HeldWork, HoldKind, Role } from '../plan/kinds.ts';

/** What must be there before somebody looks. Counts where there is something to count. */
export interface Need {
  readonly code:
    | 'taped'
    | 'shotAll'
    | 'shotGood'
    | 'shotSure'
    | 'bottomFound'
    | 'tests'
    | 'liftsReleased'
    | 'baysReleased'
    | 'heldDown'
    | 'ticked';
  readonly met: boolean;
  readonly have: number;
  readonly of: number;
}

export type Look = BookedRecord<'looks'>;
export type Visit = Extract<Look, { readonly kind: 'visit' }>;
type Asked = Extract<Look, { readonly kind: 'asked' }>;

/** Something is wanting; ready to be seen; asked for; refused; released; let go all the same, with a reason. */
export type HoldState = 'wanting' | 'ready' | 'asked' | 'refused' | 'released' | 'overridden';

export interface Hold {
  /** What records name it by: its kind, or the id of one of the job's own. */
  readonly hold: string;
  readonly kind: HoldKind | 'own';
  /** Of one of the job's own; empty of the rest. */
  readonly name: string;
  /** Null: of the job as a whole. */
  readonly element: string | null;
  readonly before: HeldWork;
  /** Whose eyes it needs. */
  readonly role: Role;
  /** Nobody else lets it go, whatever the reason. */
  readonly strict: boolean;
  readonly needs: readonly Need[];
  /** The work has come to it: what was to be seen before it was, or somebody has begun. */
  readonly due: boolean;
  readonly state: HoldState;
  /** The last who came, and whoever was asked since. */
  readonly visit: Visit | null;
  readonly asked: Asked | null;
}

export const isOpen = ({ state }: Pick<Hold, 'state'>): boolean =>
  state !== 'released' && state !== 'overridden';

/** What a visit comes to. A release by one who may not, or over something wanting without a reason, is none. */
export function visitCounts(
  { role, strict, needs }: Pick<Hold, 'role' | 'strict' | 'needs'>,
  visit: Pick<Visit['value'], 'verdict' | 'role' | 'what'>,
): 'refused' | 'released' | 'overridden' | 'notTheirs' | 'noReason' {
  if (visit.verdict === 'refused') return 'refused';
  const theirs = visit.role === role;
  if (!theirs && strict) return 'notTheirs';
  if (theirs && needs.every(({ met }) => met)) return 'released';
  return visit.what.trim() === '' ? 'noReason' : 'overridden';
}
