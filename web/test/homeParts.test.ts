import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, findStation, newSession, setDetails, valueFor, type Home } from '@esfuerzo/core'
import { useComposer } from './support/composer.ts'
import { rowMarks } from '../src/compose/order/rowMarks.ts'
import { i18n } from '../src/words/i18n.ts'
import { library } from '../src/repertoire/library.ts'
import { open } from './support/pages.ts'

let composer: ReturnType<typeof useComposer>
const moves = ['biceps-curl', 'lunge']
beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  composer = useComposer()
  composer.edit(() =>
    moves.reduce(
      (w, id) => addStation(w, 'b2', cellsFor(library.moves.get(id)!, w.groups, 'intervals')),
      newSession(
        'Home',
        [
          [0, 1],
          [4, 5, 6],
        ],
        20,
        library.version,
      ),
    ),
  )
})
const setHome = (home: Partial<Home>) => composer.edit((w) => setDetails(w, { home }))
const stationRow = (id = 's1') => composer.rows.find((r) => r.kind === 'station' && r.id === id)!
const cell = (group: string, id = 's1') => valueFor(findStation(composer.document, id).cells, group)

describe('what a home does not allow', () => {
  const obstacles = async (id = 'biceps-curl', version = 'biceps-curl') => {
    const move = library.moves.get(id)!
    const props = { move, version: move.versions.find((v) => v.id === version)! }
    return open((await import('../src/compose/details/HomeObstacles.vue')).default, props)
  }

  it('is shown with stand-ins, and the chosen one is remembered', async () => {
    const { press, words } = await obstacles()
    expect(words()).toContain('This home has no small plastic bottle with water.')
    await press('use a packet of rice')
    expect(composer.document.home.standIns).toEqual({ bottle: 'a packet of rice' })
    expect(words()).not.toContain('There is no')
    composer.undo()
    expect(composer.document.home.standIns).toEqual({})
  })

  it('is resolved by saying that there is one', async () => {
    const { press } = await obstacles()
    await press('This home has one')
    expect(composer.document.home.kit).toEqual(['bottle'])
  })

  it('names space, neighbors, and who must be present', async () => {
    setHome({ space: 'spot', quiet: true })
    expect((await obstacles('kick-up', 'kick-up')).words()).toMatch(/needs a mat.*loud.*adult must be there/)
  })

  it('is marked on the row, with the letters of its groups', () => {
    // Kindergarten curls empty hands; only the older ones need the bottle.
    expect(rowMarks(stationRow(), composer.document, library, i18n.global.t).map((m) => m.text)).toEqual([
      "B can't do this at home yet",
    ])
    setHome({ kit: ['bottle'] })
    expect(rowMarks(stationRow(), composer.document, library, i18n.global.t)).toEqual([])
    expect(rowMarks(composer.rows.at(-2)!, composer.document, library, i18n.global.t).map((m) => m.text)).toEqual([
      'fixed',
    ])
  })
})

describe('the equipment of a session', () => {
  it('lists each thing with its exercises, and says what is missing', async () => {
    const { words } = await open((await import('../src/compose/details/FetchList.vue')).default)
    expect(words()).toMatch(/small plastic bottle with water.*Bottle curl.*missing, and nothing replaces it/)
    setHome({ standIns: { bottle: 'a rolled-up towel' } })
    await flushPromises()
    expect(words()).not.toContain('nothing replaces it')
  })

  it('says so if nothing is needed', async () => {
    composer.edit(() => newSession('Bare', [[4]], 20, library.version))
    expect((await open((await import('../src/compose/details/FetchList.vue')).default)).words()).toContain(
      'None of the exercises need equipment.',
    )
  })
})

describe('a similar exercise', () => {
  const likes = async (scope: 'all' | string[] = 'all') =>
    open((await import('../src/compose/panel/LikeMoves.vue')).default, { row: stationRow('s2'), scope })

  it('is offered with its reason, and replaces the row’s for the groups it is for', async () => {
    composer.selection = { row: 's2', cell: -1 }
    const { press, words, view } = await likes(['g2'])
    expect(words()).toMatch(/lunge · /)
    expect(view.findAll('li')).toHaveLength(5)
    await press(/^Swap for/)
    expect(cell('g1', 's2').move).toBe('lunge')
    expect(library.moves.get(cell('g2', 's2').move)!.family).toBe('lunge')
    expect(cell('g2', 's2').move).not.toBe('lunge')
  })

  it('is the most similar one not yet there, row by row, as one undo step', () => {
    composer.selection = { row: 's1', cell: -1 }
    composer.extendTo('s2')
    const before = composer.document
    composer.swap()
    const swapped = [cell('g2', 's1').move, cell('g2', 's2').move]
    expect(new Set([...swapped, ...moves]).size).toBe(4)
    composer.undo()
    expect(composer.document).toEqual(before)
  })

  it('does nothing on a row without an exercise, and says why', () => {
    composer.selection = { row: 'p2', cell: -1 }
    const before = composer.document
    composer.swap()
    expect(composer.document).toBe(before)
    expect(composer.message?.text).toBe('nothingLike')
  })
})

describe('weights at home', () => {
  const weights = async (take: (kg: number) => void = () => {}) =>
    open((await import('../src/compose/details/HomeWeights.vue')).default, { modelValue: true, onTake: take })

  it('adds up what is chosen, and says for which grades it is and the next step up', async () => {
    let taken = 0
    const { press, words } = await weights((kg) => (taken = kg))
    // A school book of 120 pages: 60 × 0.06237 m² × 80 g + 2 × 0.06237 × 250 g = 330.6 g.
    expect(words()).toContain('0.33 kg in the bag')
    expect(words()).toContain('for grades 2, 3, 4, 5, 6')
    await press('Bottle')
    expect(words()).toContain('0.85 kg in the bag')
    // One more book is lighter than one more bottle: 1.18 kg, 39 % more.
    expect(words()).toMatch(/one more book, 1\.18 kg \(\+39 %\)/)
    await press('Remove item 1')
    expect(words()).toContain('0.52 kg in the bag')
    await press('Use this weight')
    expect(taken).toBe(0.52)
  })

  it('remembers the last combination, and can use pounds', async () => {
    localStorage.setItem('esfuerzo.weights.unit', 'lb')
    localStorage.setItem('esfuerzo.weights.things', JSON.stringify([{ kind: 'weighed', kg: 0.45359237 }]))
    expect((await weights()).words()).toContain('0.99 lb in the bag')
  })

  it('can use nothing while it is empty', async () => {
    localStorage.setItem('esfuerzo.weights.things', '[]')
    const { words } = await weights()
    expect(words()).toContain('Add an item.')
    const take = [...document.querySelectorAll('button')].find((b) => b.textContent!.includes('Use this weight'))!
    expect(take.hasAttribute('disabled')).toBe(true)
  })
})
