/** Photos of a job: added under the id of their record, never changed. Every query names the crew. */
import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import { db } from '../client.ts';
import type { Bytes, Photo } from '../photo-bytes.ts';
import { jobs, photos } from '../schema.ts';
import { isId } from './ids.ts';
import type { Here } from './revisions.ts';

/**
 * Keeps a photo; one that is there stays as it is.
 * @returns false when the crew has no such job
 */
export async function addPhoto(
  crewId: string,
  jobId: string,
  { record, photo, thumb }: Photo,
): Promise<boolean> {
  if (!isId(jobId)) return false;
  const [job] = await db
    .select({ id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.id, jobId), eq(jobs.crewId, crewId), isNull(jobs.removedAt)));
  if (!job) return false;
  await db.insert(photos).values({ jobId, crewId, record, photo, thumb }).onConflictDoNothing();
  return true;
}

/** One of the two pictures of a photo; null when the crew has none such. */
export async function findPhoto(
  crewId: string,
  jobId: string,
  record: string,
  which: 'photo' | 'thumb',
): Promise<Bytes | null> {
  if (!isId(jobId)) return null;
  const [row] = await db
    .select({ bytes: photos[which] })
    .from(photos)
    .innerJoin(jobs, eq(jobs.id, photos.jobId))
    .where(
      and(
        eq(photos.jobId, jobId),
        eq(photos.record, record),
        eq(photos.crewId, crewId),
        eq(jobs.crewId, crewId),
        isNull(jobs.removedAt),
      ),
    );
  return row?.bytes ?? null;
}

/** The small pictures of a job, by the id of their record. */
export async function thumbsOf(crewId: string, jobId: string): Promise<Map<string, Bytes>> {
  const rows = await db
    .select({ record: photos.record, thumb: photos.thumb })
    .from(photos)
    .where(and(eq(photos.jobId, jobId), eq(photos.crewId, crewId)));
  return new Map(rows.map(({ record, thumb }) => [record, thumb]));
}

/** Photos fetched at a time. */
const PAGE = 10;

/** All photos of a job, a few at a time. */
export async function* photosForArchive(crewId: string, jobId: string): AsyncGenerator<Photo> {
  for (let after = ''; ; ) {
    const page = await db
      .select({ record: photos.record, photo: photos.photo, thumb: photos.thumb })
      .from(photos)
      .where(and(eq(photos.jobId, jobId), eq(photos.crewId, crewId), gt(photos.record, after)))
      .orderBy(asc(photos.record))
      .limit(PAGE);
    yield* page;
    after = page.at(-1)?.record ?? after;
    if (page.length < PAGE) return;
  }
}

/** Puts a photo beside a job within a transaction. */
export const putPhoto = async (tx: Here, crewId: string, jobId: string, photo: Photo): Promise<void> => {
  await tx
    .insert(photos)
    .values({ jobId, crewId, ...photo })
    .onConflictDoNothing();
};
