import { execFile } from 'node:child_process'
import { readdirSync } from 'node:fs'
import { promisify } from 'node:util'
import { root, secret, startStack } from '../../scripts/stack.mjs'
import { teacherOf } from './teacher.ts'

const journeys = new URL('../', import.meta.url)

/** One whole Esfuerzo for all journeys; each file of them has a teacher of its own, with the demo's sessions. */
export default async function globalSetup() {
  const stack = await startStack('browser')
  process.env.ESFUERZO_URL = stack.url
  process.env.OUTBOX_KEY = stack.outboxKey
  const emails = readdirSync(journeys)
    .filter((file) => file.endsWith('.spec.ts'))
    .map(teacherOf)
  await promisify(execFile)(process.execPath, ['--import', 'tsx', 'e2e/support/addTeachers.ts', ...emails], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: stack.databaseUrl, SECRET: secret },
  })
  return () => stack.stop()
}
