/**
 * Words. One i18next instance a language: nothing in it is a request's own, since its language
 * never changes once it is made.
 */
import type { Lang } from '@cimiento/core';
import { createInstance, type i18n } from 'i18next';
import { initReactI18next } from 'react-i18next';
import type { Messages } from './en.ts';

/** Only the language in use is fetched by the browser. */
export const loadMessages = (lang: Lang): Promise<Messages> =>
  lang === 'es' ? import('./es.ts').then((m) => m.es) : import('./en.ts').then((m) => m.en);

const made = new Map<Lang, i18n>();

export function makeI18n(lang: Lang, messages: Messages): i18n {
  const before = made.get(lang);
  if (before) return before;
  const instance = createInstance();
  made.set(lang, instance);
  instance.use(initReactI18next).init({
    lng: lang,
    resources: { [lang]: { translation: messages } },
    initAsync: false,
    interpolation: { escapeValue: false },
    returnNull: false,
  });
  return instance;
}
