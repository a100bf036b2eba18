import { readFacts, type Facts } from './facts.ts'
import { plainOf, startsWith, type Item } from './item.ts'
import { rowsOf } from './rows.ts'
import type { FreeRow, RowReader } from './row.ts'
import { sectionWords } from './words.en.ts'

/** Sections whose one word is also a move's or a sentence's: only where nothing else stands behind. */
const lonely = new Set([
  'stretch',
  'stretching',
  'last',
  'core',
  'strength',
  'cardio',
  'skill',
  'relax',
  'starter',
  'game',
  'main',
  'intro',
  'challenge',
  'activity',
  'finally',
  'bonus',
  'hiit',
  'workout',
  'circuit',
  'technique',
  'extension',
  'warmer',
])

/** Where words of a phrase end in the text they begin. */
function endOfWords(text: string, count: number): number {
  const words = [...text.matchAll(/[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu)]
  const last = words[count - 1]
  return last ? last.index + last[0].length : 0
}

/** A section's heading without a mark: its words, then minutes, a colon, facts, even rows. */
export function readHeading(text: string, line: number, reader: RowReader, listed: boolean): Item | undefined {
  const words = plainOf(text)
  const found = sectionWords
    .filter(([phrase]) => startsWith(words, phrase))
    .sort((a, b) => b[0].length - a[0].length)[0]
  if (!found || listed) return undefined
  const [phrase, role] = found
  const end = endOfWords(text, phrase.split(' ').length)
  const title = text.slice(0, end)
  const behind = text.slice(end)
  const separated = /^\s*(?:[:(–—-]|$)/.test(behind)
  const upper = title === title.toUpperCase() && /\p{L}/u.test(title)
  const head = { line, kind: 'heading', role, title } as const
  const { facts, strange, any } = readFacts(behind, true)
  const colon = /^\s*:/.test(behind)
  if (!strange.length && (any || !colon || !/\p{L}/u.test(behind))) {
    if (any && isLonely(phrase) && !separated && !upper) return undefined
    return { ...head, title: any ? title : text.replace(/\s*[:–—-]\s*$/, '').trim(), facts, rows: [] }
  }
  return inBrackets(head, behind, text, reader) ?? besideRows(head, phrase, behind, text, facts, reader)
}
const isLonely = (phrase: string): boolean => lonely.has(phrase) && phrase !== 'circuit' && phrase !== 'workout'

type Head = Pick<Extract<Item, { kind: 'heading' }>, 'line' | 'kind' | 'role' | 'title'>
const behindMark = (behind: string): string => behind.replace(/^\s*[:–—-]?\s*/, '')

/** `Warm up (5 mins) jog, star jumps`. */
function inBrackets(head: Head, behind: string, text: string, reader: RowReader): Item | undefined {
  const rest = behindMark(behind)
  const match = /^\(([^)]*)\)\s*[:–—-]?\s*/.exec(rest)
  const read = match && readFacts(match[1]!, true)
  if (!read?.any || read.strange.length) return undefined
  const rows = rowsOf(rest.slice(match![0].length), text.length - rest.length + match![0].length, reader)
  return { ...head, facts: read.facts, rows: rows ?? [] }
}

/** `Cool down: starfish stretch, slow breathing - 2 min`; "Main activity – Circuit" is one title. */
function besideRows(
  head: Head,
  phrase: string,
  behind: string,
  text: string,
  facts: Facts,
  reader: RowReader,
): Item | undefined {
  if (lonely.has(phrase) && !/^\s*[:–—-]/.test(behind)) return undefined
  const rest = behindMark(behind)
  const rows = rowsOf(rest, text.length - rest.length, reader)
  if (rows?.some((r) => r.understood.named || r.dose || r.sets)) return { ...head, facts: splitTime(rows, rest), rows }
  if (rows && /^\s*:/.test(behind)) return { ...head, facts: {}, rows }
  return plainOf(text).length <= 8 ? { ...head, title: text.trim(), facts, rows: [] } : undefined
}

/** A time behind several moves, after a dash, is all of theirs. */
function splitTime(rows: FreeRow[], text: string): Facts {
  const last = rows.at(-1)!
  if (rows.length < 2 || last.dose?.unit !== 'seconds' || rows.slice(0, -1).some((r) => r.dose)) return {}
  if (!/[-–—]\s*[^,–—-]*$/.test(text) || typeof last.dose.amount !== 'number') return {}
  const total = last.dose.amount
  delete last.dose
  return { total }
}
