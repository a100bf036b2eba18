// npm run backup [-- FILE] [--for age1…]: writes the database into a file, encrypted if a key is given.
import { mkdirSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { backupName, writeBackup } from './backupFile.mjs'
import { openCluster } from './database.mjs'
import { giveUp, say } from './machine.mjs'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const { values, positionals } = parseArgs({ allowPositionals: true, options: { for: { type: 'string' } } })
const recipient = values.for ?? process.env.BACKUP_KEY
const file = resolve(positionals[0] ?? backupName(join(root, '.data', 'backups')))
mkdirSync(dirname(file), { recursive: true, mode: 0o700 })

let cluster
try {
  if (!process.env.DATABASE_URL) cluster = await openCluster(join(root, '.data', 'postgres'), { durable: true })
  await writeBackup(process.env.DATABASE_URL ?? cluster.url(), file, recipient)
  say(
    `the database is in ${file}${recipient ? ', encrypted' : ', readable by whoever has the file: give a key with --for to change that'}`,
  )
  const where = cluster ? '.data/secret, .data/deletions.jsonl' : 'SECRET and DELETIONS of its servers'
  say(`keep the secret and the list of deletions (${where}) with it, in another place`)
} catch (error) {
  giveUp(`No backup was made: ${error.message}`)
} finally {
  await cluster?.stop()
}
