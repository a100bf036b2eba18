import type { Problem } from '../base/problem.ts'
import { stationsOf } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { Cell } from '../session/station.ts'
import { libraryFor } from './carryMoves.ts'
import type { Library } from './library.ts'
import { ownMoveProblems } from './ownMoves.ts'

/** Exercises and versions a session names that neither library nor session has, and what its own exercises lack, each with its path. */
export function referenceProblems(session: Session, ours: Library): Problem[] {
  const library = libraryFor(session, ours)
  const problems: Problem[] = (session.moves ?? []).flatMap((own, i) => ownMoveProblems(own, ours, ['moves', i]))
  const look = (cell: Cell, path: Problem['path']) => {
    const move = library.moves.get(cell.move)
    if (!move) {
      problems.push({ code: 'unknown-move', path: [...path, 'move'], received: cell.move })
      return
    }
    const lookVersion = (version: string, at: Problem['path']) => {
      if (move.versions.some((v) => v.id === version)) return
      const expected = { oneOf: move.versions.map((v) => v.id) }
      problems.push({ code: 'unknown-version', path: [...at, 'version'], received: version, expected })
    }
    lookVersion(cell.version, path)
    cell.fromLap?.forEach((change, i) => {
      if (change.version) lookVersion(change.version, [...path, 'fromLap', i])
    })
  }
  session.sections.forEach((section, i) =>
    section.blocks.forEach((block, j) =>
      stationsOf(block).forEach((station, k) => {
        const path = ['sections', i, 'blocks', j, 'stations', k, 'cells']
        look(station.cells.all, [...path, 'all'])
        for (const [id, cell] of Object.entries(station.cells.by ?? {})) look(cell, [...path, 'by', id])
      }),
    ),
  )
  return problems
}
