/** *A table whose rows belong to a teacher*, with *A migration* and *An export*: notes. */
export const table = {
  title: 'a table, its migration and its export',
  follow({ write, add, run, compile }) {
    write(
      'server/migrations/notes.ts',
      `import type { Knex } from 'knex'

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('notes', (t) => {
    t.uuid('id').primary()
    t.uuid('teacher_id').notNullable().references('teachers.id').onDelete('cascade')
    t.text('text').notNullable()
    t.index('teacher_id')
  })
}

export const down = (knex: Knex): Promise<void> => knex.schema.dropTable('notes')
`,
    )
    add('server/migrations/index.ts', "from './lateRuns.ts'", "import * as notes from './notes.ts'")
    add('server/migrations/index.ts', 'migration: safeguards }', "  { name: '099-notes', migration: notes },")
    add('server/src/rights/rights.ts', "  events: { column: 'teacher_id' },", "  notes: { column: 'teacher_id' },")
    add('server/floors.js', /^ {2}\['events', /, "  ['notes', 'notes of a teacher'],")
    write(
      'server/src/notes/store.ts',
      `import type { Knex } from 'knex'
import { owned } from '../rights/rights.ts'

/** A teacher's notes, the oldest first. */
export const listNotes = (db: Knex, teacherId: string): Promise<{ id: string; text: string }[]> =>
  owned<{ id: string; text: string }>(db, teacherId, 'notes').orderBy('id').select('id', 'text')
`,
    )
    add('server/src/export/exportFiles.ts', "from '../moves/store.ts'", "import { listNotes } from '../notes/store.ts'")
    add('server/src/export/exportFiles.ts', /^events\.json /, 'notes.json            your notes')
    add(
      'server/src/export/exportFiles.ts',
      "yield file('events.json'",
      "  yield file('notes.json', json(await listNotes(db, id)))",
    )
    write(
      'server/test/notes.test.ts',
      `import { afterAll, beforeAll, expect, it } from 'vitest'
import { randomUUID } from 'node:crypto'
import { listNotes } from '../src/notes/store.ts'
import { exportFiles } from '../src/export/exportFiles.ts'
import { testServer, type TestServer } from './support/testServer.ts'

let server: TestServer
beforeAll(async () => void (server = await testServer()))
afterAll(() => server.close())

it('are hers alone, and in her export', async () => {
  const idOf = async (email: string) => (await (await server.teacher(email)).get('/api/me').expect(200)).body.id as string
  const [own, other] = [await idOf('own@island.example'), await idOf('other@island.example')]
  await server.db('notes').insert({ id: randomUUID(), teacher_id: own, text: 'Bring chalk' })
  expect(await listNotes(server.db, other)).toEqual([])
  expect(await listNotes(server.db, own)).toMatchObject([{ text: 'Bring chalk' }])
  const files = []
  for await (const { name } of exportFiles(server.db, { id: own, email: '', name: '' })) files.push(name)
  expect(files).toContain('notes.json')
})
`,
    )
    compile()
    run('oxlint', '-c', 'oxlint.config.js', 'server/src')
    const tests = ['notes', 'rights', 'backup', 'migration'].map((name) => `server/test/${name}.test.ts`)
    run('vitest', 'run', '--project', 'server', ...tests)
  },
}
