import { likeMoves } from '../../choose/likeMoves.ts'
import { putMove } from '../../choose/putMove.ts'
import { setCell } from '../../session/edits/stations.ts'
import { stationsOf } from '../../session/forms.ts'
import type { Move } from '../../terms/move.ts'
import { valueFor } from '../../terms/perGroup.ts'
import { bandOf } from '../limits.ts'
import type { Candidate, FixMaker, Fixing } from './fix.ts'
import { stationOf } from './stationOf.ts'

const offered = 4

/** Moves the youngest have met: those of this session, and those they were sent. */
function met({ view }: Fixing): Set<string> {
  const ids = [...view.blocks.values()].flatMap(({ block }) => stationsOf(block)).map((s) => s.cells.all.move)
  return new Set([...ids, ...(view.context.known ?? [])])
}

/** Another move like it, that this home has everything for. The youngest get no move they have not met. */
export const likeMove: FixMaker = {
  id: 'like-move',
  *candidates(fixing): Generator<Candidate> {
    const place = stationOf(fixing)
    const { view, groups } = fixing
    const about = view.workout.groups.filter(({ id }) => groups.includes(id))
    const cell = place && about[0] && valueFor(place.station.cells, about[0].id)
    const move = cell && view.library.moves.get(cell.move)
    if (!place || !move) return
    const version = move.versions.find((v) => v.id === cell.version)!
    const young = about.some(({ grades }) => bandOf(grades) === 0)
    const known = young ? met(fixing) : undefined
    const grade = Math.min(...about.flatMap(({ grades }) => grades))
    const like = likeMoves(move, version, view.workout.home, grade, view.library)
      .map((one): Move => one.move)
      .filter(({ id }) => !known || known.has(id))
      .slice(0, offered)
    for (const other of like) {
      const where = { form: place.block.form, home: view.workout.home }
      const workout = about.reduce(
        (now, group) =>
          setCell(now, place.station.id, [group.id], (old) => putMove(old, other, group, where, view.library)),
        view.workout,
      )
      yield { facts: { move: other.name }, workout }
    }
  },
}
