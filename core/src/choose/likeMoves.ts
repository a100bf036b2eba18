import { versionsFor } from '../home/obstacles.ts'
import type { Home } from '../session/schema.ts'
import { musclesOf } from './filterMoves.ts'
import type { Library } from '../library/library.ts'
import type { Move, Version } from '../terms/move.ts'

/** An exercise that could replace another, in the version a group would do. */
export interface LikeMove {
  move: Move
  version: Version
  /** Ids of the muscles both train. */
  shared: string[]
  sameFamily: boolean
}

/**
 * Exercises similar to one: of its family or for its muscles, possible for a grade in a home; the most similar first. A version of about
 * the same difficulty is chosen.
 *
 * @param version the one done now
 * @param grade the lowest of the groups it is for
 * @param without ids of moves that the session already has
 */
export function likeMoves(
  move: Move,
  version: Version,
  home: Home,
  grade: number,
  library: Library,
  without: ReadonlySet<string> = new Set(),
): LikeMove[] {
  const own = musclesOf(move)
  const measured = (other: Move) => other.measures.some((unit) => move.measures.includes(unit))
  const found = [...library.moves.values()].flatMap((other): (LikeMove & { score: number })[] => {
    if (other.id === move.id || other.retired || without.has(other.id) || !measured(other)) return []
    const shared = musclesOf(other).filter((id) => own.includes(id))
    const sameFamily = other.family === move.family
    if (!sameFamily && shared.length === 0) return []
    // A stretch never replaces work, whatever muscle it is for.
    if (Boolean(other.stretches) !== Boolean(move.stretches)) return []
    const ready = versionsFor(other, home, library, grade)
    if (ready.length === 0) return []
    const nearest = ready.reduce((best, v) =>
      Math.abs(v.met - version.met) < Math.abs(best.met - version.met) ? v : best,
    )
    const samePosture = (nearest.posture ?? other.posture) === (version.posture ?? move.posture)
    const score = 4 * Number(sameFamily) + 3 * shared.length + Number(samePosture) - Math.abs(nearest.met - version.met)
    return [{ move: other, version: nearest, shared, sameFamily, score }]
  })
  return found
    .sort((a, b) => b.score - a.score)
    .map(({ move, version, shared, sameFamily }) => ({ move, version, shared, sameFamily }))
}
