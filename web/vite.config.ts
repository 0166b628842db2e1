import { reactRouter } from '@react-router/dev/vite';
import { defineConfig } from 'vite';

export default defineConfig(({ command }) => ({
  plugins: [reactRouter()],
  ssr: {
    // The workspaces ship TypeScript source. In development Chakra and emotion go through Vite too,
    // or two copies of emotion live side by side.
    noExternal: [/^@cimiento\//, ...(command === 'serve' ? [/^@chakra-ui\//, /^@emotion\//] : [])],
  },
  build: { target: 'es2022' },
}));
