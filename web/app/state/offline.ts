/** The service worker, as the pages know it: that it is there, that a newer program waits, what it is told. */

/** After a page is up nothing else is fetched for so long, ms. */
const QUIET_FIRST = 4000;

/** Lets the browser keep the program, once the page has all it needs itself. */
export function keepProgram(): void {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const begin = () =>
    setTimeout(() => void navigator.serviceWorker.register('/sw.js').catch(() => {}), QUIET_FIRST);
  if (document.readyState === 'complete') begin();
  else addEventListener('load', begin, { once: true });
}

interface Syncing extends ServiceWorkerRegistration {
  readonly sync?: { register(tag: string): Promise<void> };
}

/** Asks the browser to send what waits once there is signal, with no page open; where it cannot, the next page does. */
export async function sendLater(): Promise<void> {
  const registration = (await navigator.serviceWorker?.getRegistration()) as Syncing | undefined;
  await registration?.sync?.register('outbox').catch(() => {});
}

/** Tells when a newer program waits. @returns ends it */
export function onNewer(tell: (worker: ServiceWorker) => void): () => void {
  let gone = false;
  void navigator.serviceWorker?.getRegistration().then((registration) => {
    if (gone || !registration) return;
    const look = () => {
      if (!gone && registration.waiting && registration.active) tell(registration.waiting);
    };
    look();
    registration.addEventListener('updatefound', () => {
      registration.installing?.addEventListener('statechange', look);
    });
  });
  return () => {
    gone = true;
  };
}

/** Takes the newer program, and opens the page anew in it. */
export function takeNewer(worker: ServiceWorker): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  worker.postMessage('take over');
}
