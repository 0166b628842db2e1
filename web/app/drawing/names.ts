/** Which names of a drawing are shown: those that cover no other, what is picked first. */

export interface Named {
  readonly id: string;
  /** Middle of its tag on the drawing, and the tag's size, px. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Length of what it names as drawn, px: a tag larger than that would hide it. */
  readonly length: number;
}

/** A tag may be this much longer than what it names, px: a pad's name stands over the pad. */
const LARGER = 26;

/**
 * @param first id whose name is shown whatever it covers
 * @returns ids of the names that are shown; a name left out comes with zooming in or picking
 */
export function namesShown(names: readonly Named[], first: string | null): ReadonlySet<string> {
  const cell = Math.max(1, ...names.map((name) => Math.max(name.width, name.height)));
  const taken = new Map<string, Named[]>();
  const shown = new Set<string>();
  const cellOf = (x: number, y: number) => [Math.floor(x / cell), Math.floor(y / cell)] as const;
  const free = (name: Named): boolean => {
    const [i, j] = cellOf(name.x, name.y);
    for (let di = -1; di <= 1; di++)
      for (let dj = -1; dj <= 1; dj++)
        for (const other of taken.get(`${i + di},${j + dj}`) ?? [])
          if (
            Math.abs(other.x - name.x) < (other.width + name.width) / 2 &&
            Math.abs(other.y - name.y) < (other.height + name.height) / 2
          )
            return false;
    return true;
  };
  const put = (name: Named) => {
    const key = cellOf(name.x, name.y).join();
    taken.set(key, [...(taken.get(key) ?? []), name]);
    shown.add(name.id);
  };
  const picked = names.find((name) => name.id === first);
  if (picked) put(picked);
  // What is drawn longest is named first: a house's walls before the pads beside it.
  const rest = names.filter((name) => name !== picked).sort((p, q) => q.length - p.length);
  for (const name of rest) if (name.width <= name.length + LARGER && free(name)) put(name);
  return shown;
}
