import { defineConfig } from 'vitest/config'
import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          // Threads start quicker than processes, and nothing here needs a process of its own.
          pool: 'threads',
          include: [
            'core/test/**/*.test.ts',
            'cli/test/**/*.test.ts',
            'library/test/**/*.test.ts',
            'contract/test/**/*.test.ts',
          ],
          setupFiles: ['core/test/support/seed.ts'],
          testTimeout: 60_000,
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/test/**/*.test.ts'],
          globalSetup: ['server/test/support/globalSetup.ts'],
          fileParallelism: false,
          testTimeout: 60_000,
          hookTimeout: 60_000,
        },
      },
      {
        plugins: [vue(), vuetify({ autoImport: true })],
        test: {
          name: 'web',
          pool: 'threads',
          include: ['web/test/**/*.test.ts'],
          environment: 'jsdom',
          setupFiles: ['web/test/support/browser.ts', 'core/test/support/seed.ts'],
          testTimeout: 30_000,
          server: { deps: { inline: ['vuetify'] } },
        },
      },
    ],
  },
})
