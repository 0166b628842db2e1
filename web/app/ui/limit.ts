/** Work in a worker is called off when it takes too long: the worker is ended, whatever it does. */

/** A reading that takes longer is called off, ms. */
const LONGEST_READ = 20_000;

/** What a worker answers, or null once it has taken longer than `limit` ms and was ended. */
export function within<P extends Promise<unknown>>(
  worker: Worker,
  answer: P,
  limit: number,
): Promise<Awaited<P> | null> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<null>((done) => {
    timer = setTimeout(() => {
      worker.terminate();
      done(null);
    }, limit);
  });
  return Promise.race([answer as Promise<Awaited<P>>, late]).finally(() => clearTimeout(timer));
}

const TOO_LONG = {
  ok: false,
  problem: { code: 'readTooLong', path: '', params: { limit: `${LONGEST_READ / 1000} s` } },
} as const;

/** What a worker reads, or the problem that it took too long. */
export const inTime = async <P extends Promise<unknown>>(
  worker: Worker,
  answer: P,
): Promise<NonNullable<Awaited<P>> | typeof TOO_LONG> =>
  (await within(worker, answer, LONGEST_READ)) ?? TOO_LONG;
