/** Brings a database to the newest tables. Two servers starting at once take turns. */
import { join } from 'node:path';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { moveLegacyRecords } from './legacy-records.ts';

/** Any number, the same for every Cimiento server. */
const TURN = 72_146_311;

export async function migrateDatabase(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [TURN]);
    await migrate(drizzle(client), { migrationsFolder: join(import.meta.dirname, 'migrations') });
    await moveLegacyRecords(client);
  } finally {
    await client.end();
  }
}

/** Makes an empty database when there is none of that name. Returns true when it made one. */
export async function ensureDatabase(adminUrl: string, name: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: adminUrl });
  await client.connect();
  try {
    const found = await client.query('select 1 from pg_database where datname = $1', [name]);
    if (found.rowCount) return false;
    await client.query(`create database ${client.escapeIdentifier(name)}`);
    return true;
  } finally {
    await client.end();
  }
}

export async function dropDatabase(adminUrl: string, name: string): Promise<void> {
  const client = new pg.Client({ connectionString: adminUrl });
  await client.connect();
  try {
    await client.query(`drop database if exists ${client.escapeIdentifier(name)} with (force)`);
  } finally {
    await client.end();
  }
}
