import type { Content, TableCell } from 'pdfmake/interfaces.js'
import type { Language } from '@esfuerzo/core'
import { sheetWords } from './words.ts'

/** A pupil's code to cut out. */
export interface Slip {
  alias: string
  code: string
}

const ink = '#1D2B2A'
const across = 2

/** One slip: the strip the teacher keeps, and the part that goes home, which names neither child nor school. */
function slipCell({ alias, code }: Slip, language: Language): TableCell {
  const words = sheetWords[language].slip
  return {
    table: {
      widths: [86, '*'],
      heights: 88,
      body: [
        [
          {
            stack: [
              { text: alias, bold: true, fontSize: 12 },
              { text: words.stays, fontSize: 7.5, color: '#3A4846', margin: [0, 4, 0, 0] },
            ],
            margin: [4, 8, 2, 4],
          },
          {
            stack: [
              { text: words.mine, fontSize: 10, alignment: 'center' },
              {
                // In two halves, as it is read aloud and typed.
                text: `${code.slice(0, 3)} ${code.slice(3)}`,
                font: 'Display',
                fontSize: 21,
                characterSpacing: 3,
                noWrap: true,
                alignment: 'center',
                margin: [0, 0, 0, 2],
              },
              { text: words.how, fontSize: 8, alignment: 'center' },
            ],
            margin: [4, 8, 4, 4],
          },
        ],
      ],
    },
    layout: {
      hLineWidth: () => 0.8,
      vLineWidth: () => 0.8,
      hLineColor: () => ink,
      vLineColor: () => ink,
      hLineStyle: () => ({ dash: { length: 3, space: 3 } }),
      vLineStyle: () => ({ dash: { length: 3, space: 3 } }),
    },
  }
}

/** The codes of a class to cut out: each slip has only one. */
export function slipSheet(slips: readonly Slip[], language: Language): Content[] {
  const cells = slips.map((slip) => slipCell(slip, language))
  const rows = Array.from({ length: Math.ceil(cells.length / across) }, (_, r) =>
    Array.from({ length: across }, (_c, c) => cells[r * across + c] ?? { text: '' }),
  )
  return [
    { text: sheetWords[language].slip.cut, fontSize: 9, color: '#3A4846', margin: [0, 0, 0, 6] },
    {
      table: { widths: ['*', '*'], dontBreakRows: true, body: rows },
      layout: {
        hLineWidth: () => 0,
        vLineWidth: () => 0,
        paddingLeft: () => 0,
        paddingRight: () => 0,
        paddingTop: () => 0,
        paddingBottom: () => 6,
      },
    },
  ]
}
