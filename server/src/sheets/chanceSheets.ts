import type { Content, TableCell } from 'pdfmake/interfaces.js'
import { type PlayOf } from '@esfuerzo/core/publication'
import { boxMark, signMark } from './marks.ts'
import { chanceLine, doseLine, framed, head, picture, type SheetOf } from './parts.ts'
import { stationRowsOf } from './stationRows.ts'

const chances = (sheet: SheetOf): PlayOf<'chance'>[] =>
  Object.values(sheet.lane.plays).filter((play): play is PlayOf<'chance'> => play !== undefined && 'table' in play)

/** A sheet for a coin, a die or a toss: one column per face, one box per row. */
export function coinSheet(sheet: SheetOf): Content[] {
  const rows = new Map(stationRowsOf(sheet).map(({ row }) => [row.station, row]))
  return [
    head(sheet),
    ...chances(sheet).flatMap((play): Content[] => {
      const cell = (turn: PlayOf<'chance'>['table'][number]['turns'][number] | undefined): TableCell => {
        const row = rows.get(turn?.station)
        if (!row) return { text: '' }
        return {
          columns: [
            { svg: boxMark(20), width: 20 },
            { ...(picture(sheet, row.figure, 54) as object), width: 54 } as Content,
            {
              stack: [{ text: row.name, bold: true, fontSize: 13 }, { text: doseLine(sheet, row) }],
              margin: [0, 8, 0, 0],
            },
          ],
          columnGap: 8,
          margin: [2, 4, 2, 4],
        } as TableCell
      }
      // Six numbers fit in two rows of three, four suits in two of two: more is wider than the paper.
      const across = play.table.length % 3 === 0 ? 3 : 2
      const bands = Array.from({ length: play.table.length / across }, (_, b) =>
        play.table.slice(b * across, (b + 1) * across),
      )
      return [
        { text: chanceLine(sheet, play), margin: [0, 6, 0, 10], fontSize: 13 },
        ...bands.map((faces): Content => ({
          table: {
            widths: faces.map(() => '*'),
            dontBreakRows: true,
            headerRows: 1,
            keepWithHeaderRows: 1,
            body: [
              faces.map(({ face }): TableCell => ({
                text: sheet.words.coinFaces[face] ?? face,
                bold: true,
                fontSize: 18,
                alignment: 'center',
              })),
              ...Array.from({ length: Math.max(1, ...faces.map((f) => f.turns.length)) }, (_, i) =>
                faces.map(({ turns }) => cell(turns[i])),
              ),
            ],
          },
          layout: framed,
          margin: [0, 0, 0, 8],
        })),
      ]
    }),
    ...(chances(sheet).length ? [] : [{ text: sheet.words.nothing } as Content]),
  ]
}

/** A pack of cards to cut out: our own signs, the number, and the exercise its sign means in this session. */
export function playingCards(sheet: SheetOf): Content[] {
  const play = chances(sheet).find((p) => p.device === 'cards')
  const faces = play?.table ?? ['clubs', 'diamonds', 'hearts', 'spades'].map((face) => ({ face, turns: [] }))
  const rows = new Map(stationRowsOf(sheet).map(({ row }) => [row.station, row]))
  const cards = faces.flatMap(({ face, turns }) =>
    Array.from({ length: 13 }, (_, i): TableCell => ({
      stack: [
        {
          columns: [
            { text: String(i + 1), bold: true, fontSize: 26 },
            { svg: signMark(face, 28), width: 28 },
          ],
        },
        { ...(picture(sheet, rows.get(turns[0]?.station)?.figure, 76) as object), alignment: 'center' } as Content,
        {
          text: turns.map((t) => rows.get(t.station)?.name ?? '').join(' / ') || ' ',
          alignment: 'center',
          fontSize: 10,
        },
      ],
      margin: [6, 6, 6, 6],
    })),
  )
  const body = Array.from({ length: Math.ceil(cards.length / 4) }, (_, r) =>
    [0, 1, 2, 3].map((c) => cards[r * 4 + c] ?? { text: '' }),
  )
  return [
    { text: sheet.words.cardsHow, margin: [0, 0, 0, 8] },
    { table: { widths: ['*', '*', '*', '*'], heights: 150, dontBreakRows: true, body }, layout: framed },
  ]
}
