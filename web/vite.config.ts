import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [reactRouter()],
  ssr: {
    // The workspaces ship TypeScript source. Chakra, emotion and the icons are some thousand small files,
    // which a server would read for seconds at every start; and in development two copies of emotion
    // would live side by side. The core's cache goes in with the core: another version of it, a build
    // tool's, lies nearer to the server bundle.
    noExternal: [/^@cimiento\//, 'lru-cache', /^@chakra-ui\//, /^@emotion\//, 'lucide-react'],
  },
  build: { target: 'es2022' },
  environments: {
    client: {
      build: {
        rolldownOptions: {
          output: {
            // What every page loads lies in one file: a small one by itself packs badly.
            codeSplitting: {
              groups: [
                {
                  name: 'page',
                  test: /node_modules[\\/](react|react-dom|scheduler|react-router|@emotion)[\\/]/,
                },
                // And what nearly every part of it reads.
                { name: 'shared', test: /[\\/]web[\\/]app[\\/]/, minShareCount: 34 },
              ],
            },
          },
        },
      },
    },
  },
});
