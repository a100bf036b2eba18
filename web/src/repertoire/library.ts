import { shallowReactive } from 'vue'
import { indexLibrary, withOwnMoves, type OwnMove } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'

const ours = indexLibrary(libraryData)

/** The exercises for every teacher view: ours, and her own. */
export const library = shallowReactive({ ...ours })

/** Her own exercises, by source: her collection, and the open session. */
const own: Record<'collection' | 'session', readonly OwnMove[]> = { collection: [], session: [] }

/** Adds exercises; they replace those from the same source. Those of the collection take precedence over a session's older ones. */
export function takeOwnMoves(from: keyof typeof own, moves: readonly OwnMove[]): void {
  if (own[from].length === 0 && moves.length === 0) return
  own[from] = moves
  const { moves: known, figures } = withOwnMoves(ours, [...own.session, ...own.collection])
  library.moves = known
  library.figures = figures
}
