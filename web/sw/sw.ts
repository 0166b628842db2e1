/**
 * What a browser runs beside the pages: it keeps the program with its words and fonts, opens the hole without
 * network or server, and sends what waits once there is signal, with no page open. Pages with data are never
 * kept here: jobs lie in the phone's own store, apart by person.
 *
 * A newer program waits until no page of the older one is open, or until somebody asks for it: no page loses
 * the parts it has still to fetch, and what waits is read by either.
 */
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { PAGE_LOCK, sendEditsAway } from '../app/outbox/edits.ts';
import { allWaiting } from '../app/outbox/outbox.ts';
import { Sender } from '../app/outbox/sender.ts';

declare const self: ServiceWorkerGlobalScope & {
  readonly __WB_MANIFEST: { url: string; revision: string | null }[];
};
/** Put in by the build. */
declare const __PROGRAM__: string;

/** The page that needs no server: it has no data in it. */
const SHELL = '/hole';
/** A page that takes longer is as good as none, ms. */
const LONGEST_PAGE = 8000;

precacheAndRoute(self.__WB_MANIFEST, { ignoreURLParametersMatching: [] });
cleanupOutdatedCaches();
clientsClaim();

// The hole opens out of the phone, with signal or without.
registerRoute(new NavigationRoute(createHandlerBoundToURL(SHELL), { allowlist: [/^\/hole(?:\?|$)/] }));

// Any other page comes from the server; where nobody answers the hole takes its place.
registerRoute(
  new NavigationRoute(
    async ({ request, url }) => {
      try {
        return await fetch(request, { signal: AbortSignal.timeout(LONGEST_PAGE) });
      } catch {
        const job = /^\/jobs\/([\w-]+)$/.exec(url.pathname)?.[1];
        return Response.redirect(job ? `${SHELL}?job=${job}&from=desk` : SHELL, 302);
      }
    },
    { denylist: [/\.\w+(?:\?|$)/, /^\/sign-out/] },
  ),
);

async function isOpen(page: string): Promise<boolean> {
  const { held = [] } = (await self.navigator.locks?.query()) ?? {};
  return held.some(({ name }) => name === PAGE_LOCK + page);
}

/** Sends what waits, of everyone: what is not of whoever is signed in the server gives back, and it goes on waiting. */
async function drain(): Promise<void> {
  const people = new Set((await allWaiting()).map(({ person }) => person));
  const senders = [...people].map((person) => new Sender(person, __PROGRAM__));
  await Promise.all(senders.map((sender) => sender.wake()));
  const edits = await sendEditsAway(isOpen);
  // Nobody answered: the browser tries again.
  const records = senders.some((sender) => {
    const { waiting, signedOut } = sender.state.getState();
    return !signedOut && waiting.some(({ refused }) => refused === null);
  });
  if (records || edits > 0) throw new Error('what waits could not be sent');
}

/** Of browsers that wake a worker when there is signal again; the types know nothing of them. */
interface SyncEvent extends ExtendableEvent {
  readonly tag: string;
}
self.addEventListener('sync' as 'activate', (event) => {
  if ((event as unknown as SyncEvent).tag === 'outbox') event.waitUntil(drain());
});
self.addEventListener('message', (event) => {
  if (event.data === 'take over') void self.skipWaiting();
  // For browsers that wake nothing by themselves, and for tests.
  if (event.data === 'send') event.waitUntil(drain().catch(() => {}));
});
