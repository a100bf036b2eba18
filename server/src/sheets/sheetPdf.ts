import { createRequire } from 'node:module'
import pdfmake from 'pdfmake'
import type { Content } from 'pdfmake/interfaces.js'
import { type Language } from '@esfuerzo/core'
import { type Publication } from '@esfuerzo/core/publication'
import type { Paper, SheetKind } from '@esfuerzo/contract'
import { sheetKinds } from './kinds.ts'
import { laneSheetOf } from './parts.ts'
import { sheetWords } from './words.ts'

const { resolve } = createRequire(import.meta.url)
const text = (file: string) => resolve(`@expo-google-fonts/atkinson-hyperlegible/${file}`)
const display = (file: string) => resolve(`@expo-google-fonts/bricolage-grotesque/${file}`)
// The PDF package handles TrueType only: with other formats the text is kept but its letters are not shown.
const regular = text('400Regular/AtkinsonHyperlegible_400Regular.ttf')
const bold = text('700Bold/AtkinsonHyperlegible_700Bold.ttf')
const heading = display('700Bold/BricolageGrotesque_700Bold.ttf')
const fonts = {
  Text: { normal: regular, bold, italics: regular, bolditalics: bold },
  Display: { normal: heading, bold: heading, italics: heading, bolditalics: heading },
}
pdfmake.setFonts(fonts)
pdfmake.setUrlAccessPolicy(() => false)
pdfmake.setLocalAccessPolicy((path: string) => Object.values(fonts).some((f) => Object.values(f).includes(path)))

const margin = 40
/** Width and height in points. */
const pages: Record<Paper, { size: 'A4' | 'LETTER'; width: number }> = {
  a4: { size: 'A4', width: 595.28 },
  letter: { size: 'LETTER', width: 612 },
}

/** Points between the margins. */
export const widthOn = (paper: Paper): number => pages[paper].width - 2 * margin

/** Content as a PDF, black on white. */
export const pdfOf = (
  content: Content,
  { title, language, paper }: { title: string; language: Language; paper: Paper },
): Promise<Buffer> =>
  pdfmake
    .createPdf({
      pageSize: pages[paper].size,
      pageMargins: [margin, 36, margin, 44],
      content,
      defaultStyle: { font: 'Text', fontSize: 11, lineHeight: 1.15 },
      styles: {
        title: { font: 'Display', fontSize: 24, margin: [0, 0, 0, 2] },
        poster: { font: 'Display', fontSize: 34, alignment: 'center', margin: [0, 0, 0, 4] },
        lead: { fontSize: 13, margin: [0, 0, 0, 4] },
        h2: { font: 'Display', fontSize: 15, margin: [0, 12, 0, 4] },
      },
      footer: (page: number, pages: number) => ({
        columns: [
          { text: `Esfuerzo · ${title}` },
          { text: sheetWords[language].page(page, pages), alignment: 'right' },
        ],
        fontSize: 8,
        color: '#5B6866',
        margin: [margin, 12, margin, 0],
      }),
      info: { title, creator: 'Esfuerzo', producer: 'Esfuerzo' },
    })
    .getBuffer()

/**
 * A sheet as PDF, one or more pages for each lane.
 *
 * @param lanes ids of the lanes it is for; unknown ones are left out
 */
export function sheetPdf(
  publication: Publication,
  { kind, lanes, language, paper }: { kind: SheetKind; lanes: readonly string[]; language: Language; paper: Paper },
): Promise<Buffer> {
  const content = publication.lanes
    .filter((lane) => lanes.includes(lane.id))
    .map((lane, i): Content => ({
      stack: sheetKinds[kind](laneSheetOf(publication, lane, language, widthOn(paper))),
      ...(i > 0 && { pageBreak: 'before' as const }),
    }))
  return pdfOf(content, { title: publication.title, language, paper })
}
