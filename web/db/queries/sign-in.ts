/** Who is signing in: crews, people, sessions and the brake on guessing. */
import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { and, count, eq, gt, lt } from 'drizzle-orm';
import { db } from '../client.ts';
import { attempts, crews, people, sessions } from '../schema.ts';

export type Person = Omit<typeof people.$inferSelect, 'passwordHash' | 'createdAt'> & {
  readonly crew: string;
};

const SESSION_DAYS = 30;
/** Wrong passwords allowed in the window, for one account and for one address. */
export const MOST_ATTEMPTS = { account: 8, address: 40 } as const;
const WINDOW_MINUTES = 15;

const digest = (token: string) => createHash('sha256').update(token).digest('hex');
const mail = (email: string) => email.trim().toLowerCase().slice(0, 200);
// Checked when the account does not exist, so that both answers take as long.
const NOBODY = hash('nobody-has-this-password');

export type SignIn =
  | { readonly ok: true; readonly personId: string }
  | { readonly ok: false; readonly code: 'wrong' | 'tooMany' };

async function tooMany(keys: readonly (readonly [string, number])[]): Promise<boolean> {
  const since = new Date(Date.now() - WINDOW_MINUTES * 60_000);
  for (const [key, most] of keys) {
    const [row] = await db
      .select({ n: count() })
      .from(attempts)
      .where(and(eq(attempts.key, key), gt(attempts.at, since)));
    if ((row?.n ?? 0) >= most) return true;
  }
  return false;
}

/** Checks a password. Every wrong one counts against the account and the address. */
export async function checkPassword(email: string, password: string, address: string): Promise<SignIn> {
  const keys = [
    [`account:${mail(email)}`, MOST_ATTEMPTS.account],
    [`address:${address}`, MOST_ATTEMPTS.address],
  ] as const;
  if (await tooMany(keys)) return { ok: false, code: 'tooMany' };
  const [person] = await db
    .select()
    .from(people)
    .where(eq(people.email, mail(email)));
  const right = await verify(person?.passwordHash ?? (await NOBODY), password.slice(0, 200));
  if (person && right) {
    await db.delete(attempts).where(eq(attempts.key, keys[0][0]));
    return { ok: true, personId: person.id };
  }
  await db.insert(attempts).values(keys.map(([key]) => ({ key })));
  await db.delete(attempts).where(lt(attempts.at, new Date(Date.now() - 24 * 3600_000)));
  return { ok: false, code: 'wrong' };
}

/** Opens a session; the token goes into the cookie and is kept nowhere. */
export async function openSession(personId: string): Promise<{ token: string; maxAge: number }> {
  const token = randomBytes(32).toString('base64url');
  const maxAge = SESSION_DAYS * 24 * 3600;
  await db
    .insert(sessions)
    .values({ tokenHash: digest(token), personId, expiresAt: new Date(Date.now() + maxAge * 1000) });
  await db.delete(sessions).where(lt(sessions.expiresAt, new Date()));
  return { token, maxAge };
}

export async function personOf(token: string): Promise<Person | null> {
  const [row] = await db
    .select({ person: people, crew: crews.name })
    .from(sessions)
    .innerJoin(people, eq(people.id, sessions.personId))
    .innerJoin(crews, eq(crews.id, people.crewId))
    .where(and(eq(sessions.tokenHash, digest(token)), gt(sessions.expiresAt, new Date())));
  if (!row) return null;
  const { passwordHash: _hash, createdAt: _created, ...person } = row.person;
  return { ...person, crew: row.crew };
}

export const closeSession = (token: string) =>
  db.delete(sessions).where(eq(sessions.tokenHash, digest(token)));

export type Join =
  | { readonly ok: true; readonly personId: string }
  | { readonly ok: false; readonly code: 'emailTaken' };

/** A new crew with its first person. */
export async function joinCrew(crew: string, name: string, email: string, password: string): Promise<Join> {
  const passwordHash = await hash(password.slice(0, 200));
  return db.transaction(async (tx): Promise<Join> => {
    const [taken] = await tx
      .select({ id: people.id })
      .from(people)
      .where(eq(people.email, mail(email)));
    if (taken) return { ok: false, code: 'emailTaken' };
    const [made] = await tx.insert(crews).values({ name: crew }).returning({ id: crews.id });
    const [person] = await tx
      .insert(people)
      .values({ crewId: made!.id, name, email: mail(email), passwordHash })
      .returning({ id: people.id });
    return { ok: true, personId: person!.id };
  });
}

export async function setPreferences(
  personId: string,
  preferences: Partial<Pick<Person, 'lang' | 'theme' | 'system'>>,
): Promise<void> {
  await db.update(people).set(preferences).where(eq(people.id, personId));
}
