import type { Library } from '../library/library.ts'
import type { Move, Version } from '../terms/move.ts'
import type { Home } from '../session/schema.ts'
import { spaceSchema, type Space } from '../terms/space.ts'

/** Why something cannot be done in a home, as data. */
export type Obstacle =
  | { code: 'space'; needs: Space }
  | { code: 'noise' }
  /** `real`: a stand-in is not allowed here. */
  | { code: 'kit'; kit: string; real?: true }
  | { code: 'company' }
  | { code: 'adult' }

/** What a home has: what the teacher listed, and what every home has. */
export const hasKit = (home: Pick<Home, 'kit'>, kit: string, library: Pick<Library, 'kit'>): boolean =>
  home.kit.includes(kit) || Boolean(library.kit.get(kit)?.usual)

/**
 * The obstacles to one version of an exercise in a home. A chosen stand-in takes a thing's place.
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
    // A home with a stand-in for a thing does not have the thing itself: that is not enough if it must be the real one.
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

/** The versions of an exercise that a grade can do in a home. @param grade the lowest of a group; any grade by default */
export const versionsFor = (move: Move, home: Home, library: Pick<Library, 'kit'>, grade = 6): Version[] =>
  move.versions.filter((v) => v.fromGrade <= grade && obstacles(move, v, home, library).length === 0)
