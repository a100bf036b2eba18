import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { defineComponent, h, shallowRef, type Component } from 'vue'
import { VApp } from 'vuetify/components/VApp'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, findBlock, findStation, newSession, valueFor, type BlockOf } from '@esfuerzo/core'
import type { RunSummary } from '@esfuerzo/contract'

const { i18n } = await import('../src/words/i18n.ts')
const { library } = await import('../src/repertoire/library.ts')
const { vuetify } = await import('../src/shell/vuetify.ts')
const { useComposer } = await import('./support/composer.ts')

const page = { template: '<div />' }
const router = createRouter({
  history: createMemoryHistory(),
  routes: [
    { path: '/', component: page },
    { path: '/sessions/:id', name: 'compose', component: page },
  ],
})

/** A component as the teacher's pages render it. */
function mounted(component: Component, props: Record<string, unknown> = {}) {
  const host = defineComponent({ render: () => h(VApp, () => h(component, props)) })
  return mount(host, { global: { plugins: [i18n, vuetify, router] }, attachTo: document.body })
}

let composer: ReturnType<typeof useComposer>
beforeEach(() => {
  document.body.innerHTML = ''
  setActivePinia(createPinia())
  composer = useComposer()
  composer.edit(() => {
    const w = newSession(
      'Springs',
      [
        [0, 1],
        [2, 3],
        [4, 5, 6],
      ],
      20,
      library.version,
    )
    return ['squat-jump', 'one-leg-stand'].reduce(
      (now, id) => addStation(now, 'b2', cellsFor(library.moves.get(id)!, now.groups, 'intervals')),
      w,
    )
  })
})

describe('the running order', () => {
  const open = async () => mounted((await import('../src/compose/order/RunningOrder.vue')).default)
  const focusedText = () => document.activeElement?.textContent ?? ''

  it('is a grid with one cell to tab to, walked by arrow keys', async () => {
    const order = await open()
    expect(order.findAll('[role=row]')).toHaveLength(8)
    expect(order.findAll('[tabindex="0"]')).toHaveLength(1)
    const cell = order.find<HTMLElement>('[tabindex="0"]')
    cell.element.focus()
    const press = async (key: string, more = {}) => {
      document.activeElement!.dispatchEvent(
        new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }),
      )
      await flushPromises()
    }
    for (let i = 0; i < 3; i++) await press('ArrowDown')
    expect(focusedText()).toBe('Squat jump')
    await press('ArrowRight')
    expect(focusedText()).toContain('Hands down, then hop up')
    await press('Alt', { altKey: true })
    await press('ArrowRight', { altKey: true })
    expect(valueFor(findStation(composer.document, 's1').cells, 'g1').version).toBe('squat-jump')
    await press('End')
    expect(composer.selection?.row).toBe('b3-empty')
  })

  it('shows names with markup as text', async () => {
    const { setStation } = await import('@esfuerzo/core')
    composer.edit((w) => setStation(w, 's1', { storyName: '<b onclick=x>Gull</b>' }))
    const order = await open()
    expect(order.text()).toContain('<b onclick=x>Gull</b>')
    expect(order.find('.title b').exists()).toBe(false)
  })
})

describe('the editor of a row', () => {
  const open = async (row: string, cell: number) => {
    composer.selection = { row, cell }
    return mounted((await import('../src/compose/panel/RowEditor.vue')).default)
  }

  it('changes the version for the group of its cell', async () => {
    const editor = await open('s1', 0)
    expect(editor.findAll('[aria-pressed=true]').map((b) => b.attributes('aria-label'))).toEqual(['Only A, K–1'])
    await editor.findAll('input[type=radio]')[0]!.trigger('change')
    const { cells } = findStation(composer.document, 's1')
    expect(['g1', 'g2', 'g3'].map((g) => valueFor(cells, g).version)).toEqual(['rise', 'squat-jump', 'squat-jump'])
  })

  it('changes laps for all or for some, and keeps an invalid number out of the document', async () => {
    const editor = await open('p2', -1)
    const laps = () => findBlock(composer.document, 'b2') as BlockOf<'intervals'>
    const field = (label: string) =>
      editor
        .findAll('.v-text-field')
        .find((f) => f.find('label').text() === label)!
        .find('input')
    await field('Work').setValue('45')
    expect(laps().laps.all.map((l) => l.work)).toEqual([45, 45, 45])
    await editor.find('[aria-label="Only C, 4–6"]').trigger('click')
    await field('Laps').setValue('2')
    expect(laps().laps).toMatchObject({ all: [{}, {}, {}], by: { g3: [{ work: 45 }, { work: 45 }] } })
    const before = composer.document
    await field('Rest').setValue('a lot')
    expect(composer.document).toBe(before)
    expect(editor.text()).toContain('0 to 3600')
    await field('Rest').setValue('1:30')
    expect(valueFor(laps().laps, 'g3')[0]!.rest).toBe(90)
  })

  it('moves, duplicates and removes the row, and explains what to do if none is chosen', async () => {
    const editor = await open('s2', -1)
    await editor.find('[aria-label="Move up"]').trigger('click')
    const order = () => (findBlock(composer.document, 'b2') as BlockOf<'intervals'>).stations.map((s) => s.id)
    expect(order()).toEqual(['s2', 's1'])
    await editor.find('[aria-label="Duplicate"]').trigger('click')
    expect(order()).toEqual(['s2', 's3', 's1'])
    await editor.find('[aria-label="Remove"]').trigger('click')
    expect(order()).toEqual(['s3', 's1'])
    composer.selection = undefined
    await flushPromises()
    expect(editor.text()).toContain('Choose a row')
  })
})

describe('the exercise list', () => {
  const open = async () => {
    const shelf = mounted((await import('../src/compose/panel/MoveShelf.vue')).default)
    await flushPromises()
    return shelf
  }

  it('finds by typing, chooses by arrow keys and inserts by Enter', async () => {
    composer.selection = { row: 's1', cell: -1 }
    const shelf = await open()
    const field = shelf.find('input')
    await field.setValue('plank')
    await flushPromises()
    const options = shelf.findAll('[role=option]').map((o) => o.attributes('aria-label'))
    expect(options[0]).toBe('Add Plank')
    await field.trigger('keydown', { key: 'ArrowDown' })
    expect(shelf.find('[aria-selected=true]').attributes('aria-label')).toBe(options[1])
    await field.trigger('keydown', { key: 'ArrowUp' })
    await field.trigger('keydown', { key: 'Enter' })
    expect(field.element.value).toBe('')
    expect(composer.rows.map((r) => (r.kind === 'station' ? r.name : r.kind))).toEqual([
      'section',
      'empty',
      'section',
      'Squat jump',
      'Plank',
      'One-leg stand',
      'section',
      'empty',
    ])
  })

  it('narrows by chips, and says so if nothing is left', async () => {
    const shelf = await open()
    const count = () => Number(/\d+/.exec(shelf.find('[aria-live]').text())![0])
    const all = count()
    expect(all).toBeGreaterThan(100)
    // Only visible ones are in the page.
    expect(shelf.findAll('[role=option]').length).toBeLessThan(30)
    expect(shelf.findAll('[role=option]').length).toBeGreaterThan(8)
    await shelf
      .findAll('.chips button')
      .find((b) => b.text() === 'stretch')!
      .trigger('click')
    expect(count()).toBeLessThan(all / 2)
    await shelf.find('input').setValue('jumping')
    expect(shelf.text()).toContain('No exercise has that name')
  })
})

it('the lanes say how late each is, in words', async () => {
  const { setDetails } = await import('@esfuerzo/core')
  composer.edit((w) => setDetails(w, { minutes: 5 }))
  const lanes = mounted((await import('../src/compose/lanes/LanesPanel.vue')).default)
  expect(lanes.findAll('.total').map((e) => e.text())).toEqual(Array(3).fill('6:001:00 over'))
  expect(lanes.find('[role=img]').attributes('aria-label')).toBe('Lane A, K–1: 6:00, 1:00 over')
  // One picture per lane, not one element per second of work.
  expect(lanes.findAll('.strip path').length).toBeLessThanOrEqual(3 * 5)
})

it('a run shows lane, time, effort, skipped steps and the reps by station', async () => {
  const run = {
    receivedAt: new Date().toISOString(),
    workoutId: '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d',
    title: 'Springs',
    letter: 'B',
    groupName: '2–3',
    stations: { s1: 'Frog jump' },
    run: {
      startedAt: '2026-01-01T10:00:00Z',
      finishedAt: '2026-01-01T10:17:30Z',
      felt: { scale: 'faces', value: 4 },
      steps: { done: 9, skipped: 2, easier: 0 },
      results: [12, 11].map((value, i) => ({ block: 'b2', station: 's1', lap: i + 1, value, unit: 'reps' })),
    },
  } as unknown as RunSummary
  const RunItem = (await import('../src/runs/RunItem.vue')).default
  const item = mounted(RunItem, { run })
  for (const text of ['B', '2–3', 'Springs', 'took 17:30', 'felt 4 of 5', '2 skipped', 'Frog jump 12, 11'])
    expect(item.text()).toContain(text)
  // A second press closes it.
  await item.find('button[aria-label^="Delete the results of 2–3"]').trigger('click')
  expect(item.findComponent(RunItem).emitted('remove')).toBeUndefined()
  const [go] = item.findAll('.asking button').filter((b) => b.text() === 'Delete permanently')
  await go!.trigger('click')
  expect(item.findComponent(RunItem).emitted('remove')).toHaveLength(1)
})

describe('a figure', () => {
  it('that needs two sides shows both at once if still; others, and small pictures, have one', async () => {
    const { default: MoveFigure } = await import('../src/shared/figure/MoveFigure.vue')
    const figure = library.figures.get('windmill')!
    const drawn = (props: Record<string, unknown>) => {
      const svg = mounted(MoveFigure, { figure, both: true, ...props }).find('svg')
      return [svg.findAll('.drawing').length, svg.attributes('viewBox')]
    }
    expect(drawn({})).toEqual([2, '-4 -4 212 108'])
    expect(drawn({ both: false })).toEqual([1, '-4 -4 108 108'])
    expect(drawn({ figure: library.figures.get('squat') })).toEqual([1, '-4 -4 108 108'])
  })
})

describe('the address of a term for calendars', () => {
  it('is the server’s latest answer, whatever arrives late; a copy has its own or none', async () => {
    const { default: TermCalendar } = await import('../src/term/TermCalendar.vue')
    const waiting: { of: string; answer: (token: string | null) => void }[] = []
    vi.stubGlobal('fetch', (path: string) => {
      return new Promise((resolve) =>
        // A late save of the previous test must not count here.
        (path.startsWith('/api/terms/') ? waiting : []).push({
          of: path,
          answer: (token) => resolve(Response.json({ link: token && { token, madeAt: '2027-01-01T00:00:00.000Z' } })),
        }),
      )
    })
    const idOf = (letter: string) => `${letter.repeat(8)}-0000-4000-8000-000000000000`
    const id = shallowRef(idOf('a'))
    const page = mounted(() => h(TermCalendar, { id: id.value }))
    const shown = () =>
      page.find<HTMLTextAreaElement>('.address textarea').exists() &&
      page.find<HTMLTextAreaElement>('.address textarea').element.value
    // Until it is known whether there is one, none is offered.
    expect(page.text()).not.toContain('Create address')
    id.value = idOf('b')
    await flushPromises()
    expect(waiting.map((w) => w.of)).toEqual([`/api/terms/${idOf('a')}/link`, `/api/terms/${idOf('b')}/link`])
    waiting[1]!.answer(null)
    await flushPromises()
    await page
      .findAll('button')
      .find((b) => b.text() === 'Create address')!
      .trigger('click')
    waiting[2]!.answer('AbCdEfGhIjKlMnOpQrStUv')
    await flushPromises()
    expect(shown()).toContain('/api/go/AbCdEfGhIjKlMnOpQrStUv/calendar')
    waiting[0]!.answer(null)
    await flushPromises()
    expect(shown()).toContain('/api/go/AbCdEfGhIjKlMnOpQrStUv/calendar')
    vi.unstubAllGlobals()
  })
})
