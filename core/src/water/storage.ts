/** How much water a hole holds up to a level, and how high so much stands: straight between levels. */

export interface Storage {
  /** Rising levels, m, and the m³ held up to each; the first holds none. */
  readonly levels: readonly number[];
  readonly volumes: readonly number[];
}

/**
 * @param under m³ of room for water below a level
 * @param base nothing is held below it; @param rim past it water runs out over the ground
 */
export function storageOf(under: (level: number) => number, base: number, rim: number, steps = 60): Storage {
  const levels = [base];
  const volumes = [0];
  for (let i = 1; i <= steps; i++) {
    const level = base + ((rim - base) * i) / steps;
    const volume = under(level);
    // What holds no more than the level below it would have no level of its own.
    if (volume <= volumes.at(-1)! + 1e-9) continue;
    levels.push(level);
    volumes.push(volume);
  }
  return { levels, volumes };
}

/**
 * A place along a rising list, kept from one question to the next: it seldom moves by more than one. What
 * lies past either end is at it.
 */
export class Along {
  readonly #list: readonly number[];
  #i = 0;
  /** Share of the way from entry i to the next. */
  #share = 0;

  constructor(list: readonly number[]) {
    this.#list = list;
  }

  to(value: number): this {
    const list = this.#list;
    const last = list.length - 2;
    if (last < 0) return this;
    while (this.#i < last && value > list[this.#i + 1]!) this.#i++;
    while (this.#i > 0 && value < list[this.#i]!) this.#i--;
    const [low, high] = [list[this.#i]!, list[this.#i + 1]!];
    this.#share = Math.min(1, Math.max(0, (value - low) / (high - low)));
    return this;
  }

  /** What a table with an entry for each of the list's says here, straight between them. */
  read(table: readonly number[]): number {
    const from = table[this.#i]!;
    const to = table[this.#i + 1] ?? from;
    return from + (to - from) * this.#share;
  }

  /** How much more the list grows here than a table does; 0 where the table stands. */
  slopeOver(table: readonly number[]): number {
    const i = this.#i;
    const up = (table[i + 1] ?? 0) - table[i]!;
    return up > 0 ? (this.#list[i + 1]! - this.#list[i]!) / up : 0;
  }
}

export const brimful = ({ volumes }: Storage): number => volumes.at(-1)!;
