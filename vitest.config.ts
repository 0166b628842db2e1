import { defineConfig } from 'vitest/config';

/** Wide: a busy machine is slow, and speed is the bench's business. */
const testTimeout = 60_000;

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          testTimeout,
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
