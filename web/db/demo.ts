/** The demo crews and their jobs, made up. Loaded once into an empty database. */
import type { Lang } from '@cimiento/core';
import { eq } from 'drizzle-orm';
import { demoToday } from '../app/server/demo-days.server.ts';
import { DEMOS, type Demo, demoJob, savingOf } from '../app/server/jobs.server.ts';
import { summaryOf } from '../app/server/summary.ts';
import { db } from './client.ts';
import { DEMO_HAND, DEMO_PERSON, OTHER_PERSON, SPANISH_HAND, SPANISH_PERSON } from './demo-people.ts';
import { createJob } from './queries/jobs.ts';
import { enterBy, invite } from './queries/people.ts';
import { joinCrew } from './queries/sign-in.ts';
import { people } from './schema.ts';

async function saving(demo: Demo, lang: Lang) {
  const { plan, records, photos } = await demoJob(demo, lang, demoToday());
  return savingOf(plan, null, 'demo', summaryOf(plan, records), records, photos);
}

interface DemoCrew {
  readonly crew: string;
  readonly name: string;
  readonly who: { readonly email: string; readonly password: string };
  readonly lang: Lang;
  readonly demos: readonly Demo[];
  /** One more of the crew, who is no lead. */
  readonly hand?: { readonly name: string; readonly email: string; readonly password: string };
}

const CREWS: readonly DemoCrew[] = [
  {
    crew: 'Alto Sereno diggers',
    name: 'Ximena Arce',
    who: DEMO_PERSON,
    lang: 'en',
    demos: DEMOS,
    hand: { name: 'Tomás Rey', ...DEMO_HAND },
  },
  {
    crew: 'Cuadrilla de Alto Sereno',
    name: 'Ximena Arce',
    who: SPANISH_PERSON,
    lang: 'es',
    demos: DEMOS,
    hand: { name: 'Tomás Rey', ...SPANISH_HAND },
  },
  { crew: 'Quebrada crew', name: 'Bruno Tal', who: OTHER_PERSON, lang: 'en', demos: ['bell-frame'] },
];

/** Whether any of the crews had to be made. */
export async function loadDemo(): Promise<boolean> {
  let made = false;
  for (const { crew, name, who, lang, demos, hand } of CREWS) {
    const [there] = await db.select({ id: people.id }).from(people).where(eq(people.email, who.email));
    if (there) continue;
    const joined = await joinCrew(crew, name, who.email, who.password);
    if (!joined.ok) throw new Error(`the demo person ${who.email} could not be made`);
    const [{ crewId }] = (await db
      .select({ crewId: people.crewId })
      .from(people)
      .where(eq(people.id, joined.personId))) as [{ crewId: string }];
    const link = hand && (await invite(crewId, joined.personId, 'crew'));
    if (link) await enterBy(link.token, hand);
    // The newest stands first on the board.
    for (const demo of [...demos].reverse())
      await createJob(crewId, joined.personId, await saving(demo, lang));
    made = true;
  }
  return made;
}
