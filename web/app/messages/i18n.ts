/**
 * Words. One i18next instance a language: nothing in it is a request's own, since its language
 * never changes once it is made.
 */
import type { Lang } from '@cimiento/core';
import { createInstance, type i18n } from 'i18next';
import { initReactI18next } from 'react-i18next';
import type { Messages } from './en.ts';
import type { enFirst } from './enFirst.ts';
import type { Words } from './words.ts';

/** The whole of a language, for the server. */
export const loadMessages = (lang: Lang): Promise<Messages> =>
  lang === 'es' ? import('./es.ts').then((m) => m.es) : import('./en.ts').then((m) => m.en);

const made = new Map<Lang, i18n>();

/** What the browser starts with, of the language in use alone. */
export const loadFirst = (lang: Lang) =>
  lang === 'es'
    ? import('./esFirst.ts').then((m) => m.esFirst)
    : import('./enFirst.ts').then((m) => m.enFirst);

/** The words of what is fetched later, put with those that are there. */
export async function loadLater(lang: Lang, instance: i18n): Promise<void> {
  const words =
    lang === 'es'
      ? await import('./esLater.ts').then((m) => m.esLater)
      : await import('./enLater.ts').then((m) => m.enLater);
  instance.addResourceBundle(lang, 'translation', words, true, true);
}

export function makeI18n(lang: Lang, messages: Messages | Words<typeof enFirst>): i18n {
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
