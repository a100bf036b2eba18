import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { libraryFor, newSession, readSession, stationsOf, timeline, type Session } from '@esfuerzo/core'
import { print, readText, type ReadText } from '@esfuerzo/core/notation'
import { namedAs, understandName } from '../../src/notation/free/understandName.ts'
import { library } from '../sessions.ts'

// Texts as teachers write them and everyday names of exercises, with their meaning: counts how many are read correctly.

export const { groups } = newSession(
  'x',
  [
    [0, 1],
    [2, 3],
    [4, 5, 6],
  ],
  20,
  library.version,
)
export const read = (text: string): ReadText => readText(text, library, { groups })
export const rows = (w: Session) => w.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
export const printed = (w: Session) => print(w, libraryFor(w, library))

/** What texts mean. */
export interface Expected {
  texts: Record<
    string,
    {
      groups: Record<string, { seconds: [number, number]; grades?: number[] }>
      rows: [number, number]
      moves: string[]
      keepAsText: string[]
    }
  >
}

/** Every mistake in how a text was read; empty if it was read completely. */
export function misread(text: string, expected: Expected['texts'][string]): string[] {
  const { workout: made } = read(text)
  const session = readSession(JSON.parse(JSON.stringify(made)))
  const whole = libraryFor(session, library)
  const wrong: string[] = []
  for (const [label, { seconds, grades }] of Object.entries(expected.groups)) {
    const meant = session.groups.filter((g) => label === '*' || grades!.every((grade) => g.grades.includes(grade)))
    if (!meant.length) wrong.push(`no group ${label}`)
    for (const { id } of label === '*' ? meant : meant.slice(0, 1)) {
      const steps = timeline(session, id, whole)
      const last = steps.at(-1)
      const typical = last ? last.at + last.seconds.typical : 0
      const change = steps.reduce(
        (sum, s) => sum + (s.kind === 'change' || s.kind === 'switch' ? s.seconds.typical : 0),
        0,
      )
      if (typical < seconds[0] || typical - change > seconds[1])
        wrong.push(`${label}: ${typical - change}–${typical} s is not within ${seconds.join('–')}`)
    }
  }
  const done = rows(session).reduce((n, s) => n + 1 + (s.cells.all.oneOf?.length ?? 0), 0)
  if (done < expected.rows[0] || done > expected.rows[1]) wrong.push(`${done} rows, not ${expected.rows.join('–')}`)
  const words = `${printed(session)}${JSON.stringify(session.sections)}`.toLowerCase()
  for (const kept of expected.keepAsText)
    if (!words.includes(kept.toLowerCase().replace(/[!?]+$/, ''))) wrong.push(`lost: ${kept}`)
  return wrong
}

const fixtures = (name: string) => join(import.meta.dirname, '../fixtures', name)
/** The texts of a folder of fixtures, each with its meaning. */
export const textsOf = (name: string): [string, string, Expected['texts'][string]][] => {
  const { texts } = JSON.parse(readFileSync(join(fixtures(name), 'expected.json'), 'utf8')) as Expected
  return readdirSync(fixtures(name))
    .filter((file) => file.endsWith('.txt'))
    .map((file) => [file, readFileSync(join(fixtures(name), file), 'utf8'), texts[file.replace('.txt', '')]!])
}

/** How everyday names are understood: right, asked about, or wrong without a question. */
export function namesRead(): { right: number; asked: number; known: number; wrong: string[] } {
  const names = readFileSync(fixtures('texts/names.tsv'), 'utf8')
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.split('\t') as [string, string, string])
  const read = { right: 0, asked: 0, known: 0, wrong: [] as string[] }
  for (const [, name, means] of names) {
    const { named } = understandName(name, library, new Map())
    const meant = means.split(' ')
    if (meant.some((m) => m !== 'N' && m !== 'V')) read.known++
    if (!named) {
      read.asked++
      continue
    }
    const right = meant.some((m) => {
      const told = namedAs(m, library)
      return told?.move === named.move && (!told.version || told.version === (named.version ?? named.move.standard))
    })
    if (right) read.right++
    else read.wrong.push(`${name} → ${named.move.id}:${named.version ?? ''}, not ${means}`)
  }
  return read
}
