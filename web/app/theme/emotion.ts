/** One emotion cache a request on the server and one in the browser, with the same key. */
import createCacheModule from '@emotion/cache';

// The package is CommonJS: under Node its default export arrives wrapped.
const createCache =
  'default' in createCacheModule
    ? (createCacheModule as unknown as { default: typeof createCacheModule }).default
    : createCacheModule;

export function makeCache() {
  const cache = createCache({ key: 'cim' });
  // Keeps every style it has seen, so the server can write those not yet sent.
  cache.compat = true;
  return cache;
}
