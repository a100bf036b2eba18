// npm run check: the quick check before each commit. It runs format, lint, types with the existing build, and the unit tests related to
// changes by name: changed tests, and tests named after a changed file or its folder. `npm test` runs all tests.
import { execFileSync } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { basename, dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needPackages } from './packages.mjs'
import { abreast, lint, summary, typeChecks, vitest } from './run.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const began = Date.now()
needPackages(root)

/** Files that differ from the last commit, including new ones. */
function changed() {
  const git = (...words) => execFileSync('git', words, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean)
  return [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')]
}

/** The unit tests that belong to files by name. */
function testsOf(files) {
  const folders = ['core', 'cli', 'library', 'contract', 'plans', 'web'].map((w) => `${w}/test`)
  const all = folders.flatMap((folder) =>
    readdirSync(join(root, folder)).flatMap((name) => (name.endsWith('.test.ts') ? [`${folder}/${name}`] : [])),
  )
  const stems = new Set(
    files.flatMap((file) => [basename(file).split('.')[0], basename(dirname(file))].map((s) => s.toLowerCase())),
  )
  return all.filter((test) => files.includes(test) || stems.has(basename(test, '.test.ts').toLowerCase()))
}

const tests = testsOf(changed())
const types = typeChecks(root)
const outcomes = await abreast([
  types.all,
  () => lint(root),
  types.pages,
  ...(tests.length
    ? [() => vitest(root, 'unit tests of what changed', { projects: ['core', 'web', 'web-mocking'], files: tests })]
    : []),
])
process.exit(summary(outcomes, began) ? 0 : 1)
