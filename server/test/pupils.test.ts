import { randomUUID } from 'node:crypto'
import Papa from 'papaparse'
import { readFile } from 'node:fs/promises'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { aliasKinds, codeAlphabet } from '@esfuerzo/core/classBook'
import { readDeletions } from '../src/deletions/deletions.ts'
import { repeatDeletions } from '../src/backup/repeatDeletions.ts'
import { defaultLimits } from '../src/http/limits.ts'
import { CodeTries, strangersTries } from '../src/pupils/codeTries.ts'
import { freeSlip, pupilCode, shortCode } from '../src/pupils/pupilCode.ts'
import { separateCodes } from '../src/pupils/store.ts'
import { cleanUp } from '../src/cleanup/cleanUp.ts'
import {
  exportOf,
  runOf,
  sentSession,
  smallSession,
  testServer,
  type Agent,
  type TestServer,
} from './support/testServer.ts'

const secret = 's'.repeat(40)
let server: TestServer
let own: Agent
let other: Agent
beforeAll(async () => void (server = await testServer({ ...defaultLimits, runs: { points: 10_000, seconds: 60 } })))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
  other = await server.teacher('other@island.example')
})
afterAll(() => server.close())

interface Listed {
  id: string
  alias: string
  note: string
  results: number
}

const newClass = async (agent = own, fields: object = {}) =>
  (
    await agent
      .post('/api/classes')
      .send({ name: '2b', grades: [0, 1], ...fields })
      .expect(200)
  ).body.id as string
async function newPupils(classId: string, aliases: string[], agent = own): Promise<Listed[]> {
  return (await agent.post(`/api/classes/${classId}/pupils`).send({ aliases }).expect(200)).body.pupils
}
const pupilsOf = async (classId: string): Promise<Listed[]> =>
  (await own.get(`/api/classes/${classId}`).expect(200)).body.pupils
async function codeOf(id: string): Promise<string> {
  const { slip } = await server.db('pupils').where({ id }).first('slip')
  return pupilCode(id, slip, secret)
}
/** A class of two with a session sent home to it. */
async function scene() {
  const classId = await newClass()
  const [plover, tern] = (await newPupils(classId, ['Tern 4', 'Plover 61'])) as [Listed, Listed]
  const { body: saved } = await own.post('/api/workouts').send({ document: smallSession() }).expect(200)
  const { body: publication } = await own
    .post(`/api/workouts/${saved.id}/publications`)
    .send({ revision: 1, days: 7, classId })
    .expect(200)
  return { classId, plover, tern, publication, workoutId: saved.id as string }
}
const give = (token: string, code: string) => server.browser().post(`/api/go/${token}/code`).send({ code })
const send = (token: string, run: object, key = '') =>
  server.browser().post(`/api/go/${token}/runs`).set('pupil-key', key).send(run)
const book = async (classId: string, publication: string) =>
  (await own.get(`/api/classes/${classId}/results/${publication}`).expect(200)).body

describe('pupils', () => {
  it('are listed by alias, numbers by value, and nowhere else', async () => {
    const classId = await newClass()
    await newPupils(classId, ['Tern 11', 'Tern 4'])
    await newPupils(classId, ['Anchor 90'])
    expect((await pupilsOf(classId)).map((p) => p.alias)).toEqual(['Anchor 90', 'Tern 4', 'Tern 11'])
    await other.get(`/api/classes/${classId}`).expect(404)
    await other
      .post(`/api/classes/${classId}/pupils`)
      .send({ aliases: ['Skua 1'] })
      .expect(404)
  })

  it('are added all or none: with a duplicate alias, or more than forty, nobody is added', async () => {
    const classId = await newClass()
    await newPupils(classId, ['Tern 4'])
    const twice = await own.post(`/api/classes/${classId}/pupils`).send({ aliases: ['Skua 1', ' tern  4'] })
    expect([twice.status, twice.body.problems[0].code]).toEqual([400, 'duplicate-id'])
    expect(twice.body.detail).toContain('tern 4')
    await own
      .post(`/api/classes/${classId}/pupils`)
      .send({ aliases: ['  '] })
      .expect(400)
    const many = Array.from({ length: 40 }, (_, i) => `Kelp ${i}`)
    const full = await own.post(`/api/classes/${classId}/pupils`).send({ aliases: many })
    expect([full.status, full.body.detail]).toEqual([400, expect.stringContaining('at most 40 pupils')])
    expect(await pupilsOf(classId)).toHaveLength(1)
  })

  it('change class with their results, code and runs; an alias taken there is reported', async () => {
    const { classId, tern, publication } = await scene()
    const code = await codeOf(tern.id)
    const { key } = (await give(publication.token, code).expect(200)).body
    await send(publication.token, runOf(publication), key).expect(200)
    const there = await newClass(own, { name: '3c' })
    await newPupils(there, ['Tern 4'])
    const move = (alias: string) =>
      own.put(`/api/pupils/${tern.id}`).send({ alias, note: 'left-handed', classId: there })
    expect((await move('TERN 4')).status).toBe(400)
    expect((await move('Tern 5').expect(200)).body).toMatchObject({ alias: 'Tern 5', note: 'left-handed', results: 2 })
    expect(await pupilsOf(classId)).toHaveLength(1)
    expect(await codeOf(tern.id)).toBe(code)
    const theirs = await newClass(other)
    await own.put(`/api/pupils/${tern.id}`).send({ alias: 'Tern 5', note: '', classId: theirs }).expect(404)
  })

  it('move up with their class: grades and the year’s end change, aliases and results stay', async () => {
    const { classId } = await scene()
    const up = { name: '3b', grades: [1, 2], yearEnds: '2028-07-31', keepMonths: 1 }
    expect((await own.put(`/api/classes/${classId}`).send(up).expect(200)).body).toMatchObject({ ...up, pupils: 2 })
    // A page of the previous release sends neither: they stay.
    const before = await own
      .put(`/api/classes/${classId}`)
      .send({ name: '3b', grades: [1, 2] })
      .expect(200)
    expect(before.body).toMatchObject({ yearEnds: '2028-07-31', keepMonths: 1 })
  })
})

describe('codes', () => {
  it('are unique among a teacher’s pupils, and cannot be derived from the database', async () => {
    const codes = new Set<string>()
    for (const name of ['1a', '1b', '1c']) {
      const classId = await newClass(own, { name })
      for (const p of await newPupils(
        classId,
        Array.from({ length: 40 }, (_, i) => `${aliasKinds[i % 24]} ${i + 1}`),
      ))
        codes.add(await codeOf(p.id))
    }
    expect(codes.size).toBe(120)
    // Nor in any other table, and so in no backup.
    for (const code of [...codes].slice(0, 20)) expect(await rowsNaming(code)).toEqual([])
  })

  it('skip one that is taken', () => {
    const id = randomUUID()
    const taken = new Set([pupilCode(id, 1, secret), pupilCode(id, 2, secret)])
    expect(freeSlip(id, 1, secret, taken)).toBe(3)
    expect([...pupilCode(id, 1, secret)].every((sign) => codeAlphabet.includes(sign))).toBe(true)
  })

  it('become unique again if another secret makes two equal', async () => {
    const classId = await newClass()
    await newPupils(
      classId,
      Array.from({ length: 40 }, (_, i) => `Kelp ${i + 1}`),
    )
    // Under this secret everybody's first slip has the same code.
    const codeFor = (id: string, slip: number) => (slip === 1 ? 'BBBBBB' : pupilCode(id, slip, secret))
    expect(await separateCodes(server.db, secret, codeFor)).toBe(39)
    const slips: { id: string; slip: number }[] = await server.db('pupils').select('id', 'slip')
    expect(new Set(slips.map(({ id, slip }) => codeFor(id, slip))).size).toBe(40)
  })

  it('answer with the alias and a key, never a result; another class’s and a removed one’s open nothing', async () => {
    const { classId, tern, publication } = await scene()
    const code = await codeOf(tern.id)
    const right = await give(publication.token, ` ${code.toLowerCase()} `).expect(200)
    expect(right.body).toEqual({ alias: 'Tern 4', key: expect.stringContaining(tern.id) })
    const again = await give(publication.token, code).expect(200)
    expect(again.body.key).not.toBe(right.body.key)
    const [stranger] = await newPupils(await newClass(own, { name: '5a' }), ['Skua 3'])
    await give(publication.token, await codeOf(stranger!.id)).expect(404)
    await own.delete(`/api/pupils/${tern.id}`).expect(200)
    await give(publication.token, code).expect(404)
    await own.post(`/api/pupils/${tern.id}/restore`).expect(200)
    await give(publication.token, code).expect(200)
    await own.delete(`/api/classes/${classId}`).expect(200)
    await give(publication.token, code).expect(404)
  })

  it('can be guessed thirty times a day from a network without a right one; then not even a right one is checked', async () => {
    const { tern, publication } = await scene()
    const wrong = async () => (await give(publication.token, 'BBBBBB')).status
    const statuses = await Promise.all(Array.from({ length: 34 }, wrong))
    expect(statuses.filter((status) => status === 404)).toHaveLength(30)
    expect(statuses.filter((status) => status === 429)).toHaveLength(4)
    await give(publication.token, await codeOf(tern.id)).expect(429)
    // Another link of the teacher's shares the count.
    const { publication: second } = await sentSession(own)
    await give(second.token, await codeOf(tern.id)).expect(429)
  })

  it('are not counted when right; each child whose code was right adds ten tries for its network, once', async () => {
    const { tern, plover, publication } = await scene()
    for (let i = 0; i < 40; i++) await give(publication.token, await codeOf(tern.id)).expect(200)
    const wrong = async () => (await give(publication.token, 'BBBBBB')).status
    for (let i = 0; i < 20; i++) expect(await wrong()).toBe(404)
    expect(await wrong()).toBe(429)
    await give(publication.token, await codeOf(plover.id)).expect(429)
  })

  it('let a whole class in from one room: twenty-five children, every second of them wrong once', async () => {
    const classId = await newClass()
    const children = await newPupils(
      classId,
      Array.from({ length: 25 }, (_, i) => `Kelp ${i + 1}`),
    )
    const { publication } = await sentSession(own)
    const codes = await Promise.all(children.map((child) => codeOf(child.id)))
    // All at once, the wrong ones first: the worst order.
    const slips = codes.filter((_, i) => i % 2 === 0).map(() => give(publication.token, 'BBBBBB'))
    expect((await Promise.all(slips)).map((a) => a.status)).toEqual(Array(13).fill(404))
    const answers = await Promise.all(codes.map((code) => give(publication.token, code)))
    expect(answers.filter((a) => a.status === 200)).toHaveLength(25)
  })

  it('cannot be found by any number of networks within a year: the total of tries is limited', () => {
    for (const pupils of [1, 25, 150, 1000, 2400]) {
      const strangers = 1 - (1 - pupils / 24 ** 6) ** (strangersTries(pupils) * 13)
      expect(strangers).toBeLessThanOrEqual(0.0009 + (pupils / 24 ** 6) * 13)
    }
    expect(strangersTries(25)).toBeGreaterThan(500)
  })

  it('are limited over all networks without a right one; a network with one continues', async () => {
    const tries = new CodeTries(server.db, defaultLimits)
    const at = { teacherId: randomUUID(), network: '192.0.2.1', length: 6, pupils: 10_000_000 }
    await tries.right(at, randomUUID())
    // With ten million pupils, all strangers together have one wrong code.
    await tries.wrong({ ...at, network: '198.51.100.1' })
    await expect(tries.wrong({ ...at, network: '198.51.100.2' })).rejects.toMatchObject({ code: 'too-many-tries' })
    await expect(tries.mustBeOpen({ ...at, network: '198.51.100.3' })).rejects.toMatchObject({ code: 'too-many-tries' })
    await tries.mustBeOpen(at)
  })

  it('of four characters, printed earlier, work until the long one is used', async () => {
    const { tern, publication } = await scene()
    await give(publication.token, shortCode(tern.id, 1, secret)).expect(404)
    await server.db('pupils').update({ short_code: true })
    await give(publication.token, shortCode(tern.id, 1, secret)).expect(200)
    await give(publication.token, await codeOf(tern.id)).expect(200)
    await give(publication.token, shortCode(tern.id, 1, secret)).expect(404)
  })

  it('end the old code and every key it gave when renewed; a run with such a key still arrives, without a pupil', async () => {
    const { tern, publication } = await scene()
    const code = await codeOf(tern.id)
    const { key } = (await give(publication.token, code).expect(200)).body
    await own.post(`/api/pupils/${tern.id}/code`).expect(200)
    await give(publication.token, code).expect(404)
    const run = runOf(publication)
    await send(publication.token, run, key).expect(200)
    expect(await server.db('runs').where({ id: run.id }).first()).toMatchObject({ pupil_id: null })
  })

  it('are printed on slips, one or the whole class, each with its alias on the teacher’s strip', async () => {
    const { classId, tern, plover } = await scene()
    const all = await own.get(`/api/classes/${classId}/slips?language=es&paper=letter`).buffer(true).expect(200)
    expect(all.headers['content-type']).toContain('pdf')
    expect(all.headers['cache-control']).toBe('no-store')
    const { text, pages } = await pdfText(all.body)
    expect(pages).toBe(1)
    for (const { id, alias } of [tern, plover]) {
      expect(text).toContain(alias)
      expect(text.replace(/\s/g, '')).toContain(await codeOf(id))
    }
    expect(text).not.toContain('2b')
    const one = await own.get(`/api/classes/${classId}/slips?pupils=${tern.id}`).buffer(true).expect(200)
    expect((await pdfText(one.body)).text).not.toContain('Plover')
    await own.get(`/api/classes/${classId}/slips?pupils=${randomUUID()}`).expect(404)
  })
})

async function pdfText(body: Buffer): Promise<{ text: string; pages: number }> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const document = await getDocument({ data: new Uint8Array(body) }).promise
  const texts: string[] = []
  for (let page = 1; page <= document.numPages; page++) {
    const { items } = await (await document.getPage(page)).getTextContent()
    texts.push(items.map((item) => ('str' in item ? item.str : '')).join(' '))
  }
  return { text: texts.join(' '), pages: document.numPages }
}

describe('a run', () => {
  it('belongs to the pupil whose code the device gave, once; an older page’s to nobody', async () => {
    const { tern, publication } = await scene()
    const { key } = (await give(publication.token, await codeOf(tern.id)).expect(200)).body
    const run = runOf(publication)
    await send(publication.token, run, key).expect(200)
    await send(publication.token, run, key).expect(200)
    const loose = runOf(publication)
    await send(publication.token, loose).expect(200)
    // What a run claims about itself proves nothing.
    const claimed = runOf(publication, { pupil: tern.id })
    await send(publication.token, claimed).expect(200)
    const rows = await server.db('runs').select('id', 'pupil_id', 'document')
    expect(rows).toHaveLength(3)
    expect(rows.find((r) => r.id === run.id).pupil_id).toBe(tern.id)
    expect(rows.find((r) => r.id === loose.id).pupil_id).toBeNull()
    expect(rows.find((r) => r.id === claimed.id)).toMatchObject({ pupil_id: null })
    expect(rows.every((r) => !('pupil' in r.document))).toBe(true)
    const { runs } = (await own.get('/api/runs').expect(200)).body
    expect(runs.map((r: { alias: string | null }) => r.alias).sort()).toEqual(['Tern 4', null, null])
  })

  it('that came with a wrong code is reassigned by the teacher, with its results; nobody else can', async () => {
    const { classId, tern, plover, publication } = await scene()
    const { key } = (await give(publication.token, await codeOf(tern.id)).expect(200)).body
    const run = runOf(publication)
    await send(publication.token, run, key).expect(200)
    const at = `/api/publications/${publication.id}/runs/${run.id}/pupil`
    await other.put(at).send({ pupil: null }).expect(404)
    const [strange] = await newPupils(await newClass(other), ['Skua 3'], other)
    await own.put(at).send({ pupil: strange!.id }).expect(404)
    await own.put(at).send({ pupil: plover.id }).expect(200)
    const { entries } = await book(classId, publication.id)
    expect(new Set(entries.map((e: { pupil: string }) => e.pupil))).toEqual(new Set([plover.id]))
    await own.put(at).send({ pupil: null }).expect(200)
    const after = await book(classId, publication.id)
    expect([after.entries.length, after.loose.length]).toEqual([0, 1])
  })
})

/** Every row of every table that contains an id. */
async function rowsNaming(id: string): Promise<string[]> {
  const { rows } = await server.db.raw<{ rows: { name: string }[] }>(
    "select table_name as name from information_schema.tables where table_schema = 'public'",
  )
  const found: string[] = []
  for (const { name } of rows) {
    const { rows: lines } = await server.db.raw<{ rows: unknown[] }>('select 1 from ?? t where t::text like ?', [
      name,
      `%${id}%`,
    ])
    found.push(...lines.map(() => name))
  }
  return found.sort()
}

describe('deleting', () => {
  async function filled() {
    const made = await scene()
    const { key } = (await give(made.publication.token, await codeOf(made.tern.id)).expect(200)).body
    await send(made.publication.token, runOf(made.publication), key).expect(200)
    await own
      .put(`/api/classes/${made.classId}/results/${made.publication.id}`)
      .send({
        cells: [{ what: 'felt', id: randomUUID(), pupil: made.tern.id, value: 2, was: null, source: 'typed' }],
      })
      .expect(200)
    return made
  }

  it('a pupil leaves no row in any table after a week in the trash, and a restore deletes it again', async () => {
    const { classId, tern } = await filled()
    expect(await rowsNaming(tern.id)).toEqual(['pupils', 'results', 'results', 'runs'])
    await own.delete(`/api/pupils/${tern.id}`).expect(200)
    expect((await pupilsOf(classId)).map((p) => p.alias)).toEqual(['Plover 61'])
    expect((await own.get('/api/runs').expect(200)).body).toMatchObject({ runs: [], total: 0 })
    const { removed } = (await own.get(`/api/classes/${classId}`).expect(200)).body
    expect(removed).toMatchObject([{ alias: 'Tern 4' }])
    expect((Date.parse(removed[0].goneAt) - Date.now()) / 86_400_000).toBeCloseTo(7, 1)
    expect(await cleanUp(server.db, server.deletions)).toMatchObject({ gone: { pupils: 0 } })
    const before = await server.db('pupils').where({ id: tern.id })
    await server
      .db('pupils')
      .where({ id: tern.id })
      .update({ removed_at: server.db.raw("now() - interval '8 days'") })
    expect(await cleanUp(server.db, server.deletions)).toMatchObject({ gone: { pupils: 1 } })
    expect(await rowsNaming(tern.id)).toEqual([])
    // As an old backup would bring it back.
    await server.db('pupils').insert({ ...before[0], removed_at: null })
    const { deletions: noted } = await readDeletions(server.deletionsFile)
    await repeatDeletions(server.db, noted)
    expect(await rowsNaming(tern.id)).toEqual([])
    expect(await readFile(server.deletionsFile, 'utf8')).not.toContain('Tern')
  })

  it('one in the trash is there again after a restore, one taken out is not', async () => {
    const { classId, tern, plover } = await filled()
    await own.delete(`/api/pupils/${tern.id}`).expect(200)
    await own.delete(`/api/pupils/${plover.id}`).expect(200)
    await own.post(`/api/pupils/${plover.id}/restore`).expect(200)
    await server.db('pupils').update({ removed_at: null })
    await repeatDeletions(server.db, (await readDeletions(server.deletionsFile)).deletions)
    expect((await pupilsOf(classId)).map((p) => p.alias)).toEqual(['Plover 61'])
  })

  it('at once, a pupil, and an account with all its classes, leave nothing', async () => {
    const { classId, tern, plover } = await filled()
    await own.delete(`/api/bin/pupils/${tern.id}`).expect(200)
    expect(await rowsNaming(tern.id)).toEqual([])
    await own.post('/api/me/delete').send({ password: 'correct horse' }).expect(200)
    expect([...(await rowsNaming(classId)), ...(await rowsNaming(plover.id))]).toEqual([])
  })

  it('a class is deleted with its pupils after a week, and can be restored with them before', async () => {
    const { classId, tern } = await filled()
    await own.delete(`/api/classes/${classId}`).expect(200)
    await own.get(`/api/classes/${classId}`).expect(404)
    const { removed } = (await own.get('/api/classes').expect(200)).body
    expect(removed).toMatchObject([{ id: classId, pupils: 2 }])
    await own.post(`/api/classes/${classId}/restore`).expect(200)
    expect(await pupilsOf(classId)).toHaveLength(2)
    await own.delete(`/api/classes/${classId}`).expect(200)
    await server.db('classes').update({ removed_at: server.db.raw("now() - interval '8 days'") })
    expect(await cleanUp(server.db, server.deletions)).toMatchObject({ gone: { classes: 1 } })
    expect(await rowsNaming(tern.id)).toEqual([])
    expect(await rowsNaming(classId)).toEqual([])
  })
})

describe('retention', () => {
  it('deletes expired results of a class, on the day after and not before; aliases, codes and other classes stay', async () => {
    const { classId, tern, publication } = await scene()
    await own.put(`/api/classes/${classId}`).send({ name: '2b', grades: [0, 1], yearEnds: '2026-07-31', keepMonths: 1 })
    const { key } = (await give(publication.token, await codeOf(tern.id)).expect(200)).body
    await server.db('classes').update({ ruled_from: '2026-08-01' })
    const at = (id: string, day: string) =>
      runOf(publication, { id, startedAt: `${day}T10:00:00.000Z`, finishedAt: `${day}T10:20:00.000Z` })
    const [june, august, loose] = [randomUUID(), randomUUID(), randomUUID()] as const
    await send(publication.token, at(june, '2026-06-10'), key).expect(200)
    await send(publication.token, at(august, '2026-08-20'), key).expect(200)
    await send(publication.token, at(loose, '2026-06-11')).expect(200)
    const { publication: forAll } = await sentSession(own)
    const kept = { ...runOf(forAll), startedAt: '2026-06-10T10:00:00.000Z', finishedAt: '2026-06-10T10:20:00.000Z' }
    await send(forAll.token, kept).expect(200)
    await server.db('results').insert({
      teacher_id: (await server.db('pupils').where({ id: tern.id }).first()).teacher_id,
      class_id: classId,
      pupil_id: tern.id,
      publication_id: publication.id,
      source: 'typed',
      what: 'felt',
      name: '',
      unit: 'faces',
      value: 2,
      at: '2026-07-31T22:30:00.000Z',
      by: 'teacher',
    })
    expect(await cleanUp(server.db, server.deletions, '2026-08-31')).toMatchObject({ gone: { runs: 0, results: 0 } })
    // Nobody was notified of a year that ended before there was a rule.
    expect(await cleanUp(server.db, server.deletions, '2026-09-01')).toMatchObject({ gone: { runs: 0, results: 0 } })
    await server.db('classes').update({ ruled_from: '2026-07-01' })
    // 22:30 in Greenwich is half past ten on the 31st in the Azores.
    expect(await cleanUp(server.db, server.deletions, '2026-09-01')).toMatchObject({ gone: { runs: 2, results: 1 } })
    const left = (await server.db('runs').select('id')).map((r) => r.id).sort()
    expect(left).toEqual([august, kept.id].sort())
    expect(await pupilsOf(classId)).toHaveLength(2)
    await give(publication.token, await codeOf(tern.id)).expect(200)
  })

  it('is shown when a link is opened', async () => {
    const { classId, publication } = await scene()
    await own.put(`/api/classes/${classId}`).send({ name: '2b', grades: [1], yearEnds: '2027-06-30', keepMonths: 2 })
    const answer = (await server.browser().get(`/api/go/${publication.token}`).expect(200)).body
    expect(answer).toMatchObject({ codes: true, keptUntil: '2027-08-30' })
    const { publication: forAll } = await sentSession(other)
    expect((await server.browser().get(`/api/go/${forAll.token}`).expect(200)).body).not.toHaveProperty('keptUntil')
  })
})

describe('a teacher’s export', () => {
  it('one pupil’s file holds all that is kept of it and nothing of another', async () => {
    const { tern, plover, publication } = await scene()
    const { key } = (await give(publication.token, await codeOf(tern.id)).expect(200)).body
    await send(publication.token, runOf(publication), key).expect(200)
    await own.put(`/api/pupils/${tern.id}`).send({
      alias: 'Tern 4',
      note: '=SUM(A1)',
      classId: (await server.db('pupils').where({ id: tern.id }).first()).class_id,
    })
    const json = (await own.get(`/api/pupils/${tern.id}/file`).expect(200)).body
    expect(json).toMatchObject({ alias: 'Tern 4', note: '=SUM(A1)', runs: [{ version: 3 }] })
    expect(json.results).toHaveLength(2)
    const csv = (await own.get(`/api/pupils/${tern.id}/file?as=csv`).expect(200)).text
    const { data } = Papa.parse<Record<string, string>>(csv.replace('\ufeff', ''), { header: true })
    expect(data.map((row) => row.value).sort()).toEqual(['14', '4'])
    expect(data[0]!.note).toBe("'=SUM(A1)")
    expect(JSON.stringify(json) + csv).not.toContain(plover.alias)
    await other.get(`/api/pupils/${tern.id}/file`).expect(404)
  })

  it('her own export has classes, pupils and their results by alias, and no code anywhere; nor have the logs', async () => {
    const { tern, publication } = await scene()
    const code = await codeOf(tern.id)
    const { key } = (await give(publication.token, code).expect(200)).body
    await send(publication.token, runOf(publication), key).expect(200)
    const files = await exportOf(own)
    const [{ pupils }] = JSON.parse(files['classes.json']!)
    expect(pupils).toMatchObject([{ alias: 'Plover 61' }, { alias: 'Tern 4' }])
    const { data } = Papa.parse<Record<string, string>>(files['results/book.csv']!, { header: true })
    expect(data.map(({ class: name, alias, value }) => [name, alias, value])).toEqual([
      ['2b', 'Tern 4', '14'],
      ['2b', 'Tern 4', '4'],
    ])
    expect(JSON.stringify(files)).not.toContain(code)
    expect(server.logged.join('\n')).not.toContain(code)
    expect(server.logged.join('\n')).not.toContain(key)
    expect(server.logged.join('\n')).not.toContain('Tern')
  })
})
