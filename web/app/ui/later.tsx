/**
 * Parts of the desk that are fetched when they are first looked at, and quietly beforehand once the
 * page is at rest: in a hole without signal they are there.
 */
import { type ComponentType, type FunctionComponent, lazy, useState } from 'react';

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

/**
 * A part out of a door that is opened when first wanted. One that is there already when it is wanted shows at
 * once: a lazy one would wait a third of a second behind what stands in its place.
 */
export function later<M extends object, K extends keyof M>(
  open: () => Promise<M>,
  name: K,
): M[K] extends ComponentType<infer P> ? FunctionComponent<P> : never {
  let there: ComponentType | null = null;
  const load = async () => {
    const [parts] = await Promise.all([open(), words()]);
    there = parts[name] as ComponentType;
    return { default: there };
  };
  doors.add(load);
  const Lazy = lazy(load);
  function Part(props: object) {
    // What it began as it stays: another would begin anew and forget what it holds.
    const [Own] = useState<ComponentType>(() => there ?? Lazy);
    return <Own {...props} />;
  }
  return Part as never;
}

/** Opens all doors that were not opened yet, one after the other. */
export async function openAll(): Promise<void> {
  await words().catch(() => {});
  for (const open of doors) await open().catch(() => {});
}
