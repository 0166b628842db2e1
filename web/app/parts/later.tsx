/**
 * Parts of the desk that are fetched when they are first looked at, and quietly beforehand once the
 * page is at rest: in a hole without signal they are there.
 */
import { type ComponentType, type LazyExoticComponent, lazy } from 'react';

const doors = new Set<() => Promise<unknown>>();

/** A part out of a door that is opened when first wanted. */
export function later<M extends object, K extends keyof M>(
  open: () => Promise<M>,
  name: K,
): M[K] extends ComponentType<infer P> ? LazyExoticComponent<ComponentType<P>> : never {
  doors.add(open);
  const part = lazy(async () => ({ default: (await open())[name] as ComponentType }));
  return part as never;
}

/** Opens all doors that were not opened yet, one after the other. */
export async function openAll(): Promise<void> {
  for (const open of doors) await open().catch(() => {});
}
