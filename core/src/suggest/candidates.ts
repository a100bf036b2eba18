import { musclesOf } from '../choose/filterMoves.ts'
import { versionAtHome } from '../choose/versionAtHome.ts'
import { obstacles, versionsFor } from '../home/obstacles.ts'
import type { Library } from '../library/library.ts'
import type { Home } from '../session/schema.ts'
import type { Builds } from '../terms/builds.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import type { Move, Version } from '../terms/move.ts'

/** Parts of the body a session is to cover. */
export const covers = ['legs', 'core', 'push', 'pull'] as const
export type Cover = (typeof covers)[number]

/** Upper muscles that push; the others of the upper body pull. */
const pushing = ['chest', 'triceps', 'shoulders']

/** What a move covers, by the muscles it is for. @example coversOf(squat, library) // ['legs'] */
export function coversOf(move: Move, { muscles }: Pick<Library, 'muscles'>): Cover[] {
  const found = musclesOf(move).flatMap((id): Cover[] => {
    const region = muscles.get(id)?.region
    if (region === 'lower') return ['legs']
    if (region === 'core') return ['core']
    if (region === 'upper') return [pushing.includes(id) ? 'push' : 'pull']
    return []
  })
  return [...new Set(found)]
}

/** Whether every group has a version of a move it is ready for, in this home, with nobody's help. */
export const fitsAll = (move: Move, groups: readonly Group[], home: Home, library: Pick<Library, 'kit'>): boolean =>
  !move.retired &&
  groups.every((group) => {
    const version = versionAtHome(move, group, home, library)
    return (
      version.fromGrade <= lowestGrade(group) &&
      !(version.adult ?? move.adult) &&
      obstacles(move, version, home, library).length === 0
    )
  })

/** Things a move asks for, in the version some group does. */
export const thingsOf = (
  move: Move,
  { groups, home }: { groups: readonly Group[]; home: Home },
  library: Pick<Library, 'kit'>,
): string[] => [
  ...new Set(
    groups.flatMap((group) =>
      (versionAtHome(move, group, home, library).kit ?? move.kit).flatMap((k) => (k.optional ? [] : [k.id])),
    ),
  ),
]

/** What is done on a chair is there for those who sit: it stands in for other moves, and is no choice among them. */
const forThoseWhoSit = (move: Move): boolean => move.posture === 'seated' && move.kit.some(({ id }) => id === 'chair')

const isStretchOrBreath = ({ family }: Move): boolean => family === 'stretch' || family === 'breathe'
const isHeldStretch = (move: Move): boolean => move.stretches !== undefined && !move.measures.includes('reps')

/** Whether a move does for an aim. A stretch does for suppleness alone. */
export function doesFor(move: Move, aim: Builds): boolean {
  if (aim === 'balance') return move.family === 'balance'
  return move.builds.includes(aim)
}

/** A move that may be in a main part: work, or where suppleness is the aim a stretch. */
export const isMain = (move: Move, aim: Builds): boolean =>
  !forThoseWhoSit(move) &&
  move.family !== 'game' &&
  move.family !== 'breathe' &&
  move.measures.some((unit) => unit === 'reps' || unit === 'seconds') &&
  (aim === 'flexibility' ? doesFor(move, aim) || !isStretchOrBreath(move) : !isStretchOrBreath(move)) &&
  // What only loosens is a warm-up's.
  (musclesOf(move).length > 0 || ['throwCatch', 'dribble', 'strike', 'balance'].includes(move.family))

/** Work up to here is calm, for the start of a warm-up and the walk at the end. */
const [calmMet, calmImpact, easyMet] = [6, 0.5, 4.5]

/** Versions that are calm and not beyond what the group usually does, the easiest first. */
export function calmVersions(move: Move, group: Group, home: Home, library: Pick<Library, 'kit'>): Version[] {
  const usual = move.versions.indexOf(versionAtHome(move, group, home, library))
  return versionsFor(move, home, library, lowestGrade(group)).filter(
    (v) => move.versions.indexOf(v) <= usual && v.met < calmMet && v.impact < calmImpact,
  )
}

/** Whether everybody has a calm version of a move to begin with. */
export const beginsCalm = (
  move: Move,
  { groups, home }: { groups: readonly Group[]; home: Home },
  library: Pick<Library, 'kit'>,
): boolean => groups.every((group) => calmVersions(move, group, home, library).length > 0)

/** A move that raises the pulse and lands softly, for the first minute. */
export const raisesPulse = (move: Move): boolean =>
  !forThoseWhoSit(move) &&
  ['travel', 'jump'].includes(move.family) &&
  move.posture === 'standing' &&
  move.builds.includes('endurance') &&
  !move.builds.includes('power') &&
  move.measures.includes('seconds') &&
  move.versions[0]!.met < easyMet &&
  !move.kit.some((need) => !need.optional)

/** A move that loosens: circles, swings, bends that are counted. */
export const loosens = (move: Move): boolean =>
  !forThoseWhoSit(move) &&
  !isHeldStretch(move) &&
  move.measures.includes('reps') &&
  move.builds.includes('flexibility') &&
  ['standing', 'kneeling'].includes(move.posture) &&
  move.versions.every((v) => v.met <= 4.3)

/** A held stretch for the end. */
export const endsWith = (move: Move): boolean =>
  isHeldStretch(move) && !forThoseWhoSit(move) && move.measures.includes('seconds')
