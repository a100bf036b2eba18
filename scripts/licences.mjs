// npm run licences [-- --ages]: lists every package's license and, for our direct dependencies, their age and newer versions.
import { execFile } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import { say } from './machine.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const read = (path) => JSON.parse(readFileSync(join(root, path), 'utf8'))

/** Accepted licenses (our choice): an operator need not publish their own source. SPDX, https://spdx.org/licenses. */
export const welcome = [
  [
    'MIT',
    'MIT-0',
    'ISC',
    '0BSD',
    'BSD-2-Clause',
    'BSD-3-Clause',
    'Apache-2.0',
    'BlueOak-1.0.0',
    'Unlicense',
    'CC0-1.0',
  ],
  // Data and fonts, unmodified; a modified file of theirs stays open.
  ['CC-BY-3.0', 'CC-BY-4.0', 'OFL-1.1', 'MPL-2.0', 'Python-2.0', 'Zlib', 'WTFPL', 'Artistic-2.0'],
].flat()

/** Whether an SPDX expression allows an accepted license: one of `or`, all of `and`. */
export const isWelcome = (expression) =>
  expression
    .replace(/[()]/g, '')
    .split(/\s+OR\s+/i)
    .some((choice) => choice.split(/\s+AND\s+/i).every((one) => welcome.includes(one.trim())))

/** Packages that state it differently, or only in their LICENSE file; read by a person. */
const readByHand = {
  'chainsaw@0.1.0': 'MIT',
  'duck@0.1.12': 'BSD-2-Clause',
  'png-js@1.1.0': 'MIT',
  // It states no license. It comes with exceljs, which tests use to read our files; it is not shipped.
  'buffers@0.1.1': 'none said',
}
/** Development only, and tolerated. */
const letBe = ['buffers@0.1.1']

const licenceOf = ({ name, version, license, licenses }) =>
  readByHand[`${name}@${version}`] ??
  (typeof license === 'string' ? license : (license?.type ?? licenses?.map((l) => l.type).join(' OR ') ?? 'none said'))

/** Packages whose license is not accepted. */
export const unwelcome = (all) =>
  all.filter((p) => !isWelcome(p.licence) && !(letBe.includes(`${p.name}@${p.version}`) && !p.runs))

/**
 * Every installed package with its license, from the lock file. @returns {{ name: string, version: string, licence: string, runs: boolean
 * }[]}
 */
export function installed() {
  const { packages } = read('package-lock.json')
  return Object.entries(packages).flatMap(([path, { dev, link, optional }]) => {
    if (!path.includes('node_modules/') || link) return []
    try {
      const said = read(join(path, 'package.json'))
      return [{ name: said.name, version: said.version, licence: licenceOf(said), runs: !dev }]
    } catch (error) {
      // Built for another machine.
      if (optional) return []
      throw error
    }
  })
}

const named = () => {
  const folders = ['.', 'core', 'library', 'contract', 'plans', 'server', 'web', 'cli']
  const all = folders.flatMap((folder) => {
    const { dependencies = {}, devDependencies = {} } = read(join(folder, 'package.json'))
    return [...Object.keys(dependencies), ...Object.keys(devDependencies)]
  })
  return [...new Set(all)].filter((name) => !name.startsWith('@esfuerzo/')).sort()
}

async function sayAges() {
  const ask = promisify(execFile)
  const day = (iso) => iso.slice(0, 10)
  const oldFirst = installed().sort((a, b) => a.version.localeCompare(b.version, 'en', { numeric: true }))
  const versions = new Map(oldFirst.map((p) => [p.name, p.version]))
  for (const name of named()) {
    const version = versions.get(name)
    const { stdout } = await ask('npm', ['view', name, 'time', 'dist-tags.latest', '--json'], { maxBuffer: 2 ** 26 })
    const { time, 'dist-tags.latest': latest } = JSON.parse(stdout)
    const newer = latest === version ? '' : `  newest ${latest} of ${day(time[latest])}`
    say(`${name} ${version} of ${day(time[version])}${newer}`)
  }
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const all = installed()
  const counts = new Map()
  for (const p of all) counts.set(p.licence, [...(counts.get(p.licence) ?? []), p])
  for (const [licence, list] of [...counts].sort((a, b) => b[1].length - a[1].length))
    say(`${licence}: ${list.length} (${list.filter((p) => p.runs).length} where it runs)`)
  const foreign = unwelcome(all)
  for (const { name, version, licence, runs } of foreign)
    say(`not welcome: ${name} ${version}: ${licence}${runs ? '' : ', for development alone'}`)
  if (process.argv.includes('--ages')) await sayAges()
  process.exit(foreign.length ? 1 : 0)
}
