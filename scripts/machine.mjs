// What the machine needs besides Node: Debian's PostgreSQL server, and Chromium for the tests.
import { execFileSync, spawnSync } from 'node:child_process'
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'

export const say = (text) => console.log(`· ${text}`)

/** Exits with a message that a person can act on. */
export function giveUp(text) {
  console.error(`\n${text}\n`)
  process.exit(1)
}

/** The folder of PostgreSQL's programs, the newest version; undefined if there is none. */
export function postgresPrograms() {
  const root = '/usr/lib/postgresql'
  if (!existsSync(root)) return undefined
  const versions = readdirSync(root).filter(
    (v) => existsSync(join(root, v, 'bin', 'initdb')) && existsSync(join(root, v, 'bin', 'postgres')),
  )
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest && join(root, newest, 'bin')
}

const withoutWindows = '/usr/bin/chromium-headless-shell'
export const chromium = () => [withoutWindows, '/usr/bin/chromium'].find((p) => existsSync(p))

const apt = '/usr/bin/apt-get'
const isRoot = () => process.getuid?.() === 0
const mayInstall = () => existsSync(apt) && (isRoot() || spawnSync('sudo', ['-n', 'true']).status === 0)

/** Installs Debian packages. @throws if apt-get fails */
function aptInstall(packages, what) {
  say(`installing ${what} (${packages.join(', ')}) …`)
  const run = (...args) =>
    execFileSync(isRoot() ? apt : 'sudo', isRoot() ? args : [apt, ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  run('update', '-q')
  run('install', '-y', '-q', '--no-install-recommends', ...packages)
}

function install(packages, what) {
  if (!mayInstall())
    giveUp(
      `${what} is missing and may not be installed from here.\nAsk whoever looks after this machine for:  apt-get install ${packages.join(' ')}\nThen run the same command again. Nothing was changed.`,
    )
  try {
    aptInstall(packages, what)
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

/** The library that changes the clock of a single process, installed if missing. @returns {string} its path */
export function needClock() {
  const there = () =>
    readdirSync('/usr/lib')
      .map((folder) => join('/usr/lib', folder, 'faketime', 'libfaketime.so.1'))
      .find((path) => existsSync(path))
  if (!there()) install(['libfaketime'], 'what sets a clock for one process alone')
  return there() ?? giveUp('libfaketime was installed but its library is not in /usr/lib.')
}

/** The programs for a cluster of several machines, installed if missing. */
export function needClusterTools() {
  needPostgres()
  const missing = [
    ['patroni', '/usr/bin/patroni'],
    ['etcd-server', '/usr/bin/etcd'],
    ['haproxy', '/usr/sbin/haproxy'],
  ].filter(([, program]) => !existsSync(program))
  if (missing.length)
    install(
      missing.map(([name]) => name),
      'what several machines need',
    )
}

/** age, which encrypts backups, installed if missing. */
export function needAge() {
  if (spawnSync('age', ['--version']).status !== 0) install(['age'], 'age (to encrypt backups)')
}

/**
 * The browser for the tests: Debian's headless Chromium, which needs a third less of a machine. Installed if missing; if that fails, the
 * regular one also works.
 */
export function needChromium() {
  if (!existsSync(withoutWindows)) {
    if (!chromium()) install(['chromium-headless-shell'], 'Chromium (for the browser tests)')
    else if (mayInstall())
      try {
        aptInstall(['chromium-headless-shell'], 'a quicker Chromium (for the browser tests)')
      } catch {
        say('it could not be installed; the Chromium that is there is used')
      }
  }
  return chromium() ?? giveUp(`Chromium was installed but is not at ${withoutWindows}.`)
}
