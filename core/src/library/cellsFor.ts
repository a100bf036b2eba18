import { traitsOf } from '../session/formTraits.ts'
import type { Policy } from '../terms/settings.ts'
import type { Dose } from '../terms/dose.ts'
import type { Form } from '../session/forms.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import { canonical, type PerGroup } from '../terms/perGroup.ts'
import type { Cell } from '../session/station.ts'
import type { Move } from '../terms/move.ts'
import { versionFor } from './versionFor.ts'

/**
 * The default dose of an exercise in a form of work; the teacher can change it. Timed forms need none. Sources: ten of each and thirty
 * seconds are common practice; stretches are held 10 s up to grade 2 and 20 s above, within the published 10–30 s (Garber et al. 2011, Med
 * Sci Sports Exerc 43:1334, adults), or by the school's hold policy.
 *
 * @example firstDose(quadStretch, { grades: [0, 1] }, 'list') // { unit: 'seconds', amount: 10 }
 */
export function firstDose(
  move: Move,
  group: Pick<Group, 'grades'>,
  form: Form,
  hold: Policy['hold'] = 'byGrade',
): Dose | undefined {
  if (traitsOf({ form }).dose === 'clock') return undefined
  const takes = (unit: Dose['unit']) => move.measures.includes(unit)
  if (move.stretches && hold === 'breaths' && takes('breaths')) return { unit: 'breaths', amount: 3 }
  if (move.stretches && takes('seconds')) {
    const byGrade = lowestGrade(group) <= 2 ? 10 : 20
    return { unit: 'seconds', amount: hold === 'byGrade' || hold === 'breaths' ? byGrade : Number(hold) }
  }
  if (takes('reps')) return { unit: 'reps', amount: 10 }
  if (takes('breaths')) return { unit: 'breaths', amount: 3 }
  if (takes('seconds'))
    return { unit: 'seconds', amount: move.family === 'brace' || move.family === 'balance' ? 15 : 30 }
  return { unit: move.measures[0]!, amount: 10 }
}

/**
 * What every group does of an exercise when the home is not known: each its own version and default dose. A name in a text means this.
 *
 * @param groups the session's, at least one
 */
export const cellsFor = (move: Move, groups: readonly Group[], form: Form): PerGroup<Cell> =>
  sharedCells(groups, (group) => {
    const dose = firstDose(move, group, form)
    return { move: move.id, version: versionFor(move, group).id, ...(dose && { dose }) }
  })

/** Each group's cell; the value most of them have becomes the shared one, the first of them in a tie. @param groups at least one */
export function sharedCells(groups: readonly Group[], cellOf: (group: Group) => Cell): PerGroup<Cell> {
  const cells = groups.map((group): [string, Cell] => [group.id, cellOf(group)])
  const counts = new Map<string, { cell: Cell; n: number }>()
  for (const [, cell] of cells) {
    const key = JSON.stringify(cell)
    const known = counts.get(key)
    if (known) known.n++
    else counts.set(key, { cell, n: 1 })
  }
  const all = [...counts.values()].reduce((most, next) => (next.n > most.n ? next : most)).cell
  return canonical({ all, by: Object.fromEntries(cells) })
}
