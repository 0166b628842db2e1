/**
 * Jobs last saved before what they hold was a record hold it in their plan: they are put in
 * the table, once. Run under the migrations' lock; the ids are the same every time.
 */
import { recordsBefore, type SiteRecord } from '@cimiento/core';
import { validateRecords } from '@cimiento/core/validate';
import type { Client } from 'pg';

/** The version of plans that holds none any more. */
const WITHOUT = 12;

/** What of it may be kept; what is out of bounds stays in the old revision only. */
export function legacyRecords(plan: unknown): readonly SiteRecord[] {
  return recordsBefore(plan).filter((record) => validateRecords([record]).ok);
}

export async function moveLegacyRecords(client: Client): Promise<number> {
  const { rows } = await client.query<{ id: string; crew_id: string; plan: unknown }>(
    `select id, crew_id, plan from jobs where coalesce((plan->>'version')::int, 0) < $1`,
    [WITHOUT],
  );
  let moved = 0;
  for (const { id, crew_id, plan } of rows)
    for (const record of legacyRecords(plan)) {
      const done = await client.query(
        `insert into records (job_id, id, crew_id, kind, at, by_name, element, value, seq)
         values ($1, $2, $3, $4, $5, $6, $7, $8,
           (select coalesce(max(seq), 0) + 1 from records where job_id = $1)) on conflict do nothing`,
        [
          id,
          record.id,
          crew_id,
          record.kind,
          record.at,
          record.by,
          record.element,
          JSON.stringify(record.value),
        ],
      );
      moved += done.rowCount ?? 0;
    }
  return moved;
}
