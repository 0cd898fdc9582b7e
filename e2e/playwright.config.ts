import { defineConfig } from '@playwright/test';

/**
 * A morning that is played goes back some hours: in a zone where it is early afternoon it never crosses midnight,
 * whenever the tests are run. Names of such zones count the other way round.
 */
function zoneOfAfternoon(): string {
  const ahead = 14 - new Date().getUTCHours();
  return ahead === 0 ? 'UTC' : `Etc/GMT${ahead > 0 ? '-' : '+'}${Math.abs(ahead)}`;
}

/** The real application in Debian's Chromium. ./test builds it and starts the database; each worker starts a server. */
export default defineConfig({
  testDir: 'src',
  globalSetup: './src/server.ts',
  outputDir: '../test-results',
  fullyParallel: false,
  // Twice as many as the cores that the tests are made for: each waits half of its time.
  workers: 4,
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: process.env['PLAYWRIGHT_JSON'] ?? '../test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    timezoneId: zoneOfAfternoon(),
    // A trace takes as long again to record; IDLE_TRACE=1 keeps those of failed tests.
    trace: process.env['IDLE_TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
