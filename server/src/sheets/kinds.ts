import type { Content, TableCell } from 'pdfmake/interfaces.js'
import {
  feltScale,
  minutesText,
  recordRows,
  sheetRows,
  type PlayOf,
  type RecordRow,
  type SheetBlock,
  type SheetRow,
} from '@esfuerzo/core'
import type { SheetKind } from '@esfuerzo/contract'
import { boxMark, signMark } from './marks.ts'
import {
  blockLine,
  boxes,
  carePart,
  chanceLine,
  doseLine,
  feltPart,
  fetchPart,
  framed,
  head,
  picture,
  ruled,
  type SheetOf,
} from './parts.ts'

const sectionsOf = (of: SheetOf) => sheetRows(of.publication, of.lane, of.language)

/** A row of the session sheet: figure, what and how, boxes. */
const sessionRow = (of: SheetOf, row: SheetRow, n: number): TableCell[] => [
  picture(of, row.figure, 62) as TableCell,
  {
    stack: [
      {
        text: [
          { text: `${n}  `, color: '#5B6866' },
          { text: row.name, bold: true, fontSize: 13 },
          ...(row.face ? [{ text: `  ${of.words.coinFaces[row.face] ?? row.face}`, color: '#5B6866' }] : []),
        ],
      },
      ...(doseLine(of, row) ? [{ text: doseLine(of, row), bold: true }] : []),
      { text: row.cues.join('. '), color: '#3A4846' },
    ],
    margin: [0, 6, 0, 0],
  },
  { stack: [boxes(row.boxes)], margin: [0, 14, 0, 0] },
]

const blockHead = (of: SheetOf, block: SheetBlock): Content[] => {
  const line = [block.title, blockLine(of, block)].filter(Boolean).join(' · ')
  return [
    ...(line ? [{ text: line, bold: true, margin: [0, 2, 0, 2], headlineLevel: 2 } as Content] : []),
    ...(block.chance
      ? [{ text: chanceLine(of, block.chance), margin: [0, 2, 0, 2], headlineLevel: 2 } as Content]
      : []),
    ...block.lines.map((text): Content => ({
      text,
      margin: [0, 2, 0, 2],
      ...(block.rows.length && { headlineLevel: 2 }),
    })),
  ]
}

/** The session for one lane, to be read aloud or followed alone; surprises on a page of their own. */
function sessionSheet(of: SheetOf): Content[] {
  let n = 0
  const part = (surprise: boolean) =>
    sectionsOf(of)
      .filter((s) => s.surprise === surprise && s.blocks.length > 0)
      .flatMap((section): Content[] => [
        { text: `${section.title} · ${minutesText(section.seconds)}`, style: 'h2', headlineLevel: 1 },
        ...section.blocks.flatMap((block): Content[] => [
          ...blockHead(of, block),
          ...(block.rows.length
            ? [
                {
                  table: {
                    widths: [66, '*', Math.min(8, Math.max(...block.rows.map((r) => r.boxes))) * 26],
                    dontBreakRows: true,
                    body: block.rows.map((row) => sessionRow(of, row, ++n)),
                  },
                  layout: ruled,
                } as Content,
              ]
            : []),
        ]),
      ])
  const open = part(false)
  const hidden = part(true)
  return [
    head(of),
    ...(of.publication.target ? [{ text: of.publication.target, style: 'lead' } as Content] : []),
    ...fetchPart(of),
    ...open,
    ...(hidden.length
      ? [{ text: of.words.surprise, italics: false, bold: true, margin: [0, 8, 0, 0] } as Content]
      : []),
    ...carePart(of),
    ...(hidden.length ? [{ stack: hidden, pageBreak: 'before' } as Content] : []),
  ]
}

/** Every station once, without those of a surprise. */
const stationsOf = (of: SheetOf, role = true): { row: SheetRow; block: SheetBlock }[] =>
  sectionsOf(of)
    .filter((section) => !section.surprise && (role || mainRoles.has(roleOf(of, section.id))))
    .flatMap((s) => s.blocks)
    .flatMap((block) => block.rows.map((row) => ({ row, block })))
const mainRoles = new Set(['main', 'skill', 'challenge'])
const roleOf = (of: SheetOf, id: string) => of.publication.sections.find((s) => s.id === id)?.role ?? 'main'

/** A picture for the wall: the main part's stations, large, two or three in a row. */
function poster(of: SheetOf): Content[] {
  const stations = stationsOf(of, false)
  const across = stations.length > 4 ? 3 : 2
  const size = Math.floor(of.width / across - 40)
  const cells = stations.map(({ row }, i): TableCell => ({
    stack: [
      { ...(picture(of, row.figure, size) as object), alignment: 'center' } as Content,
      { text: `${i + 1}  ${row.name}`, bold: true, fontSize: 15, alignment: 'center' },
      { text: doseLine(of, row) || ' ', fontSize: 13, alignment: 'center' },
    ],
    margin: [0, 4, 0, 6],
  }))
  const rows = Array.from({ length: Math.ceil(cells.length / across) }, (_, r) =>
    Array.from({ length: across }, (_c, c) => cells[r * across + c] ?? { text: '' }),
  )
  const lines = [...new Set(stations.map(({ block }) => blockLine(of, block)).filter(Boolean))]
  return [
    { text: of.publication.title, style: 'poster' },
    {
      text: [of.words.lane(of.lane.name), ...lines].join(' · '),
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
      : [{ text: of.words.nothing }]),
  ]
}

/** A card for each station, two on a page, to lie on the floor. */
function stationCards(of: SheetOf): Content[] {
  return stationsOf(of).map(({ row }, i): Content => ({
    table: {
      widths: ['*'],
      heights: [310],
      body: [
        [
          {
            stack: [
              { text: `${i + 1}  ${row.name}`, style: 'title', alignment: 'center' },
              { ...(picture(of, row.figure, 190) as object), alignment: 'center' } as Content,
              { text: doseLine(of, row) || ' ', bold: true, fontSize: 20, alignment: 'center' },
              { text: row.cues.join('. '), fontSize: 14, alignment: 'center' },
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

const chances = (of: SheetOf): PlayOf<'chance'>[] =>
  Object.values(of.lane.plays).filter((play): play is PlayOf<'chance'> => play?.form === 'chance')

/** A sheet for a coin, a die or a toss: a column a face, a box a row. */
function coinSheet(of: SheetOf): Content[] {
  const rows = new Map(stationsOf(of).map(({ row }) => [row.station, row]))
  return [
    head(of),
    ...chances(of).flatMap((play): Content[] => {
      const cell = (turn: PlayOf<'chance'>['table'][number]['turns'][number] | undefined): TableCell => {
        const row = rows.get(turn?.station)
        if (!row) return { text: '' }
        return {
          columns: [
            { svg: boxMark(20), width: 20 },
            { ...(picture(of, row.figure, 54) as object), width: 54 } as Content,
            {
              stack: [{ text: row.name, bold: true, fontSize: 13 }, { text: doseLine(of, row) }],
              margin: [0, 8, 0, 0],
            },
          ],
          columnGap: 8,
          margin: [2, 4, 2, 4],
        } as TableCell
      }
      // Six numbers stand in two rows of three, four suits in two of two: more is wider than the paper.
      const across = play.table.length % 3 === 0 ? 3 : 2
      const bands = Array.from({ length: play.table.length / across }, (_, b) =>
        play.table.slice(b * across, (b + 1) * across),
      )
      return [
        { text: chanceLine(of, play), margin: [0, 6, 0, 10], fontSize: 13 },
        ...bands.map((faces): Content => ({
          table: {
            widths: faces.map(() => '*'),
            dontBreakRows: true,
            headerRows: 1,
            keepWithHeaderRows: 1,
            body: [
              faces.map(({ face }): TableCell => ({
                text: of.words.coinFaces[face] ?? face,
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
    ...(chances(of).length ? [] : [{ text: of.words.nothing } as Content]),
  ]
}

/** A pack to cut out: our own signs, the number, and the move its sign stands for in this session. */
function playingCards(of: SheetOf): Content[] {
  const play = chances(of).find((p) => p.device === 'cards')
  const faces = play?.table ?? ['clubs', 'diamonds', 'hearts', 'spades'].map((face) => ({ face, turns: [] }))
  const rows = new Map(stationsOf(of).map(({ row }) => [row.station, row]))
  const cards = faces.flatMap(({ face, turns }) =>
    Array.from({ length: 13 }, (_, i): TableCell => ({
      stack: [
        {
          columns: [
            { text: String(i + 1), bold: true, fontSize: 26 },
            { svg: signMark(face, 28), width: 28 },
          ],
        },
        { ...(picture(of, rows.get(turns[0]?.station)?.figure, 76) as object), alignment: 'center' } as Content,
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
    { text: of.words.cardsHow, margin: [0, 0, 0, 8] },
    { table: { widths: ['*', '*', '*', '*'], heights: 150, dontBreakRows: true, body }, layout: framed },
  ]
}

/** Boxes in a line stand as far as the paper is wide; more go on below. */
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

/** A form for results: a box for everything the session asks to be written down; pulse; how it felt. */
function resultsForm(of: SheetOf): Content[] {
  const asked = recordRows(of.publication, of.lane, of.language)
  const named = { rounds: of.words.roundsDone, level: of.words.level, points: of.words.points }
  const nameOf = ({ kind, name }: RecordRow) => name ?? (kind in named ? named[kind as keyof typeof named] : '')
  const box = (on: boolean): TableCell =>
    on ? { svg: boxMark(24), width: 24, alignment: 'center', margin: [0, 9, 0, 0] } : { text: '' }
  const clean = asked.some(({ kind }) => kind === 'station')
  const weighed = asked.some(({ kg }) => kg !== undefined)
  return [
    head(of, `${of.words.results}: ${of.publication.title}`),
    { text: `${of.words.alias} ____________________     ${of.words.date} ______________`, margin: [0, 6, 0, 12] },
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
                  ...(clean ? [{ text: of.words.clean, fontSize: 9 }] : []),
                  ...(weighed ? [{ text: of.words.weight, fontSize: 9 }] : []),
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
    { text: of.words.pulse, style: 'h2' },
    {
      columns: [
        { text: of.words.before, width: 60, margin: [0, 6, 0, 0] },
        { svg: boxMark(28), width: 40 },
        { text: of.words.after, width: 60, margin: [0, 6, 0, 0] },
        { svg: boxMark(28), width: 40 },
      ],
      columnGap: 12,
    },
    ...feltPart(of, feltScale(of.lane.grades)),
  ]
}

/** How each kind of sheet is laid out for one lane. */
export const sheetKinds: Record<SheetKind, (of: SheetOf) => Content[]> = {
  session: sessionSheet,
  poster,
  stations: stationCards,
  coin: coinSheet,
  cards: playingCards,
  results: resultsForm,
  fetch: (of) => [head(of), { stack: of.publication.kit.length ? fetchPart(of) : [of.words.nothing], fontSize: 15 }],
  care: (of) => [head(of), { stack: carePart(of), fontSize: 15 }],
}
