import { likeMoves } from '../../choose/likeMoves.ts'
import { putMove } from '../../choose/putMove.ts'
import { setCell } from '../../session/edits/stations.ts'
import type { Move, Version } from '../../terms/move.ts'
import { valueFor } from '../../terms/perGroup.ts'
import type { Candidate, FixMaker, Fixing } from './fix.ts'
import { metByYoungest } from './met.ts'
import { stationOf, type StationPlace } from './stationOf.ts'

const offered = 4

/** The session with a similar exercise at a row, for the groups of the finding. The youngest get none they have not met. */
export function* swapped(
  fixing: Fixing,
  { block, station }: StationPlace,
  fits: (move: Move, version: Version) => boolean,
): Generator<Candidate> {
  const { view, groups } = fixing
  const about = view.session.groups.filter(({ id }) => groups.includes(id))
  const cell = about[0] && valueFor(station.cells, about[0].id)
  const move = cell && view.library.moves.get(cell.move)
  if (!move) return
  const version = move.versions.find((v) => v.id === cell.version)!
  const known = metByYoungest(view, groups)
  const grade = Math.min(...about.flatMap(({ grades }) => grades))
  const like = likeMoves(move, version, view.session.home, grade, view.library)
    .filter((one) => (!known || known.has(one.move.id)) && fits(one.move, one.version))
    .slice(0, offered)
  const where = { form: block.form, home: view.session.home }
  for (const { move: other } of like) {
    const session = about.reduce(
      (now, group) => setCell(now, station.id, [group.id], (old) => putMove(old, other, group, where, view.library)),
      view.session,
    )
    yield { facts: { move: other.name }, session }
  }
}

/** A similar exercise that this home has everything for. */
export const likeMove: FixMaker = {
  id: 'like-move',
  *candidates(fixing): Generator<Candidate> {
    const place = stationOf(fixing)
    if (place) yield* swapped(fixing, place, () => true)
  },
}
