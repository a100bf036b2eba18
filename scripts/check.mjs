// npm run check: the quick look before each commit. Lint from a cache, types from what was built before, tests of what changed.
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needPackages } from './packages.mjs'
import { abreast, check, summary, vitest } from './run.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const began = Date.now()
needPackages(root)
const cache = (name) => ['--cache', '--cache-strategy', 'content', '--cache-location', join(root, '.cache', name)]
const outcomes = await abreast([
  () =>
    check(root, 'types', ['tsc', '-b', 'core', 'library', 'contract', '.', 'cli', 'server'], ['vue-tsc', '-b', 'web']),
  async () => {
    const lint = await check(
      root,
      'lint',
      ['eslint', '.', '--max-warnings', '0', ...cache('eslint')],
      ['prettier', '--check', '--log-level', 'warn', '.', ...cache('prettier')],
    )
    // Over a whole tree of changes the tests are `npm test`'s; here at most those that import what changed.
    const tests = await vitest(root, 'unit tests of what changed', {
      projects: ['core', 'web'],
      words: ['--changed', '--passWithNoTests'],
    })
    // Nothing changed is nothing to test.
    return {
      ...lint,
      seconds: lint.seconds + tests.seconds,
      failed: lint.failed + (tests.passed ? tests.failed : 0),
      tests: tests.tests,
      passed: lint.passed + tests.passed,
    }
  },
])
process.exit(summary(outcomes, began) ? 0 : 1)
