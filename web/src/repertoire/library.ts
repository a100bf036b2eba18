import { shallowReactive } from 'vue'
import { indexLibrary, withOwnMoves, type OwnMove } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

const ours = indexLibrary(libraryData)

/** The repertoire, for every view of the teacher's: ours, and what she has of her own. */
export const library = shallowReactive({ ...ours })

/** Her own moves, by where they come from: her collection, and what an open session carries. */
const own: Record<'collection' | 'session', readonly OwnMove[]> = { collection: [], session: [] }

/**
 * Takes moves into the repertoire; they replace what came from the same place. Those of the collection go before a session's
 * older ones.
 */
export function takeOwnMoves(from: keyof typeof own, moves: readonly OwnMove[]): void {
  if (own[from].length === 0 && moves.length === 0) return
  own[from] = moves
  const { moves: known, figures } = withOwnMoves(ours, [...own.session, ...own.collection])
  library.moves = known
  library.figures = figures
}
