import { LANGS } from '@cimiento/core';
import { CacheProvider } from '@emotion/react';
import { startTransition } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { I18nextProvider } from 'react-i18next';
import { HydratedRouter } from 'react-router/dom';
import { loadBoard, loadFirst, loadLater, makeI18n } from './messages/i18n.ts';
import { makeCache } from './theme/emotion.ts';
import { wordsLater, wordsNow } from './ui/later.tsx';

const lang = LANGS.find((known) => known === document.documentElement.lang) ?? 'en';
const desk = /^\/jobs\/./.test(location.pathname);
const i18n = makeI18n(lang, await loadFirst(lang));
if (!desk) await loadBoard(lang, i18n);
wordsLater(async () => {
  await Promise.all([loadLater(lang, i18n), desk && loadBoard(lang, i18n)]);
});

// Whoever goes from a desk to the board finds its words there.
if (desk) setTimeout(() => void wordsNow().catch(() => {}), 1500);

startTransition(() => {
  hydrateRoot(
    document,
    <CacheProvider value={makeCache()}>
      <I18nextProvider i18n={i18n}>
        <HydratedRouter />
      </I18nextProvider>
    </CacheProvider>,
  );
});
