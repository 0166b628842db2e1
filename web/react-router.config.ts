import type { Config } from '@react-router/dev/config';

export default {
  ssr: true,
  // Every route is known from the start: a page without signal still finds its way.
  routeDiscovery: { mode: 'initial' },
} satisfies Config;
