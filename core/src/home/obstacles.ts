import type { Library } from '../library/library.ts'
import type { Move, Version } from '../terms/move.ts'
import type { Home } from '../session/schema.ts'
import { spaceSchema, type Space } from '../terms/space.ts'

/** Why something cannot be done in a home, as data. */
export type Obstacle =
  | { code: 'space'; needs: Space }
  | { code: 'noise' }
  /** `real`: nothing may stand in for it here. */
  | { code: 'kit'; kit: string; real?: true }
  | { code: 'company' }
  | { code: 'adult' }

/** What a house has: what was said, and what is in every home. */
export const hasKit = (home: Pick<Home, 'kit'>, kit: string, library: Pick<Library, 'kit'>): boolean =>
  home.kit.includes(kit) || Boolean(library.kit.get(kit)?.usual)

/**
 * What stands in the way of one version of a move in a home. A stand-in that was chosen takes a thing's place.
 *
 * @example obstacles(ropeSkip, standard, { ...home, quiet: true }, library) // [{ code: 'noise' }]
 */
export function obstacles(move: Move, version: Version, home: Home, library: Pick<Library, 'kit'>): Obstacle[] {
  const order = spaceSchema.options
  const space = version.space ?? move.space
  const noise = version.noise ?? move.noise
  const missing = (version.kit ?? move.kit).filter((need) => {
    if (need.optional) return false
    const replaced = Boolean(home.standIns[need.id])
    // A house that takes something else for a thing has none of it: where it must be the real one, that is not enough.
    if (need.standIn === false && replaced && !home.kit.includes(need.id)) return true
    return !hasKit(home, need.id, library) && !replaced
  })
  return [
    ...(order.indexOf(space) > order.indexOf(home.space) ? [{ code: 'space', needs: space } as const] : []),
    ...(noise === 'thud' && home.quiet ? [{ code: 'noise' } as const] : []),
    ...missing.map(
      (need) => ({ code: 'kit', kit: need.id, ...(need.standIn === false && { real: true as const }) }) as const,
    ),
    ...(move.together && home.company === 'alone' ? [{ code: 'company' } as const] : []),
    ...((version.adult ?? move.adult) && home.company === 'alone' ? [{ code: 'adult' } as const] : []),
  ]
}

/** The versions of a move that can be done in a home by a grade. @param grade the lowest of a group; left out, any */
export const versionsFor = (move: Move, home: Home, library: Pick<Library, 'kit'>, grade = 6): Version[] =>
  move.versions.filter((v) => v.fromGrade <= grade && obstacles(move, v, home, library).length === 0)
