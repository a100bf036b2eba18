import type { Role } from '../../session/schema.ts'
import { plainName } from '../names.ts'
import type { Facts } from './facts.ts'
import type { GroupLabel } from './groups.ts'
import type { FreeRow } from './row.ts'

/** What a line is. */
export type Item = { line: number } & (
  | { kind: 'title'; text: string }
  | { kind: 'heading'; role: Role; title: string; facts: Facts; rows: FreeRow[]; keep?: boolean; surprise?: boolean }
  | { kind: 'block'; title: string }
  | { kind: 'facts'; facts: Facts }
  | { kind: 'legend'; entries: { label: GroupLabel; facts: Facts }[]; facts: Facts }
  | { kind: 'rows'; rows: FreeRow[]; facts?: Facts; title?: string; listed: boolean }
  | { kind: 'rest'; seconds: number }
  | { kind: 'note'; text: string }
  | { kind: 'target'; text: string }
  | { kind: 'easier' | 'harder'; text: string }
  | { kind: 'again'; facts: Facts }
  /** A sentence ends: rows that follow are others, but "do that twice" is of those before. */
  | { kind: 'pause' }
  /** What follows is no longer under the heading before it. */
  | { kind: 'end' }
)

/** The words of a text in the form in which they are compared. */
export const plainOf = (text: string): string[] => plainName(text).split(' ').filter(Boolean)
/** Whether words begin with those of a phrase. */
export const startsWith = (words: readonly string[], phrase: string): boolean => {
  if (words.length === 0 || !phrase.startsWith(words[0]!)) return false
  return phrase.split(' ').every((w, i) => words[i] === w)
}
/** A rest that takes a row's place. */
export const restRow = (name: string, at: number): FreeRow => ({
  name: name.trim() || 'Rest',
  at,
  understood: { note: '', nearest: () => [] },
  or: [],
  eachSide: false,
  note: [],
  label: undefined,
})
