/**
 * What the server writes down of an error: its kind and where it came from, never what was in the
 * request. Database errors carry the values of the query in their message, so messages of errors
 * with a query are left out.
 */

/** Longest message written, characters. */
const LONGEST = 300;

interface Told {
  readonly name: string;
  readonly code: string;
  readonly message: string;
  readonly at: string;
}

/** Text that could hold a secret is not repeated: long words, hashes, tokens. */
const plain = (text: string) =>
  text
    .replace(/\$argon2\S+/g, '…')
    .replace(/[A-Za-z0-9_-]{32,}/g, '…')
    .slice(0, LONGEST);

export function toldOf(error: unknown): Told {
  if (!(error instanceof Error)) return { name: typeof error, code: '', message: '', at: '' };
  const withQuery = 'query' in error || 'params' in error || /^Failed query/.test(error.message);
  const cause = error.cause instanceof Error ? error.cause : error;
  const code = 'code' in cause ? String(cause.code) : '';
  const [, first = ''] = (error.stack ?? '').split(/\n\s+at /);
  return {
    name: error.name,
    code: code.slice(0, 20),
    message: withQuery ? '' : plain(error.message),
    at: first.slice(0, 160),
  };
}

/** Writes one line about an error. */
export function sayError(error: unknown, about: { method: string; path: string }): void {
  const { name, code, message, at } = toldOf(error);
  console.error(
    [`${about.method} ${about.path.slice(0, 120)}:`, name, code, message, at && `(${at})`]
      .filter(Boolean)
      .join(' '),
  );
}
