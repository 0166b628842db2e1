/** Another password: by who knows the old one, or by a link sent to their address; and the sessions there are. */
import { and, desc, eq, gt, lt, ne } from 'drizzle-orm';
import { db } from '../client.ts';
import { people, resets, sessions } from '../schema.ts';
import { isId } from './ids.ts';
import { digest, hashed, isPassword, mailOf, newToken } from './secrets.ts';
import { counted } from './sign-in.ts';

/** A link to choose another password ends after so long. */
const RESET_MINUTES = 60;
/** Links asked for one address, and from one, in the window of the brake. */
export const MOST_RESETS = { address: 10, account: 3 } as const;

export type Changed = 'ok' | 'wrong' | 'busy';

/** Everything but this session ends: whoever else had the old password is out. */
const endOthers = (personId: string, token: string) =>
  db.delete(sessions).where(and(eq(sessions.personId, personId), ne(sessions.tokenHash, digest(token))));

export async function changePassword(
  personId: string,
  token: string,
  old: string,
  next: string,
): Promise<Changed> {
  const [person] = await db
    .select({ passwordHash: people.passwordHash })
    .from(people)
    .where(eq(people.id, personId));
  const right = await isPassword(person?.passwordHash ?? null, old);
  if (right === null) return 'busy';
  if (!right) return 'wrong';
  const passwordHash = await hashed(next);
  if (passwordHash === null) return 'busy';
  await db.update(people).set({ passwordHash }).where(eq(people.id, personId));
  await endOthers(personId, token);
  return 'ok';
}

/**
 * A link for who forgot their password.
 * @returns to whom and the token; null for a stranger, or after too many: whoever asks is told the same
 */
export async function askReset(
  email: string,
  address: string,
): Promise<{ readonly token: string; readonly name: string; readonly email: string } | null> {
  const to = mailOf(email);
  const allowed = await counted([
    [`reset:${address}`, MOST_RESETS.address],
    [`reset-of:${to}`, MOST_RESETS.account],
  ]);
  if (!allowed) return null;
  const [person] = await db
    .select({ id: people.id, name: people.name })
    .from(people)
    .where(eq(people.email, to));
  if (!person) return null;
  const token = newToken();
  await db.delete(resets).where(lt(resets.expiresAt, new Date()));
  await db.insert(resets).values({
    tokenHash: digest(token),
    personId: person.id,
    expiresAt: new Date(Date.now() + RESET_MINUTES * 60_000),
  });
  return { token, name: person.name, email: to };
}

/** Whether a link still lets somebody choose a password. */
export async function isReset(token: string): Promise<boolean> {
  const [row] = await db
    .select({ id: resets.personId })
    .from(resets)
    .where(and(eq(resets.tokenHash, digest(token)), gt(resets.expiresAt, new Date())));
  return row !== undefined;
}

/** Chooses a password by a link: once, and every session of the person ends. */
export async function takeReset(token: string, next: string): Promise<'ok' | 'late' | 'busy'> {
  if (!(await isReset(token))) return 'late';
  const passwordHash = await hashed(next);
  if (passwordHash === null) return 'busy';
  return db.transaction(async (tx): Promise<'ok' | 'late'> => {
    const [taken] = await tx
      .delete(resets)
      .where(and(eq(resets.tokenHash, digest(token)), gt(resets.expiresAt, new Date())))
      .returning({ personId: resets.personId });
    if (!taken) return 'late';
    await tx.update(people).set({ passwordHash }).where(eq(people.id, taken.personId));
    await tx.delete(resets).where(eq(resets.personId, taken.personId));
    await tx.delete(sessions).where(eq(sessions.personId, taken.personId));
    return 'ok';
  });
}

/** Where a person is signed in, the last used first. */
export async function listSessions(personId: string, token: string) {
  const rows = await db
    .select()
    .from(sessions)
    .where(and(eq(sessions.personId, personId), gt(sessions.expiresAt, new Date())))
    .orderBy(desc(sessions.seenAt));
  const here = digest(token);
  return rows.map(({ id, agent, createdAt, seenAt, tokenHash }) => ({
    id,
    agent,
    createdAt,
    seenAt,
    here: tokenHash === here,
  }));
}

export async function endSession(personId: string, id: string): Promise<boolean> {
  if (!isId(id)) return false;
  const gone = await db
    .delete(sessions)
    .where(and(eq(sessions.id, id), eq(sessions.personId, personId)))
    .returning({ id: sessions.id });
  return gone.length > 0;
}
