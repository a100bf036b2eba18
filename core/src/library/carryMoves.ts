import { stationsOf } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Cell } from '../session/station.ts'
import type { Library } from './library.ts'
import { isOwnId, type OwnMove } from '../terms/ownMove.ts'
import { withOwnMoves } from './ownMoves.ts'

/** The library for a session: ours, and the teacher's own exercises it carries. */
export function libraryFor(session: Pick<Session, 'moves'>, library: Library): Library {
  if (!session.moves?.length) return library
  // Called for every lane and every edit.
  const known = merged.get(session.moves)
  if (known?.of === library) return known.whole
  const whole = withOwnMoves(library, session.moves)
  merged.set(session.moves, { of: library, whole })
  return whole
}

const merged = new WeakMap<readonly OwnMove[], { of: Library; whole: Library }>()

/** Ids of the teacher's own exercises in a session. */
function ownMovesOf(session: Session): Set<string> {
  const cells: Cell[] = session.sections
    .flatMap((s) => s.blocks)
    .flatMap((b) => stationsOf(b))
    .flatMap(({ cells: { all, by } }) => [all, ...Object.values(by ?? {})])
  return new Set(cells.flatMap((cell) => [cell.move, ...(cell.oneOf ?? [])]).filter(isOwnId))
}

/**
 * A session with only those of the teacher's own exercises that it uses, so that it can be sent to a colleague and opened years later. An
 * exercise it already carries is not replaced.
 *
 * @param library including the teacher's own exercises
 * @returns the session itself if nothing changes
 */
export function carryMoves(session: Session, library: Library): Session {
  const used = ownMovesOf(session)
  const carried = session.moves ?? []
  if (carried.length === used.size && carried.every(({ move }) => used.has(move.id))) return session
  const moves = [...used].flatMap((id): OwnMove[] => {
    const known = carried.find(({ move }) => move.id === id)
    if (known) return [known]
    const move = library.moves.get(id)
    if (!move) return []
    const ids = new Set([move.figure, ...move.versions.flatMap((v) => v.figure ?? [])].filter(isOwnId))
    return [{ move, figures: [...ids].flatMap((figure) => library.figures.get(figure) ?? []) }]
  })
  const { moves: _, ...rest } = session
  return moves.length ? { ...rest, moves } : rest
}
