import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: './journeys',
  outputDir: '../.out/playwright',
  timeout: 150_000,
  expect: { timeout: 10_000 },
  // Each worker has shops of its own, on free ports.
  workers: 2,
  retries: 0,
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
