/** The stand-in for a mail service: what it is given to send it keeps, and shows in demo mode. */
import { desc, sql } from 'drizzle-orm';
import { db } from '../client.ts';
import { mails } from '../schema.ts';

/** Messages it keeps. */
const KEPT = 50;

export interface Mail {
  readonly to: string;
  readonly subject: string;
  readonly body: string;
}

export async function sendMail(mail: Mail): Promise<void> {
  await db.insert(mails).values(mail);
  await db.execute(
    sql`delete from ${mails} where ${mails.id} <= (select max(${mails.id}) from ${mails}) - ${KEPT}`,
  );
}

export const listMails = () => db.select().from(mails).orderBy(desc(mails.id)).limit(KEPT);
