// A backup is the output of pg_dump, encrypted with age if a key is given: https://age-encryption.org/v1
import { execFile, spawn } from 'node:child_process'
import { createReadStream, createWriteStream } from 'node:fs'
import { chmod, mkdtemp, rename, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import { needAge, needPostgres } from './machine.mjs'

const run = promisify(execFile)

/** The environment in which libpq's programs find a database, without its password on a command line. */
function connection(url) {
  const { hostname, port, username, password, pathname, searchParams } = new URL(url)
  const ssl = searchParams.get('sslmode')
  return {
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: decodeURIComponent(pathname.slice(1)),
    ...(ssl && { PGSSLMODE: ssl }),
  }
}

/** A program between a source and a target; if it fails, the error has its own message. */
async function through(program, args, { env = {}, source, target }) {
  const child = spawn(program, args, { cwd: '/', env: { ...process.env, ...env }, stdio: ['pipe', 'pipe', 'pipe'] })
  let words = ''
  child.stderr.on('data', (data) => (words += data))
  const over = new Promise((resolve, reject) => {
    child.on('error', reject)
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new Error(`${program} ended with ${code}: ${words.trim()}`)),
    )
  })
  const feed = source ? pipeline(source, child.stdin).catch(() => undefined) : child.stdin.end()
  const drain = target ? pipeline(child.stdout, target) : child.stdout.resume()
  await Promise.all([over, feed, drain])
}

/**
 * Writes a database into a file: completely, or not at all.
 *
 * @param {string} url of the database
 * @param {string} file to be created
 * @param {string} [recipient] age's public key, `age1…`: only its owner can read the file
 */
export async function writeBackup(url, file, recipient) {
  const programs = needPostgres()
  const partial = `${file}.partial`
  const dump = spawn(join(programs, 'pg_dump'), ['--format=custom', '--no-owner', '--no-privileges'], {
    cwd: '/',
    env: { ...process.env, ...connection(url) },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let words = ''
  dump.stderr.on('data', (data) => (words += data))
  const dumped = new Promise((resolve, reject) =>
    dump.on('close', (code) =>
      code === 0 ? resolve() : reject(new Error(`pg_dump ended with ${code}: ${words.trim()}`)),
    ),
  )
  try {
    const target = createWriteStream(partial, { mode: 0o600 })
    if (recipient) {
      needAge()
      await Promise.all([dumped, through('age', ['--recipient', recipient], { source: dump.stdout, target })])
    } else await Promise.all([dumped, pipeline(dump.stdout, target)])
    await rename(partial, file)
  } finally {
    await rm(partial, { force: true })
  }
}

/** Whether a file is encrypted: age's first line says so. */
async function isEncrypted(file) {
  for await (const chunk of createReadStream(file, { end: 20 })) return String(chunk).startsWith('age-encryption.org')
  return false
}

/**
 * Reads a backup into a database that has no tables yet.
 *
 * @param {string} url of the database
 * @param {string} [identity] file with age's secret key, for an encrypted file
 * @throws {Error} if the database is not empty, the file is not a backup, or the key does not fit; the database is then unchanged
 */
export async function readBackup(url, file, identity) {
  const programs = needPostgres()
  const env = { ...process.env, ...connection(url) }
  const count = "select count(*) from information_schema.tables where table_schema = 'public'"
  const { stdout } = await run(join(programs, 'psql'), ['-Atqc', count], { env, cwd: '/' })
  if (Number(stdout) > 0)
    throw new Error(
      'The database is not empty. A backup is restored into an empty one, so that nothing is overwritten.',
    )
  const encrypted = await isEncrypted(file)
  if (encrypted && !identity) throw new Error('The backup is encrypted. Name the file with its key:  --identity FILE')
  const folder = await mkdtemp(join(tmpdir(), 'esfuerzo-restore-'))
  await chmod(folder, 0o700)
  try {
    let plain = file
    if (encrypted) {
      needAge()
      plain = join(folder, 'backup')
      await through('age', ['--decrypt', '--identity', identity, file], {
        target: createWriteStream(plain, { mode: 0o600 }),
      })
    }
    await through(
      join(programs, 'pg_restore'),
      ['--no-owner', '--no-privileges', '--single-transaction', '--exit-on-error', '--dbname', env.PGDATABASE],
      { env: connection(url), source: createReadStream(plain) },
    )
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** A name for a backup made now. */
export const backupName = (folder, now = new Date()) =>
  join(folder, `esfuerzo-${now.toISOString().slice(0, 19).replaceAll(':', '')}.backup`)
