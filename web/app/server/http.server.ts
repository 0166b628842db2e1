/** What every loader and action shares: the cookie, the person, plain answers to bad requests. */
import { data, redirect } from 'react-router';
import { isDatabaseDown } from '../../db/client.ts';
import { type Person, personOf } from '../../db/queries/sign-in.ts';
import { type Preferences, readPreferences } from '../preferences.ts';
import { bodyForm, bodyText, MOST_BODY } from './body.server.ts';

const SESSION = 'cimiento_session';
const DEVICE = 'cimiento_device';
/** Secure where the page came over TLS, which the door knows, or where the operator says so. */
const secure = (request: Request) =>
  process.env.COOKIE_SECURE === '1' || new URL(request.url).protocol === 'https:' ? '; Secure' : '';

const cookies = (request: Request) =>
  new Map(
    (request.headers.get('cookie') ?? '').split(/;\s*/).map((pair): [string, string] => {
      const eq = pair.indexOf('=');
      return [pair.slice(0, eq), pair.slice(eq + 1)];
    }),
  );

export const sessionToken = (request: Request): string | null => cookies(request).get(SESSION) ?? null;

export const sessionCookie = (request: Request, token: string, maxAge: number): string =>
  `${SESSION}=${token}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${maxAge}${secure(request)}`;

/**
 * Where people reach this server: links that are sent on begin with it. Without PUBLIC_URL it is what the request
 * says, which a stranger can make up: an operator who sends mail sets it.
 */
export const publicOrigin = (request: Request): string =>
  new URL(process.env.PUBLIC_URL || request.url).origin;

/** What the browser calls itself. */
export const agentFrom = (request: Request): string => request.headers.get('user-agent') ?? '';

/** What tells a device that has signed in before from a stranger's. */
export const deviceToken = (request: Request): string | null => cookies(request).get(DEVICE) ?? null;
export const deviceCookie = (request: Request, token: string): string =>
  `${DEVICE}=${token}; Path=/; HttpOnly; SameSite=Lax; Max-Age=31536000${secure(request)}`;

export const preferencesCookie = (request: Request, preferences: Preferences): string =>
  `cimiento_prefs=${encodeURIComponent(JSON.stringify(preferences))}; Path=/; SameSite=Lax; Max-Age=31536000${secure(request)}`;

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
  // Of the address as the door read it: a forwarded host counts only where a proxy is trusted.
  const { host } = new URL(request.url);
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

/**
 * For what a page sends by itself, maybe long after it was made: it counts only under the session of the
 * person it was made by (`person` in the address). Another who signed in on the same phone is told to sign
 * in as them.
 * @throws 401
 */
export async function requireMaker(request: Request): Promise<Person> {
  const person = await requirePersonHere(request);
  const maker = new URL(request.url).searchParams.get('person') ?? '';
  if (maker !== '' && maker !== person.id) throw data({ code: 'otherPerson' }, { status: 401 });
  return person;
}

export const notFound = () => data({ code: 'notFound' }, { status: 404 });

/** A posted form; anything else is a bad request. Only in parts may it be longer than a form is. */
export async function formOf(request: Request, context?: object, most?: number): Promise<FormData> {
  sameOrigin(request);
  return bodyForm(request, most, context);
}

/** A posted text, as long as it is not too long. */
export async function textOf(request: Request, context?: object): Promise<string> {
  sameOrigin(request);
  return bodyText(request, MOST_BODY.plan, context);
}

/**
 * A path on this site to go back to, or the job list. Read as a browser would read it: tabs and
 * line ends are nothing to it, and a backslash is a slash.
 */
export function safeReturn(to: string | null): string {
  const here = 'http://this.invalid';
  if (!to?.startsWith('/')) return '/jobs';
  try {
    const url = new URL(to, here);
    const path = url.pathname + url.search + url.hash;
    return url.origin === here && !path.startsWith('//') ? path : '/jobs';
  } catch {
    return '/jobs';
  }
}
