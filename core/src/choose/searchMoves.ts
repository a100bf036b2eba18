import { foldWords } from '../base/fold.ts'
import { lettersApart } from '../base/nearest.ts'
import type { Move } from '../terms/move.ts'

const known = new WeakMap<Move, { names: string[]; rest: string }>()

function wordsOf(move: Move) {
  let words = known.get(move)
  if (!words) {
    const versions = move.versions.map((v) => v.name)
    words = {
      names: [move.name, move.playName ?? '', ...move.synonyms, ...(move.understood ?? []), ...versions]
        .map(foldWords)
        .filter(Boolean),
      rest: foldWords([move.family, ...move.builds, ...move.muscles.main, move.posture].join(' ')),
    }
    known.set(move, words)
  }
  return words
}

/**
 * Exercises whose names, synonyms, versions, family, muscles or aims contain every typed word; exact names first, then those whose name, or
 * a word of it, starts with the text. If there are none, those with words a letter or two away.
 *
 * @param typed any text; empty gives all
 * @example searchMoves(moves, 'press up')[0].name // 'Push-up'
 * @example searchMoves(moves, 'sqaut')[0].name // 'Squat'
 * @example searchMoves(moves, 'bridge')[0].name // 'Hip bridge', though a plank is a "bridge hold" to some
 */
export function searchMoves(moves: Iterable<Move>, typed: string): Move[] {
  const query = foldWords(typed)
  // The input may be iterated only once, and two passes may be needed.
  const list = [...moves]
  const words = query.split(' ').filter(Boolean)
  const found: { move: Move; rank: number }[] = []
  for (const move of list) {
    if (move.retired) continue
    const { names, rest } = wordsOf(move)
    const all = `${names.join(' ')} ${rest}`
    if (!words.every((word) => all.includes(word))) continue
    // Exactly that name, then the exercise's own name, from its first word or a later one, then any other name, then the rest.
    const tests = [
      names.includes(query),
      names[0]!.startsWith(query),
      ` ${names[0]}`.includes(` ${query}`),
      names.some((n) => n.startsWith(query)),
      names.some((n) => n.includes(query)),
    ]
    const rank = tests.indexOf(true)
    found.push({ move, rank: rank < 0 ? tests.length : rank })
  }
  return (found.length ? found : misspelt(list, words)).sort((a, b) => a.rank - b.rank).map((f) => f.move)
}

/** Exercises whose names are a few letters away from each typed word; fewer letters rank higher. */
function misspelt(moves: readonly Move[], typed: readonly string[]): { move: Move; rank: number }[] {
  return moves.flatMap((move) => {
    if (move.retired) return []
    const own = wordsOf(move).names.map((name) => name.split(' '))
    // A name counts by its farthest word, the exercise by its nearest name.
    const rank = Math.min(...own.map((words, i) => Math.max(...typed.map((t) => apart(t, words))) + i / 100))
    return rank < Infinity ? [{ move, rank }] : []
  })
}

/** Letters between a typed word and the nearest of several words or their beginnings; Infinity above what a slip explains. */
function apart(typed: string, words: readonly string[]): number {
  const most = typed.length >= 6 ? 2 : typed.length >= 3 ? 1 : 0
  const nearest = Math.min(
    ...words.flatMap((w) => [lettersApart(typed, w, most), lettersApart(typed, w.slice(0, typed.length), most)]),
  )
  return nearest <= most ? nearest : Infinity
}
