/** A database this browser keeps (IndexedDB), opened when first asked for, and anew after it was closed. */
import type { DBSchema, IDBPDatabase, OpenDBCallbacks } from 'idb';

export type Opens<Schema extends DBSchema> = () => Promise<IDBPDatabase<Schema> | null>;

/** @returns opens it; null where the browser keeps nothing */
export function database<Schema extends DBSchema>(
  name: string,
  version: number,
  upgrade: NonNullable<OpenDBCallbacks<Schema>['upgrade']>,
): Opens<Schema> {
  let opened: Promise<IDBPDatabase<Schema> | null> | null = null;
  const forget = () => {
    opened = null;
  };
  return () => {
    // Asked for as soon as a page stands, and needed for nothing it shows first.
    opened ??= import('idb')
      .then(({ openDB }) =>
        openDB<Schema>(name, version, {
          upgrade,
          // Another page wants to bring it up to a newer version.
          blocking(_now, _wanted, event) {
            (event.target as IDBDatabase).close();
            forget();
          },
          terminated: forget,
        }),
      )
      .catch(() => {
        forget();
        return null;
      });
    return opened;
  };
}
