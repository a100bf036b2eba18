import { obstacles } from '../home/obstacles.ts'
import type { Home } from '../session/schema.ts'
import type { Space } from '../terms/space.ts'
import { spaceSchema } from '../terms/space.ts'
import type { Library } from '../library/library.ts'
import type { Family, Move } from '../terms/move.ts'
import { searchMoves } from './searchMoves.ts'

/** A teacher's filter; missing fields don't matter. */
export interface MoveFilter {
  /** Any text; spelling mistakes are tolerated. */
  typed?: string
  /** Id of a muscle that works or is stretched. */
  muscle?: string
  region?: 'upper' | 'lower' | 'core'
  family?: Family
  /** Needs nothing, or only this thing. */
  kit?: string
  /** Fits this much floor. */
  space?: Space
  quiet?: boolean
  /** Only exercises with at least one version this grade is ready for. */
  grade?: number
  /** Fits a session's home. */
  home?: Home
  /** Not among these, which were used lately. */
  notAmong?: ReadonlySet<string>
}

/**
 * Exercises a teacher looks for, the most likely first.
 *
 * @example filterMoves({ typed: 'jump', quiet: true }, library) // moves with a version that makes no noise
 */
export function filterMoves(filter: MoveFilter, library: Library): Move[] {
  const { muscle, region, family, kit, space, quiet, grade, home, notAmong } = filter
  const order = spaceSchema.options
  const fits = (move: Move) =>
    move.versions.some(
      (v) =>
        (grade === undefined || v.fromGrade <= grade) &&
        (!quiet || (v.noise ?? move.noise) === 'quiet') &&
        (!space || order.indexOf(v.space ?? move.space) <= order.indexOf(space)) &&
        (kit === undefined || needsOnly(v.kit ?? move.kit, kit)) &&
        (!home || obstacles(move, v, home, library).length === 0),
    )
  return searchMoves(library.moves.values(), filter.typed ?? '').filter(
    (move) =>
      (!family || move.family === family) &&
      (!muscle || musclesOf(move).includes(muscle)) &&
      (!region || musclesOf(move).some((id) => library.muscles.get(id)?.region === region)) &&
      !notAmong?.has(move.id) &&
      fits(move),
  )
}

/** The muscles an exercise is for: those that work most, or those it stretches. */
export const musclesOf = (move: Move): string[] => [...move.muscles.main, ...(move.stretches ?? [])]

/** With `none`: needs no equipment. With a thing: needs that thing. */
function needsOnly(needs: Move['kit'], kit: string): boolean {
  if (kit === 'none') return needs.every((need) => need.optional)
  return needs.some((need) => need.id === kit)
}
