/** Lets everything else go first: a sheet may take a second longer, a save may not. */
import { readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';

try {
  // On Linux a thread has a priority of its own; its number stands at the end of this link.
  const thread = Number(readlinkSync('/proc/thread-self').split('/').pop());
  if (Number.isInteger(thread)) setPriority(thread, 10);
} catch {
  // Elsewhere it runs as any other.
}
