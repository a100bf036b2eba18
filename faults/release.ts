import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { say } from '../scripts/machine.mjs'
import { root } from '../scripts/stack.mjs'

/** An earlier release as it was shipped. */
export interface Release {
  commit: string
  /** Name of its database's last migration. */
  schema: string
  /** Its folder, with its own packages, built. */
  folder: string
}

const git = (...words: string[]) => execFileSync('git', words, { cwd: root, encoding: 'utf8' }).trim()
const schemaOf = (commit: string) =>
  [...git('show', `${commit}:server/migrations/index.ts`).matchAll(/'(\d{3}-[a-z-]+)'/g)].at(-1)![1]!
/** Packages and build, by the release's own scripts. */
const ownBuild = `
  const { needPackages } = await import('./scripts/packages.mjs')
  needPackages(process.cwd())
  const { needBuild } = await import('./scripts/build.mjs')
  needBuild(process.cwd())`

/** The release at a commit. @throws if it can't be built, or git doesn't know it */
export function releaseAt(ref: string): Release {
  const commit = git('rev-parse', '--short', ref)
  const folder = join(root, '.cache', 'releases', commit)
  if (!existsSync(join(folder, '.cache', 'built-server'))) {
    say(`release ${commit}: its packages, its pages, its server …`)
    rmSync(folder, { recursive: true, force: true })
    mkdirSync(folder, { recursive: true })
    const files = execFileSync('git', ['archive', commit], { cwd: root, maxBuffer: 2 ** 28 })
    execFileSync('tar', ['-x', '-C', folder], { input: files })
    execFileSync(process.execPath, ['--input-type=module', '-e', ownBuild], { cwd: folder, stdio: 'ignore' })
  }
  return { commit, schema: schemaOf(commit), folder }
}

/** For every earlier database schema, the last release that used it, the latest first. */
export const olderReleases = [
  '409cc41',
  '1162bd0',
  '497e52b',
  '841e929',
  'f9fb3ed',
  '8159b26',
  '91078d8',
  '1f459c1',
  '2a3db52',
  '2fe7ad4',
  '825560c',
  '00701e4',
] as const
