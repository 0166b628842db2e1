/**
 * A crew's own words: small lists over the two languages. A rule puts a crew's term in the place of the plain
 * one wherever it stands, or only under some keys; what stands in blanks is never touched.
 */
export interface Rule {
  /** In lower case; a capital where it stands is kept. Whole words. */
  readonly from: string;
  readonly to: string;
  /** Keys it holds for; all when it says none. */
  readonly keys?: RegExp;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const isCapital = (text: string) => text.charAt(0) !== text.charAt(0).toLowerCase();
const found = new Map<string, RegExp>();

/** Whole words, in letters of either language. */
function patternOf(from: string): RegExp {
  const known = found.get(from);
  if (known) return known;
  const made = new RegExp(`(?<![\\p{L}\\d])${from}(?![\\p{L}\\d])`, 'giu');
  found.set(from, made);
  return made;
}

/** One message in a crew's words. Rules are put on in turn; each sees what those before left. */
export function inWords(key: string, text: string, rules: readonly Rule[]): string {
  return text
    .split(/(\{\{[^}]*\}\})/)
    .map((part, i) =>
      i % 2 === 1
        ? part
        : rules.reduce(
            (said, { from, to, keys }) =>
              keys && !keys.test(key)
                ? said
                : said.replace(patternOf(from), (was) => (isCapital(was) ? capital(to) : to)),
            part,
          ),
    )
    .join('');
}

type Tree = { readonly [key: string]: string | Tree };

/** All messages in a crew's words. */
export const retold = <T>(messages: T, rules: readonly Rule[], at = ''): T =>
  rules.length === 0
    ? messages
    : (Object.fromEntries(
        Object.entries(messages as Tree).map(([key, value]) => [
          key,
          typeof value === 'string'
            ? inWords(`${at}${key}`, value, rules)
            : retold(value, rules, `${at}${key}.`),
        ]),
      ) as T);
