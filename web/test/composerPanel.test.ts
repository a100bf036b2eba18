import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { readSession, setDetails, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import LanesPanel from '../src/compose/lanes/LanesPanel.vue'
import MessageBar from '../src/compose/MessageBar.vue'
import ShortcutSheet from '../src/compose/cursor/ShortcutSheet.vue'
import { useComposer } from './support/composer.ts'
import RadioBar from '../src/compose/tools/RadioBar.vue'
import ToolPanel from '../src/compose/tools/ToolPanel.vue'
import { useTool } from '../src/compose/tools/useTool.ts'
import { useShortcuts, type ShortcutActions } from '../src/compose/cursor/useShortcuts.ts'
import { library } from '../src/repertoire/library.ts'
import { open, serve } from './support/pages.ts'

const typed = (...lines: string[]): Session => {
  const { workout: session, problems } = parse(['# Session', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return readSession(session)
}
const session = typed(
  'minutes 6; groups K-1, 4-6',
  '## Main part',
  '3 laps 30/30 [4-6: 40/30]',
  'squat',
  'jumping jack',
  'lunge',
  '## Game',
  'coin',
  'heads: squat 10',
  'tails: lunge 8',
)
const endless = ['calls every 1 s; for 60 min', 'top: squat']
beforeEach(() => {
  setActivePinia(createPinia())
  serve({})
})
function composing(document: Session) {
  const composer = useComposer()
  composer.edit(() => document)
  return composer
}

describe('the lanes offer tools next to the problem', () => {
  it('a late lane leads to ways to fit', async () => {
    const composer = composing(session)
    const { press, words } = await open(LanesPanel)
    expect(words()).toMatch(/over/)
    await press(/over$/)
    expect(composer.tool).toEqual({ kind: 'fit', fill: false })
    await press(/^Fit the planned minutes/)
    expect(composer.tool).toEqual({ kind: 'fit' })
    expect(words()).not.toContain('Fill unused time')
  })

  it('a lane well under the minutes leads to filling up; all of them say so below', async () => {
    const composer = composing(setDetails(session, { minutes: 40 }))
    const { press } = await open(LanesPanel)
    await press(/ left$/)
    expect(composer.tool).toEqual({ kind: 'fit', fill: true })
    await press('Fill unused time')
    expect(composer.tool).toEqual({ kind: 'fit', fill: true })
  })

  it('a lane a little under offers nothing; lanes that should end together and do not lead to ways to fit', async () => {
    composing(setDetails(session, { minutes: 13 }))
    const first = await open(LanesPanel)
    expect(first.words()).not.toMatch(/Ways to fit|Fill it up/)
    composing(setDetails(session, { minutes: 13, finishTogether: true }))
    const together = await open(LanesPanel)
    expect(together.words()).toContain('Fit the planned minutes')
  })

  it('a lane of too many steps says so and leads to where they pass the limit', async () => {
    const composer = composing(typed('minutes 20; groups K-1, 4-6', '## Main part', 'squat', ...endless, ...endless))
    const { press, words } = await open(LanesPanel)
    expect(words()).toContain('> 50:30')
    expect(words()).toContain('Lane A, B: too many steps to send home (limit: 3000).')
    await press('Show the block')
    expect(composer.selectedRow).toMatchObject({ id: 's2' })
    // Further typing is accepted.
    composer.edit((w) => setDetails(w, { minutes: 60 }))
    expect(composer.document.minutes).toBe(60)
  })

  it('whether everybody finishes can always be asked', async () => {
    const composer = composing(session)
    const { press } = await open(LanesPanel)
    await press('Will everybody finish?')
    expect(composer.tool).toEqual({ kind: 'finish' })
  })
})

describe('a tool open in the panel', () => {
  const blocks = () => session.sections.flatMap((s) => s.blocks)

  it('exists as long as its block does, in a form it applies to', () => {
    const composer = composing(session)
    const { tool } = useTool()
    expect(tool.value).toBeUndefined()
    composer.tool = { kind: 'arrange', block: blocks()[0]!.id }
    expect(tool.value).toEqual(composer.tool)
    composer.tool = { kind: 'chance', block: blocks()[0]!.id }
    expect(tool.value).toBeUndefined()
    composer.tool = { kind: 'chance', block: blocks()[1]!.id }
    expect(tool.value).toEqual(composer.tool)
    composer.edit((w) => ({ ...w, sections: w.sections.slice(0, 1) }))
    expect(tool.value).toBeUndefined()
    composer.tool = { kind: 'finish' }
    expect(tool.value).toEqual({ kind: 'finish' })
  })

  it('opened by key is for the cursor’s block, or says that there is nothing to arrange', () => {
    const composer = composing(session)
    const { openArrange } = useTool()
    openArrange()
    expect(composer.message).toEqual({ text: 'nothingToArrange' })
    composer.goTo(session.sections[0]!.id)
    openArrange()
    expect(composer.tool).toEqual({ kind: 'arrange', block: blocks()[0]!.id })
    composer.tool = undefined
    composer.goTo(session.sections[1]!.id)
    openArrange()
    expect(composer.tool).toBeUndefined()
  })

  it('takes the focus, shows progress, and can be stopped, retried and closed', async () => {
    const composer = composing(session)
    composer.tool = { kind: 'finish' }
    const onCancel = vi.fn()
    const onAgain = vi.fn()
    const props = { title: 'A question', running: true, progress: 0.4, problem: '', onCancel, onAgain }
    const { press } = await open(ToolPanel, props)
    expect(document.activeElement?.textContent).toBe('A question')
    expect(document.querySelector('progress')!.value).toBe(0.4)
    await press('Cancel')
    expect(onCancel).toHaveBeenCalledOnce()
    await press('Close')
    expect(composer.tool).toBeUndefined()
    const broken = await open(ToolPanel, { ...props, running: false, problem: 'failed' })
    expect(broken.words()).toContain("That didn't work. Nothing was changed.")
    await broken.press('Try again')
    expect(onAgain).toHaveBeenCalledOnce()
    expect((await open(ToolPanel, { ...props, problem: 'b9: is not there' })).words()).toContain('b9: is not there')
  })
})

describe('choices side by side', () => {
  it('are radio buttons of one name, so that arrow keys move through them', async () => {
    const chosen = ref(1)
    const { view } = await open(RadioBar, {
      choices: [0, 1, 2],
      label: 'Options',
      modelValue: chosen.value,
      'onUpdate:modelValue': (n: number) => (chosen.value = n),
    })
    const radios = [...document.querySelectorAll<HTMLInputElement>('input[type=radio]')]
    expect(radios.map((r) => r.checked)).toEqual([false, true, false])
    expect(new Set(radios.map((r) => r.name)).size).toBe(1)
    radios[2]!.click()
    await nextTick()
    expect(chosen.value).toBe(2)
    expect(view.find('[role=radiogroup]').attributes('aria-label')).toBe('Options')
  })
})

describe('messages of the composer', () => {
  it('count removed rows, and restore them', async () => {
    const composer = composing(session)
    composer.edit((w) => setDetails(w, { minutes: 30 }))
    composer.message = { text: 'fitTaken', params: { n: 2 }, undo: true }
    const { press, words } = await open(MessageBar)
    expect(words()).toContain('2 changes applied.')
    composer.message = { text: 'fitTaken', params: { n: 1 }, undo: true }
    await nextTick()
    expect(words()).toContain('1 change applied.')
    await press('Undo')
    expect([composer.document.minutes, composer.message]).toEqual([6, undefined])
  })

  it('show an unknown text unchanged', async () => {
    const composer = composing(session)
    composer.message = { text: 'title: at least 1 letter' }
    const { press, words } = await open(MessageBar)
    expect(words()).toContain('title: at least 1 letter')
    await press('Close')
    expect(composer.message).toBeUndefined()
  })
})

describe('the keys of the composer', () => {
  const actions = (): Record<keyof ShortcutActions, ReturnType<typeof vi.fn>> => ({
    find: vi.fn(),
    help: vi.fn(),
    leave: vi.fn(),
    play: vi.fn(),
    text: vi.fn(),
    fit: vi.fn(),
    arrange: vi.fn(),
  })
  /** The keys at work, on a focused element. */
  async function keysOver(html: string) {
    const called = actions()
    composing(session)
    await open({
      setup: () => useShortcuts(called as unknown as ShortcutActions),
      template: `<div>${html}</div>`,
    })
    const press = (key: string, more: KeyboardEventInit = {}) => {
      const target = document.querySelector('[data-here]')!
      target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))
    }
    return { called, press }
  }

  it('work anywhere except in a field', async () => {
    const { called, press } = await keysOver('<button data-here>here</button>')
    for (const key of ['/', '?', 'p', 'W', 'm', 'A']) press(key)
    const { find, help, play, text, fit, arrange, leave } = called
    for (const action of [find, help, play, text, fit, arrange]) expect(action).toHaveBeenCalledOnce()
    expect(leave).not.toHaveBeenCalled()
    press('m', { ctrlKey: true })
    press('a', { altKey: true })
    expect([fit.mock.calls.length, arrange.mock.calls.length]).toEqual([1, 1])
  })

  it('are letters in a field', async () => {
    const { called, press } = await keysOver('<input data-here>')
    for (const key of ['m', 'a', 'p', '/']) press(key)
    for (const action of Object.values(called)) expect(action).not.toHaveBeenCalled()
  })

  it('Escape leads out of the panel, even from a field in it', async () => {
    const { called, press } = await keysOver('<aside><input data-here></aside>')
    press('Escape')
    expect(called.leave).toHaveBeenCalledOnce()
  })

  it('are all listed in the sheet', async () => {
    const { words } = await open(ShortcutSheet, { modelValue: true })
    for (const line of [
      'Fit the planned minutes',
      'Arrange the stations of this block',
      'Find an exercise',
      'Preview from here',
    ])
      expect(words()).toContain(line)
  })
})
