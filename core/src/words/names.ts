import type { Say } from '../timing/step.ts'

/** The names for the ids in a saying: from a library, or from a publication. */
export type Names = (move: string, version: string | undefined) => string

/** Sources of names: a library's move or a published one. */
interface NamedMove {
  name: string
  standard: string
  versions: readonly { id: string; name: string }[]
}

/**
 * The name a child reads: the move's name for its standard version, otherwise the version's own.
 *
 * @param phrase looks a text up in another language
 *
 * @example moveNames(library.moves)('squat-jump', 'tuck-jump') // 'Tuck jump'
 */
export const moveNames =
  (moves: { get(id: string): NamedMove | undefined }, phrase: (text: string) => string = (text) => text): Names =>
  (id, version) => {
    const move = moves.get(id)
    if (!move) return id
    if (version === undefined || version === move.standard) return phrase(move.name)
    return phrase(move.versions.find((v) => v.id === version)?.name ?? move.name)
  }

/** The name to say for a step: today's story name, otherwise the move's. */
export const sayName = (say: Say, names: Names): string =>
  say.params.story ?? (say.params.move ? names(say.params.move, say.params.version) : '')
