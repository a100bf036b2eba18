import type { Library } from '../library/library.ts'
import { performedBy, type Performed } from '../library/versionFor.ts'
import { changeSeconds, stanceFor, type Stance } from '../timing/changeOver.ts'
import type { Cell } from '../session/station.ts'

/** What a group does at a station, as far as it matters to its neighbors. */
export interface Neighbour {
  what: Performed
  stance: Stance
}

/** @throws {ProblemError} `unknown-move` or `unknown-version` */
export function neighbourOf(cell: Cell, library: Library): Neighbour {
  const what = performedBy(cell, library)
  return { what, stance: stanceFor(what, cell.load !== undefined, library) }
}

/** The reasons not to put two stations next to each other. */
export interface Clash {
  /** Main muscles they share, except those of the aim. */
  muscles: string[]
  /** Muscles that are main for one and help in the other, except those of the aim. */
  overlaps: string[]
  /** Seconds to change over, before the pace is applied. */
  seconds: number
  /** Things put down or picked up. */
  things: number
  hardJumps: boolean
  thuds: boolean
  family: boolean
}

const both = (a: readonly string[], b: readonly string[], aim?: string) => a.filter((m) => b.includes(m) && m !== aim)

/** @param aim the muscle the session trains: working it twice in a row is intended */
export function clashOf(a: Neighbour, b: Neighbour, aim?: string): Clash {
  const [one, other] = [a.what.move.muscles, b.what.move.muscles]
  const noise = ({ what }: Neighbour) => what.version.noise ?? what.move.noise
  return {
    muscles: both(one.main, other.main, aim),
    overlaps: [...both(one.main, other.also, aim), ...both(one.also, other.main, aim)],
    seconds: changeSeconds(a.stance, b.stance),
    things:
      a.stance.held.filter((k) => !b.stance.held.includes(k)).length +
      b.stance.held.filter((k) => !a.stance.held.includes(k)).length,
    hardJumps: Boolean(a.what.version.hard && b.what.version.hard),
    thuds: noise(a) === 'thud' && noise(b) === 'thud',
    family: a.what.move.family === b.what.move.family,
  }
}

/**
 * The cost of a clash, doubled to make it a whole number: 3 per shared main muscle, 1 per overlap, the change-over's seconds ÷ 2, 2 per
 * thing, 4 for two hard jumps, 2 for two loud ones, 5 for the same family. Ours.
 *
 * @example two squats, both standing, quiet, empty hands, one main muscle: 2 × 3 + 1 + 2 × 5 = 17
 */
export const clashCost = ({ muscles, overlaps, seconds, things, hardJumps, thuds, family }: Clash): number =>
  6 * muscles.length +
  2 * overlaps.length +
  seconds +
  4 * things +
  (hardJumps ? 8 : 0) +
  (thuds ? 4 : 0) +
  (family ? 10 : 0)
