import { ProblemError } from '../base/problem.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import type { Cell } from '../session/station.ts'
import type { Library } from './library.ts'
import type { Move, Version } from '../terms/move.ts'

/**
 * The default version of an exercise for a group: the hardest whose `fromGrade` its lowest grade has reached, but not harder than the
 * standard one; if none fits, the easiest.
 *
 * @example versionFor(squatJump, { grades: [0, 1] }).id // 'frog'
 */
export function versionFor(move: Move, group: Pick<Group, 'grades'>): Version {
  const grade = lowestGrade(group)
  const last = move.versions.findIndex((v) => v.id === move.standard)
  for (let i = last; i >= 0; i--) if (move.versions[i]!.fromGrade <= grade) return move.versions[i]!
  return move.versions[0]!
}

/** A cell's exercise and version, with the version's missing fields from the exercise. */
export interface Performed {
  move: Move
  version: Version
  posture: NonNullable<Version['posture']>
  sides: NonNullable<Version['sides']>
  kit: NonNullable<Version['kit']>
  figure: string
}

const performed = new WeakMap<Version, Performed>()

/**
 * The move and version that a cell names.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function performedBy(cell: Pick<Cell, 'move' | 'version'>, library: Library): Performed {
  const move = library.moves.get(cell.move)
  if (!move) throw new ProblemError([{ code: 'unknown-move', path: [cell.move], received: cell.move }])
  const version = move.versions.find((v) => v.id === cell.version)
  if (!version) {
    throw new ProblemError([
      {
        code: 'unknown-version',
        path: [cell.move, cell.version],
        received: cell.version,
        expected: { oneOf: move.versions.map((v) => v.id) },
      },
    ])
  }
  // Called for every step of every lane, so it is cached with its version.
  let known = performed.get(version)
  if (!known) {
    known = {
      move,
      version,
      posture: version.posture ?? move.posture,
      sides: version.sides ?? move.sides,
      kit: version.kit ?? move.kit,
      figure: version.figure ?? move.figure,
    }
    performed.set(version, known)
  }
  return known
}
