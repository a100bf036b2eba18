import { kgPerPound } from '../load/units.ts'
import type { Library } from '../library/library.ts'
import type { Move } from '../terms/move.ts'
import { isOwnId } from '../terms/ownMove.ts'
import type { Dose, Unit } from '../terms/dose.ts'
import type { Cell, LapChange, Tempo } from '../session/station.ts'
import { limits } from '../base/limits.ts'
import { printDose, takeDose } from './dose.ts'
import type { BroughtMoves } from './broughtMoves.ts'
import {
  findName,
  nameIndex,
  nearestNames,
  printLapName,
  printName,
  versionCalled,
  type NameIndex,
  type Named,
} from './names.ts'
import { hideQuoted, quotedIn, shown, type Hidden } from './quoted.ts'

/** What a text can remove: `no dose`, `no weight`. */
export type Negatable = 'dose' | 'load' | 'tempo' | 'oneOf' | 'fromLap'
const negations: Record<string, Negatable> = {
  'no dose': 'dose',
  'no weight': 'load',
  'no tempo': 'tempo',
  'no choice': 'oneOf',
  'no lap changes': 'fromLap',
}

/** What a piece of text says about a cell; undefined for what it doesn't mention. */
export interface CellWords {
  named?: Named
  dose?: Cell['dose']
  /** The dose was a number without a unit. */
  bare?: boolean
  load?: Cell['load']
  tempo?: Tempo
  /** "Each side" was said. */
  eachSide?: boolean
  fromLap?: SaidLapChange[]
  /** Exercises the child may do instead. */
  oneOf?: string[]
  /** What the text removes. */
  none: ReadonlySet<Negatable>
  /** Words that could not be read. */
  unread?: string
}

/** A later lap's change, and its quoted text. */
type SaidLapChange = LapChange & { called?: string }

const loadPattern = /(?<![\p{L}\p{N}.,])(\d{1,2}(?:[.,]\d{1,2})?) ?(kg|kilos?|g|grams?|lbs?|pounds?)(?![\p{L}\p{N}])/iu
/** Kilograms of each unit. */
const kilograms: Record<string, number> = { k: 1, g: 0.001, l: kgPerPound, p: kgPerPound }
const tempoWords: [RegExp, Tempo][] = [
  [/(?:\bat )?(?:their |your |an )?\bown (?:pace|speed|time)\b/i, 'own'],
  [/\b(?:slow(?:ly)?)\b/i, 'slow'],
  [/\bled\b/i, 'led'],
]
const eachSide = /\b(?:(?:each|per|every|both) (?:side|leg|arm|foot|hand|way)s?|e\.? ?s\.?(?![\p{L}]))/iu
const lapPattern = /^(?:from )?lap (\d{1,2})(?: on)?\s*:\s*(.*)$/i
/** Words with no meaning for a cell. */
const filler = /^(?:(?:of|the|a|an|and|then|do|for|at|with|on|in|x|by|to|go|hold)(?=\s|$)|[\s,.:()/>|&•+-])*$/i

/** A factor before a quantity such as "200 g": at most two digits before the unit, three for grams. */
const gramPattern = /(?<![\p{L}\p{N}.,])(\d{3,4}) ?(?:g|grams?)(?![\p{L}\p{N}])/iu

function takeLoad(text: string): { load?: { kg: number }; rest: string } {
  const grams = gramPattern.exec(text)
  if (grams) return { load: { kg: Number(grams[1]) / 1000 }, rest: text.replace(grams[0], ' ') }
  const match = loadPattern.exec(text)
  if (!match) return { rest: text }
  const kg = Number(match[1]!.replace(',', '.')) * kilograms[match[2]![0]!.toLowerCase()]!
  if (kg > 20) return { rest: text }
  return { load: { kg: Math.round(kg * 100) / 100 }, rest: text.replace(match[0], ' ') }
}

/**
 * A text without what a pattern matches, unless that is part of an exercise's name: "slow" may be its first word, and "both legs" its last.
 *
 * @returns undefined if there is nothing to remove
 */
function takeOutsideName(
  text: string,
  pattern: RegExp,
  index: NameIndex,
  quoted: readonly string[],
): string | undefined {
  if (!pattern.test(text)) return undefined
  const found = findName(text, index, quoted)
  if (!found) return text.replace(pattern, ' ')
  const { before, after } = found
  if (!pattern.test(`${before}\u0000${after}`)) return undefined
  const name = text.slice(before.length, text.length - after.length)
  return `${before.replace(pattern, ' ')}${name}${after.replace(pattern, ' ')}`
}

/**
 * Reads a cell from text: name, dose, load, tempo, laps, in any order and with anything in between.
 *
 * @param fallback the unit of a number without one
 * @param brought if given, a name in quotes that the library does not know becomes a new exercise
 */
export function readCellWords(
  { text, quoted }: Hidden,
  library: Library,
  fallback: Unit,
  brought?: BroughtMoves,
): CellWords {
  const none = new Set<Negatable>()
  const said: CellWords = { none }
  const unread: string[] = []
  const index = nameIndex(library)
  const find = (words: string) => {
    const found = findName(words, index, quoted)
    if (found || !brought) return found
    const name = quotedIn(words, quoted)
    const named = name && brought.named(name.name)
    return named && { named, before: name.before, after: name.after }
  }
  const facts = text.replace(/\sor\s/gi, '; or ').split(/[;·]/)
  // Facts may be added while they are read.
  for (const fact of facts) {
    const negated =
      negations[
        fact
          .trim()
          .toLowerCase()
          .replace(/^without /, 'no ')
      ]
    if (negated) {
      none.add(negated)
      continue
    }
    const or = /^\s*or (.+)$/i.exec(fact)
    const other = or && find(or[1]!)
    if (other) {
      said.oneOf = [...new Set([...(said.oneOf ?? []), other.named.move.id])].slice(0, 5)
      // "Squat or lunge 10": the ten is for both.
      facts.push(`${other.before} ${other.after}`)
      continue
    }
    const change = readLapChange({ text: fact, quoted }, library, fallback)
    if (change) {
      said.fromLap = laterLap(said.fromLap ?? [], change)
      continue
    }
    // List numbering, "1." or "2)", is not a dose, nor is "2:" if another number follows.
    let rest = fact.replace(/^\s*(?:[-•]\s+|\d{1,2}(?:[.)]|:(?=\D*\d))\s+)/, '')
    const loaded = takeLoad(rest)
    if (loaded.load) said.load = loaded.load
    rest = loaded.rest
    rest = takeManner(rest, said, index, quoted)
    const found = find(rest)
    if (found && !said.named) {
      said.named = found.named
      rest = `${found.before} , ${found.after}`
    }
    const dosed = takeDose(rest, fallback)
    if (dosed.dose && !said.dose) {
      said.dose = dosed.dose
      if (dosed.bare) said.bare = true
      rest = dosed.rest
    }
    if (!filler.test(rest.trim()))
      unread.push(
        shown(rest, quoted)
          .replace(/[\s,]+/g, ' ')
          .trim(),
      )
  }
  if (unread.length) said.unread = unread.join(' ')
  return said
}

/** What replaces a cell from some lap on: `lap 3: tuck jump`. */
function readLapChange({ text, quoted }: Hidden, library: Library, fallback: Unit): SaidLapChange | undefined {
  const lap = lapPattern.exec(text.trim())
  if (!lap) return undefined
  const { named, dose, load } = readCellWords({ text: lap[2]!, quoted }, library, fallback)
  const version = named && (named.version ?? named.move.standard)
  const called = quotedIn(lap[2]!, quoted)?.name
  return {
    lap: Number(lap[1]),
    ...(version && { version }),
    ...(called !== undefined && { called }),
    ...(dose && { dose }),
    ...(load && { load }),
  }
}

/** Removes the words for tempo and sides from a fact. @returns the rest */
function takeManner(fact: string, said: CellWords, index: NameIndex, quoted: readonly string[]): string {
  let rest = fact
  for (const [pattern, tempo] of tempoWords) {
    const taken = takeOutsideName(rest, pattern, index, quoted)
    if (taken === undefined) continue
    said.tempo ??= tempo
    rest = taken
  }
  const oneSide = takeOutsideName(rest, eachSide, index, quoted)
  if (oneSide === undefined) return rest
  said.eachSide = true
  return oneSide
}

/** Changes in the order of their laps; the last one for a lap wins; an impossible lap is ignored. */
const laterLap = (changes: SaidLapChange[], change: SaidLapChange): SaidLapChange[] =>
  change.lap < 2 || change.lap > limits.laps
    ? changes
    : [...changes.filter((c) => c.lap !== change.lap), change].sort((a, b) => a.lap - b.lap).slice(0, 6)

/** A cell with the later laps the text names, or its former ones. Only versions of the cell's own exercise are kept. */
export function withLaps(
  cell: Cell,
  { fromLap = cell.fromLap }: Pick<CellWords, 'fromLap'>,
  library: Library,
  brought?: BroughtMoves,
): Cell {
  if (!fromLap?.length) return cell
  const move = library.moves.get(cell.move)
  const versionOf = ({ version, called }: SaidLapChange) =>
    (called === undefined ? undefined : move ? versionCalled(move, called) : brought?.version(cell.move, called)) ??
    move?.versions.find((v) => v.id === version)?.id
  return {
    ...cell,
    fromLap: fromLap.map((said): LapChange => {
      const { version: _v, called: _c, ...change } = said
      const version = versionOf(said)
      return { ...change, ...(version && { version }) }
    }),
  }
}

/** An amount "each side" of an alternating exercise counts both sides. */
function doseOf(said: CellWords, move: Move | undefined): Cell['dose'] {
  // A hold has no reps: a number alone is in its own measure.
  const unit =
    said.bare && said.dose?.unit === 'reps' && move && !move.measures.includes('reps') ? move.measures[0] : undefined
  const dose = said.dose && unit ? { ...said.dose, unit } : said.dose
  if (!dose || !said.eachSide || move?.sides !== 'alternating' || typeof dose.amount !== 'number') return dose
  return { ...dose, amount: dose.amount * 2 }
}

/**
 * A cell changed to what a text says. A text that names an exercise replaces the whole cell; one that does not changes only what it
 * mentions.
 *
 * @param now the current cell
 * @param fallback the unit of a number without one
 * @returns the cell, or what could not be read with the names it may have meant
 * @example readCell('12', { move: 'squat', version: 'squat', tempo: 'slow' }, library, 'reps')
 * // { cell: { move: 'squat', version: 'squat', tempo: 'slow', dose: { unit: 'reps', amount: 12 } } }
 */
export function readCell(
  text: string,
  now: Cell,
  library: Library,
  fallback: Unit,
): { cell: Cell } | { unread: string; nearest: string[] } {
  const said = readCellWords(hideQuoted(text), library, fallback)
  if (said.unread) return { unread: said.unread, nearest: nearestNames(said.unread, nameIndex(library)) }
  const { named } = said
  const fields = fieldsOf(said, named?.move ?? library.moves.get(now.move))
  const cell = named
    ? { move: named.move.id, version: named.version ?? named.move.standard, ...fields }
    : { ...withoutNegated(now, said.none), ...fields }
  return { cell: withLaps(cell, said, library) }
}

/** A cell without what a text removes. */
export function withoutNegated(cell: Cell, none: ReadonlySet<Negatable>): Cell {
  return Object.fromEntries(Object.entries(cell).filter(([key]) => !none.has(key as Negatable))) as Cell
}

/** What was said about a cell besides its name and later laps. @param move its exercise */
export function fieldsOf(said: CellWords, move: Move | undefined): Partial<Cell> {
  const dose = doseOf(said, move)
  return {
    ...(dose && { dose }),
    ...(said.load && { load: said.load }),
    ...(said.tempo && { tempo: said.tempo }),
    ...(said.oneOf && { oneOf: said.oneOf }),
  }
}

const kg = (load: { kg: number }) => `${load.kg} kg`

/**
 * Everything of a cell that a text can say.
 *
 * @example printCell({ move: 'squat-jump', version: 'tuck-jump', dose: { unit: 'reps', amount: 8 } }, library) // 'Tuck jump 8'
 */
export function printCell(cell: Cell, library: Library): string {
  const move = library.moves.get(cell.move)
  return printCellAs(cell, library, move ? printName(move, cell.version, nameIndex(library)) : `"${cell.move}"`)
}

/**
 * A cell under a given name.
 *
 * @param base a cell whose dose, load and other values apply by default: a missing value is printed as its opposite
 */
export function printCellAs(cell: Cell, library: Library, name: string, base?: Cell): string {
  const index = nameIndex(library)
  const move = library.moves.get(cell.move)
  const laps = (cell.fromLap ?? []).map(({ lap, version, dose, load }) => {
    const words = [version && move && printLapName(move, version, index), dose && printDose(dose), load && kg(load)]
    return `lap ${lap}: ${words.filter(Boolean).join(' ')}`
  })
  const others = (cell.oneOf ?? []).map((id) => {
    const other = library.moves.get(id)
    return `or ${other ? (isOwnId(id) ? printName(other, other.standard, index) : other.name) : `"${id}"`}`
  })
  /** If a number alone would mean something else, its unit is printed. */
  const printCellDose = (dose: Dose) =>
    `${printDose(dose)}${dose.unit === 'reps' && move && !move.measures.includes('reps') ? ' reps' : ''}`
  const denied = Object.entries(negations).flatMap(([words, key]) => (base?.[key] && !cell[key] ? [words] : []))
  return [
    [name, ...(cell.dose ? [printCellDose(cell.dose)] : [])].join(' '),
    ...(cell.load ? [kg(cell.load)] : []),
    ...(cell.tempo ? [cell.tempo === 'own' ? 'own pace' : cell.tempo] : []),
    ...others,
    ...laps,
    ...denied,
  ].join('; ')
}

/**
 * Reads a line that names an exercise, with everything else about the cell; each group's version stays open if none is named.
 *
 * @returns undefined if it names none, or has words that cannot be read
 * @example readNamedCell('12 tuck jumps', library) // { move: squatJump, words: { version: 'tuck-jump', dose: 12 reps } }
 */
export function readNamedCell(text: string, library: Library): { move: Move; words: Partial<Cell> } | undefined {
  const hidden = hideQuoted(text)
  const found = findName(hidden.text, nameIndex(library), hidden.quoted)
  if (!found) return undefined
  const { move } = found.named
  const said = readCellWords(hidden, library, move.measures[0]!)
  if (said.unread || said.named?.move !== move) return undefined
  const { version, fromLap } = withLaps({ move: move.id, version: said.named.version ?? '' }, said, library)
  return { move, words: { ...(version && { version }), ...fieldsOf(said, move), ...(fromLap && { fromLap }) } }
}
