import { createPinia, setActivePinia } from 'pinia'
import type { Component } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, newSession, partOf, setDetails, type Session } from '@esfuerzo/core'
import { useSession } from '../src/compose/session/useSession.ts'
import ConflictDialog from '../src/documents/ConflictDialog.vue'
import { differenceLines } from '../src/documents/differenceLines.ts'
import { i18n } from '../src/words/i18n.ts'
import { useComposer } from './support/composer.ts'
import { library } from '../src/repertoire/library.ts'
import { open, Refusal, serve, type Answers } from './support/pages.ts'

const ID = '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'
const OTHER = '1b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'
const moment = '2026-11-20T08:00:00.000Z'
const session = (title: string, ...moves: string[]): Session =>
  moves.reduce(
    (w, id) => addStation(w, 'b2', cellsFor(library.moves.get(id)!, w.groups, 'intervals')),
    newSession(title, [[4, 5, 6]], 20, library.version),
  )
const now = session('Springs', 'squat-jump', 'lunge')

let composer: ReturnType<typeof useComposer>
const base: Answers = {
  [`GET /api/workouts/${ID}`]: () => ({ id: ID, revision: 3, updatedAt: moment, document: now }),
  'GET /api/settings': () => new Refusal(404, { code: 'not-found' }),
  'GET /api/moves': () => ({ moves: [] }),
  'GET /api/moves/used': () => ({ used: [] }),
}
beforeEach(async () => {
  setActivePinia(createPinia())
  composer = useComposer()
  serve(base)
  await composer.open(ID)
})

describe('earlier revisions', () => {
  const version = { id: OTHER, title: 'Springs', name: null, reason: 'edit', startedAt: moment, savedAt: moment }
  const states: Answers = {
    ...base,
    [`GET /api/workouts/${ID}/versions`]: () => ({ versions: [version] }),
    [`GET /api/workouts/${ID}/versions/${OTHER}`]: () => ({ ...version, document: session('Springs', 'squat-jump') }),
    [`PUT /api/workouts/${ID}/versions/${OTHER}`]: (body) => ({ ...version, ...(body as object), reason: 'named' }),
  }
  const dialog = async () =>
    open((await import('../src/compose/session/HistoryDialog.vue')).default, { modelValue: true })

  it('are shown with what changed since, and restored as one undo step', async () => {
    serve(states)
    const { press, words } = await dialog()
    expect(words()).toContain('Added: Lunge')
    await press('Restore this version')
    expect(composer.rows.filter((r) => r.kind === 'station')).toHaveLength(1)
    expect(composer.message).toMatchObject({ text: 'broughtBack', undo: true })
    composer.undo()
    expect(composer.document).toEqual(now)
  })

  it('say why they cannot be shown, and are shown on another try', async () => {
    serve({ ...states, [`GET /api/workouts/${ID}/versions`]: () => new Refusal(503, { code: 'database-away' }) })
    const { press, words } = await dialog()
    expect(words()).toContain('The server can’t reach its database')
    serve(states)
    await press('Try again')
    expect(words()).toContain('Added: Lunge')
  })
})

describe('a session changed here and elsewhere', () => {
  const dialog = () =>
    open(ConflictDialog as Component, {
      modelValue: true,
      store: useSession(),
      differences: (from: Session, to: Session) => differenceLines(from, to, i18n.global.t),
      noDifference: '',
    })
  const theirs = setDetails(now, { minutes: 35 })

  it('shows what each changed, and continues with mine while theirs is kept as a separate session', async () => {
    composer.edit((w) => setDetails(w, { title: 'Springs and rings' }))
    const calls = serve({
      ...base,
      [`GET /api/workouts/${ID}`]: () => ({ id: ID, revision: 4, updatedAt: moment, document: theirs }),
      'POST /api/workouts': () => ({ id: OTHER, revision: 1, updatedAt: moment }),
      [`PUT /api/workouts/${ID}`]: () => ({ id: ID, revision: 5, updatedAt: moment }),
    })
    const { press, words } = await dialog()
    expect(words()).toMatch(/title/i)
    expect(words()).toMatch(/minutes/i)
    await press('Keep mine here')
    const kept = calls.find((c) => c.key === 'POST /api/workouts')!.body as { document: Session }
    expect(kept.document).toMatchObject({ minutes: 35, title: 'Springs (my copy)' })
    const saved = calls.find((c) => c.key === `PUT /api/workouts/${ID}`)!.body
    expect(saved).toMatchObject({ revision: 4, document: { title: 'Springs and rings', minutes: 20 } })
  })
})

describe('the saved parts', () => {
  const part = partOf(now, now.sections[1]!)
  const piece = { id: OTHER, name: 'Two springs', keptAt: moment, part }
  const shelf = async () => open((await import('../src/compose/panel/KeptParts.vue')).default)

  it('insert a part into the session, and remove one with undo', async () => {
    const calls = serve({
      ...base,
      'GET /api/shelf': () => ({ parts: [piece] }),
      [`DELETE /api/shelf/${OTHER}`]: () => ({}),
      'POST /api/shelf': () => piece,
    })
    const { press, words } = await shelf()
    expect(words()).toContain('Two springs')
    composer.selection = { row: composer.rows.at(-1)!.id, cell: -1 }
    await press('Insert Two springs below the cursor')
    expect(composer.rows.filter((r) => r.kind === 'station')).toHaveLength(4)
    await press('Delete Two springs from your saved parts')
    expect(words()).not.toContain('Two springs')
    await press('Undo')
    const ofShelf = calls.map((c) => c.key).filter((key) => key.includes('/api/shelf'))
    expect(ofShelf.slice(-2)).toEqual([`DELETE /api/shelf/${OTHER}`, 'POST /api/shelf'])
    expect(words()).toContain('Two springs')
  })

  it('explain their purpose while empty', async () => {
    serve({ ...base, 'GET /api/shelf': () => ({ parts: [] }) })
    expect((await shelf()).words()).toMatch(/saved parts/i)
  })

  it('join another session, and offer to undo that', async () => {
    const other = session('Rings', 'burpee')
    serve({
      ...base,
      'GET /api/workouts': () => ({
        workouts: [
          { id: OTHER, title: 'Rings', minutes: 20, groups: [], revision: 1, updatedAt: moment, sentAt: null, runs: 0 },
        ],
      }),
      [`GET /api/workouts/${OTHER}`]: () => ({ id: OTHER, revision: 1, updatedAt: moment, document: other }),
    })
    const { press } = await open((await import('../src/compose/panel/JoinSession.vue')).default)
    await press('Add another session')
    await press(/Rings/)
    expect(composer.rows.filter((r) => r.kind === 'station').map((r) => r.kind === 'station' && r.name)).toContain(
      'Burpee',
    )
    expect(composer.message).toMatchObject({ text: 'joined', undo: true })
  })
})
