/**
 * Words. One i18next instance a language and country: nothing in it is a request's own, since its language
 * never changes once it is made.
 */
import { type Lang, tongueOf } from '@cimiento/core';
import { createInstance, type i18n } from 'i18next';
import { initReactI18next } from 'react-i18next';
import type { Messages } from './en.ts';
import type { enFirst } from './enFirst.ts';
import { type Rule, retold } from './words/rules.ts';
import type { Words } from './words.ts';

/** A crew's own words over those of its language; none where it is spoken plainly. */
const loadRules = async (lang: Lang): Promise<readonly Rule[]> => {
  switch (lang) {
    case 'en-US':
      return (await import('./words/en-US.ts')).rules;
    case 'en-GB':
      return (await import('./words/en-GB.ts')).rules;
    case 'es-ES':
      return (await import('./words/es-ES.ts')).rules;
    case 'es-MX':
      return (await import('./words/es-MX.ts')).rules;
    case 'es-PE':
      return (await import('./words/es-PE.ts')).rules;
    default:
      return [];
  }
};

/** Words as they are loaded, in a crew's own. */
async function loaded<T>(lang: Lang, words: Promise<T>): Promise<T> {
  const [plain, rules] = await Promise.all([words, loadRules(lang)]);
  return retold(plain, rules);
}

const whole = new Map<Lang, Promise<Messages>>();

/** The whole of a language, for the server. */
export function loadMessages(lang: Lang): Promise<Messages> {
  const known = whole.get(lang);
  if (known) return known;
  const words: Promise<Messages> =
    tongueOf(lang) === 'es' ? import('./es.ts').then((m) => m.es) : import('./en.ts').then((m) => m.en);
  const made = loaded(lang, words);
  whole.set(lang, made);
  return made;
}

const made = new Map<Lang, i18n>();

/** What the browser starts with, of the language in use alone. */
export const loadFirst = (lang: Lang): Promise<Words<typeof enFirst>> =>
  loaded<Words<typeof enFirst>>(
    lang,
    tongueOf(lang) === 'es'
      ? import('./esFirst.ts').then((m) => m.esFirst)
      : import('./enFirst.ts').then((m) => m.enFirst),
  );

/** Puts words with those that are there. */
async function put(lang: Lang, instance: i18n, words: Promise<object>): Promise<void> {
  instance.addResourceBundle(lang, 'translation', await loaded(lang, words), true, true);
}

/** The words of the board alone, and of what is brought there: it needs them first, a desk later. */
export const loadBoard = (lang: Lang, instance: i18n): Promise<void> =>
  put(
    lang,
    instance,
    tongueOf(lang) === 'es'
      ? import('./esBoard.ts').then((m) => m.esBoard)
      : import('./enBoard.ts').then((m) => m.enBoard),
  );

/** The words of what is fetched later. */
export const loadLater = (lang: Lang, instance: i18n): Promise<void> =>
  put(
    lang,
    instance,
    tongueOf(lang) === 'es'
      ? import('./esLater.ts').then((m) => m.esLater)
      : import('./enLater.ts').then((m) => m.enLater),
  );

export function makeI18n(lang: Lang, messages: Messages | Words<typeof enFirst>): i18n {
  const before = made.get(lang);
  if (before) return before;
  const instance = createInstance();
  made.set(lang, instance);
  instance.use(initReactI18next).init({
    lng: lang,
    // One lookup: a country has all its words, and asks no other.
    load: 'currentOnly',
    resources: { [lang]: { translation: messages } },
    initAsync: false,
    interpolation: { escapeValue: false },
    returnNull: false,
  });
  return instance;
}
