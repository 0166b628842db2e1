/** Who is signing in: crews, people, sessions and the brake on guessing. */
import { wholeText } from '@cimiento/core';
import { and, count, eq, gt, inArray, isNull, lt, sql } from 'drizzle-orm';
import { db } from '../client.ts';
import { attempts, crews, devices, people, sessions } from '../schema.ts';
import { digest, hashed, isPassword, mailOf, newToken } from './secrets.ts';

export type Person = Omit<typeof people.$inferSelect, 'passwordHash' | 'createdAt' | 'leftAt'> & {
  readonly crew: string;
  /** Whether those of the crew who are no leads may change plans. */
  readonly crewEdits: boolean;
};

const SESSION_DAYS = 30;
/** A session is told when it was used to so much, ms: not a write a request. */
const SEEN_EVERY = 15 * 60_000;
/**
 * What wrong tries in the window cost the next one: after so many each waits longer, and none is shut out.
 * Who knows the password gets in within seconds, whoever else is guessing; who guesses has hundreds of
 * tries a day, not millions. Assumed; passwords are ten letters at least.
 */
const BRAKES = {
  /** On an account from one address, or on a device the account knows: doubles with each. */
  own: { free: 5, wait: (over: number) => 500 * 2 ** over, most: 8000 },
  /** On an account from anywhere. */
  account: { free: 8, wait: (over: number) => 500 * over, most: 4000 },
  /** From one address, on any account. */
  address: { free: 20, wait: (over: number) => 250 * over, most: 4000 },
} as const;
type Brake = keyof typeof BRAKES;

/** Milliseconds a try waits after so many wrong ones. */
export function waitAfter(brake: Brake, wrong: number): number {
  const { free, wait, most } = BRAKES[brake];
  return wrong < free ? 0 : Math.min(most, wait(wrong - free + 1));
}

/** Tries of one address that may wait at once: more are told to come back in a moment. */
export const MOST_AT_ONCE = 4;
/** Crews one address may found in the window. */
export const MOST_JOINS = 20;
const WINDOW_MINUTES = 15;

export type SignIn =
  | { readonly ok: true; readonly personId: string }
  | { readonly ok: false; readonly code: 'wrong' | 'tooMany' | 'busy' };

/**
 * Counts a try against every key before it is made, all or none: of three hundred at once no more
 * are let through than of three hundred in a row.
 * @returns ids of the tries counted; null when a key has had its share
 */
export async function counted(keys: readonly (readonly [string, number])[]): Promise<string[] | null> {
  return db.transaction(async (tx) => {
    const since = new Date(Date.now() - WINDOW_MINUTES * 60_000);
    // In one order, or two tries with the same keys could wait for one another.
    for (const [key, most] of [...keys].sort(([p], [q]) => (p < q ? -1 : 1))) {
      await tx.execute(sql`select pg_advisory_xact_lock(hashtextextended(${key}, 0))`);
      const [row] = await tx
        .select({ n: count() })
        .from(attempts)
        .where(and(eq(attempts.key, key), gt(attempts.at, since)));
      if ((row?.n ?? 0) >= most) return null;
    }
    const made = await tx
      .insert(attempts)
      .values(keys.map(([key]) => ({ key })))
      .returning({ id: attempts.id });
    return made.map((row) => row.id);
  });
}

/** Counts a try against its keys before it is made. @returns how many wrong ones each had, and the ids to forget it by */
async function struck(keys: readonly string[]): Promise<{ wrong: number[]; ids: string[] }> {
  const since = new Date(Date.now() - WINDOW_MINUTES * 60_000);
  const rows = await db
    .select({ key: attempts.key, n: count() })
    .from(attempts)
    .where(and(inArray(attempts.key, [...keys]), gt(attempts.at, since)))
    .groupBy(attempts.key);
  const made = await db
    .insert(attempts)
    .values(keys.map((key) => ({ key })))
    .returning({ id: attempts.id });
  return {
    wrong: keys.map((key) => rows.find((row) => row.key === key)?.n ?? 0),
    ids: made.map((row) => row.id),
  };
}

/** Tries under way that are made to wait, by address. */
const underWay = new Map<string, number>();

/** Holds a try back. @returns false when too many of its address are held back already */
async function held(address: string, wait: number, pause: (ms: number) => Promise<void>): Promise<boolean> {
  if (wait === 0) return true;
  const now = underWay.get(address) ?? 0;
  if (now >= MOST_AT_ONCE) return false;
  underWay.set(address, now + 1);
  try {
    await pause(wait);
    return true;
  } finally {
    const left = (underWay.get(address) ?? 1) - 1;
    if (left > 0) underWay.set(address, left);
    else underWay.delete(address);
  }
}

const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

const forget = (ids: readonly string[]) => db.delete(attempts).where(inArray(attempts.id, [...ids]));

/** Whether a device has signed in to an account before. */
async function knows(personId: string, device: string | null): Promise<boolean> {
  if (!device) return false;
  const [row] = await db
    .select({ id: devices.personId })
    .from(devices)
    .where(and(eq(devices.tokenHash, digest(device)), eq(devices.personId, personId)));
  return row !== undefined;
}

/**
 * Checks a password. Wrong tries slow the next ones down: those on the account from this address, those
 * on the account, those from the address; on a device that has signed in to the account before only its
 * own. Nobody is shut out: the right password gets in, after seconds at the most.
 * @param device the token of the device's cookie, when it has one
 * @param pause how a try is held back, ms
 */
export async function checkPassword(
  email: string,
  password: string,
  address: string,
  device: string | null = null,
  pause: (ms: number) => Promise<void> = sleep,
): Promise<SignIn> {
  const [person] = await db
    .select()
    .from(people)
    .where(eq(people.email, mailOf(email)));
  const known = person !== undefined && (await knows(person.id, device));
  const brakes: readonly (readonly [Brake, string])[] = known
    ? [['own', `device:${digest(device!)}`]]
    : [
        ['own', `from:${address}:${mailOf(email)}`],
        ['account', `account:${mailOf(email)}`],
        ['address', `address:${address}`],
      ];
  const { wrong, ids } = await struck(brakes.map(([, key]) => key));
  const wait = Math.max(...brakes.map(([brake], i) => waitAfter(brake, wrong[i]!)));
  if (!(await held(known ? `device:${digest(device!)}` : address, wait, pause))) {
    await forget(ids);
    return { ok: false, code: 'tooMany' };
  }
  const right = await isPassword(person?.passwordHash ?? null, password);
  if (right === null) {
    await forget(ids);
    return { ok: false, code: 'busy' };
  }
  if (person && right) {
    await forget(ids);
    await db.delete(attempts).where(eq(attempts.key, brakes[0]![1]));
    return { ok: true, personId: person.id };
  }
  await db.delete(attempts).where(lt(attempts.at, new Date(Date.now() - 24 * 3600_000)));
  return { ok: false, code: 'wrong' };
}

/** Remembers a device that has signed in; its token goes into a cookie and is kept nowhere. */
export async function rememberDevice(personId: string, token: string | null): Promise<string> {
  const kept = token ?? newToken();
  await db
    .insert(devices)
    .values({ tokenHash: digest(kept), personId })
    .onConflictDoUpdate({
      target: [devices.tokenHash, devices.personId],
      set: { usedAt: new Date() },
    });
  return kept;
}

/** Opens a session; the token goes into the cookie and is kept nowhere. */
export async function openSession(personId: string, agent = ''): Promise<{ token: string; maxAge: number }> {
  const token = newToken();
  const maxAge = SESSION_DAYS * 24 * 3600;
  await db.insert(sessions).values({
    tokenHash: digest(token),
    personId,
    agent: wholeText(agent, 300),
    expiresAt: new Date(Date.now() + maxAge * 1000),
  });
  await db.delete(sessions).where(lt(sessions.expiresAt, new Date()));
  return { token, maxAge };
}

export async function personOf(token: string): Promise<Person | null> {
  const [row] = await db
    .select({ person: people, crew: crews.name, crewEdits: crews.crewEdits, seenAt: sessions.seenAt })
    .from(sessions)
    .innerJoin(people, eq(people.id, sessions.personId))
    .innerJoin(crews, eq(crews.id, people.crewId))
    .where(
      and(eq(sessions.tokenHash, digest(token)), gt(sessions.expiresAt, new Date()), isNull(people.leftAt)),
    );
  if (!row) return null;
  const now = new Date();
  if (now.getTime() - row.seenAt.getTime() > SEEN_EVERY)
    await db
      .update(sessions)
      .set({ seenAt: now })
      .where(eq(sessions.tokenHash, digest(token)));
  const { passwordHash: _hash, createdAt: _created, leftAt: _left, ...person } = row.person;
  return { ...person, crew: row.crew, crewEdits: row.crewEdits };
}

export const closeSession = (token: string) =>
  db.delete(sessions).where(eq(sessions.tokenHash, digest(token)));

export type Join =
  | { readonly ok: true; readonly personId: string }
  | { readonly ok: false; readonly code: 'emailTaken' | 'tooMany' | 'busy' };

/** PostgreSQL's own word for a second row where only one may be. */
export function isTaken(error: unknown): boolean {
  for (let e: unknown = error, depth = 0; e instanceof Error && depth < 6; e = e.cause, depth++)
    if ('code' in e && e.code === '23505') return true;
  return false;
}

/** A new crew with its first person. Of several with one e-mail at once one wins. */
export async function joinCrew(
  crew: string,
  name: string,
  email: string,
  password: string,
  address = '',
): Promise<Join> {
  if (!(await counted([[`join:${address}`, address === '' ? 1e9 : MOST_JOINS]])))
    return { ok: false, code: 'tooMany' };
  const [taken] = await db
    .select({ id: people.id })
    .from(people)
    .where(eq(people.email, mailOf(email)));
  if (taken) return { ok: false, code: 'emailTaken' };
  const passwordHash = await hashed(password);
  if (passwordHash === null) return { ok: false, code: 'busy' };
  try {
    return await db.transaction(async (tx): Promise<Join> => {
      const [made] = await tx
        .insert(crews)
        .values({ name: wholeText(crew, 80) })
        .returning({ id: crews.id });
      const [person] = await tx
        .insert(people)
        .values({ crewId: made!.id, name: wholeText(name, 80), email: mailOf(email), passwordHash })
        .returning({ id: people.id });
      return { ok: true, personId: person!.id };
    });
  } catch (error) {
    if (isTaken(error)) return { ok: false, code: 'emailTaken' };
    throw error;
  }
}

export async function setPreferences(
  personId: string,
  preferences: Partial<Pick<Person, 'lang' | 'theme' | 'system'>>,
): Promise<void> {
  await db.update(people).set(preferences).where(eq(people.id, personId));
}
