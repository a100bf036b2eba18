import type { Column, Content, TableCell } from 'pdfmake/interfaces.js'
import { recordRows, type RecordRow } from '@esfuerzo/core/publication'
import { asksPulse, feltScale, pulsesAsked } from '@esfuerzo/core/run'
import { boxMark } from './marks.ts'
import { feltPart, head, ruled, type SheetOf } from './parts.ts'

/** Boxes in a line fill the paper's width; more continue below. */
const boxesAcross = 10

/** Numbered boxes to write into. */
const numberedBoxes = (count: number): Content => ({
  stack: Array.from({ length: Math.ceil(count / boxesAcross) }, (_, line) => ({
    columns: Array.from({ length: Math.min(boxesAcross, count - line * boxesAcross) }, (_, i) => ({
      width: 30,
      stack: [
        { text: count > 1 ? String(line * boxesAcross + i + 1) : ' ', fontSize: 8, alignment: 'center' },
        { svg: boxMark(24), width: 24, alignment: 'center' },
      ],
    })),
    columnGap: 2,
    margin: [0, 0, 0, 3],
  })),
})

/** Pulses: only a session that measures them asks for them. */
const pulsePart = ({ words, lane }: SheetOf): Content[] => [
  { text: words.pulse, style: 'h2' },
  {
    columns: pulsesAsked(lane).flatMap((when): Column[] => [
      { text: words.pulseWhen[when], width: 80, margin: [0, 6, 0, 0] },
      { svg: boxMark(28), width: 40 },
    ]),
    columnGap: 12,
  },
]

/** A results form: a box for everything the session records; pulse if it measures it; how it felt. */
export function resultsForm(sheet: SheetOf): Content[] {
  const asked = recordRows(sheet.publication, sheet.lane, sheet.language)
  const named = { rounds: sheet.words.roundsDone, level: sheet.words.level, points: sheet.words.points }
  const nameOf = ({ kind, name }: RecordRow) => name ?? (kind in named ? named[kind as keyof typeof named] : '')
  const box = (on: boolean): TableCell =>
    on ? { svg: boxMark(24), width: 24, alignment: 'center', margin: [0, 9, 0, 0] } : { text: '' }
  const clean = asked.some(({ kind }) => kind === 'station')
  const weighed = asked.some(({ kg }) => kg !== undefined)
  return [
    head(sheet, `${sheet.words.results}: ${sheet.publication.title}`),
    { text: `${sheet.words.alias} ____________________     ${sheet.words.date} ______________`, margin: [0, 6, 0, 12] },
    ...(asked.length
      ? [
          {
            table: {
              widths: ['*', boxesAcross * 32 - 6, ...(clean ? [44] : []), ...(weighed ? [52] : [])],
              headerRows: 1,
              dontBreakRows: true,
              body: [
                [
                  '',
                  '',
                  ...(clean ? [{ text: sheet.words.clean, fontSize: 9 }] : []),
                  ...(weighed ? [{ text: sheet.words.weight, fontSize: 9 }] : []),
                ],
                ...asked.map((row): TableCell[] => [
                  {
                    stack: [
                      { text: nameOf(row), bold: true },
                      { text: row.part, fontSize: 8, color: '#5B6866' },
                    ],
                    margin: [0, 7, 0, 0],
                  },
                  numberedBoxes(row.boxes) as TableCell,
                  ...(clean ? [box(row.kind === 'station')] : []),
                  ...(weighed ? [box(row.kg !== undefined)] : []),
                ]),
              ],
            },
            layout: ruled,
          } as Content,
        ]
      : []),
    ...(asksPulse(sheet.lane) ? pulsePart(sheet) : []),
    ...feltPart(sheet, feltScale(sheet.lane.grades)),
  ]
}
