import { defineConfig } from '@playwright/test'
import { chromium } from '../scripts/machine.mjs'
import { patience } from '../scripts/patience.mjs'

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  globalSetup: './support/globalSetup.ts',
  workers: 2,
  // Files run side by side, each with a teacher of its own; those whose tests share nothing say so themselves.
  fullyParallel: false,
  // What takes long (@verify), and what keeps a core busy for its own sake, comes when nothing else runs, and only where there is time (npm run verify).
  projects: [
    { name: 'journeys', testIgnore: /live-sound/, ...(!process.env.VERIFY && { grepInvert: /@verify/ }) },
    ...(process.env.VERIFY ? [{ name: 'live', testMatch: /live-sound/, dependencies: ['journeys'] }] : []),
  ],
  // Two cores share the browser, the server and the database; a slow moment is no failure.
  timeout: 120_000 * patience,
  expect: { timeout: 20_000 * patience },
  use: {
    browserName: 'chromium',
    // What cannot be pressed is named, and holds no journey up to its end.
    actionTimeout: 60_000 * patience,
    navigationTimeout: 60_000 * patience,
    viewport: { width: 1280, height: 800 },
    // Dialogs are there at once; what moves for its own sake stands.
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
