/** Saves an edit that a page now gone has left, without opening its desk. */
import { autosave } from './autosave.ts';
import { keptEdit } from './kept.ts';
import { makeDesk, type Saving } from './store.ts';

/** @returns how it went; null when nothing is left of that job. What is not saved stays kept. */
export async function sendKept(jobId: string, person: string): Promise<Saving['state'] | null> {
  const kept = await keptEdit(jobId, person);
  if (!kept) return null;
  const store = makeDesk(kept.base, kept.revision);
  store.setState({ sent: kept.sent });
  store.getState().replace(kept.plan);
  const saver = autosave(store, jobId, person);
  await saver.flush();
  // The server had an earlier one of this browser's after all: what was typed after goes on top of it.
  if (store.getState().saving.state === 'unsaved') await saver.flush();
  saver.stop();
  return store.getState().saving.state;
}
