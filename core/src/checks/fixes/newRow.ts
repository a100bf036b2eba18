import { putCells } from '../../choose/putMove.ts'
import { versionsFor } from '../../home/obstacles.ts'
import { addSection } from '../../session/edits/sections.ts'
import { addStation } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import { traitsOf } from '../../session/formTraits.ts'
import type { Workout } from '../../session/schema.ts'
import { lowestGrade } from '../../terms/group.ts'
import type { Move } from '../../terms/move.ts'
import { bandOf } from '../limits.ts'
import type { Fixing } from './fix.ts'

/** Whether everybody can do a move here, and the youngest have met it. */
export function canBeAdded({ view }: Fixing, move: Move): boolean {
  const { workout, library, context } = view
  const met = new Set([...view.blocks.values()].flatMap(({ block }) => stationsOf(block)).map((s) => s.cells.all.move))
  return workout.groups.every(
    (group) =>
      versionsFor(move, workout.home, library, lowestGrade(group)).length > 0 &&
      (bandOf(group.grades) > 0 || met.has(move.id) || context.known?.has(move.id)),
  )
}

/** The session with a move as the first row of its cool-down, which it gets where it has none. */
export function withCoolDownRow({ view, words }: Fixing, move: Move): Workout {
  const { workout, library } = view
  const cells = putCells(move, workout.groups, { form: 'list', home: workout.home }, library)
  const there = workout.sections.find((s) => s.role === 'coolDown')?.blocks.find((b) => traitsOf(b).plainRows)
  if (there) return addStation(workout, there.id, cells)
  const added = addSection(workout, { role: 'coolDown', title: words.coolDown })
  return addStation(added, added.sections.at(-1)!.blocks[0]!.id, cells)
}
