import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import fc from 'fast-check'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { newSettings } from '@esfuerzo/core'
import { mergeText } from '../src/compose/panel/mergeText.ts'
import { useReadings } from '../src/reading/useReadings.ts'
import { open, Refusal, serve } from './support/pages.ts'

const ID = '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'
const moment = '2026-11-20T08:00:00.000Z'
beforeEach(() => setActivePinia(createPinia()))

describe('a text next to a session that changed meanwhile', () => {
  it('keeps what was typed and what was changed; on the same line the typed text wins', () => {
    expect(mergeText('a\nb 2\nc\n', 'a\nb\nc\n', 'a 1\nb\nc\nd\n')).toEqual({
      text: 'a 1\nb 2\nc\nd\n',
      clashes: [],
    })
    // A conflict is reported.
    expect(mergeText('a mine\n', 'a\n', 'a theirs\n')).toEqual({
      text: 'a mine\n',
      clashes: [{ mine: 'a mine', theirs: 'a theirs' }],
    })
    expect(mergeText('a x\nb x', 'a\nb', 'a y\nb x').clashes).toEqual([{ mine: 'a x', theirs: 'a y' }])
  })

  it('is the changed one if only one changed, for any texts', () => {
    const text = fc
      .array(fc.constantFrom('squat', 'plank 20 s', '', '## Main'), { maxLength: 8 })
      .map((l) => l.join('\n'))
    fc.assert(
      fc.property(text, text, (base, changed) => {
        expect(mergeText(changed, base, base).text).toBe(changed)
        expect(mergeText(base, base, changed).text).toBe(changed)
        expect(mergeText(changed, base, changed)).toEqual({ text: changed, clashes: [] })
      }),
    )
  })
})

describe('a session started from a text', () => {
  const begin = async () =>
    open((await import('../src/desk/BeginFromText.vue')).default, {
      modelValue: true,
      pasted: 'Fog\nZorbling 10\nSquats x10',
    })
  const settings = newSettings('Atlantic/Azores')

  it('asks what a word is; the answer goes to the settings and is known at once', async () => {
    const calls = serve({
      'GET /api/settings': () => settings,
      'PUT /api/settings': (body) => body,
      'POST /api/workouts': () => ({ id: ID, revision: 1, updatedAt: moment }),
    })
    const { press, words, router } = await begin()
    expect(words()).toContain('“Zorbling” – what is this?')
    await press(/^My own exercise/)
    expect(words()).not.toContain('what is this?')
    expect(calls.at(-1)).toMatchObject({ key: 'PUT /api/settings', body: { readings: { zorbling: 'own' } } })
    await press('Create session')
    await flushPromises()
    const { body } = calls.find(({ key }) => key === 'POST /api/workouts') as {
      body: { original: string; document: { title: string; moves: { move: { name: string } }[] } }
    }
    expect(body.original).toBe('Fog\nZorbling 10\nSquats x10')
    expect([body.document.title, body.document.moves[0]!.move.name]).toEqual(['Fog', 'Zorbling'])
    await vi.waitFor(() => expect(router.currentRoute.value.params.id).toBe(ID))
  })

  it('keeps an answer that cannot be stored for as long as the page is open', async () => {
    serve({
      'GET /api/settings': () => settings,
      'PUT /api/settings': () => new Refusal(503, { code: 'unavailable' }),
    })
    const { readings, remember } = useReadings()
    await flushPromises()
    const question = { kind: 'name', line: 1, column: 1, length: 3, received: 'Gobs', answers: [] } as const
    await remember({ ...question, answers: [] }, { as: 'move', move: 'squat' })
    expect(readings.value.get('gob')).toBe('squat')
  })
})
