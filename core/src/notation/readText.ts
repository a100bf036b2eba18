import { limits } from '../base/limits.ts'
import { carryMoves } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { withOwnMoves } from '../library/ownMoves.ts'
import { hasStations, stationsOf } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Country } from '../terms/country.ts'
import type { Group } from '../terms/group.ts'
import type { OwnMove } from '../terms/ownMove.ts'
import { rowsOf } from './free/rows.ts'
import { bareLine } from './free/marks.ts'
import { nameAnswers, type Choices, type Question } from './free/questions.ts'
import { isProvisional } from './free/ownMove.ts'
import { readFree } from './free/readFree.ts'
import { freeStation } from './free/station.ts'
import { nearestMoves, noReadings, type Readings } from './free/understandName.ts'
import { englishIn, severalMeanings } from './free/words.en.ts'
import { plainName } from './names.ts'
import { isOurs, parse, type Parsed, type ReadsFreely } from './parse.ts'
import { textProblem, type TextProblem } from './textProblem.ts'

/** The result of a text: always a session, with open questions and what there was no room for. */
export interface ReadText extends Parsed {
  questions: Question[]
}

export interface ReadTextOptions {
  /** The groups of a text that names none; by default K–1, 2–3 and 4–6. */
  groups?: readonly Group[]
  /** The groups are an existing session's: a text's labels are matched to them. */
  keepGroups?: boolean
  /** What words mean, as their teacher said. */
  readings?: Readings
  /** Where the school is. */
  country?: Country
  /** Answers about this text. */
  choices?: Choices
}

/** A line only our notation has: facts of the session, brackets for a group. */
const ourLine = /^\s*(?:minutes \d+(?:;|\s*$)|groups )|\[[^\][]+:[^\][]*\]/m
/** What is read differently if it is in our form. */
const trap =
  /->|→|^\s*\S.*?\s=\s|\b(?:easier|harder)\b(?!:\s)|^\s*(?:min(?:ute)? \d|odd|even)\b.*:|^\s*\d{1,2}\s?-\s?\p{L}|^\s*rest\b|(?:^|\s):\d\d\b|^\s*\d+ ?[x×] ?\p{L}/imu

/** Names that mean different things by country or lesson. */
const severalIn = new RegExp(`\\b(?:${Object.keys(severalMeanings).join('|')})(?:e?s)?\\b`, 'i')

/** Whether a text that reads fully as ours would still be misread: facts come after its rows, or it has such a line. */
function isTrap(text: string, { workout: session }: Parsed): boolean {
  const blocks = session.sections.flatMap((s) => s.blocks)
  return trap.test(text) || severalIn.test(text) || blocks.some((b) => hasStations(b) && stationsOf(b).length === 0)
}

/**
 * Reads any text a teacher writes. Text in our own notation is read exactly; lines of it that are not in the notation, and any other text,
 * are read freely. Nothing is refused: open points become questions.
 *
 * @example readText('Squats x10', library).workout.sections[0].blocks[0].form // 'list'
 */
export function readText(text: string, library: Library, options: ReadTextOptions = {}): ReadText {
  const read = readAny(text, library, options)
  const more = stillOpen(text, read, library, options.readings ?? noReadings)
  return more.length ? { ...read, questions: [...read.questions, ...more] } : read
}

/** Exercises known only by name are asked about until their teacher says they are her own. */
function stillOpen(
  text: string,
  { workout: session, questions }: ReadText,
  library: Library,
  readings: Readings,
): Question[] {
  if (questions.some((q) => q.kind === 'language')) return []
  const asked = new Set(questions.map((q) => plainName(q.received)))
  const lines = text.split('\n')
  return (session.moves ?? []).flatMap(({ move }): Question[] => {
    const word = plainName(move.name)
    if (!isProvisional(move) || asked.has(word) || readings.get(word) === 'own') return []
    const line = lines.findIndex((l) => l.toLowerCase().includes(move.name.toLowerCase()))
    if (line < 0) return []
    const column = lines[line]!.toLowerCase().indexOf(move.name.toLowerCase()) + 1
    const answers = nameAnswers(nearestMoves(move.name, library))
    return [{ kind: 'name', line: line + 1, column, length: move.name.length, received: move.name, answers }]
  })
}

function readAny(text: string, library: Library, options: ReadTextOptions): ReadText {
  const ours = ourLine.test(text)
  const strict =
    ours || isOurs(text, library, options.groups)
      ? parse(text, library, options.groups, undefined, options.readings)
      : undefined
  if (strict && !strict.problems.length && (ours || !isTrap(text, strict)))
    return { ...strict, workout: carryMoves(strict.workout, library), questions: [] }
  if (ours) return readMixed(text, library, options)
  const groups = options.groups ?? parse('', library).workout.groups
  const { workout: session, questions, lines, said } = readFree(text, library, { ...options, groups })
  return {
    workout: session,
    problems: tooMuch(text),
    said: { ...said, details: false, minutes: false, space: false },
    questions,
    lines,
  }
}

/** Reports that a text has more lines than a session ever has: it is read up to the limit. */
function tooMuch(text: string): TextProblem[] {
  const lines = text.split('\n')
  if (lines.length <= limits.lines) return []
  const at = { line: limits.lines + 1, column: 1, length: Math.max(1, lines[limits.lines]!.length) }
  return [textProblem('too-many', at, { expected: { atMost: limits.lines, of: 'lines', unread: true } })]
}

/** A text in our notation with lines that are not. */
function readMixed(
  text: string,
  library: Library,
  { groups, readings = noReadings, country = 'unsaid' }: ReadTextOptions,
): ReadText {
  const questions: Question[] = []
  const own = new Map<string, OwnMove>()
  const reader = { library, readings, english: englishIn(text, country) }
  const freely: ReadsFreely = (line, at, block, role) => {
    const bare = bareLine(line)
    const rows = rowsOf(bare.text, bare.at, reader)
    if (!rows) return undefined
    const words = plainName(line).split(' ').length
    if (rows.length === 1 && !rows[0]!.understood.named && words > 6 && !rows[0]!.dose) return undefined
    if (rows.every((row) => !row.understood.named && readings.get(plainName(row.name)) === 'note')) return undefined
    const make = { library, groups: role, own, id: () => 's0', lines: new Map<string, number>() }
    return rows.flatMap((row) => {
      const told = readings.get(plainName(row.name))
      if (told === 'note') return []
      if (!row.understood.named && told !== 'own')
        questions.push({
          kind: 'name',
          line: at.line,
          column: at.column + row.at,
          length: Math.max(1, row.name.length),
          received: row.name,
          answers: nameAnswers(row.understood.nearest()),
        })
      return freeStation(row, block.form, make) ?? []
    })
  }
  const parsed = parse(text, library, groups, freely, readings)
  const moves = [...own.values()].slice(0, limits.ownMoves)
  return { ...parsed, workout: carried(parsed.workout, moves, library), questions }
}

/** A session with the exercises its text brought. */
const carried = (session: Session, moves: readonly OwnMove[], library: Library): Session =>
  carryMoves(session, withOwnMoves(library, moves))
