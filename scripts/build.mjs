// Builds the pages and the server, each only if its sources have changed.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fingerprint } from './fingerprint.mjs'
import { giveUp, say } from './machine.mjs'

const shared = ['core/src', 'contract/src', 'library', 'package-lock.json']
const parts = [
  { workspace: 'web', name: 'pages', sources: [...shared, 'web'], proof: 'web/dist/family/index.html' },
  { workspace: 'server', name: 'server', sources: [...shared, 'server'], proof: 'server/dist/bundle/main.js' },
]

export function needBuild(root) {
  for (const { workspace, name, sources, proof } of parts) {
    const mark = join(root, '.cache', `built-${name}`)
    const now = fingerprint(root, sources, { without: ['test'] })
    if (existsSync(mark) && readFileSync(mark, 'utf8') === now && existsSync(join(root, proof))) continue
    say(`building the ${name} …`)
    const command = ['run', '-s', 'build', '-w', workspace]
    // Tests have an environment of their own; they still build what is shipped.
    const env = { ...process.env, NODE_ENV: 'production' }
    const { status, stdout, stderr } = spawnSync('npm', command, { cwd: root, encoding: 'utf8', env })
    if (status !== 0) giveUp(`The ${name} could not be built:\n${stdout}${stderr}`)
    mkdirSync(dirname(mark), { recursive: true })
    writeFileSync(mark, now)
  }
}
