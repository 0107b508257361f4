import { defineConfig } from '@playwright/test';

/** Debian's Chromium, cut off from everything but the app. */
const config = defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  globalSetup: './e2e/prepare-data.ts',
  workers: 1,
  timeout: 120_000,
  globalTimeout: 24 * 60_000,
  expect: { timeout: 20_000 },
  retries: 0,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'build/playwright.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    trace: 'off',
    launchOptions: {
      executablePath: process.env.PRISM_CHROMIUM ?? '/usr/bin/chromium',
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
export default config;
