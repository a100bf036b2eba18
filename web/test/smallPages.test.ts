import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { eventKinds } from '@esfuerzo/contract'
import { addStation, carryMoves, copyOfMove, newSettings, newSession, withOwnMoves } from '@esfuerzo/core'
import { library } from '../src/repertoire/library.ts'
import { open, Refusal, serve } from './support/pages.ts'

const ID = '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'
const moment = '2026-11-20T08:00:00.000Z'
beforeEach(() => setActivePinia(createPinia()))

describe('the trash', () => {
  const bin = async () => open((await import('../src/desk/BinPage.vue')).default)
  const removed = { id: ID, title: 'Gale warning', removedAt: moment, goneAt: moment, runs: 3 }

  it('restores a session', async () => {
    const calls = serve({
      'GET /api/bin': () => ({ workouts: [removed] }),
      [`POST /api/workouts/${ID}/restore`]: () => ({}),
    })
    const { press, words } = await bin()
    expect(words()).toContain('Gale warning')
    await press('Restore Gale warning')
    expect(calls.at(-1)!.key).toBe(`POST /api/workouts/${ID}/restore`)
    expect(words()).toContain('The trash is empty')
  })

  it('asks twice before a permanent deletion, and says what is deleted with it', async () => {
    const calls = serve({
      'GET /api/bin': () => ({ workouts: [removed] }),
      [`DELETE /api/bin/${ID}`]: () => ({}),
    })
    const { press, words } = await bin()
    await press('Delete Gale warning permanently')
    expect(calls).toHaveLength(1)
    await press('Delete permanently with its links and 3 results')
    expect(calls.at(-1)!.key).toBe(`DELETE /api/bin/${ID}`)
    expect(words()).toContain('The trash is empty')
  })

  it('says so if it is empty, and tries again if it cannot be loaded', async () => {
    serve({})
    const { press, words } = await bin()
    expect(words()).toContain('No connection to the server')
    serve({ 'GET /api/bin': () => ({ workouts: [] }) })
    await press('Try again')
    expect(words()).toContain('Go to the Desk')
  })
})

describe('the events of an account', () => {
  const card = async () => open((await import('../src/account/EventsCard.vue')).default)

  it('are in words and dates, a few at first; including deleted things and kinds of a later release', async () => {
    const events = [
      { at: moment, kind: 'handed-out', title: 'Gale warning' },
      { at: moment, kind: 'handed-out' },
      { at: moment, kind: 'carried-by-gulls' },
      ...eventKinds.map((kind) => ({ at: moment, kind })),
    ]
    serve({ 'GET /api/events': () => ({ events }) })
    const { press, words, view } = await card()
    expect(words()).toMatch(/Sent home: Gale warning\s*Nov 20, 2026/)
    expect(words()).toContain('Sent home: a deleted session')
    expect(words()).toContain('Other')
    expect(view.findAll('li')).toHaveLength(6)
    await press(`Show all ${events.length}`)
    expect(view.findAll('li')).toHaveLength(events.length)
    // Every kind has words of its own.
    expect(words().match(/Other/g)).toHaveLength(1)
  })

  it('are loaded again after a failure', async () => {
    serve({})
    const { press, words } = await card()
    expect(words()).toContain('No connection to the server')
    serve({ 'GET /api/events': () => ({ events: [] }) })
    await press('Try again')
    expect(words()).toContain('No activity yet.')
  })
})

describe('a session a colleague sent', () => {
  const copy = async () => open((await import('../src/desk/CopyPage.vue')).default, { token: 'abc' })
  const own = copyOfMove(library.moves.get('squat')!, 'own-hers', 'Her own squat')
  const bare = newSession('From afar', [[4]], 20, library.version)
  const document = carryMoves(
    addStation(bare, 'b1', { all: { move: 'own-hers', version: 'squat' } }),
    withOwnMoves(library, [own]),
  )

  it('is shown with its exercises, and copied', async () => {
    const calls = serve({
      'GET /api/copies/abc': () => ({ from: 'Marisol', document }),
      'POST /api/workouts': () => ({ id: ID, revision: 1, updatedAt: moment }),
    })
    const { press, words, router } = await copy()
    expect(words()).toMatch(/From afar.*Marisol.*Her own squat/)
    await press('Add to my sessions')
    expect(calls.at(-1)!.body).toEqual({ document })
    expect(router.currentRoute.value.params.id).toBe(ID)
  })

  it('says that its link has ended', async () => {
    serve({ 'GET /api/copies/abc': () => new Refusal(410, { code: 'ended' }) })
    expect((await copy()).words()).toContain('This link has ended.')
  })
})

describe('the settings', () => {
  const settings = async () => open((await import('../src/settings/SettingsPage.vue')).default)
  const school = { ...newSettings('Atlantic/Azores'), school: 'The island school' }
  const field = (label: string) => {
    const found = [...document.querySelectorAll('label')].find((l) => l.textContent === label && l.htmlFor)!
    return document.getElementById(found.htmlFor) as HTMLInputElement
  }
  const type = async (label: string, text: string) => {
    const input = field(label)
    input.value = text
    input.dispatchEvent(new Event('input'))
    await flushPromises()
  }

  it('are saved as typed, and say so', async () => {
    const calls = serve({
      'GET /api/settings': () => school,
      'PUT /api/settings': (body) => ({ ...school, ...(body as object) }),
    })
    const { words, view } = await settings()
    await type('Name of the school', 'The lighthouse school')
    await view.find('form').trigger('submit')
    await flushPromises()
    expect(calls.at(-1)).toMatchObject({ key: 'PUT /api/settings', body: { school: 'The lighthouse school' } })
    expect(words()).toMatch(/[Ss]aved/)
  })

  it('that are invalid name the field, and stay as typed', async () => {
    const problems = [{ code: 'too-small', path: ['gradeNames', 0], expected: { value: 'a name' }, received: '' }]
    serve({
      'GET /api/settings': () => school,
      'PUT /api/settings': () => new Refusal(400, { code: 'invalid', problems }),
    })
    const { words, view } = await settings()
    await type('Name of the school', 'The lighthouse school')
    await view.find('form').trigger('submit')
    await flushPromises()
    const atField = view.findAll('.v-input--error')
    expect(atField).toHaveLength(1)
    expect(atField[0]!.text()).toMatch(/^(Kindergarten|Reception|K)/)
    expect(words()).toContain('a name')
    expect(field('Name of the school').value).toBe('The lighthouse school')
  })

  it('say why they cannot be shown', async () => {
    serve({})
    expect((await settings()).words()).toContain('No connection to the server')
  })
})
