import { defineConfig, type TestProjectInlineConfiguration } from 'vitest/config'
import vue from '@vitejs/plugin-vue'
import vuetify from 'vite-plugin-vuetify'

// A test file that mocks modules needs its own copies; all others share modules, which halves their time.
const mocking = ['composer', 'deviceStore', 'familyPages', 'keptByDevice', 'plans', 'twoReleases'].map(
  (name) => `web/test/${name}.test.ts`,
)
const web = {
  pool: 'threads',
  environment: 'jsdom',
  setupFiles: ['web/test/support/browser.ts', 'web/test/support/workers.ts', 'core/test/support/seed.ts'],
  testTimeout: 300_000,
  hookTimeout: 300_000,
  server: { deps: { inline: ['vuetify'] } },
} satisfies TestProjectInlineConfiguration['test']
const plugins = () => [vue(), vuetify({ autoImport: true })]

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          // Threads start faster than processes, and nothing here needs a process of its own.
          pool: 'threads',
          isolate: false,
          include: [
            'core/test/**/*.test.ts',
            'cli/test/**/*.test.ts',
            'library/test/**/*.test.ts',
            'contract/test/**/*.test.ts',
            'plans/test/**/*.test.ts',
          ],
          setupFiles: ['core/test/support/seed.ts'],
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/test/**/*.test.ts'],
          globalSetup: ['server/test/support/globalSetup.ts'],
          fileParallelism: false,
          isolate: false,
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
      {
        plugins: plugins(),
        test: {
          ...web,
          name: 'web',
          isolate: false,
          include: ['web/test/**/*.test.ts'],
          exclude: mocking,
        },
      },
      { plugins: plugins(), test: { ...web, name: 'web-mocking', include: mocking } },
    ],
  },
})
