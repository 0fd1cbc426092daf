import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';

/** Browser tests: the real application, each file of tests with a server and a data folder of its own. */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  globalSetup: './e2e/globalSetup.ts',
  workers: Math.min(4, Math.max(2, availableParallelism())),
  // A file's tests share a server: they run in their order, in one worker.
  fullyParallel: false,
  // Generous: a shared machine can stand still for minutes.
  timeout: 300_000,
  expect: { timeout: 90_000 },
  // A test that needs a second try tells of a fault, in it or in what it tests: none is given.
  retries: 0,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    permissions: ['clipboard-read', 'clipboard-write'],
    trace: 'off',
    // Each would fetch every file of the pages: the tests of opening without the server have theirs.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
