/** People of a crew: who they are, how one more comes in, and how one leaves; what they logged stays. */
import { wholeText } from '@cimiento/core';
import { and, asc, count, desc, eq, gt, isNull, max, ne, sql } from 'drizzle-orm';
import { db } from '../client.ts';
import { crews, devices, invites, people, type Role, sessions } from '../schema.ts';
import { isId } from './ids.ts';
import { digest, hashed, mailOf, newToken } from './secrets.ts';
import { counted, isTaken, type Join, MOST_JOINS } from './sign-in.ts';

/** An invite ends after so long. */
const INVITE_HOURS = 72;
/** Links that are open at once: more is a mistake. */
export const MOST_INVITES = 20;

const ofCrew = (crewId: string) => and(eq(people.crewId, crewId), isNull(people.leftAt));

/** Everybody of a crew, leads first, with when each was last about. */
export const listPeople = (crewId: string) =>
  db
    .select({
      id: people.id,
      name: people.name,
      email: people.email,
      role: people.role,
      seenAt: max(sessions.seenAt),
    })
    .from(people)
    .leftJoin(sessions, eq(sessions.personId, people.id))
    .where(ofCrew(crewId))
    .groupBy(people.id)
    .orderBy(sql`${people.role} = 'crew'`, asc(people.name));

/** Links that nobody has come in by and that have not ended. */
export const listInvites = (crewId: string) =>
  db
    .select({ id: invites.id, role: invites.role, expiresAt: invites.expiresAt, by: people.name })
    .from(invites)
    .innerJoin(people, eq(people.id, invites.invitedBy))
    .where(and(eq(invites.crewId, crewId), isNull(invites.usedBy), gt(invites.expiresAt, new Date())))
    .orderBy(desc(invites.expiresAt));

/** @returns the token of the link, kept nowhere, and when it ends; null when too many links are open */
export async function invite(
  crewId: string,
  by: string,
  role: Role,
): Promise<{ readonly token: string; readonly until: Date } | null> {
  if ((await listInvites(crewId)).length >= MOST_INVITES) return null;
  const token = newToken();
  const until = new Date(Date.now() + INVITE_HOURS * 3600_000);
  await db
    .insert(invites)
    .values({ tokenHash: digest(token), crewId, role, invitedBy: by, expiresAt: until });
  return { token, until };
}

export async function withdrawInvite(crewId: string, id: string): Promise<boolean> {
  if (!isId(id)) return false;
  const gone = await db
    .delete(invites)
    .where(and(eq(invites.id, id), eq(invites.crewId, crewId), isNull(invites.usedBy)))
    .returning({ id: invites.id });
  return gone.length > 0;
}

export type Invited =
  | { readonly ok: true; readonly crew: string; readonly role: Role; readonly by: string }
  | { readonly ok: false; readonly code: 'inviteUsed' | 'inviteLate' | 'inviteUnknown' };

/** What a link offers, or why it does not any more. */
export async function invitedBy(token: string): Promise<Invited> {
  const [row] = await db
    .select({ invite: invites, crew: crews.name, by: people.name })
    .from(invites)
    .innerJoin(crews, eq(crews.id, invites.crewId))
    .innerJoin(people, eq(people.id, invites.invitedBy))
    .where(eq(invites.tokenHash, digest(token)));
  if (!row) return { ok: false, code: 'inviteUnknown' };
  if (row.invite.usedBy !== null) return { ok: false, code: 'inviteUsed' };
  if (row.invite.expiresAt <= new Date()) return { ok: false, code: 'inviteLate' };
  return { ok: true, crew: row.crew, role: row.invite.role, by: row.by };
}

export type Entered = Join | { readonly ok: false; readonly code: Exclude<Invited, { ok: true }>['code'] };

/** One more person comes in by a link. Of two who press at once one does. */
export async function enterBy(
  token: string,
  who: { readonly name: string; readonly email: string; readonly password: string },
  address = '',
): Promise<Entered> {
  if (!(await counted([[`join:${address}`, address === '' ? 1e9 : MOST_JOINS]])))
    return { ok: false, code: 'tooMany' };
  const offered = await invitedBy(token);
  if (!offered.ok) return offered;
  const passwordHash = await hashed(who.password);
  if (passwordHash === null) return { ok: false, code: 'busy' };
  try {
    return await db.transaction(async (tx): Promise<Entered> => {
      const [link] = await tx
        .select()
        .from(invites)
        .where(and(eq(invites.tokenHash, digest(token)), gt(invites.expiresAt, new Date())))
        .for('update');
      if (!link) return { ok: false, code: 'inviteLate' };
      if (link.usedBy !== null) return { ok: false, code: 'inviteUsed' };
      const [person] = await tx
        .insert(people)
        .values({
          crewId: link.crewId,
          role: link.role,
          name: wholeText(who.name, 80),
          email: mailOf(who.email),
          passwordHash,
        })
        .returning({ id: people.id });
      await tx.update(invites).set({ usedBy: person!.id }).where(eq(invites.id, link.id));
      return { ok: true, personId: person!.id };
    });
  } catch (error) {
    if (isTaken(error)) return { ok: false, code: 'emailTaken' };
    throw error;
  }
}

export type Left = 'ok' | 'lastLead' | 'notFound';

/** Holds a crew's people still while one of them changes, so that of two leads who leave at once one stays. */
async function changed(
  crewId: string,
  personId: string,
  change: (tx: Parameters<Parameters<typeof db.transaction>[0]>[0]) => Promise<unknown>,
  losesLead: boolean,
): Promise<Left> {
  if (!isId(personId)) return 'notFound';
  return db.transaction(async (tx): Promise<Left> => {
    await tx.select({ id: crews.id }).from(crews).where(eq(crews.id, crewId)).for('update');
    const [person] = await tx
      .select({ role: people.role })
      .from(people)
      .where(and(eq(people.id, personId), ofCrew(crewId)));
    if (!person) return 'notFound';
    if (losesLead && person.role === 'lead') {
      const [others] = await tx
        .select({ n: count() })
        .from(people)
        .where(and(ofCrew(crewId), eq(people.role, 'lead'), ne(people.id, personId)));
      if ((others?.n ?? 0) === 0) return 'lastLead';
    }
    await change(tx);
    return 'ok';
  });
}

export const setRole = (crewId: string, personId: string, role: Role): Promise<Left> =>
  changed(
    crewId,
    personId,
    (tx) => tx.update(people).set({ role }).where(eq(people.id, personId)),
    role !== 'lead',
  );

/**
 * A person is of the crew no more: their sessions end, their address is forgotten and free for another crew,
 * their name stays with what they logged and saved.
 */
export const leave = (crewId: string, personId: string): Promise<Left> =>
  changed(
    crewId,
    personId,
    async (tx) => {
      await tx.delete(sessions).where(eq(sessions.personId, personId));
      await tx.delete(devices).where(eq(devices.personId, personId));
      await tx
        .update(people)
        .set({ leftAt: new Date(), email: `left:${personId}`, passwordHash: '' })
        .where(eq(people.id, personId));
    },
    true,
  );

export const letCrewEdit = (crewId: string, lets: boolean) =>
  db.update(crews).set({ crewEdits: lets }).where(eq(crews.id, crewId));
