import { plainOf } from './item.ts'
import { readRow, type FreeRow, type RowReader } from './row.ts'

const cut = /\s*(?:[,;+|]|\bthen\b|\s\/\s|(?<=\p{L})\/(?=\p{L})|\s&\s|\band then\b)\s*/giu

/** Pieces of a line between what parts moves, brackets left whole. */
function piecesOf(text: string): { text: string; at: number }[] {
  const blanked = text.replace(/\([^()]*\)?/g, (all) => '\u0001'.repeat(all.length))
  const pieces: { text: string; at: number }[] = []
  let from = 0
  for (const match of blanked.matchAll(cut)) {
    pieces.push({ text: text.slice(from, match.index), at: from })
    from = match.index + match[0].length
  }
  pieces.push({ text: text.slice(from), at: from })
  return pieces.filter((p) => p.text.trim())
}

/** "Hopping, 15 s right, 15 s left": what only says a side is of what stands before it. */
function withoutSides(pieces: { text: string; at: number }[]): { text: string; at: number }[] {
  const list: { text: string; at: number }[] = []
  for (const piece of pieces) {
    const words = plainOf(piece.text).filter(
      (w) => !/^\d/.test(w) && !/^(?:s|sec|second|min|minute|m|the|on|your|and|each|side|leg|arm|foot)$/.test(w),
    )
    const last = list.at(-1)
    if (last && words.length && words.every((w) => w === 'left' || w === 'right')) {
      if (!/\d/.test(last.text)) last.text = `${last.text} ${piece.text.replace(/\b(?:left|right)\b/gi, 'each side')}`
    } else list.push({ ...piece })
  }
  return list
}

/** The rows of a piece of text: one, or several where each of its parts is one. */
export function rowsOf(text: string, at: number, reader: RowReader): FreeRow[] | undefined {
  const pieces = withoutSides(piecesOf(text))
  const whole = readRow(text, at, reader)
  if (whole?.understood.named && !whole.note.length) return [withChoice(whole, text, at, reader)]
  if (pieces.length > 1) {
    const rows = pieces.map((p) => readRow(p.text, at + p.at, reader))
    const good = rows.filter((r) => r && (r.understood.named || (r.dose && r.name.split(' ').length <= 5)))
    const short = rows.every((r) => r && r.name.split(' ').length <= 4)
    const plain = !/[.!?]/.test(text)
    if (good.length === pieces.length || (good.length >= 1 && pieces.length >= 3 && short && plain)) {
      const all = rows.filter((r): r is FreeRow => r !== undefined)
      return all.map((row, i) => withChoice(row, pieces[i]!.text, at + pieces[i]!.at, reader))
    }
  }
  if (!whole) return undefined
  return [withChoice(whole, text, at, reader)]
}

/** "Press ups or dips": the second is a choice. */
function withChoice(row: FreeRow, text: string, at: number, reader: RowReader): FreeRow {
  const parts = text.split(/\s+or\s+/i)
  if (parts.length < 2 || parts.length > 5) return row
  const first = readRow(parts[0]!, at, reader)
  const others = parts.slice(1).map((p) => readRow(p.replace(/\([^)]*\)?/g, ' '), at, reader))
  if (!first?.understood.named || !others.every((o) => o?.understood.named)) return row
  const dose = first.dose ?? others.find((o) => o?.dose)?.dose
  return {
    ...first,
    ...(dose && { dose }),
    note: row.note.filter((n) => !/^or\b/i.test(n) && !others.some((o) => o!.name === n)),
    or: others.map((o) => o!.understood),
  }
}

const levelWord = /[\s,;(>→–-]*\b(easier|harder)\b\s*[:=–-]\s*/gi

/** A row with what is easier and harder behind it: its own words, never searched for the row's move. */
export function withLevels(text: string, at: number, reader: RowReader): FreeRow | undefined {
  if (!/easier|harder/i.test(text)) return undefined
  const levels = [...text.matchAll(levelWord)]
  const [first] = levels
  if (!first || first.index === 0) return undefined
  const row = readRow(text.slice(0, first.index), at, reader)
  if (!row) return undefined
  levels.forEach((level, i) => {
    const words = text.slice(level.index + level[0].length, levels[i + 1]?.index).replace(/[\s,;)>→–-]+$/, '')
    if (words) row[level[1]!.toLowerCase() as 'easier' | 'harder'] = words
  })
  return row
}
