/**
 * A crew's archive on its way in: written to a file as it comes, and read from there line by line,
 * unpacked under limits. Nothing is held in memory but the line being read; whoever sent it and goes, or
 * sends something that unpacks without end, ends it.
 */
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, open, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import busboy from 'busboy';
import { data } from 'react-router';
import { Broken } from '../../db/broken.ts';
import { MOST_BODY } from './body.server.ts';

/** What an archive may unpack to, bytes: as much as one may send unpacked. */
export const MOST_UNPACKED = MOST_BODY.archive;
/** Its longest line, characters. */
const LONGEST_LINE = 8_000_000;
/** Rows of a job pack to a hundredth at the best; beyond so many times, past the first bytes, it is no archive. */
const MOST_RATIO = 400;
const RATIO_FROM = 20_000_000;
/** Reading, checking and putting in may take so long, ms. */
export const LONGEST_ARCHIVE = 120_000;

/**
 * Lines of a file, packed or not. A file that is not whole ends early, as one cut short does.
 * @throws Broken where it unpacks to too much; the signal's reason when it is called off
 */
export async function* linesOf(
  file: string,
  signal: AbortSignal,
  most: number = MOST_UNPACKED,
): AsyncGenerator<string> {
  const handle = await open(file);
  const head = Buffer.alloc(2);
  await handle.read(head, 0, 2, 0);
  await handle.close();
  const packed = head[0] === 0x1f && head[1] === 0x8b;
  const raw = createReadStream(file);
  const source: Readable = packed ? raw.pipe(createGunzip()) : raw;
  raw.on('error', (error) => source.destroy(error));
  const decoder = new TextDecoder();
  let rest: string[] = [];
  let waiting = 0;
  let size = 0;
  try {
    for await (const chunk of source) {
      signal.throwIfAborted();
      size += (chunk as Buffer).length;
      const wild = packed && size > RATIO_FROM && size > MOST_RATIO * raw.bytesRead;
      if (size > most || wild) throw new Broken('archiveLarge');
      const [first = '', ...more] = decoder.decode(chunk as Buffer, { stream: true }).split('\n');
      rest.push(first);
      waiting += first.length;
      if (waiting > LONGEST_LINE) throw new Broken('archiveLarge');
      for (const next of more) {
        yield rest.join('');
        signal.throwIfAborted();
        rest = [next];
        waiting = next.length;
      }
    }
  } catch (error) {
    if (error instanceof Broken || signal.aborted) throw error;
    // Not gzip, or cut short: what came before tells.
    return;
  } finally {
    raw.destroy();
    source.destroy();
  }
  if (waiting > 0) yield rest.join('');
}

/**
 * The file of a posted form, written to disk as it comes.
 * @throws 400 for a form without one, 413 for one that is too long
 */
async function received(request: Request, file: string, signal: AbortSignal): Promise<void> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^multipart\/form-data\b/i.test(type) || !request.body)
    throw data({ code: 'badRequest' }, { status: 400 });
  const body = Readable.fromWeb(request.body as Parameters<typeof Readable.fromWeb>[0]);
  let writing: Promise<void> | null = null;
  let tooLong = false;
  const form = busboy({
    headers: { 'content-type': type },
    limits: { files: 1, fields: 4, fieldSize: 1000, fileSize: MOST_BODY.archive },
  });
  form.on('file', (_name, stream) => {
    stream.on('limit', () => {
      tooLong = true;
    });
    writing = pipeline(stream, createWriteStream(file), { signal });
    // Told where it is waited for.
    writing.catch(() => {});
  });
  try {
    await pipeline(body, form, { signal });
  } catch {
    if (signal.aborted) throw signal.reason;
    throw data({ code: 'badRequest' }, { status: 400 });
  }
  if (!writing) throw data({ code: 'problems', problems: [{ code: 'noFile', path: '' }] }, { status: 400 });
  await writing;
  if (tooLong) throw data({ code: 'tooLarge' }, { status: 413 });
}

/** Crews with an archive on its way in. */
const under = new Set<string>();

/**
 * Receives an archive and hands on its lines, to be read as often as needed; its file is gone afterwards.
 * @returns null when the crew has one on its way already
 */
export async function withArchive<T>(
  crewId: string,
  request: Request,
  work: (lines: () => AsyncIterable<string>) => Promise<T>,
): Promise<T | null> {
  if (under.has(crewId)) return null;
  under.add(crewId);
  const folder = await mkdtemp(join(tmpdir(), 'cimiento-archive-'));
  const file = join(folder, 'archive');
  try {
    await received(request, file, request.signal);
    const late = AbortSignal.timeout(LONGEST_ARCHIVE);
    const signal = AbortSignal.any([request.signal, late]);
    try {
      return await work(() => linesOf(file, signal));
    } catch (error) {
      if (late.aborted) throw new Broken('archiveSlow');
      throw error;
    }
  } finally {
    under.delete(crewId);
    await rm(folder, { recursive: true, force: true });
  }
}
