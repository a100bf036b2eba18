import { limits } from '../base/limits.ts'
import type { PlanBlock } from './planBlock.ts'

/** Invisible marks for writing direction and word breaks. */
const silent = /[\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2064\u2066-\u2069\ufeff]/g
/** Bullets of other programs, including private-use characters of their fonts. */
const bullets = /^\s*[\u2022\u2023\u25aa\u25cf\u25e6\u2043\u2219\uf0b7\uf0a7\u00b7o]\s+(?=\p{L}|\p{N})/u

/** A line without invisible marks. */
const plain = (text: string): string =>
  text
    .replace(silent, '')
    .replace(/[\u00a0\u2000-\u200a\u202f\u3000]/g, ' ')
    .trim()
const allLinesOf = (text: string): string[] => text.split(/\r\n|[\n\r\u2028\u2029]/).map(plain)
const linesOf = (text: string): string[] => allLinesOf(text).filter(Boolean)

/** A line only our documents have: then the tables are ours too. */
const ourFacts = /^minutes \d+; groups /

/** Headings over columns of a row's own words. */
const ownWords = { note: /^note$/i, easier: /^easier$/i, harder: /^harder$/i } as const

/**
 * A table of ours as whiteboard lines: each group in brackets, the row's own words on lines below.
 *
 * @returns undefined if its heading is not ours
 */
function ourRows([head, ...rows]: readonly string[][]): string[] | undefined {
  if (!head || !/^move$/i.test(plain(head[0] ?? ''))) return undefined
  const columns = head.slice(1).map((text) => {
    const word = Object.entries(ownWords).find(([, pattern]) => pattern.test(plain(text)))
    return word ? { word: word[0] } : { group: plain(text) }
  })
  return rows.flatMap(([first = '', ...cells]) => {
    const groups = columns.flatMap((c, i) =>
      c.group === undefined ? [] : [{ group: c.group, says: plain(cells[i] ?? '') }],
    )
    const [one] = groups
    const same = one && /^\d/.test(one.says) && groups.every((g) => g.says === one.says)
    const own = groups.filter((g) => g.says).map((g) => `[${g.group}: ${g.says}]`)
    const words = columns.flatMap((c, i) =>
      c.word === undefined ? [] : cells[i] ? allLinesOf(cells[i]).map((line) => `${c.word}: ${line}`.trimEnd()) : [],
    )
    return [[plain(first), same ? one.says : own.join(' ')].filter(Boolean).join(' '), ...words]
  })
}

/** A cell with this many lines is a text of its own: the table is only used for layout. */
const linesOfText = 3

/** Whether a table is a layout of texts side by side instead of rows. */
const isLayout = (rows: readonly string[][]): boolean =>
  rows.length <= 3 && rows.some((row) => row.some((cell) => linesOf(cell).length >= linesOfText))

/** A layout table as one text after the other; a first row of short cells gives their headings. */
function columnsAsText(rows: readonly string[][]): string[] {
  const [head, ...rest] = rows
  const isHead = rest.length > 0 && head!.every((cell) => linesOf(cell).length <= 1 && cell.length <= 60)
  const body = isHead ? rest : rows
  return head!.flatMap((cell, i) => {
    const lines = body.flatMap((row) => linesOf(row[i] ?? ''))
    return lines.length ? [...(isHead && plain(cell) ? [`## ${plain(cell)}`] : []), ...lines.map(listed)] : []
  })
}
const listed = (line: string): string => (bullets.test(line) ? line.replace(bullets, '- ') : line)

/** Two heading rows as one: if the first names what several columns share, the second names each of them. */
function withOneHead([first, second, ...rest]: readonly string[][]): string[][] {
  if (!first || !second) return [first ?? []]
  const shared = first.some((cell, i) => i > 0 && cell !== '' && cell === first[i - 1])
  const isHead = first[0] === second[0] || !second.some((cell) => /\d/.test(cell))
  const whole = new Set(first).size === 1
  if (!shared || whole || !isHead) return [first, second, ...rest]
  return [second.map((cell, i) => cell || first[i]!), ...rest]
}

/** A row of words over rows of amounts. */
const isHead = (row: readonly string[]): boolean =>
  row.length > 1 && row.every((cell) => cell !== '' && !/\d/.test(cell)) && new Set(row).size === row.length
/** A single cell over the whole width is a line between tables. */
const isLine = (row: readonly string[]): boolean =>
  row.length > 1 && row.slice(1).every((text) => text === '' || text === row[0])

function tableLines(rows: readonly string[][], ours: boolean): string[] {
  const filled = rows.filter((row) => row.some((cell) => plain(cell)))
  const used = (filled[0] ?? []).map((_, i) => filled.some((row) => plain(row[i] ?? '')))
  const cells = filled.map((row) => row.filter((_, i) => used[i]))
  if (!cells.length) return []
  const own = ours ? ourRows(cells) : undefined
  if (own) return own
  if (isLayout(cells)) return columnsAsText(cells)
  if (cells.every((row) => row.length === 1)) return cells.flatMap((row) => linesOf(row[0]!).map(listed))
  const said = withOneHead(cells.map((row) => row.map((cell) => linesOf(cell).join('; ').replaceAll('|', '/'))))
  // A table of one row is a line of words.
  if (said.length === 1) return [said[0]!.filter(Boolean).join(', ')]
  const bars = (row: readonly string[]) => `| ${row.join(' | ')} |`
  if (!said.some(isLine)) return [...said.map(bars), '']
  // Lines split a table into several; each of them gets the heading once.
  const [first] = said
  const head = isHead(first!) ? bars(first!) : undefined
  const body = said.filter((row) => bars(row) !== head)
  return body.flatMap((row, i) => {
    const begins = !isLine(row) && (i === 0 || isLine(body[i - 1]!))
    return isLine(row) ? ['', row[0]!] : [...(begins && head ? [head] : []), bars(row)]
  })
}

/** Headings of a session's sections, which do not start a new session. In English, like the texts. */
const partWords =
  /\b(?:warm|cool|main|circuit|stations?|block|rounds?|part|skills?|games?|challenge|finisher?|stretch|brief|equipment|kit|rules?|notes?|intro|introduction|activity|activities|exercises?|moves?|tabata|amrap|emom|ladder|test|fitness|core|strength|cardio|relax|tag|end)/i

/**
 * How many `#` each level has: a single one of the highest level is the title if all others name sections; otherwise all of them are
 * sections.
 */
function levels(blocks: readonly PlanBlock[]): (level: number) => number {
  const used = [...new Set(blocks.flatMap((b) => (b.kind === 'heading' ? [b.level] : [])))].sort((a, b) => a - b)
  const [smallest] = used
  const [title, ...others] = blocks.flatMap((b) => (b.kind === 'heading' && b.level === smallest ? [b] : []))
  const isTitle =
    title !== undefined &&
    blocks.find((b) => b.kind !== 'picture') === title &&
    (!others.length || (!partWords.test(title.text) && others.every((b) => partWords.test(b.text))))
  return (level) => Math.min(3, used.indexOf(level) + (isTitle ? 1 : 2))
}

/**
 * A piece of a document as the text a teacher would have typed: headings with their level, lists, tables with bars; a table with a column
 * per group, in a document of ours, as whiteboard lines.
 *
 * @example planText([{ kind: 'heading', level: 1, text: 'Springs' }, { kind: 'line', text: 'Squats x10', listed: 1 }])
 * // '# Springs\n- Squats x10\n'
 */
export function planText(blocks: readonly PlanBlock[]): string {
  const level = levels(blocks)
  const title = blocks.find((b) => b.kind !== 'picture')
  const ours = blocks.some((b) => b.kind === 'line' && ourFacts.test(plain(b.text)))
  const lines = blocks.flatMap((block): string[] => {
    switch (block.kind) {
      case 'heading':
        // Only the first can be the title; later headings of its level are sections.
        return linesOf(block.text).map(
          (line) => `${'#'.repeat(Math.max(block === title ? 1 : 2, level(block.level)))} ${line}`,
        )
      case 'quote':
        return allLinesOf(block.text).map((line) => `> ${line}`)
      case 'table':
        return tableLines(block.rows, ours)
      case 'line':
        return linesOf(block.text).map((line) => (block.listed ? `- ${line.replace(bullets, '')}` : listed(line)))
      case 'picture':
        return []
    }
  })
  const text = lines
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
  return text ? `${text}\n` : ''
}

/** Whether a piece of a document has something that could be a row. */
const hasRows = (blocks: readonly PlanBlock[]): boolean =>
  blocks.filter((b) => b.kind === 'line').length >= 2 || blocks.some((b) => b.kind === 'table' && b.rows.length >= 2)

/**
 * Splits a document into its sessions: at headings of the highest level, if more than one of them has rows below it and they are not names
 * of sections.
 */
export function sessionsIn(blocks: readonly PlanBlock[]): PlanBlock[][] {
  const top = Math.min(...blocks.flatMap((b) => (b.kind === 'heading' ? [b.level] : [])))
  const starts = [...blocks.keys()].filter((i) => {
    const block = blocks[i]!
    return block.kind === 'heading' && block.level === top && !partWords.test(block.text)
  })
  const cuts = starts.map((from, n) => blocks.slice(from, starts[n + 1] ?? blocks.length))
  if (cuts.length < 2 || !cuts.every(hasRows)) return [[...blocks]]
  const before = blocks.slice(0, starts[0])
  return [[...before, ...cuts[0]!], ...cuts.slice(1)].slice(0, limits.sections)
}
