import { defineConfig } from '@playwright/test';

/** Debian's Chromium, cut off from everything but the app. */
const config = defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  globalSetup: './e2e/prepare-data.ts',
  // Every test has a server and data of its own: files run beside each other.
  workers: 2,
  timeout: 240_000,
  // All of them take some twenty minutes on two quiet cores; a busy machine may need more than twice as long.
  globalTimeout: 55 * 60_000,
  expect: { timeout: 40_000 },
  retries: 0,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: 'build/playwright.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
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
        // A camera that shows a moving pattern, and is allowed.
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});
export default config;
