import type { PlanBlock } from '@esfuerzo/core/oldPlans'

/** Elements whose text nobody sees. */
const unseen = new Set(['script', 'style', 'head', 'title', 'template', 'noscript', 'svg', 'math', 'iframe', 'object'])
/** Elements that start a line of their own. */
const lines = new Set([
  ...[
    'p',
    'div',
    'li',
    'section',
    'article',
    'header',
    'footer',
    'main',
    'aside',
    'dt',
    'dd',
    'pre',
    'address',
    'figure',
  ],
  ...['figcaption', 'form', 'fieldset', 'ul', 'ol', 'dl', 'body', 'html', 'center', 'caption'],
])
const lists = new Set(['ul', 'ol'])

/** A table while it is read: its rows, and cells from above that span into the current row. */
interface OpenTable {
  rows: string[][]
  row: string[] | undefined
  /** By column: how many more rows the cell spans, and its text. */
  down: Map<number, { rows: number; text: string }>
  cell: { text: string; across: number; down: number } | undefined
}

const spanOf = (value: string | undefined, most: number): number => Math.min(most, Math.max(1, Number(value) || 1))

/** Turns elements into pieces of a document, using HTML's names for them. */
export class BlockReader {
  readonly blocks: PlanBlock[] = []
  private text = ''
  private hidden = 0
  private quotes = 0
  private depth = 0
  private listed = false
  private heading: number | undefined
  private readonly tables: OpenTable[] = []

  private get table() {
    return this.tables.at(-1)
  }

  open(name: string, attributes: Readonly<Record<string, string>>): void {
    if (unseen.has(name)) this.hidden++
    if (this.hidden) return
    if (name === 'img') {
      this.blocks.push({
        kind: 'picture',
        name: attributes.alt?.trim() || attributes.src?.split(/[\\/]/).at(-1)?.slice(0, 60) || '',
      })
      return
    }
    if (name === 'br') return this.write('\n')
    if (name === 'table') {
      this.end()
      this.tables.push({ rows: [], row: undefined, down: new Map(), cell: undefined })
      return
    }
    if (this.table && /^(?:tr|t[dh])$/.test(name)) return this.openInTable(name, attributes)
    if (/^h[1-6]$/.test(name)) {
      this.end()
      this.heading = Number(name[1])
    } else if (name === 'blockquote') {
      this.end()
      this.quotes++
    } else if (lines.has(name)) this.end()
    if (lists.has(name)) this.depth++
    if (name === 'li') this.openItem()
  }

  write(text: string): void {
    if (this.hidden) return
    const cell = this.table?.cell
    if (cell) cell.text += text
    else if (!this.table) this.text += text
  }

  close(name: string): void {
    if (unseen.has(name)) this.hidden = Math.max(0, this.hidden - 1)
    if (this.hidden) return
    if (name === 'table') return this.closeTable()
    if (this.table && /^(?:tr|t[dh])$/.test(name)) return this.closeInTable(name)
    if (/^h[1-6]$/.test(name)) {
      this.end()
      this.heading = undefined
    } else if (lines.has(name)) this.end()
    else if (name === 'blockquote') {
      this.end()
      this.quotes = Math.max(0, this.quotes - 1)
    }
    if (lists.has(name)) this.depth = Math.max(0, this.depth - 1)
  }

  /** Ends a paragraph, and the quotation it belongs to. */
  closeParagraph(): void {
    this.end()
    this.quotes = 0
    this.heading = undefined
  }

  /** Ends the current line. */
  end(): void {
    const cell = this.table?.cell
    if (this.table) {
      // Inside a cell a line is a line of the cell.
      if (cell && cell.text.trim() && !/\n(?:- )?$/.test(cell.text)) cell.text += '\n'
      return
    }
    const text = this.text.replace(/[^\S\n]+/g, ' ').trim()
    this.text = ''
    if (!text) return
    if (this.heading) this.blocks.push({ kind: 'heading', level: this.heading, text: text.replace(/\n/g, ' ') })
    else if (this.quotes) this.quote(text)
    else this.blocks.push({ kind: 'line', text, ...(this.listed && { listed: Math.max(1, this.depth) }) })
    this.listed = false
  }

  /** Paragraphs of one quotation are its lines. */
  private quote(text: string): void {
    const last = this.blocks.at(-1)
    if (last?.kind === 'quote') last.text += `\n${text}`
    else this.blocks.push({ kind: 'quote', text })
  }

  private openItem(): void {
    const cell = this.table?.cell
    if (cell) cell.text += '- '
    else this.listed = !this.table
  }

  private openInTable(name: string, attributes: Readonly<Record<string, string>>): void {
    const table = this.table!
    if (name === 'tr') {
      this.closeRow(table)
      table.row = []
    } else {
      this.closeCell(table)
      table.row ??= []
      table.cell = { text: '', across: spanOf(attributes.colspan, 60), down: spanOf(attributes.rowspan, 2000) }
    }
  }

  private closeInTable(name: string): void {
    const table = this.table!
    if (name === 'tr') this.closeRow(table)
    else this.closeCell(table)
  }

  /** Cells that span from above come first. */
  private fillDown(table: OpenTable): void {
    const row = table.row!
    for (let above = table.down.get(row.length); above; above = table.down.get(row.length)) {
      const at = row.length
      row.push(above.text)
      if (above.rows <= 1) table.down.delete(at)
      else table.down.set(at, { ...above, rows: above.rows - 1 })
    }
  }

  private closeCell(table: OpenTable): void {
    const { cell } = table
    table.cell = undefined
    if (!cell) return
    this.fillDown(table)
    const row = table.row!
    const text = cell.text
      .replace(/[^\S\n]+/g, ' ')
      .replace(/ ?\n ?/g, '\n')
      .trim()
    for (let i = 0; i < cell.across; i++) {
      // A heading over several columns applies to each; a cell over the whole width is one line.
      if (cell.down > 1) table.down.set(row.length, { rows: cell.down - 1, text })
      row.push(text)
    }
  }

  private closeRow(table: OpenTable): void {
    this.closeCell(table)
    if (table.row) {
      this.fillDown(table)
      if (table.row.length) table.rows.push(table.row)
    }
    table.row = undefined
  }

  private closeTable(): void {
    const table = this.table
    if (!table) return
    this.closeRow(table)
    this.tables.pop()
    const width = Math.max(0, ...table.rows.map((row) => row.length))
    const rows = table.rows.map((row) => [...row, ...Array.from({ length: width - row.length }, () => '')])
    const outer = this.table
    // A table in a cell becomes lines of the cell.
    if (outer?.cell) outer.cell.text += `\n${rows.map((row) => row.filter(Boolean).join('  ')).join('\n')}\n`
    else if (rows.length) this.blocks.push({ kind: 'table', rows })
  }
}
