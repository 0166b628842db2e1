/** What every loader and action shares: the cookie, the person, plain answers to bad requests. */
import { data, redirect } from 'react-router';
import { isDatabaseDown } from '../../db/client.ts';
import { type Person, personOf } from '../../db/queries/sign-in.ts';
import { type Preferences, readPreferences } from '../preferences.ts';

const SESSION = 'cimiento_session';
const secure = process.env.COOKIE_SECURE === '1' ? '; Secure' : '';

const cookies = (request: Request) =>
  new Map(
    (request.headers.get('cookie') ?? '').split(/;\s*/).map((pair): [string, string] => {
      const eq = pair.indexOf('=');
      return [pair.slice(0, eq), pair.slice(eq + 1)];
    }),
  );

export const sessionToken = (request: Request): string | null => cookies(request).get(SESSION) ?? null;

export const sessionCookie = (token: string, maxAge: number): string =>
  `${SESSION}=${token}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${maxAge}${secure}`;

export const preferencesCookie = (preferences: Preferences): string =>
  `cimiento_prefs=${encodeURIComponent(JSON.stringify(preferences))}; Path=/; SameSite=Lax; Max-Age=31536000${secure}`;

export const preferencesOf = (request: Request): Preferences =>
  readPreferences(cookies(request).get('cimiento_prefs'), request.headers.get('accept-language'));

/** On signing in: a language chosen in this browser stands, else the person's; the rest is theirs. */
export function preferencesOfPerson(request: Request, person: Person): Preferences {
  const here = preferencesOf(request);
  const chosenHere = cookies(request).has('cimiento_prefs');
  return {
    lang: chosenHere ? here.lang : (person.lang ?? here.lang),
    theme: person.theme,
    system: person.system,
  };
}

/** Runs database work; a database that is away becomes a 503 that says so. */
export async function withDatabase<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isDatabaseDown(error))
      throw data({ code: 'databaseDown' }, { status: 503, headers: { 'Retry-After': '5' } });
    throw error;
  }
}

/** Only this site's own pages may change anything: the cookie alone is not enough. */
export function sameOrigin(request: Request): void {
  const origin = request.headers.get('origin');
  const host = request.headers.get('x-forwarded-host') ?? request.headers.get('host');
  let from: string | null = null;
  try {
    from = origin === null ? null : new URL(origin).host;
  } catch {
    // "null" and nonsense are strangers.
    from = '';
  }
  if (from !== null && from !== host) throw data({ code: 'forbidden' }, { status: 403 });
}

/** The signed-in person, or a turn to the sign-in page that comes back here. */
export async function requirePerson(request: Request): Promise<Person> {
  const token = sessionToken(request);
  const person = token ? await withDatabase(() => personOf(token)) : null;
  if (person) return person;
  const url = new URL(request.url);
  throw redirect(`/sign-in?to=${encodeURIComponent(url.pathname + url.search)}`);
}

/** For calls a page makes in the background: a status it can act on instead of a turn. */
export async function requirePersonHere(request: Request): Promise<Person> {
  const token = sessionToken(request);
  const person = token ? await withDatabase(() => personOf(token)) : null;
  if (!person) throw data({ code: 'signedOut' }, { status: 401 });
  return person;
}

export const notFound = () => data({ code: 'notFound' }, { status: 404 });

/** Largest body taken, bytes: a plan file of 400 elements is a tenth of it. */
const LONGEST_BODY = 5_000_000;

/** Refuses a body that says it is too large before any of it is read. */
function notTooLong(request: Request): void {
  if (Number(request.headers.get('content-length') ?? 0) > LONGEST_BODY)
    throw data({ code: 'badRequest' }, { status: 413 });
}

/** A posted form; anything else is a bad request. */
export async function formOf(request: Request): Promise<FormData> {
  sameOrigin(request);
  notTooLong(request);
  try {
    return await request.formData();
  } catch {
    throw data({ code: 'badRequest' }, { status: 400 });
  }
}

/** A posted text, as long as it is not too long. */
export async function textOf(request: Request): Promise<string> {
  sameOrigin(request);
  notTooLong(request);
  return request.text();
}

/** A path on this site to go back to, or the job list. */
export function safeReturn(to: string | null): string {
  return to && /^\/(?![/\\])/.test(to) ? to : '/jobs';
}
