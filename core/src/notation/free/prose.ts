import { readFacts } from './facts.ts'
import { plainOf, startsWith, type Item } from './item.ts'
import { readRow, type RowReader } from './row.ts'
import { tokensOf } from './tokens.ts'
import { noteWords } from './words.en.ts'

/** Whether a line is a sentence to be read: it has the marks of one, or begins as such lines do. */
export function isSentence(text: string, words: readonly string[]): boolean {
  const pieces = text.replace(/\([^()]*\)?/g, '').split(/[,;+/]/)
  // A list of short things is none, however long it is.
  if (pieces.length >= 3 && pieces.every((p) => plainOf(p).length <= 6)) return false
  if (noteWords.some((phrase) => startsWith(words, phrase))) return true
  const letters = words.filter((w) => /^\p{L}{2}/u.test(w)).length
  if (letters >= 6 && /[.!?…]\s*$/.test(text)) return true
  return words.length >= 9
}

/** Prose: each of its sentences that says what to do, by itself; the others stay words. */
export function sentencesOf(text: string, line: number, reader: RowReader): Item[] {
  const sentences = text.split(/(?<=[.!?])\s+/).filter((s) => s.trim())
  const items = sentences.flatMap((sentence): Item[] => {
    const plain = sentence.replace(/[.!?]+$/, '')
    const { facts, strange, any } = readFacts(plain, false)
    if (any && !strange.length) return [{ line, kind: 'facts', facts }]
    const parts = plain.split(/\s*(?:,\s*(?:and\s+)?then|,|\bthen\b|\band\b)\s*/i).filter((p) => p.trim())
    const read = parts.map((part): Item | undefined => {
      const said = readFacts(part, false)
      const amount = tokensOf(part).some((t) => t.kind !== 'word' && t.kind !== 'mark')
      if (said.any && !said.strange.length) {
        const keys = Object.keys(said.facts)
        return keys.length === 1 && said.facts.rest !== undefined
          ? { line, kind: 'rest', seconds: said.facts.rest }
          : { line, kind: 'facts', facts: said.facts }
      }
      const row = amount ? readRow(part, 0, reader) : undefined
      const does =
        row?.dose && (row.understood.named ?? (row.dose.unit === 'seconds' && row.name.split(' ').length <= 4))
      return row && does ? { line, kind: 'rows', rows: [row], listed: false } : undefined
    })
    return read.every(Boolean) && read.some((i) => i!.kind === 'rows')
      ? [...(read as Item[]), { line, kind: 'pause' }]
      : [{ line, kind: 'note', text: sentence }]
  })
  return items.every((i) => i.kind === 'note') ? [{ line, kind: 'note', text }] : items
}
