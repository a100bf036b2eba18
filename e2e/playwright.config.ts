import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  globalSetup: './support/globalSetup.ts',
  workers: 2,
  fullyParallel: false,
  // Two cores share the browser, the server and the database; a slow moment is no failure.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-quic',
        '--no-first-run',
        '--autoplay-policy=no-user-gesture-required',
      ],
    },
    screenshot: 'only-on-failure',
  },
})
