import { loadMessages, makeI18n } from '../messages/i18n.ts';
import { digSheet } from '../paper/sheet.server.tsx';
import { fileOf, jobOf } from '../server/download.server.ts';
import { preferencesOf } from '../server/http.server.ts';
import type { Route } from './+types/dig-sheet';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { plan, revision, updatedAt } = await jobOf(request, params.jobId);
  const { lang, system } = preferencesOf(request);
  const i18n = makeI18n(lang, await loadMessages(lang));
  const pdf = await digSheet({
    plan,
    revision,
    savedAt: updatedAt,
    lang,
    system: system ?? plan.system,
    t: i18n.t,
  });
  return fileOf(pdf, 'application/pdf', plan.name, 'pdf', 'inline');
}
