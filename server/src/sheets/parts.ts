import type { Content, TableCell } from 'pdfmake/interfaces.js'
import { careText, gatheredCautions, minutesText, phrasesIn, saidMinutes, type Language } from '@esfuerzo/core'
import { figureSvg, type Figure } from '@esfuerzo/core/figure'
import { type Lane, type Publication, type SheetBlock, type SheetRow } from '@esfuerzo/core/publication'
import { boxMark, faceMark } from './marks.ts'
import { sheetWords, type SheetWords } from './words.ts'

/** The building blocks of every sheet. */
export interface SheetOf {
  publication: Publication
  lane: Lane
  language: Language
  words: SheetWords
  /** Points between the margins. */
  width: number
}

export const laneSheetOf = (publication: Publication, lane: Lane, language: Language, width: number): SheetOf => ({
  publication,
  lane,
  language,
  words: sheetWords[language],
  width,
})

/** A figure of the session as a picture; empty space for a thing without one. */
export function picture({ publication }: SheetOf, figure: string | undefined, size: number): Content {
  const found = publication.figures.find((f) => f.id === figure) as Figure | undefined
  return found ? { svg: figureSvg(found, { size }), width: size } : { text: ' ' }
}

/** Boxes in a row. */
export const boxes = (count: number, size = 22): Content => ({
  columns: Array.from({ length: Math.min(count, 8) }, () => ({ svg: boxMark(size), width: size })),
  columnGap: 4,
})

/** The header of a sheet: what, for whom, how long. */
export const head = ({ publication, lane, words }: SheetOf, title = publication.title): Content => [
  { text: title, style: 'title' },
  {
    text: [
      { text: `${lane.letter} · ${words.lane(lane.name)}`, bold: true },
      `   ${words.minutes(saidMinutes(lane.seconds))}`,
    ],
    style: 'lead',
  },
]

/** A thin line around everything, and nothing else. */
export const framed = {
  hLineColor: () => '#1D2B2A',
  vLineColor: () => '#1D2B2A',
  hLineWidth: () => 1,
  vLineWidth: () => 1,
}
/** Lines between rows only. */
export const ruled = {
  hLineWidth: (i: number, node: { table: { body: unknown[] } }) => (i === 0 || i === node.table.body.length ? 0 : 0.7),
  vLineWidth: () => 0,
  hLineColor: () => '#9AA5A2',
}

/** The same for rows that continue a table above. */
export const ruledOn = {
  ...ruled,
  hLineWidth: (i: number, node: { table: { body: unknown[] } }) => (i === node.table.body.length ? 0 : 0.7),
}

/** How a row is done: its dose, sides and weight in one line. */
export const doseLine = ({ words }: SheetOf, row: SheetRow): string =>
  [row.dose, row.eachSide ? words.eachSide : '', row.kg === undefined ? '' : words.kg(row.kg)]
    .filter(Boolean)
    .join(', ')

/** How a block is worked, in one line. */
export const blockLine = ({ words }: SheetOf, block: SheetBlock): string =>
  [
    block.times > 1 ? words.times(block.times) : '',
    block.pick === undefined ? '' : words.pick(block.pick),
    block.cap ? words[block.cap.asMany ? 'asMany' : 'atMost'](minutesText(block.cap.seconds)) : '',
    block.pace.map(({ work, rest }) => words.pace(work, rest)).join(' · '),
  ]
    .filter(Boolean)
    .join(' · ')

/** How chance is drawn, and until when. */
export function chanceLine({ words }: SheetOf, { device, stop }: NonNullable<SheetBlock['chance']>): string {
  const how = { coin: words.coinHow, dice: words.diceHow, toss: words.tossHow, cards: words.cardsHow }[device]
  const { kind, most = 1 } = stop
  const until =
    kind === 'cleared'
      ? words.until.cleared
      : kind === 'draws'
        ? words.until.draws(most)
        : words.until.minutes(minutesText(most))
  return `${how} ${until}`
}

/** What to fetch, each with a box, and what a child asks first. */
export function fetchPart({ publication, words, language }: SheetOf): Content[] {
  if (publication.kit.length === 0) return []
  const phrase = phrasesIn(publication.phrases, language)
  return [
    { text: words.fetch, style: 'h2' },
    ...publication.kit.map((item): Content => {
      const name = phrase(item.name)
      const other = item.standIn
        ? words.inPlace(name)
        : item.standIns.length
          ? words.orElse(item.standIns.map(phrase).join(', '))
          : ''
      return {
        columns: [
          { svg: boxMark(14), width: 14 },
          {
            text: [
              { text: item.standIn ? phrase(item.standIn) : name, bold: true },
              other ? ` (${other})` : '',
              item.optional ? ` · ${words.nice}` : '',
              item.ask ? `\n${phrase(item.ask)}` : '',
            ],
          },
        ],
        columnGap: 8,
        margin: [0, 3, 0, 3],
      }
    }),
  ]
}

/** The usual care, the exercises' cautions, and the school's line. */
export function carePart({ publication, words, language, lane }: SheetOf): Content[] {
  const phrase = phrasesIn(publication.phrases, language)
  const used = new Set(lane.steps.flatMap((s) => s.move ?? []))
  const own = { ...publication, moves: publication.moves.filter((m) => used.has(m.id)) }
  const cautions = gatheredCautions(own, phrase).map(({ text, moves }) =>
    moves.length ? `${text} (${moves.join(', ')})` : text,
  )
  const lines = [
    ...publication.care.map((code) => careText(code, language)),
    ...cautions,
    ...(publication.schoolNote ? [publication.schoolNote] : []),
  ].filter(Boolean)
  // Its first line stays with the start of the box: no page starts with an empty box.
  const body = [
    [{ text: words.care, bold: true, fontSize: 14, margin: [4, 4, 4, 0] }],
    ...lines.map((line) => [{ ul: [line], margin: [4, 2, 4, 2] }]),
  ] as TableCell[][]
  const outline = (i: number) => (i === 0 || i === body.length ? 1 : 0)
  return [
    {
      table: { widths: ['*'], headerRows: 1, keepWithHeaderRows: 1, dontBreakRows: true, body },
      layout: { ...framed, hLineWidth: outline },
      margin: [0, 10, 0, 0],
    },
  ]
}

/** How hard it felt: five faces for the youngest, 0 to 10 above. */
export function feltPart({ words }: SheetOf, scale: 'faces' | 'ten'): Content[] {
  const cells: TableCell[] =
    scale === 'faces'
      ? ([1, 2, 3, 4, 5] as const).map((level) => ({
          stack: [
            { svg: faceMark(level, 40), width: 40, alignment: 'center' },
            { text: words.faces[level - 1]!, fontSize: 9 },
          ],
          alignment: 'center',
        }))
      : Array.from({ length: 11 }, (_, n) => ({
          text: String(n),
          bold: true,
          alignment: 'center',
          margin: [0, 4, 0, 4],
        }))
  const ends: Content[] =
    scale === 'ten'
      ? [
          {
            columns: [{ text: `0: ${words.ten[0]}` }, { text: `10: ${words.ten[1]}`, alignment: 'right' }],
            fontSize: 9,
          },
        ]
      : []
  return [
    { text: words.felt, style: 'h2' },
    { table: { widths: cells.map(() => '*'), body: [cells] }, layout: scale === 'faces' ? 'noBorders' : framed },
    ...ends,
  ]
}
