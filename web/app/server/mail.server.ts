/** What is sent by mail, in the language of the page it was asked on; the stand-in takes it. */
import type { Lang } from '@cimiento/core';
import { sendMail } from '../../db/queries/mail.ts';
import { loadMessages, makeI18n, wordsOf } from '../messages/i18n.ts';

/** @param link where another password is chosen */
export async function mailReset(
  { name, email }: { readonly name: string; readonly email: string },
  link: string,
  lang: Lang,
): Promise<void> {
  const t = wordsOf(makeI18n(lang, await loadMessages(lang)));
  await sendMail({ to: email, subject: t('forgot.subject'), body: t('forgot.body', { name, link }) });
}
