/**
 * Packs the built client once, so that no request has to: beside each file that packs well stand its
 * gzip and its brotli form, and the server sends the one a browser takes.
 */
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, gzip } from 'node:zlib';

const CLIENT = join(import.meta.dirname, 'build/client');
const PACKS_WELL = /\.(?:js|css|svg|json|webmanifest)$/;
/** Smaller ones fit a packet as they are, bytes. */
const SMALL = 1000;

const files = (await readdir(CLIENT, { recursive: true })).filter((file) => PACKS_WELL.test(file));
await Promise.all(
  files.map(async (name) => {
    const file = join(CLIENT, name);
    const plain = await readFile(file);
    if (plain.length < SMALL) return;
    const [packed, tight] = await Promise.all([
      promisify(gzip)(plain, { level: 9 }),
      promisify(brotliCompress)(plain),
    ]);
    await Promise.all([writeFile(`${file}.gz`, packed), writeFile(`${file}.br`, tight)]);
  }),
);
