/** The tests' own PostgreSQL: another cluster than the demo's, emptied before each run. */
import { postgres } from '../../scripts/postgres.ts';
import { dropDatabase, ensureDatabase, migrateDatabase } from './migrate.ts';

export default async function setup(): Promise<() => void> {
  const server = await postgres('test');
  const name = 'cimiento_unit';
  await dropDatabase(server.url('postgres'), name);
  await ensureDatabase(server.url('postgres'), name);
  // Two at once, on an empty database: they must take turns.
  await Promise.all([migrateDatabase(server.url(name)), migrateDatabase(server.url(name))]);
  process.env.DATABASE_URL = server.url(name);
  return () => {
    if (server.started) server.stop();
  };
}
