import { expect, inject, it, vi } from 'vitest'
import type { Knex } from 'knex'
import { migrations } from '../migrations/index.ts'
import { migrateDatabase, openDatabase, statementBounds } from '../src/base/database.ts'
import { demoSignIn } from '../src/demo/addDemo.ts'
import { prepareDatabase } from '../src/prepareDatabase.ts'
import { library } from './support/testServer.ts'

const secret = 's'.repeat(40)
const rounds = process.env.VERIFY ? 20 : 1

async function emptyDatabase(name: string): Promise<string> {
  const admin = openDatabase(inject('databaseUrl'))
  await admin.raw(`drop database if exists ${name} with (force)`)
  await admin.raw(`create database ${name}`)
  await admin.destroy()
  return inject('databaseUrl').replace(/\/[^/]*$/, `/${name}`)
}

/** Migrates a database to the previous release's version. */
async function old(url: string): Promise<void> {
  const db = openDatabase(url)
  const then = migrations.slice(0, 5)
  await db.migrate.latest({
    migrationSource: {
      getMigrations: async () => [...then],
      getMigrationName: (m: (typeof then)[number]) => m.name,
      getMigration: async (m: (typeof then)[number]): Promise<Knex.Migration> => m.migration,
    },
  })
  await db.destroy()
}

const states: [name: string, before: (url: string) => Promise<void>][] = [
  ['an empty database', async () => {}],
  ['a database of the release before', old],
  [
    'a database of the release before whose last start was killed',
    async (url: string) => {
      await old(url)
      const db = openDatabase(url)
      await db('knex_migrations_lock').insert([{ is_locked: 1 }, { is_locked: 1 }])
      await db.destroy()
    },
  ],
]
// The last contains the other two: it begins on an old database, and the demo is added to one without a teacher.
it.each(process.env.VERIFY ? states : states.slice(-1))(
  'two servers that start at once on %s both come up',
  async (_, before) => {
    for (let round = 0; round < rounds; round++) {
      const databaseUrl = await emptyDatabase('esfuerzo_starting')
      await before(databaseUrl)
      const start = () => prepareDatabase({ databaseUrl, demo: true, secret }, library)
      await Promise.all([start(), start(), start()])
      const db = openDatabase(databaseUrl)
      expect((await db('teachers').select('email')).map((t) => t.email)).toEqual([demoSignIn.email])
      expect(await db('knex_migrations')).toHaveLength(migrations.length)
      await db.destroy()
    }
  },
)

it('a migration ended in favor of others’ requests is retried; other errors are reported', async () => {
  const saying = (...codes: string[]) => {
    const latest = vi.fn(async () => {
      const code = codes.shift()
      if (code) throw Object.assign(new Error(code), { code })
    })
    return { latest, db: { migrate: { latest } } as unknown as Knex }
  }
  const deadlocked = saying('40P01', '40P01')
  await migrateDatabase(deadlocked.db)
  expect(deadlocked.latest).toHaveBeenCalledTimes(3)
  const wrong = saying('42P07')
  await expect(migrateDatabase(wrong.db)).rejects.toThrow('42P07')
  expect(wrong.latest).toHaveBeenCalledTimes(1)
  await expect(migrateDatabase(saying(...Array<string>(10).fill('40P01')).db)).rejects.toThrow('40P01')
})

it('waiting ends: statements, locks and transactions have timeouts on the role', async () => {
  const databaseUrl = await emptyDatabase('esfuerzo_starting')
  await prepareDatabase({ databaseUrl, demo: false, secret }, library)
  const [db, other] = [openDatabase(databaseUrl), openDatabase(databaseUrl)]
  for (const [name, value] of Object.entries(statementBounds))
    expect((await db.raw(`show ${name}`)).rows[0][name]).toBe(value)
  const holder = await db.transaction()
  await holder.raw('lock table teachers in access exclusive mode')
  await expect(other('teachers').select()).rejects.toMatchObject({ code: '55P03' })
  await holder.rollback()
  await Promise.all([db.destroy(), other.destroy()])
})
