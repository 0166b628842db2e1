/**
 * Parts of the desk that are fetched when they are first looked at, and quietly beforehand once the
 * page is at rest: in a hole without signal they are there.
 */
import { type ComponentType, type LazyExoticComponent, lazy } from 'react';

/** Fetches the words such parts need; on the server they are all there. */
let words = (): Promise<void> => Promise.resolve();
/** @param load asked once, when the first part is wanted */
export function wordsLater(load: () => Promise<void>): void {
  let asked: Promise<void> | null = null;
  words = () => {
    // Without signal it is asked again with the next part.
    asked ??= load().catch((error: unknown) => {
      asked = null;
      throw error;
    });
    return asked;
  };
}

/** The words of what is fetched later, before any of it is wanted. */
export const wordsNow = (): Promise<void> => words();

const doors = new Set<() => Promise<unknown>>();

/** A part out of a door that is opened when first wanted. */
export function later<M extends object, K extends keyof M>(
  open: () => Promise<M>,
  name: K,
): M[K] extends ComponentType<infer P> ? LazyExoticComponent<ComponentType<P>> : never {
  doors.add(open);
  const part = lazy(async () => {
    const [parts] = await Promise.all([open(), words()]);
    return { default: parts[name] as ComponentType };
  });
  return part as never;
}

/** Opens all doors that were not opened yet, one after the other. */
export async function openAll(): Promise<void> {
  await words().catch(() => {});
  for (const open of doors) await open().catch(() => {});
}
