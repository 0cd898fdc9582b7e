import { defineConfig } from '@playwright/test';

const port = Number(process.env['IDLE_PORT'] ?? 4280);

/** The real application in Debian's Chromium. ./test builds it, starts the database and hands over the ports. */
export default defineConfig({
  testDir: 'src',
  outputDir: '../test-results',
  fullyParallel: false,
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: process.env['PLAYWRIGHT_JSON'] ?? '../test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
    },
  },
  webServer: {
    command: 'node --enable-source-maps ../server/dist/main.mjs',
    url: `http://127.0.0.1:${port}/healthz`,
    reuseExistingServer: false,
    stdout: 'ignore',
    env: { ...(process.env as Record<string, string>), IDLE_PORT: String(port), IDLE_LOG: 'error' },
  },
});
