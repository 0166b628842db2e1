/** The connection pool. One a process; the server keeps no other state. */
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema.ts';

const url = () => {
  const { DATABASE_URL } = process.env;
  if (!DATABASE_URL) throw new Error('DATABASE_URL is not set.');
  return DATABASE_URL;
};

const pool = new pg.Pool({
  connectionString: url(),
  max: 10,
  connectionTimeoutMillis: 4000,
  statement_timeout: 15_000,
  // Whoever opens a transaction and then waits for something else gives its connection back.
  idle_in_transaction_session_timeout: 10_000,
  lock_timeout: 10_000,
});
// A server that goes away while a connection idles must not take the process with it.
pool.on('error', (error) => console.error(`database connection lost: ${error.message}`));
// Nor one that goes away in the middle of a transaction: the pool listens to idle clients only. The
// query under way is told by itself and its request answers that the database is away.
pool.on('connect', (client) => {
  client.on('error', () => {});
});

export const db = drizzle(pool, { schema });
export const closeDatabase = () => pool.end();

/** Connection refused, reset, timed out, or the server shutting down: worth another try later. */
export function isDatabaseDown(error: unknown): boolean {
  for (
    let cause: unknown = error, depth = 0;
    cause instanceof Error && depth < 6;
    cause = cause.cause, depth++
  ) {
    const code = 'code' in cause ? String(cause.code) : '';
    if (/^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|57P0[123]|08\d{3})$/.test(code)) return true;
    if (
      /timeout exceeded when trying to connect|Connection terminated|timeout expired|connection error and is not queryable|Client was closed/i.test(
        cause.message,
      )
    )
      return true;
    if (cause instanceof AggregateError && cause.errors.some(isDatabaseDown)) return true;
  }
  return false;
}
