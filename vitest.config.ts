import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: ['{core,formats,simulators,cli,scripts}/**/*.test.ts', 'web/app/**/*.test.{ts,tsx}'],
        },
      },
      {
        test: {
          name: 'database',
          include: ['web/db/**/*.test.ts'],
          globalSetup: ['web/db/test-database.ts'],
          fileParallelism: false,
        },
      },
    ],
  },
});
