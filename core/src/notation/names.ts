import type { Library } from '../library/library.ts'
import type { Move } from '../terms/move.ts'
import { isOwnId } from '../terms/ownMove.ts'
import { foldWords } from '../base/fold.ts'
import { nearest } from '../base/nearest.ts'
import { inQuotes, quotedIn } from './quoted.ts'

/** What a name on the whiteboard means: an exercise in the version each grade is ready for, or just that version. */
export interface Named {
  move: Move
  /** Undefined if the exercise itself is named. */
  version?: string
}

/** A text in the form in which names are compared: lower case, no accents, words in the singular. */
export function plainName(text: string): string {
  const known = plainNames.get(text)
  if (known !== undefined) return known
  const plain = foldWords(text.replace(/['’]/g, '')).split(' ').map(singular).join(' ')
  // A session's words are few and repeat; only such words are cached.
  if (text.length > 40) return plain
  if (plainNames.size > 4000) plainNames.clear()
  plainNames.set(text, plain)
  return plain
}

/** Names in the form they are compared in; a name without letters stays unchanged. */
export const nameKey = (name: string): string => plainName(name) || name.replace(/"/g, '').trim()

const plainNames = new Map<string, string>()

/** Both sides are treated alike, so all that matters is that "lunges" and "lunge" become the same. */
function singular(word: string): string {
  if (word.length < 3 || word.endsWith('ss')) return word
  if (/(?:ch|sh|x|ss|zz)es$/.test(word)) return word.slice(0, -2)
  if (/[^aeiou]ies$/.test(word)) return `${word.slice(0, -3)}y`
  return word.endsWith('s') ? word.slice(0, -1) : word
}

/** Every name in a library, each for one thing. */
export interface NameIndex {
  names: ReadonlyMap<string, Named>
  /** Number of words of the longest name that starts with a word. */
  lengths: ReadonlyMap<string, number>
}

/** Cached by exercises, which are replaced when a teacher's own are added. */
const indexes = new WeakMap<Library['moves'], NameIndex>()

/**
 * The names of a library: exercises, their synonyms and playful names, then versions; if two share a name, the exercise wins over the
 * version, and the earlier over the later. `move: version` is always there, and a teacher's own exercises also by their ids: two of hers
 * may have the same name, or a name without a letter.
 */
export function nameIndex(library: Library): NameIndex {
  const known = indexes.get(library.moves)
  if (known) return known
  const names = new Map<string, Named>()
  const put = (name: string, named: Named) => {
    const plain = isOwnId(named.move.id) ? nameKey(name) : plainName(name)
    if (plain && !names.has(plain)) names.set(plain, named)
  }
  const moves = [...library.moves.values()].filter((m) => !m.retired)
  for (const move of moves) put(move.name, { move })
  for (const move of moves)
    for (const name of [...move.synonyms, ...(move.understood ?? []), move.playName ?? '']) put(name, { move })
  for (const move of moves) for (const v of move.versions) put(v.name, { move, version: v.id })
  for (const move of moves) for (const v of move.versions) put(`${move.name} ${v.name}`, { move, version: v.id })
  for (const move of moves.filter((m) => isOwnId(m.id)))
    for (const v of move.versions) put(`${move.id} ${v.id}`, { move, version: v.id })
  // "Desk press-up" is the desk push-up: a version's name with the exercise's other names in it.
  for (const move of moves) {
    const own = plainName(move.name)
    for (const v of move.versions) {
      const name = plainName(v.name)
      if (!` ${name} `.includes(` ${own} `) || name === own) continue
      for (const other of move.synonyms) put(name.replace(own, plainName(other)), { move, version: v.id })
    }
  }
  const lengths = new Map<string, number>()
  for (const name of names.keys()) {
    const words = name.split(' ')
    lengths.set(words[0]!, Math.max(lengths.get(words[0]!) ?? 0, words.length))
  }
  const index = { names, lengths }
  indexes.set(library.moves, index)
  return index
}

/** A name found in a text. */
export interface FoundName {
  named: Named
  /** The text before and after it. */
  before: string
  after: string
}

/** Words and their positions. A hyphen joins nothing: "push-up" is two words, as in the index. */
const word = /[\p{L}\p{N}]+(?:['’][\p{L}]+)?/gu

/**
 * The longest name of the library in a text; the first of equally long ones. A name in quotes always wins.
 *
 * @param quoted the quoted names of a text in which they are hidden
 * @example findName('10 squat jumps slow', index)?.named.move.id // 'squat-jump'
 */
export function findName(
  text: string,
  { names, lengths }: NameIndex,
  quoted: readonly string[] = [],
): FoundName | undefined {
  const found = quotedIn(text, quoted) ?? rawQuoteIn(text)
  if (found) {
    const named = names.get(nameKey(found.name))
    return named && { named, before: found.before, after: found.after }
  }
  const words = [...text.matchAll(word)]
  const plain = words.map((w) => plainName(w[0]))
  const longest = plain.map((name, i) => Math.min(lengths.get(name) ?? 0, words.length - i))
  for (let length = Math.max(0, ...longest); length > 0; length--) {
    for (let i = 0; i + length <= words.length; i++) {
      if (longest[i]! < length) continue
      const named = names.get(plain.slice(i, i + length).join(' '))
      if (!named) continue
      const start = words[i]!.index
      const last = words[i + length - 1]!
      const end = last.index + last[0].length
      return { named, before: text.slice(0, start), after: text.slice(end) }
    }
  }
  return undefined
}

function rawQuoteIn(text: string): { name: string; before: string; after: string } | undefined {
  const match = /"([^"]+)"/.exec(text)
  if (!match) return undefined
  return { name: match[1]!, before: text.slice(0, match.index), after: text.slice(match.index + match[0].length) }
}

/** Up to three names most similar to a typed one, as people write them. */
export function nearestNames(typed: string, { names }: NameIndex): string[] {
  const near = nearest(plainName(typed), names, 6).map(({ move, version }) =>
    version ? (move.versions.find((v) => v.id === version)?.name ?? move.name) : move.name,
  )
  return [...new Set(near)].slice(0, 3)
}

/**
 * The shortest text that names one version of an exercise and nothing else, for a group's brackets and a cell, where an exercise's own name
 * means its standard version. A teacher's own exercises are quoted, because the reader may not know them.
 *
 * @example printName(squatJump, 'tuck-jump', index) // 'Tuck jump'
 */
export function printName(move: Move, version: string, { names }: NameIndex): string {
  const v = move.versions.find((x) => x.id === version)
  const exact = (name: string) => {
    const found = names.get(nameKey(name))
    return found?.move.id === move.id && (found.version ?? move.standard) === version
  }
  const own = isOwnId(move.id)
  const short = [v?.name, move.name].find((name) => name && exact(name))
  if (short !== undefined) return own ? inQuotes(short) : short
  const long = `${move.name}: ${v?.name ?? version}`
  return inQuotes(own && !exact(long) ? `${move.id}: ${version}` : long)
}

/**
 * Like {@link printName}, but for a teacher's own move the name always means exactly one version, never "the version each grade is ready
 * for": a reader who does not know the move could not tell which was meant.
 */
export function printExactName(move: Move, version: string, index: NameIndex): string {
  const short = printName(move, version, index)
  const alike = move.versions.every((v) => v.fromGrade === move.versions[0]!.fromGrade)
  if (!isOwnId(move.id) || alike || index.names.get(nameKey(short))?.version) return short
  const long = `${move.name}: ${move.versions.find((v) => v.id === version)?.name ?? version}`
  const named = index.names.get(plainName(long))
  return inQuotes(named?.move.id === move.id && named.version === version ? long : `${move.id}: ${version}`)
}

/** The version of an exercise with a name; undefined if none or several have it. */
export function versionCalled(move: Pick<Move, 'versions'>, name: string): string | undefined {
  const called = move.versions.filter((v) => nameKey(v.name) === nameKey(name))
  return called.length === 1 ? called[0]!.id : undefined
}

/** The name of a later lap's version after its exercise: for an own exercise the version's name alone. */
export function printLapName(move: Move, version: string, index: NameIndex): string {
  const name = move.versions.find((v) => v.id === version)?.name
  return isOwnId(move.id) && name !== undefined && versionCalled(move, name) === version
    ? inQuotes(name)
    : printName(move, version, index)
}

/** An exercise's own name, quoted if it is a teacher's own. */
export const printMoveName = (move: Pick<Move, 'id' | 'name'>): string =>
  isOwnId(move.id) ? inQuotes(move.name) : move.name
