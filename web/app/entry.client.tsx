import { CacheProvider } from '@emotion/react';
import { startTransition } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { I18nextProvider } from 'react-i18next';
import { HydratedRouter } from 'react-router/dom';
import { loadMessages, makeI18n } from './messages/i18n.ts';
import { makeCache } from './theme/emotion.ts';

const lang = document.documentElement.lang === 'es' ? 'es' : 'en';
const messages = await loadMessages(lang);

startTransition(() => {
  hydrateRoot(
    document,
    <CacheProvider value={makeCache()}>
      <I18nextProvider i18n={makeI18n(lang, messages)}>
        <HydratedRouter />
      </I18nextProvider>
    </CacheProvider>,
  );
});
