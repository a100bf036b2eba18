import type { Content, TableCell } from 'pdfmake/interfaces.js'
import { minutesText } from '@esfuerzo/core'
import { type SheetBlock, type SheetRow } from '@esfuerzo/core/publication'
import type { SheetKind } from '@esfuerzo/contract'
import { coinSheet, playingCards } from './chanceSheets.ts'
import {
  blockLine,
  boxes,
  carePart,
  chanceLine,
  doseLine,
  fetchPart,
  framed,
  head,
  picture,
  ruled,
  ruledOn,
  type SheetOf,
} from './parts.ts'
import { resultsForm } from './resultsForm.ts'
import { sectionsOf, stationRowsOf } from './stationRows.ts'

/** A row of the session sheet: figure, what and how, boxes. */
const sessionRow = (sheet: SheetOf, row: SheetRow, n: number): TableCell[] => [
  picture(sheet, row.figure, 62) as TableCell,
  {
    stack: [
      {
        text: [
          { text: `${n}  `, color: '#5B6866' },
          { text: row.name, bold: true, fontSize: 13 },
          ...(row.face ? [{ text: `  ${sheet.words.coinFaces[row.face] ?? row.face}`, color: '#5B6866' }] : []),
        ],
      },
      ...(doseLine(sheet, row) ? [{ text: doseLine(sheet, row), bold: true }] : []),
      { text: row.cues.join('. '), color: '#3A4846' },
      ...ownWords(sheet, row).map((text): Content => ({ text })),
    ],
    margin: [0, 6, 0, 0],
  },
  { stack: [boxes(row.boxes)], margin: [0, 14, 0, 0] },
]

/** A teacher's own words about a row. */
const ownWords = ({ words }: SheetOf, { note, easier, harder }: SheetRow): string[] => [
  ...(note ? [note] : []),
  ...(easier ? [words.easier(easier)] : []),
  ...(harder ? [words.harder(harder)] : []),
]

const blockHead = (sheet: SheetOf, block: SheetBlock): Content[] => {
  const line = [block.title, blockLine(sheet, block)].filter(Boolean).join(' · ')
  return [
    ...(line ? [{ text: line, bold: true, margin: [0, 2, 0, 2] } as Content] : []),
    ...(block.chance ? [{ text: chanceLine(sheet, block.chance), margin: [0, 2, 0, 2] } as Content] : []),
    ...block.lines.map((text): Content => ({
      text,
      margin: [0, 2, 0, 2],
    })),
  ]
}

/** The session for one lane, to be read aloud or followed alone; surprises are on a page of their own. */
function sessionSheet(sheet: SheetOf): Content[] {
  let n = 0
  const part = (surprise: boolean) =>
    sectionsOf(sheet)
      .filter((s) => s.surprise === surprise && s.blocks.length > 0)
      .flatMap((section) =>
        section.blocks.flatMap((block, b): Content[] => {
          const title: Content = { text: `${section.title} · ${minutesText(section.seconds)}`, style: 'h2' }
          const widths = [66, '*', Math.min(8, Math.max(...block.rows.map((r) => r.boxes))) * 26]
          const [first, ...others] = block.rows.map((row) => sessionRow(sheet, row, ++n))
          // A table's heading stays with its first row: it never ends a page alone.
          const heading: Content = {
            stack: [
              ...(b === 0 ? [title] : []),
              ...blockHead(sheet, block),
              ...(first ? [{ table: { widths, body: [first] }, layout: ruled }] : []),
            ],
            unbreakable: true,
          }
          const rest: Content = { table: { widths, dontBreakRows: true, body: others }, layout: ruledOn }
          return others.length ? [heading, rest] : [heading]
        }),
      )
  const open = part(false)
  const hidden = part(true)
  return [
    head(sheet),
    ...(sheet.publication.target ? [{ text: sheet.publication.target, style: 'lead' } as Content] : []),
    ...fetchPart(sheet),
    ...open,
    ...(hidden.length
      ? [{ text: sheet.words.surprise, italics: false, bold: true, margin: [0, 8, 0, 0] } as Content]
      : []),
    ...carePart(sheet),
    ...(hidden.length ? [{ stack: hidden, pageBreak: 'before' } as Content] : []),
  ]
}

/** A poster for the wall: the main section's stations, large, two or three in a row. */
function poster(sheet: SheetOf): Content[] {
  const stations = stationRowsOf(sheet, false)
  const across = stations.length > 4 ? 3 : 2
  const size = Math.floor(sheet.width / across - 40)
  const cells = stations.map(({ row }, i): TableCell => ({
    stack: [
      { ...(picture(sheet, row.figure, size) as object), alignment: 'center' } as Content,
      { text: `${i + 1}  ${row.name}`, bold: true, fontSize: 15, alignment: 'center' },
      { text: doseLine(sheet, row) || ' ', fontSize: 13, alignment: 'center' },
    ],
    margin: [0, 4, 0, 6],
  }))
  const rows = Array.from({ length: Math.ceil(cells.length / across) }, (_, r) =>
    Array.from({ length: across }, (_c, c) => cells[r * across + c] ?? { text: '' }),
  )
  const lines = [...new Set(stations.map(({ block }) => blockLine(sheet, block)).filter(Boolean))]
  return [
    { text: sheet.publication.title, style: 'poster' },
    {
      text: [sheet.words.lane(sheet.lane.name), ...lines].join(' · '),
      fontSize: 16,
      alignment: 'center',
      margin: [0, 0, 0, 8],
    },
    ...(rows.length
      ? [
          {
            table: { widths: Array.from({ length: across }, () => '*'), dontBreakRows: true, body: rows },
            layout: framed,
          } as Content,
        ]
      : [{ text: sheet.words.nothing }]),
  ]
}

/** A card for each station, two on a page, to lay on the floor. */
function stationCards(sheet: SheetOf): Content[] {
  return stationRowsOf(sheet).map(({ row }, i): Content => ({
    table: {
      widths: ['*'],
      heights: [310],
      body: [
        [
          {
            stack: [
              { text: `${i + 1}  ${row.name}`, style: 'title', alignment: 'center' },
              { ...(picture(sheet, row.figure, 190) as object), alignment: 'center' } as Content,
              { text: doseLine(sheet, row) || ' ', bold: true, fontSize: 20, alignment: 'center' },
              { text: row.cues.join('. '), fontSize: 14, alignment: 'center' },
              ...ownWords(sheet, row).map((text): Content => ({ text, fontSize: 13, alignment: 'center' })),
            ],
            margin: [8, 10, 8, 10],
          },
        ],
      ],
    },
    layout: framed,
    margin: [0, 0, 0, 18],
    unbreakable: true,
  }))
}

/** The layout of each kind of sheet for one lane. */
export const sheetKinds: Record<SheetKind, (sheet: SheetOf) => Content[]> = {
  session: sessionSheet,
  poster,
  stations: stationCards,
  coin: coinSheet,
  cards: playingCards,
  results: resultsForm,
  fetch: (sheet) => [
    head(sheet),
    { stack: sheet.publication.kit.length ? fetchPart(sheet) : [sheet.words.nothing], fontSize: 15 },
  ],
  care: (sheet) => [head(sheet), { stack: carePart(sheet), fontSize: 15 }],
}
