// Runs the commands that a check consists of, showing their output at the end, two at a time.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fingerprint } from './fingerprint.mjs'

/** @typedef {{ title: string, seconds: number, passed: number, failed: number, tests: { title: string, seconds: number }[] }} Outcome */

/**
 * Runs a command; its output is shown at the end, in full if it failed.
 *
 * @param {string} root working directory
 * @param {string[]} command the program and its arguments; package programs by name
 * @param {Record<string, string>} [env]
 * @returns {Promise<{ fine: boolean, seconds: number, output: string }>}
 */
export function runCommand(root, [program, ...words], env = {}) {
  const started = Date.now()
  return new Promise((resolve) => {
    const path = `${join(root, 'node_modules', '.bin')}:${process.env.PATH}`
    const child = spawn(program, words, { cwd: root, env: { ...process.env, NO_COLOR: '1', ...env, PATH: path } })
    let output = ''
    child.stdout.on('data', (data) => (output += data))
    child.stderr.on('data', (data) => (output += data))
    child.on('error', (error) => (output += String(error)))
    child.on('close', (code) => resolve({ fine: code === 0, seconds: (Date.now() - started) / 1000, output }))
  })
}

function report(title, { fine, seconds, output }) {
  console.log(`${fine ? '✓' : '✗'} ${title} (${Math.round(seconds)} s)`)
  if (!fine) console.log(output.trimEnd())
}

/** A check that counts as one test. @returns {Promise<Outcome>} */
export async function check(root, title, ...commands) {
  let seconds = 0
  let fine = true
  for (const command of commands) {
    const ran = await runCommand(root, command)
    seconds += ran.seconds
    fine = ran.fine
    if (!fine || command === commands.at(-1)) report(title, { ...ran, seconds })
    if (!fine) break
  }
  return { title, seconds, passed: fine ? 1 : 0, failed: fine ? 0 : 1, tests: [] }
}

/**
 * Checks the format, the rules for all scripts (including those that need types), and the rules for page templates. ESLint looks at one
 * file at a time, so its findings can be cached by content; rules that need types are never cached, because another file's type may have
 * changed.
 *
 * @returns {Promise<Outcome>}
 */
export function lint(root) {
  const cache = ['--cache', '--cache-strategy', 'content', '--cache-location', join(root, '.cache', 'eslint')]
  return check(
    root,
    'format and lint',
    ['oxfmt', '--check', '.'],
    ['oxlint', '-c', 'oxlint.config.js', '--max-warnings', '0'],
    ['eslint', 'web/**/*.vue', '--max-warnings', '0', ...cache],
  )
}

/** Everything of ours that the compiler of the pages reads: the pages, the declarations below them, and what their tests share. */
const readByPages = [
  'web',
  'core/test',
  ...['core', 'contract', 'library', 'plans'].map((workspace) => `.cache/types/${workspace}`),
]

/**
 * Runs the compilers: the native one on everything except the pages, and vue-tsc, which needs the older compiler, on those. vue-tsc takes
 * half a minute even if nothing changed, so it is skipped if its inputs equal those of its last success.
 *
 * @returns {{ all: () => Promise<Outcome>, pages: () => Promise<Outcome> }} the pages wait for the others, whose declarations they read
 */
export function typeChecks(root) {
  let built
  // By its path: both compilers are called tsc.
  const native = join(root, 'node_modules', 'typescript-native', 'bin', 'tsc')
  const projects = ['core', 'library', 'contract', 'plans', '.', 'cli', 'server']
  const all = () => (built ??= check(root, 'types', [native, '-b', ...projects]))
  const pages = async () => {
    await all()
    const title = 'types of the pages'
    const right = join(root, '.cache', 'types-of-pages')
    const now = fingerprint(root, [...readByPages, 'package-lock.json', 'tsconfig.base.json'])
    if (existsSync(right) && readFileSync(right, 'utf8') === now) {
      console.log(`✓ ${title} (nothing changed since they were right)`)
      return { title, seconds: 0, passed: 1, failed: 0, tests: [] }
    }
    const outcome = await check(root, title, ['vue-tsc', '-p', 'web'])
    if (outcome.failed === 0) writeFileSync(right, now)
    return outcome
  }
  return { all, pages }
}

const reports = (root) => join(root, '.cache', 'reports')

/** A run that failed without a failed test, or without a report, counts as a failure. */
function counted(title, ran, read) {
  let found = { passed: 0, failed: 0, tests: [] }
  try {
    found = read()
  } catch {
    console.log(`✗ ${title}: no report was written`)
  }
  report(title, ran)
  const failed = found.failed + ((!ran.fine && found.failed === 0) || found.passed + found.failed === 0 ? 1 : 0)
  return { title, seconds: ran.seconds, passed: found.passed, failed, tests: found.tests }
}

/**
 * Runs Vitest.
 *
 * @param {{ projects: string[], files?: string[], workers?: number, env?: Record<string, string>, words?: string[] }} what
 * @returns {Promise<Outcome>}
 */
export async function vitest(root, title, { projects, files = [], workers = 1, env = {}, words = [] }) {
  const file = join(reports(root), `${projects.join('-')}.json`)
  mkdirSync(reports(root), { recursive: true })
  rmSync(file, { force: true })
  const ran = await runCommand(
    root,
    [
      'vitest',
      'run',
      ...files,
      ...projects.flatMap((p) => ['--project', p]),
      `--maxWorkers=${workers}`,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${file}`,
      ...words,
    ],
    env,
  )
  return counted(title, ran, () => {
    const { numPassedTests, numFailedTests, testResults } = JSON.parse(readFileSync(file, 'utf8'))
    const tests = testResults.flatMap((f) =>
      f.assertionResults.map((t) => ({ title: t.fullName, seconds: (t.duration ?? 0) / 1000 })),
    )
    return { passed: numPassedTests, failed: numFailedTests, tests }
  })
}

/**
 * Runs Playwright's journeys.
 *
 * @param {{ files?: string[], env?: Record<string, string> }} what
 * @returns {Promise<Outcome>}
 */
export async function playwright(root, title, { files = [], env = {} } = {}) {
  const file = join(reports(root), 'browser.json')
  mkdirSync(reports(root), { recursive: true })
  rmSync(file, { force: true })
  const ran = await runCommand(
    root,
    // If only some files are asked for, projects they depend on are not run.
    [
      'playwright',
      'test',
      '-c',
      'e2e/playwright.config.ts',
      '--reporter=line,json',
      ...(files.length ? ['--no-deps'] : []),
      ...files,
    ],
    { PLAYWRIGHT_JSON_OUTPUT_FILE: file, ...env },
  )
  return counted(title, ran, () => {
    const { stats, suites } = JSON.parse(readFileSync(file, 'utf8'))
    const specs = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specs)]
    const tests = suites.flatMap(specs).map((spec) => ({
      title: spec.title,
      seconds: spec.tests.flatMap((t) => t.results).reduce((sum, r) => sum + r.duration, 0) / 1000,
    }))
    return { passed: stats.expected, failed: stats.unexpected + stats.flaky, tests }
  })
}

/**
 * Runs tasks in order, a few at a time.
 *
 * @template T
 * @param {(() => Promise<T>)[]} tasks
 * @returns {Promise<T[]>}
 */
export async function abreast(tasks, atOnce = 2) {
  const results = []
  let next = 0
  const lane = async () => {
    while (next < tasks.length) {
      const mine = next++
      results[mine] = await tasks[mine]()
    }
  }
  await Promise.all(Array.from({ length: atOnce }, lane))
  return results
}

/** Prints the last lines of a run: seconds by phase, the slowest tests, the totals. @returns {boolean} whether all passed */
export function summary(outcomes, began) {
  const sum = (key) => outcomes.reduce((total, o) => total + o[key], 0)
  console.log('\nseconds by phase')
  for (const { title, seconds } of outcomes) console.log(`  ${seconds.toFixed(0).padStart(5)}  ${title}`)
  const slowest = outcomes.flatMap((o) => o.tests).sort((a, b) => b.seconds - a.seconds)
  if (slowest.length) console.log('the slowest tests')
  for (const { title, seconds } of slowest.slice(0, 10)) console.log(`  ${seconds.toFixed(1).padStart(5)}  ${title}`)
  console.log(`\nin ${Math.round((Date.now() - began) / 1000)} s`)
  console.log(`${sum('passed')} passed, ${sum('failed')} failed`)
  return sum('failed') === 0
}
