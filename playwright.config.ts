import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/chromium.ts';

export default defineConfig({
  testDir: 'web/e2e',
  // What takes the database away would take it from the others too: it waits until they have ended.
  projects: [
    { name: 'desk', testMatch: '**/*.spec.ts', testIgnore: '**/database-away.spec.ts' },
    { name: 'away', testMatch: '**/database-away.spec.ts', dependencies: ['desk'] },
  ],
  globalSetup: './web/e2e/serve.ts',
  // Every test makes jobs of its own. One a core: with another beside them all take as much longer.
  workers: Math.max(2, availableParallelism()),
  fullyParallel: true,
  // Wide: a busy machine is slow, and speed is the bench's business.
  timeout: 240_000,
  // On a loaded machine a browser test may be tried a second time; the check names those it was.
  retries: process.env.CI ? 1 : 0,
  expect: { timeout: 20_000 },
  reporter: process.env.PLAYWRIGHT_JSON
    ? [['list'], ['json', { outputFile: process.env.PLAYWRIGHT_JSON }]]
    : 'list',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // isbot takes a headless name for a robot, and then nothing is streamed.
    userAgent:
      'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0.0.0 Safari/537.36',
    trace: 'off',
    // What keeps the program in a browser is fetched anew for each test that asks for it, and for no other.
    serviceWorkers: 'block',
    launchOptions: CHROMIUM,
  },
});
