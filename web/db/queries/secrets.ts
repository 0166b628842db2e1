/** Passwords and tokens: hashed, never kept; hashing takes its turn. */
import { createHash, randomBytes } from 'node:crypto';
import { wholeText } from '@cimiento/core';
import { hash, verify } from '@node-rs/argon2';
import pLimit from 'p-limit';

/** What the tables keep of a token: they alone let nobody in. */
export const digest = (token: string): string => createHash('sha256').update(token).digest('hex');
export const newToken = (): string => randomBytes(32).toString('base64url');

/** An e-mail address as it is compared. */
export const mailOf = (email: string): string => wholeText(email.trim().toLowerCase(), 200);

export const SHORTEST_PASSWORD = 8;
const LONGEST = 200;

/** Hashing takes a core for a tenth of a second: two at a time, and no more wait than can be served. */
const hashing = pLimit(2);
const MOST_WAITING = 40;
// Checked when the account does not exist, so that both answers take as long.
const NOBODY = hash('nobody-has-this-password');

/** Runs a hash in its turn; null when too many wait already. */
async function inTurn<T>(work: () => Promise<T>): Promise<T | null> {
  return hashing.pendingCount >= MOST_WAITING ? null : hashing(work);
}

/** @returns null when too many wait already */
export const hashed = (password: string): Promise<string | null> =>
  inTurn(() => hash(password.slice(0, LONGEST)));

/**
 * Whether a password is the one of a hash.
 * @param against null: of an account that does not exist, which takes as long to say no
 * @returns null when too many wait already
 */
export async function isPassword(against: string | null, password: string): Promise<boolean | null> {
  const kept = against ?? (await NOBODY);
  const right = await inTurn(() => verify(kept, password.slice(0, LONGEST)));
  return against === null && right !== null ? false : right;
}
