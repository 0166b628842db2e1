/**
 * Backup and restore of a whole database: `npm run backup -- FILE` and `npm run restore -- FILE`,
 * of DATABASE_URL or of ./start's own. A restore goes into an empty database only. See docs/operating.md.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { postgres, postgresProgram } from './postgres.ts';

function program(name: 'pg_dump' | 'pg_restore', args: readonly string[]): void {
  const done = spawnSync(postgresProgram(name), args, { encoding: 'utf8' });
  if (done.status !== 0) throw new Error(`${name}: ${done.stderr || done.error?.message || 'failed'}`);
}

/** Writes everything a database holds into one file of PostgreSQL's own format. */
export const dump = (url: string, file: string): void =>
  program('pg_dump', ['--format=custom', '--no-owner', `--file=${file}`, url]);

/** Reads such a file into an empty database; all of it or nothing. */
export const restore = (file: string, url: string): void =>
  program('pg_restore', ['--exit-on-error', '--single-transaction', '--no-owner', `--dbname=${url}`, file]);

/** Rows and a digest of every table, so that two databases can be told alike. */
export async function contents(url: string): Promise<Record<string, { rows: number; digest: string }>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const tables = await client.query<{ name: string }>(
      "select format('%I.%I', table_schema, table_name) as name from information_schema.tables where table_schema in ('public', 'drizzle') order by 1",
    );
    const out: Record<string, { rows: number; digest: string }> = {};
    for (const { name } of tables.rows) {
      const { rows } = await client.query<{ row: string }>(`select t::text as row from ${name} t order by 1`);
      const digest = createHash('sha256');
      for (const { row } of rows) digest.update(row).update('\n');
      out[name] = { rows: rows.length, digest: digest.digest('hex') };
    }
    return out;
  } finally {
    await client.end();
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const [what, file] = process.argv.slice(2);
  if (!file || (what !== 'backup' && what !== 'restore')) {
    console.error('usage: npm run backup -- FILE, or npm run restore -- FILE');
    process.exit(2);
  }
  const server = process.env.DATABASE_URL ? null : await postgres('pg');
  const url = process.env.DATABASE_URL ?? server!.url('cimiento');
  try {
    if (what === 'backup') dump(url, file);
    else {
      if (!existsSync(file)) throw new Error(`no such file: ${file}`);
      const there = Object.values(await contents(url)).some(({ rows }) => rows > 0);
      if (there) throw new Error('the database is not empty: restore into a new one');
      restore(file, url);
    }
    console.log(`${what}: ${file}`);
  } catch (error) {
    console.error(error instanceof Error ? error.message : error);
    process.exitCode = 1;
  } finally {
    if (server?.started) server.stop();
  }
}
