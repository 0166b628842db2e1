/** What docs/operating.md says of backups, done: dump, restore into an empty database, compare. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { contents, dump, restore } from '../../scripts/backup.ts';
import { closeDatabase } from './client.ts';
import { loadDemo } from './demo.ts';
import { dropDatabase, ensureDatabase } from './migrate.ts';

const from = process.env.DATABASE_URL ?? '';
const admin = from.replace(/\/[^/]*$/, '/postgres');
const to = from.replace(/\/[^/]*$/, '/cimiento_restored');
const folder = mkdtempSync(join(tmpdir(), 'cimiento-backup-'));

beforeAll(async () => {
  await loadDemo();
});
afterAll(async () => {
  await closeDatabase();
  await dropDatabase(admin, 'cimiento_restored');
  rmSync(folder, { recursive: true, force: true });
});

it('a dump restored into an empty database holds every row of every table', async () => {
  const file = join(folder, 'all.dump');
  dump(from, file);
  await ensureDatabase(admin, 'cimiento_restored');
  restore(file, to);
  const before = await contents(from);
  expect(before['public.jobs']!.rows).toBeGreaterThan(0);
  expect(before['public.revisions']!.rows).toBeGreaterThan(0);
  expect(await contents(to)).toEqual(before);
});

it('a file that is no dump changes nothing and says so', () => {
  const file = join(folder, 'none.dump');
  writeFileSync(file, 'not a dump');
  expect(() => restore(file, to)).toThrow(/pg_restore/);
});
