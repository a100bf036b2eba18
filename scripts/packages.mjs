// Installs the npm packages if they are missing or the lock file has changed since.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { giveUp, say } from './machine.mjs'

export function needPackages(root) {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    giveUp(`Esfuerzo needs Node 20.19 or later; this is ${process.version}.`)
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const mark = join(root, 'node_modules', '.installed-lock')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return
  say('installing packages (npm ci) …')
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  if (status !== 0)
    giveUp('npm ci failed; its own words are above. Is the npm registry within reach? Then run the same command again.')
  writeFileSync(mark, lock)
}
