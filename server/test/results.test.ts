import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { outlineOf, publicationSchema } from '@esfuerzo/core/publication'
import { resultRows, type Run } from '@esfuerzo/core/run'
import { catchUp } from '../src/results/store.ts'
import type { JobPool } from '../src/workers/jobPool.ts'
import { jobPool, library, runOf, sentSession, testServer, type TestServer } from './support/testServer.ts'

let server: TestServer
beforeAll(async () => void (server = await testServer()))
afterAll(() => server.close())

/** The rows of a run as stored in the database, in the core's terms. */
async function rowsOf(run: string) {
  const rows: Record<string, unknown>[] = await server
    .db('results')
    .where({ run_id: run })
    .select(
      ...[
        'what',
        'block',
        'station',
        'test',
        'trial',
        'lap',
        'rung',
        'move',
        'version',
        'name',
        'unit',
        'value',
        'seconds',
        'kg',
        'clean',
      ],
    )
  return rows.map((row) => Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)))
}
async function sent(email: string) {
  const agent = await server.teacher(email)
  const { publication, workoutId: sessionId } = await sentSession(agent)
  const { body } = await server.browser().get(`/snapshots/${publication.sha256}`)
  const outline = outlineOf(publicationSchema.parse(body))
  const [block] = outline.blocks.filter((b) => b.stations.length)
  const station = block!.stations[0]!
  const results: Run['results'] = [
    { block: block!.id, station, lap: 1, unit: 'reps', value: 12 },
    { block: block!.id, station, lap: 2, unit: 'reps', value: 9, load: { kg: 0.5 }, clean: 'yes' },
    { block: block!.id, rung: 3, unit: 'seconds', value: 7.5 },
  ]
  const send = (run: Run) => server.browser().post(`/api/go/${publication.token}/runs`).send(run)
  return { agent, publication, workoutId: sessionId, outline, results, send }
}

describe('the results of a run', () => {
  it('are rows of their own as soon as it arrives, once however often it is sent', async () => {
    const { publication, outline, results, send } = await sent('rows@island.example')
    const run = runOf(publication, { results })
    await send(run).expect(200)
    await send(run).expect(200)
    const rows = await rowsOf(run.id)
    expect(rows).toHaveLength(4)
    expect(rows).toEqual(expect.arrayContaining(resultRows(run, outline)))
    const first = rows.find((r) => r.lap === 1)!
    expect(first).toMatchObject({
      move: expect.any(String),
      version: expect.any(String),
      name: expect.stringMatching(/\w/),
      seconds: expect.any(Number),
    })
    expect(rows).toContainEqual({ what: 'felt', name: '', unit: 'faces', value: 4 })
    const [row] = await server.db('results').where({ run_id: run.id })
    expect(row).toMatchObject({ source: 'run', by: 'home', class_id: null, pupil_id: null, replaced_by: null })
    expect(new Date(row.at).toISOString()).toBe(new Date(run.finishedAt).toISOString())
    expect((await server.db('runs').where({ id: run.id }).first('document')).document.results).toEqual(results)
  })

  it('are deleted with the run', async () => {
    const { agent, publication, results, send } = await sent('gone@island.example')
    const run = runOf(publication, { results })
    await send(run).expect(200)
    await agent.delete(`/api/publications/${publication.id}/runs/${run.id}`).expect(200)
    expect(await rowsOf(run.id)).toEqual([])
  })

  it('of a run stored by the previous release are written later, once, by whichever of two is first', async () => {
    const { publication, outline, results } = await sent('before@island.example')
    const run = runOf(publication, { results })
    await server.db('snapshots').where({ sha256: publication.sha256 }).update({ outline: null })
    await server.db('published_facts').where({ publication_id: publication.id }).delete()
    await server.db('runs').insert({
      publication_id: publication.id,
      id: run.id,
      group_id: run.group,
      started_at: run.startedAt,
      finished_at: run.finishedAt,
      zone: run.zone,
      document: JSON.stringify(run),
    })
    expect(await rowsOf(run.id)).toEqual([])
    await Promise.all([catchUp(server.db, library), catchUp(server.db, library)])
    const rows = await rowsOf(run.id)
    expect(rows).toHaveLength(4)
    expect(rows).toEqual(expect.arrayContaining(resultRows(run, outline)))
    expect(await catchUp(server.db, library)).toEqual({ runs: 0, publications: 0, failed: [] })
    const facts = await server.db('published_facts').where({ publication_id: publication.id }).first()
    expect(facts.moves).toEqual(outline.moves)
    expect(facts.forms).toEqual([])
  })
})

describe('sending a session home', () => {
  it('records what was sent: moves, families, forms and minutes', async () => {
    const { publication } = await sent('facts@island.example')
    const { moves, families, forms, minutes } = await server
      .db('published_facts')
      .where({ publication_id: publication.id })
      .first()
    expect(moves.length).toBeGreaterThan(0)
    expect(families).toEqual([...new Set(moves.map((id: string) => library.moves.get(id)!.family))])
    expect(forms).toContain('intervals')
    expect(minutes).toBeGreaterThan(0)
  })

  it('is one transaction: a save in between is a conflict, and nothing is sent', async () => {
    let meanwhile = async (): Promise<void> => {}
    const pool: JobPool = {
      ...jobPool,
      run: async (name, asked, owner) => {
        const answer = await jobPool.run(name, asked, owner)
        await meanwhile()
        return answer
      },
    }
    const slow = await testServer(undefined, { jobPool: pool })
    const agent = await slow.teacher('between@island.example')
    const { workoutId: sessionId } = await sentSession(agent)
    const { document, revision } = (await agent.get(`/api/workouts/${sessionId}`).expect(200)).body
    meanwhile = async () => {
      await agent.put(`/api/workouts/${sessionId}`).send({ revision, document: { ...document, title: 'Later' } })
    }
    const before = await slow.db('publications').count({ n: '*' })
    await agent.post(`/api/workouts/${sessionId}/publications`).send({ revision, days: 7 }).expect(409)
    expect(await slow.db('publications').count({ n: '*' })).toEqual(before)
    const open = await slow.db('workout_versions').where({ workout_id: sessionId }).orderBy('place', 'desc').first()
    expect(open.reason).toBe('edit')
    await slow.close()
    server = await testServer()
  })
})

it('a run of another link has no rows here', async () => {
  const { publication, results, send } = await sent('other@island.example')
  await send(runOf(publication, { results, publication: 'f'.repeat(64), id: randomUUID() })).expect(400)
  expect(await server.db('results').count({ n: '*' }).first()).toEqual({ n: '0' })
})
