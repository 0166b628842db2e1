/** The demo crews and their jobs, made up. Loaded once into an empty database. */
import { eq } from 'drizzle-orm';
import { DEMOS, type Demo, demoJob, savingOf } from '../app/server/jobs.server.ts';
import { summaryOf } from '../app/server/summary.ts';
import { db } from './client.ts';
import { DEMO_PERSON, OTHER_PERSON } from './demo-people.ts';
import { createJob } from './queries/jobs.ts';
import { joinCrew } from './queries/sign-in.ts';
import { people } from './schema.ts';

async function saving(demo: Demo) {
  const { plan, records } = await demoJob(demo);
  return savingOf(plan, null, 'demo', summaryOf(plan, records), records);
}

export async function loadDemo(): Promise<boolean> {
  const [there] = await db.select({ id: people.id }).from(people).where(eq(people.email, DEMO_PERSON.email));
  if (there) return false;
  const lead = await joinCrew('Alto Sereno diggers', 'Ximena Arce', DEMO_PERSON.email, DEMO_PERSON.password);
  const other = await joinCrew('Quebrada crew', 'Bruno Tal', OTHER_PERSON.email, OTHER_PERSON.password);
  if (!lead.ok || !other.ok) throw new Error('the demo people could not be made');
  const crewOf = async (personId: string) =>
    (await db.select({ crewId: people.crewId }).from(people).where(eq(people.id, personId)))[0]!.crewId;
  const crew = await crewOf(lead.personId);
  for (const demo of [...DEMOS].reverse()) await createJob(crew, lead.personId, await saving(demo));
  await createJob(await crewOf(other.personId), other.personId, await saving('bell-frame'));
  return true;
}
