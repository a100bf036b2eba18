import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { readSession, valueFor, type Station } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { stepDose } from '../src/compose/edits/rowEdits.ts'
import { library } from '../src/repertoire/library.ts'
import { useComposer } from './support/composer.ts'
import { open, serve } from './support/pages.ts'

const { workout } = parse('# Session\ngroups K-1, 2-3, 4-6\n## Main part\nsquat 10\nlunge 8 [4-6: lunge 12]', library)
const composing = () => {
  const composer = useComposer()
  composer.edit(() => readSession(workout))
  return composer
}
const rowsOf = (composer: ReturnType<typeof useComposer>) => composer.rows.filter((r) => r.kind === 'station')
const amounts = (composer: ReturnType<typeof useComposer>, at: number) => {
  const station = (rowsOf(composer)[at] as { station: Station }).station
  return composer.document.groups.map((g) => valueFor(station.cells, g.id).dose?.amount)
}
const more = (composer: ReturnType<typeof useComposer>) => composer.editCells((c) => stepDose(c, 1), 'dose')

beforeEach(() => {
  setActivePinia(createPinia())
  serve({})
})

describe('changes for one group only', () => {
  it('go to that group on every row until all are chosen again', () => {
    const composer = composing()
    const [squat, lunge] = rowsOf(composer)
    composer.select({ row: squat!.id, cell: 0 })
    composer.chooseScope(['g1'])
    more(composer)
    expect(amounts(composer, 0)).toEqual([11, 10, 10])
    composer.select({ row: lunge!.id, cell: 0 })
    more(composer)
    expect(amounts(composer, 1)).toEqual([9, 8, 12])
    composer.chooseScope([])
    more(composer)
    expect(amounts(composer, 1)).not.toEqual([9, 8, 12])
  })

  it('give way on a cell that the group has no part in', () => {
    const composer = composing()
    const lunge = rowsOf(composer)[1]!
    composer.chooseScope(['g1'])
    composer.select({ row: lunge.id, cell: lunge.spans.length - 1 })
    expect(composer.scope).toEqual(['g3'])
    // Unless they are chosen there.
    composer.chooseScope(['g1'])
    expect(composer.scope).toEqual(['g1'])
  })

  it('are chosen by a key, group by group, then none', () => {
    const composer = composing()
    composer.select({ row: rowsOf(composer)[0]!.id, cell: 0 })
    const seen = [0, 1, 2, 3].map(() => {
      composer.nextOnly()
      return composer.only.join()
    })
    expect(seen).toEqual(['g1', 'g2', 'g3', ''])
  })

  it('“All” is for the current row alone', () => {
    const composer = composing()
    const [squat, lunge] = rowsOf(composer)
    composer.select({ row: lunge!.id, cell: lunge!.spans.length - 1 })
    composer.chooseScope('all')
    expect(composer.scope).toBe('all')
    composer.select({ row: squat!.id, cell: 0 })
    composer.select({ row: lunge!.id, cell: lunge!.spans.length - 1 })
    expect(composer.scope).toEqual(['g3'])
  })

  it('can go a step easier in the whole session, after a preview, as one undo step', async () => {
    const composer = composing()
    const squat = rowsOf(composer)[0]!
    composer.select({ row: squat.id, cell: 0 })
    composer.chooseScope(['g3'])
    const before = composer.document
    const { default: GroupStepper } = await import('../src/compose/panel/GroupStepper.vue')
    const { view, press, words } = await open(GroupStepper, { row: squat })
    await press('Make C easier')
    expect(view.findAll('li').map((li) => li.text())).toHaveLength(1)
    expect(words()).toMatch(/C: .+ → /)
    await view.find('input[value=session]').setValue()
    expect(view.findAll('li')).toHaveLength(2)
    expect(composer.document).toBe(before)
    await press('Apply 2 changes')
    expect(composer.document).not.toEqual(before)
    expect(words()).toContain('Make C harder')
    composer.undo()
    expect(composer.document).toEqual(before)
  })

  it('end when the group is removed', () => {
    const composer = composing()
    composer.chooseScope(['g3'])
    composer.edit((w) => ({ ...w, groups: w.groups.slice(0, 2) }))
    expect(composer.only).toEqual([])
  })
})
