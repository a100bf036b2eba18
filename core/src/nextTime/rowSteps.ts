import { performedBy, type Performed } from '../library/versionFor.ts'
import { versionsFor } from '../home/obstacles.ts'
import type { Block } from '../session/forms.ts'
import { stationsOf } from '../session/forms.ts'
import type { Cell, Station } from '../session/station.ts'
import { lowestGrade } from '../terms/group.ts'
import { mapGroups, valueFor } from '../terms/perGroup.ts'
import type { NextPlace, NextStep } from './step.ts'

/** A row as a group does it. */
interface Row {
  station: Station
  cell: Cell
  done: Performed
}

const rowsOf = (block: Block, { group, library }: NextPlace): Row[] =>
  stationsOf(block).map((station) => {
    const cell = valueFor(station.cells, group.id)
    return { station, cell, done: performedBy(cell, library) }
  })

/** The block with other cells in some rows for the group. */
function withRows(block: Block, { group }: NextPlace, rows: readonly Row[], change: (row: Row) => Cell): Block {
  const changed = new Map(rows.map((row) => [row.station.id, change(row)]))
  const stations = stationsOf(block).map((station) => {
    const cell = changed.get(station.id)
    return cell ? { ...station, cells: mapGroups(station.cells, [group.id], () => cell) } : station
  })
  return { ...block, stations } as Block
}

/** A plain number of a unit; ranges and open doses are for the child to raise. */
const amountIn = ({ dose }: Cell, unit: 'reps' | 'seconds'): number | undefined =>
  dose?.unit === unit && typeof dose.amount === 'number' ? dose.amount : undefined

const withAmount = (cell: Cell, amount: number): Cell =>
  cell.dose ? { ...cell, dose: { ...cell.dose, amount } } : cell

/** Power work becomes further and softer, never more of it. */
const isPower = ({ done }: Row): boolean => done.version.impact >= 0.5 || done.move.builds.includes('power')
const isStretch = ({ done }: Row): boolean => done.move.family === 'stretch' || done.move.family === 'breathe'
const isBalance = ({ done }: Row): boolean => done.move.family === 'balance'

/** The most reps that still train the same thing, by band. Common practice, no source; the youngest get another version instead of more. */
const mostReps = [0, 12, 15] as const
/** A harder version starts again with this many reps. */
const repsAgain = 8
/** The longest balance, by band. */
const longestBalance = [20, 30, 30] as const
/** The smallest household thing that makes a weight heavier: an exercise book, a tenth of a liter. */
const smallestKg = 0.1

/** One more rep of everything that is counted, up to the most of the band. */
function moreReps(block: Block, at: NextPlace): NextStep | undefined {
  const most = mostReps[at.band]
  const rows = rowsOf(block, at).filter((row) => {
    const reps = amountIn(row.cell, 'reps')
    return reps !== undefined && reps < most && !isPower(row) && !isStretch(row)
  })
  const [first] = rows
  if (!first) return undefined
  const from = amountIn(first.cell, 'reps')!
  return {
    lever: 'reps',
    facts: { from, to: from + 1, ...(rows.length === 1 && { move: first.done.version.name }) },
    block: withRows(block, at, rows, ({ cell }) => withAmount(cell, amountIn(cell, 'reps')! + 1)),
  }
}

/** One rep less of everything that is counted, down to three. */
export function lessReps(block: Block, at: NextPlace): NextStep | undefined {
  const rows = rowsOf(block, at).filter(({ cell }) => (amountIn(cell, 'reps') ?? 0) > 3)
  const [first] = rows
  if (!first) return undefined
  const from = amountIn(first.cell, 'reps')!
  return {
    lever: 'reps',
    facts: { from, to: from - 1 },
    block: withRows(block, at, rows, ({ cell }) => withAmount(cell, amountIn(cell, 'reps')! - 1)),
  }
}

/** Five more seconds of every balance, up to the longest of the band. */
function longerBalance(block: Block, at: NextPlace): NextStep | undefined {
  const most = longestBalance[at.band]
  const rows = rowsOf(block, at).filter((row) => {
    const seconds = amountIn(row.cell, 'seconds')
    return isBalance(row) && seconds !== undefined && seconds + 5 <= most
  })
  const [first] = rows
  if (!first) return undefined
  const from = amountIn(first.cell, 'seconds')!
  return {
    lever: 'hold',
    facts: { from, to: from + 5, ...(rows.length === 1 && { move: first.done.version.name }) },
    block: withRows(block, at, rows, ({ cell }) => withAmount(cell, amountIn(cell, 'seconds')! + 5)),
  }
}

/** A weight a tenth of a kilogram heavier, if its reps are at their most; if that is a large step, fewer reps. Not for the youngest. */
function heavier(block: Block, at: NextPlace): NextStep | undefined {
  if (at.band === 0) return undefined
  const row = rowsOf(block, at).find(({ cell }) => cell.load && (amountIn(cell, 'reps') ?? 0) >= mostReps[at.band])
  if (!row?.cell.load) return undefined
  const { kg } = row.cell.load
  const to = Math.round((kg + smallestKg) * 100) / 100
  return {
    lever: 'weight',
    facts: { from: kg, to, move: row.done.version.name },
    block: withRows(block, at, [row], ({ cell }) => ({
      ...(smallestKg / kg > 0.1 ? withAmount(cell, repsAgain) : cell),
      load: { ...cell.load!, kg: to },
    })),
  }
}

/** The versions of a row this group can do in this home. */
function ladderOf({ cell, done }: Row, { group, home, library }: NextPlace) {
  const fit = versionsFor(done.move, home, library, lowestGrade(group))
  return { fit, own: done.move.versions.findIndex((v) => v.id === cell.version), all: done.move.versions }
}

/** The next version of the first row that has one, with its reps from eight again if there were many. */
export function harderVersion(block: Block, at: NextPlace): NextStep | undefined {
  for (const row of rowsOf(block, at)) {
    if (isStretch(row) || row.cell.fromLap) continue
    const { fit, own, all } = ladderOf(row, at)
    const next = all.slice(own + 1).find((v) => fit.includes(v))
    // A version that lands harder is for the teacher to choose.
    if (!next || next.impact > row.done.version.impact) continue
    return versionStep(block, at, row, next, Math.min(amountIn(row.cell, 'reps') ?? 0, repsAgain))
  }
  return undefined
}

/** An easier version of the hardest row that has one. */
export function easierVersion(block: Block, at: NextPlace): NextStep | undefined {
  const rows = rowsOf(block, at).sort((a, b) => b.done.version.met - a.done.version.met)
  for (const row of rows) {
    const { fit, own, all } = ladderOf(row, at)
    const next = all.slice(0, own).findLast((v) => fit.includes(v))
    if (next) return versionStep(block, at, row, next)
  }
  return undefined
}

function versionStep(block: Block, at: NextPlace, row: Row, next: { id: string; name: string }, reps = 0): NextStep {
  return {
    lever: 'version',
    facts: { from: row.done.version.name, to: next.name, move: row.done.move.name },
    block: withRows(block, at, [row], ({ cell: { fromLap: _, ...cell } }) => ({
      ...(reps > 0 ? withAmount(cell, reps) : cell),
      version: next.id,
    })),
  }
}

/** One more of each, then heavier, then another version. */
export const rowsUp = (block: Block, at: NextPlace): (NextStep | undefined)[] => [
  moreReps(block, at),
  longerBalance(block, at),
  heavier(block, at),
  harderVersion(block, at),
]
