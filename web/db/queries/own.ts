/** Whose a job is: no query reaches one without its crew. */
import { and, eq, isNull } from 'drizzle-orm';
import { jobs } from '../schema.ts';

/** A job of a crew, on its board. */
export const mine = (crewId: string, jobId: string) =>
  and(eq(jobs.id, jobId), eq(jobs.crewId, crewId), isNull(jobs.removedAt));
