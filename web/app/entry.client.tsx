import { LANGS } from '@cimiento/core';
import { CacheProvider } from '@emotion/react';
import { startTransition } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';
import type { Say } from './messages/keys.ts';
import { loadBoard, loadFirst, loadHole, loadLater } from './messages/load.ts';
import { plainWords } from './messages/plain.ts';
import { SayProvider } from './messages/useTranslation.ts';
import { keepProgram } from './state/offline.ts';
import { preferencesNow } from './state/preferencesNow.ts';
import { makeCache } from './theme/emotion.ts';
import { wordsLater, wordsNow } from './ui/later.tsx';

const desk = /^\/jobs\/[^/]+\/?$/.test(location.pathname);
// The board of days speaks of everything a job has.
const days = /^\/(jobs\/[^/]+\/(days|tomorrow)|today)$/.test(location.pathname);
const hole = location.pathname === '/hole';
// The hole is kept by the browser, perhaps since before another language was chosen.
const asked = hole ? preferencesNow().lang : document.documentElement.lang;
const lang = LANGS.find((known) => known === asked) ?? 'en';

/** A page starts with the words of what it shows first; what else it may come to is fetched with the rest. */
async function spoken(): Promise<Say> {
  const { say, add } = plainWords(lang);
  const rest = [() => loadLater(lang, add), ...(desk || hole ? [() => loadBoard(lang, add)] : [])];
  if (hole) {
    await loadHole(lang, add);
    rest.push(() => loadFirst(lang).then(add));
  } else
    await Promise.all([
      loadFirst(lang).then(add),
      desk ? null : loadBoard(lang, add),
      days ? loadLater(lang, add) : null,
    ]);
  wordsLater(async () => {
    await Promise.all(rest.map((load) => load()));
  });
  return say;
}

// What a job in the hole stands on is fetched beside the words, not after them.
if (hole && location.search.includes('job='))
  void Promise.all([import('./hole/Job.tsx'), import('./state/readPhone.ts'), import('idb')]).catch(() => {});

const say = await spoken();

// Whoever goes from a desk to the board finds its words there; the hole has all of them before signal goes.
if (desk || hole) setTimeout(() => void wordsNow().catch(() => {}), 1500);
keepProgram();

startTransition(() => {
  hydrateRoot(
    document,
    <CacheProvider value={makeCache()}>
      <SayProvider value={say}>
        <HydratedRouter />
      </SayProvider>
    </CacheProvider>,
  );
});
