/** Names of many things in few words: "T1–T5, P1". */

/** Fewer names in a row are told one by one. */
const LEAST_RANGE = 3;

/** Letters before the number a name ends in; null: it ends in none. */
function numbered(name: string): { readonly head: string; readonly n: number } | null {
  const found = /^(.*?)([1-9]\d*)$/.exec(name);
  return found ? { head: found[1]!, n: Number(found[2]) } : null;
}

/**
 * Names in the order given, those that count on from one another as a range.
 * @param least so many in a row are one
 */
export function ranges(names: readonly string[], least = LEAST_RANGE): string {
  const said: string[] = [];
  for (let i = 0; i < names.length; ) {
    const first = numbered(names[i]!);
    let end = i + 1;
    while (first && end < names.length) {
      const next = numbered(names[end]!);
      if (next?.head !== first.head || next.n !== first.n + end - i) break;
      end++;
    }
    if (end - i >= least) said.push(`${names[i]}–${names[end - 1]}`);
    else said.push(...names.slice(i, end));
    i = end;
  }
  return said.join(', ');
}
