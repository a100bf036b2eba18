import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref, shallowRef } from 'vue'
import { CallError } from '@esfuerzo/contract'
import { useAutosave } from '../src/documents/useAutosave.ts'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

function setUp(answers: (() => Promise<number>)[] = []) {
  const document = shallowRef('one')
  const revision = ref(1)
  const sent: [string, number][] = []
  const there = { document: 'theirs', revision: 9 }
  const kept: (string | undefined)[] = []
  const autosave = useAutosave({
    document,
    revision,
    save: async (text, from) => {
      sent.push([text, from])
      return answers.length ? answers.shift()!() : from + 1
    },
    reload: async () => {
      if (there.document === 'away') throw new CallError('offline', '')
      return there
    },
    keep: async (text) => void kept.push(text),
  })
  return { document, revision, sent, kept, there, autosave }
}
const fails = (code: CallError['code']) => () => Promise.reject(new CallError(code, code))

describe('automatic saving', () => {
  it('waits for a pause, saves once, and removes the device’s copy', async () => {
    const { document, revision, sent, kept, autosave } = setUp()
    document.value = 'two'
    expect(autosave.state.value).toBe('unsaved')
    expect(kept).toEqual(['two'])
    await vi.advanceTimersByTimeAsync(400)
    document.value = 'three'
    await vi.advanceTimersByTimeAsync(600)
    expect(sent).toEqual([])
    await vi.advanceTimersByTimeAsync(200)
    expect(sent).toEqual([['three', 1]])
    expect([revision.value, autosave.state.value, kept.at(-1)]).toEqual([2, 'saved', undefined])
  })

  it('saves again what was typed during a save, over the new revision', async () => {
    let answer!: (revision: number) => void
    const { document, sent, kept, autosave } = setUp([() => new Promise((resolve) => (answer = resolve))])
    document.value = 'two'
    await vi.advanceTimersByTimeAsync(800)
    document.value = 'three'
    await nextTick()
    expect(autosave.state.value).toBe('saving')
    answer(2)
    await vi.advanceTimersByTimeAsync(0)
    expect(sent).toEqual([
      ['two', 1],
      ['three', 2],
    ])
    // Kept as typed, together with what was being sent; the answer to "two" did not remove "three".
    expect(kept).toEqual(['two', 'two', 'three', 'three', undefined])
  })

  it.each(['offline', 'database-away', 'unexpected'] as const)(
    'keeps trying while the server is away (%s), and keeps what is typed meanwhile',
    async (code) => {
      const { document, sent, kept, autosave } = setUp([fails(code), fails(code)])
      document.value = 'two'
      await vi.advanceTimersByTimeAsync(700)
      expect(autosave.state.value).toBe('away')
      document.value = 'three'
      expect(kept.at(-1)).toBe('three')
      await vi.advanceTimersByTimeAsync(1000)
      expect(autosave.state.value).toBe('away')
      await vi.advanceTimersByTimeAsync(2000)
      expect(autosave.state.value).toBe('saved')
      expect(sent.map(([text]) => text)).toEqual(['two', 'three', 'three'])
    },
  )

  it('recognizes its own save whose answer was lost, and continues from it', async () => {
    const { document, revision, sent, kept, there, autosave } = setUp([fails('offline'), fails('conflict')])
    document.value = 'two'
    await vi.advanceTimersByTimeAsync(700)
    expect(autosave.state.value).toBe('away')
    // "two" was stored after all; meanwhile "three" is on screen.
    Object.assign(there, { document: 'two', revision: 2 })
    document.value = 'three'
    await vi.advanceTimersByTimeAsync(2000)
    expect(sent).toEqual([
      ['two', 1],
      ['three', 1],
      ['three', 2],
    ])
    expect([autosave.state.value, revision.value, kept.at(-1)]).toEqual(['saved', 3, undefined])
  })

  it('reports no conflict while the stored revision cannot be read', async () => {
    const { document, there, autosave } = setUp([fails('conflict'), fails('conflict')])
    there.document = 'away'
    document.value = 'two'
    await vi.advanceTimersByTimeAsync(700)
    expect(autosave.state.value).toBe('away')
    there.document = 'theirs'
    await vi.advanceTimersByTimeAsync(1000)
    expect(autosave.state.value).toBe('conflict')
  })

  it('stops at a conflict and at a sign-in, and saves after one', async () => {
    const { document, sent, autosave } = setUp([fails('conflict'), fails('sign-in-needed')])
    document.value = 'two'
    await vi.advanceTimersByTimeAsync(700)
    expect(autosave.state.value).toBe('conflict')
    document.value = 'three'
    await vi.advanceTimersByTimeAsync(60_000)
    expect(sent).toHaveLength(1)
    expect(await autosave.flush()).toBe(false)
    expect(autosave.state.value).toBe('signed-out')
    expect(await autosave.flush()).toBe(true)
  })

  it('treats a loaded document as stored: it is neither saved nor kept', async () => {
    const { document, sent, kept, autosave } = setUp()
    autosave.settle('loaded')
    document.value = 'loaded'
    await vi.advanceTimersByTimeAsync(5000)
    expect([sent, kept, autosave.state.value]).toEqual([[], [], 'saved'])
    document.value = 'edited'
    expect(kept).toEqual(['edited'])
  })

  it('reports what the server refuses', async () => {
    const { document, autosave } = setUp([fails('invalid')])
    document.value = 'two'
    expect(await autosave.flush()).toBe(false)
    expect([autosave.state.value, autosave.detail.value]).toEqual(['refused', 'invalid'])
  })
})
