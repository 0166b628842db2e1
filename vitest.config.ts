import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

/** Wide: a busy machine is slow, and speed is the bench's business. */
const testTimeout = 300_000;

export default defineConfig({
  test: {
    maxWorkers: Math.max(2, availableParallelism()),
    projects: [
      {
        test: {
          name: 'unit',
          testTimeout,
          // The core keeps nothing but what can be made again: its files may share a process. Those that
          // put something in the place of a global take it away again.
          isolate: false,
          include: ['{core,formats,simulators,cli,scripts}/**/*.test.ts', 'web/app/**/*.test.{ts,tsx}'],
        },
      },
      {
        test: {
          name: 'database',
          testTimeout,
          include: ['web/db/**/*.test.ts'],
          globalSetup: ['web/db/test-database.ts'],
          fileParallelism: false,
        },
      },
    ],
  },
});
