import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterAll, describe, expect, it } from 'vitest';
import { linesOf } from './archive.server.ts';

const folder = mkdtempSync(join(tmpdir(), 'cimiento-lines-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

async function read(bytes: Buffer | string, most?: number, signal = new AbortController().signal) {
  const file = join(folder, 'archive');
  writeFileSync(file, bytes);
  const lines: string[] = [];
  for await (const line of linesOf(file, signal, most)) lines.push(line);
  return lines;
}
const text = 'one\nzwei — drei\n\nlast';

describe('lines of an archive', () => {
  it('are the same packed or not, whatever pieces it comes in', async () => {
    const wanted = ['one', 'zwei — drei', '', 'last'];
    expect(await read(text)).toEqual(wanted);
    expect(await read(gzipSync(text))).toEqual(wanted);
    const long = Array.from({ length: 3000 }, (_, i) => `${i} ${'é'.repeat(200)}`);
    expect(await read(gzipSync(long.join('\n')))).toEqual(long);
  });
  it('end early where the file was cut short or broken', async () => {
    const packed = gzipSync(Array.from({ length: 2000 }, (_, i) => `row ${i * 7919}`).join('\n'));
    const cut = await read(packed.subarray(0, packed.length / 2));
    expect(cut.length).toBeLessThan(2000);
    expect(await read(Buffer.concat([packed.subarray(0, 40), Buffer.from('nonsense')]))).toBeDefined();
  });
  it('stop where it unpacks without end, to more than may be, or to a line that does not end', async () => {
    // A thousandth of what it unpacks to: no archive packs so well.
    const bomb = gzipSync(Buffer.alloc(60_000_000, `${' '.repeat(999)}\n`), { level: 9 });
    expect(bomb.length).toBeLessThan(130_000);
    await expect(read(bomb)).rejects.toMatchObject({ code: 'archiveLarge' });
    await expect(read(gzipSync('x\n'.repeat(5000)), 4000)).rejects.toMatchObject({ code: 'archiveLarge' });
    await expect(read('y\n'.repeat(5000), 4000)).rejects.toMatchObject({ code: 'archiveLarge' });
    await expect(read('z'.repeat(9_000_000))).rejects.toMatchObject({ code: 'archiveLarge' });
  });
  it('end with whoever sent them', async () => {
    const gone = new AbortController();
    gone.abort(new Error('gone'));
    await expect(read(text, undefined, gone.signal)).rejects.toThrow('gone');
  });
});
