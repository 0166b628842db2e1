import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig(({ command }) => ({
  plugins: [reactRouter()],
  ssr: {
    // The workspaces ship TypeScript source. In development Chakra and emotion go through Vite too,
    // or two copies of emotion live side by side. The core's cache goes in with the core: another
    // version of it, a build tool's, lies nearer to the server bundle.
    noExternal: [
      /^@cimiento\//,
      'lru-cache',
      ...(command === 'serve' ? [/^@chakra-ui\//, /^@emotion\//] : []),
    ],
  },
  build: { target: 'es2022' },
}));
