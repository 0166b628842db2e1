/** Tells every server on this database what happened to a job, once the transaction is through. */
import { sql } from 'drizzle-orm';
import type { PgTransaction } from 'drizzle-orm/pg-core';

export const CHANNEL = 'cimiento_jobs';

export type Happened =
  | { readonly job: string; readonly what: 'records' }
  | { readonly job: string; readonly what: 'revision'; readonly number: number };

// biome-ignore lint/suspicious/noExplicitAny: a transaction of whatever schema
export const tell = (tx: Pick<PgTransaction<any, any, any>, 'execute'>, happened: Happened) =>
  tx.execute(sql`select pg_notify(${CHANNEL}, ${JSON.stringify(happened)})`);
