/**
 * What is cast and cures: the days it was kept wet, days too cold to count, frost on it while it is young, and what time makes
 * ready to be asked for. Time asks and lets nothing go: each waits for who is named. Strength is never claimed.
 */
import { type Hold, holdsOf, isOpen } from '../../holds/index.ts';
import { wettedKey } from '../../log/index.ts';
import type { HoldKind, Role } from '../../plan/kinds.ts';
import type { Plan } from '../../plan/schema.ts';
import { boxElementOf } from '../../plan/variants.ts';
import { castWhen, coldDays, curedAt, type Pour, temperatures } from '../../pour/index.ts';
import { HOUR_MS } from '../../time/durations.ts';
import { dayOf, nextDayOf } from '../../time/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

export type ReadyWhat = 'strip' | 'bay' | 'load' | 'fill' | 'pumpOff';

export interface ReadyToAsk {
  readonly what: ReadyWhat;
  /** The day from which it may be asked for; null: nobody has said how long it takes. */
  readonly on: string | null;
  /** That day is here. */
  readonly due: boolean;
  /** Who is asked; whose look is open of it; let: nobody's is any more. */
  readonly role: Role;
  readonly hold: Hold | null;
  readonly let: boolean;
}

export interface CureRow {
  readonly pour: Pour;
  /** The day it was cast. */
  readonly cast: string;
  /** Days it is to be kept wet, and of those that have been: kept, missed, of which nothing was said. */
  readonly wanted: number;
  readonly kept: readonly string[];
  readonly missed: readonly string[];
  readonly unsaid: readonly string[];
  /** Days since it was cast that were too cold to count. */
  readonly cold: readonly string[];
  /** Days in which it freezes while it has to be kept warm, with their lows, °C. */
  readonly frost: readonly { readonly day: string; readonly low: number }[];
  readonly ready: readonly ReadyToAsk[];
}

/** Looks that let each, and who is asked where the job names nobody. */
const LET: Readonly<Record<ReadyWhat, { readonly kind: HoldKind | null; readonly role: Role }>> = {
  strip: { kind: null, role: 'competent' },
  bay: { kind: 'bay', role: 'engineer' },
  load: { kind: null, role: 'engineer' },
  fill: { kind: 'backfill', role: 'engineer' },
  pumpOff: { kind: 'pump', role: 'engineer' },
};

/** What is asked for of a pour, and after how many days; null: nobody has said. */
function asks({ days, backfill, pour: { cure } }: Plan, takeoff: Takeoff, { id, casts, elements }: Pour) {
  const passes = casts.some(({ stage }) => stage === 'pass');
  // A box is held down once the last of it is cast.
  const box = elements.some((own) => {
    const info = takeoff.elements.find((one) => one.id === own);
    const last = takeoff.pours.findLast((pour) => pour.elements.includes(own));
    return info !== undefined && boxElementOf(info.element) !== null && last?.id === id;
  });
  const out: { readonly what: ReadyWhat; readonly after: number | null }[] = passes
    ? [{ what: 'bay', after: days.bayCure }]
    : [
        { what: 'strip', after: days.formsStay },
        { what: 'fill', after: backfill.cureDays },
      ];
  out.push({ what: 'load', after: cure.load });
  if (box) out.push({ what: 'pumpOff', after: backfill.cureDays });
  return out;
}

/** @param today as on the job's calendar */
export function cureOf(plan: Plan, takeoff: Takeoff, today: string): CureRow[] {
  const { zone } = plan.water;
  const { facts } = takeoff;
  const cold = coldDays(plan, facts.weather);
  const known = temperatures(plan, facts.weather);
  const holds = holdsOf({ ...takeoff, plan });
  const { wet, warm } = plan.pour.cure;
  return takeoff.pours.flatMap((pour): CureRow[] => {
    const at = castWhen(
      pour.casts.map(({ key }) => key),
      facts.poured,
    );
    if (at === null) return [];
    const cast = dayOf(at, zone);
    const since: string[] = [];
    for (let day = cast; day <= today && since.length < 400; day = nextDayOf(day)) since.push(day);
    const watered = since.slice(1, 1 + Math.ceil(wet)).map((day) => {
      const said = facts.wetted.get(wettedKey(pour.id, day));
      return { day, said: said ? said.done : null };
    });
    const of = (said: boolean | null) => watered.flatMap((one) => (one.said === said ? [one.day] : []));
    const until = dayOf(at + warm * HOUR_MS, zone);
    const frost = [...known].flatMap(([day, { low }]) =>
      low !== null && low < 0 && day >= cast && day <= until ? [{ day, low }] : [],
    );
    return [
      {
        pour,
        cast,
        wanted: wet,
        kept: of(true),
        missed: of(false),
        unsaid: of(null),
        cold: since.slice(1).filter((day) => cold.has(day)),
        frost: frost.toSorted((p, q) => (p.day < q.day ? -1 : 1)),
        ready: asks(plan, takeoff, pour).map(({ what, after }): ReadyToAsk => {
          const on = after === null ? null : dayOf(curedAt(at, after, cold, zone), zone);
          const own = holds.filter(
            ({ kind, element }) =>
              kind === LET[what].kind && kind !== null && element !== null && pour.elements.includes(element),
          );
          const open = own.find(isOpen) ?? null;
          return {
            what,
            on,
            due: on !== null && on <= today,
            role: open?.role ?? own[0]?.role ?? LET[what].role,
            hold: open,
            let: own.length > 0 && open === null,
          };
        }),
      },
    ];
  });
}
