// npm run restore -- FILE [--identity FILE]: restores a backup into an empty database; later deletions are repeated, and links get new
// tokens if needed.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { readBackup } from './backupFile.mjs'
import { installationSecret, openCluster } from './database.mjs'
import { giveUp, say } from './machine.mjs'
import { needPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const { values, positionals } = parseArgs({ allowPositionals: true, options: { identity: { type: 'string' } } })
const [name] = positionals
if (!name) giveUp('Which backup? Say  npm run restore -- FILE  and, where it is encrypted,  --identity FILE')
const file = resolve(name)
if (!existsSync(file)) giveUp(`There is no file ${file}. Nothing was changed.`)
needPackages(root)

let cluster
let failed = false
try {
  if (!process.env.DATABASE_URL) {
    cluster = await openCluster(join(root, '.data', 'postgres'), { durable: true })
    await cluster.create('esfuerzo')
  }
  const url = process.env.DATABASE_URL ?? cluster.url()
  await readBackup(url, file, values.identity && resolve(values.identity))
  say(`${file} is in the database`)
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'server/src/backup/restored.ts'], {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      DATABASE_URL: url,
      SECRET: process.env.SECRET ?? installationSecret(join(root, '.data', 'secret')),
    },
  })
  failed = status !== 0
} catch (error) {
  failed = true
  console.error(`\nNothing was restored: ${error.message}\n`)
} finally {
  await cluster?.stop()
}
process.exit(failed ? 1 : 0)
