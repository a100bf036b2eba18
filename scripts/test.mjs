// npm test: installs what is missing, then runs format, lint, types, unit, server and browser tests, and prints one line at the end.
// npm run test:unit | test:server | test:browser [-- FILE …]: a part of it.
import { execFileSync } from 'node:child_process'
import { rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needBuild } from './build.mjs'
import { giveUp, needAge, needChromium, needPostgres, say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { abreast, lint, playwright, summary, typeChecks, vitest } from './run.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const green = join(root, '.cache', 'green')
const began = Date.now()
const [part, ...files] = process.argv.slice(2)
const parts = ['unit', 'server', 'browser']
if (part && !parts.includes(part))
  giveUp(`"${part}" is not known here. There is:  npm test, and npm run test:${parts.join(' | test:')} [-- FILE …]`)

/** The checked-out commit, if there are no changes beside it; otherwise undefined. */
function cleanCommit() {
  const git = (...words) => execFileSync('git', words, { cwd: root, encoding: 'utf8', stdio: 'pipe' }).trim()
  try {
    return git('status', '--porcelain') === '' ? git('rev-parse', 'HEAD') : undefined
  } catch {
    return undefined
  }
}

needPackages(root)
if (part !== 'unit') needPostgres()
if (!part || part === 'server') needAge()
if (!part || part === 'browser') needChromium()

const build = async () => needBuild(root)
const unit = (workers) => vitest(root, 'computation, library, command line', { projects: ['core'], files, workers })
const pages = (workers) => vitest(root, 'pages', { projects: ['web', 'web-mocking'], files, workers })
const server = async () => {
  await build()
  return vitest(root, 'server', { projects: ['server'], files })
}
const browser = async () => {
  await build()
  return playwright(root, 'browser', { files })
}

let outcomes
if (part === 'unit') {
  outcomes = [await vitest(root, 'unit', { projects: ['core', 'web', 'web-mocking'], files, workers: 2 })]
} else if (part) {
  outcomes = [await { server, browser }[part]()]
} else {
  const commit = cleanCommit()
  rmSync(green, { force: true })
  const types = typeChecks(root)
  say('format, lint, types, computation, pages, server …')
  outcomes = await abreast([types.all, () => unit(1), types.pages, server, () => lint(root), () => pages(1)])
  say('journeys in the browser …')
  outcomes.push(await browser())
  const fine = outcomes.every((o) => o.failed === 0)
  if (fine && commit && cleanCommit() === commit) writeFileSync(green, `${commit}\n`)
}
process.exit(summary(outcomes, began) ? 0 : 1)
