import type { PlanBlock } from '@esfuerzo/core/oldPlans'

/** Left margin, chosen so that both A4 and Letter hold the page; in twentieths of a point. */
const margins = { top: 1000, bottom: 1000, left: 1000, right: 1000 }
const hair = { style: 'single', size: 4, color: '999999' } as const

/**
 * A session as a word-processor document (ECMA-376): title, headings, lines, quotations, and tables whose headings are repeated on every
 * page.
 *
 * @param blocks of a session: `planBlocks`
 */
export async function docxOf(blocks: readonly PlanBlock[]): Promise<Uint8Array<ArrayBuffer>> {
  const { Document, HeadingLevel, Packer, Paragraph, Table, TableCell, TableRow, TextRun, WidthType } =
    await import('docx')
  const levels = [HeadingLevel.TITLE, HeadingLevel.HEADING_1, HeadingLevel.HEADING_2] as const
  const runs = (text: string, bold = false) =>
    text.split('\n').map((line, i) => new TextRun({ text: line, bold, ...(i && { break: 1 }) }))
  const cell = (text: string, bold: boolean) =>
    new TableCell({
      children: [new Paragraph({ children: runs(text, bold) })],
      margins: { top: 50, bottom: 50, left: 90, right: 90 },
    })
  const table = (rows: readonly string[][]) =>
    new Table({
      width: { size: 100, type: WidthType.PERCENTAGE },
      borders: { top: hair, bottom: hair, left: hair, right: hair, insideHorizontal: hair, insideVertical: hair },
      rows: rows.map(
        (row, r) =>
          new TableRow({
            cantSplit: true,
            tableHeader: r === 0,
            children: row.map((text, c) => cell(text, r === 0 || c === 0)),
          }),
      ),
    })
  const children = blocks.flatMap((block) => {
    switch (block.kind) {
      case 'heading':
        return [new Paragraph({ text: block.text, heading: levels[block.level - 1] ?? HeadingLevel.HEADING_3 })]
      case 'quote':
        return block.text.split('\n').map((line) => new Paragraph({ text: line, style: 'Quote' }))
      case 'table':
        // Two adjacent tables would merge into one.
        return [table(block.rows), new Paragraph({})]
      case 'line':
        return [new Paragraph({ text: block.text, ...(block.listed && { bullet: { level: block.listed - 1 } }) })]
      case 'picture':
        return []
    }
  })
  const document = new Document({
    creator: 'Esfuerzo',
    styles: {
      default: { document: { run: { font: 'Arial', size: 22 } } },
      paragraphStyles: [
        { id: 'Quote', name: 'Quote', basedOn: 'Normal', run: { italics: true }, paragraph: { indent: { left: 300 } } },
      ],
    },
    sections: [{ properties: { page: { margin: margins } }, children }],
  })
  return new Uint8Array(await Packer.toArrayBuffer(document))
}
