import { readFacts } from './facts.ts'
import { restRow, type Item } from './item.ts'
import { rowsOf } from './rows.ts'
import type { RowReader } from './row.ts'

const labelWords =
  /^(?:heads?|tails?|hearts?|diamonds?|clubs?|spades?|red|amber|yellow|orange|green|blue|purple|pink|white|black|odd|even|(?:min(?:ute)?s?|station|stn|card|round|number|colour|lap|level|set) ?\d{1,2}|[a-z]|\d{1,2}|ace|king|queen|jack|monday|tuesday|wednesday|thursday|friday|saturday|sunday|mon|tues?|wed|thurs?|fri|sat|sun)$/i

/** `Red = press ups`, `Min 1: 10 burpees`, `Hearts - push-ups`, `1 = 10 star jumps`: what something calls. */
export function readLabelled(text: string, line: number, reader: RowReader, listed: boolean): Item | undefined {
  const match = /^([\p{L}\p{N} ]{1,14}?)\s*(=|:(?!\d)|\s[-–—]\s)\s*(?=\S)/u.exec(text)
  if (!match || !labelWords.test(match[1]!.trim())) return undefined
  const dash = /^[-–—]$/.test(match[2]!.trim())
  // "Wed – home PE" is a title, "Hearts – push-ups" a label.
  if (dash && /^\d|day$|^(?:mon|tues?|wed|thurs?|fri|sat|sun)$/i.test(match[1]!.trim())) return undefined
  const rest = text.slice(match[0].length)
  const label = match[1]!.trim()
  if (/^rest\b/i.test(rest) && !/\p{L}/u.test(rest.slice(4))) {
    return { line, kind: 'rows', rows: [{ ...restRow(rest, match[0].length), label }], listed }
  }
  const rows = rowsOf(rest, match[0].length, reader)
  return rows && { line, kind: 'rows', rows: rows.map((row) => ({ ...row, label })), listed }
}

/** `3x(10 squats + 20'' plank) R: 1'`: rounds of what is in brackets. */
export function readTimesOf(text: string, line: number, reader: RowReader): Item[] | undefined {
  const match = /^(\d{1,2})\s*[x×]\s*\(([^()]+)\)?(.*)$/i.exec(text)
  if (!match) return undefined
  const rows = rowsOf(match[2]!, text.indexOf('(') + 1, reader)
  const behind = readFacts(match[3]!, false)
  if (!rows || behind.strange.length) return undefined
  const { rest, ...facts } = behind.facts
  return [
    {
      line,
      kind: 'rows',
      rows,
      listed: false,
      facts: { ...facts, rounds: Number(match[1]), ...(rest !== undefined && { restRounds: rest }) },
    },
  ]
}
