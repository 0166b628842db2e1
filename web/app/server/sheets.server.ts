/** Printed sheets of a job, in the reader's language and units. */
import { loadMessages, makeI18n } from '../messages/i18n.ts';
import type { SheetInput } from '../paper/sheet.server.tsx';
import { fileOf, jobOf } from './download.server.ts';
import { preferencesOf } from './http.server.ts';

/** @param render makes the PDF of what a sheet is made from */
export async function sheetOf(
  request: Request,
  jobId: string,
  render: (input: SheetInput) => Promise<Uint8Array<ArrayBuffer>>,
): Promise<Response> {
  const { plan, revision, updatedAt } = await jobOf(request, jobId);
  const { lang, system } = preferencesOf(request);
  const i18n = makeI18n(lang, await loadMessages(lang));
  const pdf = await render({
    plan,
    revision,
    savedAt: updatedAt,
    lang,
    system: system ?? plan.system,
    t: i18n.t,
  });
  return fileOf(pdf, 'application/pdf', plan.name, 'pdf', 'inline');
}
