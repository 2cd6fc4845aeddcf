import { defineConfig } from '@playwright/test';

const chromium = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
};

/** The real interface against the real server and database. */
export default defineConfig({
  testDir: '.',
  globalSetup: './start-server.ts',
  outputDir: '../.nazar/e2e-results',
  // One database behind all: one journey at a time.
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: process.env.E2E_REPORT
    ? [['list'], ['json', { outputFile: process.env.E2E_REPORT }]]
    : [['list']],
  use: {
    baseURL: process.env.E2E_URL,
    launchOptions: chromium,
    serviceWorkers: 'block',
    locale: 'en-US',
    timezoneId: 'UTC',
    trace: 'off',
    // What cannot be touched by then never can; the journey says so at once.
    actionTimeout: 20_000,
  },
  projects: [
    {
      name: 'phone',
      testMatch: /.*\.spec\.ts/,
      testIgnore: /\.wide\.spec\.ts|pictures\.spec\.ts/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, colorScheme: 'dark' },
    },
    {
      name: 'wide',
      testMatch: /wide\.spec\.ts/,
      use: { viewport: { width: 1280, height: 800 }, colorScheme: 'light' },
    },
    {
      name: 'pictures',
      testMatch: /pictures\.spec\.ts/,
      use: { viewport: { width: 390, height: 844 }, hasTouch: true, colorScheme: 'dark' },
    },
  ],
});
