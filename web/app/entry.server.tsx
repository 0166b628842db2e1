/**
 * Streams a page. Emotion's styles are written as the stream goes: the first flush puts them
 * before </head>, later ones before the chunk that needs them.
 */
import { randomBytes } from 'node:crypto';
import { PassThrough, Transform } from 'node:stream';
import { CacheProvider, type EmotionCache } from '@emotion/react';
import { createReadableStreamFromReadable } from '@react-router/node';
import { isbot } from 'isbot';
import { renderToPipeableStream } from 'react-dom/server';
import { type EntryContext, type HandleErrorFunction, ServerRouter } from 'react-router';
import { loadMessages, makeI18n, wordsOf } from './messages/i18n.ts';
import { SayProvider } from './messages/useTranslation.ts';
import { preferencesOf } from './server/http.server.ts';
import { sayError } from './server/say.server.ts';
import { makeCache } from './theme/emotion.ts';

/** What a page waits for while it is sent may take so long, ms: the day of a crew with many jobs is worked out job by job. */
export const streamTimeout = 50_000;
/** And then it is given up, once what was waited for has been said to fail. */
const GIVE_UP = streamTimeout + 2_000;

/**
 * Scripts run only when they are this page's own. Styles may stand in attributes: drawings place
 * their labels with them, and emotion writes its rules as it goes, so style-src cannot be as strict.
 */
const policyOf = (nonce: string) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "frame-ancestors 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "object-src 'none'",
  ].join('; ');

/** An error nobody expected: one line, without what was in the request. */
export const handleError: HandleErrorFunction = (error, { request }) => {
  if (!request.signal.aborted)
    sayError(error, { method: request.method, path: new URL(request.url).pathname });
};

/** Style tags for what the cache has gathered since the last call. */
function newStyles(cache: EmotionCache, sent: Set<string>): string {
  let global = '';
  let css = '';
  const ids: string[] = [];
  for (const [name, style] of Object.entries(cache.inserted)) {
    if (sent.has(name) || typeof style !== 'string') continue;
    sent.add(name);
    if (cache.registered[`${cache.key}-${name}`] === undefined)
      global += `<style data-emotion="${cache.key}-global ${name}">${style}</style>`;
    else {
      ids.push(name);
      css += style;
    }
  }
  return global + (css ? `<style data-emotion="${cache.key} ${ids.join(' ')}">${css}</style>` : '');
}

function styleStream(cache: EmotionCache): Transform {
  const sent = new Set<string>();
  let headDone = false;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      const html = chunk.toString('utf8');
      const head = headDone ? -1 : html.indexOf('</head>');
      if (head >= 0) {
        headDone = true;
        done(null, html.slice(0, head) + newStyles(cache, sent) + html.slice(head));
      } else done(null, headDone ? newStyles(cache, sent) + html : html);
    },
  });
}

export default async function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
): Promise<Response> {
  const { lang } = preferencesOf(request);
  const i18n = makeI18n(lang, await loadMessages(lang));
  const cache = makeCache();
  const nonce = randomBytes(16).toString('base64');
  return new Promise((resolve, reject) => {
    let shellSent = false;
    let code = status;
    const whole = isbot(request.headers.get('user-agent') ?? '') || context.isSpaMode;
    const { pipe, abort } = renderToPipeableStream(
      <CacheProvider value={cache}>
        <SayProvider value={wordsOf(i18n)}>
          <ServerRouter context={context} url={request.url} nonce={nonce} />
        </SayProvider>
      </CacheProvider>,
      {
        nonce,
        [whole ? 'onAllReady' : 'onShellReady']() {
          shellSent = true;
          const body = new PassThrough();
          headers.set('Content-Type', 'text/html; charset=utf-8');
          headers.set('Content-Language', lang);
          headers.set('Content-Security-Policy', policyOf(nonce));
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status: code }));
          pipe(styleStream(cache)).pipe(body);
        },
        onShellError: reject,
        onError(error: unknown) {
          code = 500;
          if (shellSent) sayError(error, { method: request.method, path: new URL(request.url).pathname });
        },
      },
    );
    setTimeout(abort, GIVE_UP).unref();
  });
}
