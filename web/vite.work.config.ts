/** Builds what the server's pools run (work/), beside the server itself. */
import { defineConfig } from 'vite';

export default defineConfig({
  // As the server's own bundle does: the workspaces ship TypeScript source.
  ssr: { noExternal: [/^@cimiento\//] },
  build: {
    ssr: true,
    outDir: 'build/work',
    target: 'node20',
    copyPublicDir: false,
    rollupOptions: { input: { paper: 'work/paper.ts', takeoffs: 'work/takeoffs.ts' } },
  },
});
