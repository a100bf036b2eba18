import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { WrittenCell } from '@esfuerzo/contract'
import { bookCells, placeKey, type BookColumn, type BookEntry } from '@esfuerzo/core/classBook'
import { pupilKey } from '../src/pupils/pupilCode.ts'
import { runOf, sentSession, smallSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

const secret = 's'.repeat(40)
let server: TestServer
let own: Agent
let classId: string
let pupils: { id: string; alias: string }[]
let sent: Awaited<ReturnType<typeof sentSession>>
/** A session whose one station records reps. */
function recorded() {
  const session = smallSession()
  return {
    ...session,
    sections: session.sections.map((s) => ({
      ...s,
      blocks: s.blocks.map((b) =>
        'stations' in b ? { ...b, stations: b.stations.map((station) => ({ ...station, record: 'reps' })) } : b,
      ),
    })),
  } as ReturnType<typeof smallSession>
}
beforeAll(async () => void (server = await testServer()))
beforeEach(async () => {
  await server.db.raw('truncate teachers, snapshots, sign_ins, limits cascade')
  own = await server.teacher('own@island.example')
  classId = (
    await own
      .post('/api/classes')
      .send({ name: '1b', grades: [0, 1] })
      .expect(200)
  ).body.id
  const aliases = ['Tern 4', 'Plover 61', 'Kelp 7']
  pupils = (await own.post(`/api/classes/${classId}/pupils`).send({ aliases }).expect(200)).body.pupils
  sent = await sentSession(own, recorded())
})
afterAll(() => server.close())

const at = () => `/api/classes/${classId}/results/${sent.publication.id}`
const read = async (): Promise<{
  columns: BookColumn[]
  entries: BookEntry[]
  earlier: BookEntry[]
  loose: object[]
}> => (await own.get(at()).expect(200)).body
const cell = (pupil: string, column: BookColumn, value: number | null, was: string | null = null): WrittenCell => {
  const { what, block, station, lap, rung, trial } = column
  return { what, block, station, lap, rung, trial, id: randomUUID(), pupil, value, was, source: 'typed' }
}
const write = (...cells: object[]) => own.put(at()).send({ cells })
const runs = (run: object, pupil?: string) =>
  server
    .browser()
    .post(`/api/go/${sent.publication.token}/runs`)
    .set('pupil-key', pupil ? pupilKey(pupil, 1, secret) : '')
    .send(run)
    .expect(200)
const valueAt = async (pupil: string, column: BookColumn) => {
  const { columns, entries } = await read()
  return bookCells(columns, entries).get(pupil)?.get(column.key)?.entry
}

describe('the columns', () => {
  it('are the boxes of the paper form of the class’s lane', async () => {
    const { columns } = await read()
    expect(columns.map((c) => c.key)).toEqual([
      'result b2 s1 lap 1',
      'result b2 s1 lap 2',
      'result b2 s1 lap 3',
      'felt',
    ])
    expect(columns[0]).toMatchObject({ kind: 'station', unit: 'reps', seconds: expect.any(Number), nth: 1, of: 3 })
    expect(columns[3]).toMatchObject({ kind: 'felt', unit: 'faces' })
  })

  it('for a class with other grades are its own lane’s', async () => {
    await own
      .put(`/api/classes/${classId}`)
      .send({ name: '5b', grades: [5] })
      .expect(200)
    expect((await read()).columns.at(-1)).toMatchObject({ unit: 'ten' })
    const { sessions } = (await own.get(`/api/classes/${classId}/sessions`).expect(200)).body
    expect(sessions).toMatchObject([{ title: 'Springs', pupils: 0 }])
    await own
      .put(`/api/classes/${classId}`)
      .send({ name: '3b', grades: [3] })
      .expect(200)
    expect((await own.get(`/api/classes/${classId}/sessions`).expect(200)).body.sessions).toEqual([])
  })
})

describe('a cell', () => {
  it('is written with its origin, once however often it is sent', async () => {
    const { columns } = await read()
    const typed = cell(pupils[0]!.id, columns[0]!, 12)
    const first = (await write(typed).expect(200)).body
    expect(first).toMatchObject({ written: [{ value: 12, source: 'typed', id: typed.id }], differing: [] })
    expect((await write(typed).expect(200)).body).toEqual(first)
    expect(await server.db('results')).toMatchObject([
      { by: 'teacher', unit: 'reps', class_id: classId, move: 'pogo', seconds: columns[0]!.seconds },
    ])
  })

  it('that another has changed meanwhile is not overwritten: both values are reported, and nothing else is lost', async () => {
    const { columns } = await read()
    const [tern, plover] = [pupils[0]!.id, pupils[1]!.id]
    const [now] = (await write(cell(tern, columns[0]!, 12)).expect(200)).body.written as [BookEntry]
    const late = cell(tern, columns[0]!, 14)
    const beside = cell(plover, columns[0]!, 9)
    const answer = (await write(late, beside).expect(200)).body
    expect(answer).toMatchObject({
      written: [{ id: beside.id }],
      differing: [{ id: late.id, now: { id: now.id, value: 12 } }],
    })
    // After being told the current value, it may overwrite it.
    expect((await write({ ...late, id: randomUUID(), was: now.id }).expect(200)).body.written).toHaveLength(1)
    expect(await valueAt(tern, columns[0]!)).toMatchObject({ value: 14 })
    // Two who typed the same value have no conflict.
    expect((await write(cell(tern, columns[0]!, 14)).expect(200)).body).toMatchObject({
      written: [{ value: 14 }],
      differing: [],
    })
  })

  it('written by two tabs at once is written by one, and the other is told', async () => {
    const { columns } = await read()
    const answers = await Promise.all(
      [11, 12, 13, 14].map((value) => write(cell(pupils[0]!.id, columns[0]!, value)).expect(200)),
    )
    expect(answers.filter((a) => a.body.written.length === 1)).toHaveLength(1)
    expect(answers.filter((a) => a.body.differing.length === 1)).toHaveLength(3)
  })

  it('replaces a run’s value, which leaves the child’s own line; cleared, it is missing', async () => {
    const { columns } = await read()
    const tern = pupils[0]!.id
    await runs(
      runOf(sent.publication, { results: [{ block: 'b2', station: 's1', lap: 1, value: 40, unit: 'reps' }] }),
      tern,
    )
    const before = (await valueAt(tern, columns[0]!))!
    expect(before).toMatchObject({ value: 40, source: 'run', run: expect.any(String) })
    const [typed] = (await write(cell(tern, columns[0]!, 14, before.id)).expect(200)).body.written as [BookEntry]
    const { columns: again, entries } = await read()
    expect(bookCells(again, entries).get(tern)!.get(columns[0]!.key)).toMatchObject({
      entry: { value: 14 },
      before: [],
    })
    await write(cell(tern, columns[0]!, null, typed.id)).expect(200)
    expect(await valueAt(tern, columns[0]!)).toMatchObject({ value: null })
    expect(
      (await own.get(`/api/classes/${classId}`)).body.pupils.find((p: { id: string }) => p.id === tern).results,
    ).toBe(1)
  })

  it('that is impossible is returned with the reason, and everything else in the request is written', async () => {
    const { columns } = await read()
    const tern = pupils[0]!.id
    const impossible = [
      cell(tern, columns[3]!, 6),
      cell(tern, columns[0]!, 1.5),
      cell(tern, columns[1]!, -1),
      cell(tern, columns[1]!, 1e6),
    ]
    const elsewhere = { ...cell(tern, columns[0]!, 3), lap: 9 }
    const gone = cell(pupils[2]!.id, columns[0]!, 3)
    await own.delete(`/api/pupils/${pupils[2]!.id}`).expect(200)
    const good = [cell(tern, columns[0]!, 12), cell(pupils[1]!.id, columns[0]!, 9)]
    const answer = (await write(good[0]!, ...impossible, elsewhere, gone, good[1]!).expect(200)).body
    expect(answer.refused).toEqual([
      ...impossible.map(({ id }) => ({ id, why: 'impossible' })),
      { id: elsewhere.id, why: 'no-column' },
      { id: gone.id, why: 'no-pupil' },
    ])
    expect(answer.written.map((e: BookEntry) => e.value)).toEqual([12, 9])
    // A page of the previous release keeps what is reported as changed.
    expect(answer.differing.map((d: { id: string }) => d.id)).toContain(gone.id)
    expect(await server.db('results')).toHaveLength(2)
  })

  it('whose place occurs twice in one request is written once; a taken id is reported', async () => {
    const { columns } = await read()
    const [tern, plover] = [pupils[0]!.id, pupils[1]!.id]
    const first = cell(tern, columns[0]!, 12)
    const second = cell(tern, columns[0]!, 13)
    const sameId = { ...cell(plover, columns[0]!, 9), id: first.id }
    const answer = (await write(first, second, sameId).expect(200)).body
    expect(answer.refused).toEqual([
      { id: second.id, why: 'twice' },
      { id: first.id, why: 'id-taken' },
    ])
    expect(await server.db('results').select('value')).toEqual([{ value: 12 }])
  })

  it('with the id of another teacher’s value is told so, and changes nothing of hers', async () => {
    const { columns } = await read()
    const theirs = cell(pupils[0]!.id, columns[0]!, 12)
    await write(theirs).expect(200)
    const before = await server.db('results')
    own = await server.teacher('other@island.example')
    classId = (
      await own
        .post('/api/classes')
        .send({ name: '1c', grades: [0, 1] })
        .expect(200)
    ).body.id
    pupils = (
      await own
        .post(`/api/classes/${classId}/pupils`)
        .send({ aliases: ['Skua 3'] })
        .expect(200)
    ).body.pupils
    sent = await sentSession(own, recorded())
    const taken = { ...cell(pupils[0]!.id, columns[0]!, 7), id: theirs.id }
    // At the same time, as from two tabs, and afterwards.
    const answers = await Promise.all([write(taken), write(taken), write(taken)])
    for (const { status, body } of answers)
      expect([status, body.refused]).toEqual([200, [{ id: theirs.id, why: 'id-taken' }]])
    expect(await server.db('results')).toEqual(before)
  })
})

it('a child’s own line goes back to earlier times the same session was sent, and to no other', async () => {
  const { columns } = await read()
  const tern = pupils[0]!.id
  await write(cell(tern, columns[0]!, 10)).expect(200)
  await server.db('publications').update({ created_at: server.db.raw("now() - interval '7 days'") })
  const { body: again } = await own
    .post(`/api/workouts/${sent.workoutId}/publications`)
    .send({ revision: 1, days: 7 })
    .expect(200)
  sent = { ...sent, publication: again }
  const second = await read()
  expect(second.entries).toEqual([])
  expect(second.earlier.map((e) => [e.pupil, placeKey(e), e.value])).toEqual([[tern, columns[0]!.key, 10]])
  await write(cell(tern, columns[0]!, 15)).expect(200)
  const [, first] = (await own.get(`/api/classes/${classId}/sessions`).expect(200)).body.sessions
  sent = { ...sent, publication: { ...again, id: first.id } }
  // What came later is no part of it.
  expect((await read()).earlier).toEqual([])
  const strange = await sentSession(own, recorded())
  sent = strange
  expect((await read()).earlier).toEqual([])
})

it('the sessions of a class are listed with the latest first, and with how many pupils have a value', async () => {
  const { columns } = await read()
  const [tern, plover] = [pupils[0]!.id, pupils[1]!.id]
  const listed = async () => (await own.get(`/api/classes/${classId}/sessions`).expect(200)).body.sessions
  const [written] = (await write(cell(tern, columns[0]!, 10), cell(plover, columns[0]!, 9)).expect(200)).body.written
  await write(cell(tern, columns[1]!, 11)).expect(200)
  expect((await listed()).map((s: { pupils: number }) => s.pupils)).toEqual([2])
  // A value that was cleared is none.
  await write(cell(written.pupil, columns[0]!, null, written.id)).expect(200)
  await write(cell(tern, columns[1]!, null, (await valueAt(tern, columns[1]!))!.id)).expect(200)
  expect((await listed()).map((s: { pupils: number }) => s.pupils)).toEqual([1])
  await server.db('publications').update({ created_at: server.db.raw("now() - interval '7 days'") })
  const { publication } = await sentSession(own, recorded())
  expect((await listed()).map((s: { id: string }) => s.id)).toEqual([publication.id, sent.publication.id])
})

describe('tests over dates', () => {
  /** Two holds, before and after. */
  function measuring() {
    const session = ['before', 'after'].reduce((w, moment, i) => {
      const id = i ? 'b9' : 'b8'
      const block = { id, form: 'measure', test: 'hold', trials: { all: 2 }, moment }
      const sections = w.sections.map((s, n) => (n === (i ? 2 : 0) ? { ...s, blocks: [...s.blocks, block] } : s))
      return { ...w, sections } as typeof w
    }, recorded())
    return session
  }

  it('are shown side by side if comparable, the earliest first, runs and paper alike', async () => {
    sent = await sentSession(own, measuring())
    const { columns } = await read()
    const holds = columns.filter((c) => c.kind === 'measure')
    expect(holds.map((c) => [c.key, c.test, c.unit])).toEqual([
      ['result b8 trial 1', 'hold', 'seconds'],
      ['result b8 trial 2', 'hold', 'seconds'],
      ['result b9 trial 1', 'hold', 'seconds'],
      ['result b9 trial 2', 'hold', 'seconds'],
    ])
    const [tern, plover] = [pupils[0]!.id, pupils[1]!.id]
    await write(cell(tern, holds[0]!, 20), cell(tern, holds[1]!, 24), cell(tern, holds[2]!, 30)).expect(200)
    await runs(runOf(sent.publication, { results: [{ block: 'b8', trial: 1, value: 41.5, unit: 'seconds' }] }), plover)
    await server.db('publications').update({ created_at: server.db.raw("created_at - interval '7 days'") })
    const { body: again } = await own
      .post(`/api/workouts/${sent.workoutId}/publications`)
      .send({ revision: 1, days: 7 })
      .expect(200)
    sent = { ...sent, publication: again }
    await write(cell(tern, holds[0]!, 26)).expect(200)
    const { tests } = (await own.get(`/api/classes/${classId}/tests`).expect(200)).body
    // Before and after the work are two different tests, in any block; a set-up is known even if nobody entered it.
    const setUp = 'as-told'
    expect(tests).toMatchObject([
      { test: 'hold', unit: 'seconds', setUp, moment: 'before' },
      { test: 'hold', unit: 'seconds', setUp, moment: 'after' },
    ])
    const [{ days, values }, after] = tests
    expect(days.map((d: { key: string }) => d.key.split(' ')[1])).toEqual(['b8', 'b8'])
    expect(after).toMatchObject({ days: [{ publicationId: days[0].publicationId }], values: [{ value: 30 }] })
    const valuesOf = (pupil: string, day: number) =>
      values
        .filter((v: { pupil: string; day: string }) => v.pupil === pupil && v.day === days[day].key)
        .map((v: { value: number }) => v.value)
    expect([valuesOf(tern, 0), valuesOf(tern, 1), valuesOf(plover, 0)]).toEqual([[20, 24], [26], [41.5]])
  })

  it('record how each try was done: another set-up is another test, differences are reported', async () => {
    sent = await sentSession(own, measuring())
    const try1 = { block: 'b8', trial: 1, value: 40, unit: 'seconds' as const }
    const how = { counted: 'child' as const, warm: false }
    const [tern, plover] = [pupils[0]!.id, pupils[1]!.id]
    await runs(runOf(sent.publication, { results: [{ ...try1, how }] }), tern)
    await runs(runOf(sent.publication, { id: randomUUID(), results: [{ ...try1, how: { setUp: 'other' } }] }), plover)
    const { tests } = (await own.get(`/api/classes/${classId}/tests`).expect(200)).body
    expect(tests.map((t: { setUp: string; values: object[] }) => [t.setUp, t.values])).toEqual([
      ['as-told', [expect.objectContaining({ pupil: tern, otherwise: 'counted child, cold' })]],
      ['other', [expect.not.objectContaining({ otherwise: expect.anything() })]],
    ])
  })
})

it('runs without a code are listed with the class’s own lane first', async () => {
  for (const group of ['g1', 'g2', 'g1', 'g2']) await runs(runOf(sent.publication, { group, id: randomUUID() }))
  const { loose } = await read()
  expect(loose.map((run) => (run as { letter: string }).letter)).toEqual(['A', 'A', 'B', 'B'])
})

it('the size of one write is limited', async () => {
  const { columns } = await read()
  const cells = Array.from({ length: 1001 }, () => cell(pupils[0]!.id, columns[0]!, 1))
  const answer = await write(...cells)
  expect([answer.status, answer.body.problems[0].code]).toEqual([400, 'too-large'])
})
