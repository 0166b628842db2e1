/**
 * What is worked out apart from the web server's own thread: takeoffs and paper. Runs in the pool's
 * workers; what goes in and out is plain data.
 */
import {
  compute,
  dayPlanOf,
  digSequence,
  heldFills,
  type Lang,
  type Plan,
  programmeOf,
  type SiteRecord,
  type System,
} from '@cimiento/core';
import { takeoffCsv, takeoffJson } from '@cimiento/formats';
import { loadMessages, makeI18n, wordsOf } from '../app/messages/i18n.ts';
import { isFigure, missingFrom } from '../app/paper/read-back.server.ts';
import { SHEETS, type SheetId } from '../app/paper/sheets.ts';
import { unread } from '../app/server/afresh.ts';
import { summaryOf } from '../app/server/summary.ts';

export interface PaperTask {
  readonly sheet: SheetId;
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
  readonly revision: number;
  readonly savedAt: Date;
  readonly lang: Lang;
  readonly system: System;
  readonly zone: string;
  readonly day?: string;
  readonly thumbs?: ReadonlyMap<string, Uint8Array>;
}

/** Answers as soon as the program has been read. */
export const ready = () => true;

interface Job {
  readonly plan: Plan;
  readonly records: readonly SiteRecord[];
}
export const summary = ({ plan, records }: Job) => summaryOf(plan, records);
export const json = ({ plan, records }: Job) =>
  `${JSON.stringify(takeoffJson(plan, compute(plan, records)), null, 2)}\n`;
/** Ids of lifts of fill that were laid before they were let, and nobody said why. */
export const held = ({
  plan,
  records,
  sent,
  today,
}: Job & { readonly sent: readonly SiteRecord[]; readonly today: string }) =>
  heldFills(plan, records, sent, today);
/** How long an order of digging is looked for before the days are put by the best found, ms. */
const LOOKS = 2000;
/** The days of a job, in the order it is best dug; with what is on one of them. */
export const days = ({
  plan,
  records,
  today,
  day,
}: Job & { readonly today: string; readonly day: string }) => {
  const takeoff = compute(plan, records);
  const until = performance.now() + LOOKS;
  const found = digSequence(plan, takeoff, () => performance.now() < until);
  const order = found.ok ? found.steps.map(({ id }) => id) : [];
  const made = programmeOf(plan, takeoff, { order, today, records });
  return { days: made, order, on: dayPlanOf(plan, takeoff, made, day) };
};
export const csv = ({ plan, records }: Job) => takeoffCsv(plan, compute(plan, records));

export async function paper({ sheet, ...rest }: PaperTask): Promise<Uint8Array> {
  const t = wordsOf(makeI18n(rest.lang, await loadMessages(rest.lang)));
  const printed = await SHEETS[sheet].make({ ...rest, t });
  // Nobody is handed a depth that does not read as it was worked out.
  const missing = (await missingFrom(printed)).texts.filter(isFigure);
  if (missing.length > 0) throw unread(missing);
  return printed.pdf;
}
