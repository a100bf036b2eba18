import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { defineComponent, h, type Component } from 'vue'
import { VApp } from 'vuetify/components/VApp'
import { copyOfMove, movesFileSchema, stationsOf, type OwnMove } from '@esfuerzo/core'
import { type Figure } from '@esfuerzo/core/figure'
import { useComposer } from './support/composer.ts'
import { bodyRegions } from '../src/moves/bodyRegions.ts'
import {
  addVersion,
  blankMove,
  drawOwnFigure,
  effortOf,
  efforts,
  removeVersion,
  setFigure,
  setVersion,
} from '../src/moves/moveDraft.ts'
import { useRepertoire } from '../src/repertoire/store.ts'
import { i18n } from '../src/words/i18n.ts'
import { library, takeOwnMoves } from '../src/repertoire/library.ts'
import { vuetify } from '../src/shell/vuetify.ts'

const squat = (): OwnMove => copyOfMove(library.moves.get('squat')!, 'own-limpet', 'Limpet squat')

/** A server with the teacher's own exercises, which records the requests. */
function answering(moves: OwnMove[] = [], used: { move: string; last: string }[] = []) {
  const asked: { method: string; path: string; body?: unknown }[] = []
  vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET'
    asked.push({ method, path: String(path), body: init.body && JSON.parse(String(init.body)) })
    if (String(path) === '/api/moves/used') return Response.json({ used })
    if (String(path).startsWith('/api/moves') && method === 'GET') return Response.json({ moves })
    if (String(path) === '/api/moves' && method === 'POST') {
      moves = (JSON.parse(String(init.body)) as { moves: OwnMove[] }).moves
      return Response.json({ moves })
    }
    if (method === 'DELETE') return Response.json({})
    return Response.json({ code: 'not-found' }, { status: 404 })
  })
  return asked
}

async function mounted(component: Component, props: Record<string, unknown> = {}, at = '/moves') {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ['moves', 'move', 'new-move', 'edit-move'].map((name, i) => ({
      path: ['/moves', '/moves/:move', '/moves/new', '/moves/:move/edit'][i]!,
      name,
      component: { render: () => null },
    })),
  })
  await router.push(at)
  const Root = defineComponent({ render: () => h(VApp, null, () => h(component, props)) })
  const wrapper = mount(Root, { global: { plugins: [i18n, vuetify, router] }, attachTo: document.body })
  await flushPromises()
  return Object.assign(wrapper, { router })
}

beforeEach(() => {
  setActivePinia(createPinia())
  localStorage.clear()
})
afterEach(() => {
  takeOwnMoves('collection', [])
  takeOwnMoves('session', [])
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener: () => {}, removeEventListener: () => {} }))
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  )
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  )
  vi.stubGlobal('visualViewport', new EventTarget())
})

describe('the exercises', () => {
  const page = async () => mounted((await import('../src/moves/MovesPage.vue')).default)

  it('filter by a muscle on the body, and show all again', async () => {
    answering()
    const moves = await page()
    expect(moves.find('.count').text()).toContain(`${library.moves.size} exercises`)
    await moves.find('[aria-label="calves"]').trigger('click')
    const n = Number(/\d+/.exec(moves.find('.count').text())![0])
    expect(n).toBeGreaterThan(5)
    expect(n).toBeLessThan(60)
    expect(moves.find('[aria-label="calves"]').attributes('aria-pressed')).toBe('true')
    await moves.find('.count button').trigger('click')
    expect(moves.find('.count').text()).toContain(`${library.moves.size} exercises`)
  })

  it('leave out what was used lately', async () => {
    answering([], [{ move: 'squat', last: '2026-11-20T08:00:00.000Z' }])
    const moves = await page()
    const field = moves.find('input')
    await field.setValue('squat')
    const before = Number(/\d+/.exec(moves.find('.count').text())![0])
    await moves.findAll('input[type=checkbox]')[1]!.setValue(true)
    expect(Number(/\d+/.exec(moves.find('.count').text())![0])).toBe(before - 1)
  })

  it('have only visible ones in the page, standing still until one is pointed at', async () => {
    answering()
    const moves = await page()
    expect(moves.findAll('a.move').length).toBeLessThan(60)
    expect(moves.findAll('a.move').length).toBeGreaterThan(4)
  })

  it('work with ours if hers cannot be loaded, and say so', async () => {
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no network')))
    const moves = await page()
    expect(moves.find('[role=alert]').text()).toContain('The built-in ones are here')
    expect(moves.find('.count').text()).toContain(`${library.moves.size} exercises`)
  })
})

it('every muscle has its place on the body, and nothing else has', () => {
  const drawn = new Set([...Object.keys(bodyRegions.front), ...Object.keys(bodyRegions.back)])
  expect([...drawn].sort()).toEqual([...library.muscles.keys()].sort())
})

describe('an exercise’s page', () => {
  const page = async (moveId: string) => mounted((await import('../src/moves/MovePage.vue')).default, { moveId })

  it('shows its versions side by side with cues, faults and cautions', async () => {
    answering()
    const push = await page('push-up')
    expect(push.findAll('.versions svg.figure')).toHaveLength(4)
    expect(push.text()).toContain('standard')
    expect(push.text()).toContain('hips sagging')
    expect(push.text()).toContain('Use a heavy table that stands against a wall.')
    expect(push.text()).toContain('02022')
  })

  it('lists the stand-ins for its equipment, or why there are none', async () => {
    answering()
    expect((await page('seated-row')).text()).toContain('or a long sock')
    expect((await page('step-up')).text()).toContain('Nothing else at home is safe to step on')
  })

  it('says so if there is no such exercise', async () => {
    answering()
    expect((await page('own-gone')).text()).toContain('Exercise not found')
  })
})

describe('an own exercise', () => {
  it('is saved with its name and versions, and stays on screen if it cannot be', async () => {
    const asked = answering()
    const edit = await mounted((await import('../src/moves/MoveEditPage.vue')).default, {}, '/moves/new?from=squat')
    const name = edit.find('input')
    expect(name.element.value).toBe('My Squat')
    await name.setValue('Limpet squat')
    await edit
      .findAll('button')
      .find((b) => b.text() === 'Save exercise')!
      .trigger('click')
    await flushPromises()
    const sent = asked.find((a) => a.method === 'POST')!.body
    expect(movesFileSchema.safeParse(sent).success).toBe(true)
    expect((sent as { moves: OwnMove[] }).moves[0]!.move).toMatchObject({ name: 'Limpet squat', standard: 'squat' })
    await vi.waitFor(() => expect(edit.router.currentRoute.value.name).toBe('move'))

    vi.stubGlobal('fetch', async () =>
      Response.json(
        {
          code: 'invalid',
          problems: [{ code: 'too-small', path: ['moves', 0, 'move', 'name'], expected: { value: 'a name' } }],
        },
        { status: 400, headers: { 'Content-Type': 'application/problem+json' } },
      ),
    )
    const again = await mounted((await import('../src/moves/MoveEditPage.vue')).default, {}, '/moves/new')
    await again.find('input').setValue('Whelk')
    await again
      .findAll('button')
      .find((b) => b.text() === 'Save exercise')!
      .trigger('click')
    await flushPromises()
    expect(again.find('[role=alert]').text()).toContain('moves[0].move.name')
    expect(again.find('input').element.value).toBe('Whelk')
  })

  it('gains and loses versions, but never its last or its standard one', () => {
    const one = blankMove('own-x', 'X')
    const two = addVersion(one, 'Harder')
    expect(two.move.versions.map((v) => [v.id, v.name])).toEqual([
      ['first', 'X'],
      ['second', 'Harder'],
    ])
    const gone = removeVersion(two, 'first')
    expect([gone.move.versions.length, gone.move.standard]).toEqual([1, 'second'])
    expect(removeVersion(gone, 'second').move.versions).toHaveLength(1)
    expect(setVersion(two, 'second', { fromGrade: 4 }).move.versions.map((v) => v.fromGrade)).toEqual([0, 4])
    for (const [word, met] of Object.entries(efforts)) expect(effortOf(met)).toBe(word)
    expect(effortOf(8.8)).toBe('veryHard')
  })

  it('draws a figure of its own on a copy, which goes with the version', () => {
    const drawn = drawOwnFigure(squat(), 'squat', 'own-figure', library)
    expect(drawn.figures.map((f) => f.id)).toEqual(['own-figure'])
    expect(drawn.move.versions.find((v) => v.id === 'squat')!.figure).toBe('own-figure')
    expect(drawOwnFigure(drawn, 'squat', 'own-other', library)).toBe(drawn)
    const view = setFigure(drawn, { ...drawn.figures[0]!, view: 'front' })
    expect(view.figures[0]!.view).toBe('front')
    expect(removeVersion(view, 'squat').figures).toEqual([])
    // After redrawing it is seen from one side: a second view of the old figure would show something else.
    const turned = copyOfMove(library.moves.get('windmill')!, 'own-mill-move', 'Slow mill')
    expect(drawOwnFigure(turned, 'windmill', 'own-mill', library).figures[0]).not.toHaveProperty('second')
    expect(library.figures.get('squat')!.view).toBe('side')
  })
})

describe('drawing a figure', () => {
  const draw = async () => {
    const { default: Editor } = await import('../src/moves/FigureEditor.vue')
    const figure: Figure = { ...library.figures.get('squat')!, id: 'own-figure' }
    const wrapper = mount(Editor, {
      props: {
        modelValue: figure,
        'onUpdate:modelValue': (next: Figure) => void wrapper.setProps({ modelValue: next }),
      },
      global: { plugins: [i18n, vuetify] },
      attachTo: document.body,
    })
    await flushPromises()
    return { wrapper, now: () => wrapper.props('modelValue') as Figure }
  }

  it('turns a joint by the arrow keys, no further than a body bends', async () => {
    const { wrapper, now } = await draw()
    const shin = wrapper.find('[aria-label="right shin"]')
    const before = now().poses[0]!.legR[1]
    await shin.trigger('keydown', { key: 'ArrowLeft' })
    expect(now().poses[0]!.legR[1]).toBe(before - 2)
    for (let i = 0; i < 6; i++) await shin.trigger('keydown', { key: 'ArrowRight', shiftKey: true })
    expect(now().poses[0]!.legR[1] - now().poses[0]!.legR[0]).toBe(10)
    expect(wrapper.text()).toContain("The knee can't bend any further.")
  })

  it('adds, mirrors and removes poses', async () => {
    const { wrapper, now } = await draw()
    const press = (name: string) =>
      wrapper
        .findAll('button')
        .find((b) => b.text().includes(name))!
        .trigger('click')
    await press('Add pose')
    expect(now().poses).toHaveLength(3)
    const { armR, armL } = now().poses[1]!
    await press('Mirror')
    expect([now().poses[1]!.armR, now().poses[1]!.armL]).toEqual([armL, armR])
    await wrapper.find('[aria-label="Remove this pose"]').trigger('click')
    expect(now().poses).toHaveLength(2)
  })
})

describe('in a session', () => {
  it('an own exercise travels with it, and is swapped for a similar one', async () => {
    answering([squat()])
    await useRepertoire().load()
    const composer = useComposer()
    composer.selection = { row: composer.rows[0]!.id, cell: -1 }
    composer.addMove('own-limpet')
    expect(composer.document.moves?.map((m) => m.move.name)).toEqual(['Limpet squat'])
    const row = composer.rows.find((r) => r.kind === 'station')!
    expect(row).toMatchObject({ name: 'Limpet squat' })

    composer.swap()
    const now = stationsOf(composer.document.sections.flatMap((s) => s.blocks).find((b) => stationsOf(b).length)!)[0]!
    expect(library.moves.get(now.cells.all.move)!.family).toBe('squat')
    expect(composer.message).toMatchObject({ text: 'swapped', undo: true })
    expect(composer.document).not.toHaveProperty('moves')
    composer.undo()
    expect(composer.document.moves).toHaveLength(1)
  })
})
