/** The demo crews and their jobs, made up. Loaded once into an empty database. */
import { eq } from 'drizzle-orm';
import { DEMOS, demoPlan, savingOf } from '../app/server/jobs.server.ts';
import { db } from './client.ts';
import { DEMO_PERSON, OTHER_PERSON } from './demo-people.ts';
import { createJob } from './queries/jobs.ts';
import { joinCrew } from './queries/sign-in.ts';
import { people } from './schema.ts';

export async function loadDemo(): Promise<boolean> {
  const [there] = await db.select({ id: people.id }).from(people).where(eq(people.email, DEMO_PERSON.email));
  if (there) return false;
  const lead = await joinCrew('Alto Sereno diggers', 'Ximena Arce', DEMO_PERSON.email, DEMO_PERSON.password);
  const other = await joinCrew('Quebrada crew', 'Bruno Tal', OTHER_PERSON.email, OTHER_PERSON.password);
  if (!lead.ok || !other.ok) throw new Error('the demo people could not be made');
  const crewOf = async (personId: string) =>
    (await db.select({ crewId: people.crewId }).from(people).where(eq(people.id, personId)))[0]!.crewId;
  const crew = await crewOf(lead.personId);
  for (const demo of [...DEMOS].reverse())
    await createJob(crew, lead.personId, savingOf(await demoPlan(demo), null, 'demo'));
  await createJob(
    await crewOf(other.personId),
    other.personId,
    savingOf(await demoPlan('bell-frame'), null, 'demo'),
  );
  return true;
}
