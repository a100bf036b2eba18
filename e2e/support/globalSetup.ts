import { execFile } from 'node:child_process'
import { readFileSync, readdirSync } from 'node:fs'
import { promisify } from 'node:util'
import { root, secret, startStack } from '../../scripts/stack.mjs'
import { teacherOf } from './teacher.ts'

const journeys = new URL('../', import.meta.url)

/** Adding the demo takes a second for each teacher, so a file of journeys that begin with an empty Desk says so in its first line. */
const emptyDesk = (file: string) => readFileSync(new URL(file, journeys), 'utf8').startsWith('// Empty Desk')

/** Files whose journeys all wait for `npm run verify` need no teacher before. */
const runs = (file: string) =>
  Boolean(process.env.VERIFY) || /\btest\(\s*['"`](?!@verify)/.test(readFileSync(new URL(file, journeys), 'utf8'))

/** One whole Esfuerzo for all journeys; each file of them has a teacher of its own, most of them with the demo's sessions. */
export default async function globalSetup() {
  const stack = await startStack('browser')
  process.env.ESFUERZO_URL = stack.url
  process.env.OUTBOX_KEY = stack.outboxKey
  const files = readdirSync(journeys).filter((file) => file.endsWith('.spec.ts') && runs(file))
  const lists = [false, true].map((empty) =>
    files
      .filter((f) => emptyDesk(f) === empty)
      .map(teacherOf)
      .join(','),
  )
  await promisify(execFile)(process.execPath, ['--import', 'tsx', 'e2e/support/addTeachers.ts', ...lists], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: stack.databaseUrl, SECRET: secret },
  })
  return () => stack.stop()
}
