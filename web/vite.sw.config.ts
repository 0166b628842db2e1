/** Builds the service worker (sw/) into one file beside the pages it serves. */
import { defineConfig } from 'vite';

export default defineConfig({
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: 'build/client',
    emptyOutDir: false,
    target: 'es2022',
    copyPublicDir: false,
    // What it needs is in it: nothing is fetched beside it.
    modulePreload: false,
    rollupOptions: {
      input: 'sw/sw.ts',
      output: { entryFileNames: 'sw.js', format: 'iife', inlineDynamicImports: true },
    },
  },
});
