/** A reading that takes longer is called off, ms. */
const LONGEST_READ = 20_000;

type Said = {
  readonly ok: false;
  readonly problem: {
    readonly code: string;
    readonly path: string;
    readonly params: { readonly limit: string };
  };
};

/** What a worker answers, or the problem that it took too long: it is then ended, whatever it does. */
export function inTime<P extends Promise<unknown>>(
  worker: Worker,
  answer: P,
  limit = LONGEST_READ,
): Promise<Awaited<P> | Said> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<Said>((done) => {
    timer = setTimeout(() => {
      worker.terminate();
      done({
        ok: false,
        problem: { code: 'readTooLong', path: '', params: { limit: `${limit / 1000} s` } },
      });
    }, limit);
  });
  return Promise.race([answer as Promise<Awaited<P>>, late]).finally(() => clearTimeout(timer));
}
