import { defineConfig, devices } from '@playwright/test';

const base = process.env['BASE_URL'];
if (!base) throw new Error('Browser tests need a running server: run them with ./skelby test --only browser');

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 180_000,
  // Shared machines stall for seconds at a time; what only passes the second time is named in the report.
  expect: { timeout: 15_000 },
  retries: 1,
  workers: 2,
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    baseURL: base,
    ...devices['Pixel 7'],
    viewport: { width: 390, height: 844 },
    locale: 'en-GB',
    trace: 'retain-on-failure',
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
