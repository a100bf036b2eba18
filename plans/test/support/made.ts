import {
  AlignmentType,
  Document,
  Footer,
  Header,
  HeadingLevel,
  ImageRun,
  LevelFormat,
  Packer,
  Paragraph,
  Table,
  TableCell,
  TableRow,
  TextRun,
} from 'docx'
import ExcelJS from 'exceljs'
import { strToU8, zipSync, type Zippable } from 'fflate'
import { PDFDocument, StandardFonts } from 'pdf-lib'

type Children = (Paragraph | Table)[]
/** A single red point. */
export const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg=='),
  (c) => c.charCodeAt(0),
)

export const title = (text: string) => new Paragraph({ text, heading: HeadingLevel.TITLE })
export const heading = (text: string) => new Paragraph({ text, heading: HeadingLevel.HEADING_1 })
export const line = (text: string) => new Paragraph({ text })
/** Lines of one paragraph. */
export const broken = (...texts: string[]) =>
  new Paragraph({ children: texts.map((text, i) => new TextRun({ text, ...(i && { break: 1 }) })) })
export const bullets = (...texts: string[]) => texts.map((text) => new Paragraph({ text, bullet: { level: 0 } }))
export const numbered = (...texts: string[]) =>
  texts.map((text) => new Paragraph({ text, numbering: { reference: 'n', level: 0 } }))
export const picture = () =>
  new Paragraph({ children: [new ImageRun({ type: 'png', data: png, transformation: { width: 20, height: 20 } })] })

/** A cell with lines, or over several columns or rows. */
type Cell = string | { text: string; across?: number; down?: number }
export const table = (...rows: Cell[][]) =>
  new Table({
    rows: rows.map(
      (row) =>
        new TableRow({
          children: row.map((cell) => {
            const { text, across, down } = typeof cell === 'string' ? { text: cell, across: 1, down: 1 } : cell
            return new TableCell({
              children: text
                .split('\n')
                .map((t) =>
                  t.startsWith('• ') ? bullets(t.slice(2))[0]! : new Paragraph({ children: [new TextRun(t)] }),
                ),
              ...(across && { columnSpan: across }),
              ...(down && { rowSpan: down }),
            })
          }),
        }),
    ),
  })

/** A file made with the package `docx`. */
export async function docx(children: Children, around: { header?: string; footer?: string } = {}): Promise<Uint8Array> {
  const document = new Document({
    numbering: {
      config: [
        {
          reference: 'n',
          levels: [{ level: 0, format: LevelFormat.DECIMAL, text: '%1.', alignment: AlignmentType.START }],
        },
      ],
    },
    sections: [
      {
        ...(around.header && { headers: { default: new Header({ children: [line(around.header)] }) } }),
        ...(around.footer && { footers: { default: new Footer({ children: [line(around.footer)] }) } }),
        children,
      },
    ],
  })
  return new Uint8Array(await Packer.toArrayBuffer(document))
}

/** Text at a place of a page, from its lower left. */
export type Placed = [text: string, x: number, y: number, size?: number]

/** A file made with the package `pdf-lib`, A4. */
export async function pdf(pages: readonly Placed[][]): Promise<Uint8Array> {
  const document = await PDFDocument.create()
  const font = await document.embedFont(StandardFonts.Helvetica)
  for (const [i, texts] of pages.entries()) {
    // A page that comes again is copied: drawing is slow.
    const first = pages.indexOf(texts)
    if (first < i) {
      const [copy] = await document.copyPages(document, [first])
      document.addPage(copy!)
      continue
    }
    const page = document.addPage([595, 842])
    for (const [text, x, y, size = 11] of texts) page.drawText(text, { x, y, size, font })
  }
  return document.save()
}
/** Lines one under the other. */
export const down = (x: number, y: number, ...texts: string[]): Placed[] =>
  texts.map((text, i) => [text, x, y - 18 * i])

/** A file made with the package `exceljs`. */
export async function xlsx(
  sheets: Record<string, unknown[][]>,
  change: (book: ExcelJS.Workbook) => void = () => {},
): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook()
  for (const [name, rows] of Object.entries(sheets)) book.addWorksheet(name).addRows(rows)
  change(book)
  return new Uint8Array(await book.xlsx.writeBuffer())
}

const spaces =
  'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:draw="urn:oasis:names:tc:opendocument:xmlns:drawing:1.0"'
/** An OpenDocument text with this in its body. */
export const odt = (body: string, more: Zippable = {}): Uint8Array =>
  zipSync({
    mimetype: [strToU8('application/vnd.oasis.opendocument.text'), { level: 0 }],
    'content.xml': strToU8(
      `<?xml version="1.0" encoding="UTF-8"?><office:document-content ${spaces}><office:body><office:text>${body}</office:text></office:body></office:document-content>`,
    ),
    ...more,
  })
export const flatOdt = (body: string): Uint8Array =>
  strToU8(
    `<?xml version="1.0" encoding="UTF-8"?><office:document ${spaces} office:mimetype="application/vnd.oasis.opendocument.text"><office:body><office:text>${body}</office:text></office:body></office:document>`,
  )
export const utf8 = (text: string): Uint8Array => strToU8(text)
/** Western letters in one byte each, as old programs write them. */
export const latin = (text: string): Uint8Array =>
  Uint8Array.from(text, (c) => ({ '–': 0x96, '’': 0x92, '½': 0xbd })[c] ?? c.charCodeAt(0))
export const utf16 = (text: string): Uint8Array =>
  new Uint8Array([0xff, 0xfe, ...[...text].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8])])
