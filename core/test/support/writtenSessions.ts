import fc from 'fast-check'
import {
  carryMoves,
  hasStations,
  readSession,
  testIds,
  withOwnMoves,
  type Block,
  type Cell,
  type Move,
  type OwnMove,
  type Station,
  type Session,
} from '@esfuerzo/core'
import { copyOfMove } from '../../src/terms/ownMove.ts'
import { sessionArbitrary } from '../arbitraries.ts'
import { library } from '../sessions.ts'

/** A teacher's own exercise under a name, with other versions besides the standard one. */
const own = (id: string, name: string, versions: readonly string[] = [], measures?: Move['measures']): OwnMove => {
  const { move, figures } = copyOfMove(library.moves.get('squat')!, id, name)
  const [first] = move.versions
  return {
    move: {
      ...move,
      ...(measures && { measures }),
      standard: 'own',
      versions: [
        ...versions.map((called, i) => ({ ...first!, id: `v${i}`, name: called, fromGrade: 0 })),
        { ...first!, id: 'own', name, fromGrade: versions.length ? 3 : 0 },
      ],
    },
    figures,
  }
}

/** Own exercises with the worst possible names. */
const ownMoves = [
  own('own-zorb', 'Zorb', ['Zorb easy', 'Little zorb']),
  own('own-twin', 'Zorb', ['Zorb easy']),
  own('own-digits', '3 × zorb, slow 10″'),
  own('own-star', '★'),
  own('own-squat', 'Squat'),
  own('own-marks', 'or else; lap 2: no [K-1: x] — “so” | #1', ['rest 30 s']),
  own('own-held', 'Hold 20 s', [], ['seconds', 'reps']),
  own('own-long', `${'Long name '.repeat(11)}end`.trim()),
  own('own-lunge', 'Zorb lunge and squat 3x10'),
]
/** A library that knows them. */
const knowing = withOwnMoves(library, ownMoves)

const groupNames = ['Year 3–4', 'P2 × 3', '* stars', 'Los de 5″', 'A', '4-6', 'Grade 2', 'Big · small', '“Q” [x]: y']
const called = [
  'Coin',
  'Note',
  'Easier',
  '3 laps',
  'Rest 30',
  'hold 20 s',
  'ask',
  'target',
  '2x8',
  'Quiz',
  'cards – two',
]
const asked = ['a | b', '*', '* both', 'because: so', '"yes"', 'a \\" | b', ' spaced ', 'plain', '“x”']

/** Choices made by numbers, one after the other. */
type Pick = <T>(list: readonly T[]) => T

function oddCell(cell: Cell, pick: Pick): Cell {
  if (pick([true, false])) return cell
  const { move } = pick(ownMoves)
  const version = () => pick(move.versions).id
  return {
    ...cell,
    move: move.id,
    version: version(),
    ...(cell.oneOf && { oneOf: [pick(ownMoves).move.id] }),
    ...(cell.fromLap && { fromLap: cell.fromLap.map((l) => (l.version ? { ...l, version: version() } : l)) }),
  }
}

function oddStation(station: Station, form: Block['form'], pick: Pick): Station {
  const { all, by } = station.cells
  return {
    ...station,
    cells: {
      all: oddCell(all, pick),
      ...(by && { by: Object.fromEntries(Object.entries(by).map(([id, cell]) => [id, oddCell(cell, pick)])) }),
    },
    ...(form === 'calls' && { storyName: pick(called) }),
  }
}

function oddBlock(block: Block, pick: Pick): Block {
  if (block.form === 'measure') return { ...block, test: pick(testIds) }
  if (block.form === 'quiz')
    return {
      ...block,
      questions: block.questions.map((q) => ({ ...q, ask: pick(asked), answers: q.answers.map(() => pick(asked)) })),
    }
  if (!hasStations(block)) return block
  return { ...block, stations: block.stations.map((s) => oddStation(s, block.form, pick)) } as Block
}

/** Sessions of every form with own exercises, odd group names, all tests, calls of reserved words, questions with our marks in them. */
export const writtenArbitrary: fc.Arbitrary<Session> = fc
  .tuple(sessionArbitrary, fc.infiniteStream(fc.nat({ max: 9999 })))
  .map(([w, numbers]) => {
    const pick: Pick = (list) => list[(numbers.next().value as number) % list.length]!
    const odd = {
      ...w,
      groups: w.groups.map((g, i) => ({
        ...g,
        ...(pick([true, false]) && { name: pick(groupNames), ages: [4 + i, 9 + i] as [number, number] }),
      })),
      sections: w.sections.map((s) => ({ ...s, blocks: s.blocks.map((b) => oddBlock(b, pick)) })),
    }
    return readSession(carryMoves(odd, knowing))
  })
