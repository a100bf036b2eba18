import { lettersApart } from '../../base/nearest.ts'
import type { Library } from '../../library/library.ts'
import type { English } from '../../terms/country.ts'
import { nameIndex, plainName, type Named } from '../names.ts'
import { isProvisional } from './ownMove.ts'
import {
  changingWords,
  fillerWords,
  looseWords,
  placeWords,
  sameWords,
  severalMeanings,
  shapeWords,
} from './words.en.ts'

/** What some words in a move's place stand for. */
export interface Understood {
  /** Undefined where nobody can say. */
  named?: Named
  /** Words behind the name that say how or where, as they were written. */
  note: string
  /** What it may be, best first, where `named` is undefined; worked out when it is asked for. */
  nearest: () => Named[]
}

/** What a teacher said a word stands for, by the word as `plainName` gives it: a move's id, or `move:version`. */
export type Readings = ReadonlyMap<string, string>
/** Nothing was said: always the same, so that what was understood with it is known again. */
export const noReadings: Readings = new Map()

/** What a reading stands for. */
export function namedAs(told: string | undefined, library: Library): Named | undefined {
  const [id, version] = told?.split(':') ?? []
  const move = id === undefined ? undefined : library.moves.get(id)
  return move && { move, ...(version && move.versions.some((v) => v.id === version) && { version }) }
}

const none = (): Named[] => []

interface Vocabulary {
  /** Names by their words in any order, in the shared form; a second move under the same words makes it nobody's. */
  bags: Map<string, Named | 'several'>
  looseBags: Map<string, Named | 'several'>
  words: Set<string>
  /** The names a word stands in: the fewer, the more it says. */
  holding: Map<string, { length: number; named: Named }[]>
  /** Mistyped words set right, as they were met. */
  mended: Map<string, string | undefined>
}
const vocabularies = new WeakMap<object, Vocabulary>()

const shared = (word: string): string[] => (sameWords[word] ?? word).split(' ')
const pressUp = / press up /g
const sharedName = (words: readonly string[]): string[] =>
  ` ${words.flatMap(shared).join(' ')} `.replace(pressUp, ' push up ').trim().split(' ')
/** Words in any order, with and without those that say nothing. */
const bagOf = (words: readonly string[]): string => sharedName(words).sort().join(' ')
const looseBagOf = (words: readonly string[]): string =>
  sharedName(words)
    .filter((w) => !looseWords.has(w))
    .sort()
    .join(' ')

/** A move's own name comes before a version's, as in the index. */
function put(bags: Vocabulary['bags'], bag: string, named: Named): void {
  const before = bags.get(bag)
  if (!before) bags.set(bag, named)
  else if (before !== 'several' && before.move.id !== named.move.id && !named.version) bags.set(bag, 'several')
}

function vocabularyOf(library: Library): Vocabulary {
  const index = nameIndex(library)
  const known = vocabularies.get(index)
  if (known) return known
  const made: Vocabulary = {
    bags: new Map(),
    looseBags: new Map(),
    words: new Set(),
    holding: new Map(),
    mended: new Map(),
  }
  for (const [name, named] of index.names) {
    const words = name.split(' ')
    put(made.bags, bagOf(words), named)
    put(made.looseBags, looseBagOf(words), named)
    const all = new Set(words.flatMap(shared))
    const held = { length: all.size, named }
    for (const word of all) made.holding.set(word, [...(made.holding.get(word) ?? []), held])
    for (const word of [...words, ...all]) made.words.add(word)
  }
  for (const word of Object.keys(sameWords)) made.words.add(word)
  vocabularies.set(index, made)
  return made
}

const places = placeWords.map((words) => plainName(words).split(' ')).sort((a, b) => b.length - a.length)
/** Manner: said of any move, it stays a note. */
const manner = new Set(
  'fast faster quick quickly slow slowly hard steady tall properly carefully super really as like style properly'.split(
    ' ',
  ),
)
/** A word that begins what is said about a move: where, with what, how. */
const connector = new Set(
  'on with in at as for from against while using over off through across around round like until per keep keeping try using if because so no not and or then use touch'.split(
    ' ',
  ),
)

interface Word {
  plain: string
  at: number
  end: number
}
const wordPattern = /[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu

const wordsOf = (text: string): Word[] =>
  [...text.matchAll(wordPattern)].map((m) => ({ plain: plainName(m[0]), at: m.index, end: m.index + m[0].length }))

/** Words of a text with what stands round a name taken off both ends: fillers, and where it is done. */
function trimmed(words: readonly Word[]): Word[] {
  let list = [...words]
  const atEnd = (n: number, front: boolean) => (front ? list.slice(0, n) : list.slice(-n)).map((w) => w.plain).join(' ')
  for (let before = -1; before !== list.length && list.length > 1;) {
    before = list.length
    for (const place of places) {
      const n = place.length
      if (list.length <= n) continue
      const name = place.join(' ')
      if (atEnd(n, false) === name) list = list.slice(0, -n)
      else if (atEnd(n, true) === name) list = list.slice(n)
    }
    if (list.length > 1 && fillerWords.has(list[0]!.plain)) list = list.slice(1)
    if (list.length > 1 && (fillerWords.has(list.at(-1)!.plain) || manner.has(list.at(-1)!.plain)))
      list = list.slice(0, -1)
  }
  return list
}

/**
 * What the words in a move's place stand for. A name is taken as it is written, in any order of its words, with places and sides round
 * it, or with a letter mistyped; words behind it that say how are its note. Whatever would make another move of it is not
 * swallowed: then nobody is named, and the nearest are told.
 *
 * @example understandName('kneeling press ups', library, new Map()).named?.version // 'knee-push-up'
 */
export function understandName(text: string, library: Library, readings: Readings, english?: English): Understood {
  const known = understoodBy(library, readings, english)
  const before = known.get(text)
  if (before) return before
  if (known.size > 2000) known.clear()
  const understood = understand(text, library, readings, english)
  known.set(text, understood)
  return understood
}

/** What was understood already, with the same words known. */
function understoodBy(library: Library, readings: Readings, english: English | undefined): Map<string, Understood> {
  const index = nameIndex(library)
  let byReadings = cached.get(index)
  if (!byReadings) cached.set(index, (byReadings = new WeakMap()))
  let byEnglish = byReadings.get(readings)
  if (!byEnglish) byReadings.set(readings, (byEnglish = new Map()))
  let known = byEnglish.get(english)
  if (!known) byEnglish.set(english, (known = new Map()))
  return known
}
type ByEnglish = Map<English | undefined, Map<string, Understood>>
const cached = new WeakMap<object, WeakMap<Readings, ByEnglish>>()

function understand(text: string, library: Library, readings: Readings, english: English | undefined): Understood {
  const vocabulary = vocabularyOf(library)
  const { names } = nameIndex(library)
  const all = wordsOf(text)
  if (!all.length) return { note: '', nearest: none }
  const said = namedAs(readings.get(all.map((w) => w.plain).join(' ')), library)
  if (said) return { named: said, note: '', nearest: none }
  const find = (words: readonly Word[]): Named | undefined => {
    if (!words.length) return undefined
    const plain = words.map((w) => w.plain)
    const told = namedAs(readings.get(plain.join(' ')), library)
    if (told) return told
    const exact = names.get(plain.join(' '))
    if (exact) return exact
    const bag = vocabulary.bags.get(bagOf(plain)) ?? vocabulary.looseBags.get(looseBagOf(plain))
    return bag === 'several' ? undefined : bag
  }
  const several = [all, trimmed(all)]
    .map((words) => words.map((w) => w.plain).join(' '))
    .find((name) => severalMeanings[name])
  if (several) {
    const meanings = severalMeanings[several]!
    const here = english && meanings[english]
    if (here) return { named: namedAs(here, library)!, note: '', nearest: none }
    return { note: '', nearest: () => meanings.any.flatMap((told) => namedAs(told, library) ?? []) }
  }
  const whole = find(all)
  if (whole) return { named: whole, note: '', nearest: none }
  const core = trimmed(all)
  const trimmedName = find(core)
  // "Frog pose" is no frog jump.
  const shaped = all.some((w) => shapeWords.has(w.plain)) && !core.some((w) => shapeWords.has(w.plain))
  if (trimmedName && shaped && !isShape(trimmedName)) return { note: '', nearest: () => [trimmedName] }
  if (trimmedName) return { named: trimmedName, note: '', nearest: none }
  const mended = core.map((w) => mend(w, vocabulary))
  const mendedName = mended.every(Boolean) ? find(mended as Word[]) : undefined
  if (mendedName) return { named: mendedName, note: '', nearest: none }
  return beginningOf(core, text, find, vocabulary) ?? { note: '', nearest: () => nearestTo(core, vocabulary) }
}

const shapes: readonly string[] = ['balance', 'brace', 'stretch', 'extend', 'breathe']
const isShape = ({ move }: Named): boolean => shapes.includes(move.family) || move.measures.includes('breaths')

/** The longest name a text begins with, where what follows only says how. */
function beginningOf(
  core: readonly Word[],
  text: string,
  find: (words: readonly Word[]) => Named | undefined,
  vocabulary: Vocabulary,
): Understood | undefined {
  for (let length = core.length - 1; length > 0; length--) {
    const front = trimmed(core.slice(0, length))
    const named = find(front) ?? find(front.map((w) => mend(w, vocabulary) ?? w))
    if (!named) continue
    const rest = core.slice(core.indexOf(front.at(-1)!) + 1)
    const [first] = rest
    if (!first) continue
    const saysHow = connector.has(first.plain) || manner.has(first.plain)
    const changes = rest.some((w) => changingWords.has(shared(w.plain)[0]!) || changingWords.has(w.plain))
    if (!saysHow || changes) return { note: '', nearest: () => [named, ...nearestTo(core, vocabulary)] }
    return { named, note: text.slice(first.at).trim(), nearest: none }
  }
  return undefined
}

/** A word with a letter mistyped, set right where only one word is so near; itself where it is known. */
function mend(word: Word, vocabulary: Vocabulary): Word | undefined {
  if (vocabulary.words.has(word.plain)) return word
  if (word.plain.length < 4 || word.plain.length > 20) return undefined
  // The same words come back in a text; strangers' are many.
  if (vocabulary.mended.size > 2000) vocabulary.mended.clear()
  if (!vocabulary.mended.has(word.plain)) vocabulary.mended.set(word.plain, nearestWord(word.plain, vocabulary))
  const plain = vocabulary.mended.get(word.plain)
  return plain === undefined ? undefined : { ...word, plain }
}

/** The one word that is a letter away, two of a long one; undefined where there are several. */
function nearestWord(plain: string, { words }: Vocabulary): string | undefined {
  let near: string[] = []
  let least = plain.length >= 8 ? 2 : 1
  for (const other of words) {
    if (other.length < 3 || Math.abs(other.length - plain.length) > least) continue
    const apart = lettersApart(plain, other, least)
    if (apart > least) continue
    if (apart < least) near = []
    least = apart
    near.push(other)
  }
  return new Set(near.map((w) => shared(w).join(' '))).size === 1 ? near[0] : undefined
}

/** Moves of the library that some words may mean, where nobody has said what they are. */
export const nearestMoves = (text: string, library: Library): Named[] =>
  nearestTo(wordsOf(text), vocabularyOf(library)).filter(({ move }) => !isProvisional(move))

/** The three moves most like some words: shared words weighted by how rare they are. */
function nearestTo(core: readonly Word[], vocabulary: Vocabulary): Named[] {
  const words = new Set(core.flatMap((w) => shared((mend(w, vocabulary) ?? w).plain)))
  const scores = new Map<{ length: number; named: Named }, number>()
  for (const word of words) {
    const names = vocabulary.holding.get(word) ?? []
    for (const name of names) scores.set(name, (scores.get(name) ?? 0) + 1 / names.length / Math.sqrt(name.length))
  }
  const best = new Map<string, { named: Named; score: number }>()
  for (const [{ named }, score] of scores) {
    const before = best.get(named.move.id)
    if (!before || before.score < score) best.set(named.move.id, { named, score })
  }
  return [...best.values()]
    .sort((a, b) => b.score - a.score)
    .slice(0, 3)
    .map((r) => r.named)
}
