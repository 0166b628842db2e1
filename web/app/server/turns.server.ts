/**
 * Work in turns: of several crews that ask for long work at once each has its turn, whoever asked first
 * and however often. A crew has one thing worked out at a time, so one crew's dozen keeps nobody else
 * waiting for longer than what is under way.
 */

/** More waits than is allowed: to be asked again later. */
export class TooMany extends Error {
  constructor() {
    super('too many wait for their turn');
  }
}

interface Waiting {
  readonly start: () => void;
}

export class Turns {
  readonly #atOnce: number;
  readonly #each: number;
  /** Crews that wait, the one whose turn is next first. */
  readonly #waiting = new Map<string, Waiting[]>();
  readonly #running = new Set<string>();
  #count = 0;

  /**
   * @param atOnce things worked out at once, over all crews
   * @param each things one crew may have waiting
   */
  constructor({ atOnce, each }: { readonly atOnce: number; readonly each: number }) {
    this.#atOnce = atOnce;
    this.#each = each;
  }

  /** Runs some work in its turn. @throws TooMany */
  async run<T>(crew: string, work: () => Promise<T>): Promise<T> {
    const own = this.#waiting.get(crew) ?? [];
    if (own.length >= this.#each) throw new TooMany();
    await new Promise<void>((start) => {
      own.push({ start });
      this.#waiting.set(crew, own);
      this.#next();
    });
    try {
      return await work();
    } finally {
      this.#count--;
      this.#running.delete(crew);
      // What it asked for meanwhile stands behind whoever else waits.
      const more = this.#waiting.get(crew);
      if (more && this.#waiting.delete(crew)) this.#waiting.set(crew, more);
      this.#next();
    }
  }

  #next(): void {
    for (const [crew, own] of [...this.#waiting]) {
      if (this.#count >= this.#atOnce) return;
      if (this.#running.has(crew)) continue;
      const next = own.shift();
      // It goes to the end of the row: whoever else waits comes first.
      this.#waiting.delete(crew);
      if (own.length > 0) this.#waiting.set(crew, own);
      if (!next) continue;
      this.#running.add(crew);
      this.#count++;
      next.start();
    }
  }
}
