/** Fetches words of a language, in a crew's own: what a page starts with, and what comes later. */
import { type Lang, tongueOf } from '@cimiento/core';
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
export async function loaded<T>(lang: Lang, words: Promise<T>): Promise<T> {
  const [plain, rules] = await Promise.all([words, loadRules(lang)]);
  return retold(plain, rules);
}

/** What the browser starts with, of the language in use alone. */
export const loadFirst = (lang: Lang): Promise<Words<typeof enFirst>> =>
  loaded<Words<typeof enFirst>>(
    lang,
    tongueOf(lang) === 'es'
      ? import('./esFirst.ts').then((m) => m.esFirst)
      : import('./enFirst.ts').then((m) => m.enFirst),
  );

/** Words as they are put with others. */
type Add = (words: object) => void;

/** The words of the board alone, and of what is brought there: it needs them first, a desk later. */
export const loadBoard = async (lang: Lang, add: Add): Promise<void> =>
  add(
    await loaded<object>(
      lang,
      tongueOf(lang) === 'es'
        ? import('./esBoard.ts').then((m) => m.esBoard)
        : import('./enBoard.ts').then((m) => m.enBoard),
    ),
  );

/** The words of what is fetched later. */
export const loadLater = async (lang: Lang, add: Add): Promise<void> =>
  add(
    await loaded<object>(
      lang,
      tongueOf(lang) === 'es'
        ? import('./esLater.ts').then((m) => m.esLater)
        : import('./enLater.ts').then((m) => m.enLater),
    ),
  );

/** The words the hole starts with. */
export const loadHole = async (lang: Lang, add: Add): Promise<void> =>
  add(
    await loaded<object>(
      lang,
      tongueOf(lang) === 'es'
        ? import('./esHole.ts').then((m) => m.esHole)
        : import('./enHole.ts').then((m) => m.enHole),
    ),
  );
