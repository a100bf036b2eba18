// What the machine must have besides Node: Debian's PostgreSQL server, and Chromium for the tests.
import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

export const say = (text) => console.log(`· ${text}`)

/** Ends the program with words a person can act on. */
export function giveUp(text) {
  console.error(`\n${text}\n`)
  process.exit(1)
}

/** The folder of PostgreSQL's programs, the newest there is; undefined where there is none. */
export function postgresPrograms() {
  const root = '/usr/lib/postgresql'
  if (!existsSync(root)) return undefined
  const versions = readdirSync(root).filter(
    (v) => existsSync(join(root, v, 'bin', 'initdb')) && existsSync(join(root, v, 'bin', 'postgres')),
  )
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest && join(root, newest, 'bin')
}

export const chromium = () => ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((p) => existsSync(p))

function install(packages, what) {
  const root = process.getuid?.() === 0
  const sudo = !root && spawnSync('sudo', ['-n', 'true']).status === 0
  if (!existsSync('/usr/bin/apt-get') || (!root && !sudo)) {
    giveUp(
      `${what} is missing and may not be installed from here.\nAsk whoever looks after this machine for:  apt-get install ${packages.join(' ')}\nThen run the same command again. Nothing was changed.`,
    )
  }
  say(`installing ${what} (${packages.join(', ')}) …`)
  const run = (...args) =>
    execFileSync(root ? 'apt-get' : 'sudo', root ? args : ['apt-get', ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  try {
    run('update', '-q')
    run('install', '-y', '-q', '--no-install-recommends', ...packages)
  } catch {
    giveUp(
      `${what} could not be installed: apt-get failed (its own words are above).\nPut that right, or install by hand:  apt-get install ${packages.join(' ')}\nThen run the same command again.`,
    )
  }
}

/** PostgreSQL's programs, installed when missing. */
export function needPostgres() {
  if (!postgresPrograms()) install(['postgresql'], 'the PostgreSQL server')
  return postgresPrograms() ?? giveUp('PostgreSQL was installed but its programs are not in /usr/lib/postgresql.')
}

/** age, which encrypts backups, installed when missing. */
export function needAge() {
  if (spawnSync('age', ['--version']).status !== 0) install(['age'], 'age (to encrypt backups)')
}

/** Chromium, installed when missing. */
export function needChromium() {
  if (!chromium()) install(['chromium'], 'Chromium (for the browser tests)')
  return chromium() ?? giveUp('Chromium was installed but is not at /usr/bin/chromium.')
}
