import { defineConfig } from '@playwright/test'
import { chromium } from '../scripts/machine.mjs'
import { patience } from '../scripts/patience.mjs'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  globalSetup: './support/globalSetup.ts',
  workers: 2,
  // Files run in parallel, each with a teacher of its own; files whose tests are independent say so themselves.
  fullyParallel: false,
  // Slow tests (@verify), and the one that keeps a core busy on purpose, run when nothing else does, and only in npm run verify.
  projects: [
    { name: 'journeys', testIgnore: /live-sound/, ...(!process.env.VERIFY && { grepInvert: /@verify/ }) },
    ...(process.env.VERIFY ? [{ name: 'live', testMatch: /live-sound/, dependencies: ['journeys'] }] : []),
  ],
  // Two cores share the browser, the server and the database; a slow moment is not a failure.
  timeout: 120_000 * patience,
  expect: { timeout: 20_000 * patience },
  use: {
    browserName: 'chromium',
    // If something cannot be clicked, the test fails with its name instead of waiting for the whole test's timeout.
    actionTimeout: 60_000 * patience,
    navigationTimeout: 60_000 * patience,
    viewport: { width: 1280, height: 800 },
    // Dialogs appear at once; decorative motion is off.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: chromium(),
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
