/** Photos of a job: whose they are, what they may be, and that they come out of the archive as they went in. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { blankPlan, type SiteRecord } from '@cimiento/core';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { savingOf } from '../app/server/jobs.server.ts';
import { closeDatabase, db } from './client.ts';
import { isPhoto } from './photo-bytes.ts';
import { archiveLines, takeArchive } from './queries/archive.ts';
import { createJob, listJobs, removeJob } from './queries/jobs.ts';
import { addPhoto, findPhoto, thumbsOf } from './queries/photos.ts';
import { joinCrew } from './queries/sign-in.ts';
import { people } from './schema.ts';

const bytes = (name: string) =>
  new Uint8Array(readFileSync(join(import.meta.dirname, `../../demo/photos/${name}.jpg`)));
const [photo, thumb] = [bytes('demo-322'), bytes('demo-322-small')];

async function crew(name: string) {
  const joined = await joinCrew(name, name, `${name}@photos.example`, 'a-long-password');
  if (!joined.ok) throw new Error(joined.code);
  const [row] = await db.select().from(people).where(eq(people.id, joined.personId));
  return { person: joined.personId, crew: row!.crewId };
}
let own = { person: '', crew: '' };
let other = { person: '', crew: '' };
const record: SiteRecord = {
  id: 'photo-1',
  kind: 'photo',
  at: '2026-05-01T07:00:00.000Z',
  by: 'Ann',
  element: null,
  placement: null,
  place: null,
  corrects: null,
  after: null,
  revision: null,
  value: { text: 'the key', width: 1200, height: 900, size: photo.length },
};
const job = (who: typeof own) =>
  createJob(who.crew, who.person, savingOf(blankPlan('Photos', 'metric'), null, 'new', undefined, [record]));

beforeAll(async () => {
  own = await crew('photos-own');
  other = await crew('photos-other');
});
afterAll(closeDatabase);

describe('a photo', () => {
  it('is the crew’s that took it, stays as it was first sent, and goes with its job', async () => {
    const id = await job(own);
    expect(await addPhoto(own.crew, id, { record: 'photo-1', photo, thumb })).toBe(true);
    expect(await addPhoto(own.crew, id, { record: 'photo-1', photo: thumb, thumb })).toBe(true);
    expect(await findPhoto(own.crew, id, 'photo-1', 'photo')).toEqual(photo);
    expect(await findPhoto(own.crew, id, 'photo-1', 'thumb')).toEqual(thumb);
    expect([...(await thumbsOf(own.crew, id)).keys()]).toEqual(['photo-1']);
    expect(await findPhoto(other.crew, id, 'photo-1', 'photo')).toBeNull();
    expect((await thumbsOf(other.crew, id)).size).toBe(0);
    expect(await addPhoto(other.crew, id, { record: 'photo-2', photo, thumb })).toBe(false);
    expect(await findPhoto(own.crew, 'no-id', 'photo-1', 'photo')).toBeNull();
    await removeJob(own.crew, id);
    expect(await findPhoto(own.crew, id, 'photo-1', 'photo')).toBeNull();
    expect(await addPhoto(own.crew, id, { record: 'photo-3', photo, thumb })).toBe(false);
  });
  it('comes out of the crew’s archive as it went in; one that is none is refused with its line', async () => {
    const id = await job(other);
    await addPhoto(other.crew, id, { record: 'photo-1', photo, thumb });
    const lines: string[] = [];
    for await (const line of archiveLines(other.crew)) lines.push(line);
    const given = (of: readonly string[]) =>
      async function* () {
        yield* of;
      };
    expect(await takeArchive(own.crew, own.person, given(lines))).toMatchObject({ ok: true });
    const [copy] = await listJobs(own.crew);
    expect(copy!.id).not.toBe(id);
    expect(await findPhoto(own.crew, copy!.id, 'photo-1', 'photo')).toEqual(photo);
    expect(await findPhoto(own.crew, copy!.id, 'photo-1', 'thumb')).toEqual(thumb);
    const changed = (change: (row: Record<string, unknown>) => void) =>
      lines.map((line) => {
        const row = JSON.parse(line) as Record<string, unknown>;
        if (row.kind === 'photo') change(row);
        return `${JSON.stringify(row)}\n`;
      });
    for (const [change, code] of [
      [(row) => Object.assign(row, { photo: 'bm8gcGhvdG8=' }), 'archiveBroken'],
      [(row) => Object.assign(row, { record: 'another' }), 'archiveBroken'],
    ] as [(row: Record<string, unknown>) => void, string][])
      expect(await takeArchive(own.crew, own.person, given(changed(change)))).toMatchObject({
        ok: false,
        code,
      });
    const without = lines.filter((line) => !line.includes('"kind":"photo"'));
    expect(await takeArchive(own.crew, own.person, given(without))).toMatchObject({
      ok: false,
      code: 'archiveCut',
    });
  });
  it('is a JPEG with a size in it', () => {
    expect(isPhoto(photo)).toBe(true);
    for (const none of [
      new Uint8Array(),
      new Uint8Array([0xff, 0xd8, 0xff]),
      new TextEncoder().encode('GIF89a, but not really a picture at all'),
      photo.slice(0, 20),
      new Uint8Array(readFileSync(join(import.meta.dirname, '../../docs/screenshots/hole.png'))),
    ])
      expect(isPhoto(none)).toBe(false);
  });
});
