// npm run rekey: changes the secret. Everything made with the old one – links, codes, sign-ins – becomes invalid.
import { spawnSync } from 'node:child_process'
import { renameSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { installationSecret, openCluster } from './database.mjs'
import { giveUp, say } from './machine.mjs'
import { needPackages } from './packages.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const { DATABASE_URL, SECRET } = process.env
if (DATABASE_URL && !SECRET)
  giveUp(
    'Which secret? Set SECRET to the new one, the same that all servers are started with afterwards. Nothing was changed.',
  )
needPackages(root)

const file = join(root, '.data', 'secret')
/** The new secret is kept beside the old one until the database has accepted it. */
const next = `${file}.new`
let cluster
let failed = true
try {
  if (!DATABASE_URL) {
    cluster = await openCluster(join(root, '.data', 'postgres'), { durable: true })
    await cluster.create('esfuerzo')
  }
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'server/src/backup/rekeyed.ts'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, DATABASE_URL: DATABASE_URL ?? cluster.url(), SECRET: SECRET ?? installationSecret(next) },
  })
  failed = status !== 0
  if (!failed && !SECRET) renameSync(next, file)
  if (!failed)
    say(SECRET ? 'start every server with this SECRET now' : 'the new secret is in .data/secret; start again')
} catch (error) {
  console.error(`\nThe secret was not changed: ${error.message}\n`)
} finally {
  await cluster?.stop()
}
process.exit(failed ? 1 : 0)
