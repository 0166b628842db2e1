/** Copies of what waits to be saved follow the originals, a moment later, for the service worker to send. */
import { type EditAway, writeEdits } from '../outbox/edits.ts';
import { sendLater } from './offline.ts';

/** Copied when nothing was typed for so long, ms. */
const QUIET = 400;

const pending = new Map<string, EditAway | null>();
let timer: ReturnType<typeof setTimeout> | undefined;

async function flush(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  removeEventListener('pagehide', flush);
  const now = new Map(pending);
  pending.clear();
  await writeEdits(now);
  if ([...now.values()].some((one) => one !== null)) await sendLater();
}

function follow(key: string, one: EditAway | null): void {
  // Nobody there to copy for.
  if (!globalThis.navigator?.serviceWorker) return;
  if (timer === undefined) addEventListener('pagehide', flush);
  pending.set(key, one);
  clearTimeout(timer);
  timer = setTimeout(() => void flush(), QUIET);
}

/** An edit was kept. */
export const copyEdit = (one: Omit<EditAway, 'saved'>): void => follow(one.key, { ...one, saved: false });
/** An edit is kept no longer. */
export const dropCopy = (key: string): void => follow(key, null);
