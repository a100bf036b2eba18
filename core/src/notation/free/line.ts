import { readHead } from '../sectionHead.ts'
import { again, readColon } from './colon.ts'
import { readFacts } from './facts.ts'
import { readHeading } from './heading.ts'
import { plainOf, startsWith, type Item } from './item.ts'
import { readLabelled, readTimesOf } from './labelled.ts'
import { readLegend } from './legend.ts'
import { bareLine, type Bare } from './marks.ts'
import { isSentence, sentencesOf } from './prose.ts'
import { readRow, type RowReader } from './row.ts'
import { rowsOf, withLevels } from './rows.ts'
import { inTimetable, timetabled } from './timetable.ts'
import { tokensOf } from './tokens.ts'
import { noteWords, targetWords } from './words.en.ts'

const day = /^(?:mon|tues|wednes|thurs|fri|satur|sun)day:?$/i

const date = /^(?:\d{4}-\d\d-\d\d|\d{1,2}[./]\d{1,2}[./](?:\d\d){1,2})$/

const target = new RegExp(`^(?:${targetWords.join('|')})s?\\b\\s*[:–-]?\\s*`, 'i')

/**
 * Reads a line by itself; what it is in its text is settled where the whole text is seen.
 *
 * @param line index of the line
 * @param first whether nothing but blank lines and greetings stand before it
 * @param beside whether a line beside it says what groups do
 */
export function readLine(raw: string, line: number, reader: RowReader, first: boolean, beside: boolean): Item[] {
  const marked = /^\s*(#{1,3})(?!#)\s*(.*)$/.exec(raw)
  if (marked) return [readMarked(marked[1]!.length, marked[2]!, line)]
  const quoted = /^\s*>\s?(.*)$/.exec(raw)
  if (quoted) return [{ line, kind: 'note', text: quoted[1]! }]
  const entry = inTimetable(raw)
  if (entry) return timetabled(entry, readLine(entry.text, line, reader, first, beside), line)
  const bare = bareLine(raw)
  if (!/[\p{L}\p{N}]/u.test(bare.text)) return bare.text ? [{ line, kind: 'note', text: bare.text }] : []
  return readBare(bare, line, reader, first, beside)
}

function readMarked(level: number, words: string, line: number): Item {
  if (level === 1) return { line, kind: 'title', text: words }
  if (level === 3) return { line, kind: 'block', title: words }
  const bracket = /\s*\(([^()]*)\)\s*$/.exec(words)
  const inside = bracket && readFacts(bracket[1]!, true)
  const timed = inside?.facts.total !== undefined && !inside.strange.length
  const head = readHead(timed ? words.slice(0, bracket!.index) : words)
  return { line, kind: 'heading', ...head, facts: timed ? inside.facts : {}, rows: [] }
}

// oxlint-disable-next-line complexity -- all a line may be, in the order in which it is tried
function readBare(
  { text, listed, pair }: Bare,
  line: number,
  reader: RowReader,
  first: boolean,
  beside: boolean,
): Item[] {
  if (date.test(text)) return [{ line, kind: 'note', text }]
  const words = plainOf(text)
  const aim = target.exec(text)
  if (aim && /[:–-]/.test(aim[0])) return [{ line, kind: 'target', text: text.slice(aim[0].length) }]
  const level = /^(easier|harder)\s*[:=–-]\s*(.+)$/i.exec(text)
  if (level) return [{ line, kind: level[1]!.toLowerCase() as 'easier' | 'harder', text: level[2]! }]
  const legend = readLegend(text, line, beside)
  if (legend) return legend
  const levelled = withLevels(text, 0, reader)
  if (levelled) return [{ line, kind: 'rows', rows: [levelled], listed }]
  const heading = readHeading(text, line, reader, listed)
  if (heading) return [heading]
  if (noteWords.some((phrase) => startsWith(words, phrase))) return [{ line, kind: 'note', text }]
  const times = readTimesOf(text, line, reader)
  if (times) return times
  if (day.test(text)) return [{ line, kind: 'block', title: text.replace(/:$/, '') }]
  const labelled = readLabelled(text, line, reader, listed)
  if (labelled) return [labelled]
  const { facts, strange, any } = readFacts(text, false)
  if (again.test(text) && !strange.filter((w) => !['song', 'music', 'half'].includes(w)).length)
    return [{ line, kind: 'again', facts }]
  if (any && !strange.length && !isName(text, reader)) {
    const alone = Object.keys(facts)
    const between = /\b(?:between|after|each|every)\b/i.test(text)
    if (alone.length === 1 && facts.rest !== undefined && !between) return [{ line, kind: 'rest', seconds: facts.rest }]
    return [...wordsBesides(text, line), { line, kind: 'facts', facts }]
  }
  const colon = readColon(text, line, reader, listed)
  if (colon) return colon
  const prose = words.length >= 12 && /[.!?]\s+\p{Lu}/u.test(text)
  if (prose) return sentencesOf(text, line, reader)
  const sentence = isSentence(text, words)
  const rows = rowsOf(text, 0, reader)
  const sure = rows?.every((r) => r.understood.named)
  if (/\s=\s/.test(text)) return [{ line, kind: 'note', text }]
  const amounts = tokensOf(text).some((t) => t.kind !== 'word' && t.kind !== 'mark')
  const plain = sure && rows?.every((r) => !r.note.length)
  const short = rows?.length === 1 && rows[0]!.dose && rows[0]!.name.split(' ').length <= 4 && !/[!?:]/.test(text)
  const dosed = rows && rows.length > 1 && rows.every((r) => r.dose)
  if (first && !plain && !dosed && !listed && words.length <= 12 && !short && (words.length > 4 || !amounts))
    return [{ line, kind: 'title', text }]
  const song =
    !/[.!?]\s/.test(text) && rows?.length === 1 && rows[0]!.sets !== undefined && rows[0]!.dose?.unit === 'seconds'
  if (rows && (sure || dosed || song || (!sentence && (rows.some((r) => r.dose || r.sets) || listed)))) {
    if (pair) for (const row of rows) row.pair = pair
    return [{ line, kind: 'rows', rows, listed }]
  }
  if (sentence) return sentencesOf(text, line, reader)
  if (rows && rows.length >= 3 && rows.some((r) => r.understood.named)) return [{ line, kind: 'rows', rows, listed }]
  if (rows && words.length <= 4 && rows.length === 1) return [{ line, kind: 'rows', rows, listed }]
  return [{ line, kind: 'note', text }]
}

/** Sentences of a line of facts that say none: "Rest as needed". And what a device is to be done with. */
const wordsBesides = (text: string, line: number): Item[] =>
  text
    .split(/(?<=[.!?;])\s+/)
    .filter((s) => !readFacts(s, false).any || /\b(?:flip|draw|roll)\b.*\d/i.test(s) || /\b(?:choose|pick)\b/i.test(s))
    .filter((s) => plainOf(s).length > 1)
    .map((s): Item => ({ line, kind: 'note', text: s.replace(/[.;]$/, '') }))

/** A name by itself that happens to be made of such words: "Step touch". */
const isName = (text: string, reader: RowReader): boolean => readRow(text, 0, reader)?.understood.named !== undefined
