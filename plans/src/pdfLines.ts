import type { PlanBlock } from '@esfuerzo/core/oldPlans'

/** A piece of text on a page: its start, width and size, in points from the lower left. */
export interface PdfText {
  text: string
  x: number
  y: number
  width: number
  size: number
}
export interface PdfPage {
  height: number
  texts: readonly PdfText[]
}

/** Text in one line of a page, split at wide gaps. */
interface Line {
  y: number
  size: number
  cells: { text: string; x: number; end: number }[]
}

/** Gap widths, in letter heights, that mean a blank or the next column. */
const [blank, wide] = [0.15, 1.6]
/** The share of a page, at its top and bottom, where repeated text is found. */
const margin = 0.1
/** A text this much larger than most is a heading. */
const larger = 1.15

function linesOf({ texts }: PdfPage): Line[] {
  const lines: Line[] = []
  const ordered = [...texts].filter((t) => t.text.trim()).sort((a, b) => b.y - a.y || a.x - b.x)
  for (const text of ordered) {
    const line = lines.find((l) => Math.abs(l.y - text.y) < 0.4 * Math.max(l.size, text.size))
    if (line) {
      line.size = Math.max(line.size, text.size)
      line.cells.push({ text: text.text, x: text.x, end: text.x + text.width })
    } else lines.push({ y: text.y, size: text.size, cells: [{ text: text.text, x: text.x, end: text.x + text.width }] })
  }
  for (const line of lines) {
    const cells: Line['cells'] = []
    for (const part of line.cells.sort((a, b) => a.x - b.x)) {
      const last = cells.at(-1)
      const gap = last ? part.x - last.end : Infinity
      if (!last || gap > wide * line.size) cells.push({ ...part })
      else {
        last.text += gap > blank * line.size && !/\s$/.test(last.text) ? ` ${part.text}` : part.text
        last.end = Math.max(last.end, part.end)
      }
    }
    line.cells = cells.map((c) => ({ ...c, text: c.text.replace(/\s+/g, ' ').trim() })).filter((c) => c.text)
  }
  return lines.filter((l) => l.cells.length)
}

const wordsOf = (line: Line): string => line.cells.map((c) => c.text).join(' ')
/** Repeated lines may differ in the page number. */
const repeatKey = (line: Line): string => `${Math.round(line.y / 3)} ${wordsOf(line).replace(/\d+/g, '#')}`

/** Lines at the top or bottom that occur on more than one page. */
function repeatedIn(pages: readonly { height: number; lines: readonly Line[] }[]): ReadonlySet<string> {
  const count = new Map<string, number>()
  for (const { height, lines } of pages)
    for (const line of lines)
      if (line.y > (1 - margin) * height || line.y < margin * height)
        count.set(repeatKey(line), (count.get(repeatKey(line)) ?? 0) + 1)
  return new Set([...count].flatMap(([key, n]) => (n > 1 ? [key] : [])))
}

/** Where to split a page of two text columns: no line crosses it, and both sides have words, not amounts. */
function gutterOf(lines: readonly Line[]): number | undefined {
  const two = lines.filter((l) => l.cells.length >= 2)
  const starts = two.map((l) => l.cells[1]!.x).sort((a, b) => a - b)
  const at = starts[Math.floor(starts.length / 2)]
  if (at === undefined) return undefined
  const cut = at - 2
  const right = lines.filter((l) => l.cells.some((c) => c.x >= cut))
  const over = lines.filter((l) => l.cells.some((c) => c.x < cut && c.end > cut + 4))
  const side = (is: (x: number) => boolean) => lines.flatMap((l) => l.cells.filter((c) => is(c.x)).map((c) => c.text))
  const words = (texts: readonly string[]) =>
    texts.reduce((n, t) => n + t.split(' ').length, 0) / Math.max(1, texts.length)
  const [left, other] = [side((x) => x < cut), side((x) => x >= cut)]
  // A table's second column is short, and is aligned with the lines of its first.
  const apart = right.filter((l) => l.cells.length === 1).length
  const isText = words(left) >= 2.5 && words(other) >= 2.5
  return other.length >= 4 &&
    over.length <= lines.length * 0.15 &&
    (isText || apart >= right.length / 2) &&
    !isTable(two)
    ? cut
    : undefined
}

/** Rows of amounts: most second cells have a digit and are short. */
const isTable = (lines: readonly Line[]): boolean =>
  lines.filter((l) => l.cells.length > 2 || /^\W*\d/.test(l.cells[1]!.text) || l.cells[1]!.text.length <= 8).length >
  lines.length / 2

/** A page of two columns as one: a line across both splits them, and the left comes before the right. */
function inReadingOrder(lines: readonly Line[]): Line[] {
  const cut = gutterOf(lines)
  if (cut === undefined) return [...lines]
  const out: Line[] = []
  let [left, right]: [Line[], Line[]] = [[], []]
  const flush = () => {
    out.push(...left, ...right)
    ;[left, right] = [[], []]
  }
  for (const line of lines) {
    if (line.cells.some((c) => c.x < cut && c.end > cut + 4)) {
      flush()
      out.push(line)
      continue
    }
    const [a, b] = [line.cells.filter((c) => c.x < cut), line.cells.filter((c) => c.x >= cut)]
    if (a.length) left.push({ ...line, cells: a })
    if (b.length) right.push({ ...line, cells: b })
  }
  flush()
  return out
}

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

/** Consecutive lines with the same number of cells are a table; each cell goes into the column whose start is nearest. */
function tableFrom(lines: readonly Line[], from: number): { rows: string[][]; to: number } | undefined {
  let to = from
  while (to < lines.length && lines[to]!.cells.length >= 2) to++
  const run = lines.slice(from, to)
  if (run.length < 2) return undefined
  const widest = run.reduce((a, b) => (b.cells.length > a.cells.length ? b : a))
  const columns = widest.cells.map((c) => c.x)
  const rows = run.map((line) => {
    const row = columns.map(() => '')
    for (const cell of line.cells) {
      const distance = (i: number) => Math.abs(columns[i]! - cell.x)
      const at = columns.reduce((best, _, i) => (distance(i) < distance(best) ? i : best), 0)
      row[at] = row[at] ? `${row[at]} ${cell.text}` : cell.text
    }
    return row
  })
  return { rows, to }
}

const bullet = /^[\u2022\u2023\u25aa\u25cf\u25e6\u2043\u2219\uf0b7\uf0a7\u00b7–-]\s*/
/** A line that continues in the next: it reaches the edge, and the next starts in lower case. */
const goesOn = (line: Line, next: Line | undefined, edge: number): boolean =>
  next !== undefined &&
  line.cells.length === 1 &&
  next.cells.length === 1 &&
  line.cells[0]!.end > edge - 6 * line.size &&
  Math.abs(line.size - next.size) < 1 &&
  /^\p{Ll}/u.test(next.cells[0]!.text)

/**
 * Pages as pieces: repeated lines are removed, columns are read one after the other, larger lines are headings, lines of aligned cells are
 * tables.
 */
export function blocksOfPages(pages: readonly PdfPage[]): { blocks: PlanBlock[]; repeated: string[] } {
  const all = pages.map((page) => ({ height: page.height, lines: linesOf(page) }))
  const repeats = repeatedIn(all)
  const repeated = new Set<string>()
  const kept = all.map(({ lines }) =>
    inReadingOrder(
      lines.filter((line) => {
        if (!repeats.has(repeatKey(line))) return true
        repeated.add(wordsOf(line))
        return false
      }),
    ),
  )
  const size = middle(kept.flat().flatMap((l) => Array.from({ length: wordsOf(l).length }, () => l.size)))
  const sizes = [...new Set(kept.flat().map((l) => Math.round(l.size)))]
    .filter((s) => s > larger * size)
    .sort((a, b) => b - a)
  const blocks: PlanBlock[] = []
  for (const lines of kept) {
    const edge = Math.max(0, ...lines.flatMap((l) => l.cells.map((c) => c.end)))
    for (let i = 0; i < lines.length; i++) {
      const line = lines[i]!
      const table = tableFrom(lines, i)
      if (table) {
        blocks.push({ kind: 'table', rows: table.rows })
        i = table.to - 1
        continue
      }
      let text = line.cells.map((c) => c.text).join('   ')
      while (goesOn(lines[i]!, lines[i + 1], edge)) text += ` ${lines[++i]!.cells[0]!.text}`
      const level = sizes.indexOf(Math.round(line.size))
      if (level >= 0 && text.length <= 90) blocks.push({ kind: 'heading', level: level + 1, text })
      else blocks.push({ kind: 'line', text: text.replace(bullet, ''), ...(bullet.test(text) && { listed: 1 }) })
    }
  }
  return { blocks, repeated: [...repeated] }
}
