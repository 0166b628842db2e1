/** Ways in that are too tight, leave nobody gave, permits that are wanting or over: told, nothing claimed about law. */
import type { PermitKind } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';

/** Left free on both sides of what passes, together, m. */
const ROOM = 0.3;
/** A tipper on the road, m wide and high: typical, as no plan says. */
const TRUCK = { width: 2.5, height: 3.5 } as const;

export type WayTrouble =
  | { readonly code: 'narrow'; readonly way: string; readonly what: string; readonly size: number }
  | { readonly code: 'low'; readonly way: string; readonly what: string; readonly size: number }
  | { readonly code: 'noLeave' | 'noBoards'; readonly way: string };

/** What of the ways in stops machine, trucks or barrows. */
export function wayTroubles({ site, dig, spoil }: Pick<Plan, 'site' | 'dig' | 'spoil'>): WayTrouble[] {
  const digs = dig.machines.filter(({ id }) => id === dig.machine);
  return site.ways.flatMap(({ name: way, width, height, lawn, boards, leave }): WayTrouble[] => [
    ...(width === null
      ? []
      : [
          ...digs.map(({ name, width: wide }) => ({ what: name, size: wide })),
          ...spoil.trucks.map(({ name }) => ({ what: name, size: TRUCK.width })),
        ].flatMap(({ what, size }): WayTrouble[] =>
          size + ROOM > width + 1e-9 ? [{ code: 'narrow', way, what, size }] : [],
        )),
    ...(height === null || height >= TRUCK.height
      ? []
      : spoil.trucks.map(({ name }): WayTrouble => ({ code: 'low', way, what: name, size: height }))),
    ...(leave !== null && (leave.who.trim() === '' || leave.when.trim() === '')
      ? [{ code: 'noLeave' as const, way }]
      : []),
    ...(lawn && !boards ? [{ code: 'noBoards' as const, way }] : []),
  ]);
}

export interface PermitTrouble {
  readonly code: 'missing' | 'over';
  readonly kind: PermitKind;
  readonly name: string;
  readonly until: string;
}

/** @param today as 2026-11-30: a permit good until today is good */
export const permitTroubles = ({ permits }: Pick<Plan, 'permits'>, today: string): PermitTrouble[] =>
  permits.flatMap(({ kind, name, until, held }): PermitTrouble[] => {
    if (!held) return [{ code: 'missing', kind, name, until }];
    return until !== '' && until < today ? [{ code: 'over', kind, name, until }] : [];
  });
