/**
 * What a crew's own records teach: outputs by soil, the pace of hands, trips, how much soil swells. It is
 * proposed with the days behind it and how far they lie apart; it counts once the lead has taken it.
 */
import type { SoilKind } from '../catalogue/soils.ts';
import { type SiteRecord, standing } from '../log/index.ts';
import type { Plan } from '../plan/schema.ts';
import { outputTaken, type Share, swellTaken, type Taught, taught } from '../rates/index.ts';
import { dayOfRecord } from './report.ts';

/** A plan being changed. */
type Draft = { -readonly [K in keyof Plan]: Plan[K] };

/** What of: a machine's bank m³ an hour in a soil (null: any), loose m³ by hand, minutes of a trip, swell of a soil. */
export type Lesson =
  | { readonly of: 'output'; readonly machine: string; readonly soil: SoilKind | null }
  | { readonly of: 'byHand' }
  | { readonly of: 'trip' }
  | { readonly of: 'swell'; readonly soil: SoilKind };
export type Proposal = Lesson &
  Taught & {
    /** What the plan has of it now, taken earlier or typed; null: it goes by what is typical. */
    readonly now: number | null;
  };

/** What the plan has of a lesson. */
function now(plan: Plan, lesson: Lesson): number | null {
  const { dig, ground, spoil } = plan;
  switch (lesson.of) {
    case 'output':
      return outputTaken(plan, lesson.machine, lesson.soil);
    case 'byHand':
      return dig.handRate ?? dig.learned.byHand?.value ?? null;
    case 'trip':
      return spoil.trip;
    case 'swell':
      return (
        ground.soils.find(({ kind }) => kind === lesson.soil)?.values.swell ??
        swellTaken(plan, lesson.soil) ??
        null
      );
  }
}

/** Rows by what is told of them, in the order of first mention. */
function grouped<T>(of: readonly T[], keyOf: (one: T) => string): T[][] {
  const out = new Map<string, T[]>();
  for (const one of of) out.set(keyOf(one), [...(out.get(keyOf(one)) ?? []), one]);
  return [...out.values()];
}

/** Everything the log teaches of a job's rates. @param zone the job's clock */
export function proposalsOf(plan: Plan, records: readonly SiteRecord[], zone: string): Proposal[] {
  const told = standing(records);
  const dug = told.flatMap((record) =>
    record.kind === 'dug' && record.value
      ? [{ ...record.value, soil: record.value.soil ?? null, day: dayOfRecord(record, zone) }]
      : [],
  );
  const out: (Proposal | null)[] = grouped(
    dug.filter(({ machine }) => plan.dig.machines.some(({ id }) => id === machine)),
    ({ machine, soil }) => `${machine}/${soil}`,
  ).map((own) => {
    const { machine, soil } = own[0]!;
    return proposed(
      plan,
      { of: 'output', machine, soil },
      own.map(({ day, volume, hours }) => ({ day, amount: volume, per: hours })),
    );
  });
  const byHand = told.flatMap((record) =>
    record.kind === 'handDug' && record.value
      ? [{ day: dayOfRecord(record, zone), amount: record.value.volume, per: record.value.hours }]
      : [],
  );
  out.push(proposed(plan, { of: 'byHand' }, byHand));
  const hauled = told.flatMap((record) =>
    record.kind === 'hauled' && record.value ? [{ ...record.value, day: dayOfRecord(record, zone) }] : [],
  );
  const trips = hauled.flatMap(({ day, loads, trip }) =>
    typeof trip === 'number' ? [{ day, amount: trip * loads, per: loads }] : [],
  );
  out.push(proposed(plan, { of: 'trip' }, trips));
  // Loads against what was dug: of days on which all of it left, and all of it was one soil.
  const bulked = grouped(hauled, ({ day }) => day).flatMap((loads) => {
    const own = dug.filter(({ day }) => day === loads[0]!.day);
    const soil = own[0]?.soil ?? null;
    const bank = own.reduce((sum, { volume }) => sum + volume, 0);
    const loose = loads.reduce((sum, { volume }) => sum + volume, 0);
    return loads.every(({ all }) => all === true) && soil !== null && own.every((one) => one.soil === soil)
      ? [{ soil, day: loads[0]!.day, amount: loose - bank, per: bank }]
      : [];
  });
  for (const own of grouped(bulked, ({ soil }) => soil))
    out.push(proposed(plan, { of: 'swell', soil: own[0]!.soil }, own));
  return out.flatMap((one) => (one === null ? [] : [one]));
}

function proposed(plan: Plan, lesson: Lesson, shares: readonly Share[]): Proposal | null {
  const told = taught(shares);
  return told && { ...lesson, ...told, now: now(plan, lesson) };
}

/** Writes what the lead takes into a draft of the plan; what was typed of it gives way. */
export function takeLesson(draft: Draft, proposal: Proposal): void {
  const { days, value } = proposal;
  const { dig, ground, spoil } = draft;
  const own = { value, days };
  switch (proposal.of) {
    case 'output': {
      const { machine, soil } = proposal;
      const id = `${machine.slice(0, 24)}-${soil ?? 'any'}`;
      dig.learned.outputs = [
        ...dig.learned.outputs.filter((one) => one.machine !== machine || one.soil !== soil),
        { id, machine, soil, ...own },
      ];
      return;
    }
    case 'byHand':
      dig.handRate = null;
      dig.learned.byHand = own;
      return;
    case 'trip':
      spoil.trip = value;
      return;
    case 'swell': {
      const { soil } = proposal;
      for (const one of ground.soils) if (one.kind === soil) delete one.values.swell;
      ground.swells = [...ground.swells.filter((one) => one.soil !== soil), { id: soil, soil, ...own }];
    }
  }
}

/** Goes back to what is typed or typical; a trip stays as it is typed. */
export function leaveLesson(draft: Draft, lesson: Lesson): void {
  const { dig, ground } = draft;
  const { learned } = dig;
  if (lesson.of === 'byHand') learned.byHand = null;
  if (lesson.of === 'output')
    learned.outputs = learned.outputs.filter(
      (one) => one.machine !== lesson.machine || one.soil !== lesson.soil,
    );
  if (lesson.of === 'swell') ground.swells = ground.swells.filter((one) => one.soil !== lesson.soil);
}
