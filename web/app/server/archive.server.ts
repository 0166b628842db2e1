/** A crew's archive on its way in: unpacked under a limit, line by line. */
import { Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';

/** An archive unpacks to no more than this, bytes, nor has a longer line. */
const MOST_UNPACKED = 600_000_000;
const LONGEST_LINE = 8_000_000;

/** Lines of a packed file. Ends early, as a file cut short does, where it unpacks to too much. */
export async function* unpacked(bytes: Buffer): AsyncGenerator<string> {
  const packed = bytes[0] === 0x1f && bytes[1] === 0x8b;
  const source = packed ? Readable.from([bytes]).pipe(createGunzip()) : Readable.from([bytes]);
  const decoder = new TextDecoder();
  let rest = '';
  let size = 0;
  try {
    for await (const chunk of source) {
      size += (chunk as Buffer).length;
      rest += decoder.decode(chunk as Buffer, { stream: true });
      if (size > MOST_UNPACKED || rest.length > LONGEST_LINE) return;
      for (let end = rest.indexOf('\n'); end >= 0; end = rest.indexOf('\n')) {
        yield rest.slice(0, end);
        rest = rest.slice(end + 1);
      }
    }
  } catch {
    // Not gzip, or cut short: what came before tells.
    return;
  }
  if (rest !== '') yield rest;
}
