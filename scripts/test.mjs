// npm test: installs what is missing, then lint, types, unit, server and browser tests; one line at the end.
import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { needChromium, needPostgres, say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { needBuild } from './build.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const reports = join(root, '.cache', 'reports')
const began = Date.now()

needPackages(root)
needPostgres()
needChromium()
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

/** Runs a command; its output is shown when it is over, whole where it failed. */
function run(title, command, args, env = {}) {
  const started = Date.now()
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, NO_COLOR: '1', ...env } })
    let output = ''
    child.stdout.on('data', (data) => (output += data))
    child.stderr.on('data', (data) => (output += data))
    child.on('close', (code) => {
      console.log(`${code === 0 ? '✓' : '✗'} ${title} (${Math.round((Date.now() - started) / 1000)} s)`)
      if (code !== 0) console.log(output.trimEnd())
      resolve(code === 0)
    })
  })
}

const totals = { passed: 0, failed: 0 }
/** A check counts as one test. */
const check = async (title, script) =>
  (await run(title, 'npm', ['run', '-s', script])) ? totals.passed++ : totals.failed++

async function vitest(projects, title) {
  const file = join(reports, `${projects.join('-')}.json`)
  const fine = await run(title, 'npx', [
    'vitest',
    'run',
    ...projects.flatMap((p) => ['--project', p]),
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ])
  count(fine, () => {
    const report = JSON.parse(readFileSync(file, 'utf8'))
    return { passed: report.numPassedTests, failed: report.numFailedTests }
  })
}

async function playwright(title) {
  const file = join(reports, 'browser.json')
  const fine = await run(
    title,
    'npx',
    ['playwright', 'test', '-c', 'e2e/playwright.config.ts', '--reporter=line,json'],
    { PLAYWRIGHT_JSON_OUTPUT_FILE: file },
  )
  count(fine, () => {
    const { expected, unexpected, flaky } = JSON.parse(readFileSync(file, 'utf8')).stats
    return { passed: expected, failed: unexpected + flaky }
  })
}

/** A run that failed without a failed test, or without a report, is itself a failure. */
function count(fine, read) {
  let counts = { passed: 0, failed: 0 }
  try {
    counts = read()
  } catch {
    console.log('✗ no report was written')
  }
  totals.passed += counts.passed
  totals.failed += counts.failed
  if ((!fine && counts.failed === 0) || counts.passed + counts.failed === 0) totals.failed++
}

say('lint, types and the computation’s tests …')
await Promise.all([
  check('types', 'types'),
  check('lint', 'lint').then(() => vitest(['core', 'web'], 'computation, library, command line, pages')),
])
say('server tests, against a real PostgreSQL …')
await vitest(['server'], 'server')
needBuild(root)
say('journeys in the browser …')
await playwright('browser')

console.log(`\nin ${Math.round((Date.now() - began) / 1000)} s`)
console.log(`${totals.passed} passed, ${totals.failed} failed`)
process.exit(totals.failed ? 1 : 0)
